/** A wearing part was changed at a machine: use is counted from there on. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { noteSchema } from '../model/fields.ts'
import { defineEvent } from './event.ts'

export const WEAR_PARTS = ['tip', 'liner', 'rolls', 'diffuser', 'tungsten'] as const
export type WearPart = (typeof WEAR_PARTS)[number]

const bodySchema = z.strictObject({
  part: z.enum(WEAR_PARTS, `must be one of ${WEAR_PARTS.join(', ')}`).meta(field('Part')),
  replacedAt: z.iso
    .datetime('must be a date and time such as 2027-03-31T10:00:00Z')
    .meta(field('Replaced at (UTC)')),
  note: noteSchema.meta(field('Note')),
})
export type Replaced = z.infer<typeof bodySchema>

/** @returns the subject of a machine's changes */
export const wearSubject = (sourceId: string): string => `wear.${sourceId}`

export const partReplaced = defineEvent({
  type: 'part-replaced',
  writers: 'welder',
  subject: z.string().regex(/^wear\.[a-z0-9-]{1,64}$/, 'must be wear. with the id of a power source'),
  input: bodySchema,
  body: bodySchema,
})
