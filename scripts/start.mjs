/** `npm start`: installs what is missing, starts the database, builds, loads the demo, serves; Ctrl-C stops all of it. */
import { join } from 'node:path'
import { onlyOnce } from './lib/once.mjs'
import { DATA, installNpm } from './lib/packages.mjs'
import { freePort, startPostgres } from './lib/postgres.mjs'
import { begin, explain, Remedy } from './lib/run.mjs'
import { buildWeb } from './lib/web.mjs'

const FIRST_PORT = 4870
const FIRST_DATABASE_PORT = 54870

/** A port that was asked for is taken as it is; else the first free one. */
async function servingPort() {
  const asked = process.env.PORT
  if (asked === undefined || asked === '') return freePort(FIRST_PORT)
  const port = Number(asked)
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Remedy(`PORT is “${asked}”; it must be a whole number from 1 to 65535.`)
  }
  return port
}

async function database() {
  const given = process.env.DATABASE_URL
  if (given) return { url: given, stop: () => undefined }
  const cluster = await startPostgres({ wanted: join(DATA, 'postgres'), port: FIRST_DATABASE_PORT })
  cluster.createDatabase('brannik')
  return { url: cluster.url('brannik'), stop: cluster.stop }
}

async function start() {
  const began = performance.now()
  if (!process.env.DATABASE_URL) onlyOnce()
  installNpm()
  buildWeb()
  const port = await servingPort()
  const db = await database()
  const server = begin(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    env: { DATABASE_URL: db.url, PORT: `${port}`, NODE_ENV: 'production' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  server.stdout.on('data', (chunk) => {
    process.stdout.write(chunk)
    if (`${chunk}`.includes('Brannik is at')) {
      process.stdout.write(
        `Started in ${((performance.now() - began) / 1000).toFixed(1)} s. Ctrl-C stops it.\n`,
      )
    }
  })
  const stop = () => {
    server.kill('SIGTERM')
    setTimeout(() => server.kill('SIGKILL'), 5000).unref()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  server.on('exit', (code) => {
    db.stop()
    process.stdout.write('Stopped, the database too.\n')
    process.exit(code ?? 0)
  })
}

start().catch((error) => {
  explain(error)
  process.exit(1)
})
