/**
 * A kit as a mixed-integer program: what is bought is 0 or 1, each job is done in one way, and a way needs what it is done
 * with. Once it is settled what is bought, each job takes its cheapest way by itself, so only purchases need to be whole.
 */
import { SMALL_SLOTS } from '../kinds/slots.ts'
import type { OneOf } from './unbeaten.ts'
import { countedCost, type KitItem, type KitJob, type KitProblem, type KitWay } from './kitProblem.ts'

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
  /** Whether the least with fractions allowed is mostly one of whole numbers: it is found in a quarter of the time. */
  readonly isMostlyWhole?: boolean
}

/** Which jobs may be left undone, and what is sought then. */
export type Undone =
  /** All are done, for the least money. */
  | { readonly is: 'none' }
  /** The least of the weights of what is left undone, whatever it costs. */
  | { readonly is: 'least' }
  /** The least money, where the weights of what is left undone come to no more than this. */
  | { readonly is: 'at-most'; readonly weight: number }
  /** The least money for purchases alone, where at least so many jobs are done. */
  | { readonly is: 'count'; readonly leastDone: number }

export interface KitRules {
  /** What is not to be bought. */
  readonly without?: readonly string[]
  /** Whether a job at least has to go by something large that is bought for it. */
  readonly buysLarge?: boolean
  /** The most that purchases may come to. */
  readonly budget?: number
}

/** Kits that differ in a roll or a tip alone are the same to whoever buys. */
export const isLarge = (item: Pick<KitItem, 'slot'> | undefined): boolean =>
  item !== undefined && !SMALL_SLOTS.has(item.slot)

function push<K, V>(lists: Map<K, V[]>, key: K, value: V): void {
  const list = lists.get(key)
  if (list) list.push(value)
  else lists.set(key, [value])
}

/** Jobs with the same ways: whatever is bought, they are done in the same way, or none of them is. */
interface Group {
  readonly ways: readonly KitWay[]
  readonly runs: number
  readonly count: number
  readonly weight: number
}

/** @param weights by job, where they are asked for */
export function groupsOf(
  jobs: readonly KitJob[],
  weights: ReadonlyMap<string, number> = new Map(),
): readonly Group[] {
  const groups = new Map<readonly KitWay[], Group>()
  for (const { id, ways, runs } of jobs) {
    const known = groups.get(ways) ?? { ways, runs: 0, count: 0, weight: 0 }
    groups.set(ways, {
      ways,
      runs: known.runs + runs,
      count: known.count + 1,
      weight: known.weight + (weights.get(id) ?? 0),
    })
  }
  return [...groups.values()]
}

/**
 * @param weights by job, what its being done counts against others
 * @returns the program; its first columns are the items, in their order
 */
export function programOf(
  { items, jobs }: Pick<KitProblem, 'items' | 'jobs'>,
  undone: Undone,
  weights: ReadonlyMap<string, number>,
  { without = [], buysLarge = false, budget }: KitRules = {},
): Program {
  const isForMoney = undone.is !== 'least'
  const countsRuns = undone.is === 'none' || undone.is === 'at-most'
  const columns: { cost: number; most: number; isWhole: boolean }[] = items.map(({ key, price }) => ({
    cost: isForMoney ? price : 0,
    most: without.includes(key) ? 0 : 1,
    isWhole: true,
  }))
  const at = new Map(items.map(({ key }, index) => [key, index]))
  const groups = groupsOf(jobs, weights)
  const rows: Row[] = []
  const ofSets = new Map<string, number>()
  /** A part alone is its own column; of several together one that needs them all. */
  const columnOfSet = (set: readonly string[]): number => {
    const [only = ''] = set
    if (set.length === 1) return at.get(only) ?? -1
    const key = [...set].sort().join()
    const known = ofSets.get(key)
    if (known !== undefined) return known
    const column = columns.length
    columns.push({ cost: 0, most: 1, isWhole: false })
    for (const part of set)
      rows.push({
        least: -Infinity,
        most: 0,
        terms: [
          [column, 1],
          [at.get(part) ?? -1, -1],
        ],
      })
    ofSets.set(key, column)
    return column
  }
  const left: number[] = []
  /** Ways that need something large. */
  const byLarge: number[] = []
  for (const { ways, runs, weight } of groups) {
    const first = columns.length
    for (const way of ways) {
      if (way.needs.some((key) => isLarge(items[at.get(key) ?? -1]))) byLarge.push(columns.length)
      columns.push({ cost: countsRuns ? runs * countedCost(way) : 0, most: 1, isWhole: false })
    }
    const done: [number, number][] = ways.map((_, index) => [first + index, 1])
    if (undone.is !== 'none') {
      left.push(columns.length)
      done.push([columns.length, 1])
      // Half a job undone would buy half another.
      columns.push({ cost: isForMoney ? 0 : weight, most: 1, isWhole: true })
    }
    rows.push({ least: 1, most: 1, terms: done })
    // One row a job and item, not one a way: it binds fractions far tighter.
    const byItem = new Map<string, [number, number][]>()
    const byChoice = new Map<OneOf, [number, number][]>()
    ways.forEach(({ needs, oneOf }, way) => {
      for (const need of needs) push(byItem, need, [first + way, 1])
      for (const sets of oneOf) push(byChoice, sets, [first + way, 1])
    })
    for (const [item, terms] of byItem)
      rows.push({ least: -Infinity, most: 0, terms: [...terms, [at.get(item) ?? -1, -1]] })
    for (const [sets, terms] of byChoice)
      rows.push({
        least: -Infinity,
        most: 0,
        terms: [...terms, ...[...new Set(sets.map(columnOfSet))].map((column) => [column, -1] as const)],
      })
  }
  // Bought alone it would be something that nothing uses: the cheapest of all.
  if (buysLarge) rows.push({ least: 1, most: Infinity, terms: byLarge.map((column) => [column, 1] as const) })
  if (budget !== undefined)
    rows.push({
      least: -Infinity,
      most: budget,
      terms: items.map(({ price }, index) => [index, price] as const),
    })
  const bounded = (most: number, of: (group: Group) => number): void => {
    rows.push({
      least: -Infinity,
      most,
      terms: groups.map((group, index) => [left[index] ?? -1, of(group)] as const),
    })
  }
  if (undone.is === 'at-most') bounded(undone.weight, ({ weight }) => weight)
  if (undone.is === 'count') bounded(jobs.length - undone.leastDone, ({ count }) => count)
  // What bounds a sum over items or jobs is met by a part of one; without it rows bind each item to each job by itself.
  const isMostlyWhole = undone.is === 'none' && budget === undefined && !buysLarge
  return { columns, rows, isMostlyWhole }
}
