/**
 * What no plan can beat: once for lateness, once for work with changes of set-up. Each is the greater of two bounds.
 *
 * - By days: a linear program in which jobs are cut into shares that run in stretches of time, with people pooled by what they
 *   may weld, machines, shared things, and the cheapest change into every set-up that is used. It is a relaxation: every plan
 *   is one of its solutions.
 * - By whole jobs: each job in one way, with the cheapest change into every set-up that is used, but without time.
 *
 * Work is bounded among plans that are no later than the one in hand: a plan that is less late may well take more work.
 */
import type { Program, Row } from '../purchase/program.ts'
import type { Solve } from '../purchase/solve.ts'
import { type Hours, hoursOf } from './hours.ts'
import { DAY_MIN } from './shopTime.ts'
import type { Interval, PlanCost, PlanProblem, Task, Way } from './problem.ts'

export interface PlanBounds {
  /** No plan is less late, weighted minutes of work. */
  readonly lateMin: number
  /** No plan that is as little late takes less work and changes, min. */
  readonly workAndChangeMin: number
}

/** More columns take the solver too long in a page. */
const MOST_COLUMNS = 9000
const MOST_STRETCHES = 40

/** A stretch of days. */
type Stretch = Interval

const overlapMin = (works: readonly Interval[], { startMin, endMin }: Stretch): number =>
  works.reduce(
    (sum, one) => sum + Math.max(0, Math.min(one.endMin, endMin) - Math.max(one.startMin, startMin)),
    0,
  )

/** Minutes in which anybody works. */
function anyoneMin(people: PlanProblem['people'], stretch: Stretch): number {
  const parts = people
    .flatMap(({ works }) => works)
    .map(
      ({ startMin, endMin }) =>
        [Math.max(startMin, stretch.startMin), Math.min(endMin, stretch.endMin)] as const,
    )
    .filter(([from, to]) => to > from)
    .sort((a, b) => a[0] - b[0])
  let [sum, until] = [0, -Infinity]
  for (const [from, to] of parts) {
    sum += Math.max(0, to - Math.max(from, until))
    until = Math.max(until, to)
  }
  return sum
}

/** From now on, in stretches of whole days; the last one has no end. */
function stretchesOf(problem: PlanProblem): readonly Stretch[] {
  const { fromMin, tasks, people } = problem
  const longestMin = tasks.reduce((sum, { ways }) => sum + Math.max(...ways.map(({ workMin }) => workMin)), 0)
  const ends = people.map(({ works }) => {
    const hours = hoursOf(works)
    const start = hours.next(fromMin)
    const end = hours.end(start, longestMin * 1.5 + 480)
    return end === Infinity ? (works.at(-1)?.endMin ?? fromMin) : end
  })
  const days = Math.max(1, Math.ceil((Math.max(...ends) - fromMin) / DAY_MIN))
  const waysCount = tasks.reduce((sum, { ways }) => sum + ways.length, 0)
  const most = Math.max(3, Math.min(MOST_STRETCHES, Math.floor(MOST_COLUMNS / Math.max(1, waysCount))))
  // Days soon are told apart; what is far off is not.
  const dueDays = tasks.map(({ dueMin }) => Math.ceil((dueMin - fromMin) / DAY_MIN)).filter(Number.isFinite)
  const near = Math.min(days, Math.max(1, ...dueDays) + 2)
  const every = Math.max(1, Math.ceil(near / (most - 1)))
  const firstDay = Math.floor(fromMin / DAY_MIN)
  const cuts: number[] = [fromMin]
  for (let day = every; day < near; day += every) cuts.push((firstDay + day) * DAY_MIN)
  if (near < days) cuts.push((firstDay + near) * DAY_MIN)
  return cuts.map((startMin, at) => ({ startMin, endMin: cuts[at + 1] ?? Infinity }))
}

/** The cheapest change into each set-up; 0 where a task with it has begun. */
function cheapestChanges({ setUps, changeMin, tasks }: PlanProblem): readonly number[] {
  return setUps.map(({ machine, changeFromNowMin }, to) => {
    const isOn = tasks.some(({ fixed, ways }) => fixed?.hasBegun && ways[fixed.way]?.setUp === to)
    if (isOn) return 0
    const others = setUps.flatMap((one, from) =>
      one.machine === machine && from !== to ? [changeMin[from]?.[to] ?? 0] : [],
    )
    return Math.min(changeFromNowMin, ...others)
  })
}

const waysOf = ({
  ways,
  fixed,
}: Task): readonly { readonly way: Way; readonly people: readonly number[] }[] =>
  fixed
    ? ways.flatMap((way, at) => (at === fixed.way ? [{ way, people: [fixed.person] }] : []))
    : ways.map((way) => ({ way, people: way.people }))

class Draft {
  readonly columns: { cost: number; most: number; isWhole: boolean }[] = []
  readonly rows: Row[] = []

  column(cost: number, most = Infinity, isWhole = false): number {
    this.columns.push({ cost, most, isWhole })
    return this.columns.length - 1
  }
  row(least: number, most: number, terms: Row['terms']): void {
    if (terms.length > 0) this.rows.push({ least, most, terms })
  }
}

/** Each job in one way, and the cheapest change into every set-up used. */
function byWholeJobs(problem: PlanProblem): Program {
  const draft = new Draft()
  const used = cheapestChanges(problem).map((cost) => draft.column(cost, 1, true))
  for (const task of problem.tasks) {
    const done = waysOf(task).map(({ way }) => {
      const column = draft.column(way.workMin, 1)
      draft.row(-Infinity, 0, [
        [column, 1],
        [used[way.setUp] as number, -1],
      ])
      return [column, 1] as const
    })
    draft.row(1, 1, done)
  }
  return draft
}

interface Share {
  readonly column: number
  readonly way: Way
  readonly people: readonly number[]
  readonly stretch: number
}

/**
 * Shares of jobs by stretches of time.
 * @param most weighted lateness that is allowed; null where lateness is what is sought
 */
function byDays(problem: PlanProblem, most: number | null): Program {
  const { tasks, people, setUps } = problem
  const draft = new Draft()
  const stretches = stretchesOf(problem)
  const hours = people.map(({ works }) => hoursOf(works))
  const isForWork = most !== null
  const changes = cheapestChanges(problem)
  const used = setUps.map(() => draft.column(0, 1))
  // Minutes of changing into each set-up, whenever they are.
  const changing = setUps.map((_, at) => {
    const parts = stretches.map(() => draft.column(isForWork ? 1 : 0))
    draft.row(0, Infinity, [
      ...parts.map((part) => [part, 1] as const),
      [used[at] as number, -(changes[at] as number)],
    ])
    return parts
  })
  const shares: Share[] = []
  const lateness: [number, number][] = []
  for (const { fixed, ways, dueMin, weight, readyMin } of tasks) {
    const own: (Share & { readonly lateMin: number })[] = []
    for (const { way, people: who } of waysOf({ fixed, ways } as Task)) {
      const ofWay: [number, number][] = []
      stretches.forEach(({ startMin, endMin }, stretch) => {
        if (endMin <= readyMin) return
        const column = draft.column(isForWork ? way.workMin : 0, 1)
        const from = Math.max(startMin, readyMin)
        const lateMin =
          dueMin === Infinity
            ? -Infinity
            : Math.min(
                ...who.map(
                  (person) => (hours[person] as Hours).worked(from) - (hours[person] as Hours).worked(dueMin),
                ),
              )
        own.push({ column, way, people: who, stretch, lateMin })
        ofWay.push([column, 1])
      })
      draft.row(-Infinity, 0, [...ofWay, [used[way.setUp] as number, -1]])
    }
    draft.row(
      1,
      1,
      own.map(({ column }) => [column, 1]),
    )
    shares.push(...own)
    if (dueMin === Infinity) continue
    const late = draft.column(isForWork ? 0 : weight)
    lateness.push([late, weight])
    // It ends no sooner than any share of it begins …
    draft.row(0, Infinity, [
      [late, 1],
      ...own.flatMap(({ column, lateMin }) => (lateMin > 0 ? [[column, -lateMin] as const] : [])),
    ])
    // … no sooner than all that is done of it after the due day …
    draft.row(0, Infinity, [
      [late, 1],
      ...own.flatMap(({ column, lateMin, way }) => (lateMin >= 0 ? [[column, -way.workMin] as const] : [])),
    ])
    // … and half of its work after the middle of its time.
    draft.row(0, Infinity, [
      [late, 1],
      ...own.map(({ column, lateMin, way }) => [column, -(lateMin + way.workMin / 2)] as const),
    ])
  }
  if (most !== null) draft.row(-Infinity, most, lateness)
  capacities(draft, problem, stretches, shares, changing)
  return draft
}

/** People by what they may weld, machines and shared things have only so many minutes in each stretch. */
function capacities(
  draft: Draft,
  { people, setUps, machines, shared }: PlanProblem,
  stretches: readonly Stretch[],
  shares: readonly Share[],
  changing: readonly (readonly number[])[],
): void {
  const everybody = people.map((_, at) => at)
  const pools = new Map([[everybody.join(), everybody]])
  for (const { people: who } of shares) pools.set([...who].sort((a, b) => a - b).join(), [...who])
  stretches.forEach((stretch, at) => {
    const here = shares.filter((share) => share.stretch === at)
    const changesOf = (which: (setUp: number) => boolean): Row['terms'] =>
      setUps.flatMap((_, setUp) => (which(setUp) ? [[changing[setUp]?.[at] as number, 1] as const] : []))
    for (const pool of pools.values()) {
      const within = here.filter(({ people: who }) => who.every((person) => pool.includes(person)))
      const minutes = pool.reduce((sum, person) => sum + overlapMin(people[person]?.works ?? [], stretch), 0)
      draft.row(-Infinity, minutes, [
        ...within.map(({ column, way }) => [column, way.workMin] as const),
        ...(pool === everybody ? changesOf(() => true) : []),
      ])
    }
    const anyone = anyoneMin(people, stretch)
    machines.forEach((_, machine) => {
      draft.row(-Infinity, anyone, [
        ...here.flatMap(({ column, way }) =>
          setUps[way.setUp]?.machine === machine ? [[column, way.workMin] as const] : [],
        ),
        ...changesOf((setUp) => setUps[setUp]?.machine === machine),
      ])
    })
    shared.forEach(({ capacity }, which) => {
      if (capacity <= 0) return
      const terms = here.flatMap(({ column, way }) =>
        way.uses.flatMap((use) =>
          // What is too much for it alone takes all of it.
          use.shared === which ? [[column, way.workMin * Math.min(use.amount, capacity)] as const] : [],
        ),
      )
      draft.row(-Infinity, anyone * capacity, terms)
    })
  })
}

/** Nobody begins before now: what a task is late by at least, alone in the shop. */
function aloneLateMin({ fromMin, tasks, people }: PlanProblem): number {
  const hours = people.map(({ works }) => hoursOf(works))
  return tasks.reduce((sum, task) => {
    const least = waysOf(task).flatMap(({ way, people: who }) =>
      who.map((person) => {
        const own = hours[person] as Hours
        const end = own.end(own.next(Math.max(fromMin, task.readyMin)), way.workMin)
        return end === Infinity ? 0 : Math.max(0, own.worked(end) - own.worked(task.dueMin))
      }),
    )
    return sum + (least.length === 0 ? 0 : Math.min(...least)) * task.weight
  }, 0)
}

/** A hair for the rounding of the solver. */
const ROUNDING = 1e-6

/**
 * @param cost of the plan in hand
 * @returns what no plan can beat; a program that was not solved to its end bounds nothing
 * @example boundsOf(problem, plan.cost, solveWith(highs, 30)).lateMin // 0
 */
export function boundsOf(problem: PlanProblem, cost: PlanCost, solve: Solve): PlanBounds {
  if (problem.tasks.length === 0) return { lateMin: 0, workAndChangeMin: 0 }
  const boundBy = (program: Program): number => {
    const { isProven, isInfeasible, objective, bound } = solve(program)
    return isInfeasible ? 0 : Math.max(0, isProven ? objective : bound)
  }
  const alone = aloneLateMin(problem)
  const lateMin = cost.lateMin <= alone + ROUNDING ? alone : Math.max(alone, boundBy(byDays(problem, null)))
  const whole = boundBy(byWholeJobs(problem))
  const days = boundBy(byDays(problem, cost.lateMin + ROUNDING))
  return { lateMin, workAndChangeMin: Math.max(whole, days) }
}
