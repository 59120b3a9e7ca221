/** Events: recorded, and read from any number on. */
import { EVENT_TYPES, EVENTS, readDocument, type NewEvent, newEventSchema } from '@brannik/core'
import { z } from 'zod'
import { authorOf, mustBe } from '../access/actor.ts'
import { mayDo, ROLES } from '../access/roles.ts'
import { reading } from '../database.ts'
import { smallBody } from '../documents/body.ts'
import { invalid } from '../problems.ts'
import { limitSchema, queryOf } from '../routes/lists.ts'
import type { AddRoutes } from '../services.ts'
import { answerOnce } from '../stores/answers.ts'
import { anotherShop, epochNow } from '../stores/epoch.ts'
import { eventsSince, addEvent } from './store.ts'

export const eventQuerySchema = z.strictObject({
  since: z
    .string()
    .regex(/^(0|[0-9a-f]{12}\.\d{1,15})$/, 'must be 0, or what the page before says in `next`')
    .default('0'),
  type: z.enum(EVENT_TYPES, `must be one of ${EVENT_TYPES.join(', ')}`).optional(),
  subject: z.string().max(200, 'is too long').optional(),
  of: z
    .enum(['this-shop', 'all'], 'must be this-shop or all')
    .default('all')
    .meta({ description: 'Since the shop that is stored was begun, or ever' }),
  limit: limitSchema,
})

const RECORDED = EVENTS.filter((one) => one.writers !== 'nobody')
const writersOf = (type: NewEvent['type']) => RECORDED.find((one) => one.type === type)?.writers ?? 'owner'
/** The least role that may record any event. */
const LEAST = ROLES.find((role) => RECORDED.some(({ writers }) => mayDo(role, writers))) ?? 'owner'

export const eventRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/events', 'guest', async (request, response) => {
    const { since, type = null, subject = null, of, limit } = queryOf(eventQuerySchema, request)
    const [from = '', seq] = since.split('.')
    const { epoch, items, next } = await reading(database, async (connection) => {
      const epoch = await epochNow(connection)
      // Numbers of another shop are other events.
      if (seq !== undefined && from !== epoch) throw anotherShop(epoch)
      return {
        epoch,
        ...(await eventsSince(
          connection,
          { since: Number(seq ?? 0), type, subject, isOfThisShop: of === 'this-shop' },
          limit,
        )),
      }
    })
    response.type('application/json').send(`{"items":[${items.join(',')}],"next":"${epoch}.${next}"}`)
  })
  api.on('post', '/events', LEAST, async (request, response) => {
    const read = readDocument<NewEvent>(newEventSchema, smallBody(request))
    if (!read.ok) throw invalid(read.problems)
    const sent = read.value
    mustBe(request.actor, writersOf(sent.type))
    const { answer, isRepeat } = await answerOnce(database, request, async (connection) => {
      const key = request.get('Idempotency-Key') ?? null
      const { event, isNew } = await addEvent(connection, authorOf(request.actor), key, sent)
      return { status: isNew ? 201 : 200, body: event }
    })
    if (isRepeat || answer.status === 200) response.set('Idempotent-Replayed', 'true')
    response.status(answer.status).type('application/json').send(answer.body)
  })
}
