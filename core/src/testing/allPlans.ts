/** Every plan that there is of a small problem: what a search and its bounds are held against. */
import { Placing } from '../plan/placing.ts'
import { costOfPlan, type PlanProblem } from '../plan/problem.ts'

function* orders(items: readonly number[]): Generator<number[]> {
  if (items.length === 0) yield []
  for (const [at, first] of items.entries())
    for (const rest of orders([...items.slice(0, at), ...items.slice(at + 1)])) yield [first, ...rest]
}
function* picks(problem: PlanProblem, task = 0): Generator<{ way: number; person: number }[]> {
  const { ways } = problem.tasks[task] ?? {}
  if (!ways) {
    yield []
    return
  }
  for (const rest of picks(problem, task + 1))
    for (const [way, { people }] of ways.entries())
      for (const person of people) yield [{ way, person }, ...rest]
}
/** Every order with every way and every person: the least of each cost that any plan has. Small problems alone. */
export function exhausted(problem: PlanProblem) {
  const placing = new Placing(problem)
  const all = problem.tasks.map((_, at) => at)
  let [least, late, work] = [Infinity, Infinity, Infinity]
  for (const chosen of picks(problem)) {
    const way = chosen.map((one) => one.way)
    const person = chosen.map((one) => one.person)
    for (const order of orders(all)) {
      const { cost } = placing.placed({ order, way, person })
      least = Math.min(least, costOfPlan(cost))
      late = Math.min(late, cost.lateMin)
      work = Math.min(work, cost.workMin + cost.changeMin)
    }
  }
  return { least, late, work }
}
