/** For tests: a server on a database of its own, in the cluster that `npm test` started. */
import type { Server } from 'node:http'
import { randomBytes } from 'node:crypto'
import pg from 'pg'
import { pino } from 'pino'
import { createApp } from './app.ts'
import { type Database, openDatabase } from './database.ts'
import { migrate } from './migrate.ts'
import { seed } from './seed.ts'

const CLUSTER = process.env['TEST_DATABASE_URL']

async function administer(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: CLUSTER })
  await client.connect()
  await client.query(sql)
  await client.end()
}

export interface TestServer {
  readonly url: string
  readonly database: Database
  call(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer>
  close(): Promise<void>
}

export interface Answer {
  readonly status: number
  readonly headers: Headers
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests look into answers freely
  readonly body: any
}

/** An empty database that the test drops when it is done. */
export async function emptyDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  if (!CLUSTER)
    throw new Error('TEST_DATABASE_URL is not set: run the tests through npm test, or see CONTRIBUTING.md')
  const name = `test_${randomBytes(6).toString('hex')}`
  await administer(`create database ${name}`)
  const url = new URL(CLUSTER)
  url.pathname = `/${name}`
  return { url: url.href, drop: () => administer(`drop database ${name} with (force)`) }
}

export async function startTestServer(): Promise<TestServer> {
  const { url: databaseUrl, drop } = await emptyDatabase()
  const database = openDatabase(databaseUrl)
  await migrate(database)
  await seed(database)
  const app = createApp({ database, logger: pino({ level: 'silent' }), host: '127.0.0.1' })
  const server = await new Promise<Server>((resolve) => {
    const listening: Server = app.listen(0, '127.0.0.1', () => {
      resolve(listening)
    })
  })
  const address = server.address()
  if (typeof address !== 'object' || !address) throw new Error('no port')
  const url = `http://127.0.0.1:${address.port}`
  return {
    url,
    database,
    async call(method, path, body, headers = {}) {
      const sent = body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }
      const response = await fetch(`${url}${path}`, {
        method,
        headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
        ...sent,
      })
      const text = await response.text()
      return {
        status: response.status,
        headers: response.headers,
        body: text === '' ? null : JSON.parse(text),
      }
    },
    async close() {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await database.end()
      await drop()
    },
  }
}
