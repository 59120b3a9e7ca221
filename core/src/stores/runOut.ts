/**
 * What the planned jobs draw from what is on hand, in the order of their due days: at which weld of which job each wire and
 * gas ends. One job against all of the stock says nothing where two draw from it.
 */
import { gasOfRunL } from '../criteria/use.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import { type Lasts, lastsOf } from '../card/lasts.ts'
import { inStock, stockId } from '../kinds/counts.ts'
import type { StockItem } from '../kinds/index.ts'

/** What one job takes. */
export interface Draw {
  readonly jobId: string
  readonly jobName: string
  /** ISO 8601; null where it is not set. */
  readonly dueOn: string | null
  readonly setUpName: string
  /** g of wire, L of gas. */
  readonly amount: number
  /** On hand before it; null where it is not counted. */
  readonly before: number | null
  /** On hand after it, below 0 where it is not enough; null where it is not counted. */
  readonly after: number | null
  /** How many of its welds what is left is enough for; null where all of them, or where it is not counted. */
  readonly ends: Lasts | null
}

export interface RunOut {
  /** Of the count: `wire.er70s6-035`. */
  readonly id: string
  readonly kind: 'wire' | 'gas'
  readonly itemId: string
  readonly name: string
  readonly unit: 'g' | 'L'
  /** Null where it is not counted. */
  readonly onHand: number | null
  readonly needed: number
  /** What is lacking for all of them; 0 where it is enough or not counted. */
  readonly shortBy: number
  /** The job at which it ends; null where it does not, or where it is not counted. */
  readonly endsAt: Draw | null
  readonly draws: readonly Draw[]
  /** One spool, pack or cylinder, in the unit. */
  readonly packSize: number
  readonly packPrice: number | null
  /** Whole ones that bring what is lacking; 0 where nothing is. */
  readonly packs: number
}

/** The last day comes after every other, and no day after that. */
const dayOf = ({ job }: FitInput): string => job.dueOn ?? '9999'
const inOrder = (one: FitInput, other: FitInput): number =>
  dayOf(one).localeCompare(dayOf(other)) || one.job.name.localeCompare(other.job.name)

/** An item with what it takes from it, not yet netted. */
interface Taken {
  readonly input: FitInput
  readonly amount: number
  readonly endsWith: (onHand: number) => Lasts
}
interface Item {
  readonly kind: RunOut['kind']
  readonly itemId: string
  readonly name: string
  readonly packSize: number
  readonly packPrice: number | null
  readonly taken: Taken[]
}

/** Less than this is a rounding, in g or L. */
const SLACK = 1e-6

function takenBy(input: FitInput, add: (item: Omit<Item, 'taken'>, taken: Taken) => void): void {
  const { capability, demand } = sidesOf(input)
  const { wire, gas, job } = input
  const take = (item: Omit<Item, 'taken'>, usedBy: Parameters<typeof lastsOf>[3]): void => {
    const amount = demand.welds.reduce((sum, weld) => sum + usedBy(weld), 0)
    if (amount > 0)
      add(item, { input, amount, endsWith: (onHand) => lastsOf(job, demand.welds, onHand, usedBy) })
  }
  if (wire)
    take(
      {
        kind: 'wire',
        itemId: wire.id,
        name: wire.name,
        packSize: wire.packageG,
        packPrice: wire.packagePrice,
      },
      ({ fillerG }) => fillerG,
    )
  if (gas && capability.process.shielded)
    take(
      { kind: 'gas', itemId: gas.id, name: gas.name, packSize: gas.fullL, packPrice: gas.refillPrice },
      (weld) => gasOfRunL(capability, demand, weld) ?? 0,
    )
}

function netted({ taken, ...item }: Item, stock: readonly StockItem[]): RunOut {
  const unit = item.kind === 'wire' ? 'g' : 'L'
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
  const items = new Map<string, Item>()
  for (const input of inputs.toSorted(inOrder))
    takenBy(input, (item, taken) => {
      const id = stockId(item.kind, item.itemId)
      const known = items.get(id) ?? { ...item, taken: [] }
      known.taken.push(taken)
      items.set(id, known)
    })
  const rank = ({ endsAt, onHand }: RunOut): string =>
    endsAt ? `0 ${endsAt.dueOn ?? '9999'}` : onHand === null ? '2' : '1'
  return [...items.values()]
    .map((item) => netted(item, stock))
    .toSorted((a, b) => rank(a).localeCompare(rank(b)) || a.name.localeCompare(b.name))
}
