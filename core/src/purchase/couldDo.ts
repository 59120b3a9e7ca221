/** Ways to do a job: of each source with each wire the set of other parts that costs least to get. */
import type { Demand } from '../demand/demand.ts'
import type { Job } from '../kinds/job.ts'
import { does } from '../model/verdict.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { asCould, bestWith, type Could, runCostOf, type Whole, withSource } from './bestWay.ts'
import { Ground } from './ground.ts'
import { needsKey } from './needsKey.ts'

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

/** What a shop has and could have, looked at for one job after the other. */
export class CouldDoSearch {
  readonly #ground: Ground
  readonly #answers = new Map<string, CouldDo>()

  constructor(shop: Shop, shelf: Shelf, withLibrary = true) {
    this.#ground = new Ground(shop, shelf, {
      withLibrary,
      isPricedOnly: false,
      costEnd: 'most',
      counts: does,
      isForNow: true,
    })
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
        const whole = first ? bestWith(this.#ground, begun, first) : null
        if (!whole) continue
        const { demand } = begun
        for (const source of sources) found.push({ whole: withSource(whole, source), demand })
      }
    const ranked = found
      .map(({ whole, demand }) => ({
        whole,
        toRun: runCostOf(whole, demand),
      }))
      .sort(
        (a, b) =>
          a.whole.spent.unpriced - b.whole.spent.unpriced ||
          a.whole.spent.toGet - b.whole.spent.toGet ||
          (a.toRun ?? Infinity) - (b.toRun ?? Infinity),
      )
    return {
      best: ranked.slice(0, most).map(({ whole, toRun }) => asCould(this.#ground, whole, toRun)),
      count: found.length,
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
