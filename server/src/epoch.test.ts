/** Versions, positions and numbers of one shop are worth nothing in another: neither in another database nor in the next shop. */
import { get as ask } from 'node:http'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { openDatabase } from './database.ts'
import { migrate } from './migrate.ts'
import { epochNow, readEtag } from './stores/epoch.ts'
import { administer, demoDatabase, emptyDatabase, startTestServer, type TestServer } from './testing.ts'

let here: TestServer
let there: TestServer
beforeAll(async () => {
  ;[here, there] = await Promise.all([startTestServer(), startTestServer()])
  // Copies of one template, as they come out of one backup; a server that starts makes its own of it.
  const database = openDatabase(there.databaseUrl)
  await migrate(database)
  await database.end()
})
afterAll(async () => {
  await Promise.all([here.close(), there.close()])
})

type Headers = Record<string, string>
const etagOf = async (server: TestServer, path: string): Promise<string> =>
  (await server.call('GET', path)).headers.get('etag') ?? ''
const frame = async (server: TestServer) => (await server.call('GET', '/api/jobs/press-frame')).body
const save = (server: TestServer, record: object, headers: Headers) =>
  server.call('PUT', '/api/jobs/press-frame', record, headers)

/** Puts the demo in the place of itself: another shop of the same name, with the same ids. */
async function beginAnew(server: TestServer, headers: Headers = {}) {
  const whole = (await server.call('GET', '/api/whole')).body
  return server.call('POST', '/api/whole', { whole, replaces: whole.shop.id }, headers)
}

describe('with another database on the same address', () => {
  it('a version of the same number replaces and deletes nothing', async () => {
    const [mine, theirs] = [await etagOf(here, '/api/jobs/press-frame'), await frame(there)]
    expect(readEtag(mine)?.version).toBe(theirs.version)
    const late = await save(there, { ...theirs.record, quantity: 77 }, { 'If-Match': mine })
    const { epoch } = (await there.call('GET', '/api/changes/position')).body
    expect(late).toMatchObject({ status: 412, body: { outcome: 'another-shop', epoch } })
    const deleted = await there.call('DELETE', '/api/jobs/press-frame', undefined, { 'If-Match': mine })
    expect(deleted.status).toBe(412)
    expect(await frame(there)).toEqual(theirs)
  })

  it('a list of the same revision is not answered as unchanged', async () => {
    const known = { 'If-None-Match': await etagOf(here, '/api/jobs') }
    expect((await here.call('GET', '/api/jobs', undefined, known)).status).toBe(304)
    expect((await there.call('GET', '/api/jobs', undefined, known)).status).toBe(200)
  })

  it('what is made for one shop is not made in the other, and its key stays free', async () => {
    const { record } = await frame(there)
    const made = { ...record, id: 'for-here' }
    const key = { 'Idempotency-Key': 'for-here' }
    const refused = await there.call('POST', '/api/jobs', made, { ...key, 'Shop-Epoch': here.epoch })
    expect(refused.body).toMatchObject({ status: 412, outcome: 'another-shop' })
    expect((await there.call('GET', '/api/jobs/for-here')).status).toBe(404)
    expect((await there.call('POST', '/api/jobs', made, key)).status).toBe(201)
  })

  it('a catalogue that names versions must say of which shop they are', async () => {
    const catalogue = (await there.call('GET', '/api/catalogue')).body
    const sent = { catalogue: { ...catalogue, stock: [] }, versions: { 'parts/cup-l-7': 1 } }
    const unsaid = await there.call('POST', '/api/catalogue', sent)
    expect(unsaid.status).toBe(428)
    expect(unsaid.body.detail).toContain('Shop-Epoch')
    const wrong = await there.call('POST', '/api/catalogue', sent, { 'Shop-Epoch': here.epoch })
    expect(wrong.body.outcome).toBe('another-shop')
  })

  it('numbers of events are not gone on from', async () => {
    const { next } = (await here.call('GET', '/api/events?limit=1')).body
    expect((await here.call('GET', `/api/events?since=${next}`)).status).toBe(200)
    expect((await there.call('GET', `/api/events?since=${next}`)).body.outcome).toBe('another-shop')
    expect((await there.call('GET', '/api/events?since=3')).status).toBe(422)
  })
})

it.each(['"1"', 'W/"1"', '*', `"${'g'.repeat(12)}.1"`, '"0f3a9c51d2e8.9999999999"', '"0f3a9c51d2e8"'])(
  'If-Match %s is no version of a record',
  async (version) => {
    const { record } = await frame(here)
    const answer = await save(here, record, { 'If-Match': version })
    expect(answer.status).toBe(400)
    expect(answer.body.detail).toContain('"0f3a9c51d2e8.3"')
  },
)

describe('a new shop in the same database', () => {
  let before: { readonly epoch: string; readonly position: string }
  let etag: string
  beforeEach(async () => {
    before = (await here.call('GET', '/api/changes/position')).body
    etag = await etagOf(here, '/api/jobs/press-frame')
  })

  it('ends every version of the one before', async () => {
    expect((await beginAnew(here)).status).toBe(204)
    const { record } = await frame(here)
    expect((await save(here, record, { 'If-Match': etag })).body.outcome).toBe('another-shop')
    expect(
      (await save(here, record, { 'If-Match': await etagOf(here, '/api/jobs/press-frame') })).status,
    ).toBe(200)
    const stale = { 'Shop-Epoch': before.epoch }
    expect((await beginAnew(here, stale)).body.outcome).toBe('another-shop')
  })

  it('is told to who listens, and to who comes again with a position of before', async () => {
    const listener = stream(`${here.url}/api/changes?since=${before.position}`)
    await listener.until('event: position')
    await beginAnew(here)
    const { epoch } = (await here.call('GET', '/api/changes/position')).body
    expect(epoch).not.toBe(before.epoch)
    const told = `event: another\ndata: {"epoch":"${epoch}"}`
    await listener.until(told)
    const late = stream(`${here.url}/api/changes?since=${before.position}`)
    await late.until('event: position')
    expect(late.said()).toContain(told)
    expect(late.said()).not.toContain('event: change')
    listener.stop()
    late.stop()
  })

  it('takes in no save of the one before, though they come at the same moment', async () => {
    const { version, record } = await frame(here)
    const headers = { 'If-Match': etag }
    const saves = Array.from({ length: 12 }, (_, index) =>
      save(here, { ...record, quantity: 100 + index }, headers),
    )
    const [begun, ...saved] = await Promise.all([beginAnew(here), ...saves])
    expect(begun.status).toBe(204)
    const statuses = saved.map(({ status }) => status)
    // One at most was stored, in the shop of before; the others met that one or the next shop.
    expect(statuses.filter((status) => status === 200).length).toBeLessThanOrEqual(1)
    expect(statuses.filter((status) => status !== 200 && status !== 412)).toEqual([])
    expect((await frame(here)).version).toBeGreaterThan(version)
    const again = await save(here, { ...record, quantity: 999 }, headers)
    expect(again.body.outcome).toBe('another-shop')
    expect((await frame(here)).record.quantity).not.toBe(999)
  })
})

describe('a server that starts', () => {
  const epochAt = async (url: string): Promise<string> => {
    const database = openDatabase(url)
    try {
      await migrate(database)
      return await epochNow(database)
    } finally {
      await database.end()
    }
  }
  it('keeps the word of a shop that is where it was', async () => {
    const made = await emptyDatabase()
    const first = await epochAt(made.url)
    expect(first).toMatch(/^[0-9a-f]{12}$/)
    expect(await epochAt(made.url)).toBe(first)
    await made.drop()
  })
  it('makes a new one for a shop that came out of a copy', async () => {
    const original = await demoDatabase()
    const first = await epochAt(original.url)
    const name = new URL(original.url).pathname.slice(1)
    await administer(`create database ${name}_copy template ${name}`)
    const second = await epochAt(`${original.url}_copy`)
    expect(second).not.toBe(first)
    expect(await epochAt(original.url)).toBe(first)
    await administer(`drop database ${name}_copy`)
    await original.drop()
  })
})

function stream(url: string) {
  let text = ''
  let told: () => void = () => undefined
  const request = ask(url, (response) =>
    response.on('data', (chunk) => {
      text += String(chunk)
      told()
    }),
  )
  return {
    said: () => text,
    stop: () => request.destroy(),
    async until(words: string) {
      while (!text.includes(words)) await new Promise<void>((resolve) => (told = resolve))
    },
  }
}
