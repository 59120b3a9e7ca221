import { get as ask } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { LISTENER, type ChangeEvent, watchChanges } from './changes.ts'
import { forgetOldChanges } from './stores/changeLog.ts'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

interface Heard {
  readonly headers: Record<string, unknown>
  readonly until: (words: string) => Promise<void>
  readonly said: () => string
  readonly stop: () => void
}

/**
 * Everything that a page hears from now on; it is connected to the database when this returns.
 * @param since the position up to where it has heard
 */
async function hear(since?: string, headers: Record<string, string> = {}): Promise<Heard> {
  let text = ''
  let told: () => void = () => undefined
  const query = since === undefined ? '' : `?since=${since}`
  const request = ask(`${server.url}/api/changes${query}`, {
    headers: { 'Accept-Encoding': 'gzip', ...headers },
  })
  const answered = await new Promise<Record<string, unknown>>((resolve, reject) => {
    request.once('error', reject)
    request.once('response', (response) => {
      response.on('data', (chunk) => {
        text += String(chunk)
        told()
      })
      resolve(response.headers)
    })
  })
  const until = async (words: string): Promise<void> => {
    while (!text.includes(words)) await new Promise<void>((resolve) => (told = resolve))
  }
  await until('event: position')
  return { headers: answered, until, said: () => text, stop: () => request.destroy() }
}

const position = async (): Promise<string> =>
  ((await server.call('GET', '/api/changes/position')).body as { position: string }).position

const job = async () =>
  (await server.call('GET', '/api/jobs/press-frame')).body as {
    version: number
    record: Record<string, unknown>
  }
/** @returns the version that it has then */
async function write(note: string): Promise<number> {
  const { version, record } = await job()
  const { status } = await server.call(
    'PUT',
    '/api/jobs/press-frame',
    { ...record, note },
    { 'If-Match': server.etag(version) },
  )
  expect(status).toBe(200)
  return version + 1
}
const framed = (version: number): string => `data: {"path":"jobs","id":"press-frame","version":${version}}`

it('a page hears of every write at once, with the version to ask for', async () => {
  const page = await hear()
  expect(page.headers['content-type']).toContain('text/event-stream')
  // Packed, it would come in lumps.
  expect(page.headers['content-encoding']).toBeUndefined()
  const { record } = await job()
  await page.until(framed(await write('heard')))
  await server.call('POST', '/api/jobs', { ...record, id: 'passing', name: 'Passing' })
  await page.until('"id":"passing","version":1}')
  await server.call('DELETE', '/api/jobs/passing', undefined, { 'If-Match': server.etag(1) })
  await page.until('"id":"passing","version":0}')
  page.stop()
})

it('a page hears that something happened, and from where on to ask', async () => {
  const page = await hear()
  const told = { type: 'stock-movement', subject: 'wire.er70s6-035', body: { change: -1 } }
  const { body } = await server.call('POST', '/api/events', told)
  await page.until(`event: happened\ndata: {"from":${(body as { seq: number }).seq}}`)
  page.stop()
})

it('of very many at once only the kind is told', async () => {
  const page = await hear()
  await server.database.query(`insert into record (kind, id, body, schema_version)
    select 'gas', 'g' || n, jsonb_build_object('id', 'g' || n, 'name', 'Gas ' || n), 1 from generate_series(1, 150) n`)
  await page.until('data: {"path":"gases"}')
  expect(page.said()).not.toContain('"id":"g1"')
  await server.database.query(`delete from record where kind = 'gas' and id ~ '^g[0-9]+$'`)
  page.stop()
})

it('a write that is taken back tells nothing', async () => {
  const page = await hear()
  const { version, record } = await job()
  const refused = await server.call('PUT', '/api/jobs/press-frame', record, {
    'If-Match': server.etag(version + 7),
  })
  expect(refused.status).toBe(412)
  await page.until(framed(await write('last')))
  // Of this job alone: what another test wrote may still be on its way.
  expect(page.said().match(/"path":"jobs","id":"press-frame"/g)).toHaveLength(1)
  page.stop()
})

describe('a page that was away', () => {
  it('is told what it missed since its position, and nothing from before', async () => {
    // Of a transaction that ended long ago: of a later one it may be told twice.
    await server.database.query(
      `insert into change_log (tx, kind, id, version) values ('3', 'wire', 'long-known', 1)`,
    )
    const since = await position()
    const missed = await write('missed')
    const page = await hear(since)
    expect(page.said()).toContain(framed(missed))
    expect(page.said()).not.toContain('long-known')
    expect(page.said()).not.toContain('event: lost')
    // And then goes on.
    await page.until(framed(await write('after')))
    page.stop()
  })

  it('goes on from the position that it heard last where its connection was cut', async () => {
    const first = await hear(await position())
    const [, id = ''] = /^id: (\S+)$/m.exec(first.said()) ?? []
    first.stop()
    const missed = await write('while it was cut')
    // A browser sends both: the address is that of the first time.
    const again = await hear('nothing of ours', { 'Last-Event-ID': id })
    expect(again.said()).toContain(framed(missed))
    expect(again.said()).not.toContain('event: lost')
    again.stop()
  })

  it('misses no transaction that began before its position and ended after it', async () => {
    const slow = await server.database.connect()
    await slow.query('begin')
    await slow.query(`update record set body = jsonb_set(body, '{note}', '"slow"'), version = version + 1
      where kind = 'job' and id = 'loader-fork'`)
    // Quicker ones come and go meanwhile.
    await write('quick')
    const since = await position()
    await slow.query('commit')
    slow.release()
    const page = await hear(since)
    expect(page.said()).toContain('"id":"loader-fork"')
    page.stop()
  })

  it('hears of the kind alone where it missed very many', async () => {
    const since = await position()
    // Who listens already hears of each: once the last has come, none is on its way to those who come later.
    const there = await hear(await position())
    await server.database.query(
      `insert into change_log (kind, id, version) select 'wire', 'w' || n, 1 from generate_series(1, 501) n`,
    )
    await there.until('"id":"w501"')
    there.stop()
    const page = await hear(since)
    expect(page.said()).toContain('data: {"path":"wires"}')
    expect(page.said()).not.toContain('"id":"w1"')
    page.stop()
  })

  it.each([
    ['that it does not know', () => undefined],
    ['of another database', (now: string) => now.replace(/\.\d+\./, '.1.')],
    [
      'older than what is kept',
      (now: string) => now.replace(/\d+$/, (second) => `${Number(second) - 90_000}`),
    ],
    ['that is none', () => 'yesterday'],
  ])('looks at everything where it gives a position %s', async (_what, change) => {
    const page = await hear(change(await position()))
    expect(page.said()).toContain('event: lost')
    page.stop()
  })
})

it('changes are forgotten after a day', async () => {
  await server.database.query(
    `insert into change_log (kind, id, version, at)
       values ('wire', 'old', 1, now() - interval '25 hours'), ('wire', 'young', 1, now() - interval '23 hours')`,
  )
  await forgetOldChanges(server.database)
  const left = `select id from change_log where id in ('old', 'young')`
  expect((await server.database.query(left)).rows).toEqual([{ id: 'young' }])
})

it('a connection that is lost is made anew, and whoever listens is told what was missed', async () => {
  // A position is no younger than the oldest transaction of the whole cluster, so that while another database is being
  // made all of what the tests before wrote is told again: of so many the kind alone.
  await server.database.query('delete from change_log')
  const losses: unknown[] = []
  const changes = watchChanges(server.databaseUrl, (error) => losses.push(error))
  const heard: ChangeEvent[] = []
  let told: () => void = () => undefined
  const stop = changes.listen(
    (one) => {
      heard.push(one)
      told()
    },
    await position(),
  )
  const until = async (holds: (one: ChangeEvent) => boolean): Promise<void> => {
    while (!heard.some(holds)) await new Promise<void>((resolve) => (told = resolve))
  }
  const isPosition = (one: ChangeEvent): boolean => typeof one === 'object' && 'position' in one
  await until(isPosition)
  heard.length = 0
  // In one statement: nothing is written before the connection is gone, and it is gone before it could be told.
  await server.database.query(
    `with gone as (
       select pg_terminate_backend(pid) as is_gone from pg_stat_activity
       where datname = current_database() and application_name = $1)
     update record set body = jsonb_set(body, '{note}', '"unheard"'), version = version + 1
       where kind = 'job' and id = 'loader-fork' and (select bool_and(is_gone) from gone)`,
    [LISTENER],
  )
  await until((one) => typeof one === 'object' && 'id' in one && one.id === 'loader-fork')
  await until(isPosition)
  expect(heard).not.toContain('lost')
  expect(losses.length).toBeGreaterThan(0)
  stop()
  await changes.close()
})
