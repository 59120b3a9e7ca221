/** How long a job waits for machine or gun to cool, beyond the pauses that it has anyway. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { calculation, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { ArcSeries } from './window.ts'

export const restTime = calculation({
  id: 'rest-time',
  title: 'Rest beyond the pauses of the work',
  symbol: 't_r',
  unit: 's',
  expression: 'max(0, 100 * H / X - t)',
  inputs: {
    H: input('arc time, weighted by heat', 's', computed('sum over the sequence')),
    X: input('duty cycle allowed at the highest current', '%', dataPlate()),
    t: input('arcs and pauses of the sequence', 's', computed('sum over the sequence')),
  },
  compute: ({ H, X, t }) => Math.max(0, (100 * H) / X - t),
  source: standard('IEC 60974-1, duty cycle: share of the time with the arc on', true),
})

/**
 * @param series arcs and pauses in their order, heat against the highest current
 * @param dutyPct allowed at that current; above 0
 * @returns s over the whole job
 * @example restS([{ arcS: 60, offS: 60, times: 10, stretches: true, heat: 1 }], 20, r) // 1800
 */
export function restS(series: readonly ArcSeries[], dutyPct: number, reckoner: Reckoner): number {
  let [heated, lasts] = [0, 0]
  for (const { arcS, offS, times, heat } of series) {
    heated += arcS * heat * times
    lasts += (arcS + offS) * times
  }
  return reckoner.compute(restTime, { H: heated, X: dutyPct, t: lasts })
}
