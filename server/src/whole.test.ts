/** A whole shop out and in: a round trip without loss, the demo left behind, and nothing replaced that was not seen. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const whole = async () => (await server.call('GET', '/api/whole')).body
const byId = (list: readonly { id: string }[]) => [...list].sort((a, b) => (a.id < b.id ? -1 : 1))
const sorted = (shop: Record<string, unknown>) =>
  Object.fromEntries(
    Object.entries(shop).map(([key, value]) => [
      key,
      Array.isArray(value) ? byId(value as { id: string }[]) : value,
    ]),
  )
const empty = (name: string, from: Record<string, unknown>) => ({
  ...Object.fromEntries(Object.entries(from).map(([key, value]) => [key, Array.isArray(value) ? [] : value])),
  shop: { ...(from['shop'] as object), id: 'mine', name },
})

describe('a whole shop', () => {
  it('goes out, is replaced by an empty one, and comes back without loss', async () => {
    const demo = await whole()
    expect(demo.setUps.length).toBeGreaterThan(5)
    const left = await server.call('POST', '/api/whole', { whole: empty('Mine', demo), replaces: 'tollgate' })
    expect(left.status).toBe(204)
    expect((await server.call('GET', '/api/jobs')).body.items).toEqual([])
    expect((await server.call('GET', '/api/deleted')).body.items ?? []).toEqual([])
    expect((await whole()).stock).toEqual([])
    const back = await server.call('POST', '/api/whole', { whole: demo, replaces: 'mine' })
    expect(back.status).toBe(204)
    expect(sorted(await whole())).toEqual(sorted(demo))
  })

  it('is not replaced by who has seen another', async () => {
    const demo = await whole()
    const answer = await server.call('POST', '/api/whole', { whole: demo, replaces: 'elsewhere' })
    expect(answer.status).toBe(409)
    expect(answer.body.detail).toContain('Tollgate Orchard Works')
    expect((await server.call('POST', '/api/whole/demo', {})).status).toBe(409)
    expect(sorted(await whole())).toEqual(sorted(demo))
  })

  it('names what in the file leads nowhere, and stores nothing of it', async () => {
    const demo = await whole()
    const broken = { ...demo, wires: demo.wires.slice(1) }
    const answer = await server.call('POST', '/api/whole', { whole: broken, replaces: 'tollgate' })
    expect(answer.status).toBe(422)
    expect(JSON.stringify(answer.body.errors)).toContain(demo.wires[0].id)
    const twice = { ...demo, gases: [...demo.gases, demo.gases[0]] }
    const again = await server.call('POST', '/api/whole', { whole: twice, replaces: 'tollgate' })
    expect(again.status).toBe(422)
    expect(JSON.stringify(again.body.errors)).toContain('give it another')
    expect(sorted(await whole())).toEqual(sorted(demo))
  })

  it('an older file is carried up', async () => {
    const demo = await whole()
    const older = {
      ...demo,
      version: 5,
      powerSources: demo.powerSources.map(({ typical: _new, ...source }: Record<string, unknown>) => source),
    }
    expect((await server.call('POST', '/api/whole', { whole: older, replaces: 'tollgate' })).status).toBe(204)
    expect(sorted(await whole())).toEqual(sorted(demo))
  })

  it('where there is none, the demo may be loaded', async () => {
    await server.database.query('delete from record_reference')
    await server.database.query('delete from record')
    const none = await server.call('GET', '/api/shop')
    expect(none.status).toBe(404)
    expect(none.body.detail).toContain('/api/whole/demo')
    expect((await server.call('GET', '/api/whole')).status).toBe(404)
    expect((await server.call('POST', '/api/whole/demo', {})).status).toBe(204)
    expect((await server.call('GET', '/api/jobs')).body.items.length).toBeGreaterThan(5)
  })
})
