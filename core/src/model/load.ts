/** What else draws while people weld: the compressor, a grinder, the lights. */
import { z } from 'zod'
import { field } from './field.ts'
import { ampsSchema, idSchema, nameSchema } from './fields.ts'
import { inOrder } from './ordered.ts'

const minutesSchema = z.number().min(0.1, 'must be at least 0.1 min').max(1440, 'must be at most 1440 min')

export const loadSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    circuitId: idSchema.meta(field('Circuit', { reference: 'circuit' })),
    runningA: ampsSchema.meta(field('Draws running', { unit: 'A' })),
    /** Of a motor, for the few seconds of its start. */
    startingA: ampsSchema.nullable().meta(field('Draws starting', { unit: 'A', empty: 'as running' })),
    /** Null for what is on all day. */
    onMin: minutesSchema.nullable().meta(field('Runs for', { unit: 'min', empty: 'all day' })),
    offMin: minutesSchema.nullable().meta(field('Then rests for', { unit: 'min', empty: 'not at all' })),
  })
  .check(inOrder({ least: 'runningA', most: 'startingA', unit: 'A', mayMeet: true }))
export type Load = z.infer<typeof loadSchema>
