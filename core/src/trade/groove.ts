/** The groove of a butt or corner joint: how wide it is at each height, one rule a kind. */
import { type JointKind } from '../model/jointKinds.ts'
import type { Joint } from '../kinds/job.ts'

const DEGREE = Math.PI / 180

export const thinnerMm = (joint: Pick<Joint, 'thicknessAMm' | 'thicknessBMm'>): number =>
  Math.min(joint.thicknessAMm, joint.thicknessBMm)

export const thickerMm = (joint: Pick<Joint, 'thicknessAMm' | 'thicknessBMm'>): number =>
  Math.max(joint.thicknessAMm, joint.thicknessBMm)

/** Sides of a groove that are cut: a V has two, a bevel one. */
const CUT_SIDES: Partial<Record<JointKind, 1 | 2>> = {
  v: 2,
  'double-v': 2,
  u: 2,
  bevel: 1,
  'double-bevel': 1,
  j: 1,
}

/** Angle of one cut side from upright: half the included angle of two sides, the whole of one. */
export function sideAngleRad(joint: Pick<Joint, 'kind' | 'includedAngleDeg'>): number {
  const sides = CUT_SIDES[joint.kind] ?? 2
  return ((joint.includedAngleDeg ?? 60) / sides) * DEGREE
}

/** How far one cut side stands back from its root at a height above it. */
function sideOffsetMm(joint: Joint, heightMm: number): number {
  if (heightMm <= 0) return 0
  const angle = sideAngleRad(joint)
  if (joint.kind !== 'u' && joint.kind !== 'j') return heightMm * Math.tan(angle)
  const r = joint.rootRadiusMm
  const roundTop = r * (1 - Math.sin(angle))
  if (heightMm >= roundTop) return r * Math.cos(angle) + (heightMm - roundTop) * Math.tan(angle)
  return Math.sqrt(Math.max(0, r ** 2 - (r - heightMm) ** 2))
}

export const isDoubleSided = (kind: JointKind): boolean => kind === 'double-v' || kind === 'double-bevel'

/** Height above the bottom at which the cut begins, and how deep it is (from either side of a double one). */
export function cutOf(joint: Joint): { rootFromMm: number; rootToMm: number; depthMm: number } {
  const t = thinnerMm(joint)
  if (CUT_SIDES[joint.kind] === undefined) return { rootFromMm: 0, rootToMm: t, depthMm: 0 }
  const face = Math.min(joint.rootFaceMm, t)
  if (!isDoubleSided(joint.kind)) return { rootFromMm: 0, rootToMm: face, depthMm: t - face }
  const depthMm = (t - face) / 2
  return { rootFromMm: depthMm, rootToMm: depthMm + face, depthMm }
}

/**
 * How far the left and the right side of a groove stand from its middle line.
 * @param yMm height above the bottom of the thinner part
 */
export function sidesAt(joint: Joint, yMm: number): { left: number; right: number } {
  const { rootFromMm, rootToMm } = cutOf(joint)
  const half = joint.rootGapMm / 2
  const above = Math.max(yMm - rootToMm, rootFromMm - yMm)
  const offset = sideOffsetMm(joint, above)
  return {
    left: half + (CUT_SIDES[joint.kind] === 2 ? offset : 0),
    right: half + (CUT_SIDES[joint.kind] === undefined ? 0 : offset),
  }
}

/** mm */
export function widthAtMm(joint: Joint, yMm: number): number {
  const { left, right } = sidesAt(joint, yMm)
  return left + right
}
