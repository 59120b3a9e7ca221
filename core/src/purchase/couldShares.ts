/** Ways to do a job, looked at in shares: each thread takes one, and they are put together as if one had taken all. */
import type { Could } from './bestWay.ts'

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

/** @returns below 0 where the first is better, by as many figures as it has */
export function byRank({ rank: a }: { readonly rank: readonly number[] }, { rank: b }: Ranked): number {
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

/** The best of what is found, one after the other. */
export class Best<T extends Ranked> {
  readonly #kept: T[] = []

  /** @param most how many are kept */
  constructor(readonly most: number) {}

  /** The best first. */
  get kept(): readonly T[] {
    return this.#kept
  }

  /**
   * @param least figures of the rank, the first of them; none of what is found has less
   * @returns whether as many as are kept are better, whatever its other figures are
   */
  isPast(...least: readonly number[]): boolean {
    const last = this.#kept[this.most - 1]
    return last !== undefined && byRank({ rank: least }, last) > 0
  }

  add(found: T): void {
    const before = this.#kept.findLastIndex((one) => byRank(one, found) <= 0)
    this.#kept.splice(before + 1, 0, found)
    if (this.#kept.length > this.most) this.#kept.pop()
  }
}
