/** Fills in what a kind of joint needs with what is usual, and takes out what it has no use for. */
import { BEVELLED_KINDS, BUTT_KINDS, FILLET_KINDS, ROUND_KINDS } from '../model/jointKinds.ts'
import { type Joint } from '../kinds/job.ts'

const USUAL_V_DEG = 60
const USUAL_BEVEL_DEG = 45
/** A U or J is cut steep: its radius makes the room at the root. */
const USUAL_ROUNDED_DEG = 20
const USUAL_RADIUS_MM = 6
const LEAST_RADIUS_MM = 0.1
const USUAL_HOLE_MM = 12.7
const USUAL_TUBE_MM = 50.8
/** Of the thickness: what a groove of partial penetration leaves unwelded where no depth is given. Common practice, no source. */
const USUAL_PJP_FACE = 0.25

/** Half the groove where that is shallow; never so small that it is none. */
const usualRadius = (depthMm: number): number =>
  Math.max(LEAST_RADIUS_MM, Math.min(USUAL_RADIUS_MM, depthMm / 2))

function usualAngle({ kind }: Joint): number {
  if (kind === 'u' || kind === 'j') return USUAL_ROUNDED_DEG
  return kind === 'bevel' || kind === 'double-bevel' ? USUAL_BEVEL_DEG : USUAL_V_DEG
}

/**
 * @param isNewKind true where the kind has just been chosen: then a hole that was there is not taken for a tube, nor the
 *   angle of a V for that of a bevel
 * @returns the joint with every field that its kind needs; what was given stays where the kind has use for it
 * @example completeJoint({ ...joint, kind: 'v' }, true).includedAngleDeg // 60
 */
export function completeJoint(joint: Joint, isNewKind = false): Joint {
  const { kind } = joint
  const thinner = Math.min(joint.thicknessAMm, joint.thicknessBMm)
  const fillet = FILLET_KINDS.includes(kind)
  const flare = kind === 'flare-v' || kind === 'flare-bevel'
  const bevelled = BEVELLED_KINDS.includes(kind)
  const rounded = kind === 'u' || kind === 'j'
  const hole = kind === 'plug' || kind === 'slot'
  const round = ROUND_KINDS.includes(kind) || joint.around
  const tube = joint.around || kind === 'saddle'
  const usual = hole ? USUAL_HOLE_MM : Math.max(USUAL_TUBE_MM, tube ? 4 * joint.thicknessAMm : 0)
  const unfit = isNewKind && tube && (joint.diameterMm ?? 0) <= 2 * joint.thicknessAMm
  const diameterMm = round ? (unfit ? usual : (joint.diameterMm ?? usual)) : null
  const penetration = BUTT_KINDS.includes(kind) ? joint.penetration : 'as-prepared'
  const isShallow = penetration === 'partial' && joint.rootFaceMm <= 0
  const rootFaceMm = bevelled ? (isShallow ? thinner * USUAL_PJP_FACE : joint.rootFaceMm) : 0
  const single = kind === 'bevel' || kind === 'double-bevel' || kind === 'j'
  const angle = joint.includedAngleDeg ?? usualAngle(joint)
  return {
    ...joint,
    legMm: fillet ? (joint.legMm ?? thinner) : flare ? joint.legMm : null,
    legBMm: fillet ? joint.legBMm : null,
    bothSides: fillet && joint.bothSides,
    penetration,
    rootGapMm: fillet || hole || kind === 'edge' ? 0 : joint.rootGapMm,
    rootFaceMm,
    includedAngleDeg: bevelled ? (isNewKind && single && angle >= 90 ? USUAL_BEVEL_DEG : angle) : null,
    rootRadiusMm: rounded ? joint.rootRadiusMm || usualRadius(thinner - rootFaceMm) : 0,
    reinforcementMm:
      fillet || hole ? 0 : kind === 'edge' ? joint.reinforcementMm || thinner / 2 : joint.reinforcementMm,
    backWeldMm: fillet || hole || flare || kind === 'edge' ? 0 : joint.backWeldMm,
    diameterMm,
    headerDiameterMm:
      kind === 'saddle' ? (joint.headerDiameterMm ?? (diameterMm ?? USUAL_TUBE_MM) * 1.5) : null,
    slotLengthMm: kind === 'slot' ? (joint.slotLengthMm ?? (diameterMm ?? USUAL_HOLE_MM) * 3) : null,
  }
}
