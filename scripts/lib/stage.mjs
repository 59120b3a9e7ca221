/** A whole Brannik with the demo shop, on a database of its own, and a browser before it. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildServer, buildWeb, SERVER } from './built.mjs'
import { installDebian, installNpm } from './packages.mjs'
import { freePort, temporaryPostgres } from './postgres.mjs'
import { begin, exists } from './run.mjs'

/** The browser of the tests and pictures: its package of Debian, where it is, and how it is started. */
export const BROWSER = JSON.parse(readFileSync(new URL('./browser.json', import.meta.url), 'utf8'))

/** Answers once the server says where it is. */
const addressOf = (server) =>
  new Promise((resolve, reject) => {
    server.stdout.on('data', (chunk) => {
      const found = /http:\/\/\S+/.exec(`${chunk}`)
      if (found) resolve(found[0])
    })
    server.once('exit', () => reject(new Error('the server did not start')))
  })

/**
 * @param act what is done with it: `{ browser, address, databaseUrl }`
 * @param options.demo whether the shop is the demo, or 'metric' for the one under IEC; else the database is empty
 * @returns what `act` returns; everything is gone afterwards
 */
export async function onStage(act, { demo = true } = {}) {
  await installNpm()
  if (!exists(BROWSER.package)) installDebian([BROWSER.package])
  buildWeb()
  buildServer()
  const { chromium } = await import('@playwright/test')
  const cluster = await temporaryPostgres(56870)
  const backups = mkdtempSync(join(tmpdir(), 'brannik-stage-'))
  const server = begin(process.execPath, [SERVER], {
    env: {
      DATABASE_URL: cluster.url('postgres'),
      PORT: `${await freePort(4970)}`,
      LOG_LEVEL: 'silent',
      THIS_MACHINE: 'open',
      DEMO: demo === 'metric' ? demo : demo ? '1' : '0',
      BACKUP_FOLDER: backups,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? BROWSER.path,
    args: BROWSER.args,
  })
  try {
    return await act({ browser, address: await addressOf(server), databaseUrl: cluster.url('postgres') })
  } finally {
    await browser.close()
    server.kill('SIGTERM')
    cluster.remove()
    rmSync(backups, { recursive: true, force: true })
  }
}
