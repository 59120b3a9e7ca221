/** How long low-hydrogen electrodes may lie out of the oven: damp coating puts hydrogen into the weld. */
import type { Wire } from '../kinds/equipment.ts'

/** Hours in the air by strength, ksi: AWS D1.1:2020 Table 7.1, column A (from memory). */
const HOURS_BY_STRENGTH: readonly (readonly [fromKsi: number, hours: number])[] = [
  [100, 0.5],
  [90, 1],
  [80, 2],
  [70, 4],
]
/** An R at the end of the class: its coating resists moisture. */
const RESISTANT_HOURS = 9
/** Strength, position, and the digit of the coating: 5, 6 and 8 are low-hydrogen. */
const LOW_HYDROGEN = /^E(?<ksi>\d{2,3})\d[568](?!\d)(?<suffix>.*)$/i

/**
 * @returns hours in the air, null for an electrode that needs no oven
 * @example exposureH({ form: 'covered', classification: 'E7018' }) // 4
 */
export function exposureH({ form, classification }: Pick<Wire, 'form' | 'classification'>): number | null {
  const found = form === 'covered' ? LOW_HYDROGEN.exec(classification.replaceAll(' ', '')) : null
  const { ksi = '', suffix = '' } = found?.groups ?? {}
  if (!found) return null
  if (/R(?![a-z])/i.test(suffix)) return RESISTANT_HOURS
  return HOURS_BY_STRENGTH.find(([fromKsi]) => Number(ksi) >= fromKsi)?.[1] ?? null
}
