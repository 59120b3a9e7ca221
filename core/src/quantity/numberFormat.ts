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

/** Whether a country writes a comma before its decimals. */
export const writesComma = (locale: Locale): boolean => formatOf(locale, 1).format(1.5).includes(',')
