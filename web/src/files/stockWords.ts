/** How much there is of a thing, in words. */
import { factsAt, type Notation, printQuantity } from '@brannik/core'

/** @returns null for what nobody counts */
export function stockWords(path: string, amount: number | null, notation: Notation): string | null {
  const counting = factsAt(path)?.counting
  if (!counting) return null
  const { quantity, unit = '', empty = '' } = counting.meta.field
  if (amount === null) return empty
  return quantity ? printQuantity(quantity, amount, notation) : `${amount} ${unit}`
}
