/** The cheapest kit and what there is to know about it: the next best, what each purchase is worth, what a job costs. */
import type { KitItem, KitJob, KitProblem, KitWay } from './kitProblem.ts'
import { type KitRules, programOf } from './program.ts'
import type { Progress, Solve } from './solve.ts'

export interface Kit {
  readonly buys: readonly KitItem[]
  readonly does: readonly { readonly jobId: string; readonly way: KitWay }[]
  readonly undone: readonly string[]
  /** In the shop's currency, over the horizon. */
  readonly purchases: number
  readonly running: number
  readonly total: number
}

export interface Proof {
  readonly isProven: boolean
  /** At most this part of the cost could still be saved; 0 where it is proven. */
  readonly gap: number
}

/** What a purchase is worth: the kit without it. */
export interface Worth {
  readonly key: string
  /** What the rest then costs more; null where jobs stay undone without it. */
  readonly saves: number | null
  readonly undone: readonly string[]
}

/** What a job changes. */
export interface JobWorth {
  readonly jobId: string
  /** What the kit with this job costs more than the one without it. */
  readonly costs: number
  readonly buysMore: readonly string[]
  readonly buysLess: readonly string[]
}

/** Jobs done for money spent on purchases. */
export interface FrontierPoint {
  readonly spent: number
  readonly done: number
}

export interface Study {
  /** Null where it was stopped before any was found. */
  readonly best: Kit | null
  readonly proof: Proof
  readonly next: readonly Kit[]
  readonly worth: readonly Worth[]
  /** By a job that is planned: what it costs to have it. */
  readonly jobs: readonly JobWorth[]
  /** By a job that is not planned: what it would cost to take it on. */
  readonly others: readonly JobWorth[]
  readonly frontier: readonly FrontierPoint[]
}

/** Another kit than these is of little use. */
const NEXT_KITS = 3
const MOST_FRONTIER = 12

/**
 * Each job takes its cheapest way with what is there; what no job uses is not bought.
 * @example kitWith(problem, []).undone // what cannot be done with what the shop has
 */
export function kitWith(problem: KitProblem, keys: readonly string[]): Kit {
  const has = new Set(keys)
  const undone: string[] = []
  let running = 0
  const does = problem.jobs.flatMap(({ id, ways, runs }) => {
    const way = ways.find(({ needs }) => needs.every((need) => has.has(need)))
    if (!way) {
      undone.push(id)
      return []
    }
    running += runs * way.costPerRun
    return [{ jobId: id, way }]
  })
  const used = new Set(does.flatMap(({ way }) => way.needs))
  const buys = problem.items.filter(({ key }) => used.has(key))
  const purchases = buys.reduce((sum, { price }) => sum + price, 0)
  return { buys, does, undone, purchases, running, total: purchases + running }
}

/** More than any kit costs: rather than leave a job undone, anything is bought. */
const dearerThanAll = ({ items, jobs }: KitProblem): number =>
  1 +
  items.reduce((sum, { price }) => sum + price, 0) +
  jobs.reduce((sum, { runs, ways }) => sum + runs * Math.max(0, ...ways.map((way) => way.costPerRun)), 0)

interface Chosen {
  readonly kit: Kit
  readonly proof: Proof
}

function choose(
  problem: KitProblem,
  solve: Solve,
  rules: KitRules,
  told?: (progress: Progress, kit: Kit | null) => void,
): Chosen | null {
  const { program, layout } = programOf(problem, rules)
  const bought = (values: Float64Array) => layout.items.filter((_, index) => (values[index] ?? 0) > 0.5)
  const hears = (progress: Progress): void =>
    told?.(progress, progress.values && kitWith(problem, bought(progress.values)))
  const { values, objective, bound, isProven } = solve(program, told && hears)
  if (!values) return null
  const gap = isProven || objective <= 0 ? 0 : Math.max(0, (objective - bound) / objective)
  return { kit: kitWith(problem, bought(values)), proof: { isProven, gap } }
}

/** @returns the cheapest kit alone; null where none was found in time */
export const cheapestKit = (problem: KitProblem, solve: Solve): Kit | null =>
  choose(problem, solve, {})?.kit ?? null

const keysOf = ({ buys }: Kit): readonly string[] => buys.map(({ key }) => key)
const lacking = (keys: readonly string[], of: readonly string[]): readonly string[] =>
  keys.filter((key) => !of.includes(key))

const withJobs = (problem: KitProblem, jobs: readonly KitJob[]): KitProblem => ({ ...problem, jobs })

function jobWorth(jobId: string, having: Kit, lessThat: Kit): JobWorth {
  return {
    jobId,
    costs: having.total - lessThat.total,
    buysMore: lacking(keysOf(having), keysOf(lessThat)),
    buysLess: lacking(keysOf(lessThat), keysOf(having)),
  }
}

/** What is known so far: the best until now, and how far the solver is. */
export type StudyPart = Partial<Study> & { readonly progress?: Omit<Progress, 'values'> }

export interface Asking {
  readonly budget: number | null
  /** Jobs that are not planned, and might be. */
  readonly others: readonly KitJob[]
}

/**
 * @param tell hears of each answer as it stands, so that whoever stops keeps what was found
 * @returns the whole study; its kit is null where nothing was found in time
 */
export function studyKit(
  problem: KitProblem,
  solve: Solve,
  { budget, others }: Asking,
  tell: (part: StudyPart) => void = () => undefined,
): Study {
  const rules: KitRules = budget === null ? {} : { budget, undoneCost: dearerThanAll(problem) }
  const chosen = choose(problem, solve, rules, ({ best, bound, gap, seconds }, found) =>
    tell({ progress: { best, bound, gap, seconds }, ...(found ? { best: found } : {}) }),
  )
  const best = chosen?.kit ?? null
  const proof = chosen?.proof ?? { isProven: false, gap: 1 }
  tell({ best, proof })
  const study = { best, proof, next: [], worth: [], jobs: [], others: [], frontier: [] }
  if (!best) return study

  const next: Kit[] = []
  while (next.length < NEXT_KITS) {
    const unlike = [best, ...next].map(keysOf)
    const another = choose(problem, solve, { ...rules, unlike })
    if (!another || another.kit.undone.length > best.undone.length) break
    // What comes out must be another: a thing that no job uses makes none.
    if (unlike.some((keys) => isSame(keys, keysOf(another.kit)))) break
    next.push(another.kit)
    tell({ next })
  }

  const undoneCost = dearerThanAll(problem)
  const worth = keysOf(best).map((key): Worth => {
    const less = choose(problem, solve, { ...rules, without: [key], undoneCost })
    const undone = less ? lacking(less.kit.undone, best.undone) : []
    return { key, saves: less && undone.length === 0 ? less.kit.total - best.total : null, undone }
  })
  tell({ worth })

  const jobs = problem.jobs.flatMap((job): readonly JobWorth[] => {
    const way = best.does.find(({ jobId }) => jobId === job.id)?.way
    // A job that nothing is bought for changes no purchase.
    if (way?.needs.length === 0)
      return [{ jobId: job.id, costs: job.runs * way.costPerRun, buysMore: [], buysLess: [] }]
    const fewer = problem.jobs.filter(({ id }) => id !== job.id)
    const less = choose(withJobs(problem, fewer), solve, rules)
    return less ? [jobWorth(job.id, best, less.kit)] : []
  })
  tell({ jobs })
  const more = others.flatMap((job): readonly JobWorth[] => {
    const having = choose(withJobs(problem, [...problem.jobs, job]), solve, rules)
    return having ? [jobWorth(job.id, having.kit, best)] : []
  })
  tell({ others: more })
  const frontier = frontierOf(problem, solve)
  tell({ frontier })
  return { best, proof, next, worth, jobs, others: more, frontier }
}

const isSame = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && lacking(a, b).length === 0

/** The least that purchases come to for so many jobs, from what is done with nothing bought to all of them. */
export function frontierOf(problem: KitProblem, solve: Solve): readonly FrontierPoint[] {
  const all = problem.jobs.length
  const free = all - kitWith(problem, []).undone.length
  const points: FrontierPoint[] = [{ spent: 0, done: free }]
  const step = Math.max(1, Math.ceil((all - free) / MOST_FRONTIER))
  for (let done = free + 1; done <= all; done = done === all ? all + 1 : Math.min(all, done + step)) {
    const found = choose(problem, solve, { leastDone: done })
    if (!found) break
    const { purchases, undone } = found.kit
    const last = points.at(-1)
    // What does more for the same money takes the place of the point before.
    if (last && purchases <= last.spent) points.pop()
    points.push({ spent: purchases, done: all - undone.length })
    done = Math.max(done, all - undone.length)
  }
  return points
}
