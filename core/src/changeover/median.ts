/** The middle of a list of numbers. */

/**
 * @param values at least one
 * @throws RangeError for an empty list
 * @example median([1, 5, 2]) // 2
 */
export function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  const middle = sorted.length >> 1
  const [low, high] = [sorted[sorted.length % 2 === 0 ? middle - 1 : middle], sorted[middle]]
  if (low === undefined || high === undefined)
    throw new RangeError('the median of an empty list is not defined')
  return (low + high) / 2
}
