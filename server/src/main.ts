/** Starts the server: database to this version's schema, demo into an empty one, then listen. */
import { pino } from 'pino'
import { createApp } from './app.ts'
import { readConfig } from './config.ts'
import { openDatabase } from './database.ts'
import { migrate } from './migrate.ts'
import { seed } from './seed.ts'

const say = (line: string): void => {
  process.stdout.write(`${line}\n`)
}

async function start(): Promise<void> {
  const config = readConfig(process.env)
  const logger = pino({ level: config.logLevel })
  const database = openDatabase(config.databaseUrl)
  await migrate(database)
  if (await seed(database)) say('The demo shop, Tollgate Orchard Works, is loaded.')
  const app = createApp({ database, logger, host: config.host })
  const server = app.listen(config.port, config.host, (error) => {
    if (error) {
      fail(error)
      return
    }
    const address = server.address()
    const port = typeof address === 'object' && address ? address.port : config.port
    const name = config.host.includes(':') ? `[${config.host}]` : config.host
    say(`Brannik is at http://${name}:${port}/`)
  })
  const stop = (): void => {
    server.close(() => {
      void database.end().finally(() => process.exit(0))
    })
    server.closeAllConnections()
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
}

function fail(error: unknown): void {
  const code = typeof error === 'object' && error !== null ? Reflect.get(error, 'code') : undefined
  const says = error instanceof Error ? error.message : String(error)
  const remedy =
    code === 'EADDRINUSE'
      ? 'The port is taken. Set PORT to another, or stop the program that holds it.'
      : code === 'ECONNREFUSED'
        ? 'The database does not answer. Check DATABASE_URL, or leave it unset and run npm start.'
        : code === 'ENOSPC' || code === '53100'
          ? 'The disk is full. Free some space and start again.'
          : ''
  process.stderr.write(`Brannik could not start: ${says}\n${remedy ? `${remedy}\n` : ''}`)
  process.exit(1)
}

start().catch(fail)
