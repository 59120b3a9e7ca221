/** Every criterion, in the order in which the amps, the wire and the gas reach the weld. A new one is a line here. */
import { type Capability, NOTHING_SET } from '../capability/capability.ts'
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

/** What was found of each criterion, by its place in the list; undefined for what nobody has asked yet. */
type Found = (Assessment | null | undefined)[]
/** What is the same for every job, by set-up: a board holds hundreds of jobs against each. */
const ofSetUps = new WeakMap<Capability, Found>()

/** What is found of one job with one process and wire. */
interface OfDemand {
  readonly shop: Shop
  readonly building: Capability['building']
  /** The same for every set-up with both. */
  readonly ofWork: Found
  /** The same for every set-up that hangs its source on the circuit in the same way, whatever else is in it. */
  readonly ofSupply: Map<Capability['powerSource'], Map<Capability['circuit'], Map<string, Found>>>
}
const ofDemands = new WeakMap<Demand, OfDemand>()

/** Criteria that look at source and circuit alone: how both are used the demand says, and what is set beside the parts. */
const isOfSupply = ({ slots, isOfSetUp, isOfWork }: Criterion): boolean =>
  isOfSetUp !== true &&
  isOfWork !== true &&
  typeof slots !== 'function' &&
  slots.length === 2 &&
  slots.includes('circuit') &&
  slots.includes('powerSource')
const OF_SUPPLY = CRITERIA.map(isOfSupply)

/** Answers that are kept for most cells of a board come first: the work's, the set-up's, then the supply's. */
const keptFor = (criterion: Criterion): number => {
  if (criterion.isOfWork === true) return 0
  if (criterion.isOfSetUp === true) return 1
  return isOfSupply(criterion) ? 2 : 3
}
/** Every place of the list, in the order in which a verdict alone is found soonest. */
const SOONEST: readonly number[] = CRITERIA.map((criterion, at) => [keptFor(criterion), at] as const)
  .sort(([a], [b]) => a - b)
  .map(([, at]) => at)

function foundOfSetUp(capability: Capability): Found {
  let found = ofSetUps.get(capability)
  if (!found) ofSetUps.set(capability, (found = []))
  return found
}

/** @returns null where the demand is that of another process or wire: then nothing of it is kept */
function foundOfDemand(
  { shop, building, wire, process }: Capability,
  demand: Demand | null,
): OfDemand | null {
  if (demand === null || wire !== demand.wire || process.id !== demand.processId) return null
  let found = ofDemands.get(demand)
  if (found?.shop !== shop || found.building !== building)
    ofDemands.set(demand, (found = { shop, building, ofWork: [], ofSupply: new Map() }))
  return found
}

/** All that is set beside the parts, whatever is added to it: what is left out of a key could not be told apart. */
const SET_BESIDE = Object.keys(NOTHING_SET) as (keyof typeof NOTHING_SET)[]
const settingsKeys = new WeakMap<Capability['settings'], string>()
function settingsKey({ settings }: Capability): string {
  let key = settingsKeys.get(settings)
  if (key === undefined) {
    key = JSON.stringify([settings.polarity, ...SET_BESIDE.map((one) => settings[one])])
    settingsKeys.set(settings, key)
  }
  return key
}

function foundOfSupply(capability: Capability, { ofSupply }: OfDemand): Found {
  const { powerSource, circuit } = capability
  let byCircuit = ofSupply.get(powerSource)
  if (!byCircuit) ofSupply.set(powerSource, (byCircuit = new Map<typeof circuit, Map<string, Found>>()))
  let bySettings = byCircuit.get(circuit)
  if (!bySettings) byCircuit.set(circuit, (bySettings = new Map<string, Found>()))
  const key = settingsKey(capability)
  let found = bySettings.get(key)
  if (!found) bySettings.set(key, (found = []))
  return found
}

/**
 * Asks criteria of one set-up and one job: each of the set-up alone once for all jobs, each of the job with process and
 * wire once for all set-ups with both, each of the supply once for all that hang the same source on the same circuit.
 * @returns what the criterion at a place of the list finds
 * @example const found = asks(capability, demand)(0)
 */
export function asks(capability: Capability, demand: Demand | null): (at: number) => Assessment | null {
  const ofDemand = foundOfDemand(capability, demand)
  let ofSetUp: Found | null = null
  let ofSupply: Found | null = null
  const keptIn = ({ isOfSetUp, isOfWork }: Criterion, at: number): Found | null => {
    if (isOfSetUp === true) return (ofSetUp ??= foundOfSetUp(capability))
    if (ofDemand === null) return null
    if (isOfWork === true) return ofDemand.ofWork
    if (OF_SUPPLY[at] !== true) return null
    ofSupply ??= foundOfSupply(capability, ofDemand)
    return ofSupply
  }
  return (at) => {
    const criterion = CRITERIA[at]
    if (!criterion) return null
    const kept = keptIn(criterion, at)
    const known = kept?.[at]
    if (known !== undefined) return known
    const made = criterion.assess(capability, criterion.isOfSetUp === true ? null : demand)
    if (kept) kept[at] = made
    return made
  }
}

/**
 * The verdict alone, of a job with a set-up: what ends it at once is asked first.
 * @example verdictAlone(capability, demand) === worstOf(assess(capability, demand)) // true
 */
export function verdictAlone(capability: Capability, demand: Demand): Verdict {
  const ask = asks(capability, demand)
  let worst: Verdict = 'fits'
  for (const at of SOONEST) {
    const verdict = ask(at)?.verdict
    if (verdict === 'fails') return 'fails'
    if (verdict !== undefined) worst = worseOf(worst, verdict)
  }
  return worst
}

/**
 * How many criteria have the worst verdict of all that are asked.
 * @returns null where there are as many as `fewest`, or more: then no more are counted
 */
export function countAgainst(capability: Capability, demand: Demand, fewest: number): number | null {
  const ask = asks(capability, demand)
  const counts: Record<Verdict, number> = { fits: 0, tight: 0, unknown: 0, fails: 0 }
  let worst: Verdict = 'fits'
  for (const at of SOONEST) {
    const verdict = ask(at)?.verdict
    if (verdict === undefined) continue
    counts[verdict] += 1
    worst = worseOf(worst, verdict)
    if (counts.fails >= fewest) return null
  }
  return counts[worst] < fewest ? counts[worst] : null
}

const PLACES = new Map(CRITERIA.map((criterion, at) => [criterion, at]))
/** @returns where in the list a criterion is; -1 for one that is not in it */
export const placeOf = (criterion: Criterion): number => PLACES.get(criterion) ?? -1

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
  const ask = asks(capability, demand)
  const found: Assessment[] = []
  for (let at = 0; at < CRITERIA.length; at += 1) {
    const one = ask(at)
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
