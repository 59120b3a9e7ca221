/** Brings the database to the schema of this version: numbered SQL files, each run once, in order. */
import { readdir, readFile } from 'node:fs/promises'
import { type Database, inTransaction } from './database.ts'

const FOLDER = new URL('../migrations/', import.meta.url)
/** Any fixed number: two servers starting at once take turns by it. */
const LOCK = 4_870_001

const CREATE = `create table if not exists schema_migration (
  number integer primary key, name text not null, applied_at timestamptz not null default now())`

/**
 * @param upTo the last file to run; all of them where it is left out
 * @throws Error where the database was made by a newer version
 */
export async function migrate(database: Database, upTo = Number.POSITIVE_INFINITY): Promise<number> {
  const names = (await readdir(FOLDER)).filter((name) => name.endsWith('.sql')).sort()
  const files = names.map((name) => ({ number: Number.parseInt(name, 10), name }))
  return inTransaction(database, async (connection) => {
    await connection.query('select pg_advisory_xact_lock($1)', [LOCK])
    await connection.query(CREATE)
    const { rows } = await connection.query<{ number: number }>('select number from schema_migration')
    const applied = new Set(rows.map((row) => row.number))
    const newest = Math.max(0, ...applied)
    const known = Math.max(0, ...files.map((file) => file.number))
    if (newest > known) {
      throw new Error(
        `The database has schema ${newest}, this version of Brannik knows schemas up to ${known}. Use the newer version, or another database.`,
      )
    }
    const due = files.filter((file) => !applied.has(file.number) && file.number <= upTo)
    for (const { number, name } of due) {
      await connection.query(await readFile(new URL(name, FOLDER), 'utf8'))
      await connection.query('insert into schema_migration (number, name) values ($1, $2)', [number, name])
    }
    return due.length
  })
}
