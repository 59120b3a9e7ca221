/** The smallest fillet that a code lets stand, by the thicker part, and the largest along an edge. */
import { standard } from '../basis/source.ts'

const INCH = 25.4
const ROWS: readonly { readonly upToMm: number; readonly legMm: number }[] = [
  { upToMm: INCH / 4, legMm: INCH / 8 },
  { upToMm: INCH / 2, legMm: (3 * INCH) / 16 },
  { upToMm: (3 * INCH) / 4, legMm: INCH / 4 },
]
const ABOVE_MM = (5 * INCH) / 16

export const MINIMUM_FILLET_SOURCE = standard('AWS D1.1, minimum fillet weld sizes', true)
export const LARGEST_FILLET_SOURCE = standard('AWS D1.1, largest fillet along an edge', true)

/** @returns mm; never more than the thinner part asks the welder to melt */
export const minimumFilletMm = (thickerMm: number): number =>
  ROWS.find(({ upToMm }) => thickerMm <= upToMm + 1e-6)?.legMm ?? ABOVE_MM

/** Along an edge: the edge itself below 1/4 in, else 1/16 in less, so that the edge can still be seen. */
export const largestFilletAlongEdgeMm = (edgeMm: number): number =>
  edgeMm < INCH / 4 - 1e-6 ? edgeMm : edgeMm - INCH / 16
