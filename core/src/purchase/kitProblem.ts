/** What a kit is chosen from: things to buy or to rent, and the ways in which each job could be done with them. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf, type Slot, SLOTS, SMALL_SLOTS } from '../capability/slots.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import { costOf } from '../fit/cost.ts'
import { assumptionsOf } from '../assumptions/assume.ts'
import { limitOf } from '../board/board.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { SetUp } from '../model/equipment.ts'
import type { Job } from '../model/job.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import { does, type Verdict, VERDICT_RANK } from '../model/verdict.ts'

/** Something that the shop does not have. */
export interface KitItem {
  /** Place and id: `powerSource fen-320`. */
  readonly key: string
  readonly slot: Slot
  readonly name: string
  /** Null for a small part that nobody has priced: it counts as the shop assumes. */
  readonly listed: number | null
  readonly price: number
}

/** One way to do a job. */
export interface KitWay {
  readonly setUpId: string
  readonly verdict: Verdict
  /** What must be bought for it. */
  readonly needs: readonly string[]
  /** What is rented for each run; null where nothing is. */
  readonly rents: string | null
  /** One run of the job: labour, filler, gas and rent, of what is known. */
  readonly costPerRun: number
}

export interface KitJob {
  readonly id: string
  readonly name: string
  /** How often it is done over the horizon. */
  readonly runs: number
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
  /** Things that would be needed and have no price: no set-up with them is looked at. */
  readonly unpriced: readonly string[]
  readonly horizonYears: number
}

/** More ways than this to do one job, cheapest first, are not looked at; `isWhole` says whether any were left out. */
const MOST_WAYS = 200

const isWithin = (few: readonly string[], many: readonly string[]): boolean =>
  few.every((one) => many.includes(one))

/** @returns whether a way is never worse than another, whatever else is bought */
const beats = (a: KitWay, b: KitWay): boolean => a.costPerRun <= b.costPerRun && isWithin(a.needs, b.needs)

/**
 * @returns ways of which none is beaten by another, cheapest first
 * @example withoutBeaten([{ needs: [], costPerRun: 5 }, { needs: ['fen'], costPerRun: 6 }]).length // 1
 */
export function withoutBeaten(ways: readonly KitWay[]): readonly KitWay[] {
  const kept: KitWay[] = []
  // What is cheap and needs little comes first, so that nothing that is kept is beaten by what follows.
  const sorted = [...ways].sort(
    (a, b) =>
      a.costPerRun - b.costPerRun ||
      a.needs.length - b.needs.length ||
      VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict],
  )
  for (const way of sorted) if (!kept.some((one) => beats(one, way))) kept.push(way)
  return kept.slice(0, MOST_WAYS)
}

interface Column {
  readonly setUp: SetUp
  readonly capability: Capability
  readonly needs: readonly KitItem[]
  /** Rent a day of its source, where it is to be bought and somebody lends it. */
  readonly rent: { readonly key: string; readonly perDay: number } | null
}

/** What of a set-up is to be bought; the names of what has no price, where that rules it out. */
function columnOf(
  shop: Shop,
  shelf: Shelf,
  setUp: SetUp,
  unpricedSmall: number,
): Column | { readonly unpriced: readonly string[] } {
  const chosen = chosenOf(setUp, shelf)
  const needs: KitItem[] = []
  const unpriced: string[] = []
  for (const slot of SLOTS) {
    const item = chosen[slot]
    if (!item || !isCandidate(item)) continue
    const price = 'price' in item ? item.price : null
    // A tip or a cup without a price is no reason to leave a machine out.
    if (price === null && !SMALL_SLOTS.has(slot)) unpriced.push(item.name)
    else
      needs.push({
        key: `${slot} ${item.id}`,
        slot,
        name: item.name,
        listed: price,
        price: price ?? unpricedSmall,
      })
  }
  const source = chosen.powerSource
  const perDay = source && isCandidate(source) ? source.rentPerDay : null
  if (unpriced.length > 0) return { unpriced }
  return {
    setUp,
    // What is used up is bought for the job: what is left on the shelf today is no limit over years.
    capability: capabilityOf(shop, setUp, { ...chosen, stock: [] }),
    needs,
    rent: source && perDay !== null ? { key: `powerSource ${source.id}`, perDay } : null,
  }
}

/**
 * @param setUps those whose parts are all there, owned and to buy
 * @param counts which verdicts count as done; what is tight does, unless it is left out
 * @returns what there is to choose from, pruned of what can never be best
 */
export function kitProblemOf(
  shop: Shop,
  shelf: Shelf,
  jobs: readonly Job[],
  setUps: readonly SetUp[],
  counts: (verdict: Verdict) => boolean = does,
): KitProblem {
  const { horizonYears, shiftHours, smallPartPrice } = assumptionsOf(shop)
  const items = new Map<string, KitItem>()
  const unpriced = new Set<string>()
  const columns = setUps.flatMap((setUp): readonly Column[] => {
    const column = columnOf(shop, shelf, setUp, smallPartPrice)
    if ('unpriced' in column) {
      for (const name of column.unpriced) unpriced.add(name)
      return []
    }
    return [column]
  })
  const undoable: Undoable[] = []
  const planned = jobs.flatMap((job): readonly KitJob[] => {
    const demands = new Map<string, Demand>()
    const ways: KitWay[] = []
    let nearest: Undoable['nearest'] = null
    let fewest = Infinity
    for (const { setUp, capability, needs, rent } of columns) {
      const key = `${setUp.process} ${capability.wire?.id ?? ''}`
      const demand = demands.get(key) ?? demandOf(job, setUp.process, capability.wire, shop)
      demands.set(key, demand)
      const criteria = assess(capability, demand)
      const verdict = worstOf(criteria)
      if (!counts(verdict)) {
        const failing = criteria.filter((one) => one.verdict === verdict).length
        if (failing < fewest) {
          fewest = failing
          nearest = { setUpId: setUp.id, limit: limitOf(criteria, verdict) }
        }
        continue
      }
      const costPerRun = costOf(capability, demand, criteria)?.job ?? 0
      const keys = needs.map((item) => item.key)
      for (const item of needs) items.set(item.key, item)
      ways.push({ setUpId: setUp.id, verdict, needs: keys, rents: null, costPerRun })
      if (rent) {
        const days = Math.max(1, Math.ceil((demand.workH ?? 0) / shiftHours))
        ways.push({
          setUpId: setUp.id,
          verdict,
          needs: keys.filter((one) => one !== rent.key),
          rents: rent.key,
          costPerRun: costPerRun + days * rent.perDay,
        })
      }
    }
    if (ways.length === 0) {
      undoable.push({ jobId: job.id, name: job.name, nearest })
      return []
    }
    const runs = job.timesPerYear === null ? 1 : job.timesPerYear * horizonYears
    return [{ id: job.id, name: job.name, runs, ways: withoutBeaten(ways) }]
  })
  const used = new Set(planned.flatMap(({ ways }) => ways.flatMap(({ needs }) => needs)))
  return {
    items: [...items.values()].filter(({ key }) => used.has(key)),
    jobs: planned,
    undoable,
    unpriced: [...unpriced],
    horizonYears,
  }
}
