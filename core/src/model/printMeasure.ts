/** Prints a measure of a finding in the shop's units. */
import { printNumber, printValue } from '../quantity/printValue.ts'
import type { UnitSystem } from '../quantity/units.ts'
import type { Measure } from './finding.ts'

/** @returns for example `60–220 A`, `1/4 in`, or a dash for nothing */
export function printMeasure(measure: Measure | string | null, system: UnitSystem): string {
  if (measure === null) return '–'
  if (typeof measure === 'string') return measure
  const { value, unit, lowValue } = measure
  const main = printValue(value, unit, system)
  return lowValue === undefined ? main : `${printNumber(lowValue, 3)}–${main}`
}
