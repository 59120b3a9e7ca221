/** Before the tests of the server: the demo in a database, from which each of them gets its own, and the server built. */
import pg from 'pg'
import { openDatabase } from './database.ts'
import { migrate } from './migrate.ts'
import { seed } from './seed.ts'
import { roleOfServer } from './serverRole.ts'
import { administer, DEMO_TEMPLATE } from './testing.ts'

/** Any fixed number: both suites of the server may be run at once. */
const LOCK = 4_870_002

/** @public Vitest calls it. */
export default async function prepare(): Promise<void> {
  const cluster = process.env['TEST_DATABASE_URL']
  // The first test says what is missing.
  if (!cluster) return
  const { buildServer } = (await import('../../scripts/lib/built.mjs' as string)) as {
    buildServer: () => void
  }
  buildServer()
  const one = new pg.Client({ connectionString: cluster })
  await one.connect()
  await one.query('select pg_advisory_lock($1)', [LOCK])
  await administer(`drop database if exists ${DEMO_TEMPLATE} with (force)`)
  await administer(`create database ${DEMO_TEMPLATE}`)
  const url = new URL(cluster)
  url.pathname = `/${DEMO_TEMPLATE}`
  const database = openDatabase(url.href)
  await migrate(database)
  await seed(database)
  await roleOfServer(database, url.href)
  await database.end()
  await one.end()
}
