/** What the server counts of itself, in the text format of Prometheus. */
import type { RequestHandler } from 'express'
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import type { Services } from './services.ts'
import type { WorkPool } from './work/pool.ts'

export interface Metrics {
  readonly measure: RequestHandler
  readonly text: () => Promise<string>
  readonly contentType: string
}

export function createMetrics(
  { database, streams }: Pick<Services, 'database' | 'streams'>,
  pool: WorkPool,
): Metrics {
  const registry = new Registry()
  collectDefaultMetrics({ register: registry })
  const seconds = new Histogram({
    name: 'http_request_duration_seconds',
    help: 'From the first byte of a request to the last of its answer',
    labelNames: ['method', 'route', 'status'],
    buckets: [0.005, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 5, 15],
    registers: [registry],
  })
  const gauge = (name: string, help: string, value: () => number): void => {
    new Gauge({
      name,
      help,
      registers: [registry],
      collect() {
        this.set(value())
      },
    })
  }
  const sum = (what: 'totalCount' | 'idleCount' | 'waitingCount'): number =>
    database[what] + database.writers[what]
  gauge('database_connections', 'Connections to the database', () => sum('totalCount'))
  gauge('database_connections_idle', 'Connections that nobody uses', () => sum('idleCount'))
  gauge('database_requests_waiting', 'Requests that wait for a connection', () => sum('waitingCount'))
  gauge('change_streams', 'Browsers and programs that hear of changes', () => streams.size)
  gauge('big_questions_waiting', 'Questions that wait for a worker thread', pool.waiting)
  return {
    measure(request, response, next) {
      const end = seconds.startTimer()
      response.once('close', () => {
        const route = request.route as { path?: unknown } | undefined
        const path = typeof route?.path === 'string' ? request.baseUrl + route.path : 'other'
        end({ method: request.method, route: path, status: response.statusCode })
      })
      next()
    },
    text: () => registry.metrics(),
    contentType: registry.contentType,
  }
}
