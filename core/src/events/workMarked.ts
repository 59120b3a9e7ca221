/** Work on a run of a job as it goes: started, paused, done with its minutes. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, nameSchema } from '../model/fields.ts'
import { runSchema } from '../kinds/workPlan.ts'
import { defineEvent } from './event.ts'

const WORK_ACTS = ['start', 'pause', 'done', 'reopen'] as const

const minutesSchema = z
  .number('must be a number')
  .min(0, 'must be at least 0 min')
  .max(100_000, 'must be at most 100000 min')

const bodySchema = z.strictObject({
  act: z.enum(WORK_ACTS, `must be one of ${WORK_ACTS.join(', ')}`).meta(field('What')),
  run: runSchema.meta(field('Run')),
  part: z.int().min(1, 'must be at least 1').max(50, 'must be at most 50').meta(field('Part')),
  /** At the machine: what is sent later keeps its time. UTC. */
  pressedAt: z.iso.datetime('must be a date and time such as 2027-03-31T10:00:00Z').meta(field('Pressed')),
  setUpId: idSchema.meta(field('Set-up')),
  setUpName: nameSchema.meta(field('Set-up name')),
  jobName: nameSchema.meta(field('Job name')),
  welder: nameSchema.nullable().meta(field('Welder', { empty: 'not recorded' })),
  /** Of a job that is done: what it really took; null where nobody has said. */
  minutes: minutesSchema.nullable().meta(field('Minutes', { unit: 'min', empty: 'not recorded' })),
  /** What the plan said, without what the record of such jobs had moved it by. */
  plannedMin: minutesSchema.nullable().meta(field('Planned', { unit: 'min', empty: 'not planned' })),
})
export type WorkMark = z.infer<typeof bodySchema>

export const workMarked = defineEvent({
  type: 'work-marked',
  writers: 'welder',
  subject: z.string().regex(/^work\.[a-z0-9-]{1,64}$/, 'must be work. with the id of a job'),
  input: bodySchema,
  body: bodySchema,
})

/** A mark of a job, as it is stored or on its way. */
export interface HeardMark {
  readonly subject: string
  readonly body: WorkMark
}

export interface WorkState {
  readonly jobId: string
  readonly run: string
  readonly part: number
  readonly state: 'running' | 'paused' | 'done'
  readonly setUpId: string
  readonly setUpName: string
  readonly jobName: string
  readonly welder: string | null
  /** UTC. */
  readonly startedAt: string
  readonly lastAt: string
  /** At work up to the last press, without pauses, ms. */
  readonly workedMs: number
  /** As it was typed when it was done. */
  readonly minutes: number | null
  readonly plannedMin: number | null
}

export const workKey = (jobId: string, run: string, part: number): string => `${jobId} ${run} ${part}`

/**
 * What stands of each run: the fold over its marks by the time of their press, whatever the order in which they come.
 * @param msOf reads a time, as `Date.parse` does: there is no clock here
 * @example workOf(events, Date.parse).get('press-frame once 1')?.state // 'running'
 */
export function workOf(
  marks: readonly HeardMark[],
  msOf: (at: string) => number,
): ReadonlyMap<string, WorkState> {
  const states = new Map<string, WorkState>()
  const inOrder = marks.toSorted((a, b) => a.body.pressedAt.localeCompare(b.body.pressedAt))
  for (const { subject, body } of inOrder) {
    const jobId = subject.slice('work.'.length)
    const { act, run, part, pressedAt, setUpId, setUpName, jobName, welder, minutes, plannedMin } = body
    const key = workKey(jobId, run, part)
    const before = states.get(key)
    const isAgain = act === 'start' && before?.state === 'done'
    const workedMs = isAgain
      ? 0
      : (before?.workedMs ?? 0) +
        (before?.state === 'running' ? Math.max(0, msOf(pressedAt) - msOf(before.lastAt)) : 0)
    states.set(key, {
      jobId,
      run,
      part,
      state: act === 'done' ? 'done' : act === 'start' ? 'running' : 'paused',
      setUpId,
      setUpName,
      jobName,
      welder,
      startedAt: before && !isAgain ? before.startedAt : pressedAt,
      lastAt: pressedAt,
      workedMs,
      minutes: act === 'done' ? minutes : null,
      plannedMin: plannedMin ?? before?.plannedMin ?? null,
    })
  }
  return states
}
