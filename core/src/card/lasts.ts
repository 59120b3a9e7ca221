/** At which weld of a job its wire or gas on hand ends. */
import type { WeldFigures } from '../demand/weldFigures.ts'
import { weldCountOf } from '../joints/weldCount.ts'
import type { Job } from '../kinds/job.ts'

export interface Lasts {
  /** Welds that what is there is enough for. */
  readonly welds: number
  readonly of: number
}

/**
 * Welds in the order of welding, each with its share of its line.
 * @param amount on hand, in the unit of `usedBy`
 * @param usedBy what a whole line uses over the job
 * @example lastsOf(job, welds, 2000, ({ fillerG }) => fillerG) // { welds: 61, of: 84 }
 */
export function lastsOf(
  { quantity, order }: Pick<Job, 'quantity' | 'order'>,
  welds: readonly WeldFigures[],
  amount: number,
  usedBy: (weld: WeldFigures) => number,
): Lasts {
  const lines = welds.map((weld) => {
    const count = weldCountOf(weld.joint)
    return { count, each: usedBy(weld) / (count * quantity) }
  })
  const total = quantity * lines.reduce((sum, { count }) => sum + count, 0)
  let left = amount
  let done = 0
  /** @returns whether all of them were enough */
  const weldAll = (count: number, each: number): boolean => {
    const possible = each <= 0 ? count : Math.min(count, Math.floor(left / each + 1e-9))
    done += possible
    left -= possible * each
    return possible === count
  }
  const rounds =
    order === 'weld-by-weld'
      ? [lines.map(({ count, each }) => ({ count: count * quantity, each }))]
      : Array.from({ length: quantity }, () => lines)
  for (const round of rounds)
    for (const { count, each } of round) if (!weldAll(count, each)) return { welds: done, of: total }
  return { welds: done, of: total }
}
