/** The size of a cable, a cord or welding leads, as people write it; what is stored has its unit. */
import { readConductor } from '@brannik/core'
import type { Read } from './useTyped.ts'

const BARE_GAUGE = /^(?:\d{1,2})$/
const BARE_AREA = /^\d{1,3}(?:[.,]\d{1,2})?$/

/** A figure alone is what the shop measures in, and is shown back with its unit at once. */
function withUnit(text: string, isImperial: boolean): string {
  if (isImperial && BARE_GAUGE.test(text)) return `${text} AWG`
  return BARE_AREA.test(text) ? `${text} mm²` : text
}

/**
 * @param text such as `10 AWG`, `#10`, `2.5 mm²`, `H07RN-F 3G2,5`; a bare number is what the shop measures in
 * @returns with its unit; as it is printed where more is printed than a size; empty for none
 * @example readConductorSize('#10', true) // { ok: true, value: '10 AWG' }
 */
export function readConductorSize(text: string, isImperial: boolean): Read<string> {
  const written = text.trim()
  if (written === '') return { ok: true, value: '' }
  const found = readConductor(withUnit(written, isImperial))
  if (found) return { ok: true, value: found.cores === null && found.kind === '' ? found.size : written }
  return {
    ok: false,
    message: `${written} is not a cable size. Enter for example 10 AWG or 2.5 mm².`,
  }
}
