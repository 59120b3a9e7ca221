/** Every criterion, in the order in which the amps, the wire and the gas reach the weld. A new one is a line here. */
import { PARTS_CHOSEN } from './chosen.ts'
import type { Criterion } from './criterion.ts'
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

const PLACES = new Map(CRITERIA.map((criterion, at) => [criterion, at]))
/** @returns where in the list a criterion is; -1 for one that is not in it */
export const placeOf = (criterion: Criterion): number => PLACES.get(criterion) ?? -1
