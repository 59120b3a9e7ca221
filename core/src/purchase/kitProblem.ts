/** What a kit is chosen from: things to buy or to rent, and the ways in which each job could be done with them. */
import { assumptionsOf } from '../assumptions/assume.ts'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { type Slot, SLOTS } from '../kinds/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { limitOf } from '../criteria/limit.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { countAgainst, verdictAlone } from '../criteria/verdictAlone.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import { partsOf } from '../fit/document.ts'
import type { Guess } from '../fit/cost.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { does, type Verdict, VERDICT_RANK } from '../model/verdict.ts'
import { type CostEnd, Ground } from './ground.ts'
import { type JobWay, type WayCost, wayCostOf, type WayRules, waysOfJob } from './jobWays.ts'
import { needsNoMore, type OneOf } from './unbeaten.ts'
import { needsKey } from './needsKey.ts'
import { countedPrice, keyOf, priceOf, USED_UP } from './options.ts'

/** Something that the shop does not have. */
export interface KitItem {
  /** Place and id: `powerSource fen-320`. */
  readonly key: string
  readonly slot: Slot
  readonly name: string
  /** Null for a small part without a price: it counts as much as its kind costs at most. */
  readonly listed: number | null
  readonly price: number
}

/** One way to do a job. */
export interface KitWay {
  readonly setUpId: string
  readonly verdict: Verdict
  /** What must be bought for it. */
  readonly needs: readonly string[]
  /** Of each list one set of small parts must be bought beside. */
  readonly oneOf: readonly OneOf[]
  /** What is rented for each run; null where nothing is. */
  readonly rents: string | null
  /** One run of the job: wages, filler, gas and rent; what has no price at what it costs at most. */
  readonly costPerRun: number
  /** What the comparison adds to a run because a check is tight. */
  readonly tightCost: number
  readonly guesses: readonly Guess[]
}

export interface KitJob {
  readonly id: string
  readonly name: string
  /** How often it is done over the horizon. */
  readonly runs: number
  /** What a run brings in; null where the owner has not entered it. */
  readonly worthPerRun: number | null
  /** Jobs with equal needs share one list. */
  readonly ways: readonly KitWay[]
}

/** A job that nothing does, with the set-up that comes nearest. */
export interface Undoable {
  readonly jobId: string
  readonly name: string
  /** Null where there is no set-up at all. */
  readonly nearest: { readonly setUpId: string; readonly limit: Assessment | null } | null
}

export interface KitProblem {
  readonly items: readonly KitItem[]
  readonly jobs: readonly KitJob[]
  readonly undoable: readonly Undoable[]
  /** Large things to buy without a price: no way with them is looked at. */
  readonly unpriced: readonly string[]
  readonly horizonYears: number
  /** Set-ups that are not written down yet, by id: what they are made of but small parts. */
  readonly found: ReadonlyMap<string, JobWay>
  /** Ids of the small parts that are on the shelf: others come from the library. */
  readonly shelfParts: ReadonlySet<string>
  /** False where a job has more ways than were kept. */
  readonly isWhole: boolean
}

/** What a run counts in the comparison. */
export const countedCost = ({ costPerRun, tightCost }: Pick<KitWay, 'costPerRun' | 'tightCost'>): number =>
  costPerRun + tightCost

/** @returns whether a way is never worse than another, whatever else is bought */
const beats = (a: KitWay, b: KitWay): boolean => countedCost(a) <= countedCost(b) && needsNoMore(a, b)

/**
 * @returns ways of which none is beaten by another, cheapest first
 * @example withoutBeaten([{ needs: [], costPerRun: 5 }, { needs: ['fen'], costPerRun: 6 }]).length // 1
 */
export function withoutBeaten(ways: readonly KitWay[]): readonly KitWay[] {
  const kept: KitWay[] = []
  // What is cheap and needs little comes first, so that nothing that is kept is beaten by what follows.
  const sorted = [...ways].sort(
    (a, b) =>
      countedCost(a) - countedCost(b) ||
      a.needs.length + a.oneOf.length - b.needs.length - b.oneOf.length ||
      VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict],
  )
  for (const way of sorted) if (!kept.some((one) => beats(one, way))) kept.push(way)
  return kept
}

/** A set-up that is written down, with what of it has to be bought. */
interface Column {
  readonly setUp: SetUp
  readonly capability: Capability
  /** Process and wire: what a job needs of both is worked out once for all that have them. */
  readonly work: string
  readonly needs: readonly string[]
  /** Rent a day of its source, where it is to be bought and somebody lends it. */
  readonly rent: { readonly key: string; readonly perDay: number } | null
  /** Whether the source can be bought at all. */
  readonly isForSale: boolean
}

/** What ways are made of, and which of them count. */
export interface WaysQuestion {
  readonly shop: Shop
  readonly shelf: Shelf
  readonly setUps: readonly SetUp[]
  /** Whether ways are put together of everything on the shelf, or only the set-ups that are written down are looked at. */
  readonly seeksAll?: boolean
  /** Whether small parts that nobody has entered may come from the library. */
  readonly withLibrary?: boolean
  /** Which verdicts count as done; what is tight does, unless it is left out. */
  readonly counts?: (verdict: Verdict) => boolean
  /** At which end of its typical range a missing price counts. */
  readonly costEnd?: CostEnd
}

export interface KitQuestion extends WaysQuestion {
  readonly jobs: readonly Job[]
}

/** Of what does not do a job the one with the fewest criteria against it, and what is to be said of it first. */
function nearestOf(failing: readonly (readonly [Column, Demand])[]): Undoable['nearest'] {
  let nearest: Undoable['nearest'] = null
  let fewest = Infinity
  for (const [{ setUp, capability }, demand] of failing) {
    const against = countAgainst(capability, demand, fewest)
    if (against === null) continue
    fewest = against
    const criteria = assess(capability, demand)
    nearest = { setUpId: setUp.id, limit: limitOf(criteria, worstOf(criteria)) }
  }
  return nearest
}

interface WaysOfJob {
  readonly ways: readonly KitWay[]
  readonly nearest: Undoable['nearest']
  readonly isWhole: boolean
}

/** Finds the ways of each job, and what they need; what was found for one plan is there for the next. */
export class KitSearch {
  readonly #items = new Map<string, KitItem>()
  readonly #found = new Map<string, JobWay>()
  readonly #known = new Map<string, WaysOfJob>()
  readonly #ground: Ground
  readonly #rules: WayRules
  readonly #columns: readonly Column[]
  readonly #noted = new Set<Column>()

  constructor(readonly question: WaysQuestion) {
    const { shop, shelf, setUps, counts = does, costEnd = 'most', withLibrary = true } = question
    const { shiftHours, tightCostPct } = assumptionsOf(shop)
    this.#rules = { shiftHours, tightCostPct }
    this.#ground = new Ground(shop, shelf, {
      withLibrary,
      isPricedOnly: true,
      costEnd,
      counts,
      isForNow: false,
    })
    this.#columns = setUps.flatMap((setUp) => this.#columnOf(setUp) ?? [])
  }

  /** @returns null for a set-up that lacks a part, or that needs something that has no price */
  #columnOf(setUp: SetUp): Column | null {
    const { shop, shelf } = this.question
    if (!partsOf(setUp, shelf).ok) return null
    const chosen = chosenOf(setUp, shelf)
    const source = chosen.powerSource
    const perDay = source && isCandidate(source) ? source.rentPerDay : null
    const needs: string[] = []
    let isForSale = true
    for (const slot of SLOTS) {
      const item = chosen[slot]
      if (!item || USED_UP.has(slot) || !isCandidate(item)) continue
      if (this.#priceOf(slot, item) === null) {
        if (slot !== 'powerSource' || perDay === null) return null
        isForSale = false
      }
      needs.push(keyOf(slot, item))
    }
    // What is used up is bought for the job: what is left in stock today is no limit over years.
    const capability = capabilityOf(shop, setUp, { ...chosen, stock: [] })
    return {
      setUp,
      capability,
      work: `${capability.process.id} ${capability.wire?.id ?? ''}`,
      needs,
      rent: source && perDay !== null ? { key: keyOf('powerSource', source), perDay } : null,
      isForSale,
    }
  }

  #priceOf(slot: Slot, item: NonNullable<Capability[Slot]>): number | null {
    return countedPrice(slot, item, assumptionsOf(this.question.shop).typicalPriceFactor)
  }

  #note(capability: Capability, keys: readonly string[]): void {
    for (const slot of SLOTS) {
      const item = capability[slot]
      if (item) this.#noteItem(slot, item, keys)
    }
  }

  #noteItem(slot: Slot, item: NonNullable<Capability[Slot]>, keys: readonly string[]): void {
    const key = keyOf(slot, item)
    if (this.#items.has(key) || !keys.includes(key)) return
    const price = this.#priceOf(slot, item)
    if (price !== null) this.#items.set(key, { key, slot, name: item.name, listed: priceOf(item), price })
  }

  /** Jobs with equal needs have the same ways. */
  #waysOf(job: Job): WaysOfJob {
    const key = needsKey(job)
    const known = this.#known.get(key)
    if (known) return known
    const made = this.#seek(job)
    this.#known.set(key, made)
    return made
  }

  /** What is written down first: of ways that are alike it is kept. */
  #seek(job: Job): WaysOfJob {
    const { ways, nearest } = this.#writtenWays(job)
    if (this.question.seeksAll !== true) return { ways: withoutBeaten(ways), nearest, isWhole: true }
    const { ways: found, isWhole } = waysOfJob(this.#ground, job, this.#rules)
    return { ways: withoutBeaten([...ways, ...found.map((way) => this.#asKitWay(way))]), nearest, isWhole }
  }

  #writtenWays(job: Job) {
    const { shop } = this.question
    const demands = new Map<string, Demand>()
    const ways: KitWay[] = []
    const failing: (readonly [column: Column, demand: Demand])[] = []
    for (const column of this.#columns) {
      const { setUp, capability, work, needs, rent, isForSale } = column
      let demand = demands.get(work)
      if (!demand) demands.set(work, (demand = demandOf(job, setUp.process, capability.wire, shop)))
      const verdict = verdictAlone(capability, demand)
      if (!this.#ground.counts(verdict)) {
        failing.push([column, demand])
        continue
      }
      const wayOf = (keys: readonly string[], rentPerDay: number | null, rents: string | null): KitWay => {
        const cost = wayCostOf(capability, demand, { verdict, rentPerDay }, this.#rules, this.#ground)
        return { setUpId: setUp.id, verdict, needs: keys, oneOf: [], rents, ...asCost(cost) }
      }
      if (!this.#noted.has(column)) this.#note(capability, needs)
      this.#noted.add(column)
      if (isForSale) ways.push(wayOf(needs, null, null))
      if (rent)
        ways.push(
          wayOf(
            needs.filter((one) => one !== rent.key),
            rent.perDay,
            rent.key,
          ),
        )
    }
    return { ways, nearest: ways.length > 0 ? null : nearestOf(failing) }
  }

  #asKitWay(way: JobWay): KitWay {
    const { capability, verdict, needs, oneOf, rents, cost } = way
    this.#note(capability, needs)
    for (const sets of way.clusters)
      for (const { items, spent } of sets)
        for (const [slot, item] of items)
          this.#noteItem(
            slot,
            item,
            spent.buys.map(({ key }) => key),
          )
    // By its parts: a plan made with other prices calls the same set-up the same. No id of a record has a blank.
    const parts = SLOTS.map((slot) => capability[slot]?.id ?? '-').join(' ')
    const setUpId = `${capability.process.id} ${parts} ${verdict}`
    this.#found.set(setUpId, way)
    return { setUpId, verdict, needs, oneOf, rents, ...asCost(cost) }
  }

  get #unpriced(): readonly string[] {
    const { shelf } = this.question
    const large = [
      ...shelf.powerSources.filter(({ rentPerDay }) => rentPerDay === null),
      ...shelf.guns,
      ...shelf.feeders,
      ...shelf.circuits,
    ]
    return large.filter((one) => isCandidate(one) && one.price === null).map(({ name }) => name)
  }

  /** @returns what there is to choose from for these jobs, pruned of what can never be best */
  problemOf(jobs: readonly Job[]): KitProblem {
    const { shop, shelf } = this.question
    const { horizonYears } = assumptionsOf(shop)
    const undoable: Undoable[] = []
    let isWhole = true
    const planned = jobs.flatMap((job): readonly KitJob[] => {
      const { id, name, timesPerYear, worthPerRun } = job
      const { ways, nearest, isWhole: hasAll } = this.#waysOf(job)
      isWhole &&= hasAll
      if (ways.length === 0) {
        undoable.push({ jobId: id, name, nearest })
        return []
      }
      const runs = timesPerYear === null ? 1 : timesPerYear * horizonYears
      return [{ id, name, runs, worthPerRun, ways }]
    })
    const used = new Set<string>()
    for (const { ways } of planned)
      for (const { needs, oneOf } of ways) for (const key of [...needs, ...oneOf.flat(2)]) used.add(key)
    return {
      items: [...this.#items.values()].filter(({ key }) => used.has(key)),
      jobs: planned,
      undoable,
      unpriced: this.#unpriced,
      horizonYears,
      found: new Map(this.#found),
      shelfParts: new Set(shelf.parts.map(({ id }) => id)),
      isWhole,
    }
  }
}

const asCost = ({ run, tight, guesses }: WayCost) => ({ costPerRun: run, tightCost: tight, guesses })

/**
 * @returns what there is to choose from for these jobs, by a search that is not kept
 * @example kitProblemOf({ shop, shelf, setUps, jobs, seeksAll: true }).jobs[0]?.ways.length
 */
export const kitProblemOf = ({ jobs, ...question }: KitQuestion): KitProblem =>
  new KitSearch(question).problemOf(jobs)
