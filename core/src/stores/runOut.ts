/**
 * What the planned jobs draw from what is on hand, in the order of their due days: at which weld of which job each wire and
 * gas ends. One job against all of the stock says nothing where two draw from it.
 */
import { inDueOrder } from '../capability/claims.ts'
import type { Lasts } from '../card/lasts.ts'
import type { FitInput } from '../fit/fit.ts'
import { inStock, stockId } from '../kinds/counts.ts'
import type { StockItem } from '../kinds/index.ts'
import type { Order } from '../kinds/order.ts'
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

/** What comes in before a job. */
export interface Arrival {
  /** Of the count. */
  readonly id: string
  /** ISO 8601; null where the supplier has not said it: then it comes after every job. */
  readonly on: string | null
  readonly amount: number
  readonly orderId: string
  readonly orderName: string
}
/** A delivery, with what is there after it; null where it is not counted. */
export interface Delivery extends Arrival {
  readonly after: number | null
}
/** One after the other: a job or a delivery. */
export type StockStep =
  { readonly kind: 'job'; readonly draw: Draw } | { readonly kind: 'delivery'; readonly delivery: Delivery }

export interface RunOut extends Stored {
  /** Of the count: `wire.er70s6-035`. */
  readonly id: string
  readonly unit: (typeof STORED_UNITS)[StoredKind]
  /** Null where it is not counted. */
  readonly onHand: number | null
  readonly needed: number
  /** What is lacking after all jobs and deliveries; 0 where it is enough or not counted. */
  readonly shortBy: number
  /** After all jobs and deliveries, below 0 where it is not enough; null where it is not counted. */
  readonly leftAtEnd: number | null
  /** The job at which it ends; null where it does not, or where it is not counted. */
  readonly endsAt: Draw | null
  readonly draws: readonly Draw[]
  readonly steps: readonly StockStep[]
  /** Whole ones that bring what is lacking; 0 where nothing is. */
  readonly packs: number
}

/** Less than this is a rounding, in any unit. */
const SLACK = 1e-6

/** @returns what placed orders still bring, whole packages that have not come */
export const arrivalsOf = (orders: readonly Order[]): readonly Arrival[] =>
  orders
    .filter(({ state }) => state === 'placed')
    .flatMap(({ id: orderId, name: orderName, expectedOn, lines }) =>
      lines.flatMap(({ item, packs, receivedPacks, packSize }) =>
        packs > receivedPacks
          ? [{ id: item, on: expectedOn, amount: (packs - receivedPacks) * packSize, orderId, orderName }]
          : [],
      ),
    )

/** What comes on the day of a job comes before it; what has no day comes last. */
const isBefore = ({ on }: Arrival, dueOn: string | null): boolean =>
  on !== null && (dueOn === null || on <= dueOn)

function stepsOf(
  taken: readonly Take[],
  arrivals: readonly Arrival[],
  onHand: number | null,
): readonly StockStep[] {
  const waiting = arrivals.toSorted((a, b) => (a.on ?? '9999').localeCompare(b.on ?? '9999'))
  const steps: StockStep[] = []
  let left = onHand
  const arrive = (arrival: Arrival): void => {
    left = left === null ? null : left + arrival.amount
    steps.push({ kind: 'delivery', delivery: { ...arrival, after: left } })
  }
  for (const { input, amount, endsWith } of taken) {
    const { id: jobId, name: jobName, dueOn } = input.job
    while (waiting[0] && isBefore(waiting[0], dueOn)) arrive(waiting.shift() as Arrival)
    const before = left
    const after = before === null ? null : before - amount
    left = after
    const ends = after === null || after >= -SLACK ? null : endsWith(Math.max(0, before ?? 0))
    const draw = { jobId, jobName, dueOn, setUpName: input.setUp.name, amount, before, after, ends }
    steps.push({ kind: 'job', draw })
  }
  waiting.forEach(arrive)
  return steps
}

function netted(
  item: Stored,
  taken: readonly Take[],
  { stock, arrivals }: { readonly stock: readonly StockItem[]; readonly arrivals: readonly Arrival[] },
): RunOut {
  const id = stockId(item.kind, item.itemId)
  const onHand = inStock(stock, item.kind, item.itemId)
  const steps = stepsOf(
    taken,
    arrivals.filter((one) => one.id === id),
    onHand,
  )
  const draws = steps.flatMap((step) => (step.kind === 'job' ? [step.draw] : []))
  const last = steps.at(-1)
  const leftAtEnd = (last?.kind === 'job' ? last.draw.after : last?.delivery.after) ?? onHand
  const shortBy = leftAtEnd !== null && leftAtEnd < -SLACK ? -leftAtEnd : 0
  return {
    ...item,
    id,
    unit: STORED_UNITS[item.kind],
    onHand,
    needed: draws.reduce((sum, { amount }) => sum + amount, 0),
    shortBy,
    leftAtEnd,
    endsAt: draws.find(({ ends }) => ends !== null) ?? null,
    draws,
    steps,
    packs: shortBy === 0 ? 0 : Math.ceil(shortBy / item.packSize - SLACK),
  }
}

/**
 * @param inputs planned jobs, each with its set-up, in any order
 * @param stock what is counted
 * @param arrivals what is ordered and has not come
 * @returns each wire and gas that they draw from; what ends first is first, what is not counted last
 * @example runOut(inputs, shelf.stock)[0]?.endsAt?.jobName // 'Press screw post'
 */
export function runOut(
  inputs: readonly FitInput[],
  stock: readonly StockItem[],
  arrivals: readonly Arrival[] = [],
): readonly RunOut[] {
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
      return [netted({ kind, itemId, name, packSize, packPrice }, taken, { stock, arrivals })]
    })
    .toSorted((a, b) => rank(a).localeCompare(rank(b)) || a.name.localeCompare(b.name))
}
