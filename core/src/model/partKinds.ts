/** Kinds of small parts, in the order in which they stand from the feeder to the arc. */
import type { PartKind } from './part.ts'

export const PART_KINDS = [
  'drive-roll',
  'liner',
  'contact-tip',
  'nozzle',
  'collet',
  'collet-body',
  'cup',
  'back-cap',
  'flow-meter',
] as const satisfies readonly PartKind[]
