/** The small schemas that the records are made of. */
import { z } from 'zod'
import { field } from './field.ts'

/** In a page or in a thread of one. */
const IS_PAGE = 'document' in globalThis || 'WorkerGlobalScope' in globalThis
// Every schema is built on this file, so this comes before all of them. Generated code reads documents faster, but the
// content policy of a page forbids it.
z.config({ jitless: IS_PAGE })

/** Unicode control characters but tab and line feed: they have no place in a name, and PostgreSQL refuses U+0000. */
// eslint-disable-next-line no-control-regex -- the rule guards against exactly what this pattern is for
const CONTROL = /[\u0000-\u0008\u000b-\u001f\u007f]/
/** Half of a character, left by text cut in two: no encoding holds it. */
const HALF_CHARACTER = /\p{Surrogate}/u

const clean = (schema: z.ZodString) =>
  schema
    .refine((text) => !CONTROL.test(text), 'has a control character. Type it again without it')
    .refine((text) => !HALF_CHARACTER.test(text), 'has half a character. Type it again')

export const idSchema = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'must be 1 to 64 lower-case letters, digits or hyphens')
  .meta(field('Id', { isApart: true }))

export const nameSchema = clean(
  z.string().trim().min(1, 'is empty. Enter a name').max(120, 'is longer than 120 characters. Shorten it'),
).meta(field('Name'))

/** Where a loose thing hangs or stands when it is on no machine. */
export const keptAtSchema = z
  .string()
  .trim()
  .min(1, 'is empty. Enter for example hook 3')
  .max(60, 'must be at most 60 characters')
  .nullable()
export const noteSchema = clean(z.string().max(2000, 'is longer than 2000 characters. Shorten it'))

const within = (least: number, most: number, unit: string) =>
  z
    .number()
    .min(least, `must be at least ${least} ${unit}`.trim())
    .max(most, `must be at most ${most} ${unit}`.trim())

export const voltsSchema = within(12, 1000, 'V')
export const ampsSchema = within(0.1, 3000, 'A')
export const dutySchema = within(1, 100, '%')
export const percentSchema = within(0, 100, '%')
export const diameterMmSchema = within(0.3, 10, 'mm')
export const thicknessMmSchema = within(0.1, 300, 'mm')
/** The least is about the width of the smallest puddle: what is shorter is no weld. */
export const lengthMmSchema = within(2, 1_000_000, 'mm')
export const amountSchema = within(0, 1e9, '')
export const countSchema = z.int().min(1, 'must be at least 1').max(100_000, 'must be at most 100000')
