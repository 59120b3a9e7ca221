/** Another shop was begun in this database: what happened before is not of this one. */
import { z } from 'zod'
import { defineEvent } from './event.ts'

export const shopBegun = defineEvent({
  type: 'shop-begun',
  writers: 'nobody',
  subject: z.literal('shop'),
  input: z.never(),
  body: z.strictObject({
    /** Id of the shop that is stored from then on. */
    shopId: z.string(),
  }),
})
