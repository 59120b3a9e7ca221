/** Many at once, and the same thing twice: every write happens once, and nobody gets a 500 for being second. */
import { randomUUID } from 'node:crypto'
import { CATALOGUE_KEYS } from '@brannik/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const sample = async (path: string) => (await server.call('GET', `/api/${path}`)).body.items[0].record
const EMPTY = {
  format: 'brannik-catalogue',
  version: 1,
  ...Object.fromEntries(CATALOGUE_KEYS.map((key) => [key, []])),
}

describe('a write with a key', () => {
  it('is done once, and answered alike each time it is asked', async () => {
    const job = { ...(await sample('jobs')), id: 'keyed', name: 'Keyed' }
    const key = { 'Idempotency-Key': randomUUID() }
    const first = await server.call('POST', '/api/jobs', job, key)
    const second = await server.call('POST', '/api/jobs', job, key)
    expect([first.status, second.status]).toEqual([201, 201])
    expect(second.body).toEqual(first.body)
    expect(first.headers.get('idempotent-replayed')).toBeNull()
    expect(second.headers.get('idempotent-replayed')).toBe('true')
    expect(second.headers.get('location')).toBe('/api/jobs/keyed')
    const put = { 'If-Match': server.etag(1), 'Idempotency-Key': randomUUID() }
    const changed = { ...job, quantity: 3 }
    expect((await server.call('PUT', '/api/jobs/keyed', changed, put)).body.version).toBe(2)
    // Without the key this would be a stale version.
    expect((await server.call('PUT', '/api/jobs/keyed', changed, put)).body.version).toBe(2)
    expect((await server.call('GET', '/api/jobs/keyed')).body.version).toBe(2)
  })

  it('asked by ten at once is one write', async () => {
    const job = { ...(await sample('jobs')), id: 'ten-at-once', name: 'Ten at once' }
    const key = { 'Idempotency-Key': randomUUID() }
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => server.call('POST', '/api/jobs', job, key)),
    )
    expect(answers.map(({ status }) => status)).toEqual(Array(10).fill(201))
    expect(answers.filter(({ headers }) => headers.get('idempotent-replayed') === null)).toHaveLength(1)
    const { body } = await server.call('GET', '/api/history/jobs/ten-at-once')
    expect(body.items).toHaveLength(1)
  })

  it('with another request under the same key is refused, and neither is done twice', async () => {
    const job = { ...(await sample('jobs')), id: 'two-meanings', name: 'Two meanings' }
    const key = { 'Idempotency-Key': randomUUID() }
    await server.call('POST', '/api/jobs', job, key)
    const other = await server.call('POST', '/api/jobs', { ...job, id: 'other-meaning' }, key)
    expect(other.status).toBe(422)
    expect(other.body.detail).toContain('new key')
    expect((await server.call('GET', '/api/jobs/other-meaning')).status).toBe(404)
  })

  it('with the same words, of another version, is another request', async () => {
    const job = { ...(await sample('jobs')), id: 'two-versions', name: 'Two versions' }
    await server.call('POST', '/api/jobs', job)
    const key = { 'Idempotency-Key': randomUUID() }
    const changed = { ...job, note: 'once' }
    const put = (version: number) =>
      server.call('PUT', '/api/jobs/two-versions', changed, { ...key, 'If-Match': server.etag(version) })
    expect((await put(1)).status).toBe(200)
    expect((await put(2)).status).toBe(422)
    // The same of the same version is answered again, and done once.
    expect(await put(1).then(({ body }) => body.version)).toBe(2)
    expect((await server.call('GET', '/api/jobs/two-versions')).body.version).toBe(2)
  })

  it('that was refused may be sent again: a refusal is not kept', async () => {
    const job = { ...(await sample('jobs')), id: 'refused-first', setUpId: 'nowhere' }
    const key = { 'Idempotency-Key': randomUUID() }
    expect((await server.call('POST', '/api/jobs', job, key)).status).toBe(422)
    expect((await server.call('POST', '/api/jobs', { ...job, setUpId: null }, key)).status).toBe(201)
  })

  it('a key that is none is said', async () => {
    const long = { 'Idempotency-Key': 'k'.repeat(201) }
    expect((await server.call('POST', '/api/jobs', await sample('jobs'), long)).status).toBe(400)
  })
})

it('two catalogues in opposite order, again and again, give no 5xx', async () => {
  const gas = await sample('gases')
  const wire = await sample('wires')
  const make = (of: object, prefix: string) =>
    Array.from({ length: 40 }, (_, index) => ({
      ...of,
      id: `${prefix}-${index}`,
      name: `${prefix} ${index}`,
    }))
  const lists = { wires: make(wire, 'cross-wire'), gases: make(gas, 'cross-gas') }
  await server.call('POST', '/api/catalogue', { catalogue: { ...EMPTY, ...lists }, versions: {} })
  const versions = new Map<string, number>()
  for (let round = 0; round < 20; round += 1) {
    const sent = Object.fromEntries(
      Object.entries(lists).flatMap(([key, list]) =>
        list.map(({ id }) => [`${key}/${id}`, versions.get(id) ?? 1]),
      ),
    )
    const forth = { ...EMPTY, ...lists }
    const back = { ...EMPTY, wires: lists.wires.toReversed(), gases: lists.gases.toReversed() }
    const answers = await Promise.all(
      [forth, back].map((catalogue) =>
        server.call('POST', '/api/catalogue', { catalogue, versions: sent }, { 'Shop-Epoch': server.epoch }),
      ),
    )
    // One is first; the other has a version that is no longer there.
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 412])
    const done = answers.find(({ status }) => status === 200)
    for (const { id, version } of done?.body.items ?? []) versions.set(id, version)
  }
})

it('records written from all sides in any order end in no 5xx, and every acknowledged one is there', async () => {
  const job = await sample('jobs')
  const setUp = await sample('set-ups')
  const each = Array.from({ length: 12 }, (_, index) => index)
  const answers = await Promise.all(
    each.flatMap((index) => [
      server.call('POST', '/api/set-ups', { ...setUp, id: `side-${index}`, name: `Side ${index}` }),
      server.call('POST', '/api/jobs', { ...job, id: `side-${index}`, name: `Side ${index}` }),
      server.call('POST', '/api/wires', { ...job }),
      server.call('GET', '/api/jobs'),
    ]),
  )
  expect(answers.filter(({ status }) => status >= 500)).toEqual([])
  for (const index of each) {
    expect((await server.call('GET', `/api/jobs/side-${index}`)).status).toBe(200)
    expect((await server.call('GET', `/api/set-ups/side-${index}`)).status).toBe(200)
  }
})

describe('lists', () => {
  it('come by the page, each record once, in the order of names', async () => {
    const wire = await sample('wires')
    const wires = Array.from({ length: 130 }, (_, index) => ({
      ...wire,
      id: `paged-${index}`,
      name: `Paged ${index % 7}`,
    }))
    await server.call('POST', '/api/catalogue', { catalogue: { ...EMPTY, wires }, versions: {} })
    const seen: { id: string; name: string }[] = []
    let after = ''
    do {
      const { body } = await server.call('GET', `/api/wires?limit=17${after}`)
      expect(body.items.length).toBeLessThanOrEqual(17)
      seen.push(...body.items.map(({ record }: { record: { id: string; name: string } }) => record))
      after = body.next === null ? '' : `&after=${body.next}`
    } while (after !== '')
    expect(new Set(seen.map(({ id }) => id)).size).toBe(seen.length)
    expect(seen.filter(({ id }) => id.startsWith('paged-'))).toHaveLength(130)
    const keys = seen.map(({ name, id }) => `${name}\u0001${id}`)
    expect(keys).toEqual([...keys].sort((a, b) => (a < b ? -1 : 1)))
  })

  it('are told unchanged while nothing has changed, whichever server is asked', async () => {
    const { headers } = await server.call('GET', '/api/guns')
    const seen = { 'If-None-Match': headers.get('etag') ?? '' }
    for (let round = 0; round < 4; round += 1)
      expect((await server.call('GET', '/api/guns', undefined, seen)).status).toBe(304)
    const gun = { ...(await sample('guns')), id: 'new-gun', name: 'New gun' }
    await server.call('POST', '/api/guns', gun)
    for (let round = 0; round < 4; round += 1) {
      const now = await server.call('GET', '/api/guns', undefined, seen)
      expect(now.status).toBe(200)
      expect(now.body.items.map(({ record }: { record: { id: string } }) => record.id)).toContain('new-gun')
    }
  })

  it('a page that is asked for badly is told how to ask', async () => {
    for (const query of ['limit=0', 'limit=x', 'limit=501', 'after=zzz', `after=${'a'.repeat(3000)}`]) {
      const { status, body } = await server.call('GET', `/api/wires?${query}`)
      expect([query, status]).toEqual([query, 422])
      expect(body.errors[0].message.length).toBeGreaterThan(5)
    }
  })
})
