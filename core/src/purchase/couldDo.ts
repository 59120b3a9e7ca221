/** Ways to do a job: of each source with each wire the set of other parts that costs least to get. */
import type { Job } from '../kinds/job.ts'
import { does } from '../model/verdict.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { ANYWHERE, asCould, bestWith, runCostOf, spentOnSource, type Whole, withSource } from './bestWay.ts'
import { ALL_OF_IT, Best, type CouldDo, type CouldRank, type Share } from './couldShares.ts'
import { type Begun, Ground } from './ground.ts'
import { needsKey } from './needsKey.ts'
import { compareToGet, NOTHING_SPENT, type Spent } from './options.ts'

export interface CouldOptions {
  /** How many are given out; all are counted. */
  readonly most: number
  /** Small parts that nobody has entered yet may come from the library. */
  readonly withLibrary?: boolean
}

interface Found {
  readonly whole: Whole
  readonly toRun: number | null
  readonly rank: CouldRank
}

/** Wires that weld alike stay together: the largest groups first, each goes to the share that has least to do so far. */
function shareOf(all: readonly Begun[], { at, of }: Share): readonly Begun[] {
  const work = new Map<Begun['searches'], number>()
  for (const { searches, pair } of all)
    work.set(searches, (work.get(searches) ?? 0) + pair.alikeSources.length)
  const given = Array.from({ length: of }, () => 0)
  const mine = new Set<Begun['searches']>()
  for (const [searches, more] of [...work].sort(([, a], [, b]) => b - a)) {
    const share = given.indexOf(Math.min(...given))
    given[share] = (given[share] ?? 0) + more
    if (share === at) mine.add(searches)
  }
  return all.filter(({ searches }) => mine.has(searches))
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
   * @param share of the wires and processes that are looked at; several shares are put together by `joined`
   * @returns for each source, process and wire that does the job the set of other parts that costs least to get; of those
   *   one that fits before one that is tight, then the cheaper to run
   */
  answer(job: Job, most: number, share: Share = ALL_OF_IT): CouldDo {
    const key = `${most} ${share.at} ${share.of} ${needsKey(job)}`
    const known = this.#answers.get(key)
    if (known) return known
    const made = this.#search(job, most, share)
    this.#answers.set(key, made)
    return made
  }

  #search(job: Job, most: number, { at, of }: Share): CouldDo {
    const places = new Map(this.#ground.pairs.map((pair, place) => [pair, place]))
    const best = new Best<Found>(most)
    let count = 0
    const mine = shareOf(this.#ground.begunFor(job), { at, of })
    const last = new Map(mine.map((begun) => [begun.searches, begun]))
    for (const begun of mine) {
      const { pair, demand, runCost, leastToRun } = begun
      for (const sources of pair.alikeSources) {
        const [first] = sources
        const [cheapest = NOTHING_SPENT] = sources.map(spentOnSource).sort(compareToGet)
        // What is not given out is only counted: then any way will do.
        const isPast = ({ unpriced, toGet }: Spent): boolean =>
          best.isPast(cheapest.unpriced + unpriced, cheapest.toGet + toGet, leastToRun)
        const alike = first ? bestWith(this.#ground, begun, first, { ...ANYWHERE, isPast }) : null
        if (!alike) continue
        count += sources.length
        if (isPast(alike.spent)) continue
        for (const source of sources) {
          const whole = withSource(alike, source)
          const { unpriced, toGet } = whole.spent
          const toRun = runCostOf(whole, demand)
          const place = [places.get(pair) ?? 0, pair.sources.indexOf(source)] as const
          best.add({ whole, toRun, rank: [unpriced, toGet, toRun ?? Infinity, runCost, ...place] })
        }
      }
      // What is known of it serves no other wire: kept to the end it would be copied at each collection of garbage.
      begun.seekings.clear()
      if (last.get(begun.searches) === begun) begun.searches.clear()
    }
    return {
      best: best.kept.map(({ whole, toRun, rank }) => ({ ...asCould(this.#ground, whole, toRun), rank })),
      count,
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
