import { get as ask } from 'node:http'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { watchChanges } from './changes.ts'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

/** Everything that a page hears from now on. */
async function hear() {
  let text = ''
  const request = ask(`${server.url}/api/changes`, { headers: { 'Accept-Encoding': 'gzip' } })
  const headers = await new Promise<Record<string, unknown>>((resolve, reject) => {
    request.once('error', reject)
    request.once('response', (response) => {
      response.on('data', (chunk) => (text += String(chunk)))
      resolve(response.headers)
    })
  })
  const until = async (words: string): Promise<void> => {
    const began = Date.now()
    while (!text.includes(words)) {
      if (Date.now() - began > 20_000) throw new Error(`${words} was not heard, only: ${text}`)
      await new Promise((resolve) => setTimeout(resolve, 20))
    }
  }
  await until('retry:')
  return { headers, until, said: () => text, stop: () => request.destroy() }
}

const job = async () =>
  (await server.call('GET', '/api/jobs/press-frame')).body as {
    version: number
    record: Record<string, unknown>
  }

it('a page hears of every write at once, with the version to ask for', async () => {
  const page = await hear()
  expect(page.headers['content-type']).toContain('text/event-stream')
  // Packed, it would come in lumps.
  expect(page.headers['content-encoding']).toBeUndefined()
  // The listening may begin a moment after the answer.
  await new Promise((resolve) => setTimeout(resolve, 500))
  const { version, record } = await job()
  await server.call(
    'PUT',
    '/api/jobs/press-frame',
    { ...record, note: 'heard' },
    { 'If-Match': `"${version}"` },
  )
  await page.until(`data: {"path":"jobs","id":"press-frame","version":${version + 1}}`)
  await server.call('POST', '/api/jobs', { ...record, id: 'passing', name: 'Passing' })
  await page.until('"id":"passing","version":1}')
  await server.call('DELETE', '/api/jobs/passing', undefined, { 'If-Match': '"1"' })
  await page.until('"id":"passing","version":0}')
  page.stop()
})

it('of very many at once only the kind is told', async () => {
  const page = await hear()
  await new Promise((resolve) => setTimeout(resolve, 500))
  await server.database.query(`insert into record (kind, id, body, schema_version)
    select 'gas', 'g' || n, jsonb_build_object('id', 'g' || n, 'name', 'Gas ' || n), 1 from generate_series(1, 150) n`)
  await page.until('data: {"path":"gases"}')
  expect(page.said()).not.toContain('"id":"g1"')
  await server.database.query(`delete from record where kind = 'gas' and id ~ '^g[0-9]+$'`)
  page.stop()
})

it('a write that is taken back tells nothing', async () => {
  const page = await hear()
  await new Promise((resolve) => setTimeout(resolve, 500))
  const { version, record } = await job()
  const refused = await server.call('PUT', '/api/jobs/press-frame', record, {
    'If-Match': `"${version + 7}"`,
  })
  expect(refused.status).toBe(412)
  await server.call(
    'PUT',
    '/api/jobs/press-frame',
    { ...record, note: 'last' },
    { 'If-Match': `"${version}"` },
  )
  await page.until(`"version":${version + 1}}`)
  // Of this job alone: what another test wrote may still be on its way.
  expect(page.said().match(/"path":"jobs","id":"press-frame"/g)).toHaveLength(1)
  page.stop()
})

it('a connection that is lost is made anew, and whoever listens is told to look again', async () => {
  const listening = `select pid from pg_stat_activity
    where datname = current_database() and query = 'listen brannik_change'`
  const listeners = async (): Promise<number> => (await server.database.query(listening)).rowCount ?? 0
  const before = await listeners()
  const losses: unknown[] = []
  const changes = watchChanges(server.databaseUrl, (error) => losses.push(error))
  const heard: unknown[] = []
  const stop = changes.listen((told) => heard.push(told))
  const until = async (holds: () => boolean | Promise<boolean>): Promise<void> => {
    const began = Date.now()
    while (!(await holds())) {
      if (Date.now() - began > 20_000) throw new Error('it did not come about')
      await new Promise((resolve) => setTimeout(resolve, 50))
    }
  }
  await until(async () => (await listeners()) > before)
  await server.database.query(`select pg_terminate_backend(pid) from (${listening}) as listeners`)
  await until(() => heard.includes('lost'))
  expect(losses.length).toBeGreaterThan(0)
  stop()
  await changes.close()
})
