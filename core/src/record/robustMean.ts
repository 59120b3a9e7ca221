/** A mean that one wild value does not move: what lies far off the middle of the others is left out. */
import { median } from '../changeover/median.ts'

/** A normal sample’s standard deviation is so many times its median deviation (handbook, statistics). */
const MAD_TO_SD = 1.4826
/** Farther off than this many of them is wild (common practice, no source). */
const MOST_SD = 3

export interface RobustMean {
  readonly mean: number
  /** Values that count. */
  readonly n: number
  /** Values that are left out. */
  readonly wild: number
}

/**
 * @param values at least one
 * @param leastSpread how finely such a value is known: nearer than that nothing is wild
 * @throws RangeError for an empty list
 * @example robustMean([1, 1.2, 0.9, 40], 0.3) // { mean: 1.03, n: 3, wild: 1 }
 */
export function robustMean(values: readonly number[], leastSpread: number): RobustMean {
  const middle = median(values)
  const spread = Math.max(leastSpread, MAD_TO_SD * median(values.map((value) => Math.abs(value - middle))))
  const near = values.filter((value) => Math.abs(value - middle) <= MOST_SD * spread)
  return {
    mean: near.reduce((sum, value) => sum + value, 0) / near.length,
    n: near.length,
    wild: values.length - near.length,
  }
}
