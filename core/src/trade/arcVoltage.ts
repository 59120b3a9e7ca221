/** Conventional load voltage: what a power source is rated at for a current. */
import { calculation, input } from '../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../calculation/reckoner.ts'
import { computed } from '../basis/source.ts'
import type { ProcessFamily } from '../model/process.ts'
import { LOAD_LINE_SOURCE, LOAD_LINES } from '../reference/processes.ts'

export const loadVoltage = calculation({
  id: 'load-voltage',
  title: 'Load voltage at this current',
  symbol: 'U_2',
  unit: 'V',
  expression: 'U_0 + s * min(I_2, I_f)',
  inputs: {
    U_0: input('base of the load line', 'V', LOAD_LINE_SOURCE),
    s: input('slope of the load line', 'V/A', LOAD_LINE_SOURCE),
    I_2: input('welding current', 'A', computed('current needed'), 'wanted-current', 'welding-drawn'),
    I_f: input('current above which the voltage stays', 'A', LOAD_LINE_SOURCE),
  },
  compute: ({ U_0, s, I_2, I_f }) => U_0 + s * Math.min(I_2, I_f),
  source: LOAD_LINE_SOURCE,
})

/** @returns V, by IEC 60974-1 */
export function loadVoltageOf(
  family: ProcessFamily,
  currentA: number,
  reckoner: Reckoner = UNTRACED,
): number {
  const { baseV, voltsPerAmp, flatAboveA } = LOAD_LINES[family]
  return reckoner.compute(loadVoltage, { U_0: baseV, s: voltsPerAmp, I_2: currentA, I_f: flatAboveA })
}
