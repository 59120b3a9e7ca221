/** The smallest fillet that a code lets stand, by the thicker part, and the largest along an edge. */
import { commonPractice, type Source, standard } from '../basis/source.ts'
import type { Shop } from '../kinds/shop.ts'

const INCH = 25.4
const ROWS: readonly { readonly upToMm: number; readonly legMm: number }[] = [
  { upToMm: INCH / 4, legMm: INCH / 8 },
  { upToMm: INCH / 2, legMm: (3 * INCH) / 16 },
  { upToMm: (3 * INCH) / 4, legMm: INCH / 4 },
]
const ABOVE_MM = (5 * INCH) / 16

/** EN 1993-1-8, 4.5.2: no throat that carries is thinner. */
const LEAST_THROAT_MM = 3

/** What a code says of a fillet's size. */
export interface FilletRule {
  /** Least leg by the thicker part, mm; never more than the thinner part asks the welder to melt. */
  leastLegMm(thickerMm: number): number
  readonly leastSource: Source
  /** Whether drawings under it size a fillet by its throat. */
  readonly isByThroat: boolean
  /** Largest leg along an edge, mm. */
  largestAlongEdgeMm(edgeMm: number): number
  readonly largestSource: Source
}

export const FILLET_SIZES: Readonly<Record<Shop['filletRule'], FilletRule>> = {
  'd1.1': {
    leastLegMm: (thickerMm) => ROWS.find(({ upToMm }) => thickerMm <= upToMm + 1e-6)?.legMm ?? ABOVE_MM,
    leastSource: standard('AWS D1.1, minimum fillet weld sizes', true),
    isByThroat: false,
    // The edge itself below 1/4 in, else 1/16 in less, so that the edge can still be seen.
    largestAlongEdgeMm: (edgeMm) => (edgeMm < INCH / 4 - 1e-6 ? edgeMm : edgeMm - INCH / 16),
    largestSource: standard('AWS D1.1, largest fillet along an edge', true),
  },
  'en-1993': {
    leastLegMm: () => LEAST_THROAT_MM * Math.SQRT2,
    leastSource: standard('EN 1993-1-8, 4.5.2(2): throat of at least 3 mm', true),
    isByThroat: true,
    largestAlongEdgeMm: (edgeMm) => edgeMm,
    largestSource: commonPractice('common practice: throat up to 0.7 of the thinner part'),
  },
}
