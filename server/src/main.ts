/** Starts the server: database to this version's schema, the demo where that is asked for, then listen; and stops it in order. */
import { type Logger, pino } from 'pino'
import { hasOwner } from './access/accounts.ts'
import { makeLink } from './access/thisMachine.ts'
import { createApp } from './app.ts'
import { makeBackup } from './backup/backup.ts'
import { startBackupClock } from './backup/clock.ts'
import { type Config, ownAddresses, readConfig } from './config.ts'
import { type Database, openDatabase } from './database.ts'
import { isMigrationDue, migrate } from './migrate.ts'
import { remedyFor } from './remedies.ts'
import { createHttpServer, drain, listen } from './listen.ts'
import { LIMITS } from './limits.ts'
import { LogFile } from './logFile.ts'
import { UNKNOWN_ROOM, watchRoom } from './room.ts'
import { seed } from './seed.ts'
import { roleOfServer } from './serverRole.ts'
import { openTls } from './tls/open.ts'
import { startUpkeep } from './upkeep.ts'
import { createWorkPool } from './work/pool.ts'

const say = (line: string): void => {
  process.stdout.write(`${line}\n`)
}

/** No migration without a way back. */
async function bringUpToDate(database: Database, { databaseUrl, backups, demo }: Config): Promise<void> {
  if (await isMigrationDue(database)) {
    if (backups.folder !== null) {
      const { name } = await makeBackup(databaseUrl, backups, 'before-migration')
      say(`The shop is backed up before it is brought to this version: ${name}`)
    } else if (!backups.migrateWithout) {
      throw new Error(
        'The shop must be brought to this version, and there is no place for a backup before that. Set BACKUP_FOLDER, or MIGRATE_WITHOUT_BACKUP=1 if you have a backup of your own',
      )
    }
  }
  await migrate(database)
  if (demo !== null && (await seed(database, demo))) say('The demo shop, Tollgate Orchard Works, is loaded.')
}

async function checkDoors(database: Database, { host, access }: Config): Promise<void> {
  if (!access.needsSignIn || (await hasOwner(database))) return
  throw new Error(
    `HOST=${host} opens the shop to others, and nobody has an account yet. Make the owner’s first: npm run user -- add NAME --role owner; or start without HOST and make it on the page Records, under People`,
  )
}

/** What somebody types who wants to come here: all addresses is none. */
const nameOf = (host: string): string => {
  const name = host === '0.0.0.0' || host === '::' ? (ownAddresses()[0] ?? 'localhost') : host
  return name.includes(':') ? `[${name}]` : name
}

const openLog = (config: Config): Logger =>
  pino(
    {
      level: config.logLevel,
      // Nothing of these is ever given to the log; should it be one day, it is blotted out.
      redact: [
        '*.authorization',
        '*.cookie',
        '*.password',
        '*.secret',
        '*["set-cookie"]',
        '*["idempotency-key"]',
      ],
    },
    config.logFile === null ? process.stdout : new LogFile(config.logFile),
  )

async function start(): Promise<void> {
  const config = readConfig(process.env)
  const logger = openLog(config)
  const owner = openDatabase(config.databaseUrl)
  await bringUpToDate(owner, config)
  await checkDoors(owner, config)
  const { url: databaseUrl, ownerWhy } = await roleOfServer(owner, config.databaseUrl)
  await owner.end()
  if (ownerWhy !== null) {
    say(`The server speaks to the database as the owner of its tables: ${ownerWhy}. See docs/operations.md.`)
  }
  const database = openDatabase(databaseUrl, (error) => {
    logger.warn({ err: error }, 'an idle connection to the database was lost')
  })
  const pool = createWorkPool()
  const room = config.dataFolder === null ? UNKNOWN_ROOM : watchRoom(config.dataFolder)
  const app = createApp({
    ...config,
    database,
    databaseUrl,
    ownerUrl: config.databaseUrl,
    logger,
    pool,
    room,
  })
  const tls = config.tls === null ? null : await openTls(config.tls, config.access)
  const server = createHttpServer(app.express, LIMITS, tls)
  const port = await listen(server, config.port, config.host)
  const stopRenewing = tls?.renew(server, logger)
  const welcome = await tls?.welcome(config.host, port)
  const stopUpkeep = startUpkeep(database, logger, config.retention)
  const stopBackupClock = startBackupClock(config.databaseUrl, config.backups, logger)
  pool.warm()
  let isStopping = false
  const stop = async (why: string): Promise<void> => {
    if (isStopping) return
    isStopping = true
    logger.info({ why }, 'stopping')
    stopUpkeep()
    stopRenewing?.()
    welcome?.close()
    stopBackupClock()
    room.close()
    await app.close()
    await drain(server)
    await pool.close()
    await database.end()
    logger.info('stopped')
    logger.flush(() => process.exit(0))
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(signal))
  if (config.stopWithParent) {
    // Whoever started this holds the other end: when it is gone, however it went, this stops too.
    process.stdin.on('end', () => void stop('the program that started it is gone'))
    process.stdin.on('error', () => void stop('the program that started it is gone'))
    process.stdin.resume()
  }

  const address = `${tls === null ? 'http' : 'https'}://${nameOf(config.host)}:${port}`
  say(
    config.access.needsSignIn ? 'Whoever comes in signs in.' : 'Open to this machine alone, without sign-in.',
  )
  say(`Brannik is at ${address}/`)
  if (welcome) {
    say(
      `On each tablet and phone once: open http://${nameOf(config.host)}:${welcome.port}/ and follow its two steps.`,
    )
    say(`Its fingerprint there must be ${welcome.fingerprint}`)
  }
  if (!config.access.needsSignIn && config.access.thisMachine === 'link')
    say(`The first time in each browser open this link instead: ${address}${await makeLink(database)}`)
}

// The terminal that the words went to may be closed.
process.stdout.on('error', () => undefined)
process.stderr.on('error', () => undefined)

start().catch((error: unknown) => {
  process.stderr.write(`Brannik could not start: ${remedyFor(error)}\n`)
  process.exit(1)
})
