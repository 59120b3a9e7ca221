/** The joint that comes nearest to an end of a current range, or lies furthest outside it. */
import type { FitContext } from '../fit/context.ts'
import type { JointFigures } from '../fit/jointFigures.ts'
import { marginPct } from '../model/finding.ts'

/** @returns that joint and its room to the nearer end, %; below 0 outside the range */
export function rangeMargin(
  { joints }: Pick<FitContext, 'joints'>,
  minA: number,
  maxA: number,
): { figures: JointFigures; margin: number } {
  const margins = joints.map((figures) => ({
    figures,
    margin: Math.min(marginPct(maxA, figures.wanted.value), marginPct(figures.wanted.value, minA)),
  }))
  return margins.reduce((worst, next) => (next.margin < worst.margin ? next : worst))
}
