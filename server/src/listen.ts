/** The HTTP server with its limits, and how it stops: what is being answered is answered first. */
import { createServer, type Server } from 'node:http'
import { createServer as createTlsServer } from 'node:https'
import type { Express } from 'express'
import { LIMITS } from './limits.ts'

type Patience = Pick<typeof LIMITS, 'headersMs' | 'requestMs' | 'lookForSlowMs'>

/**
 * @param patience with those who send slowly, headers or bodies
 * @param tls certificate and key, PEM; null: it speaks plain HTTP
 */
export function createHttpServer(
  app: Express,
  patience: { readonly [Name in keyof Patience]: number } = LIMITS,
  tls: { readonly cert: string; readonly key: string } | null = null,
): Server {
  const options = { maxHeaderSize: LIMITS.headerBytes, connectionsCheckingInterval: patience.lookForSlowMs }
  const server =
    tls === null
      ? createServer(options, app)
      : createTlsServer({ ...options, ...tls, minVersion: 'TLSv1.2' }, app)
  server.maxHeadersCount = LIMITS.headerCount
  server.headersTimeout = patience.headersMs
  server.requestTimeout = patience.requestMs
  server.keepAliveTimeout = LIMITS.keepAliveMs
  server.timeout = LIMITS.idleMs
  server.maxConnections = LIMITS.connections
  return server
}

export const listen = (server: Server, port: number, host: string): Promise<number> =>
  new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, () => {
      server.off('error', reject)
      const address = server.address()
      resolve(typeof address === 'object' && address ? address.port : port)
    })
  })

/** Takes no more, answers what is on its way, and cuts what is not answered in time. */
export const drain = (server: Server, drainMs: number = LIMITS.drainMs): Promise<void> =>
  new Promise((resolve) => {
    const late = setTimeout(() => {
      server.closeAllConnections()
    }, drainMs)
    server.close(() => {
      clearTimeout(late)
      resolve()
    })
    server.closeIdleConnections()
    // A connection that is kept alive becomes idle when its request is answered.
    const sweep = setInterval(() => {
      server.closeIdleConnections()
    }, 50)
    server.once('close', () => {
      clearInterval(sweep)
    })
  })
