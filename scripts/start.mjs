/** `npm start`: installs what is missing, starts the database, builds, loads the demo, serves; Ctrl-C stops all of it. */
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { buildServer, buildWeb, SERVER } from './lib/built.mjs'
import { onlyOnce } from './lib/once.mjs'
import { installNpm } from './lib/packages.mjs'
import { choosePlace, writeDownPlace } from './lib/place.mjs'
import { freePort, startPostgres } from './lib/postgres.mjs'
import { begin, explain, Remedy } from './lib/run.mjs'

const FIRST_PORT = 4870
const FIRST_DATABASE_PORT = 54870
/** The server answers what is on its way within ten seconds; after this it hangs. */
const STOP_MS = 20_000

const say = (line) => process.stdout.write(`${line}\n`)

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

async function database(place) {
  const given = process.env.DATABASE_URL
  if (given)
    return {
      url: given,
      stop: async () => undefined,
      watch: () => async () => undefined,
      words: 'Stopped. The database is not ours and goes on.',
    }
  const cluster = await startPostgres({
    folder: place.cluster,
    port: FIRST_DATABASE_PORT,
    walFolder: process.env.WAL_FOLDER,
  })
  writeDownPlace(place)
  cluster.createDatabase('brannik')
  return {
    url: cluster.url('brannik'),
    stop: cluster.stop,
    watch: (lost) => watch(cluster, lost),
    words: 'Stopped, the database too.',
  }
}

const LOOK_MS = 1000
/** Pauses between tries to start a database that died. */
const AGAIN_MS = [0, 500, 1000, 2000, 5000]
/**
 * A database that dies is started again; the server waits for it.
 * @param lost called where it cannot be
 * @returns stops looking, and says when that is over
 */
function watch(cluster, lost) {
  const leaving = new AbortController()
  const { signal } = leaving
  const revive = async () => {
    say('The database has died; it is started again ...')
    let why = ''
    // On a full disk it is tried as long as that takes: somebody makes room.
    for (let attempt = 0; attempt < AGAIN_MS.length || /disk .*full/i.test(why); attempt += 1) {
      await pause(AGAIN_MS[attempt] ?? AGAIN_MS.at(-1), null, { signal })
      try {
        await cluster.revive()
        say('The database is back.')
        return
      } catch (error) {
        if (/disk .*full/i.test(error.message) && why === '') say(error.message)
        why = error.message
      }
    }
    lost(`${why}\nThe database died and could not be started again.`)
    leaving.abort()
  }
  const look = async () => {
    for (;;) {
      await pause(LOOK_MS, null, { signal })
      if (!cluster.isAlive()) await revive()
    }
  }
  const looking = look().catch((error) => {
    if (error.name !== 'AbortError') throw error
  })
  return () => {
    leaving.abort()
    return looking
  }
}

let isStopping = false
/** Why it ends though nobody asked for it. */
let lostWhy = null
let server = null
function stop() {
  isStopping = true
  if (!server) return
  server.kill('SIGTERM')
  setTimeout(() => server.kill('SIGKILL'), STOP_MS).unref()
}
// A terminal that is closed is a stop too; what was to be said to it is not.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined)

/** `--lan`: the tablets of the shop come in, over TLS with a certificate of the shop's own, or one that is given. */
async function network(place, port) {
  const flags = process.argv.slice(2)
  const unknown = flags.find((flag) => flag !== '--lan')
  if (unknown) throw new Remedy(`npm start takes --lan, and not ${unknown}.`)
  if (flags.length === 0) return {}
  return {
    HOST: process.env.HOST || '0.0.0.0',
    TLS_FOLDER: join(place.folder, 'tls'),
    TLS_WELCOME_PORT: process.env.TLS_WELCOME_PORT || `${await freePort(port + 1)}`,
  }
}

/** @returns the exit code: 0 for a stop that was asked for */
async function serve(db, place, port, began) {
  server = begin(process.execPath, ['--enable-source-maps', SERVER], {
    env: {
      DATABASE_URL: db.url,
      PORT: `${port}`,
      NODE_ENV: 'production',
      ...(await network(place, port)),
      STOP_WITH_PARENT: '1',
      BACKUP_FOLDER: process.env.BACKUP_FOLDER || join(place.folder, 'backups'),
      DATA_FOLDER: process.env.DATABASE_URL ? '' : place.folder,
      LOG_FILE: process.env.LOG_FILE || join(place.folder, 'log', 'brannik.log'),
    },
    stdio: ['pipe', 'pipe', 'inherit'],
  })
  server.stdout.on('data', (chunk) => {
    process.stdout.write(chunk)
    if (`${chunk}`.includes('Brannik is at'))
      say(`Started in ${((performance.now() - began) / 1000).toFixed(1)} s. Ctrl-C stops it.`)
  })
  if (isStopping) stop()
  return new Promise((resolve) => {
    server.once('exit', (code, signal) => {
      if (code === 0) resolve(0)
      else {
        if (!isStopping || code === null)
          say(`The server ended with ${code ?? signal}, which nobody asked for.`)
        resolve(code ?? 1)
      }
    })
  })
}

async function start() {
  const began = performance.now()
  const place = choosePlace()
  if (!process.env.DATABASE_URL) {
    await onlyOnce(place.folder)
    say(`The shop’s data: ${place.cluster} (${place.how})`)
  }
  const port = await servingPort()
  // The database starts while packages come in.
  const installing = installNpm({ isWhole: false })
  installing.catch(() => undefined)
  const db = await database(place)
  try {
    await installing
    buildWeb()
    buildServer()
  } catch (error) {
    await db.stop()
    throw error
  }
  const unwatch = db.watch((why) => {
    lostWhy = why
    stop()
  })
  const code = isStopping ? 0 : await serve(db, place, port, began)
  await unwatch()
  if (lostWhy !== null) {
    process.stderr.write(`${lostWhy}\n`)
    return 1
  }
  await db.stop()
  say(db.words)
  return code
}

start().then(
  (code) => process.exit(code),
  (error) => {
    explain(error)
    process.exit(1)
  },
)
