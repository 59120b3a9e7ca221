/** Whether the shop has it or thinks of buying it, and what it costs. */
import { z } from 'zod'
import { amountSchema } from './fields.ts'

export const HELD = ['owned', 'candidate'] as const
export type Held = (typeof HELD)[number]

/** Fields of everything that is bought once and kept. */
export const holdingShape = {
  held: z.enum(HELD),
  /** In the shop's currency: what it cost, or would cost. */
  price: amountSchema.nullable(),
}
