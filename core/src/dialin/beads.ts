/** A bead that is too cold, right or too hot, in figures: what a drawing of its section needs. Common practice, no source. */
import type { Joint } from '../kinds/job.ts'
import { isFillet, legsMm } from '../trade/geometry.ts'
import { thinnerMm } from '../trade/groove.ts'

export const BEAD_STATES = ['cold', 'right', 'hot'] as const
export type BeadState = (typeof BEAD_STATES)[number]

export interface Bead {
  readonly state: BeadState
  /** The bead across its face, or from toe to toe on the plate, mm. */
  readonly widthMm: number
  /** How far it stands above its flat face; below 0 it is hollow, mm. */
  readonly crownMm: number
  /** How deep it fuses into the part, mm. */
  readonly penetrationMm: number
  /** Depth of the groove that it melts beside itself, mm; 0 for none. */
  readonly undercutMm: number
  /** Its edge lies on the plate without fusing. */
  readonly isOverlapped: boolean
}

/** Shares of the bead as it should be: a cold one is narrow, high and lies on top; a hot one is wide, hollow and digs in. */
const SHARES = {
  cold: { width: 0.78, crown: 0.34, penetration: 0.04, undercut: 0 },
  right: { width: 1, crown: 0.12, penetration: 0.2, undercut: 0 },
  hot: { width: 1.24, crown: -0.08, penetration: 0.45, undercut: 0.08 },
} as const satisfies Record<BeadState, unknown>

/**
 * @returns the three beads of this joint and leg, side by side: cold, right, hot
 * @example beadsOf(tee)[0]?.isOverlapped // true
 */
export function beadsOf(joint: Joint): readonly Bead[] {
  const thinner = thinnerMm(joint)
  const sizeMm = isFillet(joint) ? legsMm(joint).a : Math.max(3, thinner)
  const widthMm = isFillet(joint) ? sizeMm * Math.SQRT2 : sizeMm
  return BEAD_STATES.map((state) => {
    const { width, crown, penetration, undercut } = SHARES[state]
    return {
      state,
      widthMm: widthMm * width,
      crownMm: sizeMm * crown,
      penetrationMm: Math.min(sizeMm * penetration, thinner),
      undercutMm: Math.min(sizeMm * undercut, thinner / 4),
      isOverlapped: state === 'cold',
    }
  })
}
