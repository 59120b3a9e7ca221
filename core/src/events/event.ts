/** What a type of event is. Events are rows that nobody changes; the state of today is a fold over them. */
import { z } from 'zod'

export interface EventDefinition {
  readonly type: string
  /** Who may record one. */
  readonly writers: 'owner' | 'planner' | 'welder'
  /** The text that names what it happens to. */
  readonly subject: z.ZodType<string>
  /** What the client sends. */
  readonly input: z.ZodType
  /** What is stored. */
  readonly body: z.ZodType
}

/** @returns the same, with its own types */
export const defineEvent = <const D extends EventDefinition>(definition: D): D => definition

/** An event as it is stored. */
export const storedSchema = <D extends EventDefinition>({ type, subject, body }: D) =>
  z.strictObject({
    /** Rises in the order of commits: a client that has seen one has seen all before it. */
    seq: z.int().min(1),
    /** UTC, ISO 8601. */
    at: z.iso.datetime(),
    who: z.string(),
    type: z.literal(type as D['type']),
    subject,
    body: body as D['body'],
    /** The `seq` of the one that it corrects; null where it corrects none. */
    corrects: z.int().min(1).nullable(),
  })

/** An event as a client sends it. */
export const newSchema = <D extends EventDefinition>({ type, subject, input }: D) =>
  z.strictObject({
    type: z.literal(type as D['type']),
    subject,
    body: input as D['input'],
    corrects: z.int().min(1, 'must be the seq of an event').nullable().optional(),
  })
