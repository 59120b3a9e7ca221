/**
 * How likely a breaker is to trip in a shift, in a sentence. The interval covers how few shifts were simulated, and not how far
 * the model of the breaker may be off.
 */
import type { Chance, NodePower } from '@brannik/core'

const percent = (share: number): string => `${Math.round(share * 100)} %`

/**
 * @param span a time as people say it
 * @example chanceWords(node, span) // 'A typical breaker trips in 38 of 40 simulated shifts (83 % to 99 % by sampling alone), …'
 */
export function chanceWords({ shift }: Pick<NodePower, 'shift'>, span: (seconds: number) => string): string {
  const { trips, usuallyAfterS, aboveShare } = shift
  if (!trips)
    return aboveShare === 0
      ? 'Never above its continuous output.'
      : `Above its continuous output ${percent(aboveShare)} of the time.`
  const { early, nominal, late } = trips
  const chance = ({ times, of, low, high }: Chance): string =>
    `${times} of ${of} simulated shifts (${percent(low)} to ${percent(high)} by sampling alone)`
  if (nominal.times > 0) {
    const when = usuallyAfterS === null ? '' : `, half of them within ${span(usuallyAfterS)}`
    const latest = late.times > 0 ? `the slowest in ${late.times}` : 'the slowest holds'
    return `A typical breaker trips in ${chance(nominal)}${when}; the fastest in ${early.times}, ${latest}.`
  }
  if (early.times > 0) return `A typical breaker holds. The fastest of its type trips in ${chance(early)}.`
  return `Even the fastest breaker holds in all ${early.of} simulated shifts (at most ${percent(early.high)} trip, by sampling alone).`
}
