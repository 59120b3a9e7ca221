/**
 * How much there is of what is used up or lies in the drawer: a count beside its record, for it changes with every job.
 * g of wire, L of gas, pieces of the others; null for what nobody has counted.
 */
import { z } from 'zod'
import { field } from '../model/field.ts'
import { amountSchema } from '../model/fields.ts'
import { defineKind, type KindDefinition } from './kind.ts'

const pieces = z.int().min(0, 'must be at least 0').max(100_000, 'must be at most 100000').nullable()

/**
 * How much there can be of one of these, with what people see of it; null for a kind that nobody counts.
 * @example amountSchemaOf(wireKind)
 */
export const amountSchemaOf = ({ counting }: Pick<KindDefinition, 'counting'>): z.ZodType | null =>
  counting && (counting.isPieces ? pieces : amountSchema.nullable()).meta(counting.meta)

/** @param kinds of which some are counted */
export function defineStock(kinds: readonly KindDefinition[]) {
  const amounts = new Map(kinds.map((kind) => [kind.kind, amountSchemaOf(kind)]))
  const counted = kinds.filter(({ counting }) => counting !== null).map(({ kind }) => kind)
  const schema = z
    .strictObject({
      id: z
        .string()
        .regex(
          new RegExp(`^(${counted.join('|')})\\.[a-z0-9][a-z0-9-]{0,63}$`),
          'must name a counted item by kind and id, for example wire.er70s6-035',
        )
        .meta(field('Item', { isApart: true })),
      amount: amountSchema.nullable().meta(field('Amount', { empty: 'not recorded' })),
    })
    .check((ctx) => {
      const { id, amount } = ctx.value
      const checked = amounts.get(id.slice(0, id.indexOf('.')))
      if (!checked || checked.safeParse(amount).success) return
      ctx.issues.push({
        code: 'custom',
        path: ['amount'],
        input: amount,
        message: `is ${amount}. Count pieces in whole numbers up to 100000`,
      })
    })
  return defineKind({
    kind: 'stock',
    path: 'stock',
    listKey: 'stock',
    noun: 'count',
    scope: 'count',
    writers: 'planner',
    most: 10_000,
    schema,
    upcasters: [],
    counting: null,
  })
}
