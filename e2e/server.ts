/** A whole server for each test, on a database of its own, that can be killed and started again. */
import { type ChildProcess, spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { test as base } from '@playwright/test'
import pg from 'pg'

const ROOT = fileURLToPath(new URL('../', import.meta.url))
const CLUSTER = process.env['TEST_DATABASE_URL']

async function administer(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: CLUSTER })
  await client.connect()
  await client.query(sql)
  await client.end()
}

const anyFreePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => {
        resolve(typeof address === 'object' && address ? address.port : 0)
      })
    })
  })

export class Server {
  readonly url: string
  private readonly port: number
  readonly databaseUrl: string
  private readonly env: Readonly<Record<string, string>>
  private child: ChildProcess | null = null

  /** @param env settings beside the usual ones */
  constructor(port: number, databaseUrl: string, env: Readonly<Record<string, string>> = {}) {
    this.env = env
    this.port = port
    this.databaseUrl = databaseUrl
    this.url = `http://127.0.0.1:${port}`
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
      cwd: ROOT,
      env: {
        ...process.env,
        DATABASE_URL: this.databaseUrl,
        PORT: `${this.port}`,
        LOG_LEVEL: 'silent',
        DEMO: '1',
        ...this.env,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    this.child = child
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (chunk) => {
        if (`${chunk}`.includes('Brannik is at')) resolve()
      })
      child.once('exit', (code) => {
        reject(new Error(`the server ended with ${code}`))
      })
    })
  }

  /** At once, as a power cut would: nothing is finished. */
  async kill(): Promise<void> {
    const { child } = this
    this.child = null
    if (!child) return
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
  }

  /** Straight into the database, past all that the server checks. */
  async sql(text: string): Promise<void> {
    const client = new pg.Client({ connectionString: this.databaseUrl })
    await client.connect()
    await client.query(text)
    await client.end()
  }

  /** An account, made from the command line. */
  async addAccount(name: string, role: string, password: string): Promise<void> {
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', 'server/src/cli/user.ts', 'add', name, '--role', role],
      {
        cwd: ROOT,
        env: { ...process.env, DATABASE_URL: this.databaseUrl },
        stdio: ['pipe', 'ignore', 'inherit'],
      },
    )
    child.stdin.end(`${password}\n`)
    await new Promise((resolve) => child.once('exit', resolve))
  }

  async record<T>(path: string): Promise<T> {
    const response = await fetch(`${this.url}/api/${path}`)
    return ((await response.json()) as { record: T }).record
  }
}

interface Fixtures {
  /** Settings of the server, for tests that need others than the usual ones. */
  settings: Record<string, string>
  server: Server
  /** One that is not started yet. */
  stopped: Server
}

export const test = base.extend<Fixtures>({
  settings: [{}, { option: true }],
  stopped: async ({ settings }, use) => {
    if (!CLUSTER) throw new Error('TEST_DATABASE_URL is not set: run npm test, or see CONTRIBUTING.md')
    const name = `e2e_${randomBytes(6).toString('hex')}`
    await administer(`create database ${name}`)
    const databaseUrl = new URL(CLUSTER)
    databaseUrl.pathname = `/${name}`
    const folder = await mkdtemp(join(tmpdir(), 'brannik-e2e-'))
    const server = new Server(await anyFreePort(), databaseUrl.href, { BACKUP_FOLDER: folder, ...settings })
    await use(server)
    await server.kill()
    await administer(`drop database ${name} with (force)`)
    await rm(folder, { recursive: true, force: true })
  },
  server: async ({ stopped }, use) => {
    await stopped.start()
    await use(stopped)
  },
})

export { expect } from '@playwright/test'
