/** The arc monitor, passed on: who was cut off goes on after the last number; nothing is lost over fifty cuts. */
import { type Batch, INCIDENTS, startArcMonitor, type ArcMonitor } from '@brannik/stand-ins'
import { get } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { monitorAt } from './monitor.ts'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
let device: ArcMonitor
beforeAll(async () => {
  device = await startArcMonitor({ pace: 20, lost: 0.05 })
  server = await startTestServer({ arcMonitor: device.url })
})
afterAll(async () => {
  await server.close()
  await device.close()
})

interface Heard {
  readonly batches: readonly Batch[]
  readonly isStandIn: boolean | null
}
/** Listens until so many batches came, then cuts the line. */
const listen = (url: string, count: number, lastId?: number): Promise<Heard> =>
  new Promise((resolve, reject) => {
    const batches: Batch[] = []
    let isStandIn: boolean | null = null
    let text = ''
    const headers = lastId === undefined ? {} : { 'Last-Event-ID': String(lastId) }
    const request = get(url, { headers }, (response) => {
      response.setEncoding('utf8')
      response.on('data', (chunk: string) => {
        text += chunk
        const events = text.split('\n\n')
        text = events.pop() ?? ''
        for (const event of events) {
          const data = /^data: (.*)$/m.exec(event)?.[1]
          if (data === undefined) continue
          if (event.includes('event: about'))
            isStandIn = (JSON.parse(data) as { isStandIn: boolean }).isStandIn
          else batches.push(JSON.parse(data) as Batch)
        }
        if (batches.length < count) return
        request.destroy()
        resolve({ batches, isStandIn })
      })
      response.on('error', () => undefined)
    })
    request.on('error', (error) => {
      if (batches.length < count) reject(error)
    })
  })

describe('the monitor of the shop', () => {
  it('loses nothing over fifty cut lines: what is missing comes after the last number', async () => {
    const all: Batch[] = []
    for (let cut = 0; cut < 50; cut += 1) {
      const { batches } = await listen(`${server.url}/api/monitor`, 3, all.length)
      for (const batch of batches) if (batch.seq === all.length + 1) all.push(batch)
    }
    expect(all.length).toBeGreaterThan(60)
    expect(all.map(({ seq }) => seq)).toEqual(all.map((_, index) => index + 1))
    // Each begins where the one before ended.
    for (const [index, { atS, readings, samplesPerS }] of all.entries()) {
      const next = all[index + 1]
      if (next) expect(next.atS).toBeCloseTo(atS + readings.length / samplesPerS, 6)
    }
  })
  it('says that it is a device of the shop, and goes on from the address as from the header', async () => {
    const { isStandIn, batches } = await listen(`${server.url}/api/monitor?after=5`, 1)
    expect(isStandIn).toBe(false)
    expect(batches[0]?.seq).toBeGreaterThan(5)
  })
  it.each([
    ['after=-1', 'after'],
    ['incident=Gas Out', 'incident'],
    ['wish=1', 'the query'],
  ])('%s is refused by its name', async (query, field) => {
    const { status, body } = await server.call('GET', `/api/monitor?${encodeURI(query)}`)
    expect(status).toBe(422)
    expect(body.errors[0].field).toBe(field)
  })
})

it('without a device a simulated weld plays it, started when somebody looks, and ended', async () => {
  const monitor = monitorAt(null)
  expect(monitor.isStandIn).toBe(true)
  const [one, other] = await Promise.all([monitor.url(), monitor.url()])
  expect(one).toBe(other)
  expect(INCIDENTS).toContain('breaker-trip')
  await monitor.close()
  await monitorAt(null).close()
  expect(await monitorAt('ws://10.0.0.9:81').url()).toBe('ws://10.0.0.9:81')
})
