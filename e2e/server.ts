/**
 * A server for each worker, whose database each test finds as the demo is; it can be killed and started again. A test
 * with settings of its own, or that begins without a server, has one of its own.
 */
import { type ChildProcess, spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { type BrowserContext, test as base } from '@playwright/test'
import pg from 'pg'
import { administer, templateName, urlOf } from './databases.ts'

const ROOT = fileURLToPath(new URL('../', import.meta.url))

export const anyFreePort = (): Promise<number> =>
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
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      env: {
        ...process.env,
        DATABASE_URL: this.databaseUrl,
        PORT: `${this.port}`,
        LOG_LEVEL: 'silent',
        DEMO: '1',
        THIS_MACHINE: 'open',
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

  get isRunning(): boolean {
    return this.child !== null
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
    const child = spawn(process.execPath, ['server/dist/user.js', 'add', name, '--role', role], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: this.databaseUrl },
      stdio: ['pipe', 'ignore', 'inherit'],
    })
    child.stdin.end(`${password}\n`)
    await new Promise((resolve) => child.once('exit', resolve))
  }

  /** Replaces a record by another program, whatever its version is. */
  async replace<T>(path: string, change: (record: T) => T): Promise<void> {
    const response = await fetch(`${this.url}/api/${path}`)
    const { record } = (await response.json()) as { record: T }
    const stored = await fetch(`${this.url}/api/${path}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': response.headers.get('ETag') ?? '' },
      body: JSON.stringify(change(record)),
    })
    if (!stored.ok) throw new Error(`${path} was not replaced: ${stored.status}`)
  }

  /** How many hear of changes. */
  async streams(): Promise<number> {
    const text = await (await fetch(`${this.url}/metrics`)).text()
    return Number(/^change_streams (\d+)$/m.exec(text)?.[1])
  }

  /** @returns undefined where there is none, or none yet */
  async record<T>(path: string): Promise<T> {
    const response = await fetch(`${this.url}/api/${path}`)
    if (!response.ok && response.status !== 404)
      throw new Error(`${path} was not read: ${response.status} ${await response.text()}`)
    return ((await response.json()) as { record: T }).record
  }
}

interface Home {
  readonly server: Server
  /** Gives it the demo anew. */
  reset(): Promise<void>
}

interface Fixtures {
  /** Settings of the server, for tests that need others than the usual ones. */
  settings: Record<string, string>
  server: Server
  /** One that is not started yet, on an empty database. */
  stopped: Server
}
interface WorkerFixtures {
  home: Home
  /** Contexts that are already there, by the settings that they were made with. */
  contexts: Map<string, BrowserContext>
}

/** A server on a database of its own, and a folder for its backups; both are gone afterwards. */
async function withServer(
  env: Readonly<Record<string, string>>,
  use: (server: Server, name: string) => Promise<void>,
): Promise<void> {
  const name = `e2e_${randomBytes(6).toString('hex')}`
  const folder = await mkdtemp(join(tmpdir(), 'brannik-e2e-'))
  const server = new Server(await anyFreePort(), urlOf(name), {
    BACKUP_FOLDER: folder,
    // A test finds the backups that it makes, however long the server of its worker has run.
    BACKUP_HOURS: '0',
    ...env,
  })
  await use(server, name)
  await server.kill()
  await administer(`drop database if exists ${name} with (force)`)
  await rm(folder, { recursive: true, force: true })
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  settings: [{}, { option: true }],
  home: [
    // eslint-disable-next-line no-empty-pattern -- the runner reads from the pattern what a fixture rests on
    async ({}, use) => {
      await withServer({}, async (server, name) => {
        const reset = async (): Promise<void> => {
          await administer(`drop database if exists ${name} with (force)`)
          await administer(`create database ${name} template ${templateName()}`)
          // What the server and the browser know of the shop of before means nothing in this one.
          await server.sql('update shop_epoch set id = default, place = default')
          if (!server.isRunning) await server.start()
        }
        await use({ server, reset })
      })
    },
    { scope: 'worker' },
  ],
  contexts: [
    // eslint-disable-next-line no-empty-pattern -- as above
    async ({}, use) => {
      const contexts = new Map<string, BrowserContext>()
      await use(contexts)
      for (const context of contexts.values()) await context.close()
    },
    { scope: 'worker' },
  ],
  // To load the application costs a fresh context a third more than one that has its files already: it is kept for the
  // next test, with nothing stored. What is kept for a page without a server is tested in a fresh one.
  context: async ({ browser, contexts, bypassCSP, serviceWorkers }, use) => {
    if (serviceWorkers === 'allow') {
      const fresh = await browser.newContext()
      await use(fresh)
      await fresh.close()
      return
    }
    const made = `bypassCSP ${bypassCSP}`
    const context = contexts.get(made) ?? (await browser.newContext())
    contexts.set(made, context)
    // A test that opens its own pages begins with nothing stored too: what another left unsaved would be asked about.
    const cleaner = await context.newPage()
    const devtools = await context.newCDPSession(cleaner)
    await devtools.send('Storage.clearDataForOrigin', {
      origin: '*',
      storageTypes: 'cookies,local_storage,indexeddb',
    })
    await cleaner.close()
    await use(context)
    for (const page of context.pages()) await page.close()
    await context.setOffline(false)
  },
  stopped: async ({ settings }, use) => {
    await withServer(settings, async (server, name) => {
      await administer(`create database ${name}`)
      await use(server)
    })
  },
  server: async ({ settings, home }, use) => {
    if (Object.keys(settings).length === 0) {
      await home.reset()
      await use(home.server)
      return
    }
    await withServer(settings, async (server, name) => {
      const isDemo = (settings['DEMO'] ?? '1') === '1'
      await administer(`create database ${name}${isDemo ? ` template ${templateName()}` : ''}`)
      await server.start()
      await use(server)
    })
  },
})

export { expect } from '@playwright/test'
