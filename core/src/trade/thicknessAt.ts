/** The thickness that a current welds: the current wanted, solved for it. */
import { commonPractice, computed } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import { currentPerMm, meltThrough, type WantedCurrent } from './wantedCurrent.ts'

export const thicknessByCurrent = calculation({
  id: 'thickness-by-current',
  title: 'Thickness that this current welds',
  symbol: 't',
  unit: 'mm',
  // Above what is melted through the square is the greater of the two, below it the ratio itself.
  expression: 'max(I / K, (I / K)^2 / t_0)',
  inputs: {
    I: input(
      'current',
      'A',
      computed('what is carried'),
      'weakest-link',
      'capacity-most',
      'capacity-at-limit',
      'capacity-preheated',
      'capacity-least',
    ),
    K: currentPerMm,
    t_0: from(meltThrough),
  },
  compute: ({ I, K, t_0 }) => Math.max(I / K, (I / K) ** 2 / t_0),
  source: commonPractice('the current wanted, solved for the thickness'),
})

/**
 * @param weld what a joint wants for each millimetre
 * @returns mm; the inverse of the current wanted, spray and stick apart
 */
export const thicknessAtMm = (
  currentA: number,
  { perMmA, meltThroughMm }: Pick<WantedCurrent, 'perMmA' | 'meltThroughMm'>,
  r: Reckoner,
): number => r.take(thicknessByCurrent, { I: currentA, K: perMmA, t_0: meltThroughMm })
