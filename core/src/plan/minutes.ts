/** How long a job takes with a set-up: what it is planned for, and what the record of such jobs moves that by. */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import type { WorkState } from '../events/workMarked.ts'
import { costOf } from '../fit/cost.ts'
import { prepSOf } from '../quote/costLines.ts'

const S_PER_MIN = 60

/** Preparation, tacking, arc, handling, rest and finishing of the whole job, min; null without arc time. */
export function plannedMinOf(capability: Capability, demand: Demand): number | null {
  const { work } = demand
  if (!work) return null
  const cost = costOf(capability, demand)
  const seconds =
    prepSOf(demand) + work.tackS + work.arcS + work.handlingS + (cost?.restS ?? 0) + (cost?.finishS ?? 0)
  return seconds / S_PER_MIN
}

/** Done runs count as much as this many on which the plan rests already. */
const PRIOR_RUNS = 2
/** Farther off is a slip of the keys, or another job. */
const MOST_TIMES = 4

export interface Pace {
  /** What planned minutes are multiplied by. */
  readonly times: number
  /** Done runs that it rests on. */
  readonly runs: number
}
const AS_PLANNED: Pace = { times: 1, runs: 0 }

/**
 * What done runs of a job took against what was planned: the middle one, drawn towards the plan where there are few.
 * @example paceOf(done, 'press-frame').times // 1.06
 */
export function paceOf(done: Iterable<WorkState>, jobId: string): Pace {
  const times: number[] = []
  for (const { jobId: of, state, minutes, plannedMin } of done) {
    if (of !== jobId || state !== 'done' || minutes === null || !plannedMin) continue
    const ratio = minutes / plannedMin
    if (ratio >= 1 / MOST_TIMES && ratio <= MOST_TIMES) times.push(ratio)
  }
  if (times.length === 0) return AS_PLANNED
  times.sort((a, b) => a - b)
  const half = times.length >> 1
  const middle =
    times.length % 2 === 1
      ? (times[half] as number)
      : ((times[half - 1] as number) + (times[half] as number)) / 2
  const weight = times.length / (times.length + PRIOR_RUNS)
  return { times: 1 + (middle - 1) * weight, runs: times.length }
}
