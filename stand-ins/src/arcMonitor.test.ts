/** The simulated monitor: invented figures, the same for the same seed; nothing lost over cut connections. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { WebSocket } from 'ws'
import {
  type ArcMonitor,
  type Batch,
  type INCIDENTS,
  SAMPLES_PER_S,
  simulatedWeld,
  startArcMonitor,
} from './arcMonitor.ts'

const secondsOf = (seed: number, incident: (typeof INCIDENTS)[number], seconds: number) => {
  const weld = simulatedWeld(seed, incident)
  return Array.from({ length: seconds * SAMPLES_PER_S }, () => weld.next().value)
}

describe('the simulated weld', () => {
  it('is the same for the same seed, and another for another', () => {
    expect(secondsOf(7, 'none', 60)).toEqual(secondsOf(7, 'none', 60))
    expect(secondsOf(7, 'none', 60)).not.toEqual(secondsOf(8, 'none', 60))
  })
  it('has arcs and pauses, with gas wherever it burns', () => {
    const readings = secondsOf(7, 'none', 300)
    const arcs = readings.filter(([, amps]) => amps > 20)
    expect(arcs.length).toBeGreaterThan(readings.length / 4)
    expect(arcs.length).toBeLessThan(readings.length * 0.95)
    expect(arcs.every(([, , feed, flow]) => feed > 0 && flow > 0)).toBe(true)
  })
  it.each([
    ['stubbing', ([volts, amps]: readonly number[]) => (amps ?? 0) > 230 && (volts ?? 99) < 12],
    ['gas-out', ([, amps, , flow]: readonly number[]) => (amps ?? 0) > 20 && flow === 0],
    ['breaker-trip', ([volts]: readonly number[]) => volts === 0],
  ] as const)('%s shows, and passes', (incident, shows) => {
    const readings = secondsOf(7, incident, 300)
    expect(readings.some(shows)).toBe(true)
    expect(readings.slice(-60 * SAMPLES_PER_S).some(shows)).toBe(false)
    expect(secondsOf(7, 'none', 300).some(shows)).toBe(false)
  })
})

describe('the monitor', () => {
  let monitor: ArcMonitor
  beforeAll(async () => {
    monitor = await startArcMonitor({ pace: 20, lost: 0.1 })
  })
  afterAll(async () => {
    await monitor.close()
  })

  /** Hears some batches after a number, then cuts the line. */
  const hear = (after: number, count: number): Promise<readonly Batch[]> =>
    new Promise((resolve, reject) => {
      const heard: Batch[] = []
      const socket = new WebSocket(`${monitor.url}?after=${after}`)
      socket.on('error', reject)
      socket.on('message', (data: Buffer) => {
        heard.push(JSON.parse(data.toString('utf8')) as Batch)
        if (heard.length < count) return
        socket.terminate()
        resolve(heard)
      })
    })

  it('loses nothing over fifty cut connections and lost batches: who comes back goes on after the last number', async () => {
    const all: Batch[] = []
    for (let cut = 0; cut < 50; cut += 1) {
      // What follows a hole is not taken: it comes again.
      for (const batch of await hear(all.length, 4)) if (batch.seq === all.length + 1) all.push(batch)
    }
    expect(all.map(({ seq }) => seq)).toEqual(Array.from(all, (_, index) => index + 1))
    expect(all.length).toBeGreaterThan(60)
    const expected = simulatedWeld(7, 'none')
    for (const { readings } of all)
      for (const reading of readings) expect(reading).toEqual(expected.next().value)
  })
})
