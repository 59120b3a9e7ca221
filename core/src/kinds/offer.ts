/** The price of one package of an item at a supplier, on a day, and from how many it is lower. */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema, idSchema, nameSchema } from '../model/fields.ts'
import { daySchema } from './cylinder.ts'
import { defineKind } from './kind.ts'
import { currencySchema, leadDaysSchema } from './supplier.ts'

/** The places of an offer that name an item, by the kind that they name. */
export const OFFERED = { wireId: 'wire', gasId: 'gas', tungstenId: 'tungsten', partId: 'part' } as const
const item = (title: string, reference: (typeof OFFERED)[keyof typeof OFFERED]) =>
  idSchema.nullable().meta(field(title, { reference, empty: 'another kind' }))

export const offerSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    supplierId: idSchema.meta(field('Supplier', { reference: 'supplier' })),
    wireId: item('Wire or rod', 'wire'),
    gasId: item('Gas', 'gas'),
    tungstenId: item('Tungsten', 'tungsten'),
    partId: item('Small part', 'part'),
    /** For one package as the record of the item has it: a spool, a refill, a piece. */
    price: amountSchema.meta(field('Price per package', { group: 'Price' })),
    currency: currencySchema.meta(field('Currency')),
    pricedOn: daySchema.meta(field('Price of', { reads: 'day' })),
    leadDays: leadDaysSchema.nullable().meta(field('Lead time', { unit: 'days', empty: 'as the supplier' })),
    breakFrom: z
      .int('must be a whole number')
      .min(2, 'must be at least 2')
      .max(10_000, 'must be at most 10000')
      .nullable()
      .meta(field('Cheaper from', { unit: 'packages', empty: 'no price break', group: 'Price break' })),
    breakPrice: amountSchema.nullable().meta(field('Price from there', { empty: 'no price break' })),
  })
  .check((ctx) => {
    const { breakFrom, breakPrice, price } = ctx.value
    const refuse = (path: string, input: unknown, message: string): void =>
      void ctx.issues.push({ code: 'custom', path: [path], input, message })
    const named = Object.keys(OFFERED).filter((key) => ctx.value[key as keyof typeof OFFERED] !== null)
    if (named.length !== 1)
      refuse(named[1] ?? 'wireId', null, 'must be the one item that the price is for. Choose exactly one')
    if ((breakFrom === null) !== (breakPrice === null))
      refuse(
        breakFrom === null ? 'breakFrom' : 'breakPrice',
        null,
        'is empty. A price break has a number and a price',
      )
    else if (breakPrice !== null && breakPrice >= price)
      refuse('breakPrice', breakPrice, `is ${breakPrice}, not less than ${price}. Enter the lower price`)
  })
export type PriceOffer = z.infer<typeof offerSchema>

export const offerKind = defineKind({
  kind: 'offer',
  path: 'offers',
  listKey: 'offers',
  noun: 'price',
  scope: 'stores',
  writers: 'planner',
  most: 5000,
  schema: offerSchema,
  upcasters: [],
  counting: null,
})
