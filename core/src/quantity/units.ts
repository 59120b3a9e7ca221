/** The units people write and what each is worth in the unit used inside (mm, mm/min, L/min, g, L, A, s). */

export type UnitSystem = 'imperial' | 'metric'

/** Ways of writing numbers, by language and country (BCP 47). */
export const LOCALES = ['en-US', 'en-GB', 'de-DE', 'de-CH', 'fr-FR', 'es-ES', 'sv-SE'] as const
export type Locale = (typeof LOCALES)[number]

/** How a shop writes figures: in which units, and with which marks. */
export interface Notation {
  readonly system: UnitSystem
  readonly locale: Locale
}

const MM_PER_INCH = 25.4
const LITRES_PER_CUBIC_FOOT = 28.316846592
const GRAMS_PER_POUND = 453.59237

/** A unit as written, with its worth in the inside unit. Exact by definition (NIST SP 811, appendix B). */
export interface Unit {
  readonly worth: number
  readonly name: string
}

const unit = (name: string, worth: number): Unit => ({ name, worth })

export const INCH = unit('in', MM_PER_INCH)
export const FOOT = unit('ft', MM_PER_INCH * 12)
export const MILLIMETRE = unit('mm', 1)
const CENTIMETRE = unit('cm', 10)
export const METRE = unit('m', 1000)
export const INCH_PER_MINUTE = unit('in/min', MM_PER_INCH)
const INCH_PER_SECOND = unit('in/s', MM_PER_INCH * 60)
const MM_PER_MINUTE = unit('mm/min', 1)
export const CM_PER_MINUTE = unit('cm/min', 10)
const MM_PER_SECOND = unit('mm/s', 60)
export const METRE_PER_MINUTE = unit('m/min', 1000)
export const CUBIC_FEET_PER_HOUR = unit('CFH', LITRES_PER_CUBIC_FOOT / 60)
export const LITRE_PER_MINUTE = unit('L/min', 1)
export const POUND = unit('lb', GRAMS_PER_POUND)
const OUNCE = unit('oz', GRAMS_PER_POUND / 16)
const GRAM = unit('g', 1)
export const KILOGRAM = unit('kg', 1000)
export const CUBIC_FOOT = unit('ft³', LITRES_PER_CUBIC_FOOT)
export const LITRE = unit('L', 1)
const CUBIC_METRE = unit('m³', 1000)

/** Spellings, lower case, of every unit that a field of that kind takes. */
export type Spellings = Readonly<Record<string, Unit>>

function spell(...rows: [Unit, ...string[]][]): Spellings {
  return Object.fromEntries(rows.flatMap(([u, ...words]) => words.map((word) => [word, u])))
}

export const LENGTH_SPELLINGS = spell(
  [INCH, 'in', 'in.', 'inch', 'inches', '"', '″', '”', "''"],
  [FOOT, 'ft', 'ft.', 'foot', 'feet', "'", '′', '’'],
  [MILLIMETRE, 'mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
  [CENTIMETRE, 'cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
  [METRE, 'm', 'metre', 'metres', 'meter', 'meters'],
)

export const SPEED_SPELLINGS = spell(
  [INCH_PER_MINUTE, 'in/min', 'ipm', 'in per min', 'in / min', '"/min', 'inch/min', 'inches/min'],
  [INCH_PER_SECOND, 'in/s', 'in/sec', 'ips'],
  [MM_PER_MINUTE, 'mm/min', 'mm per min', 'mm / min'],
  [CM_PER_MINUTE, 'cm/min', 'cm per min'],
  [MM_PER_SECOND, 'mm/s', 'mm/sec'],
  [METRE_PER_MINUTE, 'm/min', 'm per min', 'm / min', 'mpm'],
)

export const FLOW_SPELLINGS = spell(
  [CUBIC_FEET_PER_HOUR, 'cfh', 'ft³/h', 'ft3/h', 'ft3/hr', 'cu ft/h', 'cu ft/hr', 'scfh'],
  [LITRE_PER_MINUTE, 'l/min', 'lpm', 'l/m', 'litre/min', 'litres/min', 'liters/min', 'liter/min'],
)

export const MASS_SPELLINGS = spell(
  [POUND, 'lb', 'lbs', 'lb.', 'pound', 'pounds'],
  [OUNCE, 'oz', 'ounce', 'ounces'],
  [GRAM, 'g', 'gram', 'grams'],
  [KILOGRAM, 'kg', 'kilo', 'kilos', 'kilogram', 'kilograms'],
)

export const VOLUME_SPELLINGS = spell(
  [CUBIC_FOOT, 'ft³', 'ft3', 'cu ft', 'cubic feet', 'cf', 'scf'],
  [LITRE, 'l', 'litre', 'litres', 'liter', 'liters'],
  [CUBIC_METRE, 'm³', 'm3', 'cubic metres', 'cubic meters'],
)
