/** Who sells wire, gas and small parts: lead time, delivery, and the currency of his prices. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema, idSchema, nameSchema, noteSchema } from '../model/fields.ts'
import { defineKind } from './kind.ts'

export const currencySchema = z
  .string()
  .regex(/^[A-Z]{3}$/, 'must be a three-letter currency code such as USD')
export const leadDaysSchema = z
  .int('must be a whole number of days')
  .min(0, 'must be 0 days or more')
  .max(365, 'must be at most 365 days')

export const supplierSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  currency: currencySchema.meta(field('Currency')),
  leadDays: leadDaysSchema.meta(field('Lead time', { unit: 'days' })),
  deliveryCost: amountSchema.nullable().meta(field('Delivery', { empty: 'free' })),
  freeFrom: amountSchema.nullable().meta(field('Free delivery from', { empty: 'never' })),
  /** Prices, stock and orders over the network. */
  isAsked: z.boolean().meta(
    field('Answers over the network', {
      words: { true: 'yes', false: 'no' },
      blank: false,
    }),
  ),
  note: noteSchema.meta(field('Note', { empty: 'none' })),
})
export type Supplier = z.infer<typeof supplierSchema>

export const supplierKind = defineKind({
  kind: 'supplier',
  path: 'suppliers',
  listKey: 'suppliers',
  noun: 'supplier',
  scope: 'stores',
  writers: 'planner',
  most: 500,
  schema: supplierSchema,
  upcasters: [],
  counting: null,
})
