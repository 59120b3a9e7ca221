/** A plain figure in the unit that the shop writes it in: the inside units are metric. */
import { CUBIC_FEET_PER_HOUR, FOOT, INCH, METRE, type UnitSystem } from './units.ts'

export interface OwnUnit {
  readonly unit: string
  /** From the inside unit to the shop's. */
  readonly own: (value: number) => number
  readonly inside: (value: number) => number
}

const KM_PER_MILE = 1.609344
const scaled = (unit: string, worth: number): OwnUnit => ({
  unit,
  own: (value) => value / worth,
  inside: (value) => value * worth,
})
const IMPERIAL: Readonly<Record<string, OwnUnit>> = {
  '°C': { unit: '°F', own: (c) => c * 1.8 + 32, inside: (f) => (f - 32) / 1.8 },
  'km/h': scaled('mph', KM_PER_MILE),
  mm: scaled('in', INCH.worth),
  'mm diameter': scaled('in', INCH.worth),
  'mm length': scaled('in', INCH.worth),
  'mm²': scaled('in²', INCH.worth ** 2),
  'mm/min': scaled('in/min', INCH.worth),
  'L/min': scaled('CFH', CUBIC_FEET_PER_HOUR.worth),
  'L/min per mm': scaled('CFH per in', CUBIC_FEET_PER_HOUR.worth / INCH.worth),
  'A/mm': scaled('A per 0.001 in', 1000 / INCH.worth),
  'kJ/mm': scaled('kJ/in', 1 / INCH.worth),
  'min/m': scaled('min/ft', METRE.worth / FOOT.worth),
}
/** Inside words for what a person reads as a plain unit. */
const METRIC: Readonly<Record<string, string>> = { 'mm diameter': 'mm', 'mm length': 'mm' }
const same = (value: number): number => value

/**
 * @param unit an inside unit, or any other word, which is the shop's as well
 * @example ownUnit('°C', 'imperial').own(100) // 212
 */
export const ownUnit = (unit: string, system: UnitSystem): OwnUnit =>
  (system === 'imperial' ? IMPERIAL[unit] : undefined) ?? {
    unit: METRIC[unit] ?? unit,
    own: same,
    inside: same,
  }
