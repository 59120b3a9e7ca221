/** What a type of event is. Events are rows that nobody changes; the state of today is a fold over them. */
import { z } from 'zod'

export interface EventDefinition {
  readonly type: string
  /** Who may record one; nobody: Brannik itself does. */
  readonly writers: 'owner' | 'planner' | 'welder' | 'nobody'
  /** The text that names what it happens to. */
  readonly subject: z.ZodType<string>
  /** What the client sends. */
  readonly input: z.ZodType
  /** What is stored. */
  readonly body: z.ZodType
}

/** @returns the same, with its own types */
export const defineEvent = <const D extends EventDefinition>(definition: D): D => definition

/** Of an event as it is stored. */
export const storedSchema = ({ type, subject, body }: EventDefinition) =>
  z.strictObject({
    seq: z.int().min(1),
    at: z.iso.datetime(),
    who: z.string(),
    /** Of the account or the token, and what it was; null for Brannik itself, and in events of before. */
    actorId: z.string().nullable(),
    actorKind: z.enum(['account', 'token', 'this machine', 'command line']).nullable(),
    type: z.literal(type),
    subject,
    body,
    corrects: z.int().min(1).nullable(),
  })

/** Of an event as a client sends it. */
export const newSchema = ({ type, subject, input }: EventDefinition) =>
  z.strictObject({
    type: z.literal(type),
    subject,
    body: input,
    corrects: z.int().min(1, 'must be the seq of an event').nullable().optional(),
  })
