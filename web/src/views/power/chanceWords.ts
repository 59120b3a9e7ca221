/** How likely a breaker is to go in a shift, in a sentence. */
import type { NodePower } from '@brannik/core'

const percent = (share: number): string => `${Math.round(share * 100)} %`

/**
 * @param span a time as people say it
 * @example chanceWords(node, span) // 'The usual breaker goes in 38 of 40 shifts (83 to 99 %), half of them within 12 min.'
 */
export function chanceWords({ shift }: Pick<NodePower, 'shift'>, span: (seconds: number) => string): string {
  const { trips, usuallyAfterS, aboveShare } = shift
  if (!trips)
    return aboveShare === 0
      ? 'Never asked for more than it gives hour after hour.'
      : `Asked for more than it gives hour after hour in ${percent(aboveShare)} of the time.`
  const { early, nominal } = trips
  if (nominal.times > 0) {
    const when = usuallyAfterS === null ? '' : `, half of them within ${span(usuallyAfterS)}`
    return `The usual breaker goes in ${nominal.times} of ${nominal.of} shifts (${percent(nominal.low)} to ${percent(nominal.high)})${when}.`
  }
  if (early.times > 0)
    return `The usual breaker holds; one that goes early goes in ${early.times} of ${early.of} shifts (${percent(early.low)} to ${percent(early.high)}).`
  return `Held in all ${early.of} shifts that were tried (a chance of at most ${percent(early.high)}).`
}
