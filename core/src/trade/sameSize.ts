/** When two nominal diameters are the same size. */

/** Inch and metric names of one size differ by a few hundredths: 0.035 in is 0.889 mm, sold as 0.9. */
export const SAME_SIZE_MM = 0.06
export const isSameSize = (oneMm: number, otherMm: number): boolean =>
  Math.abs(oneMm - otherMm) < SAME_SIZE_MM
