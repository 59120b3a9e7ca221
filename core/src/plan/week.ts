/** The plan as it was kept, brought up to now; a calm one after a change; a better one where there is time to look. */
import {
  type PlanBuilt,
  type PlanQuestion,
  blocksOf,
  buildPlan,
  keptChoice,
  type WeekBlock,
} from './build.ts'
import { Placing, type Choice } from './placing.ts'
import type { Placed, PlanCost, PlanProblem, PriceOfChange } from './problem.ts'
import { PlanSearch } from './search.ts'
import type { Ways } from './ways.ts'

export interface Week {
  readonly blocks: readonly WeekBlock[]
  readonly cost: PlanCost
  readonly leftOut: PlanBuilt['leftOut']
  readonly lostPins: PlanBuilt['lostPins']
}

/** The same question has the same plan. */
export const PLAN_SEED = 0.42
/** Tried at once where no plan was kept: a part of a second. */
const FIRST_TRIALS = 3000
/** Tried after a change by hand: a few tenths of a second. */
const CALM_TRIALS = 3000
/** What a change of person, machine or start costs against minutes of work. */
export const USUAL_CALM: PriceOfChange = { person: 20, machine: 30, start: 15 }
/** Less is no other time. */
const SAME_MIN = 1
/** After a change by hand only the following hours are open. */
const OPEN_HOURS = 10
const HOUR_MIN = 60

export interface Found {
  readonly built: PlanBuilt
  readonly choice: Choice
  readonly placed: readonly Placed[]
  readonly week: Week
}

/** @returns a choice with its blocks and what it costs */
export function foundOf(built: PlanBuilt, choice: Choice): Found {
  const { placed, cost } = new Placing(built.problem).placed(choice)
  const { leftOut, lostPins } = built
  return { built, choice, placed, week: { blocks: blocksOf(built, { placed }), cost, leftOut, lostPins } }
}

/** @returns the plan in hand: as it was kept, with what is new where it costs least; a first one where none was kept */
export function planNow(ways: Ways, question: PlanQuestion): Found {
  const built = buildPlan(ways, question)
  const isKept = question.blocks.length > 0
  const search = new PlanSearch(
    built.problem,
    { seed: PLAN_SEED, trials: isKept ? 0 : FIRST_TRIALS },
    isKept ? keptChoice(built) : null,
  )
  search.run(FIRST_TRIALS)
  return foundOf(built, search.best.choice)
}

/**
 * After a change by hand: what begins within the hours after it moves where it has to, the rest stays in its order.
 * @param aroundMin where the change was made
 * @param trials plans that are tried
 */
export function calmChoice(
  problem: PlanProblem,
  choice: Choice,
  aroundMin: readonly number[],
  trials = CALM_TRIALS,
): Choice {
  const from = Math.min(...aroundMin) - HOUR_MIN
  const until = Math.max(...aroundMin) + OPEN_HOURS * HOUR_MIN
  const movable = new Set(
    problem.tasks.flatMap(({ seen, fixed }, at) =>
      !seen || (!fixed && seen.startMin >= from && seen.startMin <= until) ? [at] : [],
    ),
  )
  const search = new PlanSearch(problem, { seed: PLAN_SEED, trials, movable }, choice)
  search.run(trials)
  return search.best.choice
}

/** @returns the plan after a change by hand around these minutes */
export function planCalmly(ways: Ways, question: PlanQuestion, aroundMin: readonly number[]): Found {
  const built = buildPlan(ways, { ...question, calm: question.calm ?? USUAL_CALM })
  return foundOf(built, calmChoice(built.problem, keptChoice(built), aroundMin))
}

/** @returns tasks that are with another person, on another machine, or at another time than they were seen */
function movedTasks({ tasks, setUps }: PlanProblem, placed: readonly Placed[]): readonly number[] {
  return placed.flatMap(({ task, way, person, startMin }) => {
    const { seen, ways = [] } = tasks[task] ?? {}
    if (!seen) return []
    const isSame =
      person === seen.person &&
      setUps[ways[way]?.setUp ?? -1]?.machine === setUps[seen.setUp]?.machine &&
      Math.abs(startMin - seen.startMin) < SAME_MIN
    return isSame ? [] : [task]
  })
}

/** @returns ids of runs that are with another person, on another machine, or at another time than in the kept plan */
export const movedIn = ({ built: { problem, runs }, placed }: Found): readonly string[] =>
  movedTasks(problem, placed).map((task) => runs[task]?.id ?? '')

/** Of the runs that were seen, so many may be elsewhere in a plan that is offered. */
const MOST_MOVED = 1 / 4
/** With a handful of jobs a quarter is one: nothing could change places. */
const ALWAYS_MOVED = 3

/** @returns whether a plan leaves at least three quarters of what was seen where it was; of few jobs three may move */
export function isCalm(problem: PlanProblem, placed: readonly Placed[]): boolean {
  const seenCount = problem.tasks.filter(({ seen }) => seen !== null).length
  return movedTasks(problem, placed).length <= Math.max(ALWAYS_MOVED, seenCount * MOST_MOVED)
}
