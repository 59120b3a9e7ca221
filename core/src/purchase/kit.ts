/** The cheapest purchase that covers the jobs, and what a purchase comes to that is settled. */
import { type KitItem, type KitJob, type KitProblem, type KitWay } from './kitProblem.ts'
import { Needless } from './needless.ts'
import { type KitRules, programOf, type Undone } from './program.ts'
import type { Progress, Solve } from './solve.ts'

export interface Kit {
  readonly buys: readonly KitItem[]
  readonly does: readonly { readonly jobId: string; readonly way: KitWay }[]
  readonly undone: readonly string[]
  /** In the shop's currency, over the horizon. */
  readonly purchases: number
  readonly running: number
  /** What the comparison adds for runs that are tight. */
  readonly tight: number
  readonly total: number
}

export interface Proof {
  readonly isProven: boolean
  /** At most this part of the cost could still be saved; 0 where it is proven. */
  readonly gap: number
}

export interface ChosenKit {
  readonly kit: Kit
  readonly proof: Proof
}

const hasAll = (keys: readonly string[], has: ReadonlySet<string>): boolean =>
  keys.every((key) => has.has(key))
const isThere = ({ needs, oneOf }: KitWay, has: ReadonlySet<string>): boolean =>
  hasAll(needs, has) && oneOf.every((sets) => sets.some((set) => hasAll(set, has)))

/** Of small parts that stand for each other those are taken that are used anyway. */
function usedBy(ways: readonly KitWay[], has: ReadonlySet<string>): ReadonlySet<string> {
  const used = new Set(ways.flatMap(({ needs }) => needs))
  const choices = new Set(ways.flatMap(({ oneOf }) => oneOf))
  // What leaves least to choose first.
  const there = [...choices]
    .map((sets) => sets.filter((set) => hasAll(set, has)))
    .sort((a, b) => a.length - b.length)
  for (const sets of there) {
    const found = sets.find((set) => hasAll(set, used)) ?? sets[0] ?? []
    for (const key of found) used.add(key)
  }
  return used
}

/** @returns what of a kit one way needs */
export function neededBy(way: KitWay, kit: Kit): readonly string[] {
  const bought = new Set(kit.buys.map(({ key }) => key))
  return [...way.needs, ...way.oneOf.flatMap((sets) => sets.find((set) => hasAll(set, bought)) ?? [])]
}

/**
 * Each job takes its cheapest way with what is there; what no job uses is not bought.
 * @example kitWith(problem, []).undone // what cannot be done with what the shop has
 */
export function kitWith({ items, jobs }: Pick<KitProblem, 'items' | 'jobs'>, keys: readonly string[]): Kit {
  const has = new Set(keys)
  const undone: string[] = []
  let [running, tight] = [0, 0]
  const does = jobs.flatMap(({ id, ways, runs }) => {
    const way = ways.find((one) => isThere(one, has))
    if (!way) {
      undone.push(id)
      return []
    }
    running += runs * way.costPerRun
    tight += runs * way.tightCost
    return [{ jobId: id, way }]
  })
  const used = usedBy(
    does.map(({ way }) => way),
    has,
  )
  const buys = items.filter(({ key }) => used.has(key))
  const purchases = buys.reduce((sum, { price }) => sum + price, 0)
  return { buys, does, undone, purchases, running, tight, total: purchases + running + tight }
}

/** A job that brings in nothing is still done where it can be. */
const LEAST_WEIGHT = 0.001

/**
 * What it counts that a job is done: all its runs at what one brings in. A job without that figure counts like the average
 * of the others; where no job has it, each counts alike.
 * @returns by job, of a mean of 1
 */
export function weightsOf(jobs: readonly KitJob[]): ReadonlyMap<string, number> {
  const known = jobs.flatMap(({ runs, worthPerRun }) => (worthPerRun === null ? [] : [runs * worthPerRun]))
  const mean = known.reduce((sum, worth) => sum + worth, 0) / known.length
  return new Map(
    jobs.map(({ id, runs, worthPerRun }) => [
      id,
      worthPerRun === null || !(mean > 0) ? 1 : Math.max(LEAST_WEIGHT, (runs * worthPerRun) / mean),
    ]),
  )
}

const weightOf = (ids: readonly string[], weights: ReadonlyMap<string, number>): number =>
  ids.reduce((sum, id) => sum + (weights.get(id) ?? 0), 0)

/** Weights are of the order of 1. */
const SLACK = 1e-6

/** The worst of two proofs. */
const both = (a: Proof, b: Proof): Proof => ({
  isProven: a.isProven && b.isProven,
  gap: Math.max(a.gap, b.gap),
})

export type Hears = (progress: Progress, kit: Kit | null) => void

/** How a question is asked beside its rules. */
export interface Asking {
  readonly told?: Hears | undefined
  /** What makes the problem small, shared by many questions about the same things and jobs. */
  readonly needless?: Needless
}

/** @returns null where nothing meets the rules, or nothing was found in time */
export function solved(
  problem: KitProblem,
  solve: Solve,
  undone: Undone,
  rules: KitRules,
  { told, needless = new Needless(problem) }: Asking = {},
): ChosenKit | null {
  // What is needless for the best may be in one that is to be another.
  const small = rules.buysLarge === true ? problem : needless.reduced(rules.without ?? [])(problem)
  const program = programOf(small, undone, weightsOf(problem.jobs), rules)
  const bought = (values: Float64Array) =>
    small.items.filter((_, index) => (values[index] ?? 0) > 0.5).map(({ key }) => key)
  const hears = (progress: Progress): void =>
    told?.(progress, progress.values && kitWith(problem, bought(progress.values)))
  const { values, objective, bound, isProven } = solve(program, told && hears)
  if (!values) return null
  const gap = isProven || objective <= 0 ? 0 : Math.max(0, (objective - bound) / objective)
  return { kit: kitWith(problem, bought(values)), proof: { isProven, gap } }
}

/** Which jobs are left undone at least: with a budget it is a question of its own, without one of what can be had at all. */
function leastUndone(
  problem: KitProblem,
  solve: Solve,
  rules: KitRules,
  needless: Needless,
): ChosenKit | null {
  if (rules.budget !== undefined) return solved(problem, solve, { is: 'least' }, rules, { needless })
  const { without = [] } = rules
  const all = problem.items.map(({ key }) => key).filter((key) => !without.includes(key))
  return { kit: kitWith(problem, all), proof: { isProven: true, gap: 0 } }
}

/**
 * First the jobs are done that are worth most together, then for the least money.
 * @returns null where nothing was found in time
 */
export function choose(
  problem: KitProblem,
  solve: Solve,
  rules: KitRules,
  { told, needless = new Needless(problem) }: Asking = {},
): ChosenKit | null {
  const asking: Asking = { told, needless }
  const first = leastUndone(problem, solve, rules, needless)
  if (!first) return null
  if (first.kit.undone.length === 0) return solved(problem, solve, { is: 'none' }, rules, asking)
  const weight = weightOf(first.kit.undone, weightsOf(problem.jobs)) + SLACK
  const second = solved(problem, solve, { is: 'at-most', weight }, rules, asking)
  return second && { kit: second.kit, proof: both(first.proof, second.proof) }
}

/** @returns the cheapest kit alone; null where none was found in time */
export const cheapestKit = (problem: KitProblem, solve: Solve): Kit | null =>
  choose(problem, solve, {})?.kit ?? null

/**
 * Prices that decide: with them at the lower end of what is typical, a job would go another way.
 * @param low the cheapest kit with missing prices at the lower end
 * @returns what has no price, each once, with the job that depends on it
 */
export function decidingPrices(best: Kit, low: Kit) {
  const now = new Map(best.does.map(({ jobId, way }) => [jobId, way]))
  const seen = new Set<string>()
  return low.does.flatMap(({ jobId, way }) => {
    const before = now.get(jobId)
    if (before?.setUpId === way.setUpId && before.rents === way.rents) return []
    return way.guesses.flatMap(({ slot, id, name }) => {
      const key = `${slot} ${id}`
      if (seen.has(key)) return []
      seen.add(key)
      return [{ slot, id, name, jobId }]
    })
  })
}
export type DecidingPrice = ReturnType<typeof decidingPrices>[number]
