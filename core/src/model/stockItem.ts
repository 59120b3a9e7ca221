/** The schema of a count, and how much there can be of each kind. */
import { z } from 'zod'
import { field } from './field.ts'
import { amountSchema } from './fields.ts'
import { isStocked, STOCK_META, STOCKED_KINDS, type StockedKind, stockedThing } from './stock.ts'

const pieces = z.int().min(0, 'must be at least 0').max(100_000, 'must be at most 100000').nullable()

/** How much there can be of each kind; null while nobody has counted. */
export const STOCK_AMOUNTS = {
  part: pieces.meta(STOCK_META.part),
  wire: amountSchema.nullable().meta(STOCK_META.wire),
  gas: amountSchema.nullable().meta(STOCK_META.gas),
  tungsten: pieces.meta(STOCK_META.tungsten),
} as const satisfies Readonly<Record<StockedKind, z.ZodType>>

const STOCK_ID = new RegExp(`^(${STOCKED_KINDS.join('|')})\\.[a-z0-9][a-z0-9-]{0,63}$`)

/** A count as it stands in files and goes to and from the server: g of wire, L of gas, pieces of the others. */
export const stockItemSchema = z
  .strictObject({
    id: z
      .string()
      .regex(STOCK_ID, 'must name a thing that is counted, by its kind and id: wire.er70s6-035')
      .meta(field('What is counted', { isApart: true })),
    amount: amountSchema.nullable().meta(field('How much', { empty: 'not counted' })),
  })
  .check((ctx) => {
    const { id, amount } = ctx.value
    const { kind } = stockedThing(id)
    if (!isStocked(kind) || STOCK_AMOUNTS[kind].safeParse(amount).success) return
    ctx.issues.push({
      code: 'custom',
      path: ['amount'],
      input: amount,
      message: `is ${amount}; pieces are counted in whole numbers up to 100000`,
    })
  })
export type StockItem = z.infer<typeof stockItemSchema>
