/** Numbers as a country writes them. Making a format costs a thousand times its use, so each is made once. */
import type { Locale } from './units.ts'

const formats = new Map<string, Intl.NumberFormat>()

/**
 * @param places most decimals; trailing zeros are left out
 * @param grouped whether thousands are set apart
 */
export function formatOf(locale: Locale, places: number, grouped = true): Intl.NumberFormat {
  const key = `${locale} ${places} ${grouped}`
  const found = formats.get(key)
  if (found) return found
  const made = new Intl.NumberFormat(locale, { maximumFractionDigits: places, useGrouping: grouped })
  formats.set(key, made)
  return made
}

/** More than any figure that is typed has. */
const MOST_DECIMALS = 12
/** Without marks between thousands: what is printed is read again. */
export const printPlain = (value: number, locale: Locale, decimals = MOST_DECIMALS): string =>
  formatOf(locale, decimals, false).format(value)

/** The mark before decimals. */
export type DecimalMark = '.' | ','
/** With this mark before the decimals, and with no other reading: not three figures behind one mark. */
const SURE: Readonly<Record<DecimalMark, RegExp>> = {
  ',': /^[+-]?(?:\d+,(?:\d{1,2}|\d{4,})|0+,\d+|\d{4,},\d+|\d{1,3}(?:[.\s\u00a0\u202f]\d{3})+,\d+)$/,
  '.': /^[+-]?(?:\d+\.(?:\d{1,2}|\d{4,})|0+\.\d+|\d{4,}\.\d+|\d{1,3}(?:[,\s\u00a0\u202f]\d{3})+\.\d+)$/,
}
const UNIT_BEHIND = /\s*[a-z°%"³/]+\.?$/i

/**
 * The mark that a file writes before its decimals: its own, whatever the shop writes.
 * @param cells texts of figures, with their units or without
 * @returns null where none of them says, or they disagree
 * @example decimalMarkOf(['4989,5', '1,200']) // ','
 */
export function decimalMarkOf(cells: Iterable<string>): DecimalMark | null {
  const found = new Set<DecimalMark>()
  for (const cell of cells) {
    const figure = cell.trim().replace(UNIT_BEHIND, '')
    if (SURE[','].test(figure)) found.add(',')
    else if (SURE['.'].test(figure)) found.add('.')
  }
  const [only] = found
  return found.size === 1 && only !== undefined ? only : null
}

/** Whether a country writes a comma before its decimals. */
export const writesComma = (locale: Locale): boolean => formatOf(locale, 1).format(1.5).includes(',')
