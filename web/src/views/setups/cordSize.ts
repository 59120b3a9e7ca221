/** The size of a cord, or of welding leads, as people write it. */
import type { Read } from '../../components/useTyped.ts'

const AWG = /^#?\s*(\d{1,2}|[1-4]\/0)\s*(awg|ga|gauge)?$/i
const METRIC = /^(\d{1,3}(?:[.,]\d+)?)\s*(mm\s?(?:2|²)?)?$/i

/**
 * @param text such as `10 AWG`, `#10`, `2.5 mm²`, `2,5`; a bare number is what the shop measures in
 * @returns as rule books write it; empty for none
 * @example readCordSize('#10', true) // { ok: true, value: '10 AWG' }
 */
export function readCordSize(text: string, isImperial: boolean): Read<string> {
  const written = text.trim()
  if (written === '') return { ok: true, value: '' }
  const [, awg, awgUnit] = AWG.exec(written) ?? []
  const [, mm2, mmUnit] = METRIC.exec(written) ?? []
  const isAwg = awg !== undefined && (awgUnit !== undefined || written.startsWith('#') || awg.includes('/'))
  if (awg !== undefined && (isAwg || (mmUnit === undefined && isImperial)))
    return { ok: true, value: `${awg} AWG` }
  if (mm2 !== undefined) return { ok: true, value: `${Number(mm2.replace(',', '.'))} mm²` }
  return {
    ok: false,
    message: `${written} is no size of a cable. Write it as printed on it, for example 10 AWG or 2.5 mm².`,
  }
}
