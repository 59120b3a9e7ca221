/** What is read off a circuit, whatever the rule book: the first steps of its workings. */
import { computed, dataPlate } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Ampacity } from './ruleBook.ts'

export const ampacityTable = calculation({
  id: 'ampacity-table',
  title: 'What the cable carries by the table',
  symbol: 'A_t',
  unit: 'A',
  expression: 'A_t',
  method: 'row of the rule book’s table for this size',
  inputs: { A_t: input('of the table', 'A', computed('rule book')) },
  compute: ({ A_t }) => A_t,
  source: computed('rule book'),
})
export const ampacityReading = calculation({
  id: 'ampacity',
  title: 'What the cable carries',
  symbol: 'A_c',
  unit: 'A',
  expression: 'min(A_t * k_T * k_n, A_s)',
  inputs: {
    A_t: from(ampacityTable),
    k_T: input('factor for the ambient temperature', '', computed('rule book')),
    k_n: input('grouping factor', '', computed('rule book')),
    A_s: input('what its terminals allow', 'A', computed('rule book')),
  },
  compute: ({ A_t, k_T, k_n, A_s }) => Math.min(A_t * k_T * k_n, A_s),
  source: computed('rule book'),
})
/**
 * @param size as it is printed on the cable
 * @returns what a conductor carries as it lies, with its source, A
 */
export function ampacityA(size: string, ampacity: Ampacity, reckoner: Reckoner): number {
  const { tableA, ambientFactor, bundleFactor, terminalA, source } = ampacity
  const A_t = reckoner.compute(ampacityTable, { A_t: tableA }, () => ({ A_t: { name: size, source } }))
  const factors = { A_t, k_T: ambientFactor, k_n: bundleFactor, A_s: terminalA }
  return reckoner.compute(ampacityReading, factors, () => ({
    k_T: { source },
    k_n: { source },
    A_s: { source },
  }))
}
export const breakerReading = calculation({
  id: 'breaker-in-panel',
  title: 'In the panel',
  symbol: 'I_n',
  unit: 'A',
  expression: 'I_n',
  inputs: { I_n: input('breaker', 'A', dataPlate('circuit')) },
  compute: ({ I_n }) => I_n,
  source: dataPlate('circuit'),
})
export const outletReading = calculation({
  id: 'outlet-rating',
  title: 'What the outlet is rated for',
  symbol: 'I_o',
  unit: 'A',
  expression: 'I_o',
  inputs: { I_o: input('rating of the outlet', 'A', dataPlate('circuit')) },
  compute: ({ I_o }) => I_o,
  source: dataPlate('circuit'),
})
export const cordReading = calculation({
  id: 'cord-rating',
  title: 'What the cord carries, laid out straight',
  symbol: 'A_x',
  unit: 'A',
  expression: 'A_x',
  method: 'row of the rule book’s table for this size',
  inputs: { A_x: input('of the table', 'A', computed('rule book')) },
  compute: ({ A_x }) => A_x,
  source: computed('rule book'),
})
