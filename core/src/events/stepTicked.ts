/** A step of a changeover or a card, ticked off at the machine: who, when, and how long it took. */
import { z } from 'zod'
import { defineEvent } from './event.ts'

export const TICK_ACTS = ['begin', 'tick', 'untick', 'pause', 'resume', 'finish', 'leave'] as const
export type TickAct = (typeof TICK_ACTS)[number]

const bodySchema = z.strictObject({
  /** One going through the list, from its begin to its finish. */
  run: z.string().regex(/^[a-z0-9-]{8,40}$/, 'must be 8 to 40 small letters, digits or hyphens'),
  act: z.enum(TICK_ACTS, `must be one of ${TICK_ACTS.join(', ')}`),
  /** Of a tick; empty for the others. */
  step: z.string().regex(/^[a-z-]{0,40}$/, 'must be the name of a step'),
  /** At the machine: what is sent later, after a time without a server, keeps its time. UTC. */
  pressedAt: z.iso.datetime('must be a date and time such as 2027-03-31T10:00:00Z'),
  /** To which set-up, of a changeover; empty for a card. */
  to: z.string().regex(/^[a-z0-9-]{0,64}$/, 'must be the id of a set-up'),
})

export const stepTicked = defineEvent({
  type: 'step-ticked',
  writers: 'welder',
  subject: z
    .string()
    .regex(
      /^(change\.[a-z0-9-]{1,64}|card\.[a-z0-9-]{1,64}\.[a-z0-9-]{1,64})$/,
      'must be change. with a power source, or card. with a job and a weld',
    ),
  input: bodySchema,
  body: bodySchema,
})
export type Ticked = z.infer<typeof bodySchema>

export interface TickRun {
  readonly run: string
  readonly to: string
  readonly begunAt: string
  /** Steps that are done, with who ticked them and when. */
  readonly done: ReadonlyMap<string, { readonly who: string; readonly at: string }>
  /** Minutes that each took since the one before, without pauses. */
  readonly minutes: ReadonlyMap<string, number>
  readonly isPaused: boolean
  /** Work so far without pauses up to the last press, ms. */
  readonly workedMs: number
  readonly lastAt: string
  readonly isOver: boolean
}

const MS_PER_MIN = 60_000

/**
 * What stands of the run that was begun last: the fold over its events.
 * @param events of one subject, in the order in which they were stored
 * @param msOf reads a time, as `Date.parse` does: there is no clock here
 * @returns null where none was ever begun
 * @example tickRunOf(events, Date.parse)?.done.has('polarity')
 */
export function tickRunOf(
  events: readonly { readonly who: string; readonly body: Ticked }[],
  msOf: (at: string) => number,
): TickRun | null {
  const begin = events.findLast(({ body }) => body.act === 'begin')
  if (!begin) return null
  const { run, to, pressedAt: begunAt } = begin.body
  const own = events
    .filter(({ body }) => body.run === run)
    .toSorted((a, b) => a.body.pressedAt.localeCompare(b.body.pressedAt))
  const done = new Map<string, { who: string; at: string }>()
  const minutes = new Map<string, number>()
  let [isPaused, isOver, workedMs] = [false, false, 0]
  let lastMs = msOf(begunAt)
  let markMs = 0
  let lastAt = begunAt
  for (const { who, body } of own) {
    const atMs = msOf(body.pressedAt)
    if (!isPaused) workedMs += Math.max(0, atMs - lastMs)
    lastMs = Math.max(lastMs, atMs)
    lastAt = body.pressedAt
    isPaused = body.act === 'pause' || (isPaused && body.act !== 'resume')
    if (body.act === 'tick') {
      done.set(body.step, { who, at: body.pressedAt })
      minutes.set(body.step, (workedMs - markMs) / MS_PER_MIN)
      markMs = workedMs
    }
    if (body.act === 'untick') {
      done.delete(body.step)
      minutes.delete(body.step)
    }
    isOver ||= body.act === 'finish' || body.act === 'leave'
  }
  return { run, to, begunAt, done, minutes, isPaused, workedMs, lastAt, isOver }
}
