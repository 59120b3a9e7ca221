/** What else draws while people weld: the compressor, a grinder, the lights. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { ampsSchema, idSchema, nameSchema } from '../model/fields.ts'
import { inOrder } from '../model/ordered.ts'
import { defineKind } from './kind.ts'

const minutesSchema = z.number().min(0.1, 'must be at least 0.1 min').max(1440, 'must be at most 1440 min')

export const otherLoadSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    circuitId: idSchema.meta(field('Circuit', { reference: 'circuit' })),
    runningA: ampsSchema.meta(field('Running current', { unit: 'A' })),
    /** Of a motor, for the few seconds of its start. */
    startingA: ampsSchema.nullable().meta(field('Starting current', { unit: 'A', empty: 'as running' })),
    /** Null for what is on all day. */
    onMin: minutesSchema.nullable().meta(field('Runs for', { unit: 'min', empty: 'all day' })),
    offMin: minutesSchema.nullable().meta(field('Then stops for', { unit: 'min', empty: 'not at all' })),
  })
  .check(inOrder({ least: 'runningA', most: 'startingA', unit: 'A', mayMeet: true }))
export type OtherLoad = z.infer<typeof otherLoadSchema>

export const otherLoadKind = defineKind({
  kind: 'load',
  path: 'loads',
  listKey: 'loads',
  noun: 'other load',
  scope: 'building',
  writers: 'owner',
  most: 500,
  schema: otherLoadSchema,
  upcasters: [],
  counting: null,
})
