/** The HTTP server with its limits, and how it stops: what is being answered is answered first. */
import { createServer, type Server } from 'node:http'
import type { Express } from 'express'
import { LIMITS } from './limits.ts'

type Patience = Pick<typeof LIMITS, 'headersMs' | 'requestMs' | 'lookForSlowMs'>

/** @param patience with those who send slowly, headers or bodies */
export function createHttpServer(
  app: Express,
  patience: { readonly [Name in keyof Patience]: number } = LIMITS,
): Server {
  const server = createServer(
    { maxHeaderSize: LIMITS.headerBytes, connectionsCheckingInterval: patience.lookForSlowMs },
    app,
  )
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
