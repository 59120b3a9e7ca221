/**
 * What the planned jobs draw from what is on hand, in the order of their due days: at which weld of which job each wire and
 * gas ends. One job against all of the stock says nothing where two draw from it.
 */
import { inDueOrder } from '../capability/claims.ts'
import type { Lasts } from '../card/lasts.ts'
import type { FitInput } from '../fit/fit.ts'
import { inStock, stockId } from '../kinds/counts.ts'
import type { StockItem } from '../kinds/index.ts'
import { type Stored, STORED_UNITS, type StoredKind, type Take, takesOf } from './takes.ts'

/** What one job takes. */
export interface Draw {
  readonly jobId: string
  readonly jobName: string
  /** ISO 8601; null where it is not set. */
  readonly dueOn: string | null
  readonly setUpName: string
  /** In the unit of the item. */
  readonly amount: number
  /** On hand before it; null where it is not counted. */
  readonly before: number | null
  /** On hand after it, below 0 where it is not enough; null where it is not counted. */
  readonly after: number | null
  /** How many of its welds what is left is enough for; null where all of them, or where it is not counted. */
  readonly ends: Lasts | null
}

export interface RunOut extends Stored {
  /** Of the count: `wire.er70s6-035`. */
  readonly id: string
  readonly unit: (typeof STORED_UNITS)[StoredKind]
  /** Null where it is not counted. */
  readonly onHand: number | null
  readonly needed: number
  /** What is lacking for all of them; 0 where it is enough or not counted. */
  readonly shortBy: number
  /** The job at which it ends; null where it does not, or where it is not counted. */
  readonly endsAt: Draw | null
  readonly draws: readonly Draw[]
  /** Whole ones that bring what is lacking; 0 where nothing is. */
  readonly packs: number
}

/** Less than this is a rounding, in any unit. */
const SLACK = 1e-6

function netted(item: Stored, taken: readonly Take[], stock: readonly StockItem[]): RunOut {
  const unit = STORED_UNITS[item.kind]
  const onHand = inStock(stock, item.kind, item.itemId)
  let left = onHand
  const draws = taken.map(({ input, amount, endsWith }): Draw => {
    const before = left
    const after = before === null ? null : before - amount
    left = after
    return {
      jobId: input.job.id,
      jobName: input.job.name,
      dueOn: input.job.dueOn,
      setUpName: input.setUp.name,
      amount,
      before,
      after,
      ends: after === null || after >= -SLACK ? null : endsWith(Math.max(0, before ?? 0)),
    }
  })
  const needed = draws.reduce((sum, { amount }) => sum + amount, 0)
  const shortBy = left !== null && left < -SLACK ? -left : 0
  return {
    ...item,
    id: stockId(item.kind, item.itemId),
    unit,
    onHand,
    needed,
    shortBy,
    endsAt: draws.find(({ ends }) => ends !== null) ?? null,
    draws,
    packs: shortBy === 0 ? 0 : Math.ceil(shortBy / item.packSize - SLACK),
  }
}

/**
 * @param inputs planned jobs, each with its set-up, in any order
 * @param stock what is counted
 * @returns each wire and gas that they draw from; what ends first is first, what is not counted last
 * @example runOut(inputs, shelf.stock)[0]?.endsAt?.jobName // 'Press screw post'
 */
export function runOut(inputs: readonly FitInput[], stock: readonly StockItem[]): readonly RunOut[] {
  const items = new Map<string, Take[]>()
  for (const input of inputs.toSorted((a, b) => inDueOrder(a.job, b.job)))
    for (const take of takesOf(input)) {
      const id = stockId(take.kind, take.itemId)
      items.set(id, [...(items.get(id) ?? []), take])
    }
  const rank = ({ endsAt, onHand }: RunOut): string =>
    endsAt ? `0 ${endsAt.dueOn ?? '9999'}` : onHand === null ? '2' : '1'
  return [...items.values()]
    .flatMap((taken) => {
      const [first] = taken
      if (!first) return []
      const { kind, itemId, name, packSize, packPrice } = first
      return [netted({ kind, itemId, name, packSize, packPrice }, taken, stock)]
    })
    .toSorted((a, b) => rank(a).localeCompare(rank(b)) || a.name.localeCompare(b.name))
}
