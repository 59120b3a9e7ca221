/** The thickness that a current welds: the current needed, solved for it. */
import { commonPractice, computed, jobField } from '../basis/source.ts'
import { assumed, calculation, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import { stickCurrentOverPlate } from './stickCurrent.ts'
import { currentPerMm, meltThrough, type ThicknessLaw } from './wantedCurrent.ts'

const current = input(
  'current',
  'A',
  computed('what is carried'),
  'weakest-link',
  'capacity-most',
  'capacity-at-limit',
  'capacity-preheated',
  'capacity-least',
  'capacity-burning',
)
const thickness = {
  title: 'Thickness that this current welds',
  symbol: 't',
  unit: 'mm',
  source: commonPractice('the current needed, solved for the thickness'),
} as const

const byPlate = calculation({
  ...thickness,
  id: 'thickness-by-current',
  // Above what is melted through the square is the greater of the two, below it the ratio itself.
  expression: 'max(I / K, (I / K)^2 / t_0)',
  inputs: { I: current, K: currentPerMm, t_0: meltThrough },
  compute: ({ I, K, t_0 }) => Math.max(I / K, (I / K) ** 2 / t_0),
})
const byStick = calculation({
  ...thickness,
  id: 'thickness-by-stick',
  // Below its own core the current goes straight with the plate, from there to twice its core slowly.
  expression: 'd * max(I / I_s / (q / 100), 1 + (I / I_s - q / 100) / (1 - q / 100))',
  inputs: {
    I: current,
    I_s: stickCurrentOverPlate,
    q: assumed('stickThinPct'),
    d: input('core diameter', 'mm diameter', jobField('electrode of the set-up')),
  },
  compute: ({ I, I_s, q, d }) => d * Math.max(I / I_s / (q / 100), 1 + (I / I_s - q / 100) / (1 - q / 100)),
})
export const thicknessByCurrent = [byPlate, byStick] as const

/** Rounding must not end what its own current welds. */
const SLACK = 1e-9

/**
 * @param law how the current of a joint goes with its thickness
 * @returns mm, the inverse of the current needed, spray apart; null where a stick has all that it takes: it welds any plate
 */
export function thicknessAtMm(currentA: number, law: ThicknessLaw, reckoner: Reckoner): number | null {
  if (law.by === 'plate')
    return reckoner.compute(byPlate, { I: currentA, K: law.perMmA, t_0: law.meltThroughMm })
  const { overPlateA, coreMm } = law
  return currentA >= overPlateA * (1 - SLACK)
    ? null
    : reckoner.compute(byStick, { I: currentA, I_s: overPlateA, d: coreMm })
}
