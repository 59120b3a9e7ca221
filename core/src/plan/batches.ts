/** Runs of one set-up that the plan has apart: done one after the other they save a changeover. */
import type { PlanBuilt } from './build.ts'
import { type Choice, Placing } from './placing.ts'
import { foundOf, type Week } from './week.ts'

export interface Batch {
  readonly setUpName: string
  readonly jobNames: readonly string[]
  readonly savesMin: number
  readonly week: Week
}

/** Less is not worth moving anything. */
const WORTH_MIN = 3

/** @returns batches that make nothing later, what saves most first */
export function batchesOf(built: PlanBuilt, choice: Choice): readonly Batch[] {
  const { problem, setUps, runs } = built
  const placing = new Placing(problem)
  const now = placing.placed(choice)
  const setUpOf = (task: number): number => problem.tasks[task]?.ways[choice.way[task] as number]?.setUp ?? -1
  const inTime = now.placed.map(({ task }) => task)
  const found = new Map<number, Batch>()
  for (const setUp of new Set(inTime.map(setUpOf))) {
    const own = inTime.filter((task) => setUpOf(task) === setUp && problem.tasks[task]?.fixed === null)
    const [first, ...others] = own
    if (first === undefined || others.length === 0) continue
    const rest = inTime.filter((task) => !others.includes(task))
    const order = rest.flatMap((task) => (task === first ? [first, ...others] : [task]))
    const tried = foundOf(built, { ...choice, order })
    const savesMin = now.cost.changeMin - tried.week.cost.changeMin
    if (savesMin < WORTH_MIN || tried.week.cost.lateMin > now.cost.lateMin + 1) continue
    found.set(setUp, {
      setUpName: setUps[setUp]?.name ?? '',
      jobNames: own.map((task) => runs[task]?.job.name ?? ''),
      savesMin,
      week: tried.week,
    })
  }
  return [...found.values()].sort((a, b) => b.savesMin - a.savesMin)
}
