/** How much inductance a short-circuit wants: more softens the arc and wets, less makes it stiff. Common practice. */
import type { Metal } from '../model/material.ts'
import { isOutOfPosition, type Position } from '../model/jointKinds.ts'

export type Inductance = 'low' | 'middle' | 'high'

/** Thin sheet: a stiff arc that freezes at once. */
const THIN_MM = 1.6

interface Short {
  readonly metal: Metal
  readonly isCo2: boolean
  readonly position: Position
  readonly heatedMm: number
}

/**
 * @returns high for CO₂ and stainless (calmer, wetter), low for thin sheet and out of position (quick to freeze)
 * @example inductanceFor({ metal: 'carbon-steel', isCo2: true, position: 'flat', heatedMm: 6.35 }) // 'high'
 */
export function inductanceFor({ metal, isCo2, position, heatedMm }: Short): Inductance {
  if (heatedMm <= THIN_MM || isOutOfPosition(position)) return isCo2 ? 'middle' : 'low'
  return isCo2 || metal === 'stainless' ? 'high' : 'middle'
}
