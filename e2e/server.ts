/** A whole server for each test, on a database of its own, that can be killed and started again. */
import { type ChildProcess, spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { createServer } from 'node:net'
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
  private readonly databaseUrl: string
  private child: ChildProcess | null = null

  constructor(port: number, databaseUrl: string) {
    this.port = port
    this.databaseUrl = databaseUrl
    this.url = `http://127.0.0.1:${port}`
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: this.databaseUrl, PORT: `${this.port}` },
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

  async record<T>(path: string): Promise<T> {
    const response = await fetch(`${this.url}/api/${path}`)
    return ((await response.json()) as { record: T }).record
  }
}

export const test = base.extend<{ server: Server }>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads what a fixture needs from this pattern
  server: async ({}, use) => {
    if (!CLUSTER) throw new Error('TEST_DATABASE_URL is not set: run npm test, or see CONTRIBUTING.md')
    const name = `e2e_${randomBytes(6).toString('hex')}`
    await administer(`create database ${name}`)
    const databaseUrl = new URL(CLUSTER)
    databaseUrl.pathname = `/${name}`
    const server = new Server(await anyFreePort(), databaseUrl.href)
    await server.start()
    await use(server)
    await server.kill()
    await administer(`drop database ${name} with (force)`)
  },
})

export { expect } from '@playwright/test'
