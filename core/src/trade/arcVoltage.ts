/** Conventional load voltage: what a power source is rated at for a current. */
import type { Step } from '../model/working.ts'
import { term } from '../model/working.ts'
import { computed } from '../model/source.ts'
import { LOAD_LINE_SOURCE, LOAD_LINES, type PlateFamily } from '../reference/processes.ts'

/** @returns V, by IEC 60974-1 */
export function loadVoltage(family: PlateFamily, currentA: number): number {
  const { baseV, voltsPerAmp, flatAboveA } = LOAD_LINES[family]
  return baseV + voltsPerAmp * Math.min(currentA, flatAboveA)
}

export function loadVoltageStep(family: PlateFamily, currentA: number): Step {
  const { baseV, voltsPerAmp } = LOAD_LINES[family]
  return {
    says: 'Load voltage at this current',
    formula: `U₂ = ${baseV} + ${voltsPerAmp}·I₂`,
    terms: [term('I₂', 'welding current', currentA, 'A', computed('current wanted'))],
    result: { symbol: 'U₂', value: loadVoltage(family, currentA), unit: 'V' },
    source: LOAD_LINE_SOURCE,
  }
}
