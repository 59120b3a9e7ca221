/** How much there is of a thing, in words. */
import { isStocked, kindOfPath, type Notation, printQuantity, STOCK_META } from '@brannik/core'

/** @returns null for what nobody counts */
export function stockWords(path: string, amount: number | null, notation: Notation): string | null {
  const kind = kindOfPath(path)
  if (!kind || !isStocked(kind)) return null
  const { quantity, unit = '', empty = '' } = STOCK_META[kind].field
  if (amount === null) return empty
  return quantity ? printQuantity(quantity, amount, notation) : `${amount} ${unit}`
}
