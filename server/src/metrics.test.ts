/** What the server counts of itself, in the text format of Prometheus (exposition format 0.0.4, from memory). */
import { EventEmitter } from 'node:events'
import type { Request, Response } from 'express'
import { describe, expect, it } from 'vitest'
import { createMetrics } from './metrics.ts'

type Services = Parameters<typeof createMetrics>[0]
const counts = (totalCount: number, idleCount: number, waitingCount: number) => ({
  totalCount,
  idleCount,
  waitingCount,
})
function metricsOf(streams = new Set<unknown>(), waiting = () => 0) {
  const database = { ...counts(5, 3, 1), writers: counts(7, 2, 4) }
  return createMetrics({ database, streams } as unknown as Services, { waiting } as never)
}
const figureOf = (text: string, name: string): number | null => {
  const found = new RegExp(`^${name} (\\S+)$`, 'm').exec(text)
  return found ? Number(found[1]) : null
}

describe('metrics', () => {
  it('are the connections of readers and writers together, the streams and the questions that wait', async () => {
    const text = await metricsOf(new Set(['a', 'b', 'c']), () => 6).text()
    expect(figureOf(text, 'database_connections')).toBe(12)
    expect(figureOf(text, 'database_connections_idle')).toBe(5)
    expect(figureOf(text, 'database_requests_waiting')).toBe(5)
    expect(figureOf(text, 'change_streams')).toBe(3)
    expect(figureOf(text, 'big_questions_waiting')).toBe(6)
    // Of the process itself.
    expect(text).toMatch(/^process_resident_memory_bytes \d/m)
    expect(metricsOf().contentType).toMatch(/^text\/plain/)
  })
  it('are read anew each time, and each server has its own', async () => {
    const streams = new Set<unknown>()
    const one = metricsOf(streams)
    expect(figureOf(await one.text(), 'change_streams')).toBe(0)
    streams.add('late')
    expect(figureOf(await one.text(), 'change_streams')).toBe(1)
    expect(figureOf(await metricsOf().text(), 'change_streams')).toBe(0)
  })
  it('have how long each route took, under the name of the route and not of the record', async () => {
    const metrics = metricsOf()
    const ask = (request: object, statusCode: number): void => {
      const response = Object.assign(new EventEmitter(), { statusCode })
      let isPassed = false
      void metrics.measure(request as Request, response as unknown as Response, () => (isPassed = true))
      expect(isPassed).toBe(true)
      response.emit('close')
      // A connection closes once.
      response.emit('close')
    }
    ask({ method: 'GET', baseUrl: '/api', route: { path: '/jobs/:id' } }, 200)
    ask({ method: 'GET', baseUrl: '/api', route: { path: '/jobs/:id' } }, 200)
    ask({ method: 'PUT', baseUrl: '', route: undefined }, 404)
    ask({ method: 'GET', baseUrl: '', route: { path: /x/ } }, 500)
    const text = await metrics.text()
    const count = (method: string, route: string, status: number) =>
      figureOf(
        text,
        `http_request_duration_seconds_count\\{method="${method}",route="${route}",status="${status}"\\}`,
      )
    expect(count('GET', '/api/jobs/:id', 200)).toBe(2)
    expect(count('PUT', 'other', 404)).toBe(1)
    expect(count('GET', 'other', 500)).toBe(1)
    for (const bound of ['0.005', '0.02', '15', '\\+Inf']) expect(text).toMatch(new RegExp(`le="${bound}"`))
  })
})
