/** Every way to do a job that no other beats: whatever is bought, the cheapest way is one of them. */
import type { Capability } from '../capability/capability.ts'
import { needsOf } from '../capability/slots.ts'
import { changeoverMinOf, changeoverWagesOf } from '../changeover/toSetUp.ts'
import { PARTS_CHOSEN } from '../criteria/chosen.ts'
import type { Demand } from '../demand/demand.ts'
import { type Cost, costOf } from '../fit/cost.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Slot } from '../kinds/slots.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Verdict } from '../model/verdict.ts'
import type { Begun, Ground } from './ground.ts'
import { OF_THE_WHOLE, placesOf, wholeVerdict } from './judge.ts'
import { MAIN } from './setUpSearch.ts'
import { UnbeatenWays, MOST_WAYS, type OneOf } from './unbeaten.ts'
import { keyOf, NOTHING_SPENT, type Purchase, type Spent } from './options.ts'
import type { PartSet } from './smallParts.ts'

/** What a run costs, in the shop's currency. */
export interface WayCost {
  /** Wages, filler, gas and rent; what has no price at what it costs at most. */
  readonly run: number
  /** What has no price. */
  readonly guesses: Cost['guesses']
  /** What is added in the comparison because a check is tight. */
  readonly tight: number
}

/** One way, put together of everything but small parts. */
export interface JobWay {
  readonly capability: Capability
  readonly verdict: Verdict
  /** Keys of the large things that have to be bought. */
  readonly needs: readonly string[]
  /** Of each list one set of small parts has to be bought. */
  readonly oneOf: readonly OneOf[]
  /** All sets of small parts that go, by places that depend on each other; those that are there come first. */
  readonly clusters: readonly (readonly PartSet[])[]
  /** The source that is rented for each run; null where nothing is. */
  readonly rents: string | null
  readonly cost: WayCost
}

/** How ways are counted. */
export interface WayRules {
  readonly shiftHours: number
  readonly tightCostPct: number
}

const FULL_PCT = 100
const S_PER_H = 3600
const MIN_PER_H = 60
const ROUNDING = 1e-9

/** @returns what a run costs with a whole set-up */
export function wayCostOf(
  capability: Capability,
  demand: Demand,
  { verdict, rentPerDay }: { readonly verdict: Verdict; readonly rentPerDay: number | null },
  { shiftHours, tightCostPct }: WayRules,
  { costed }: Pick<Ground, 'costed'>,
): WayCost {
  const cost = costOf(capability, demand)
  const hoursOf = (): number =>
    (demand.workH ?? 0) +
    changeoverMinOf(capability) / MIN_PER_H +
    ((cost?.restS ?? 0) + (cost?.finishS ?? 0)) / S_PER_H
  const rent = rentPerDay === null ? 0 : Math.max(1, Math.ceil(hoursOf() / shiftHours)) * rentPerDay
  const run = costed(cost) + rent
  return {
    run,
    guesses: cost?.guesses ?? [],
    tight: verdict === 'tight' ? (run * tightCostPct) / FULL_PCT : 0,
  }
}

const isWithin = (few: readonly Purchase[], many: readonly Purchase[]): boolean =>
  few.every((one) => many.some((other) => other.likeKey === one.likeKey))
/** Nobody buys another cup for the gas that it saves: what is owned and goes is taken. */
const beatsAsParts = (a: Spent, b: Spent): boolean => (!a.isTight || b.isTight) && isWithin(a.buys, b.buys)

interface Terms {
  readonly source: PowerSource
  readonly spent: Spent
  readonly rentPerDay: number | null
}

/** Owned, to buy, or rented by the day; a machine may be had in two of these ways. */
function termsOf(source: PowerSource): readonly Terms[] {
  if (!isCandidate(source)) return [{ source, spent: NOTHING_SPENT, rentPerDay: null }]
  const key = keyOf('powerSource', source)
  const { price, rentPerDay } = source
  const bought = { ...NOTHING_SPENT, toGet: price ?? 0, buys: [{ key, likeKey: key }] }
  return [
    ...(price === null ? [] : [{ source, spent: bought, rentPerDay: null }]),
    ...(rentPerDay === null ? [] : [{ source, spent: NOTHING_SPENT, rentPerDay }]),
  ]
}

/** What is judged of the whole but whether small parts are chosen: that is the clusters'. */
const OF_ALL_LARGE = placesOf(OF_THE_WHOLE.filter((one) => one !== PARTS_CHOSEN))

const keysOf = (buys: readonly Purchase[]): readonly string[] => buys.map(({ key }) => key)

/** What takes the same minutes whichever it is; a feeder may be in the machine. */
const PUT_ON_ALIKE: ReadonlySet<Slot> = new Set(MAIN.filter((slot) => slot !== 'feeder'))

class WaySearch {
  readonly unbeaten: UnbeatenWays<JobWay>
  /** One list for the same sets, so that what is the same is seen to be. */
  readonly #lists = new Map<readonly PartSet[], OneOf | null>()
  readonly #fitting = new Map<readonly PartSet[], readonly PartSet[]>()

  constructor(
    readonly ground: Ground,
    readonly rules: WayRules,
  ) {
    this.unbeaten = new UnbeatenWays(({ cost }) => cost.run + cost.tight, MOST_WAYS)
  }

  #counted({ runCost, isTight }: Spent): number {
    return isTight ? runCost * (1 + this.rules.tightCostPct / FULL_PCT) : runCost
  }

  /**
   * Wages of changing over to it, at least. On a bare machine any circuit, gun, gas and tungsten are put on in the same
   * minutes as any other, so that they are known before one is chosen; a feeder in a case of its own only adds to them.
   */
  #leastChange(capability: Capability, demand: Demand): number {
    if (!demand.work) return 0
    const filled = needsOf(capability)
      .filter(({ slot }) => PUT_ON_ALIKE.has(slot))
      .reduce(
        (one, { slot }) => one.with(slot, (this.ground.options.of(slot)[0]?.item ?? null) as never),
        capability,
      )
    // What costs as much is no better: the last digit of a computer does not make it so.
    return changeoverWagesOf(filled) * (1 + ROUNDING)
  }

  seek(begun: Begun, { source, spent, rentPerDay }: Terms): void {
    const { ground, rules, unbeaten } = this
    const { demand, isTight, runCost } = begun
    const isHopeless = (one: Spent): boolean => unbeaten.isHopeless(this.#counted(one), keysOf(one.buys))
    const least: Spent = { ...spent, isTight, runCost: runCost + (rentPerDay ?? 0) }
    if (isHopeless(least)) return
    const { search, small, bare, judgeSource } = ground.searchFor(begun, source)
    const capability = bare.with('powerSource', source)
    const before: Spent = { ...least, runCost: least.runCost + this.#leastChange(capability, demand) }
    if (isHopeless(before)) return
    const then = search.taken(before, judgeSource(source))
    if (!then) return
    const found = (main: Capability, all: Spent): void => {
      const clusters = small.byCluster(main, beatsAsParts)
      if (!clusters) return
      const needs = keysOf(all.buys)
      const beside = this.#oneOf(clusters)
      if (unbeaten.isHopeless(this.#counted(all), needs, beside)) return
      // What a run costs is known now, but whether it is tight: most are no better than what was found, and judged no more.
      const costAs = (verdict: Verdict): WayCost =>
        wayCostOf(main, demand, { verdict, rentPerDay }, rules, ground)
      const atBest = costAs(all.isTight ? 'tight' : 'fits')
      if (unbeaten.isHopeless(atBest.run + atBest.tight, needs, beside)) return
      const worst = wholeVerdict(main, demand, all.isTight, OF_ALL_LARGE)
      const keep = (as: Verdict, sets: JobWay['clusters']): void => {
        if (!ground.counts(as) || sets.some((one) => one.length === 0)) return
        const cost = costAs(as)
        const rents = rentPerDay === null ? null : keyOf('powerSource', source)
        unbeaten.keep({
          capability: main,
          verdict: as,
          needs,
          oneOf: this.#oneOf(sets),
          clusters: sets,
          rents,
          cost,
        })
      }
      if (worst === 'fits') keep('fits', this.#fittingOf(clusters))
      const mayBeTight = worst === 'tight' || clusters.some((one) => one.some((set) => set.spent.isTight))
      if (mayBeTight && worst !== 'fails' && worst !== 'unknown') keep('tight', clusters)
    }
    // Which small parts are bought beside is left open: here it counts only whether any go.
    let besideBefore: readonly OneOf[] = []
    const beforeGas = (main: Capability, so: Spent): Spent | null => {
      const clusters = small.byCluster(main, beatsAsParts, 'before-gas')
      if (!clusters) return null
      besideBefore = this.#oneOf(clusters)
      return so
    }
    // Most gases are dearer than one that was found, and need no other small parts.
    const isHopelessWithGas = (main: Capability, so: Spent): boolean => {
      const clusters = small.byCluster(main, beatsAsParts, 'by-gas')
      return (
        clusters === null ||
        unbeaten.isHopeless(this.#counted(so), keysOf(so.buys), [...besideBefore, ...this.#oneOf(clusters)])
      )
    }
    search.complete(capability, then, { isHopeless, isByCost: false, beforeGas, isHopelessWithGas, found })
  }

  #oneOf(clusters: JobWay['clusters']): readonly OneOf[] {
    return clusters.map((one) => this.#listOf(one)).filter((one) => one !== null)
  }

  /** @returns null where a set is there already, and nothing has to be bought */
  #listOf(sets: readonly PartSet[]): OneOf | null {
    const known = this.#lists.get(sets)
    if (known !== undefined) return known
    const isThere = sets.some(({ spent }) => spent.buys.length === 0)
    const made = isThere ? null : sets.map(({ spent }) => keysOf(spent.buys))
    this.#lists.set(sets, made)
    return made
  }

  #fittingOf(clusters: JobWay['clusters']): JobWay['clusters'] {
    return clusters.map((sets) => {
      const known = this.#fitting.get(sets)
      if (known) return known
      const made = sets.some(({ spent }) => spent.isTight) ? sets.filter(({ spent }) => !spent.isTight) : sets
      this.#fitting.set(sets, made)
      return made
    })
  }
}

/**
 * @returns ways of which none is beaten by another: cheaper or as cheap, and with nothing to buy that the other does not
 *   need; `isWhole` is false where there were too many to keep
 */
export function waysOfJob(
  ground: Ground,
  job: Job,
  rules: WayRules,
): { readonly ways: readonly JobWay[]; readonly isWhole: boolean } {
  const seeking = new WaySearch(ground, rules)
  const begun = ground.begunFor(job)
  // What is owned comes first: most of what is to be bought is then seen to be of no use.
  for (const isToGet of [false, true])
    for (const one of begun)
      for (const source of one.pair.sources)
        if (isCandidate(source) === isToGet) for (const terms of termsOf(source)) seeking.seek(one, terms)
  return { ways: seeking.unbeaten.found, isWhole: !seeking.unbeaten.isFull }
}
