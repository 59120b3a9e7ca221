/**
 * Whether a breaker holds while arcs come and go: its thermal element as one heat store.
 *
 * The standard gives trip times, not a model. One time constant is fitted to its two points (135 % within an
 * hour, 200 % within minutes); the element is then let no hotter than its rated current makes it for ever. So
 * the answer is an estimate, on the side of an early trip.
 */

const MUST_TRIP = 1.35
const DOUBLE = 2

/**
 * Time constant of an element that trips at 135 % only after hours and at 200 % just in time.
 * @param tripAtDoubleS longest trip time at 200 %, s
 * @returns s
 */
export const timeConstantS = (tripAtDoubleS: number): number =>
  tripAtDoubleS / -Math.log(1 - (MUST_TRIP / DOUBLE) ** 2)

/**
 * How many times its rated current a breaker holds through arcs of this length with pauses between, for ever.
 * @param arcS length of an arc, s
 * @param offS pause after it, s
 * @returns at least 1; 1 for an arc without end
 */
export function overloadFactor(arcS: number, offS: number, constantS: number): number {
  if (arcS <= 0) return Number.POSITIVE_INFINITY
  const heated = 1 - Math.exp(-arcS / constantS)
  const cycle = 1 - Math.exp(-(arcS + offS) / constantS)
  return Math.sqrt(cycle / heated)
}

/**
 * How long a cold breaker takes an overload before the model trips it.
 * @param overload current over rated current
 * @returns s; Infinity where it never trips
 */
export function tripTimeS(overload: number, constantS: number): number {
  if (overload <= 1) return Number.POSITIVE_INFINITY
  return -constantS * Math.log(1 - 1 / overload ** 2)
}
