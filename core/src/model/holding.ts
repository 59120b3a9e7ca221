/** Whether the shop has it or thinks of buying it, and what it costs. */
import { z } from 'zod'
import { field, NOT_GIVEN } from './field.ts'
import { amountSchema } from './fields.ts'
import { OWNERSHIPS } from './ownership.ts'

/** Fields of everything that is bought once and kept. */
export const holdingShape = {
  held: z.enum(OWNERSHIPS).meta(field('Owned?', { words: { owned: 'owned', candidate: 'to buy' } })),
  /** In the shop's currency: what it cost, or would cost. */
  price: amountSchema.nullable().meta(field('Price', { empty: NOT_GIVEN })),
}
