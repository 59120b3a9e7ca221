/** Counts of what is used up: rows with a movement for every change, and no part of a record. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const WIRE = 'wire.er70s6-035'
const movements = async (id: string) =>
  (
    await server.database.query(
      `select (body ->> 'version')::int as version, (body ->> 'before')::float as before,
        (body ->> 'after')::float as after, who from event where subject = $1 order by seq`,
      [id],
    )
  ).rows

describe('a count', () => {
  it('is replaced by version, and every change of it is a movement', async () => {
    const path = `/api/stock/${WIRE}`
    const first = await server.call('GET', path)
    expect(first.body).toEqual({ version: 1, record: { id: WIRE, amount: 4535.9 } })
    const counted = { id: WIRE, amount: 4000 }
    const now = await server.call('PUT', path, counted, { 'If-Match': server.etag(1) })
    expect([now.status, now.body]).toEqual([200, { version: 2, record: counted }])
    const late = await server.call('PUT', path, { id: WIRE, amount: 3 }, { 'If-Match': server.etag(1) })
    expect([late.status, late.body.currentVersion]).toEqual([412, 2])
    expect(await movements(WIRE)).toEqual([
      { version: 1, before: null, after: 4535.9, who: 'the demo' },
      { version: 2, before: 4535.9, after: 4000, who: 'this machine' },
    ])
    const { body } = await server.call('GET', `/api/history/stock/${WIRE}`)
    expect(body.items.map(({ version }: { version: number }) => version)).toEqual([2, 1])
    const then = await server.call('GET', `/api/history/stock/${WIRE}/1`)
    expect(then.body.record).toEqual({ id: WIRE, amount: 4535.9 })
    await expect(server.database.query('delete from event')).rejects.toThrow('only grows')
  })

  it('stands in a list that is told unchanged until one of them changes', async () => {
    const list = await server.call('GET', '/api/stock?limit=500')
    const etag = list.headers.get('etag') ?? ''
    const known = () => server.call('GET', '/api/stock?limit=500', undefined, { 'If-None-Match': etag })
    expect((await known()).status).toBe(304)
    const some = await server.call('GET', '/api/stock?limit=3')
    const rest = await server.call('GET', `/api/stock?limit=500&after=${some.body.next}`)
    expect([...some.body.items, ...rest.body.items]).toEqual(list.body.items)
    const gas = list.body.items.find(({ record }: { record: { id: string } }) => record.id.startsWith('gas.'))
    await server.call(
      'PUT',
      `/api/stock/${gas.record.id}`,
      { ...gas.record, amount: null },
      {
        'If-Match': server.etag(gas.version),
      },
    )
    expect((await known()).status).toBe(200)
  })

  it('is made once, of a thing that is there, and never deleted', async () => {
    const { body } = await server.call('GET', '/api/wires/er70s6-035')
    await server.call('POST', '/api/wires', { ...body.record, id: 'uncounted', name: 'Uncounted' })
    expect((await server.call('GET', '/api/stock/wire.uncounted')).status).toBe(404)
    const made = await server.call('POST', '/api/stock', { id: 'wire.uncounted', amount: null })
    expect([made.status, made.headers.get('location')]).toEqual([201, '/api/stock/wire.uncounted'])
    expect((await server.call('POST', '/api/stock', { id: 'wire.uncounted', amount: 2 })).status).toBe(409)
    const gone = await server.call('DELETE', '/api/stock/wire.uncounted', undefined, {
      'If-Match': server.etag(1),
    })
    expect([gone.status, gone.body.detail]).toEqual([405, expect.stringContaining('amount null')])
    const nothing = await server.call('POST', '/api/stock', { id: 'wire.nothing', amount: 2 })
    expect([nothing.status, nothing.body.errors]).toEqual([
      422,
      [expect.objectContaining({ pointer: '/id', message: expect.stringContaining('add it first') })],
    ])
  })

  it.each([
    [{ id: 'wire.er70s6-035', amount: -1 }, '/amount'],
    [{ id: 'tungsten.wla20-116', amount: 1.5 }, '/amount'],
    [{ id: 'gun.gun-250', amount: 1 }, '/id'],
    [{ id: 'wire.er70s6-035' }, '/amount'],
    [{ id: 'wire.er70s6-035', amount: 1, unit: 'lb' }, ''],
  ])('that cannot be is refused with its field: %j', async (body, pointer) => {
    const { status, body: problem } = await server.call('POST', '/api/stock', body)
    expect([status, problem.errors[0].pointer]).toEqual([422, pointer])
  })

  it('comes with a catalogue, for what the catalogue or the shop has', async () => {
    const { body } = await server.call('GET', '/api/catalogue')
    expect(body.stock).toContainEqual({ id: WIRE, amount: 4000 })
    const empty = Object.fromEntries(
      ['powerSources', 'feeders', 'guns', 'parts', 'wires', 'gases', 'tungstens'].map((key) => [key, []]),
    )
    const take = (stock: object[]) =>
      server.call('POST', '/api/catalogue', {
        catalogue: { format: 'brannik-catalogue', version: 2, ...empty, stock },
        versions: {},
      })
    // A file says nothing of what was used since: what is counted stays.
    expect((await take([{ id: WIRE, amount: 1234 }])).body).toEqual({ items: [] })
    expect(await movements(WIRE)).toHaveLength(2)
    await server.call('POST', '/api/wires', {
      ...(await server.call('GET', '/api/wires/er70s6-035')).body.record,
      id: 'new-in',
      name: 'New in',
    })
    const taken = await take([
      { id: 'wire.new-in', amount: 1234 },
      { id: WIRE, amount: 9 },
    ])
    expect(taken.body).toEqual({ items: [{ path: 'stock', id: 'wire.new-in', version: 1 }] })
    expect((await take([{ id: 'wire.new-in', amount: null }])).body).toEqual({ items: [] })
    expect((await server.call('GET', '/api/stock/wire.new-in')).body.record.amount).toBe(1234)
    const strange = await take([{ id: 'gas.nothing', amount: 1 }])
    expect([strange.status, strange.body.errors[0].pointer]).toEqual([422, '/catalogue/stock/0/id'])
  })

  it('stays while its thing is deleted and comes back', async () => {
    const { body } = await server.call('GET', '/api/wires/uncounted')
    await server.call(
      'PUT',
      '/api/stock/wire.uncounted',
      { id: 'wire.uncounted', amount: 7 },
      { 'If-Match': server.etag(1) },
    )
    await server.call('DELETE', '/api/wires/uncounted', undefined, { 'If-Match': server.etag(body.version) })
    await server.call('POST', '/api/wires', body.record)
    expect((await server.call('GET', '/api/stock/wire.uncounted')).body.record.amount).toBe(7)
  })
})
