/** A gun's rating in another gas than the one it was rated in. */
import { commonPractice, dataPlate } from '../basis/source.ts'
import { assumed, calculation, input } from '../calculation/calculation.ts'

/** Without the cold of CO₂ streaming through, a gun runs hotter; self-shielded it is taken as in an argon mix. */
export const deratedCurrent = calculation({
  id: 'derated-current',
  title: 'Rating without the cooling of CO₂',
  symbol: 'I_r',
  unit: 'A',
  expression: 'I_c * f',
  inputs: { I_c: input('rated in CO₂', 'A', dataPlate()), f: assumed('gunMixedGasFactor') },
  compute: ({ I_c, f }) => I_c * f,
  source: commonPractice('CO₂ rating × factor, common practice'),
})
