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

export interface Kept {
  readonly held?: Held
  readonly stock?: number | null
  readonly stockG?: number | null
  readonly leftL?: number | null
}
export const isCandidate = ({ held }: Kept & object): boolean => held === 'candidate'
/** Whether there is any of it: not a candidate, and not used up. What nobody has counted, or could, counts as there. */
export const isInShop = (item: Kept & object): boolean =>
  !isCandidate(item) && item.stock !== 0 && item.stockG !== 0 && item.leftL !== 0
