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
const MONEY = /^[$€£¥]\s*|^(?:kr\.?|chf)\s+/i

const isUnit = (rest: string, unit: string): boolean => {
  const words = rest.toLowerCase().replace(/\.$/, '')
  return words === unit.toLowerCase() || (SPELLINGS[unit]?.includes(words) ?? false)
}
/** What may follow an amount of money: nothing, or what it is for. */
const FOR_EACH = /^(?:\/|an?\b|per\b)\s*[\w³ ]+$/i

/**
 * @param text such as `60`, `60 %`, `$95`, `−20 °F`, `1.5e2`
 * @param unit the one that the number is in; empty where it has none
 * @returns the number, or null where it is none or in another unit
 * @example readPlainNumber('60%', '%', 'en-US') // 60
 */
export function readPlainNumber(text: string, unit: string, locale: Locale): number | null {
  const written = text.trim()
  const sign = /^[-−–]\s*/.exec(written)
  const unsigned = sign ? written.slice(sign[0].length) : written
  const money = MONEY.exec(unsigned)
  const read = readNumber(money ? unsigned.slice(money[0].length) : unsigned, locale)
  if (isNumberProblem(read)) return null
  const fits = read.rest === '' || (money ? FOR_EACH.test(read.rest) : unit !== '' && isUnit(read.rest, unit))
  if (!fits) return null
  return sign ? -read.value : read.value
}
