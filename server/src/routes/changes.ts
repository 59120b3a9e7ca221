/**
 * What others change, as server-sent events: which record, and its new version; whoever shows it fetches it. A connection
 * that was cut goes on where it stopped.
 */
import { LIMITS } from '../limits.ts'
import { Problem } from '../problems.ts'
import type { AddRoutes, Services } from '../services.ts'
import { EPOCH, standing } from '../stores/changeLog.ts'
import { pathOfKind } from '@brannik/core'
import type { ChangeEvent } from '../changes.ts'

const eventOf = (told: ChangeEvent): string => {
  if (told === 'lost') return 'event: lost\ndata: {}\n\n'
  if ('position' in told) return `id: ${told.position}\nevent: position\ndata: {}\n\n`
  const { kind, ...rest } = told
  if (kind === EPOCH) return `event: another\ndata: ${JSON.stringify({ epoch: rest.id })}\n\n`
  if (kind === 'event') return `event: happened\ndata: ${JSON.stringify({ from: Number(rest.id ?? 1) })}\n\n`
  return `event: change\ndata: ${JSON.stringify({ path: pathOfKind(kind), ...rest })}\n\n`
}

export const changeRoutes: AddRoutes = (api, { changes, database, streams }) => {
  // Who has signed out, or was shut out, hears nothing any more. Those who are in come again by themselves.
  changes.onDoor((door) => {
    for (const [response, actor] of streams)
      if (door === null ? actor.door !== null : door === actor.door || door === `account ${actor.accountId}`)
        response.end()
  })
  api.on('get', '/changes/position', 'guest', async (_request, response) => {
    response.json(await standing(database))
  })
  api.on('get', '/changes', 'guest', (request, response) => {
    if (streams.size >= LIMITS.changeStreams)
      throw new Problem(503, 'Busy', 'Too many wait for changes already. Ask for what you need instead.', {
        retryAfterS: 30,
      })
    // `no-transform`: packed, it would wait until there is enough to pack.
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    })
    response.write(`retry: ${LIMITS.changeAgainMs}\n\n`)
    const since = request.get('Last-Event-ID') ?? request.query['since']
    const stop = changes.listen(
      (told) => response.write(eventOf(told)),
      typeof since === 'string' ? since : null,
    )
    const beat = setInterval(() => response.write(': still here\n\n'), LIMITS.changeBeatMs)
    // Whoever comes again says anew who it is: a session that has ended does not go on listening.
    const over = setTimeout(() => response.end(), LIMITS.changeStreamMs)
    streams.set(response, request.actor)
    request.once('close', () => {
      stop()
      clearInterval(beat)
      clearTimeout(over)
      streams.delete(response)
    })
  })
}

/** Those that wait for changes do not keep a server from stopping. */
export function endStreams(streams: Services['streams']): void {
  for (const response of streams.keys()) response.end()
}
