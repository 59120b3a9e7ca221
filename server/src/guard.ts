/** Keeps other web pages out: a page somewhere else must not reach a server on this machine by its own name. */
import type { RequestHandler } from 'express'
import { Problem } from './problems.ts'

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1', '[::1]'])

const hostOf = (header: string): string => header.replace(/:\d+$/, '').toLowerCase()

/**
 * @param boundTo address that the server listens on; on loopback only loopback names are answered, which
 *   defeats DNS rebinding
 */
export const onlyLocalNames =
  (boundTo: string): RequestHandler =>
  (request, _response, next) => {
    if (!LOOPBACK.has(boundTo) || LOOPBACK.has(hostOf(request.get('Host') ?? ''))) {
      next()
      return
    }
    next(
      new Problem(
        421,
        'Wrong name',
        'This server answers as 127.0.0.1 or localhost only. Set HOST to serve a network.',
      ),
    )
  }

/** A form of another page can post plain text without asking; JSON it cannot. */
export const onlyJson: RequestHandler = (request, _response, next) => {
  const writes = request.method === 'POST' || request.method === 'PUT'
  next(
    writes && !request.is('application/json')
      ? new Problem(415, 'Not JSON', 'Send Content-Type: application/json.')
      : undefined,
  )
}
