/** The duty curve of a power source, gun or torch through its rated points. */
import type { RatedPoint } from '../model/equipment.ts'

/** Heat goes with the square of the current: I²·X is constant outside the rated points (IEC 60974-1). */
const SQUARE = 2

const byCurrent = (points: readonly RatedPoint[]): RatedPoint[] =>
  [...points].sort((a, b) => a.currentA - b.currentA)

/**
 * Exponent n of I^n·X = constant between two rated points. A thermally consistent plate gives 2; whatever
 * it gives, the curve then passes through both points, which are measured, and only bends between them.
 */
function exponent(low: RatedPoint, high: RatedPoint): number {
  return Math.log(low.dutyPct / high.dutyPct) / Math.log(high.currentA / low.currentA)
}

/** The rated point and exponent that hold at a place on the curve. */
function segment(
  points: readonly RatedPoint[],
  isBeyond: (high: RatedPoint) => boolean,
): { from: RatedPoint; power: number } {
  const sorted = byCurrent(points)
  const first = sorted[0]
  if (!first) throw new RangeError('a duty curve needs at least one rated point')
  let from = first
  for (const next of sorted.slice(1)) {
    if (!isBeyond(next)) return { from, power: isBeyond(from) ? exponent(from, next) : SQUARE }
    from = next
  }
  return { from, power: SQUARE }
}

/**
 * Duty allowed at a current.
 * @param points rated points, at least one; duty falls as current rises
 * @param currentA above 0
 * @returns %, at most 100
 * @throws RangeError without a rated point
 */
export function dutyAtCurrentPct(points: readonly RatedPoint[], currentA: number): number {
  const { from, power } = segment(points, (point) => currentA >= point.currentA)
  return Math.min(100, from.dutyPct * (from.currentA / currentA) ** power)
}

/**
 * Greatest current at a duty: the inverse of {@link dutyAtCurrentPct}.
 * @param dutyPct above 0
 * @returns A
 */
export function currentAtDutyA(points: readonly RatedPoint[], dutyPct: number): number {
  const { from, power } = segment(points, (point) => dutyPct <= point.dutyPct)
  return from.currentA * (from.dutyPct / dutyPct) ** (1 / power)
}
