/** Counts: their ids, and how much there is of a thing. */
import { isStocked } from './facts.ts'
import type { RecordKind, StockItem } from './index.ts'

/**
 * The id of a count.
 * @example stockId('wire', 'er70s6-035') // 'wire.er70s6-035'
 */
export const stockId = (kind: RecordKind, id: string): string => `${kind}.${id}`
/**
 * @param stocked id of a count, as its schema has it
 * @example stockedThing('wire.er70s6-035') // { kind: 'wire', id: 'er70s6-035' }
 */
export function stockedThing(stocked: string): { readonly kind: RecordKind; readonly id: string } {
  const end = stocked.indexOf('.')
  return { kind: stocked.slice(0, end) as RecordKind, id: stocked.slice(end + 1) }
}

const indexes = new WeakMap<readonly StockItem[], ReadonlyMap<string, number | null>>()

/**
 * @returns g of wire, L of gas, pieces of the others; null for what nobody has counted, or nobody counts
 * @example inStock(shelf.stock, 'wire', 'er70s6-035') // 4535.9
 */
export function inStock(stock: readonly StockItem[], kind: string, id: string): number | null {
  if (!isStocked(kind)) return null
  const index = indexes.get(stock) ?? new Map(stock.map((one) => [one.id, one.amount]))
  indexes.set(stock, index)
  return index.get(stockId(kind as RecordKind, id)) ?? null
}
