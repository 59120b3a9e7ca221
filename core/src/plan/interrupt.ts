/** Something broke and has to be done now: where it costs least, and what becomes late by it. */
import type { WorkState } from '../events/workMarked.ts'
import { costOfPlan, type PlanProblem } from './problem.ts'
import { type PlanQuestion, buildPlan, keptChoice, type WeekBlock } from './build.ts'
import { PlanSearch } from './search.ts'
import { foundOf, PLAN_SEED, type Week } from './week.ts'
import type { Ways } from './ways.ts'

export interface Interruption {
  readonly block: WeekBlock
  /** The run that stops for it; null where nothing does. */
  readonly stops: WeekBlock | null
  /** Runs that become late, or later, by it, with by how much more, min. */
  readonly later: readonly { readonly jobName: string; readonly byMin: number }[]
  readonly moreChangeMin: number
  readonly week: Week
}

const TRIALS = 600
const MOST_SHOWN = 3
const LATER_MIN = 5

/**
 * @param now the plan in hand
 * @param runId the run that has to be done now
 * @returns ways to do it now, the one that costs least first
 */
export function interruptionsOf(
  ways: Ways,
  question: PlanQuestion,
  now: Week,
  runId: string,
): readonly Interruption[] {
  const lateBefore = new Map(now.blocks.map(({ id, lateMin }) => [id, lateMin]))
  const running = now.blocks.filter(({ work }) => work?.state === 'running')
  const found: { readonly score: number; readonly made: Interruption }[] = []
  for (const stops of [null, ...running]) {
    const work = new Map<string, WorkState>(question.work)
    if (stops?.work) work.set(stops.id, { ...stops.work, state: 'paused' })
    const built = buildPlan(ways, { ...question, work })
    const task = built.runs.findIndex(({ id }) => id === runId)
    const own = built.problem.tasks[task]
    if (!own) return []
    own.ways.forEach((way, at) => {
      for (const person of way.people) {
        // Stopping somebody's work helps only him or his machine.
        const isOwn =
          stops === null ||
          stops.sourceId === built.setUps[way.setUp]?.powerSourceId ||
          stops.welderName === built.welders[person]?.name
        if (!isOwn) continue
        const problem: PlanProblem = {
          ...built.problem,
          tasks: built.problem.tasks.map((one, index) =>
            index === task
              ? { ...one, fixed: { way: at, person, startMin: question.nowMin, hasBegun: false } }
              : one,
          ),
        }
        const begun = keptChoice({ ...built, problem })
        const search = new PlanSearch(problem, { seed: PLAN_SEED, trials: TRIALS }, begun)
        search.run(TRIALS)
        const { week } = foundOf({ ...built, problem }, search.best.choice)
        const block = week.blocks.find(({ id }) => id === runId)
        if (!block || !Number.isFinite(block.endMin)) continue
        const later = week.blocks.flatMap(({ id, jobName, lateMin }) => {
          const byMin = lateMin - (lateBefore.get(id) ?? 0)
          return id !== runId && byMin > LATER_MIN ? [{ jobName, byMin }] : []
        })
        const score = costOfPlan({ ...week.cost, dislikedMin: block.endMin - question.nowMin })
        found.push({
          score,
          made: { block, stops, later, moreChangeMin: week.cost.changeMin - now.cost.changeMin, week },
        })
      }
    })
  }
  found.sort((a, b) => a.score - b.score)
  // One of each machine and person is enough.
  const seen = new Set<string>()
  return found
    .filter(({ made: { block, stops } }) => {
      const key = `${block.sourceId} ${block.welderName} ${stops?.id ?? ''}`
      return seen.has(key) ? false : Boolean(seen.add(key))
    })
    .slice(0, MOST_SHOWN)
    .map(({ made }) => made)
}
