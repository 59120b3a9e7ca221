/**
 * Figures of a weld that contradict each other, such as a leg larger than the edge it lies on. Each may be typed in any
 * order, so none is refused: the weld says what contradicts, and is reckoned meanwhile with a figure that can be.
 */
import { BEVELLED_KINDS } from '../model/jointKinds.ts'
import type { Job, Joint } from '../kinds/job.ts'
import { figure, type Params } from '../model/message.ts'

export type ContradictionCode =
  | 'branch-over-header'
  | 'wall-over-radius'
  | 'slot-under-width'
  | 'leg-over-edge'
  | 'leg-over-corner'
  | 'leg-over-flare'
  | 'face-over-part'
  | 'radius-over-groove'
  | 'passes-too-thin'
  | 'cjp-face'
  | 'cjp-closed'

/** The figures of a weld that may contradict others. */
type Figure =
  | 'diameterMm'
  | 'thicknessAMm'
  | 'slotLengthMm'
  | 'legMm'
  | 'rootFaceMm'
  | 'rootGapMm'
  | 'rootRadiusMm'
  | 'passes'

export interface Contradiction {
  readonly code: ContradictionCode
  readonly key: Figure
  /** What is written, and the bound that the other figures set; mm, or passes. */
  readonly is: number
  readonly bound: number
  /** What the weld is reckoned with until somebody mends it. */
  readonly meanwhile: number
}

/** A figure in inches is no larger than the same in millimetres. */
const ROUNDED_MM = 1e-6
/** Below this leg no pass is laid. Common practice, no source. */
const LEAST_PASS_LEG_MM = 1
/** A wall just below the radius still has a bore. */
const NEARLY = 0.95

const thinnerOf = ({ thicknessAMm, thicknessBMm }: Joint): number => Math.min(thicknessAMm, thicknessBMm)

/**
 * Melted through from one side without backing: the root face that an arc still melts, the opening that lets it through,
 * and the square edge that needs none. AWS D1.1, figure 5.1 (B-L1 and B-U2), from memory: f at most 1/8 in, R of a square
 * edge half its thickness.
 */
const CJP_FACE_MM = 3.2
const CJP_OPENING_MM = 1.6
const CJP_SHUT_MM = 3.2
/** A groove from both sides, or a back weld, is gouged to sound metal before the second side: its root may be shut. */
const isOneSided = ({ kind, backing, backWeldMm }: Joint): boolean =>
  !kind.startsWith('double') && !backing && backWeldMm <= 0
const isCjp = (joint: Joint): boolean => joint.penetration === 'complete' && isOneSided(joint)
const openingFor = (joint: Joint): number => {
  const thinnerMm = thinnerOf(joint)
  if (thinnerMm <= CJP_SHUT_MM) return 0
  return joint.kind === 'square' ? thinnerMm / 2 : CJP_OPENING_MM
}

type Rule = (joint: Joint) => Contradiction | null
const above = (
  code: ContradictionCode,
  key: Figure,
  is: number | null,
  bound: number | null,
  meanwhile = bound,
): Contradiction | null =>
  is === null || bound === null || meanwhile === null || is <= bound + ROUNDED_MM
    ? null
    : { code, key, is, bound, meanwhile }

const STEP_MM = 25.4 / 32
/** A sheet is called by the next common fraction: 11 ga is 0.1196 in, and takes a leg of 1/8 in. */
const calledMm = (thicknessMm: number): number => Math.ceil((thicknessMm - ROUNDED_MM) / STEP_MM) * STEP_MM
const aboveSheet = (
  code: ContradictionCode,
  legMm: number | null,
  thicknessMm: number,
): Contradiction | null =>
  legMm !== null && legMm <= calledMm(thicknessMm) + ROUNDED_MM
    ? null
    : above(code, 'legMm', legMm, thicknessMm)

/** In this order: a later one rests on figures that an earlier one may have put right. */
const RULES: readonly Rule[] = [
  ({ kind, diameterMm, headerDiameterMm }) =>
    kind === 'saddle' ? above('branch-over-header', 'diameterMm', diameterMm, headerDiameterMm) : null,
  ({ kind, around, diameterMm, thicknessAMm }) => {
    if (!around && kind !== 'saddle') return null
    const radius = diameterMm === null ? null : diameterMm / 2
    // A wall as thick as the radius is a bar.
    const bound = radius === null ? null : radius - 2 * ROUNDED_MM
    return above('wall-over-radius', 'thicknessAMm', thicknessAMm, bound, radius && radius * NEARLY)
  },
  ({ kind, slotLengthMm, diameterMm }) =>
    kind === 'slot' && slotLengthMm !== null && diameterMm !== null && slotLengthMm < diameterMm
      ? {
          code: 'slot-under-width',
          key: 'slotLengthMm',
          is: slotLengthMm,
          bound: diameterMm,
          meanwhile: diameterMm,
        }
      : null,
  ({ kind, legMm, thicknessAMm }) =>
    kind === 'lap' ? aboveSheet('leg-over-edge', legMm, thicknessAMm) : null,
  (joint) =>
    joint.kind === 'outside-corner' ? aboveSheet('leg-over-corner', joint.legMm, thinnerOf(joint)) : null,
  ({ kind, legMm, diameterMm }) =>
    kind === 'flare-v' || kind === 'flare-bevel'
      ? above('leg-over-flare', 'legMm', legMm, diameterMm === null ? null : diameterMm / 2)
      : null,
  (joint) => {
    if (!BEVELLED_KINDS.includes(joint.kind)) return null
    // A face as deep as the part leaves no groove.
    return above('face-over-part', 'rootFaceMm', joint.rootFaceMm, thinnerOf(joint) - 2 * ROUNDED_MM, 0)
  },
  (joint) => (isCjp(joint) ? above('cjp-face', 'rootFaceMm', joint.rootFaceMm, CJP_FACE_MM) : null),
  (joint) => {
    const bound = openingFor(joint)
    return isCjp(joint) && joint.rootGapMm < bound - ROUNDED_MM
      ? { code: 'cjp-closed', key: 'rootGapMm', is: joint.rootGapMm, bound, meanwhile: bound }
      : null
  },
  (joint) =>
    joint.kind === 'u' || joint.kind === 'j'
      ? above('radius-over-groove', 'rootRadiusMm', joint.rootRadiusMm, thinnerOf(joint) - joint.rootFaceMm)
      : null,
  ({ legMm, passes }) => {
    if (legMm === null || passes === null || passes < 2) return null
    const most = Math.max(1, Math.floor((legMm / LEAST_PASS_LEG_MM) ** 2))
    return above('passes-too-thin', 'passes', passes, most)
  },
]

/** What its sentence names. */
export function contradictionParams({ key, is, bound, meanwhile }: Contradiction): Params {
  const unit = key === 'passes' ? '' : 'mm'
  return { is: figure(is, unit), bound: figure(bound, unit), meanwhile: figure(meanwhile, unit) }
}

export interface Settled {
  /** The weld with every contradiction put right. */
  readonly joint: Joint
  readonly contradictions: readonly Contradiction[]
}
const NONE: readonly Contradiction[] = []

/**
 * @returns the weld as it is reckoned, and what contradicts in it; the weld itself where nothing does
 * @example settleJoint({ ...lap, legMm: 9, thicknessAMm: 6 }).joint.legMm // 6
 */
export function settleJoint(joint: Joint): Settled {
  let settled = joint
  let contradictions = NONE
  for (const rule of RULES) {
    const found = rule(settled)
    if (!found) continue
    settled = { ...settled, [found.key]: found.meanwhile }
    contradictions = [...contradictions, found]
  }
  return { joint: settled, contradictions }
}

/** A job as it is reckoned, with what contradicts in its welds; the job itself where nothing does. */
export function settleJob(job: Job): {
  readonly job: Job
  readonly contradictions: readonly (Contradiction & { readonly weldId: string })[]
} {
  const settled = job.joints.map(settleJoint)
  const contradictions = settled.flatMap(({ joint, contradictions: found }) =>
    found.map((one) => ({ ...one, weldId: joint.id })),
  )
  return {
    job: contradictions.length === 0 ? job : { ...job, joints: settled.map(({ joint }) => joint) },
    contradictions,
  }
}
