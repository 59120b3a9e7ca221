import { readFile } from 'node:fs/promises'
import { request as plainRequest } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { fitAnswerSchema } from './fitAnswer.ts'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const PROBLEM = 'application/problem+json; charset=utf-8'
const frame = async () => (await server.call('GET', '/api/jobs/press-frame')).body.record
const countJobs = async () => (await server.call('GET', '/api/jobs')).body.items.length

describe('health and description', () => {
  it('says that the database answers', async () => {
    const { status, body } = await server.call('GET', '/api/health')
    expect(status).toBe(200)
    expect(body).toEqual({ server: 'answers', database: 'answers', disk: 'has room', ready: true })
  })

  it('describes every route that it serves, in OpenAPI 3.1', async () => {
    const { body } = await server.call('GET', '/api/openapi.json')
    expect(body.openapi).toBe('3.1.0')
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(['/api/fit', '/api/shop', '/api/jobs/{id}', '/api/set-ups/{id}']),
    )
    const names = Object.keys(body.components.schemas)
    const used = [...JSON.stringify(body).matchAll(/#\/components\/schemas\/(\w+)/g)].map((match) => match[1])
    expect(names).toEqual(expect.arrayContaining(used))
    for (const path of Object.keys(body.paths).filter((one) => !one.includes('{'))) {
      const get = body.paths[path].get
      if (get) expect((await server.call('GET', path)).status, path).toBe(200)
    }
  })

  it('sends sensible headers', async () => {
    const { headers } = await server.call('GET', '/api/health')
    expect(headers.get('content-security-policy')).toContain("default-src 'self'")
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('x-powered-by')).toBeNull()
    expect(headers.get('cache-control')).toBe('no-store')
  })
})

describe('records', () => {
  it('are made, read, replaced by version, and deleted', async () => {
    const job = { ...(await frame()), id: 'gate-hinge', name: 'Gate hinge' }
    const made = await server.call('POST', '/api/jobs', job)
    expect(made.status).toBe(201)
    expect(made.headers.get('etag')).toBe(server.etag(1))
    expect(made.headers.get('location')).toBe('/api/jobs/gate-hinge')
    const replaced = await server.call(
      'PUT',
      '/api/jobs/gate-hinge',
      { ...job, quantity: 2 },
      { 'If-Match': server.etag(1) },
    )
    expect(replaced.body.version).toBe(2)
    const read = await server.call('GET', '/api/jobs/gate-hinge')
    expect(read.body.record).toEqual({ ...job, quantity: 2 })
    expect(
      (await server.call('DELETE', '/api/jobs/gate-hinge', undefined, { 'If-Match': server.etag(2) })).status,
    ).toBe(204)
    expect((await server.call('GET', '/api/jobs/gate-hinge')).status).toBe(404)
  })

  it('a stale version is refused with the current one, and the stored record stays', async () => {
    const job = { ...(await frame()), id: 'stale', name: 'Stale' }
    await server.call('POST', '/api/jobs', job)
    await server.call('PUT', '/api/jobs/stale', { ...job, quantity: 7 }, { 'If-Match': server.etag(1) })
    const late = await server.call(
      'PUT',
      '/api/jobs/stale',
      { ...job, quantity: 9 },
      { 'If-Match': server.etag(1) },
    )
    expect(late.status).toBe(412)
    expect(late.headers.get('content-type')).toBe(PROBLEM)
    expect(late.body).toMatchObject({ currentVersion: 2, title: 'Changed meanwhile' })
    expect((await server.call('GET', '/api/jobs/stale')).body.record.quantity).toBe(7)
    expect(
      (await server.call('DELETE', '/api/jobs/stale', undefined, { 'If-Match': server.etag(1) })).status,
    ).toBe(412)
  })

  it('of two writes at once from one version, one wins and one is told', async () => {
    const job = { ...(await frame()), id: 'race', name: 'Race' }
    await server.call('POST', '/api/jobs', job)
    const put = (quantity: number) =>
      server.call('PUT', '/api/jobs/race', { ...job, quantity }, { 'If-Match': server.etag(1) })
    const statuses = (await Promise.all([put(2), put(3), put(4)])).map(({ status }) => status)
    expect(statuses.sort()).toEqual([200, 412, 412])
  })

  it('a write without a version, or with an odd one, is told what to send', async () => {
    const job = await frame()
    expect((await server.call('PUT', '/api/jobs/press-frame', job)).status).toBe(428)
    const odd = await server.call('PUT', '/api/jobs/press-frame', job, { 'If-Match': 'three' })
    expect(odd.status).toBe(400)
    expect(odd.body.detail).toContain('"0f3a9c51d2e8.3"')
  })

  it('an id that is taken, or differs from the address, is refused', async () => {
    const job = await frame()
    expect((await server.call('POST', '/api/jobs', job)).status).toBe(409)
    const other = await server.call('PUT', '/api/jobs/loader-fork', job, { 'If-Match': server.etag(1) })
    expect(other.status).toBe(422)
    expect(other.body.errors[0].pointer).toBe('/id')
  })

  it('an id that does not exist is named', async () => {
    const missing = await server.call('GET', '/api/jobs/no-such-job')
    expect(missing.status).toBe(404)
    expect(missing.body.detail).toContain('“no-such-job”')
    expect((await server.call('GET', '/api/nothing')).status).toBe(404)
  })

  it('names no record that is not there, and keeps those in use', async () => {
    const job = { ...(await frame()), id: 'lost', setUpId: 'nowhere' }
    const lost = await server.call('POST', '/api/jobs', job)
    expect(lost.status).toBe(422)
    expect(lost.body.errors[0]).toMatchObject({ pointer: '/setUpId' })
    expect((await server.call('GET', '/api/jobs/lost')).status).toBe(404)
    const used = await server.call('DELETE', '/api/circuits/north-wall', undefined, {
      'If-Match': server.etag(1),
    })
    expect(used.status).toBe(409)
    expect(used.body.detail).toContain('North wall wire')
  })

  it('the shop’s settings are one record with a version too', async () => {
    const { body } = await server.call('GET', '/api/shop')
    const changed = { ...body.record, unitSystem: 'metric' }
    const put = await server.call('PUT', '/api/shop', changed, { 'If-Match': server.etag(body.version) })
    expect(put.body.record.unitSystem).toBe('metric')
    expect(
      (await server.call('PUT', '/api/shop', body.record, { 'If-Match': server.etag(body.version) })).status,
    ).toBe(412)
  })
})

describe('bad input stores nothing, and says which field and what to do', () => {
  const SQL = "'; DROP TABLE record; --"

  it('SQL in every text field is text', async () => {
    const job = { ...(await frame()), id: 'sql', name: SQL, note: SQL }
    expect((await server.call('POST', '/api/jobs', job)).status).toBe(201)
    expect((await server.call('GET', '/api/jobs/sql')).body.record).toMatchObject({ name: SQL, note: SQL })
    for (const path of [`/api/jobs/${encodeURIComponent(SQL)}`, `/api/${encodeURIComponent(SQL)}`]) {
      expect((await server.call('GET', path)).status).toBe(404)
    }
    for (const change of [{ id: SQL }, { place: SQL }, { setUpId: SQL }]) {
      expect((await server.call('POST', '/api/jobs', { ...job, id: 'sql-2', ...change })).status).toBe(422)
    }
    expect((await server.call('GET', '/api/health')).body.database).toBe('answers')
  })

  it.each([
    ['an unknown field', { colour: 'red' }, '', '“colour”'],
    ['a word for a number', { quantity: 'four' }, '/quantity', 'is a string. Enter a number instead'],
    [
      'a thickness out of this world',
      { joints: [{ thicknessAMm: 1e9 }] },
      '/joints/0/thicknessAMm',
      'at most 300 mm',
    ],
    ['no joints', { joints: [] }, '/joints', 'at least one weld'],
    ['a U+0000 that PostgreSQL cannot hold', { name: 'a\u0000b' }, '/name', 'U+0000'],
    ['half a character', { note: '\ud800' }, '/note', 'half a character'],
  ])('%s', async (_, change, pointer, words) => {
    const before = await countJobs()
    const job = await frame()
    const joints =
      'joints' in change ? change.joints.map((part) => ({ ...job.joints[0], ...part })) : job.joints
    const answer = await server.call('POST', '/api/jobs', { ...job, id: 'bad', ...change, joints })
    expect(answer.status).toBe(422)
    expect(answer.headers.get('content-type')).toBe(PROBLEM)
    const error = answer.body.errors.find((one: { pointer: string }) => one.pointer === pointer)
    expect(error?.message).toContain(words)
    expect(await countJobs()).toBe(before)
  })

  it('a body of 9 MB is refused', async () => {
    const answer = await server.call('POST', '/api/jobs', { ...(await frame()), note: 'x'.repeat(9e6) })
    expect(answer.status).toBe(413)
    expect(answer.body.detail).toContain('8 MB')
  })

  it('what is not JSON is refused', async () => {
    expect((await server.call('POST', '/api/jobs', '{"id":')).status).toBe(400)
    expect((await server.call('POST', '/api/jobs', 'id=1', { 'Content-Type': 'text/plain' })).status).toBe(
      415,
    )
    expect((await server.call('POST', '/api/jobs', '[]')).status).toBe(422)
    expect((await server.call('POST', '/api/jobs', 'null')).status).toBeGreaterThanOrEqual(400)
  })

  it('a page elsewhere cannot reach it by another name', async () => {
    const status = await new Promise((resolve, reject) => {
      const request = plainRequest(
        `${server.url}/api/health`,
        { headers: { Host: 'orchard.example' } },
        (response) => {
          response.resume()
          resolve(response.statusCode)
        },
      )
      request.on('error', reject)
      request.end()
    })
    expect(status).toBe(421)
  })
})

describe('POST /api/fit', () => {
  const question = async () => {
    const file = new URL('../../demo/fit-press-frame.json', import.meta.url)
    return JSON.parse(await readFile(file, 'utf8'))
  }

  it('answers a whole document and stores nothing', async () => {
    const before = await countJobs()
    const { status, body } = await server.call('POST', '/api/fit', await question())
    expect(status).toBe(200)
    expect(fitAnswerSchema.safeParse(body).error).toBeUndefined()
    expect(body.verdict).toBe('fails')
    expect(body.chains[0].first).toBe('source')
    expect(await countJobs()).toBe(before)
  })

  it('names a part that the document does not hold', async () => {
    const document = await question()
    const { status, body } = await server.call('POST', '/api/fit', { ...document, wires: [] })
    expect(status).toBe(422)
    expect(body.errors).toEqual([expect.objectContaining({ pointer: '/setUp/wireId' })])
  })

  it('names the field that is not right', async () => {
    const document = await question()
    const { body } = await server.call('POST', '/api/fit', {
      ...document,
      job: { ...document.job, quantity: -1 },
    })
    expect(body.errors[0]).toMatchObject({ pointer: '/job/quantity', message: 'must be at least 1' })
  })
})
