/** What criteria say of a set-up, with a job or without. */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import { Findings } from './findings.ts'
import type { Assessment, Mend } from './criterion.ts'
import { CRITERIA, criterionOf } from './list.ts'

export { Findings } from './findings.ts'
export { CRITERIA, criterionOf, placeOf } from './list.ts'
export { assessSlot, criteriaOfSlot } from './ofSlot.ts'

/**
 * Holds what a set-up carries against what a job asks.
 * @param demand null to look at the set-up alone
 * @returns one assessment a criterion that applies, as plain data, in the order of the list
 * @example assess(capability, demand).filter(({ verdict }) => verdict === 'fails')
 */
export function assess(capability: Capability, demand: Demand | null): readonly Assessment[] {
  const findings = new Findings(capability, demand)
  const found: Assessment[] = []
  for (let at = 0; at < CRITERIA.length; at += 1) {
    const one = findings.at(at)
    if (one) found.push(one)
  }
  return found
}

/**
 * @returns the mends of what does not fit, computed
 * @example mendsOf(failing, capability, demand) // [{ code: 'buy-packages', … }]
 */
export const mendsOf = (
  assessment: Assessment,
  capability: Capability,
  demand: Demand | null,
): readonly Mend[] =>
  assessment.verdict === 'fits' || assessment.verdict === 'unknown'
    ? []
    : (criterionOf(assessment.criterion).mends?.(capability, demand, assessment) ?? [])

/**
 * The worst verdict of all; unknown stands above tight.
 * @example worstOf(assess(capability, demand)) // 'fits'
 */
export const worstOf = (assessments: readonly Assessment[]): Verdict =>
  assessments.reduce<Verdict>((worst, { verdict }) => worseOf(worst, verdict), 'fits')
