/** What the arc monitor measures, passed on as server-sent events: who was cut off goes on after the last number. */
import { WebSocket } from 'ws'
import { z } from 'zod'
import { LIMITS } from '../limits.ts'
import { Problem } from '../problems.ts'
import type { AddRoutes } from '../services.ts'
import { queryOf } from './lists.ts'

export const monitorQuerySchema = z.strictObject({
  after: z
    .string()
    .regex(/^\d{1,15}$/, 'must be the number of a batch')
    .optional()
    .meta({ description: 'Goes on after this batch; the header `Last-Event-ID` goes before it' }),
  incident: z
    .string()
    .regex(/^[a-z-]{1,20}$/, 'must be a word such as gas-out')
    .optional()
    .meta({ description: 'Of the simulated monitor: what goes wrong' }),
})

/** Of a batch only its number is looked at here. */
const numberOf = (text: string): string => /"seq":(\d+)/.exec(text)?.[1] ?? ''

export const monitorRoutes: AddRoutes = (api, { monitor, streams }) => {
  api.on('get', '/monitor', 'guest', async (request, response) => {
    const { after: asked, incident } = queryOf(monitorQuerySchema, request)
    if (streams.size >= LIMITS.changeStreams)
      throw new Problem(503, 'Busy', 'Too many streams are open already. Try again later.', {
        retryAfterS: 30,
      })
    const last = request.get('Last-Event-ID')
    const after = last !== undefined && /^\d{1,15}$/.test(last) ? last : (asked ?? '0')
    const url = new URL(await monitor.url())
    url.searchParams.set('after', after)
    if (incident !== undefined) url.searchParams.set('incident', incident)
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    })
    response.write(
      `retry: ${LIMITS.changeAgainMs}\nevent: about\ndata: ${JSON.stringify({ isStandIn: monitor.isStandIn })}\n\n`,
    )
    const device = new WebSocket(url)
    device.on('message', (data) => {
      const text = (data as Buffer).toString('utf8')
      response.write(`id: ${numberOf(text)}\nevent: batch\ndata: ${text}\n\n`)
    })
    // The page comes again by itself, and goes on after the last number that it has.
    for (const end of ['close', 'error'] as const) device.on(end, () => response.end())
    const over = setTimeout(() => response.end(), LIMITS.changeStreamMs)
    streams.set(response, request.actor)
    request.once('close', () => {
      clearTimeout(over)
      device.close()
      streams.delete(response)
    })
  })
}
