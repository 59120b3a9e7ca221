/** A supplier is asked for prices, and sent orders: what he answers is checked, and what he does not answer is said. */
import { z } from 'zod'
import { readDocument } from '@brannik/core'
import { smallBody } from '../documents/body.ts'
import { invalid, Problem } from '../problems.ts'
import type { AddRoutes } from '../services.ts'
import { NoAnswer } from '../supplier.ts'

const itemSchema = z
  .string()
  .regex(/^[a-z-]+\.[a-z0-9][a-z0-9-]{0,63}$/, 'must name a counted item by kind and id')
const MOST_LINES = 200

export const pricesAskedSchema = z.strictObject({
  currency: z.string().regex(/^[A-Z]{3}$/, 'must be a three-letter currency code such as USD'),
  items: z
    .array(
      z.strictObject({
        item: itemSchema,
        kind: z.enum(['wire', 'gas', 'tungsten', 'part']),
        classification: z.string().min(1).max(120),
        diameterMm: z.number().min(0.1).max(50).nullable(),
        packSize: z.number().min(1e-6).max(1e7),
      }),
    )
    .min(1, 'needs at least one item')
    .max(MOST_LINES),
})
export const orderSentSchema = z.strictObject({
  /** The order's own id: sent again it is the same order. */
  orderId: z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'must be the id of the order'),
  lines: z
    .array(z.strictObject({ item: itemSchema, packs: z.int().min(1, 'must be at least 1').max(10_000) }))
    .min(1, 'needs at least one line')
    .max(MOST_LINES),
})
const SHOP = `select id from record where kind = 'shop'`

/** No answer of somebody else is no fault of this server: the screen goes on without it. */
async function answered<T>(asking: Promise<T>): Promise<T> {
  try {
    return await asking
  } catch (error) {
    if (error instanceof NoAnswer)
      throw new Problem(503, 'No answer from the supplier', error.message, { retryAfterS: 20 })
    throw error
  }
}

export const supplierRoutes: AddRoutes = (api, { supplier, database }) => {
  api.on('post', '/supplier/prices', 'planner', async (request, response) => {
    const read = readDocument<z.infer<typeof pricesAskedSchema>>(pricesAskedSchema, smallBody(request))
    if (!read.ok) throw invalid(read.problems)
    const { items, currency } = read.value
    response.json({ isStandIn: supplier.isStandIn, ...(await answered(supplier.prices(items, currency))) })
  })
  api.on('post', '/supplier/orders', 'planner', async (request, response) => {
    const read = readDocument<z.infer<typeof orderSentSchema>>(orderSentSchema, smallBody(request))
    if (!read.ok) throw invalid(read.problems)
    const { orderId, lines } = read.value
    const [shop] = (await database.query<{ id: string }>(SHOP)).rows
    const key = `${shop?.id ?? 'shop'}.${orderId}`
    response.json({ isStandIn: supplier.isStandIn, ...(await answered(supplier.order(key, lines))) })
  })
}
