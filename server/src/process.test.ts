/** The server as a process: how it starts, what it says when it cannot, and how it stops. */
import { once } from 'node:events'
import { mkdtemp, rm } from 'node:fs/promises'
import { type IncomingMessage, request } from 'node:http'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { openDatabase } from './database.ts'
import { migrate } from './migrate.ts'
import { emptyDatabase, startProcess } from './testing.ts'

let databaseUrl: string
let drop: () => Promise<void>
beforeEach(async () => {
  const made = await emptyDatabase()
  databaseUrl = made.url
  drop = made.drop
})
afterEach(async () => {
  await drop()
})

const whyNot = (environment: Record<string, string>, url = databaseUrl): Promise<string> =>
  startProcess(url, environment).then(
    ({ child }) => {
      child.kill('SIGKILL')
      return 'it started'
    },
    (error: unknown) => (error instanceof Error ? error.message : String(error)),
  )
/** Whether anybody still takes a new connection there. */
const isOpen = (url: string): Promise<boolean> =>
  new Promise((resolve) => {
    const { hostname, port } = new URL(url)
    const socket = connect(Number(port), hostname)
    socket.once('connect', () => {
      socket.destroy()
      resolve(true)
    })
    socket.once('error', () => {
      resolve(false)
    })
  })
const changed = (change: (url: URL) => void): string => {
  const url = new URL(databaseUrl)
  change(url)
  return url.href
}

describe('a start that cannot be', () => {
  it.each([
    ['to the network without an owner', { HOST: '0.0.0.0' }, 'npm run user -- add'],
    ['through a proxy without an owner', { TRUST_PROXY: '1' }, 'npm run user -- add'],
    ['on an address of another machine', { HOST: '192.0.2.1', SIGN_IN: 'auto' }, 'npm run user -- add'],
    ['with a port that is none', { PORT: 'x' }, 'PORT must be a port number'],
    ['with a setting that is none', { SIGN_IN: 'never' }, 'SIGN_IN must be auto or always'],
  ])('%s: says why and what to do, without a stack of calls', async (_what, environment, remedy) => {
    const said = await whyNot(environment)
    expect(said).toContain(remedy)
    expect(said).toContain('ended with 1')
    expect(said).not.toMatch(/\n\s+at /)
  })

  it.each([
    [
      'an unknown host',
      (url: URL) => void (url.hostname = 'no-such-host.invalid'),
      'host of DATABASE_URL is not known',
    ],
    [
      'a database that is not there',
      (url: URL) => void (url.pathname = '/no_such_database'),
      'no such database',
    ],
    ['nobody at that port', (url: URL) => void (url.port = '1'), 'does not answer'],
    ['a user that is none', (url: URL) => void (url.username = 'no_such_user'), 'DATABASE_URL'],
  ])('%s', async (_what, change, remedy) => {
    const said = await whyNot({}, changed(change))
    expect(said).toContain(remedy)
    expect(said).not.toMatch(/\n\s+at /)
  })

  it('no migration without a backup before it', async () => {
    const database = openDatabase(databaseUrl)
    await migrate(database, 3)
    await database.query(
      `insert into record (kind, id, body) values ('gas', 'x', '{"id": "x", "name": "Argon of old"}')`,
    )
    await database.end()
    expect(await whyNot({})).toContain('Set BACKUP_FOLDER')
    const folder = await mkdtemp(join(tmpdir(), 'brannik-migration-'))
    const { child, said, ended } = await startProcess(databaseUrl, { BACKUP_FOLDER: folder })
    expect(said()).toMatch(
      /backed up before it is brought to this version: brannik-\S+-before-migration\.dump/,
    )
    child.kill('SIGTERM')
    expect(await ended).toBe(0)
    await rm(folder, { recursive: true })
  })
})

describe('a stop', () => {
  it.each(['SIGTERM', 'SIGINT', 'SIGHUP'] as const)(
    'by %s answers what is on its way, and ends with 0',
    async (signal) => {
      const { url, child, ended } = await startProcess(databaseUrl)
      const { record } = (await (await fetch(`${url}/api/jobs/press-frame`)).json()) as { record: object }
      // A body that comes slowly: the request is in the server's hands when the signal comes.
      const text = JSON.stringify({ ...record, id: 'last-one', name: 'Last one' })
      const asking = request(`${url}/api/jobs`, {
        method: 'POST',
        headers: {
          'Content-Type': 'application/json',
          'Content-Length': Buffer.byteLength(text),
          Expect: '100-continue',
        },
      })
      asking.flushHeaders()
      await once(asking, 'continue')
      asking.write(text.slice(0, 100))
      child.kill(signal)
      while (await isOpen(url)) await new Promise(setImmediate)
      asking.end(text.slice(100))
      const [response] = (await once(asking, 'response')) as [IncomingMessage]
      response.resume()
      expect(response.statusCode).toBe(201)
      expect(await ended).toBe(0)
    },
  )

  it('comes by itself when the program that started it is gone, however it went', async () => {
    const { child, ended } = await startProcess(databaseUrl, { STOP_WITH_PARENT: '1' })
    child.stdin?.end()
    expect(await ended).toBe(0)
  })

  it('a crash is no stop: the exit says so', async () => {
    const { child, ended } = await startProcess(databaseUrl)
    child.kill('SIGKILL')
    expect(await ended).toBe('SIGKILL')
  })
})
