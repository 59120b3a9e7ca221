/** What there is of an item: what is counted loose, and what is in its cylinders and on its spools. */
import { stockId, inStock } from './counts.ts'
import type { StockItem } from './index.ts'
import type { Shelf } from './shelf.ts'

type Held = Pick<Shelf, 'stock' | 'cylinders' | 'spools'>

/** @returns each container that is in the shop, with the count of what it holds */
const containersOf = ({
  cylinders,
  spools,
}: Held): readonly (readonly [holds: string, own: readonly [kind: 'cylinder' | 'spool', id: string]])[] => [
  ...cylinders.flatMap(({ id, gasId, returnedOn }) =>
    returnedOn === null ? [[stockId('gas', gasId), ['cylinder', id]] as const] : [],
  ),
  ...spools.map(({ id, wireId }) => [stockId('wire', wireId), ['spool', id]] as const),
]

const made = new WeakMap<readonly StockItem[], Held & { readonly all: readonly StockItem[] }>()

/**
 * @returns counts, in which an item has all that its cylinders and spools hold too; null where nothing of it is counted
 * @example inStock(onHandOf(shelf), 'gas', 'argon') // 2718 L in one cylinder, 3100 L in the other
 */
export function onHandOf(shelf: Held): readonly StockItem[] {
  const { stock, cylinders, spools } = shelf
  if (cylinders.length === 0 && spools.length === 0) return stock
  const known = made.get(stock)
  if (known?.cylinders === cylinders && known.spools === spools) return known.all
  const amounts = new Map(stock.map(({ id, amount }) => [id, amount]))
  for (const [holds, [kind, id]] of containersOf(shelf)) {
    const amount = inStock(stock, kind, id)
    if (amount !== null) amounts.set(holds, (amounts.get(holds) ?? 0) + amount)
  }
  const all = [...amounts].map(([id, amount]) => ({ id, amount }))
  made.set(stock, { stock, cylinders, spools, all })
  return all
}
