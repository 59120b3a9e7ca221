/** Prints any computed figure, by its inside unit, in the units that the shop reads. */
import {
  CUBIC_FEET_PER_HOUR,
  CUBIC_FOOT,
  FOOT,
  INCH,
  KILOGRAM,
  type Locale,
  type Notation,
  POUND,
} from './units.ts'
import { spelled } from '../basis/spelling.ts'
import { formatOf } from './numberFormat.ts'
import { printQuantity } from './print.ts'

/** Some significant figures, no exponent, no trailing zeros, thousands set apart. */
export function printNumber(value: number, locale: Locale, digits = 4): string {
  if (!Number.isFinite(value)) return value > 0 ? 'no limit' : '–'
  if (value === 0) return '0'
  const places = Math.max(0, Math.min(8, digits - 1 - Math.floor(Math.log10(Math.abs(value)))))
  return formatOf(locale, places).format(value).replace('-', '−')
}

/** To a tenth at the most, whatever its size. */
export const printTenth = (value: number, locale: Locale): string => formatOf(locale, 1).format(value)

/** Whole amperes, but for the smallest: as a chart or a headline shows them, without the unit. */
export const printWholeAmps = (value: number, locale: Locale): string =>
  value < 10 ? printNumber(value, locale, 2) : formatOf(locale, 0).format(value)

type Printer = (value: number, notation: Notation) => string

const scaled =
  (worth: number, unit: string, digits = 3): Printer =>
  (value, { locale }) =>
    `${printNumber(value / worth, locale, digits)} ${unit}`.trim()

/** Hours and minutes, or minutes and seconds, as a person says a time. */
function duration(seconds: number): string {
  const s = Math.round(seconds)
  if (s < 120) return `${s} s`
  const minutes = Math.round(s / 60)
  if (minutes < 60) return s < 600 ? `${Math.floor(s / 60)} min ${s % 60} s` : `${minutes} min`
  return `${Math.floor(minutes / 60)} h ${`${minutes % 60}`.padStart(2, '0')} min`
}

const diameter: Printer = (value, notation) => printQuantity('diameter', value, notation)
/** What a counter sells in inches: thin wire by thousandths, from 3/64 in on by fractions; 1.0 mm is sold as 0.040. */
const TRADE_THOUSANDTHS = [20, 23, 30, 35, 40, 45, 52]
const SAME_THOUSANDTHS = 1.6
/** 3.2 and 4.0 mm are sold as 1/8 and 5/32; 0.045 is no 3/64. */
const SAME_64TH = 0.1
/** In lowest terms: of a power of two only two divides. */
const fraction = (over: number, under: number): string =>
  under === 1 ? `${over}` : over % 2 === 0 ? fraction(over / 2, under / 2) : `${over}/${under}`
function tradeDiameter(value: number, notation: Notation): string {
  const inches = value / INCH.worth
  const sixtyFourths = Math.round(inches * 64)
  if (sixtyFourths >= 3 && Math.abs(inches * 64 - sixtyFourths) < SAME_64TH)
    return `${fraction(sixtyFourths, 64)} in`
  const named = TRADE_THOUSANDTHS.find((one) => Math.abs(inches * 1000 - one) <= SAME_THOUSANDTHS)
  return diameter(named === undefined ? value : (named / 1000) * INCH.worth, notation)
}
/** Thinner than this a sheet is a gauge or a decimal: 16 ga is not 1/16 in. */
const LEAST_FRACTION_IN = 1 / 8
const SPOKEN_FRACTION_IN = 0.004
/** As a workshop says a length: a fraction where it is one within 0.004 in, else thousandths. */
const spokenInches: Printer = (value, notation) => {
  const inches = value / INCH.worth
  const parts = inches < 1 ? 64 : 16
  const near = Math.round(inches * parts)
  if (inches >= LEAST_FRACTION_IN && Math.abs(inches - near / parts) <= SPOKEN_FRACTION_IN) {
    const whole = Math.floor(near / parts)
    const rest = near - whole * parts
    if (rest === 0) return `${whole} in`
    return `${whole > 0 ? `${whole}-` : ''}${fraction(rest, parts)} in`
  }
  const exact = printQuantity('thickness', value, notation)
  if (exact.includes('/')) return exact
  return `${formatOf(notation.locale, 3).format(inches).replace('-', '−')} in`
}
/** As it was called for where that has two decimals at the most, else to a tenth: nobody sets more. */
const millimetres: Printer = (value, { locale }) => {
  const isShort = Math.abs(value * 100 - Math.round(value * 100)) < SHORT
  return `${formatOf(locale, isShort ? 2 : 1)
    .format(value)
    .replace('-', '−')} mm`
}
const SHORT = 1e-6
/** A short length in one unit, a long one in another. */
const either =
  (limit: number, below: Printer, above: Printer): Printer =>
  (value, notation) =>
    Math.abs(value) < limit ? below(value, notation) : above(value, notation)

const METRE_MM = 1000

/** US liquid gallon (NIST Handbook 44). */
const GALLON_L = 3.785411784

const IMPERIAL: Readonly<Record<string, Printer>> = {
  'mm diameter': tradeDiameter,
  mm: spokenInches,
  'mm length': either(120 * INCH.worth, scaled(INCH.worth, 'in'), scaled(FOOT.worth, 'ft')),
  'mm²': scaled(INCH.worth ** 2, 'in²'),
  'mm³': scaled(INCH.worth ** 3, 'in³'),
  'mm/min': scaled(INCH.worth, 'in/min'),
  g: scaled(POUND.worth, 'lb'),
  'g/min': scaled(POUND.worth / 60, 'lb/h'),
  'g/cm³': scaled(POUND.worth / 16.387064, 'lb/in³', 4),
  // Below a cubic foot a third figure is nobody's measurement.
  L: either(CUBIC_FOOT.worth, scaled(CUBIC_FOOT.worth, 'ft³', 2), scaled(CUBIC_FOOT.worth, 'ft³')),
  'L/h': scaled(GALLON_L, 'gal/h', 2),
  'L fuel': scaled(GALLON_L, 'gal', 2),
  'L/min': scaled(CUBIC_FEET_PER_HOUR.worth, 'CFH', 2),
  'L/min per mm': scaled(CUBIC_FEET_PER_HOUR.worth / INCH.worth, 'CFH per in'),
  'A/mm': (value, { locale }) => `${printNumber((value * INCH.worth) / 1000, locale, 3)} A per 0.001 in`,
  // A temperature in ordinary work is known to a degree.
  '°C': (value, { locale }) =>
    `${formatOf(locale, 0)
      .format(value * 1.8 + 32)
      .replace('-', '−')} °F`,
  'km/h': scaled(1.609344, 'mph', 2),
  'kJ/mm': scaled(1 / INCH.worth, 'kJ/in'),
  // For a length of weld.
  's per m': (value) => `${duration((value * FOOT.worth) / METRE_MM)} a foot`,
  'per m': scaled(METRE_MM / FOOT.worth, 'a foot'),
}

const METRIC: Readonly<Record<string, Printer>> = {
  'mm diameter': diameter,
  mm: millimetres,
  // Wire runs in metres a minute, a hand travels in centimetres.
  'mm/min': either(1000, scaled(10, 'cm/min'), scaled(1000, 'm/min')),
  'kJ/mm': scaled(1, 'kJ/mm', 2),
  'L/min': scaled(1, 'L/min'),
  'mm length': either(1000, scaled(1, 'mm'), scaled(1000, 'm')),
  g: either(KILOGRAM.worth, scaled(1, 'g'), scaled(KILOGRAM.worth, 'kg')),
  L: either(1000, scaled(1, 'L'), scaled(1000, 'm³')),
  'L/h': scaled(1, 'L/h', 2),
  'L fuel': scaled(1, 'L', 2),
  's per m': (value, { locale }) => `${duration(value)} ${spelled('a metre', locale)}`,
  'per m': (value, { locale }) => `${printNumber(value, locale, 3)} ${spelled('a metre', locale)}`,
}

const EITHER: Readonly<Record<string, Printer>> = {
  pieces: (value, { locale }) => `${printNumber(value, locale, 2)} pieces`,
  '×': (value, { locale }) => `× ${printNumber(value, locale)}`,
  s: duration,
  h: (value) => duration(value * 3600),
  A: (value, { locale }) => `${printNumber(value, locale, value < 10 ? 2 : 3)} A`,
  kVA: (value, { locale }) => `${printNumber(value, locale, 3)} kVA`,
  V: (value, { locale }) => `${printNumber(value, locale, 3)} V`,
  '%': (value, { locale }) => `${printNumber(value, locale, 2 + Number(value >= 100))} %`,
}

/**
 * @param value in the inside unit
 * @param unit an inside unit (mm, g, L/min, A ...), `mm length` for a run of weld, or any other word, printed as it is
 * @example printValue(4535.9, 'g', { system: 'imperial', locale: 'en-US' }) // '10 lb'
 */
export function printValue(value: number | string, unit: string, notation: Notation): string {
  if (typeof value === 'string') return `${value} ${unit}`.trim()
  const printer = EITHER[unit] ?? (notation.system === 'imperial' ? IMPERIAL : METRIC)[unit]
  return printer ? printer(value, notation) : `${printNumber(value, notation.locale)} ${unit}`.trim()
}
