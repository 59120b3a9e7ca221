/** What a type of happening is. Happenings are rows that nobody changes; what is so now is a fold over them. */
import { z } from 'zod'

export interface EventDefinition {
  readonly type: string
  /** Who may tell of one. */
  readonly writers: 'owner' | 'planner' | 'welder'
  /** What it happens to: the text that names it. */
  readonly subject: z.ZodType<string>
  /** What one says of it. */
  readonly told: z.ZodType
  /** What is kept of it. */
  readonly kept: z.ZodType
}

/** @returns the same, with the types of this type of happening */
export const defineEvent = <const D extends EventDefinition>(definition: D): D => definition

/** A happening as it is kept, of whatever type. */
export const keptSchema = <D extends EventDefinition>({ type, subject, kept }: D) =>
  z.strictObject({
    /** In the order of being stored: whoever has seen one has seen all before it. */
    seq: z.int().min(1),
    /** UTC, ISO 8601. */
    at: z.iso.datetime(),
    who: z.string(),
    type: z.literal(type as D['type']),
    subject,
    body: kept as D['kept'],
    /** The `seq` of the one that it corrects; null where it corrects none. */
    corrects: z.int().min(1).nullable(),
  })

/** A happening as somebody tells of it. */
export const toldSchema = <D extends EventDefinition>({ type, subject, told }: D) =>
  z.strictObject({
    type: z.literal(type as D['type']),
    subject,
    body: told as D['told'],
    corrects: z.int().min(1, 'must be the seq of an event').nullable().optional(),
  })
