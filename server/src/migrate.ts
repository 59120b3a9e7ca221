/** Brings the database to the schema of this version: numbered SQL files, each run once, in order. */
import { KIND_FACTS } from '@brannik/core'
import { readdir, readFile } from 'node:fs/promises'
import { type Connection, type Database, inTransaction } from './database.ts'
import { takeOldNames } from './access/names.ts'
import { ROOT } from './root.ts'
import { renewEpochElsewhere } from './stores/epoch.ts'
import { isUpcastDue, upcastStored } from './upcast.ts'

const FOLDER = new URL('server/migrations/', ROOT)
/** The migration from which on every record says the version of its schema. */
const SCHEMA_VERSIONS = 5
/** The migration from which on the kinds of record are rows. */
const KINDS_AS_ROWS = 11
/** The migration from which on the database says which shop it holds. */
const EPOCH = 13
/** The migration from which on no two names look alike. */
const NAMES = 15
const WRITE_KINDS = `insert into record_kind (kind, is_counted) select * from unnest($1::text[], $2::boolean[])
  on conflict (kind) do update set is_counted = excluded.is_counted
  where record_kind.is_counted <> excluded.is_counted`
/** Any fixed number: two servers starting at once take turns by it. */
const LOCK = 4_870_001

async function migrationFiles(): Promise<readonly { number: number; name: string }[]> {
  const names = (await readdir(FOLDER)).filter((name) => name.endsWith('.sql')).sort()
  return names.map((name) => ({ number: Number.parseInt(name, 10), name }))
}

/** @returns the number of the last one that this version knows */
export const newestMigration = async (): Promise<number> =>
  Math.max(0, ...(await migrationFiles()).map(({ number }) => number))

/** An hour, where a request has seconds. */
const UNHURRIED = { query_timeout: 3_600_000 }

/** Servers that start at once take turns until the transaction ends. A migration may take long; so may the wait. */
export async function takeTurn(connection: Connection): Promise<void> {
  await connection.query('set local statement_timeout = 0; set local lock_timeout = 0')
  await connection.query({ text: 'select pg_advisory_xact_lock($1)', values: [LOCK], ...UNHURRIED })
}

const CREATE = `create table if not exists schema_migration (
  number integer primary key, name text not null, applied_at timestamptz not null default now())`

/** Whether there are files to run, or records to carry up, on a database that holds something. */
export async function isMigrationDue(database: Database): Promise<boolean> {
  const { rows } = await database.query<{ there: boolean }>(
    `select to_regclass('public.schema_migration') is not null and to_regclass('public.record') is not null as there`,
  )
  if (!rows[0]?.there) return false
  const applied = await database.query<{ number: number }>('select number from schema_migration')
  const known = new Set(applied.rows.map(({ number }) => number))
  const isDue = (await migrationFiles()).some(({ number }) => !known.has(number))
  if (!isDue && (await isUpcastDue(database))) return true
  return isDue && (await database.query('select 1 from record limit 1')).rowCount === 1
}

/**
 * @param upTo the last file to run; all of them where it is left out
 * @throws Error where the database was made by a newer version
 */
export async function migrate(database: Database, upTo = Number.POSITIVE_INFINITY): Promise<number> {
  const files = await migrationFiles()
  return inTransaction(database, async (connection) => {
    await takeTurn(connection)
    await connection.query(CREATE)
    const { rows } = await connection.query<{ number: number }>('select number from schema_migration')
    const applied = new Set(rows.map((row) => row.number))
    const newest = Math.max(0, ...applied)
    const known = await newestMigration()
    if (newest > known) {
      throw new Error(
        `The database has schema ${newest}, this version of Brannik knows schemas up to ${known}. Use the newer version, or another database.`,
      )
    }
    const due = files.filter((file) => !applied.has(file.number) && file.number <= upTo)
    for (const { number, name } of due) {
      await connection.query({ text: await readFile(new URL(name, FOLDER), 'utf8'), ...UNHURRIED })
      await connection.query('insert into schema_migration (number, name) values ($1, $2)', [number, name])
    }
    const has = (migration: number): boolean =>
      applied.has(migration) || due.some(({ number }) => number === migration)
    if (has(KINDS_AS_ROWS))
      await connection.query(WRITE_KINDS, [
        KIND_FACTS.map(({ kind }) => kind),
        KIND_FACTS.map(({ counting }) => counting !== null),
      ])
    if (has(EPOCH)) await renewEpochElsewhere(connection)
    if (has(NAMES)) await takeOldNames(connection)
    if (has(SCHEMA_VERSIONS)) await upcastStored(connection)
    return due.length
  })
}
