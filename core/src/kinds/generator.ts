/** A generator as its plate has it, and where it stands. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { amountSchema, idSchema, nameSchema } from '../model/fields.ts'
import { holdingShape } from '../model/holding.ts'
import { inOrder } from '../model/ordered.ts'
import { defineKind } from './kind.ts'

const wattsSchema = amountSchema
  .min(100, 'must be at least 100 W')
  .max(1_000_000, 'must be at most 1000000 W')

export const generatorSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    /** What it gives hour after hour. */
    runningW: wattsSchema.meta(field('Running output', { unit: 'W' })),
    /** For the moment in which something starts. */
    startingW: wattsSchema.nullable().meta(field('Peak output', { unit: 'W', empty: NOT_GIVEN })),
    /** Its rating in W is one in VA times this. */
    powerFactor: z
      .number()
      .min(0.5, 'must be at least 0.5')
      .max(1, 'must be at most 1')
      .nullable()
      .meta(
        field('Power factor of its rating', {
          empty: '1',
          help: 'Portable single-phase sets are rated at 1, larger three-phase ones at 0.8.',
        }),
      ),
    altitudeM: z
      .number()
      .min(-500, 'must be at least −500 m')
      .max(6000, 'must be at most 6000 m')
      .nullable()
      .meta(field('Altitude', { unit: 'm', empty: 'sea level', help: '1000 ft are 305 m.' })),
    ambientC: z
      .number()
      .min(-40, 'must be at least −40 °C')
      .max(60, 'must be at most 60 °C')
      .nullable()
      .meta(field('Ambient temperature', { unit: '°C', empty: 'as rated' })),
    fuelLPerH: amountSchema
      .nullable()
      .meta(field('Fuel at full load', { unit: 'L/h', empty: NOT_GIVEN, help: '1 gal is 3.8 L.' })),
    /** Null where nobody knows. */
    steadyWave: z
      .boolean()
      .nullable()
      .meta(field('Stable voltage and clean wave', { empty: NOT_GIVEN })),
    ...holdingShape,
  })
  .check(inOrder({ least: 'runningW', most: 'startingW', unit: 'W', mayMeet: true }))
export type Generator = z.infer<typeof generatorSchema>

export const generatorKind = defineKind({
  kind: 'generator',
  path: 'generators',
  listKey: 'generators',
  noun: 'generator',
  scope: 'building',
  writers: 'owner',
  most: 200,
  schema: generatorSchema,
  upcasters: [],
  counting: null,
})
