/** What the record teaches was taken or left: it is offered again when there is more evidence. */
import { z } from 'zod'
import { defineEvent } from './event.ts'

const bodySchema = z.strictObject({
  choice: z.enum(['taken', 'left'], 'must be taken or left'),
  /** How many welds it rested on. */
  evidence: z.int().min(1, 'must be at least 1').max(1_000_000),
  /** The figure that was offered; null where it is no single one. */
  value: z.number().nullable(),
})
export type Settled = z.infer<typeof bodySchema>

export const lessonSettled = defineEvent({
  type: 'lesson-settled',
  writers: 'planner',
  subject: z.string().regex(/^lesson\.[a-z0-9.-]{1,300}$/, 'must be lesson. with its name'),
  input: bodySchema,
  body: bodySchema,
})

/** What was last decided of a lesson, and when, UTC. */
export interface SettledAt extends Settled {
  readonly at: string
}

/**
 * @param events in the order in which they were stored
 * @returns by the name of the lesson, what was last decided
 */
export const settledOf = (
  events: readonly { readonly subject: string; readonly at: string; readonly body: Settled }[],
): ReadonlyMap<string, SettledAt> =>
  new Map(events.map(({ subject, at, body }) => [subject.slice('lesson.'.length), { ...body, at }]))
