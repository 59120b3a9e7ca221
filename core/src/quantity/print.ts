/** Prints an inside value the way the shop writes it; what is printed parses back to the same value. */
import { GAUGE_TABLES, type GaugeTableId } from './gauges.ts'
import { KINDS, type QuantityKind } from './kinds.ts'
import { printPlain } from './numberFormat.ts'
import type { Notation } from './units.ts'

/** Only what was written as a fraction prints as one: 0.0622 in is not rounded to 1/16. */
const FRACTION_TOLERANCE_IN = 1e-6
const FINEST_DENOMINATOR = 64

/** From ten feet on, whole feet are called feet. */
const LONG_IN = 120
const FOOT_IN = 12

/** `0.25` → `1/4`, `1.5` → `1-1/2`; null where it is no such fraction. */
export function asFraction(inches: number): string | null {
  const sixtyFourths = Math.round(inches * FINEST_DENOMINATOR)
  if (sixtyFourths === 0) return null
  if (Math.abs(inches - sixtyFourths / FINEST_DENOMINATOR) > FRACTION_TOLERANCE_IN) return null
  const whole = Math.floor(sixtyFourths / FINEST_DENOMINATOR)
  let numerator = sixtyFourths - whole * FINEST_DENOMINATOR
  let denominator = FINEST_DENOMINATOR
  if (numerator === 0) return `${whole}`
  while (numerator % 2 === 0) {
    numerator /= 2
    denominator /= 2
  }
  // 3/64 of a sheet reads worse than its decimal; workshop rules stop at 1/32.
  if (denominator > 32) return null
  return whole > 0 ? `${whole}-${numerator}/${denominator}` : `${numerator}/${denominator}`
}

/** Wires are called by three decimals of an inch: 0.030, 0.040. */
const WIRE_DECIMALS = 3
const wireFormats = new Map<string, Intl.NumberFormat>()
function wireFormat({ locale }: Notation): Intl.NumberFormat {
  const found = wireFormats.get(locale)
  if (found) return found
  const made = new Intl.NumberFormat(locale, {
    minimumFractionDigits: WIRE_DECIMALS,
    maximumFractionDigits: WIRE_DECIMALS,
  })
  wireFormats.set(locale, made)
  return made
}
/** From here on rods and tungstens are called by their fraction. */
const SMALLEST_FRACTION_IN = 1 / 16

const decimal = (value: number, decimals: number, { locale }: Notation): string =>
  printPlain(value, locale, decimals)

/**
 * A thickness as sheet is called, `14 ga`, where it is no fraction and is just a gauge of its metal; in inches or
 * millimetres else.
 * @example printThickness(1.89738, 'carbon-steel', { system: 'imperial', locale: 'en-US' }) // '14 ga'
 */
export function printThickness(mm: number, metal: GaugeTableId | undefined, notation: Notation): string {
  const inches = mm / KINDS.thickness.bare.imperial.worth
  if (notation.system === 'imperial' && metal !== undefined && asFraction(inches) === null) {
    for (const [gauge, listed] of GAUGE_TABLES[metal].inches)
      if (Math.abs(listed - inches) < FRACTION_TOLERANCE_IN) return `${gauge} ga`
  }
  return printQuantity('thickness', mm, notation)
}

/** Figures that a small amount keeps: 40 g is not printed as 0.09 lb, nor 1.1 L/min as 2 CFH, which is less than a flow may be. */
const FIGURES: Readonly<Partial<Record<QuantityKind, number>>> = { mass: 3, gasVolume: 3, gasFlow: 2 }
const MOST_PLACES = 4

function placesOf(kind: QuantityKind, amount: number, system: Notation['system']): number {
  const usual = KINDS[kind].decimals[system]
  const figures = FIGURES[kind]
  if (figures === undefined || amount <= 0) return usual
  return Math.min(MOST_PLACES, Math.max(usual, figures - 1 - Math.floor(Math.log10(amount))))
}

/**
 * @param kind what is printed
 * @param value in the inside unit (mm, mm/min, L/min, g, L)
 * @param notation the shop's units and marks
 * @returns for example `1/4 in`, `0.0598 in`, `6.35 mm`, `280 in/min`
 * @example printQuantity('thickness', 6.35, { system: 'imperial', locale: 'en-US' }) // '1/4 in'
 */
export function printQuantity(kind: QuantityKind, value: number, notation: Notation): string {
  const { system } = notation
  const { bare, fractions } = KINDS[kind]
  const unit = bare[system]
  const amount = value / unit.worth
  if (kind === 'length' && system === 'imperial' && amount >= LONG_IN) {
    const feet = Math.round(amount / FOOT_IN)
    if (Math.abs(amount / FOOT_IN - feet) < FRACTION_TOLERANCE_IN) return `${feet} ft`
  }
  if (fractions && system === 'imperial' && kind !== 'diameter') {
    const fraction = asFraction(amount)
    if (fraction !== null) return `${fraction} ${unit.name}`
  }
  if (kind === 'diameter' && system === 'imperial') {
    const fraction = amount >= SMALLEST_FRACTION_IN ? asFraction(amount) : null
    if (fraction !== null) return `${fraction} ${unit.name}`
    return `${wireFormat(notation).format(amount)} ${unit.name}`
  }
  return `${decimal(amount, placesOf(kind, amount, system), notation)} ${unit.name}`
}
