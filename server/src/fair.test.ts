/** Who asks much, sends slowly or waits long takes nothing from the others. */
import { readFile } from 'node:fs/promises'
import { createConnection } from 'node:net'
import express from 'express'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { LIMITS } from './limits.ts'
import { createHttpServer, listen } from './listen.ts'
import { startTestServer, type TestServer } from './testing.ts'
import { createWorkPool } from './work/pool.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

/** The question of the demo, with so many welds in its job. */
async function question(welds: number) {
  const demo = JSON.parse(await readFile(new URL('../../demo/fit-press-frame.json', import.meta.url), 'utf8'))
  const joints = Array.from({ length: welds }, (_, index) => ({ ...demo.job.joints[0], id: `w-${index}` }))
  return { ...demo, job: { ...demo.job, setUpId: null, joints } }
}

describe('big questions', () => {
  it('of one person do not keep another from saving, and too many at once are told so', async () => {
    const { secret } = (await server.call('POST', '/api/tokens', { name: 'A guest', role: 'guest' })).body
    const guest = { Authorization: `Bearer ${secret}` }
    const asked = await question(1500)
    const answers = Promise.all(
      Array.from({ length: 40 }, () =>
        server.call('POST', '/api/fit?explain=thickness,gas-use', asked, guest),
      ),
    )
    // Too large to be read where it arrives.
    const big = { ...asked.job, id: 'saved-meanwhile', name: 'Saved meanwhile' }
    expect(JSON.stringify(big).length).toBeGreaterThan(LIMITS.bodyReadHereBytes)
    const made = await server.call('POST', '/api/jobs', big)
    const statuses = [made.status]
    for (let version = 1; version < 10; version += 1) {
      const changed = { ...big, quantity: version }
      const headers = { 'If-Match': server.etag(version) }
      statuses.push((await server.call('PUT', '/api/jobs/saved-meanwhile', changed, headers)).status)
    }
    expect(statuses).toEqual([201, ...Array.from({ length: 9 }, () => 200)])
    const told = (await answers).map(({ status, body }) => (status === 200 ? 'answered' : body.title))
    expect(new Set(told)).toEqual(new Set(['answered', 'Too many at once']))
    expect(told.filter((one) => one === 'answered').length).toBeGreaterThanOrEqual(LIMITS.workOfOne)
  })

  it('of who asks once come before the fifth of who asks five', async () => {
    const pool = createWorkPool({ threads: { questions: 1, saves: 1 } })
    const bytes = new TextEncoder().encode(JSON.stringify(await question(1)))
    const order: string[] = []
    const ask = (who: string) =>
      pool.ask({ what: 'fit', explained: [] }, bytes, who).then(({ ok }) => order.push(`${who} ${ok}`))
    await Promise.all(['much', 'much', 'much', 'much', 'once'].map(ask))
    expect(order).toHaveLength(5)
    expect(order[0]).toBe('much true')
    expect(order.indexOf('once true')).toBe(1)
    await pool.close()
  })
})

it('saves that wait for a lock leave connections to who reads', async () => {
  const { record } = (await server.call('GET', '/api/jobs/press-frame')).body
  const holder = await server.database.writers.connect()
  await holder.query('begin')
  await holder.query(`select 1 from record where kind = 'job' and id = 'press-frame' for update`)
  let isSaved = false
  const saves = Promise.all(
    Array.from({ length: 30 }, () =>
      server.call('PUT', '/api/jobs/press-frame', record, { 'If-Match': server.etag(1) }),
    ),
  ).then((answers) => {
    isSaved = true
    return answers.map(({ status }) => status)
  })
  for (let read = 0; read < 20; read += 1) expect((await server.call('GET', '/api/jobs')).status).toBe(200)
  // None was let through meanwhile: it was the lock that they waited for.
  expect(isSaved).toBe(false)
  await holder.query('rollback')
  holder.release()
  const statuses = await saves
  expect(statuses.filter((status) => status === 200)).toHaveLength(1)
  expect(statuses.filter((status) => ![200, 412, 503].includes(status))).toEqual([])
})

describe('who sends a byte now and then', () => {
  const PATIENCE = { headersMs: 300, requestMs: 600, lookForSlowMs: 50 }
  it.each([
    ['of the headers', 'POST / HTTP/1.1\r\nHost: x\r\n', 'X-A: b\r\n'],
    ['of the body', 'POST / HTTP/1.1\r\nHost: x\r\nContent-Length: 100000\r\n\r\n', '{'],
  ])('%s is cut off', async (_what, begin, drop) => {
    let isWhole = false
    const app = express()
    app.use(express.raw({ type: () => true }))
    app.post('/', (_request, response) => {
      isWhole = true
      response.end()
    })
    const slow = createHttpServer(app, PATIENCE)
    const socket = createConnection(await listen(slow, 0, '127.0.0.1'), '127.0.0.1')
    let said = ''
    socket.on('data', (chunk) => (said += String(chunk)))
    socket.on('error', () => undefined)
    socket.write(begin)
    const drip = setInterval(() => socket.write(drop), 40)
    await new Promise((resolve) => socket.once('close', resolve))
    clearInterval(drip)
    expect(said).toMatch(/^HTTP\/1\.1 408 /)
    expect(isWhole).toBe(false)
    slow.close()
  })
})
