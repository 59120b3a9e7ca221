/** Ways to do a job: of each source with each wire the set of other parts that costs least to get. */
import { type Slot, SLOTS } from '../kinds/slots.ts'
import { costOf } from '../fit/cost.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { Demand } from '../demand/demand.ts'
import type { Capability } from '../capability/capability.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { does, type Verdict } from '../model/verdict.ts'
import { type Begun, Ground } from './ground.ts'
import { wholeFindings } from './judge.ts'
import { needsKey } from './needsKey.ts'
import { compareSpent, keyOf, NOTHING_SPENT, priceOf, type Spent, together, USED_UP } from './options.ts'
import { type Made, setUpOf } from './setUpOf.ts'

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

export interface CouldDo {
  /** Cheapest to get first, then cheapest to run. */
  readonly best: readonly Could[]
  /** How many sources with a wire do it, those left out of `best` too. */
  readonly count: number
}

export interface CouldOptions {
  /** How many are given out; all are counted. */
  readonly most: number
  /** Small parts that nobody has entered yet may come from the library. */
  readonly withLibrary?: boolean
}

interface Found {
  readonly whole: Whole
  readonly demand: Demand
}

interface Whole {
  readonly capability: Capability
  readonly verdict: Verdict
  readonly findings: readonly Assessment[]
  readonly spent: Spent
}

/** @returns null where the whole does not do the job */
function wholeOf(capability: Capability, demand: Demand, spent: Spent): Whole | null {
  const { findings, verdict } = wholeFindings(capability, demand, spent.isTight)
  return does(verdict)
    ? { capability, verdict, findings, spent: { ...spent, isTight: verdict === 'tight' } }
    : null
}

/** The same set-up with a source that differs in name and price alone, and what that costs. */
function withSource(whole: Whole, source: PowerSource): Whole {
  const capability =
    whole.capability.powerSource === source ? whole.capability : whole.capability.with('powerSource', source)
  const price = isCandidate(source) ? source.price : 0
  const own: Spent = { ...NOTHING_SPENT, unpriced: price === null ? 1 : 0, toGet: price ?? 0 }
  return { ...whole, capability, spent: together(own, whole.spent) }
}

/** What a shop has and could have, looked at for one job after the other. */
export class CouldDoSearch {
  readonly #ground: Ground
  readonly #answers = new Map<string, CouldDo>()

  constructor(shop: Shop, shelf: Shelf, withLibrary = true) {
    this.#ground = new Ground(shop, shelf, { withLibrary, isPricedOnly: false, costEnd: 'most' })
  }

  /**
   * What is used up is taken as there: wire and gas are bought for the job.
   * @returns for each source, process and wire that does the job the set of other parts that costs least to get; of those
   *   one that fits before one that is tight, then the cheaper to run
   */
  answer(job: Job, most: number): CouldDo {
    const key = `${most} ${needsKey(job)}`
    const known = this.#answers.get(key)
    if (known) return known
    const made = this.#search(job, most)
    this.#answers.set(key, made)
    return made
  }

  #search(job: Job, most: number): CouldDo {
    const found: Found[] = []
    for (const begun of this.#ground.begunFor(job))
      for (const sources of begun.pair.alikeSources) {
        const [first] = sources
        const whole = first ? this.#bestWith(begun, first) : null
        if (!whole) continue
        const { demand } = begun
        for (const source of sources) found.push({ whole: withSource(whole, source), demand })
      }
    const ranked = found
      .map(({ whole, demand }) => ({
        whole,
        toRun: costOf(whole.capability, demand, whole.findings)?.job ?? null,
      }))
      .sort(
        (a, b) =>
          a.whole.spent.unpriced - b.whole.spent.unpriced ||
          a.whole.spent.toGet - b.whole.spent.toGet ||
          (a.toRun ?? Infinity) - (b.toRun ?? Infinity),
      )
    return {
      best: ranked.slice(0, most).map(({ whole, toRun }) => this.#asCould(whole, toRun)),
      count: found.length,
    }
  }

  /** @returns what costs least to get beside the source, and of that what is cheapest to run; null where nothing goes */
  #bestWith(begun: Begun, source: PowerSource): Whole | null {
    const { pair, demand, isTight, runCost } = begun
    const capability = this.#ground.begin(pair.process, pair.wire, source)
    const { search, small } = this.#ground.searchFor(begun, capability.settings.polarity, does)
    const verdict = search.judge.at('powerSource', capability.with('powerSource', null))(source)
    if (verdict === 'fails') return null
    let best: Whole | null = null
    const isHopeless = (one: Spent): boolean => best !== null && compareSpent(best.spent, one) <= 0
    const spent: Spent = { ...NOTHING_SPENT, isTight: isTight || verdict === 'tight', runCost }
    search.complete(capability, spent, {
      isHopeless,
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
        best = wholeOf(whole, demand, all) ?? best
      },
    })
    return best
  }

  #asCould({ capability, spent, verdict }: Whole, toRun: number | null): Could {
    const { options } = this.#ground
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
}

/** @example couldDo(shop, shelf, job, { most: 20 }).best[0]?.toBuy // [] where something owned does it */
export const couldDo = (
  shop: Shop,
  shelf: Shelf,
  job: Job,
  { most, withLibrary = true }: CouldOptions,
): CouldDo => new CouldDoSearch(shop, shelf, withLibrary).answer(job, most)
