/** Requests that are wrong, huge or meant badly: always an answer that says so, never a 5xx, and nobody waits for them. */
import { readFile } from 'node:fs/promises'
import { connect } from 'node:net'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import { fitJob, inputOf } from '@brannik/core'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { answerTo } from './documents/documents.ts'
import { LIMITS } from './limits.ts'
import { startTestServer, type TestServer } from './testing.ts'
import { runs } from '../../core/src/testing/runs.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
  // The worker threads are warm, as they are soon after a start.
  await server.call('POST', '/api/fit', {})
})
afterAll(async () => {
  await server.close()
})

const question = async () =>
  JSON.parse(await readFile(new URL('../../demo/fit-press-frame.json', import.meta.url), 'utf8'))
const frame = async () => (await server.call('GET', '/api/jobs/press-frame')).body.record
const gzipped = (text: string) => gzipSync(text)

/** Raw bytes in, the status line out. */
const raw = (text: string): Promise<string> =>
  new Promise((resolve, reject) => {
    const socket = connect(Number(new URL(server.url).port), '127.0.0.1')
    let answer = ''
    socket.on('data', (chunk) => (answer += String(chunk)))
    socket.on('close', () => {
      resolve(answer.split('\r\n')[0] ?? '')
    })
    socket.on('error', reject)
    socket.write(text)
    socket.end()
  })

describe('the client’s faults are called so', () => {
  it.each([
    ['a body that does not unpack', { 'Content-Encoding': 'gzip' }, 'no gzip', 400],
    ['a packing that is not known', { 'Content-Encoding': 'lzma' }, '{}', 415],
    ['no UTF-8', {}, Buffer.from([0x7b, 0xff, 0xfe, 0x7d]), 400],
    ['UTF-16', {}, Buffer.from('\ufeff{}', 'utf16le'), 400],
    ['a number beyond all numbers', {}, '{"id":"x","quantity":1e999}', 422],
    ['deeper than deep', {}, '['.repeat(20_000) + ']'.repeat(20_000), 422],
    ['a U+0000', {}, '{"id":"x\\u0000"}', 422],
    ['half a character', {}, '{"name":"\\ud800"}', 422],
    ['half a character in a field’s name', {}, '{"\\udfff":1}', 422],
    ['nothing', {}, ' ', 400],
    ['text that is no object', {}, '"x"', 422],
  ])('%s', async (_what, headers, body, status) => {
    for (const path of ['/api/jobs', '/api/fit', '/api/catalogue', '/api/accounts'])
      expect([path, (await server.call('POST', path, body, headers)).status]).toEqual([path, status])
  })

  it('a file that is not there, a range that is none, a broken address', async () => {
    expect((await server.call('GET', '/assets/nothing.js')).status).toBe(404)
    expect((await server.call('GET', '/api/jobs/%ff')).status).toBe(400)
    expect((await server.call('GET', `/api/jobs/${'x'.repeat(3000)}`)).status).toBe(404)
    expect((await server.call('GET', '/api/jobs/%00')).status).toBeLessThan(500)
    expect((await server.call('GET', '/api/jobs?limit=1&limit=2')).status).toBe(422)
    expect((await server.call('GET', '/api/jobs?limt=1')).status).toBe(422)
    const range = await server.call('GET', '/icon.svg', undefined, { Range: 'bytes=9999999-' })
    expect([200, 404, 416]).toContain(range.status)
  })

  it('a version that no integer holds', async () => {
    const job = await frame()
    for (const version of ['"9999999999"', '"99999999999999999999"', '"-1"', '""', '"1', '*']) {
      const { status } = await server.call('PUT', '/api/jobs/press-frame', job, { 'If-Match': version })
      expect([version, status]).toEqual([version, 400])
    }
  })

  it('bytes that are no HTTP, and headers without end', async () => {
    expect(await raw('NONSENSE\r\n\r\n')).toContain('400')
    expect(
      await raw(`GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Big: ${'x'.repeat(LIMITS.headerBytes)}\r\n\r\n`),
    ).toContain('431')
  })
})

describe('what is small on the wire and huge when unpacked', () => {
  const long = `[${Array(4_000_000).fill(0).join(',')}]`
  it('is one problem, not a million', async () => {
    const job = await frame()
    const text = JSON.stringify(job).replace(/"joints":\[.*\]/, `"joints":${long}`)
    for (const body of [gzipSync(text), brotliCompressSync(text)]) {
      const packing = body[0] === 0x1f ? 'gzip' : 'br'
      const answer = await server.call('POST', '/api/jobs', body, { 'Content-Encoding': packing })
      expect(answer.status).toBe(422)
      expect(answer.body.errors).toHaveLength(1)
    }
  })

  it('beyond the limit is refused', async () => {
    const bomb = gzipped(`"${'x'.repeat(9_000_000)}"`)
    expect(bomb.length).toBeLessThan(20_000)
    expect((await server.call('POST', '/api/jobs', bomb, { 'Content-Encoding': 'gzip' })).status).toBe(413)
  })
})

describe('the largest that is right', () => {
  it('five thousand welds are stored, read and fitted', async () => {
    const job = await frame()
    const joints = Array.from({ length: 5000 }, (_, index) => ({ ...job.joints[0], id: `w-${index}` }))
    const document = await question()
    expect(
      (await server.call('POST', '/api/jobs', { ...job, id: 'large', name: 'Large', joints })).status,
    ).toBe(201)
    expect((await server.call('GET', '/api/jobs/large')).body.record.joints).toHaveLength(5000)
    const fit = await fetch(`${server.url}/api/fit`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ ...document, job: { ...document.job, joints } }),
    })
    expect(fit.status).toBe(200)
    await fit.body?.cancel()
  })

  it('a page of heavy records is cut by weight, and each still comes', async () => {
    const job = await frame()
    const joints = Array.from({ length: 1500 }, (_, index) => ({ ...job.joints[0], id: `w-${index}` }))
    for (let index = 0; index < 4; index += 1) {
      const heavy = { ...job, id: `heavy-${index}`, name: `Heavy ${index}`, joints }
      expect((await server.call('POST', '/api/jobs', heavy)).status).toBe(201)
    }
    const ids: string[] = []
    let pages = 0
    let after = ''
    do {
      const { body } = await server.call('GET', `/api/jobs?limit=500${after}`)
      ids.push(...body.items.map(({ record }: { record: { id: string } }) => record.id))
      after = body.next === null ? '' : `&after=${body.next}`
      pages += 1
    } while (after !== '')
    expect(ids.filter((id) => id.startsWith('heavy-'))).toHaveLength(4)
    expect(new Set(ids).size).toBe(ids.length)
    expect(pages).toBeGreaterThan(1)
  })

  it('one weld that lays out arcs without end is worked out like any other', async () => {
    const document = await question()
    const [joint] = document.job.joints
    const edge = { ...joint, kind: 'edge', legMm: null, lengthMm: 2, count: 100_000, reinforcementMm: 0.1 }
    const job = {
      ...document.job,
      pauseS: 0,
      quantity: 100_000,
      joints: [{ ...edge, tackS: 0, repositionS: 0 }],
    }
    // Within the limits of one computation, or it would be refused.
    expect((await server.call('POST', '/api/fit', { ...document, job })).status).toBe(200)
  })
})

it('a question that takes too long is stopped, and the next one is answered', async () => {
  const hurried = await startTestServer({ workMs: 1 })
  const { status, body } = await hurried.call('POST', '/api/fit', {})
  expect(status).toBe(422)
  expect(body.title).toBe('Takes too long')
  expect((await hurried.call('GET', '/api/jobs')).status).toBe(200)
  await hurried.close()
})

/** Every number in an answer, by its path, that JSON could not hold. */
function lostNumbers(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inner]) => lostNumbers(inner, `${path}/${key}`))
}

it('whatever is sent to whichever route, the answer is below 500', async () => {
  const routes = server.routes.filter(({ path }) => !path.startsWith('/api/backups'))
  const bodies = fc.oneof(
    fc.json({ maxDepth: 4 }),
    fc.string({ maxLength: 60 }),
    fc.constantFrom('{}', '[]', 'null', '{"id":"x"}', '{"catalogue":{},"versions":{}}'),
  )
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...routes),
      fc.oneof(
        fc.constantFrom('press-frame', 'jobs', '1', '%00', 'a'.repeat(70)),
        fc.webSegment({ size: 'small' }),
      ),
      bodies,
      fc.constantFrom('"1"', '"x"', `W/${server.etag(2)}`, ''),
      async ({ method, path }, segment, body, version) => {
        const address = path.replace(/:(id|path|version|name)/g, segment === '' ? 'x' : segment)
        const sends = method === 'post' || method === 'put'
        const { status } = await server.call(method.toUpperCase(), address, sends ? body : undefined, {
          'If-Match': version,
        })
        expect(`${method} ${address} ${status < 500}`).toBe(`${method} ${address} true`)
      },
    ),
    { numRuns: runs(200) },
  )
})

it('valid questions of every size give numbers, and no null in their place', async () => {
  const document = await question()
  const [joint] = document.job.joints
  const edges = fc.record({
    thicknessAMm: fc.constantFrom(0.1, 3, 300),
    thicknessBMm: fc.constantFrom(0.1, 3, 300),
    lengthMm: fc.constantFrom(2, 500, 1_000_000),
    count: fc.constantFrom(1, 100_000),
    legMm: fc.constantFrom(0.5, 5, 100),
  })
  fc.assert(
    fc.property(
      edges,
      fc.constantFrom(1, 100_000),
      fc.constantFrom(null, 0, 3600),
      fc.constantFrom(null, 0.05, 10_000),
      (edge, quantity, pauseS, hoursSetAside) => {
        const job = { ...document.job, quantity, pauseS, hoursSetAside, joints: [{ ...joint, ...edge }] }
        const read = inputOf({ ...document, job })
        if (!read.ok) throw new Error('not valid')
        expect(lostNumbers(fitJob(read.input, { chainsOf: 'all' }))).toEqual([])
        expect(
          answerTo({ what: 'fit', explained: [] }, Buffer.from(JSON.stringify({ ...document, job }))).ok,
        ).toBe(true)
      },
    ),
    { numRuns: runs(80) },
  )
})
