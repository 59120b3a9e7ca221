/** Ways to do a job, looked at in shares: each thread takes one, and they are put together as if one had taken all. */
import type { Could } from './bestWay.ts'
import { compareToGet, type ToGet } from './options.ts'

/** Of so many shares one. */
export interface Share {
  readonly at: number
  readonly of: number
}
export const ALL_OF_IT: Share = { at: 0, of: 1 }

/**
 * By which ways are ordered, figure by figure, the less the better: large things to buy without a price, what the others
 * cost to get, what a run costs, what its wages and filler cost alone, and in the end their places on the lists.
 */
export type CouldRank = readonly [
  unpriced: number,
  toGet: number,
  toRun: number,
  wagesAndFiller: number,
  wirePlace: number,
  sourcePlace: number,
]

interface Ranked {
  readonly rank: CouldRank
}

export interface CouldDo {
  /** Cheapest to get first, then cheapest to run. */
  readonly best: readonly (Could & Ranked)[]
  /** How many sources with a wire do it, those left out of `best` too. */
  readonly count: number
}

/** @returns below 0 where the first is better */
export function byRank({ rank: a }: Ranked, { rank: b }: Ranked): number {
  for (const [at, figure] of a.entries()) {
    const other = b[at] ?? 0
    if (figure !== other) return figure < other ? -1 : 1
  }
  return 0
}

/** @param most how many are given out; all are counted */
export const joined = (shares: readonly CouldDo[], most: number): CouldDo => ({
  best: shares
    .flatMap(({ best }) => best)
    .sort(byRank)
    .slice(0, most),
  count: shares.reduce((sum, { count }) => sum + count, 0),
})

/** What a way costs to get, and to run. */
export interface Costs extends ToGet {
  readonly toRun: number
}
const compareCosts = (a: Costs, b: Costs): number => compareToGet(a, b) || a.toRun - b.toRun

/** Which ways may still be given out, as they are found one after the other: of the rest no better one is looked for. */
export class Cut {
  /** What the best cost so far, the cheapest first. */
  readonly #kept: Costs[] = []

  /** @param most how many are given out */
  constructor(readonly most: number) {}

  /** @returns whether as many as are given out are cheaper */
  isPast(costs: Costs): boolean {
    const last = this.#kept[this.most - 1]
    return last !== undefined && compareCosts(costs, last) > 0
  }

  add(costs: Costs): void {
    this.#kept.push(costs)
    this.#kept.sort(compareCosts)
    this.#kept.length = Math.min(this.most, this.#kept.length)
  }
}
