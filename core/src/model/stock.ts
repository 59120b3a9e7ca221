/**
 * What is there of a thing that is used up or lies in the drawer: a count beside its record, for it changes with every
 * job, and each change is a movement of its own.
 */
import { field, type FieldMeta } from './field.ts'
import type { StockItem } from './stockItem.ts'

/** Kinds of record that are counted: wire in g, gas in L, the others in pieces. */
export const STOCKED_KINDS = ['part', 'wire', 'gas', 'tungsten'] as const
export type StockedKind = (typeof STOCKED_KINDS)[number]
/**
 * Whether things of a kind are counted.
 * @example isStocked('gun') // false
 */
export const isStocked = (kind: string): kind is StockedKind =>
  (STOCKED_KINDS as readonly string[]).includes(kind)

/** What people see of a count. */
export const STOCK_META: Readonly<Record<StockedKind, FieldMeta>> = {
  part: field('In the drawer', { unit: 'pcs', empty: 'not counted', heading: 'stock' }),
  wire: field('On the shelf', { quantity: 'mass', empty: 'not weighed', heading: 'stock_g' }),
  // Free gas, from the gauge.
  gas: field('Left', { quantity: 'gasVolume', empty: 'gauge not read', heading: 'left_l' }),
  tungsten: field('In the drawer', { unit: 'pcs', empty: 'not counted', heading: 'stock' }),
}

/**
 * The id of a count.
 * @example stockId('wire', 'er70s6-035') // 'wire.er70s6-035'
 */
export const stockId = (kind: StockedKind, id: string): string => `${kind}.${id}`
/**
 * @param stocked id of a count, as its schema has it
 * @example stockedThing('wire.er70s6-035') // { kind: 'wire', id: 'er70s6-035' }
 */
export function stockedThing(stocked: string): { readonly kind: StockedKind; readonly id: string } {
  const end = stocked.indexOf('.')
  return { kind: stocked.slice(0, end) as StockedKind, id: stocked.slice(end + 1) }
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
  return index.get(stockId(kind, id)) ?? null
}
