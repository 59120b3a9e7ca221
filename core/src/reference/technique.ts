/** How the gun or torch is held, by process and position: contact tip to work, push or drag, angle of travel. Common practice, no source. */
import { designationOf } from './designation.ts'
import { FILLET_KINDS } from '../model/jointKinds.ts'
import type { Position } from '../model/jointKinds.ts'
import type { Joint } from '../kinds/job.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'

export interface Range {
  readonly low: number
  readonly high: number
}

export interface Technique {
  /** Contact tip to work, mm; null by a torch. */
  readonly tipToWorkMm: Range | null
  /** Slag is dragged, so that it does not run ahead; gas-shielded wire and TIG are pushed. */
  readonly travel: 'push' | 'drag'
  /** From upright, in the direction of travel, degrees. */
  readonly angleDeg: Range
  /** Between gun and plate, across the joint: a fillet is split in half, degrees. */
  readonly workAngleDeg: number
}
type Held = Omit<Technique, 'workAngleDeg'>

const range = (low: number, high: number): Range => ({ low, high })
const PUSHED = range(10, 15)
const DRAGGED = range(15, 25)

const TECHNIQUES: Readonly<Record<ProcessId, Held>> = {
  'gmaw-short': { tipToWorkMm: range(9.525, 12.7), travel: 'push', angleDeg: PUSHED },
  'gmaw-spray': { tipToWorkMm: range(12.7, 19.05), travel: 'push', angleDeg: PUSHED },
  'gmaw-pulse': { tipToWorkMm: range(12.7, 19.05), travel: 'push', angleDeg: PUSHED },
  'fcaw-s': { tipToWorkMm: range(12.7, 19.05), travel: 'drag', angleDeg: DRAGGED },
  'fcaw-g': { tipToWorkMm: range(19.05, 31.75), travel: 'drag', angleDeg: DRAGGED },
  'gtaw-dc': { tipToWorkMm: null, travel: 'push', angleDeg: range(15, 20) },
  'gtaw-ac': { tipToWorkMm: null, travel: 'push', angleDeg: range(15, 20) },
  smaw: { tipToWorkMm: null, travel: 'drag', angleDeg: range(10, 20) },
}
/** What is held otherwise there than flat and horizontal. */
const BY_POSITION: Readonly<Partial<Record<Position, Readonly<Partial<Record<ProcessId, Partial<Held>>>>>>> =
  {
    // The slag freezes below the pool: a slight push, and a long stick-out that cools the wire’s pool.
    'vertical-up': {
      'gmaw-short': { angleDeg: range(5, 10) },
      'gmaw-pulse': { angleDeg: range(5, 10) },
      'fcaw-g': { travel: 'push', angleDeg: range(0, 10), tipToWorkMm: range(22.225, 28.575) },
      'fcaw-s': { angleDeg: range(5, 10) },
      smaw: { travel: 'push', angleDeg: range(5, 15) },
    },
    // The arc holds the pool up: pointed at it from below.
    'vertical-down': {
      'gmaw-short': { travel: 'drag', angleDeg: range(10, 15) },
      'gmaw-pulse': { travel: 'drag', angleDeg: range(10, 15) },
      'fcaw-s': { angleDeg: range(10, 20) },
      smaw: { angleDeg: range(15, 30) },
    },
    // A small pool, and the arc straight at it.
    overhead: {
      'gmaw-short': { angleDeg: range(5, 10) },
      'gmaw-pulse': { angleDeg: range(5, 10) },
      'fcaw-g': { angleDeg: range(5, 15), tipToWorkMm: range(19.05, 25.4) },
      'fcaw-s': { angleDeg: range(5, 15) },
      smaw: { angleDeg: range(5, 15) },
    },
  }
const ALUMINIUM_WIRE: Held = { tipToWorkMm: range(15.875, 19.05), travel: 'push', angleDeg: PUSHED }

const FILLET_DEG = 45
const SQUARE_DEG = 90

/** @returns how it is held; aluminium wire is always pushed, from further away */
export function techniqueFor(
  process: ProcessId,
  metal: Metal,
  { kind, position }: Pick<Joint, 'kind' | 'position'>,
): Technique {
  const own = { ...TECHNIQUES[process], ...BY_POSITION[position]?.[process] }
  const held = metal === 'aluminium' && own.tipToWorkMm !== null ? ALUMINIUM_WIRE : own
  return { ...held, workAngleDeg: FILLET_KINDS.includes(kind) ? FILLET_DEG : SQUARE_DEG }
}

/** How much more current a stick gets as its arc is pushed short: the ones that dig want it, soft ones do not. */
export type ArcForce = 'low' | 'middle' | 'high'
export function arcForceFor(classification: string): ArcForce {
  const { aws } = designationOf(classification)
  if (/^E601[01]/.test(aws)) return 'high'
  return /^E\d{2,3}1[68]/.test(aws) ? 'middle' : 'low'
}
