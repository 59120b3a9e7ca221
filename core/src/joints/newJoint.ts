/** A plain weld to begin with, and a plain job around it. */
import type { Job, Joint } from '../kinds/job.ts'

/**
 * A weld as it is usual, with what is different of this one.
 * @example newJoint('w1', { thicknessAMm: 3 }).kind // 'tee'
 */
export const newJoint = (id: string, part: Partial<Joint> = {}): Joint => ({
  id,
  kind: 'tee',
  materialA: 'hot-rolled',
  materialB: 'hot-rolled',
  thicknessAMm: 3.175,
  thicknessBMm: 3.175,
  legMm: 3.175,
  legBMm: null,
  bothSides: false,
  penetration: 'as-prepared',
  rootGapMm: 0,
  rootFaceMm: 0,
  includedAngleDeg: null,
  rootRadiusMm: 0,
  reinforcementMm: 0,
  backWeldMm: 0,
  backing: false,
  purge: false,
  diameterMm: null,
  headerDiameterMm: null,
  slotLengthMm: null,
  around: false,
  passes: null,
  position: 'horizontal',
  count: 1,
  lengthMm: 152.4,
  pattern: 'continuous',
  segmentMm: null,
  pitchMm: null,
  tackS: null,
  repositionS: null,
  ...part,
})

/**
 * A job with one usual weld: everything of it can stand.
 * @example newJob('gate', 'Gate').joints.length // 1
 */
export const newJob = (id: string, name: string, part: Partial<Job> = {}): Job => ({
  id,
  name,
  note: '',
  quantity: 1,
  timesPerYear: null,
  worthPerRun: null,
  dueOn: null,
  place: 'indoors',
  windKmPerH: null,
  quality: 'ordinary',
  priority: 'usual',
  sizing: 'code-table',
  serviceTemperatureC: null,
  preheatC: null,
  anodised: false,
  handling: 'turned',
  order: 'piece-by-piece',
  hoursSetAside: null,
  pauseS: null,
  state: 'planned',
  setUpId: null,
  joints: [newJoint('w1', { count: 4 })],
  ...part,
})
