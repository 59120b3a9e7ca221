/** Heat that a weld takes from its arc. */
import { computed, standard } from '../basis/source.ts'
import { calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import { feedCurrent } from './burnOff.ts'
import { startingVolts } from './startingVolts.ts'
import { wantedCurrent } from './wantedCurrent.ts'

export const travel = input('travel speed', 'mm/min', computed('as set'), 'bead-travel')

const EN_1011 = standard('EN 1011-1, heat input Q = k·U·I/v', true)
export const heatInput = calculation({
  id: 'heat-input',
  title: 'Heat input',
  symbol: 'Q',
  unit: 'kJ/mm',
  expression: 'k * U * I * 60 / (1000 * s)',
  inputs: {
    k: inputOrAssumed('share of the arc’s heat', '', EN_1011),
    U: { ...startingVolts, name: 'arc volts' },
    I: { ...from(wantedCurrent, ...feedCurrent), name: 'current' },
    s: travel,
  },
  compute: ({ k, U, I, s }) => (k * U * I * 60) / (1000 * s),
  source: EN_1011,
})
