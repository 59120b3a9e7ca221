/** Somebody who welds: what he may weld, and when he works. The plan gives him work; it is no account. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { idSchema, nameSchema } from '../model/fields.ts'
import { daySchema } from './cylinder.ts'
import { defineKind } from './kind.ts'

const YES_NO = { true: 'yes', false: 'no' }
const may = (title: string, blank: boolean, group?: string) =>
  z.boolean().meta(field(title, { words: YES_NO, blank, ...(group === undefined ? {} : { group }) }))
/** On the clock of the shop. */
export const clockSchema = z
  .string()
  .regex(/^([01][0-9]|2[0-3]):[0-5][0-9]$/, 'must be a time of the day such as 07:00')

export const WEEKDAYS = [
  'monday',
  'tuesday',
  'wednesday',
  'thursday',
  'friday',
  'saturday',
  'sunday',
] as const

export const welderSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    gmaw: may('Solid wire', true, 'May weld'),
    fcaw: may('Cored wire', true),
    gtaw: may('TIG', true),
    smaw: may('Stick', true),
    /** Work that is made by a qualified procedure and welder. */
    approved: may('Structural, pressure and work by code', true),
    startsAt: clockSchema.meta(field('Starts at', { blank: '07:00', group: 'Hours' })),
    endsAt: clockSchema.meta(field('Ends at', { blank: '15:30' })),
    /** In the middle of his hours. */
    breakMin: z
      .number()
      .min(0, 'must be 0 min or more')
      .max(240, 'must be at most 240 min')
      .meta(field('Break', { unit: 'min', blank: 30 })),
    monday: may('Monday', true, 'Days'),
    tuesday: may('Tuesday', true),
    wednesday: may('Wednesday', true),
    thursday: may('Thursday', true),
    friday: may('Friday', true),
    saturday: may('Saturday', false),
    sunday: may('Sunday', false),
    awayFrom: daySchema
      .nullable()
      .meta(field('Away from', { empty: 'not away', reads: 'day', group: 'Away' })),
    awayUntil: daySchema.nullable().meta(field('Away until', { empty: 'the same day', reads: 'day' })),
  })
  .check((ctx) => {
    const { startsAt, endsAt } = ctx.value
    if (startsAt < endsAt) return
    ctx.issues.push({
      code: 'custom',
      path: ['endsAt'],
      input: endsAt,
      message: `is ${endsAt}, not after the start at ${startsAt}. Enter a later time`,
    })
  })
export type Welder = z.infer<typeof welderSchema>

export const welderKind = defineKind({
  kind: 'welder',
  path: 'welders',
  listKey: 'welders',
  noun: 'welder',
  scope: 'people',
  writers: 'planner',
  most: 200,
  schema: welderSchema,
  upcasters: [],
  counting: null,
})
