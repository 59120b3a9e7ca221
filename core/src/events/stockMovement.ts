/** Every change of a count: what was there, and what is there after it. */
import { z } from 'zod'
import { definitionOf } from '../kinds/index.ts'
import { amountSchema } from '../model/fields.ts'
import { defineEvent } from './event.ts'

const { id: countId } = definitionOf('stock').schema.shape

export const stockMovement = defineEvent({
  type: 'stock-movement',
  writers: 'planner',
  subject: countId,
  input: z.strictObject({
    /** g of wire, L of gas, pieces of the others; less than 0 where it is taken. */
    change: z
      .number('must be a number')
      .min(-1e9, 'must be at least -1000000000')
      .max(1e9, 'must be at most 1000000000')
      .refine((change) => change !== 0, 'is 0. Enter what came in, or what went out with a minus'),
  }),
  body: z.strictObject({
    /** Of the count that it made. */
    version: z.int().min(1),
    before: amountSchema.nullable(),
    after: amountSchema.nullable(),
  }),
})
type Kept = z.infer<typeof stockMovement.body>

/**
 * What there is after these, of one thing.
 * @param movements in the order in which they were stored
 * @returns null for what nobody has counted
 * @throws RangeError where one does not begin where the one before ended: a movement is missing
 */
export const balanceOf = (movements: readonly Pick<Kept, 'before' | 'after'>[]): number | null =>
  movements.reduce<number | null>((there, { before, after }) => {
    if (before !== there) throw new RangeError(`a movement is missing: there were ${there}, not ${before}`)
    return after
  }, null)
