/** Limits of a field as the shop reads them: the schemas speak the inside units. */
import { printValue } from './printValue.ts'
import type { Notation } from './units.ts'

/** A plain number with an inside unit of the schemas. */
const FIGURE = /(−?\d+(?:\.\d+)?) (mm\/min|L\/min|km\/h|mm|°C|g)(?![\w/²³])/g

/**
 * @param message of a schema
 * @example inShopUnits('must be at least 0.5 mm', { system: 'imperial', locale: 'en-US' }) // 'must be at least 0.0197 in'
 */
export function inShopUnits(message: string, notation: Notation): string {
  if (notation.system === 'metric') return message
  return message.replace(FIGURE, (_, figure: string, unit: string) => {
    return printValue(Number(figure.replace('−', '-')), unit, notation)
  })
}
