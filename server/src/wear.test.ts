/** What is worn at each machine: by its whole log, however much the others welded since. */
import {
  type LogRow,
  type MachineRecord,
  machineRecordsOf,
  MOST_OF_MACHINE,
  type Replaced,
  type StoredEvent,
  type WeldRecord,
} from '@brannik/core'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { beginAnother, startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const records = async (): Promise<readonly MachineRecord[]> =>
  (await server.call('GET', '/api/wear')).body.items
const wornAt = async (sourceId: string) => {
  const of = (await records()).find((one) => one.sourceId === sourceId)
  return of?.wear.map(({ part, used, state }) => [part, used, state])
}
const demoBody = async (): Promise<WeldRecord> =>
  (await server.call('GET', '/api/log?job=press-frame&state=done&limit=1')).body.items[0].body
async function record(part: Partial<WeldRecord>, corrects: number | null = null): Promise<number> {
  const { status, body } = await server.call('POST', '/api/events', {
    type: 'weld-recorded',
    subject: 'weld.press-frame.uprights',
    body: {
      ...(await demoBody()),
      sourceId: 'tarn-400',
      process: 'gtaw-dc',
      starts: 500,
      spool: null,
      ...part,
    },
    corrects,
  })
  expect(status).toBe(201)
  return body.seq as number
}
const changed = (sourceId: string, replacedAt: string) =>
  server.call('POST', '/api/events', {
    type: 'part-replaced',
    subject: `wear.${sourceId}`,
    body: { part: 'tungsten', replacedAt, note: '' },
  })

it('is of the demo what its whole rows say, machine by machine', async () => {
  await changed('quillon-210', '2026-01-01T00:00:00Z')
  const rows: readonly LogRow[] = (await server.call('GET', '/api/log?limit=500')).body.items
  const changes: readonly StoredEvent<'part-replaced'>[] = (
    await server.call('GET', '/api/events?type=part-replaced&limit=500')
  ).body.items
  const byName = (all: readonly MachineRecord[]) =>
    all.toSorted((a, b) => a.sourceId.localeCompare(b.sourceId)).map(({ sourceId, wear }) => [sourceId, wear])
  // Sums of the same order.
  const welded = rows.filter(({ body }) => body.state !== 'planned').toSorted((a, b) => a.seq - b.seq)
  expect(rows.length).toBeGreaterThan(10)
  expect(byName(await records())).toEqual(
    byName(machineRecordsOf(welded, changes as readonly { subject: string; body: Replaced }[])),
  )
})

// 600 starts are the life of a tungsten: common practice, no source.
it('counts what was welded long ago, whatever the other machines welded since', async () => {
  await record({ weldedAt: '2025-03-01T10:00:00Z' })
  await server.database.query(
    `insert into event (who, type, subject, body)
     select who, type, subject, body || '{"sourceId": "quillon-210", "weldedAt": "2026-03-01T10:00:00Z"}'
     from (select * from event where type = 'weld-recorded' and body ->> 'state' = 'done' limit 1) one, generate_series(1, 2100)`,
  )
  expect(await wornAt('tarn-400')).toEqual([['tungsten', 500, 'good']])
  const seq = await record({ starts: 60, weldedAt: '2025-04-01T10:00:00Z' })
  expect(await wornAt('tarn-400')).toEqual([['tungsten', 560, 'soon']])
  await record({ starts: 140, weldedAt: '2025-04-01T10:00:00Z' }, seq)
  expect(await wornAt('tarn-400')).toEqual([['tungsten', 640, 'due']])
})

it('reads of a machine the newest that were welded, and no plan in their place', async () => {
  const many = (weldedAt: string, state: string) =>
    server.database.query(
      `insert into event (who, type, subject, body)
       select who, type, subject, body || jsonb_build_object('sourceId', 'osier-160', 'process', 'gtaw-dc', 'starts', 0,
         'weldedAt', $1::text, 'state', $2::text)
       from (select * from event where type = 'weld-recorded' and body ->> 'state' = 'done' limit 1) one,
         generate_series(1, $3)`,
      [weldedAt, state, MOST_OF_MACHINE],
    )
  await many('2024-01-01T10:00:00Z', 'done')
  await record({ sourceId: 'osier-160', starts: 650, weldedAt: '2025-01-01T10:00:00Z' })
  await many('2026-01-01T10:00:00Z', 'planned')
  expect(await wornAt('osier-160')).toEqual([['tungsten', 650, 'due']])
})

it('counts from a change on, and neither what is planned nor what is withdrawn', async () => {
  await record({ state: 'planned', weldedAt: '2025-05-01T10:00:00Z' })
  const seq = await record({ starts: 30, weldedAt: '2025-05-02T10:00:00Z' })
  await changed('tarn-400', '2025-05-01T12:00:00Z')
  await changed('osier-160', '2025-06-01T12:00:00Z')
  expect(await wornAt('tarn-400')).toEqual([['tungsten', 30, 'good']])
  await record({ starts: 30, isWithdrawn: true, weldedAt: '2025-05-02T10:00:00Z' }, seq)
  expect(await wornAt('tarn-400')).toEqual([['tungsten', 0, 'good']])
})

it('begins anew with another shop', async () => {
  const other = await startServer()
  try {
    expect((await other.call('GET', '/api/wear')).body.items.length).toBeGreaterThan(0)
    await beginAnother(other)
    expect((await other.call('GET', '/api/wear')).body.items).toEqual([])
    // Its own log alone, and no change of a part in the shop before.
    await other.call('POST', '/api/events', {
      type: 'weld-recorded',
      subject: 'weld.press-frame.uprights',
      body: { ...(await demoBody()), weldedAt: '2020-01-01T10:00:00Z' },
    })
    const [first] = (await other.call('GET', '/api/wear')).body.items as readonly MachineRecord[]
    expect(first?.wear.map(({ since }) => since)).toEqual(first?.wear.map(() => null))
  } finally {
    await other.close()
  }
})

it('says how the breakers of a machine held', async () => {
  await record({ breaker: 'tripped', circuitId: 'bay-3', weldedAt: '2025-05-03T10:00:00Z' })
  await record({ breaker: 'held', circuitId: 'bay-3', weldedAt: '2025-05-04T10:00:00Z' })
  const tarn = (await records()).find(({ sourceId }) => sourceId === 'tarn-400')
  expect(tarn?.breakers.filter(({ circuitId }) => circuitId === 'bay-3')).toEqual([
    {
      key: 'breaker.bay-3.tarn-400',
      circuitId: 'bay-3',
      sourceId: 'tarn-400',
      held: 1,
      tripped: 1,
      trippedAt: '2025-05-03T10:00:00Z',
    },
  ])
})
