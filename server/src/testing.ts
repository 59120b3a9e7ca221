/**
 * For tests: a server on a database of its own, in the cluster that `npm test` started. In this process, or as two
 * processes behind a proxy that gives each request to the other one.
 */
import { type ChildProcess, spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { createServer, request as ask, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { type Logger, pino } from 'pino'
import type { ListedRoute } from './api.ts'
import { createApp } from './app.ts'
import { type Access, accessOf } from './config.ts'
import { type Database, openDatabase } from './database.ts'
import { createHttpServer, listen } from './listen.ts'
import { epochNow, etagOf } from './stores/epoch.ts'
import { urlOfServer } from './serverRole.ts'
import { type Room, UNKNOWN_ROOM } from './room.ts'
import { createWorkPool } from './work/pool.ts'

const CLUSTER = process.env['TEST_DATABASE_URL']
/** Holds the demo in this version's schema; see `prepareTests.ts`. */
export const DEMO_TEMPLATE = 'test_demo'
const ROOT = fileURLToPath(new URL('../../', import.meta.url))

export async function administer(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: CLUSTER })
  await client.connect()
  try {
    await client.query(sql)
  } finally {
    await client.end()
  }
}

interface Answer {
  readonly status: number
  readonly headers: Headers
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests look into answers freely
  readonly body: any
}

export type Call = (
  method: string,
  path: string,
  body?: unknown,
  headers?: Record<string, string>,
) => Promise<Answer>

export interface TestServer {
  readonly url: string
  /** As the owner of the tables. */
  readonly database: Database
  /** What the server itself reads by. */
  readonly reading: Database
  readonly databaseUrl: string
  /** Folder of its backups. */
  readonly folder: string
  readonly routes: readonly ListedRoute[]
  readonly call: Call
  /** Of the shop that it began with. */
  readonly epoch: string
  /** The ETag of a version in that shop. */
  readonly etag: (version: number) => string
  close(): Promise<void>
}

interface TestDatabase {
  readonly url: string
  readonly drop: () => Promise<void>
}

/** @param template what it is a copy of; an empty one where it is left out */
async function makeDatabase(template?: string): Promise<TestDatabase> {
  if (!CLUSTER)
    throw new Error('TEST_DATABASE_URL is not set: run the tests through npm test, or see CONTRIBUTING.md')
  const name = `test_${randomBytes(6).toString('hex')}`
  await administer(`create database ${name}${template === undefined ? '' : ` template ${template}`}`)
  const url = new URL(CLUSTER)
  url.pathname = `/${name}`
  return { url: url.href, drop: () => administer(`drop database if exists ${name} with (force)`) }
}

/** An empty database that the test drops when it is done. */
export const emptyDatabase = (): Promise<TestDatabase> => makeDatabase()
/** One that holds the demo. */
export const demoDatabase = (): Promise<TestDatabase> => makeDatabase(DEMO_TEMPLATE)

async function shopIn(databaseUrl: string): Promise<Pick<TestServer, 'epoch' | 'etag'>> {
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  try {
    const epoch = await epochNow(client)
    return { epoch, etag: (version) => etagOf(epoch, version) }
  } finally {
    await client.end()
  }
}

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text) as unknown
  } catch {
    return text
  }
}

export const caller =
  (url: string, always: Record<string, string> = {}): Call =>
  async (method, path, body, headers = {}) => {
    const sent =
      body === undefined
        ? {}
        : { body: typeof body === 'string' || body instanceof Uint8Array ? body : JSON.stringify(body) }
    const response = await fetch(`${url}${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...always,
        ...headers,
      },
      ...sent,
    } as RequestInit)
    // It never ends by itself.
    const isStream = response.headers.get('content-type')?.startsWith('text/event-stream') === true
    if (isStream) await response.body?.cancel()
    const text = isStream ? '' : await response.text()
    return { status: response.status, headers: response.headers, body: text === '' ? null : parsed(text) }
  }

interface Options {
  readonly access?: Access
  readonly logger?: Logger
  /** Work limit of a big question. */
  readonly workMs?: number
  readonly room?: Room
  /** Where an arc monitor is heard. */
  readonly arcMonitor?: string
  /** Where a supplier answers. */
  readonly supplier?: string
  /** By which way the server reaches its database, where not directly. */
  readonly reach?: (databaseUrl: string) => Promise<string>
}

export async function startTestServer({
  access = accessOf('127.0.0.1', { thisMachine: 'open', writesPerMinute: 1_000_000 }),
  logger = pino({ level: 'silent' }),
  workMs = 60_000,
  room = UNKNOWN_ROOM,
  arcMonitor,
  supplier,
  reach = (databaseUrl) => Promise.resolve(databaseUrl),
}: Options = {}): Promise<TestServer> {
  const { url: databaseUrl, drop } = await demoDatabase()
  const folder = await mkdtemp(join(tmpdir(), 'brannik-test-'))
  // It speaks as the server does; the tests look, and meddle, as the owner.
  const owner = openDatabase(databaseUrl)
  const reached = await reach(urlOfServer(databaseUrl)?.href ?? databaseUrl)
  const database = openDatabase(reached)
  const pool = createWorkPool({ workMs })
  const backups = { folder, secondFolder: null, everyHours: 0, keepDays: 30, migrateWithout: false }
  const app = createApp({
    database,
    databaseUrl: reached,
    ownerUrl: databaseUrl,
    logger,
    access,
    backups,
    pool,
    room,
    arcMonitor: arcMonitor ?? null,
    supplier: supplier ?? null,
  })
  const server = createHttpServer(app.express)
  const url = `http://127.0.0.1:${await listen(server, 0, '127.0.0.1')}`
  return {
    url,
    database: owner,
    reading: database,
    databaseUrl,
    folder,
    routes: app.routes,
    call: caller(url),
    ...(await shopIn(databaseUrl)),
    async close() {
      await app.close()
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
      await pool.close()
      await database.end()
      if (!owner.ended) await owner.end()
      await drop()
      await rm(folder, { recursive: true, force: true })
    },
  }
}

/** A server as a process of its own, as `npm start` runs it. */
export interface Process {
  readonly url: string
  readonly child: ChildProcess
  /** All that it has said so far. */
  readonly said: () => string
  /** Its exit code, or the name of the signal that ended it. */
  readonly ended: Promise<number | string>
}

export async function startProcess(
  databaseUrl: string,
  environment: Record<string, string> = {},
): Promise<Process> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: '0',
      LOG_LEVEL: 'silent',
      DEMO: '1',
      THIS_MACHINE: 'open',
      ...environment,
    },
    stdio: ['pipe', 'pipe', 'pipe'],
  })
  let told = ''
  const ended = new Promise<number | string>((resolve) => {
    child.once('exit', (code, signal) => {
      resolve(code ?? signal ?? 'unknown')
    })
  })
  const url = await new Promise<string>((resolve, reject) => {
    const hear = (chunk: unknown): void => {
      told += String(chunk)
      const found = /Brannik is at (https?:\S+)\//.exec(told)
      if (found?.[1]) resolve(found[1])
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    void ended.then((code) => {
      reject(new Error(`the server ended with ${code}: ${told}`))
    })
  })
  return { url, child, said: () => told, ended }
}

/** Gives each request to the next of the servers in turn. */
function roundRobin(urls: readonly string[]): Server {
  let turn = 0
  return createServer((incoming, outgoing) => {
    const target = new URL(urls[turn++ % urls.length] ?? '')
    const passed = ask(
      {
        host: target.hostname,
        port: target.port,
        method: incoming.method,
        path: incoming.url,
        headers: incoming.headers,
      },
      (answer) => {
        outgoing.writeHead(answer.statusCode ?? 502, answer.headers)
        answer.pipe(outgoing)
      },
    )
    passed.on('error', () => outgoing.destroy())
    incoming.pipe(passed)
  })
}

/** Two processes on one database, and a proxy in front. */
async function startTwoBehindProxy(): Promise<TestServer> {
  const { url: databaseUrl, drop } = await demoDatabase()
  const folder = await mkdtemp(join(tmpdir(), 'brannik-test-'))
  const settings = { WRITES_PER_MINUTE: '1000000', BACKUP_FOLDER: folder }
  const processes = await Promise.all([1, 2].map(() => startProcess(databaseUrl, settings)))
  const proxy = roundRobin(processes.map(({ url }) => url))
  const url = `http://127.0.0.1:${await listen(proxy, 0, '127.0.0.1')}`
  const database = openDatabase(databaseUrl)
  return {
    url,
    database,
    reading: database,
    databaseUrl,
    folder,
    routes: [],
    call: caller(url),
    ...(await shopIn(databaseUrl)),
    async close() {
      proxy.closeAllConnections()
      proxy.close()
      for (const { child } of processes) child.kill('SIGKILL')
      await Promise.all(processes.map(({ ended }) => ended))
      if (!database.ended) await database.end()
      await drop()
      await rm(folder, { recursive: true, force: true })
    },
  }
}

/** One server, or two behind a proxy where the suite is run so: what passes with one must pass with two. */
export const startServer = (): Promise<TestServer> =>
  process.env['TWO_SERVERS'] === '1' ? startTwoBehindProxy() : startTestServer()

/** Another shop takes the place of the one that is stored, with the same records. */
export async function beginAnother(server: TestServer): ReturnType<TestServer['call']> {
  const { shop, ...rest } = (await server.call('GET', '/api/whole')).body
  return server.call('POST', '/api/whole', {
    replaces: shop.id,
    whole: { ...rest, shop: { ...shop, id: 'another', name: 'Another' } },
  })
}
