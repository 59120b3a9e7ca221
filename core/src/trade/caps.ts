/** Reinforcement: every cap is a parabola, two thirds of its width times its height. */
export const CAP_SHAPE = 2 / 3

/** A back bead is about four times as wide as it is high, over the gap. */
export const backWidthMm = (rootGapMm: number, heightMm: number): number =>
  heightMm > 0 ? rootGapMm + 4 * heightMm : 0
