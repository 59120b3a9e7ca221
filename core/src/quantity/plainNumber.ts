/** Reads a number that has one unit only: with that unit after it or without, with a sign of money or of below zero. */
import { isNumberProblem, readNumber } from './number.ts'
import type { Locale } from './units.ts'

/** Other ways to write a unit, lower case. */
const SPELLINGS: Readonly<Record<string, readonly string[]>> = {
  '%': ['percent', 'pct'],
  A: ['amp', 'amps', 'ampere', 'amperes'],
  V: ['volt', 'volts'],
  s: ['sec', 'secs', 'second', 'seconds'],
  min: ['mins', 'minute', 'minutes'],
  h: ['hr', 'hrs', 'hour', 'hours'],
  '°': ['deg', 'degrees'],
  '°F': ['f', 'deg f'],
  '°C': ['c', 'deg c'],
  pcs: ['pc', 'pieces'],
  'km/h': ['kmh', 'kph'],
}
/** What a figure in another unit is in this one; to whole ones, as such fields have them. */
const CONVERTED: Readonly<
  Record<string, readonly (readonly [other: string, convert: (value: number) => number])[]>
> = {
  '°C': [['°F', (f) => ((f - 32) * 5) / 9]],
  '°F': [['°C', (c) => (c * 9) / 5 + 32]],
  'km/h': [
    ['mph', (mph) => mph * 1.609344],
    ['m/s', (perS) => perS * 3.6],
  ],
  mph: [
    ['km/h', (kmh) => kmh / 1.609344],
    ['m/s', (perS) => (perS * 3.6) / 1.609344],
  ],
}
const MONEY = /^[$€£¥]\s*|^(?:kr\.?|chf)\s+/i
const MONEY_BEHIND = /\s*(?:[$€£¥]|\b(?:kr\.?|chf|eur|usd|gbp))$/i
/** Groups of three with one mark, the other before the decimals: `1.250,00`, `1,250.50`, `1 250,5`. */
const GROUPED = /^(\d{1,3}(?:([.,\s\u00a0\u202f])\d{3})(?:\2\d{3})*)([.,])(\d+)$/
/** Of money alone: nobody writes thousandths of it. */
const THOUSANDS = /^\d{1,3}(?:([.,\s\u00a0\u202f])\d{3})(?:\1\d{3})*$/
/** Parts that people halve things into; `400/230` is two voltages. */
const PARTS: readonly number[] = [2, 3, 4, 8, 16, 32, 64]

/** As it would be written without marks between thousands; the text itself where it has none. */
function ungrouped(text: string, isMoney: boolean): string {
  const [, whole, mark, point, decimals] = GROUPED.exec(text) ?? []
  if (whole !== undefined && mark !== point) return `${whole.replace(/\D/g, '')}.${decimals}`
  return isMoney && THOUSANDS.test(text) ? text.replace(/\D/g, '') : text
}
/** Whether what is written is a fraction of something, and not one figure beside another. */
function isOdd(text: string): boolean {
  const [, numerator, denominator] = /^(?:\d+(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)/.exec(text) ?? []
  if (denominator === undefined) return false
  return !PARTS.includes(Number(denominator)) || Number(numerator) >= Number(denominator)
}

const isUnit = (rest: string, unit: string): boolean => {
  const words = rest.toLowerCase().replace(/\.$/, '')
  return words === unit.toLowerCase() || (SPELLINGS[unit]?.includes(words) ?? false)
}
/** What may follow an amount of money: nothing, or what it is for. */
const FOR_EACH = /^(?:\/|an?\b|per\b)\s*[\w³ ]+$/i

/**
 * @param text such as `60`, `60 %`, `$95`, `−20 °F`, `1.5e2`
 * @param unit the one that the number is in; empty where it has none
 * @returns the number, or null where it is none or in a unit that is none of this one; a temperature or a wind in another
 * scale is converted
 * @example readPlainNumber('60%', '%', 'en-US') // 60
 */
export function readPlainNumber(text: string, unit: string, locale: Locale): number | null {
  const written = text.trim()
  const sign = /^[-−–]\s*/.exec(written)
  const unsigned = sign ? written.slice(sign[0].length) : written
  const money = MONEY.exec(unsigned) ?? MONEY_BEHIND.exec(unsigned)
  const figure = ungrouped(money ? unsigned.replace(money[0], '').trim() : unsigned, money !== null)
  if (isOdd(figure)) return null
  const read = readNumber(figure, locale)
  if (isNumberProblem(read)) return null
  const value = sign ? -read.value : read.value
  const other = money ? undefined : CONVERTED[unit]?.find(([name]) => isUnit(read.rest, name))
  if (other) return Math.round(other[1](value))
  const fits = read.rest === '' || (money ? FOR_EACH.test(read.rest) : unit !== '' && isUnit(read.rest, unit))
  return fits ? value : null
}
