/** Wire and rod: on spools, in tubes, in packs. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { METALS } from '../model/material.ts'
import { inOrder } from '../model/ordered.ts'
import { POLARITIES } from '../model/process.ts'
import { SPOOL_WORDS, SPOOLED_FORM_WORDS, SPOOLED_FORMS, spoolMmSchema } from './feeder.ts'
import { defineKind } from './kind.ts'
import { without } from './upcaster.ts'
import {
  amountSchema,
  ampsSchema,
  diameterMmSchema,
  idSchema,
  keptAtSchema,
  lengthMmSchema,
  nameSchema,
} from '../model/fields.ts'

export const WIRE_FORMS = [...SPOOLED_FORMS, 'rod', 'covered'] as const
export const WIRE_FORM_WORDS = {
  ...SPOOLED_FORM_WORDS,
  rod: 'rod',
  covered: 'covered electrode (stick)',
} as const
/** What a cored wire or a covered electrode may be welded in. */
export const WIRE_POSITIONS = ['all', 'flat-horizontal'] as const
/** Which gas a cored wire is made for. */
export const WIRE_GASES = ['co2', 'mixed', 'either'] as const

export const wireSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    form: z.enum(WIRE_FORMS).meta(field('Form', { words: WIRE_FORM_WORDS })),
    classification: nameSchema.meta(field('AWS or ISO class')),
    metal: z.enum(METALS).meta(field('For', { words: 'metal' })),
    diameterMm: diameterMmSchema.meta(field('Diameter', { quantity: 'diameter' })),
    /** Of one covered electrode; null takes the usual length of its diameter. */
    lengthMm: lengthMmSchema
      .nullable()
      .meta(field('Length of one electrode', { empty: 'as usual', quantity: 'length' })),
    /** The wire's own data where known; otherwise the reference table of its form and diameter. */
    currentMinA: ampsSchema.nullable().meta(
      field('Minimum current', {
        unit: 'A',
        empty: 'from the table',
        group: 'From the package, if it gives them',
      }),
    ),
    currentMaxA: ampsSchema.nullable().meta(field('Maximum current', { unit: 'A', empty: 'from the table' })),
    polarity: z
      .enum(POLARITIES)
      .nullable()
      .meta(field('Polarity', { empty: 'as usual', words: { dcep: 'DCEP', dcen: 'DCEN', ac: 'AC' } })),
    /** Null where the classification says it, or where it is good for all. */
    positions: z
      .enum(WIRE_POSITIONS)
      .nullable()
      .meta(
        field('Positions', {
          empty: 'by its class',
          words: { all: 'all', 'flat-horizontal': 'flat and horizontal' },
        }),
      ),
    gasWanted: z
      .enum(WIRE_GASES)
      .nullable()
      .meta(
        field('Made for gas', {
          empty: 'by its class',
          words: { co2: 'CO₂', mixed: 'argon mix', either: 'either' },
        }),
      ),
    /** Null for a rod, or where not known. */
    spoolMm: spoolMmSchema
      .nullable()
      .meta(field('Spool', { empty: 'none or not known', group: 'Stock', words: SPOOL_WORDS })),
    packageG: z
      .number()
      .min(1)
      .max(1e7)
      .meta(field('Full package', { quantity: 'mass' })),
    keptAt: keptAtSchema.meta(field('Kept at', { empty: 'not set' })),
    packagePrice: amountSchema.nullable().meta(field('Price per package', { empty: NOT_GIVEN })),
  })
  .check(inOrder({ least: 'currentMinA', most: 'currentMaxA', unit: 'A', mayMeet: false }))
export type Wire = z.infer<typeof wireSchema>

export const wireKind = defineKind({
  kind: 'wire',
  path: 'wires',
  listKey: 'wires',
  noun: 'wire or rod',
  scope: 'equipment',
  writers: 'planner',
  most: 2000,
  schema: wireSchema,
  upcasters: [
    without('stockG'),
    // There was no covered electrode.
    (wire) => ({ lengthMm: null, ...wire }),
    // Where a spool is kept was not recorded.
    (wire) => ({ keptAt: null, ...wire }),
  ],
  counting: {
    meta: field('Stock on hand', { quantity: 'mass', empty: 'not recorded', heading: 'stock_g' }),
    isPieces: false,
  },
})
