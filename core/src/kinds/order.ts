/** An order to a supplier as it was placed, and what of it has come. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema, idSchema, nameSchema, noteSchema } from '../model/fields.ts'
import { daySchema } from './cylinder.ts'
import { defineKind } from './kind.ts'
import { currencySchema } from './supplier.ts'

export const ORDER_STATES = ['draft', 'placed', 'received', 'cancelled'] as const

const packs = (least: number) =>
  z.int('must be a whole number').min(least, `must be at least ${least}`).max(10_000, 'must be at most 10000')

const orderLineSchema = z
  .strictObject({
    /** The count that it goes into, for example wire.er70s6-035. */
    item: z
      .string()
      .regex(/^[a-z-]+\.[a-z0-9][a-z0-9-]{0,63}$/, 'must name a counted item by kind and id')
      .meta(field('Item')),
    name: nameSchema,
    packs: packs(1).meta(field('Packages')),
    /** g, L or pieces. */
    packSize: z.number().min(1e-6, 'must be more than 0').max(1e7).meta(field('Package size')),
    /** Null where nobody knows it yet. */
    priceEach: amountSchema.nullable().meta(field('Price each', { empty: 'not known' })),
    receivedPacks: packs(0).meta(field('Received')),
  })
  .check((ctx) => {
    const { packs: ordered, receivedPacks } = ctx.value
    if (receivedPacks <= ordered) return
    ctx.issues.push({
      code: 'custom',
      path: ['receivedPacks'],
      input: receivedPacks,
      message: `is ${receivedPacks}, and ${ordered} were ordered. Receive the rest in the stores`,
    })
  })

export const orderSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  // Names alone: an order stays when a supplier goes.
  supplierId: idSchema,
  supplierName: nameSchema,
  state: z.enum(ORDER_STATES, `must be one of ${ORDER_STATES.join(', ')}`).meta(field('State')),
  orderedOn: daySchema.nullable().meta(field('Ordered on', { empty: 'not yet' })),
  expectedOn: daySchema.nullable().meta(field('Expected on', { empty: 'not known' })),
  currency: currencySchema.meta(field('Currency')),
  deliveryCost: amountSchema.meta(field('Delivery')),
  lines: z
    .array(orderLineSchema)
    .min(1, 'needs at least one line')
    .max(200, 'holds more than 200 lines')
    .meta(field('Lines', { isApart: true, member: 'line' })),
  /** What the supplier calls it, where he has answered. */
  confirmation: z
    .string()
    .max(120)
    .nullable()
    .meta(field('Confirmation', { empty: 'none' })),
  note: noteSchema.meta(field('Note', { empty: 'none' })),
})
export type Order = z.infer<typeof orderSchema>
export type OrderLine = Order['lines'][number]

export const orderKind = defineKind({
  kind: 'order',
  path: 'orders',
  listKey: 'orders',
  noun: 'order',
  scope: 'paper',
  writers: 'planner',
  most: 5000,
  schema: orderSchema,
  upcasters: [],
  counting: null,
})
