/** Every criterion, in the order in which the amps, the wire and the gas reach the weld. A new one is a line here. */
import type { Capability } from '../capability/capability.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Slot } from '../kinds/slots.ts'
import type { Demand } from '../demand/demand.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'
import { isConsequence, PARTS_CHOSEN } from './chosen.ts'
import type { Assessment, Criterion, Mend } from './criterion.ts'
import { slotsOf } from './criterion.ts'
import { ARC_CRITERIA } from './arcVolts.ts'
import { CURRENT_CRITERIA, WIRE_AND_OUTPUT_CRITERIA } from './current.ts'
import { FEED_CRITERIA } from './feedSpeed.ts'
import { FEEDER_CRITERIA } from './feeder.ts'
import { GAS_CRITERIA } from './gas.ts'
import { GUN_CRITERIA } from './gun.ts'
import { GUN_END_CRITERIA } from './gunEnd.ts'
import { JOINT_CRITERIA } from './joint.ts'
import { LINER_CRITERIA } from './liner.ts'
import { PACE_CRITERIA } from './pace.ts'
import { PARTS_CLASS_CRITERIA } from './partsClass.ts'
import { POLARITY_CRITERIA } from './polarity.ts'
import { PROCEDURE_CRITERIA } from './procedure.ts'
import { ROLL_CRITERIA } from './rolls.ts'
import { SOURCE_CRITERIA } from './source.ts'
import { SUPPLY_CRITERIA } from './supply.ts'
import { THICKNESS_CRITERIA } from './thickness.ts'
import { TORCH_CRITERIA } from './torch.ts'
import { PROGRAM_CRITERIA } from './programs.ts'
import { REACH_CRITERIA } from './tipReach.ts'
import { USE_CRITERIA } from './use.ts'
import { WIRE_CRITERIA } from './wire.ts'

export const CRITERIA: readonly Criterion[] = [
  ...SUPPLY_CRITERIA,
  ...PACE_CRITERIA,
  ...CURRENT_CRITERIA,
  ...ARC_CRITERIA,
  ...FEED_CRITERIA,
  ...THICKNESS_CRITERIA,
  ...WIRE_AND_OUTPUT_CRITERIA,
  ...POLARITY_CRITERIA,
  PARTS_CHOSEN,
  ...SOURCE_CRITERIA,
  ...PROGRAM_CRITERIA,
  ...GUN_CRITERIA,
  ...TORCH_CRITERIA,
  ...FEEDER_CRITERIA,
  ...ROLL_CRITERIA,
  ...GUN_END_CRITERIA,
  ...LINER_CRITERIA,
  ...PARTS_CLASS_CRITERIA,
  ...WIRE_CRITERIA,
  ...GAS_CRITERIA,
  ...JOINT_CRITERIA,
  ...REACH_CRITERIA,
  ...PROCEDURE_CRITERIA,
  ...USE_CRITERIA,
]

const BY_ID = new Map(CRITERIA.map((criterion) => [criterion.id, criterion]))
/**
 * @throws RangeError for an id that no criterion has
 * @example criterionOf('gas-use').group // null: it measures
 */
export function criterionOf(id: string): Criterion {
  const found = BY_ID.get(id)
  if (!found) throw new RangeError(`there is no criterion ${id}`)
  return found
}

/** What is the same for every job, by set-up: a board holds hundreds of jobs against each. */
const ofSetUps = new WeakMap<Capability, ReadonlyMap<Criterion, Assessment | null>>()
const OF_SET_UP = CRITERIA.filter(({ isOfSetUp }) => isOfSetUp === true)
export function assessmentsOfSetUp(capability: Capability): ReadonlyMap<Criterion, Assessment | null> {
  const found = ofSetUps.get(capability)
  if (found) return found
  const made = new Map(OF_SET_UP.map((criterion) => [criterion, criterion.assess(capability, null)]))
  ofSetUps.set(capability, made)
  return made
}

/** What is the same for every set-up with this process and this wire, by what the job asks of them. */
interface OfWork {
  readonly shop: Shop
  readonly found: Map<Criterion, Assessment | null>
}
const ofWorks = new WeakMap<Demand, OfWork>()

/** @returns what one criterion finds that is not of the set-up alone; asked once where it looks at no other part */
export function assessOfJob(criterion: Criterion, capability: Capability, demand: Demand): Assessment | null {
  const { shop, wire, process } = capability
  if (criterion.isOfWork !== true || wire !== demand.wire || process.id !== demand.processId)
    return criterion.assess(capability, demand)
  let work = ofWorks.get(demand)
  if (work?.shop !== shop) ofWorks.set(demand, (work = { shop, found: new Map() }))
  const known = work.found.get(criterion)
  if (known !== undefined) return known
  const made = criterion.assess(capability, demand)
  work.found.set(criterion, made)
  return made
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
  const known = assessmentsOfSetUp(capability)
  const found: Assessment[] = []
  for (const criterion of CRITERIA) {
    const assessment =
      criterion.isOfSetUp === true
        ? known.get(criterion)
        : demand === null
          ? criterion.assess(capability, null)
          : assessOfJob(criterion, capability, demand)
    if (assessment) found.push(assessment)
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
