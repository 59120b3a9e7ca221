/** Reads the number at the start of what somebody wrote: whole, decimal, fraction or mixed. */
import { writesComma } from './numberFormat.ts'
import type { Locale } from './units.ts'

export type NumberForm = 'whole' | 'decimal' | 'fraction'

export interface NumberRead {
  readonly value: number
  readonly form: NumberForm
  /** What follows the number, trimmed. */
  readonly rest: string
}

export interface NumberProblem {
  readonly code: 'no-number' | 'negative' | 'zero-denominator' | 'ambiguous-comma'
  readonly reason: string
}

const VULGAR: Record<string, string> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const FRACTION = /^(\d+)\s*\/\s*(\d+)/
const MIXED = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)/
/** Three figures after a mark, and not 0 before it: a thousand, or a decimal. */
const THOUSAND = /^[1-9]\d{0,2}[.,]\d{3}$/
const DECIMAL = /^(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?/i

function spellOut(text: string): string {
  const plain = text.replace(/[¼½¾⅛⅜⅝⅞]/g, (mark) => ` ${VULGAR[mark] ?? ''}`)
  return plain.replaceAll('⁄', '/').trim()
}

/**
 * @param text what was written, for example `1-1/2 in`, `.080`, `1½"`, `5,5 mm`
 * @param locale how the shop writes numbers: its own decimal mark is never taken for one between thousands
 * @returns the number, its form and the rest of the text, or a problem. Never throws.
 */
export function readNumber(text: string, locale: Locale = 'en-US'): NumberRead | NumberProblem {
  const written = spellOut(text)
  if (/^[-−–]\s*[\d.,]/.test(written)) {
    return { code: 'negative', reason: 'it is below zero' }
  }
  const mixed = MIXED.exec(written)
  if (mixed) return fraction(written, mixed[0], Number(mixed[1]), Number(mixed[2]), Number(mixed[3]))
  const simple = FRACTION.exec(written)
  if (simple) return fraction(written, simple[0], 0, Number(simple[1]), Number(simple[2]))
  const decimal = DECIMAL.exec(written)
  if (!decimal) return { code: 'no-number', reason: 'there is no number at its start' }
  const digits = decimal[0]
  const foreign = writesComma(locale) ? '.' : ','
  if (THOUSAND.test(digits) && digits.includes(foreign)) {
    return {
      code: 'ambiguous-comma',
      reason: `${digits} can be read with the ${foreign === ',' ? 'comma' : 'point'} as a decimal mark or between thousands`,
    }
  }
  const value = Number(digits.replace(',', '.'))
  const form: NumberForm = /^\d+$/.test(digits) ? 'whole' : 'decimal'
  return { value, form, rest: written.slice(digits.length).trim() }
}

function fraction(
  written: string,
  matched: string,
  whole: number,
  numerator: number,
  denominator: number,
): NumberRead | NumberProblem {
  if (denominator === 0) {
    return { code: 'zero-denominator', reason: `${numerator}/0 divides by zero` }
  }
  return {
    value: whole + numerator / denominator,
    form: 'fraction',
    rest: written.slice(matched.length).trim(),
  }
}

export const isNumberProblem = (read: NumberRead | NumberProblem): read is NumberProblem => 'reason' in read
