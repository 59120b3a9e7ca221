/** The plan through the shift simulation: in which hours who welds together, and what trips then. */
import type { Job } from '../kinds/job.ts'
import { shopPowerOf } from '../power/shopPower.ts'
import { buildPlan, keptChoice, type PlanQuestion, type WeekBlock } from './build.ts'
import { hoursOf } from './hours.ts'
import { costOfPlan } from './problem.ts'
import { type Found, foundOf, PLAN_SEED } from './week.ts'
import { PlanSearch } from './search.ts'
import type { Ways } from './ways.ts'
import type { Interval } from './problem.ts'
import type { PlanShop } from './ways.ts'

/** Hours in which a breaker trips. */
export interface TrippingHours extends Interval {
  readonly node: {
    readonly kind: 'circuit' | 'panel' | 'generator'
    readonly id: string
    readonly name: string
  }
  /** How many of a hundred such stretches trip it. */
  readonly chancePct: number
  readonly blockIds: readonly string[]
  readonly jobNames: readonly string[]
}

const NO_HOURS: readonly Interval[] = []
const RUNS = 20
const HOUR_MIN = 60
const HUNDRED = 100
/** Shorter than this nobody welds together. */
const LEAST_MIN = 5
/** More is a shift of its own. */
const MOST_HOURS = 8

/**
 * @param jobs by their ids
 * @param works hours of each welder, by his name
 * @param seed the same seed, the same answer
 */
export function trippingHoursOf(
  blocks: readonly WeekBlock[],
  { shop, shelf, setUps }: PlanShop,
  jobs: readonly Job[],
  works: ReadonlyMap<string, readonly Interval[]>,
  seed: number,
): readonly TrippingHours[] {
  const ends = blocks.filter(({ endMin }) => Number.isFinite(endMin))
  const marks = [
    ...new Set(ends.flatMap(({ startMin, changeMin, endMin }) => [startMin + changeMin, endMin])),
  ].sort((a, b) => a - b)
  const known = new Map<string, ReturnType<typeof shopPowerOf>>()
  const found: TrippingHours[] = []
  marks.slice(0, -1).forEach((startMin, at) => {
    const endMin = marks[at + 1] as number
    const workedMin = ({ welderName }: WeekBlock): number => {
      const hours = hoursOf(works.get(welderName) ?? NO_HOURS)
      return hours.worked(endMin) - hours.worked(startMin)
    }
    const together = ends.filter(
      (one) =>
        one.startMin + one.changeMin <= startMin && one.endMin >= endMin && workedMin(one) >= LEAST_MIN,
    )
    if (together.length < 2) return
    const minutes = Math.min(MOST_HOURS * HOUR_MIN, ...together.map(workedMin))
    const key = `${together.map(({ jobId, setUpId }) => `${jobId} ${setUpId}`).join()} ${Math.ceil(minutes / HOUR_MIN)}`
    let power = known.get(key)
    if (!power) {
      const atWork = together.flatMap(({ jobId, setUpId }) => {
        const job = jobs.find(({ id }) => id === jobId)
        const setUp = setUps.find(({ id }) => id === setUpId)
        return job && setUp ? [{ job, setUp }] : []
      })
      power = shopPowerOf(shop, shelf, atWork, {
        hours: Math.max(1, Math.ceil(minutes / HOUR_MIN)),
        runs: RUNS,
        seed,
      })
      known.set(key, power)
    }
    for (const { kind, id, name, verdict, shift, carries } of power.nodes) {
      // What one machine alone trips is a finding of its own fit.
      if (verdict !== 'fails' || carries.length < 2 || !shift.trips) continue
      const on = together.filter(({ jobName }) => carries.some((carried) => carried.endsWith(`, ${jobName}`)))
      if (on.length < 2) continue
      found.push({
        startMin,
        endMin,
        node: { kind, id, name },
        chancePct: (shift.trips.nominal.times / shift.trips.nominal.of) * HUNDRED,
        blockIds: on.map(({ id: blockId }) => blockId),
        jobNames: on.map(({ jobName }) => jobName),
      })
    }
  })
  return found
}

const TRIALS = 2000
/** Less is a rounding. */
const NOTHING_MIN = 0.5

/**
 * @param now the plan in hand
 * @param tripping hours in which it trips something
 * @returns a plan in which they are not at work together, where it costs neither lateness nor work; else null
 */
export function movedApart(
  ways: Ways,
  question: PlanQuestion,
  now: Found,
  tripping: readonly TrippingHours[],
): Found | null {
  const setUpOf = new Map(now.week.blocks.map(({ id, setUpId }) => [id, setUpId]))
  const groups = new Map(tripping.map(({ blockIds }) => [blockIds.join(), blockIds]))
  const apart = [...groups.values()].map((ids) =>
    ids.map((runId) => ({ runId, setUpId: setUpOf.get(runId) ?? '' })),
  )
  const built = buildPlan(ways, { ...question, apart })
  const search = new PlanSearch(built.problem, { seed: PLAN_SEED, trials: TRIALS }, keptChoice(built))
  search.run(TRIALS)
  const found = foundOf(built, search.best.choice)
  const costs = ({ week }: Found): number => costOfPlan({ ...week.cost, dislikedMin: 0, moves: 0 })
  return costs(found) <= costs(now) + NOTHING_MIN ? found : null
}
