/** Tungsten electrodes. */
import { z } from 'zod'
import { field, NOT_GIVEN } from '../model/field.ts'
import { defineKind } from './kind.ts'
import { without } from './upcaster.ts'
import { amountSchema, diameterMmSchema, idSchema, lengthMmSchema, nameSchema } from '../model/fields.ts'

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

export const tungstenKind = defineKind({
  kind: 'tungsten',
  path: 'tungstens',
  listKey: 'tungstens',
  noun: 'tungsten',
  scope: 'equipment',
  writers: 'planner',
  most: 2000,
  schema: tungstenSchema,
  upcasters: [without('stock')],
  counting: {
    meta: field('Stock on hand', { unit: 'pcs', empty: 'not recorded', heading: 'stock' }),
    isPieces: true,
  },
})
