/** Every change of a count: what was there, what is there after it, why, and for which weld of which job. */
import { z } from 'zod'
import { definitionOf } from '../kinds/index.ts'
import { field } from '../model/field.ts'
import { amountSchema, idSchema, noteSchema } from '../model/fields.ts'
import { defineEvent } from './event.ts'

const { id: countId } = definitionOf('stock').schema.shape

/** Why there is more or less of it, and which way that goes: 1 in, -1 out, 0 either. */
const REASON_SIGNS = {
  received: 1,
  returned: 1,
  used: -1,
  scrapped: -1,
  moved: 0,
  corrected: 0,
} as const
type SentReason = keyof typeof REASON_SIGNS
const SENT_REASONS = Object.keys(REASON_SIGNS) as [SentReason, ...SentReason[]]
/** A count is made by writing it down anew: `PUT /api/stock/…`. */
export const MOVE_REASONS = [...SENT_REASONS, 'counted'] as const
export type MoveReason = (typeof MOVE_REASONS)[number]

const whatForShape = {
  jobId: idSchema.nullable().optional().meta(field('Job')),
  weldId: idSchema.nullable().optional().meta(field('Weld')),
  note: noteSchema.optional().meta(field('Note')),
}

export const stockMovement = defineEvent({
  type: 'stock-movement',
  // Who takes the spool says so; a count, which replaces what the book says, is the planner's.
  writers: 'welder',
  subject: countId,
  input: z
    .strictObject({
      /** g of wire, L of gas, pieces of the others; less than 0 where it is taken. */
      change: z
        .number('must be a number')
        .min(-1e9, 'must be at least -1000000000')
        .max(1e9, 'must be at most 1000000000')
        .refine((change) => change !== 0, 'is 0. Enter what came in, or what went out with a minus'),
      /** Where it is left out: received, or used. */
      reason: z.enum(SENT_REASONS, `must be one of ${SENT_REASONS.join(', ')}`).optional(),
      /** Where it went, or came from: the same amount, the other way. Only with the reason moved. */
      other: countId.optional(),
      ...whatForShape,
    })
    .check((ctx) => {
      const { change, reason, other, jobId, weldId } = ctx.value
      const refuse = (path: string, input: unknown, message: string): void =>
        void ctx.issues.push({ code: 'custom', path: [path], input, message })
      const sign = reason === undefined ? 0 : REASON_SIGNS[reason]
      if (sign * change < 0)
        refuse(
          'change',
          change,
          `is ${change}. What is ${reason ?? ''} is ${sign > 0 ? 'more' : 'less'} than 0`,
        )
      if ((reason === 'moved') !== (other !== undefined))
        refuse('other', other, 'belongs to the reason moved, and only to it. Name the other count')
      if (weldId && !jobId) refuse('weldId', weldId, 'names a weld without its job. Add jobId')
    }),
  body: z.strictObject({
    /** Of the count that it made. */
    version: z.int().min(1),
    before: amountSchema.nullable(),
    after: amountSchema.nullable(),
    /** Left out in rows from before reasons were recorded. */
    reason: z.enum(MOVE_REASONS).optional(),
    other: countId.optional(),
    ...whatForShape,
  }),
})
export type StockMove = z.infer<typeof stockMovement.body>

/** @returns why an amount changed, where nobody says it */
export const usualReason = (change: number): SentReason => (change > 0 ? 'received' : 'used')

/**
 * What there is after these, of one thing.
 * @param movements in the order in which they were stored
 * @returns null for what nobody has counted
 * @throws RangeError where one does not begin where the one before ended: a movement is missing
 */
export const balanceOf = (movements: readonly Pick<StockMove, 'before' | 'after'>[]): number | null =>
  movements.reduce<number | null>((there, { before, after }) => {
    if (before !== there) throw new RangeError(`a movement is missing: there were ${there}, not ${before}`)
    return after
  }, null)
