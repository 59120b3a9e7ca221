/** Figures of the plan: how soon, how good against what no plan can beat, how calm after a drag. */
import highsLoader from 'highs'
import { boundsOf } from '../../core/src/plan/bound.ts'
import type { PlanProblem } from '../../core/src/plan/problem.ts'
import { type Plan, PlanSearch } from '../../core/src/plan/search.ts'
import { calmChoice, PLAN_SEED, USUAL_CALM } from '../../core/src/plan/week.ts'
import { solveWith } from '../../core/src/purchase/solve.ts'
import { inventedProblem } from '../../core/src/testing/planGenerator.ts'
import { median, print } from './print.mjs'

const SEEDS = 12
const LOADS = [0.8, 0.95, 1.05] as const
const SIZE = { setUps: 12, machines: 5, people: 4 } as const
/** About what a second has time for on the machine that this was written on; a search of so many seconds is ended by the clock. */
const TRIALS_A_SECOND = 30_000
const PART = 500

function within(problem: PlanProblem, seconds: number, from: Plan['choice'] | null = null): Plan {
  const began = performance.now()
  const search = new PlanSearch(problem, { seed: PLAN_SEED, trials: seconds * TRIALS_A_SECOND }, from)
  while (!search.isOver && performance.now() - began < seconds * 1000) search.run(PART)
  return search.best
}

/** What was found is what people have seen; one job of the first day is put two hours later. */
function dragged(problem: PlanProblem, { placed }: Plan): { problem: PlanProblem; startMin: number } {
  const byTask = new Map(placed.map((one) => [one.task, one]))
  const [, , moved] = placed
  const startMin = (moved?.startMin ?? problem.fromMin) + 120
  const tasks = problem.tasks.map((task, at) => {
    const one = byTask.get(at)
    const seen = one
      ? { setUp: task.ways[one.way]?.setUp ?? 0, person: one.person, startMin: one.startMin }
      : null
    const isMoved = at === moved?.task
    return {
      ...task,
      seen,
      fixed: isMoved ? { way: moved.way, person: moved.person, startMin, hasBegun: false } : null,
    }
  })
  return { problem: { ...problem, tasks, calm: USUAL_CALM }, startMin }
}

const solve = solveWith(await highsLoader(), 60)
const gaps = new Map<number, number[]>(LOADS.map((load) => [load, []]))
const [firsts, drags, excess]: [number[], number[], number[]] = [[], [], []]
for (let seed = 1; seed <= SEEDS; seed += 1) {
  const load = LOADS[seed % LOADS.length] ?? 1
  const problem = inventedProblem(seed / 13, { tasks: 60, load, ...SIZE })
  const began = performance.now()
  new PlanSearch(problem, { seed: PLAN_SEED, trials: 0 })
  firsts.push(performance.now() - began)
  const plan = within(problem, 5)
  const work = plan.cost.workMin + plan.cost.changeMin
  gaps.get(load)?.push((work / boundsOf(problem, plan.cost, solve).workAndChangeMin - 1) * 100)
  const after = dragged(problem, plan)
  const around = [after.startMin - 120, after.startMin]
  const dragBegan = performance.now()
  const choice = calmChoice(after.problem, plan.choice, around)
  drags.push(performance.now() - dragBegan)
  const costOf = (of: Plan['choice']): number =>
    new PlanSearch(after.problem, { seed: PLAN_SEED, trials: 0 }, of).bestCost
  const long = calmChoice(after.problem, plan.choice, around, 2.5 * TRIALS_A_SECOND)
  excess.push((costOf(choice) / costOf(long) - 1) * 100)
}
print('plan-first-60-jobs', Math.max(...firsts), 'ms')
for (const [load, found] of gaps) {
  print(`plan-5s-work-above-bound-load-${load}`, median(found), '%')
  print(`plan-5s-work-above-bound-load-${load}-worst`, Math.max(...found), '%')
}
print('plan-after-drag', median(drags), 'ms')
print('plan-after-drag-worst', Math.max(...drags), 'ms')
print('plan-after-drag-above-2.5s', median(excess), '%')

const quarter = inventedProblem(0.37, { tasks: 500, load: 0.95, ...SIZE })
const began = performance.now()
const many = within(quarter, 20)
print('plan-500-jobs', (performance.now() - began) / 1000, 's')
print(
  'plan-500-jobs-work-above-bound',
  ((many.cost.workMin + many.cost.changeMin) / boundsOf(quarter, many.cost, solve).workAndChangeMin - 1) *
    100,
  '%',
)
