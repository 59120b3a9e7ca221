/** The best way of one machine with one process and wire: what costs least to get, then what fits, then what is cheapest to run. */
import type { Capability } from '../capability/capability.ts'
import { changeoverWagesOf } from '../changeover/toSetUp.ts'
import type { Demand } from '../demand/demand.ts'
import { costOf } from '../fit/cost.ts'
import type { Circuit, PowerSource } from '../kinds/equipment.ts'
import { type Slot, SLOTS } from '../kinds/slots.ts'
import { isCandidate } from '../model/ownership.ts'
import { does, type Verdict } from '../model/verdict.ts'
import type { Begun, Ground, Seeking } from './ground.ts'
import { wholeVerdict } from './judge.ts'
import { compareSpent, keyOf, NOTHING_SPENT, priceOf, type Spent, together, USED_UP } from './options.ts'
import { type Made, setUpOf } from './setUpOf.ts'
import { type Cables, NO_CABLES } from './stations.ts'

/** A part of it that the shop does not have. */
export interface Lacked {
  readonly slot: Slot
  readonly id: string
  readonly name: string
  /** Null where nobody has entered it. */
  readonly price: number | null
}

/** One whole set-up that does the job. */
export interface Could extends Made {
  readonly verdict: Verdict
  readonly toBuy: readonly Lacked[]
  /** Of what has a price, in the shop's currency; small parts without one at what their kind costs at most. */
  readonly toGet: number
  /** One run of the job, of what is known; null where nothing is. */
  readonly toRun: number | null
}

export interface Whole {
  readonly capability: Capability
  readonly verdict: Verdict
  readonly spent: Spent
}

/** @returns null where the whole does not do the job */
function wholeOf(capability: Capability, demand: Demand, spent: Spent): Whole | null {
  const verdict = wholeVerdict(capability, demand, spent.isTight)
  return does(verdict) ? { capability, verdict, spent: { ...spent, isTight: verdict === 'tight' } } : null
}

/** Wages of changing over to it: of two ways alike, the one that is nearly on the machine wins. */
const withChange = (capability: Capability, spent: Spent): Spent => ({
  ...spent,
  runCost: spent.runCost + changeoverWagesOf(capability),
})

/** What the machine itself costs to get. */
export function spentOnSource(source: PowerSource): Spent {
  const price = isCandidate(source) ? source.price : 0
  return price === 0
    ? NOTHING_SPENT
    : { ...NOTHING_SPENT, unpriced: price === null ? 1 : 0, toGet: price ?? 0 }
}

/** The same set-up with a source that differs in name and price alone, and what that costs. */
export function withSource(whole: Whole, source: PowerSource): Whole {
  const capability =
    whole.capability.powerSource === source ? whole.capability : whole.capability.with('powerSource', source)
  return { ...whole, capability, spent: together(spentOnSource(source), whole.spent) }
}

/** Where the machine is, and what is to be beaten. */
export interface At {
  /** Null where every circuit is tried. */
  readonly circuit: Circuit | null
  readonly cables: Cables
  /** What another way costs already: only a better one is sought. */
  readonly bound: Spent | null
  /** Tells of what costs so much that any way will do, and no better one is sought. */
  readonly isPast?: (spent: Spent) => boolean
}
export const ANYWHERE: At = { circuit: null, cables: NO_CABLES, bound: null }

/** The machine judged by itself, and on its circuit; null where either fails. */
function startOn(
  { options }: Ground,
  { isTight, runCost }: Begun,
  { search, bare, judgeSource }: Seeking,
  source: PowerSource,
  circuit: Circuit | null,
): { readonly capability: Capability; readonly spent: Spent } | null {
  const verdict = judgeSource(source)
  if (verdict === 'fails') return null
  const capability = bare.with('powerSource', source)
  const spent: Spent = { ...NOTHING_SPENT, isTight: isTight || verdict === 'tight', runCost }
  if (circuit === null) return { capability, spent }
  const option = options.of('circuit').find(({ item }) => item.id === circuit.id)
  const onIt = search.taken(
    together(spent, option?.spent ?? NOTHING_SPENT),
    search.judge.at('circuit', capability)(circuit),
  )
  return onIt && { capability: capability.with('circuit', circuit), spent: onIt }
}

/** @returns what costs least to get beside the source, and of that what is cheapest to run; null where nothing goes */
export function bestWith(ground: Ground, begun: Begun, source: PowerSource, at: At = ANYWHERE): Whole | null {
  const { demand } = begun
  let best: Whole | null = null
  const isHopeless = (one: Spent): boolean =>
    (best !== null && (compareSpent(best.spent, one) <= 0 || at.isPast?.(one) === true)) ||
    (at.bound !== null && compareSpent(at.bound, one) <= 0)
  if (isHopeless({ ...NOTHING_SPENT, isTight: begun.isTight, runCost: begun.runCost })) return null
  const seeking = ground.searchFor(begun, source, at.cables)
  const start = startOn(ground, begun, seeking, source, at.circuit)
  if (!start || isHopeless(start.spent)) return null
  const { search, small } = seeking
  search.complete(start.capability, start.spent, {
    isHopeless,
    isByCost: true,
    beforeGas(main, before) {
      const parts = small.spentBeforeGas(main)
      return parts && together(before, parts)
    },
    found(main, before) {
      const rest = small.spentAfterGas(main)
      if (!rest) return
      const all = together(before, rest)
      if (isHopeless(all)) return
      let whole = main
      for (const [slot, item] of small.best(main)?.items ?? []) whole = whole.with(slot, item as never)
      const changed = withChange(whole, all)
      if (!isHopeless(changed)) best = wholeOf(whole, demand, changed) ?? best
    },
  })
  return best
}

/** @returns the way with what a run of the job costs; the cost null where nothing of it is known */
export const runCostOf = ({ capability }: Whole, demand: Demand): number | null =>
  costOf(capability, demand)?.job ?? null

export function asCould(ground: Ground, { capability, spent, verdict }: Whole, toRun: number | null): Could {
  const { options } = ground
  const bought = new Set(spent.buys.map(({ key }) => key))
  const toBuy = SLOTS.flatMap((slot): readonly Lacked[] => {
    const item = capability[slot]
    if (!item || USED_UP.has(slot)) return []
    if (!bought.has(keyOf(slot, item)) && !isCandidate(item)) return []
    return [{ slot, id: item.id, name: item.name, price: priceOf(item) }]
  })
  return {
    ...setUpOf(capability, (part) => options.isOfLibrary(part)),
    verdict,
    toBuy,
    toGet: spent.toGet,
    toRun,
  }
}
