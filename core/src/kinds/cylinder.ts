/** One cylinder: which gas, what it holds full, on which machine it is, and what its rent is. Its contents are a count. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema, idSchema, keptAtSchema, nameSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'

export const daySchema = z.iso.date('must be a date such as 2027-03-31')

export const cylinderSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  gasId: idSchema.meta(field('Gas', { reference: 'gas' })),
  /** Room for water, L; null takes what the gas record says of a full cylinder. */
  waterL: z
    .number()
    .min(0.5, 'must be at least 0.5 L')
    .max(200, 'must be at most 200 L')
    .nullable()
    .meta(field('Water volume', { unit: 'L', empty: 'as the gas record says' })),
  /** On its gauge at 15 °C when it is full. */
  fullBar: z
    .number()
    .min(10, 'must be at least 10 bar')
    .max(300, 'must be at most 300 bar')
    .nullable()
    .meta(field('Full pressure', { unit: 'bar', empty: 'as usual' })),
  /** Stamped on its shoulder: CO₂ is counted by weight. */
  tareG: z
    .number()
    .min(500, 'must be at least 0.5 kg')
    .max(150_000, 'must be at most 150 kg')
    .nullable()
    .meta(field('Empty weight', { quantity: 'mass', empty: 'not recorded' })),
  openOnId: idSchema.nullable().meta(field('Open on', { reference: 'power-source', empty: 'not open' })),
  keptAt: keptAtSchema.meta(field('Kept at', { empty: 'not set' })),
  rentPerDay: amountSchema.nullable().meta(field('Rent per day', { empty: 'owned, no rent', group: 'Rent' })),
  cameOn: daySchema.nullable().meta(field('Came on', { empty: 'not recorded', reads: 'day' })),
  returnedOn: daySchema.nullable().meta(field('Returned on', { empty: 'in the shop', reads: 'day' })),
})
export type Cylinder = z.infer<typeof cylinderSchema>

export const cylinderKind = defineKind({
  kind: 'cylinder',
  path: 'cylinders',
  listKey: 'cylinders',
  noun: 'cylinder',
  scope: 'stores',
  writers: 'planner',
  most: 2000,
  schema: cylinderSchema,
  upcasters: [],
  counting: {
    meta: field('Gas in the cylinder', { quantity: 'gasVolume', empty: 'not recorded' }),
    isPieces: false,
  },
})
