/**
 * A kit as a mixed-integer program: what is bought is 0 or 1, each job is done in one way, and a way needs what it is done
 * with. Once it is settled what is bought, each job takes its cheapest way by itself, so only purchases need to be whole.
 */
import { SMALL_SLOTS } from '../capability/slots.ts'
import type { KitItem, KitProblem } from './kitProblem.ts'

export interface Row {
  readonly least: number
  readonly most: number
  /** Column and coefficient. */
  readonly terms: readonly (readonly [number, number])[]
}

/** Minimise the sum of cost times value, under the rows. */
export interface Program {
  readonly columns: readonly { readonly cost: number; readonly most: number; readonly isWhole: boolean }[]
  readonly rows: readonly Row[]
}

export interface KitRules {
  /** What is not to be bought. */
  readonly without?: readonly string[]
  /** Kits that were found already: another must leave out one thing of each that is no small part. */
  readonly unlike?: readonly (readonly string[])[]
  /** The most that purchases may come to. */
  readonly budget?: number
  /** At least so many jobs are done, and only purchases count. */
  readonly leastDone?: number
  /** Jobs may be left undone, at this cost for each. */
  readonly undoneCost?: number
}

/** Where the variables of a program stand. */
export interface Layout {
  readonly items: readonly string[]
  /** By job, the column of its first way. */
  readonly firstWay: readonly number[]
  /** Column of the first job's being undone; null where all are done. */
  readonly firstUndone: number | null
}

/** Kits that differ in a roll or a tip alone are the same to whoever buys. */
const isLarge = (item: KitItem | undefined): boolean => item !== undefined && !SMALL_SLOTS.has(item.slot)

/** @returns the program, and what its columns are */
export function programOf(
  { items, jobs }: KitProblem,
  { without = [], unlike = [], budget, leastDone, undoneCost }: KitRules = {},
): { readonly program: Program; readonly layout: Layout } {
  const columns: { cost: number; most: number; isWhole: boolean }[] = items.map(({ key, price }) => ({
    cost: price,
    most: without.includes(key) ? 0 : 1,
    isWhole: true,
  }))
  const at = new Map(items.map(({ key }, index) => [key, index]))
  const countsPurchasesAlone = leastDone !== undefined
  const firstWay = jobs.map(({ ways, runs }) => {
    const first = columns.length
    for (const { costPerRun } of ways)
      columns.push({ cost: countsPurchasesAlone ? 0 : runs * costPerRun, most: 1, isWhole: false })
    return first
  })
  const mayLeave = undoneCost !== undefined || leastDone !== undefined
  const firstUndone = mayLeave ? columns.length : null
  // How many are left undone must be whole where it is counted.
  if (mayLeave)
    for (const _job of jobs)
      columns.push({ cost: undoneCost ?? 0, most: 1, isWhole: leastDone !== undefined })
  const rows: Row[] = jobs.flatMap(({ ways }, index): readonly Row[] => {
    const first = firstWay[index] ?? 0
    const done: Row = {
      least: 1,
      most: 1,
      terms: [
        ...ways.map((_, way) => [first + way, 1] as const),
        ...(firstUndone === null ? [] : [[firstUndone + index, 1] as const]),
      ],
    }
    // One row a job and item, not one a way: it binds fractions far tighter.
    const byItem = new Map<number, (readonly [number, number])[]>()
    ways.forEach(({ needs }, way) => {
      for (const need of needs) {
        const item = at.get(need) ?? -1
        byItem.set(item, [...(byItem.get(item) ?? []), [first + way, 1]])
      }
    })
    return [
      done,
      ...[...byItem].map(([item, terms]): Row => ({
        least: -Infinity,
        most: 0,
        terms: [...terms, [item, -1]],
      })),
    ]
  })
  for (const kit of unlike) {
    const bought = kit
      .map((key) => at.get(key) ?? -1)
      .filter((index) => isLarge(items[index]))
      .map((index) => [index, 1] as const)
    // A kit of nothing that counts: another has something.
    if (bought.length === 0)
      rows.push({
        least: 1,
        most: Infinity,
        terms: items.flatMap((item, index) => (isLarge(item) ? [[index, 1] as const] : [])),
      })
    else rows.push({ least: -Infinity, most: bought.length - 1, terms: bought })
  }
  if (budget !== undefined)
    rows.push({
      least: -Infinity,
      most: budget,
      terms: items.map(({ price }, index) => [index, price] as const),
    })
  if (leastDone !== undefined && firstUndone !== null)
    rows.push({
      least: -Infinity,
      most: jobs.length - leastDone,
      terms: jobs.map((_, index) => [firstUndone + index, 1] as const),
    })
  return {
    program: { columns, rows },
    layout: { items: items.map(({ key }) => key), firstWay, firstUndone },
  }
}
