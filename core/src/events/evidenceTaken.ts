/**
 * Evidence of a weld: looked at by a list, cut and etched, or tested for leaks. It says what was seen, by whom and when;
 * it is no approval.
 */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, nameSchema, noteSchema, thicknessMmSchema } from '../model/fields.ts'
import { POSITIONS } from '../model/jointKinds.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { defineEvent } from './event.ts'

export const VISUAL_LISTS = ['d1.1-static', 'd1.1-cyclic', 'iso5817-b', 'iso5817-c', 'iso5817-d'] as const
export type VisualList = (typeof VISUAL_LISTS)[number]
const EVIDENCE_RESULTS = ['passed', 'failed'] as const
/** A picture travels inside its event; the page makes it this small, characters of base64. */
export const MOST_PICTURE = 40_000

const mm = (title: string) =>
  z
    .number('must be a number')
    .min(0, 'must be 0 mm or more')
    .max(100, 'must be at most 100 mm')
    .meta(field(title, { quantity: 'weldSize' }))

const commonShape = {
  takenAt: z.iso.datetime('must be a date and time such as 2027-03-31T10:00:00Z'),
  by: nameSchema,
  result: z.enum(EVIDENCE_RESULTS, 'must be passed or failed'),
  setUpId: idSchema,
  setUpName: nameSchema,
  jobName: nameSchema,
  process: z.enum(PROCESS_IDS),
  wireId: idSchema.nullable(),
  gasId: idSchema.nullable(),
  thicknessMm: thicknessMmSchema,
  position: z.enum(POSITIONS),
  note: noteSchema,
}

const visualSchema = z.strictObject({
  kind: z.literal('visual'),
  ...commonShape,
  list: z.enum(VISUAL_LISTS, `must be one of ${VISUAL_LISTS.join(', ')}`),
  /** By the item of the list: whether it is met. What was not looked at is not there. */
  items: z.record(z.string().regex(/^[a-z-]{1,40}$/), z.boolean()),
})
const couponSchema = z.strictObject({
  kind: z.literal('coupon'),
  ...commonShape,
  legMm: mm('Leg').nullable(),
  throatMm: mm('Throat').nullable(),
  isRootReached: z.boolean(),
  picture: z
    .string()
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/, 'must be a JPEG, PNG or WebP picture')
    .max(MOST_PICTURE, 'is too large. Choose a smaller picture')
    .nullable(),
})
const leakSchema = z.strictObject({
  kind: z.literal('leak'),
  ...commonShape,
  volumeL: z.number().min(0.001, 'must be at least 0.001 L').max(1e6, 'must be at most 1000000 L'),
  startKPa: z.number().min(-101, 'must be at least -101 kPa').max(5000, 'must be at most 5000 kPa'),
  endKPa: z.number().min(-101, 'must be at least -101 kPa').max(5000, 'must be at most 5000 kPa'),
  minutes: z.number().min(0.1, 'must be at least 0.1 min').max(100_000, 'must be at most 100000 min'),
  /** The loss that is still accepted, Pa·m³/s. */
  mostPaM3PerS: z.number().min(0, 'must be 0 or more').max(1000, 'must be at most 1000 Pa·m³/s'),
})
const bodySchema = z.discriminatedUnion('kind', [visualSchema, couponSchema, leakSchema])
export type Evidence = z.infer<typeof bodySchema>

export const evidenceTaken = defineEvent({
  type: 'evidence-taken',
  writers: 'welder',
  subject: z
    .string()
    .regex(/^weld\.[a-z0-9-]{1,64}\.[a-z0-9-]{1,64}$/, 'must be weld. with the ids of a job and a weld'),
  input: bodySchema,
  body: bodySchema,
})
