/** A cylinder's gauge read as what is in it: by its pressure, of a full cylinder's. */
import type { Gas } from '../kinds/equipment.ts'
import { parseQuantity } from '../quantity/parse.ts'
import { isNumberProblem, readNumber } from '../quantity/number.ts'
import type { Notation, UnitSystem } from '../quantity/units.ts'
import { isCo2 } from '../reference/gases.ts'

const BAR_PER_PSI = 0.068_947_57
/** What a full cylinder shows at 70 °F, bar: 2,200 psi, or 200 bar (common practice, no source). */
const FULL_BAR: Readonly<Record<UnitSystem, number>> = { imperial: 2200 * BAR_PER_PSI, metric: 200 }
/** A gauge goes no further. */
const MOST_BAR = 300

export type GaugeRead =
  { readonly ok: true; readonly valueL: number } | { readonly ok: false; readonly message: string }

const refused = (message: string): GaugeRead => ({ ok: false, message })

/**
 * Reads `60 ft³`, `1700 L`, `1200 psi` or `80 bar`.
 * @returns L of free gas, or what to enter
 * @example gaugeL('1100 psi', gas, imperial) // half of what a full one holds
 */
export function gaugeL(
  text: string,
  gas: Pick<Gas, 'fullL' | 'co2Pct' | 'name'>,
  notation: Notation,
): GaugeRead {
  const found = /^(.+?)\s*(psi|bar)$/i.exec(text.trim())
  if (!found) {
    const read = parseQuantity('gasVolume', text, notation)
    if (!read.ok) return refused(read.problem.message)
    return read.value > gas.fullL * 1.1
      ? refused(
          `is more than a full cylinder of ${gas.name} holds. Enter what the gauge shows, for example 1200 psi`,
        )
      : { ok: true, valueL: read.value }
  }
  if (isCo2(gas))
    return refused(
      'The gauge of CO₂ shows vapor pressure, not contents. Weigh the cylinder and enter ft³ or L.',
    )
  const number = readNumber(found[1] ?? '', notation.locale)
  const perUnit = found[2]?.toLowerCase() === 'psi' ? BAR_PER_PSI : 1
  const bar = isNumberProblem(number) || number.rest !== '' ? Number.NaN : number.value * perUnit
  if (!(bar >= 0 && bar <= MOST_BAR))
    return refused('is no pressure of a cylinder. Enter for example 1200 psi or 80 bar')
  return { ok: true, valueL: Math.min(1.1, bar / FULL_BAR[notation.system]) * gas.fullL }
}

/**
 * What the gauge should show with so much gas in the cylinder: another reading is a leak, or a flow that was not set.
 * @returns psi or bar, as the shop reads it; null for CO₂, whose gauge shows no contents
 */
export const expectedGauge = (
  leftL: number,
  gas: Pick<Gas, 'fullL' | 'co2Pct'>,
  system: UnitSystem,
): { readonly value: number; readonly unit: 'psi' | 'bar' } | null => {
  if (isCo2(gas)) return null
  const bar = (Math.max(0, leftL) / gas.fullL) * FULL_BAR[system]
  return system === 'imperial'
    ? { value: Math.round(bar / BAR_PER_PSI / 10) * 10, unit: 'psi' }
    : { value: Math.round(bar), unit: 'bar' }
}
