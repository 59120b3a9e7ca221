/** What is used up: wire and rod, gas, tungsten. */
import { z } from 'zod'
import { METALS } from './material.ts'
import { POLARITIES } from './process.ts'
import { field, NOT_GIVEN } from './field.ts'
import {
  amountSchema,
  ampsSchema,
  diameterMmSchema,
  idSchema,
  lengthMmSchema,
  nameSchema,
  percentSchema,
} from './fields.ts'
import { inOrder } from './ordered.ts'
import { SPOOL_WORDS, spoolMmSchema } from './wireFeeder.ts'

export const WIRE_FORMS = ['solid', 'cored-self-shielded', 'cored-gas-shielded', 'rod', 'covered'] as const
export const WIRE_FORM_WORDS = {
  solid: 'solid wire',
  'cored-self-shielded': 'self-shielded cored wire',
  'cored-gas-shielded': 'gas-shielded cored wire',
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
      field('Least current', {
        unit: 'A',
        empty: 'by the table',
        group: 'Its own data, where the package gives them',
      }),
    ),
    currentMaxA: ampsSchema.nullable().meta(field('Most current', { unit: 'A', empty: 'by the table' })),
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
      .meta(field('Spool', { empty: 'none, or not known', group: 'Stock', words: SPOOL_WORDS })),
    packageG: z
      .number()
      .min(1)
      .max(1e7)
      .meta(field('A full package', { quantity: 'mass' })),
    packagePrice: amountSchema.nullable().meta(field('Price of one', { empty: NOT_GIVEN })),
  })
  .check(inOrder({ least: 'currentMinA', most: 'currentMaxA', unit: 'A', mayMeet: false }))
export type Wire = z.infer<typeof wireSchema>
export const gasSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    /** ISO 14175 designation, for example `M21-ArC-25`. */
    designation: nameSchema.meta(field('ISO 14175 designation')),
    argonPct: percentSchema.meta(field('Argon', { unit: '%' })),
    co2Pct: percentSchema.meta(field('CO₂', { unit: '%', blank: 0 })),
    oxygenPct: percentSchema.meta(field('Oxygen', { unit: '%', blank: 0 })),
    heliumPct: percentSchema.meta(field('Helium', { unit: '%', blank: 0 })),
    /** Free gas in a full cylinder. */
    fullL: z
      .number()
      .min(1)
      .max(1e6)
      .meta(field('A full cylinder', { quantity: 'cylinder', group: 'Stock' })),
    refillPrice: amountSchema.nullable().meta(field('Refill', { empty: NOT_GIVEN })),
  })
  .check((ctx) => {
    const { argonPct, co2Pct, oxygenPct, heliumPct } = ctx.value
    const sum = argonPct + co2Pct + oxygenPct + heliumPct
    if (Math.abs(sum - 100) > 0.01) {
      ctx.issues.push({
        code: 'custom',
        path: ['argonPct'],
        input: argonPct,
        message: `and the other parts add up to ${sum} %; they must make 100 %`,
      })
    }
  })
export type Gas = z.infer<typeof gasSchema>

export const TUNGSTEN_TYPES = ['WP', 'WLa15', 'WLa20', 'WCe20', 'WZr8', 'WTh20'] as const
const TUNGSTEN_WORDS = {
  WP: 'WP, pure',
  WLa15: 'WLa15, lanthanated',
  WLa20: 'WLa20, lanthanated',
  WCe20: 'WCe20, ceriated',
  WZr8: 'WZr8, zirconiated',
  WTh20: 'WTh20, thoriated',
} as const
export const tungstenSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  type: z.enum(TUNGSTEN_TYPES).meta(field('ISO 6848 type', { words: TUNGSTEN_WORDS, blank: 'WLa20' })),
  diameterMm: diameterMmSchema.meta(field('Diameter', { quantity: 'diameter' })),
  lengthMm: lengthMmSchema.meta(field('Length', { quantity: 'length' })),
  price: amountSchema.nullable().meta(field('Price', { empty: NOT_GIVEN, group: 'Stock' })),
})
export type Tungsten = z.infer<typeof tungstenSchema>
