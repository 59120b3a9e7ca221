/** A backup was put back: what happened after it was made is not in the shop any more. */
import { z } from 'zod'
import { defineEvent } from './event.ts'

export const shopRestored = defineEvent({
  type: 'shop-restored',
  writers: 'nobody',
  subject: z.literal('shop'),
  input: z.never(),
  body: z.strictObject({
    /** The word of the shop from then on: versions that were given out before mean nothing any more. */
    epoch: z.string(),
  }),
})
