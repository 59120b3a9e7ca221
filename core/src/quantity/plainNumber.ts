/** Reads a number that has one unit only: with that unit after it or without, with a sign of money or of below zero. */
import { isNumberProblem, readNumber } from './number.ts'
import type { Locale } from './units.ts'

/** Other ways to write a unit, lower case. */
const SPELLINGS: Readonly<Record<string, readonly string[]>> = {
  '%': ['percent', 'pct'],
  s: ['sec', 'secs', 'second', 'seconds'],
  min: ['mins', 'minute', 'minutes'],
  h: ['hr', 'hrs', 'hour', 'hours'],
  '°': ['deg', 'degrees'],
  '°F': ['f', 'deg f'],
  '°C': ['c', 'deg c'],
  'km/h': ['kmh', 'kph'],
  in: ['inch', 'inches', '"'],
  'in/min': ['ipm'],
  CFH: ['ft³/h', 'scfh'],
  'L/min': ['lpm'],
  W: ['watt', 'watts'],
  V: ['volt', 'volts', 'vac'],
  A: ['amp', 'amps', 'ampere', 'amperes'],
}
/** What a figure in another unit is in this one. */
const CONVERTED: Readonly<
  Record<string, readonly (readonly [other: string, convert: (value: number) => number])[]>
> = {
  // To whole degrees and whole miles, as such fields have them.
  '°C': [['°F', (f) => Math.round(((f - 32) * 5) / 9)]],
  '°F': [['°C', (c) => Math.round((c * 9) / 5 + 32)]],
  'km/h': [
    ['mph', (mph) => Math.round(mph * 1.609344)],
    ['m/s', (perS) => Math.round(perS * 3.6)],
  ],
  mph: [
    ['km/h', (kmh) => Math.round(kmh / 1.609344)],
    ['m/s', (perS) => Math.round((perS * 3.6) / 1.609344)],
  ],
  h: [
    ['min', (min) => min / 60],
    ['s', (s) => s / 3600],
  ],
  min: [
    ['h', (h) => h * 60],
    ['s', (s) => s / 60],
  ],
  s: [
    ['min', (min) => min * 60],
    ['h', (h) => h * 3600],
  ],
  mm: [['in', (inches) => inches * 25.4]],
  in: [['mm', (mm) => mm / 25.4]],
  'mm/min': [['in/min', (perMin) => perMin * 25.4]],
  'in/min': [['mm/min', (perMin) => perMin / 25.4]],
  CFH: [['L/min', (litres) => (litres * 60) / 28.316846592]],
  'L/min': [['CFH', (cubicFeet) => (cubicFeet * 28.316846592) / 60]],
  W: [['kW', (kw) => kw * 1000]],
  kW: [['W', (w) => w / 1000]],
}
/** What may stand behind a unit without changing it: `50 A breaker`, `30 % duty`. Common practice, no source. */
const NOUNS: Readonly<Record<string, RegExp>> = {
  A: /\s*(?:breaker|circuit|fuse|outlet|receptacle|service|panel)$/i,
  V: /\s*(?:circuit|outlet|receptacle|supply|input|service)$/i,
  '%': /\s*(?:duty(?: cycle)?)$/i,
}
/** `1:30` in hours is an hour and a half, in minutes a minute and a half, in seconds that many seconds. */
const CLOCK = /^(\d+):([0-5]\d)$/
/** `1 h 30 min`, `1h30`, `2 min 15 s`. */
const TWO_TIMES =
  /^(\d+)\s*(h|hr|hrs|hours?|min|mins|minutes?)\.?\s*(\d+)\s*(?:min|mins|minutes?|s|sec|secs|seconds?)?\.?$/i
const SECONDS: Readonly<Record<string, number>> = { h: 3600, min: 60, s: 1 }
/** @returns the time in the unit of the field; null of what is no time of two figures */
function readTwoTimes(text: string, unit: string): number | null {
  const worth = SECONDS[unit]
  if (worth === undefined) return null
  const [, whole = '', sixtieths = ''] = CLOCK.exec(text) ?? []
  if (whole !== '') {
    const large = Math.max(worth, 60)
    return (Number(whole) * large + (Number(sixtieths) * large) / 60) / worth
  }
  const [, large = '', word = '', small = ''] = TWO_TIMES.exec(text) ?? []
  if (large === '' || Number(small) >= 60) return null
  const largeS = word.toLowerCase().startsWith('h') ? 3600 : 60
  return (Number(large) * largeS + (Number(small) * largeS) / 60) / worth
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
/** A number of things, where the field has no unit: `2 pcs`. */
const OF_THINGS = /^(?:pcs?|pieces?|ea|each|off|x|times)\.?$/i
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
  const written = text.trim().replace(NOUNS[unit] ?? /$^/, '')
  const time = readTwoTimes(written, unit)
  if (time !== null) return time
  const sign = /^[-−–]\s*/.exec(written)
  const unsigned = sign ? written.slice(sign[0].length) : written
  const money = MONEY.exec(unsigned) ?? MONEY_BEHIND.exec(unsigned)
  const figure = ungrouped(money ? unsigned.replace(money[0], '').trim() : unsigned, money !== null)
  if (isOdd(figure)) return null
  const read = readNumber(figure, locale)
  if (isNumberProblem(read)) return null
  const value = sign ? -read.value : read.value
  const other = money ? undefined : CONVERTED[unit]?.find(([name]) => isUnit(read.rest, name))
  if (other) return other[1](value)
  const fits =
    read.rest === '' ||
    (money ? FOR_EACH.test(read.rest) : unit === '' ? OF_THINGS.test(read.rest) : isUnit(read.rest, unit))
  return fits ? value : null
}
