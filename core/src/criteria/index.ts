/** What criteria say of a set-up, with a job or without. */
import type { Capability } from '../capability/capability.ts'
import type { Slot } from '../kinds/slots.ts'
import type { Demand } from '../demand/demand.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'
import { Findings, soonestOf } from './findings.ts'
import { isConsequence } from './chosen.ts'
import type { Assessment, Criterion, Mend } from './criterion.ts'
import { slotsOf } from './criterion.ts'
import { CRITERIA, criterionOf } from './list.ts'

export { Findings, verdictAlone } from './findings.ts'
export { CRITERIA, criterionOf, placeOf } from './list.ts'

/**
 * How many criteria have the worst verdict of all that are asked.
 * @returns null where there are as many as `fewest`, or more: then no more are counted
 */
export function countAgainst(capability: Capability, demand: Demand, fewest: number): number | null {
  const findings = new Findings(capability, demand)
  const counts: Record<Verdict, number> = { fits: 0, tight: 0, unknown: 0, fails: 0 }
  let worst: Verdict = 'fits'
  for (const at of soonestOf(capability)) {
    const verdict = findings.at(at)?.verdict
    if (verdict === undefined) continue
    counts[verdict] += 1
    worst = worseOf(worst, verdict)
    if (counts.fails >= fewest) return null
  }
  return counts[worst] < fewest ? counts[worst] : null
}

function assessAll(
  criteria: readonly Criterion[],
  capability: Capability,
  demand: Demand | null,
): Assessment[] {
  const found: Assessment[] = []
  for (const criterion of criteria) {
    const assessment = criterion.assess(capability, demand)
    if (assessment) found.push(assessment)
  }
  return found
}

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

const ofSlots = (process: ProcessId) => {
  const bySlot = new Map<Slot, Criterion[]>()
  for (const criterion of CRITERIA)
    for (const slot of slotsOf(criterion, PROCESSES[process]))
      bySlot.set(slot, [...(bySlot.get(slot) ?? []), criterion])
  return bySlot
}
const BY_SLOT = new Map(PROCESS_IDS.map((process) => [process, ofSlots(process)]))

/** @returns the criteria whose answer depends on the part in one place */
export const criteriaOfSlot = (slot: Slot, process: ProcessId): readonly Criterion[] =>
  BY_SLOT.get(process)?.get(slot) ?? []

/**
 * @returns what is to be said of the part in one place; what only follows from something else is left out
 * @example assessSlot('tip', capability, null).map(({ criterion }) => criterion) // ['tip-bore', …]
 */
export const assessSlot = (
  slot: Slot,
  capability: Capability,
  demand: Demand | null,
): readonly Assessment[] =>
  assessAll(criteriaOfSlot(slot, capability.process.id), capability, demand).filter(
    (assessment) => !isConsequence(assessment),
  )

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
