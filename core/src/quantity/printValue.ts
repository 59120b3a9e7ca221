/** Prints any computed figure, by its inside unit, in the units that the shop reads. */
import { CUBIC_FEET_PER_HOUR, CUBIC_FOOT, FOOT, INCH, KILOGRAM, POUND, type UnitSystem } from './units.ts'
import { printQuantity } from './print.ts'

/** Four significant figures, no exponent, no trailing zeros, thousands set apart. */
export function printNumber(value: number, digits = 4): string {
  if (!Number.isFinite(value)) return value > 0 ? 'no limit' : '–'
  if (value === 0) return '0'
  const places = Math.max(0, Math.min(8, digits - 1 - Math.floor(Math.log10(Math.abs(value)))))
  // Intl would do this too, at fifty times the cost, and a fit prints dozens of figures.
  const fixed = Math.abs(value).toFixed(places)
  const plain = places > 0 ? fixed.replace(/\.?0+$/, '') : fixed
  const grouped = Math.abs(value) < 1000 ? plain : plain.replace(/\B(?=(\d{3})+(?!\d))(?<!\.\d*)/g, ',')
  return value < 0 ? `−${grouped}` : grouped
}

/** Whole amperes, but for the smallest: as a chart or a headline shows them, without the unit. */
export const printWholeAmps = (value: number): string =>
  value < 10 ? printNumber(value, 2) : `${Math.round(value)}`

type Printer = (value: number) => string

const scaled =
  (worth: number, unit: string, digits = 3): Printer =>
  (value) =>
    `${printNumber(value / worth, digits)} ${unit}`.trim()

/** Hours and minutes, or minutes and seconds, as a person says a time. */
function duration(seconds: number): string {
  const s = Math.round(seconds)
  if (s < 120) return `${s} s`
  const minutes = Math.round(s / 60)
  if (minutes < 60) return s < 600 ? `${Math.floor(s / 60)} min ${s % 60} s` : `${minutes} min`
  return `${Math.floor(minutes / 60)} h ${`${minutes % 60}`.padStart(2, '0')} min`
}

const IMPERIAL: Readonly<Record<string, Printer>> = {
  'mm diameter': (value) => printQuantity('diameter', value, 'imperial'),
  mm: (value) => printQuantity('thickness', value, 'imperial'),
  'mm length': (value) =>
    Math.abs(value) < 120 * INCH.worth ? scaled(INCH.worth, 'in')(value) : scaled(FOOT.worth, 'ft')(value),
  'mm²': scaled(INCH.worth ** 2, 'in²'),
  'mm/min': scaled(INCH.worth, 'in/min'),
  g: scaled(POUND.worth, 'lb'),
  'g/min': scaled(POUND.worth / 60, 'lb/h'),
  'g/cm³': scaled(POUND.worth / 16.387064, 'lb/in³', 4),
  // Below a cubic foot a third figure is nobody's measurement.
  L: (value) => scaled(CUBIC_FOOT.worth, 'ft³', Math.abs(value) < CUBIC_FOOT.worth ? 2 : 3)(value),
  'L/min': scaled(CUBIC_FEET_PER_HOUR.worth, 'CFH'),
  'L/min per mm': scaled(CUBIC_FEET_PER_HOUR.worth / INCH.worth, 'CFH per in'),
  'A/mm': (value) => `${printNumber((value * INCH.worth) / 1000, 3)} A per 0.001 in`,
  'km/h': scaled(1.609344, 'mph', 2),
}

const METRIC: Readonly<Record<string, Printer>> = {
  'mm diameter': (value) => printQuantity('diameter', value, 'metric'),
  mm: (value) => printQuantity('thickness', value, 'metric'),
  'mm length': (value) => (Math.abs(value) < 1000 ? scaled(1, 'mm')(value) : scaled(1000, 'm')(value)),
  g: (value) => (value < KILOGRAM.worth ? scaled(1, 'g')(value) : scaled(KILOGRAM.worth, 'kg')(value)),
  L: (value) => (value < 1000 ? scaled(1, 'L')(value) : scaled(1000, 'm³')(value)),
}

const EITHER: Readonly<Record<string, Printer>> = {
  pieces: (value) => `${printNumber(value, 2)} pieces`,
  s: duration,
  h: (value) => duration(value * 3600),
  A: (value) => `${printNumber(value, value < 10 ? 2 : 3)} A`,
  '%': (value) => `${printNumber(value, 2 + Number(value >= 100))} %`,
}

/**
 * @param value in the inside unit
 * @param unit an inside unit (mm, g, L/min, A ...), `mm length` for a run of weld, or any other word, printed as it is
 */
export function printValue(value: number | string, unit: string, system: UnitSystem): string {
  if (typeof value === 'string') return `${value} ${unit}`.trim()
  const printer = EITHER[unit] ?? (system === 'imperial' ? IMPERIAL : METRIC)[unit]
  return printer ? printer(value) : `${printNumber(value)} ${unit}`.trim()
}
