/**
 * A backup back into the database: first into a new one beside it, then the two change names. What was there before
 * is backed up first, and nothing of it is touched before the new one is whole.
 */
import pg from 'pg'
import { open } from 'node:fs/promises'
import type { BackupSettings } from '../config.ts'
import { Problem } from '../problems.ts'
import { makeBackup, runClient, type Backup } from './backup.ts'

const COUNT = `select count(*)::int as records from record`
const HAS_RECORDS = `select to_regclass('public.record') is not null as there`
const OTHERS = `select count(*)::int as others from pg_stat_activity where datname = $1 and pid <> pg_backend_pid()`

async function connected<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5000 })
  client.on('error', () => undefined)
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}

const withDatabase = (databaseUrl: string, name: string): string => {
  const url = new URL(databaseUrl)
  url.pathname = `/${name}`
  return url.href
}

async function recordsIn(databaseUrl: string): Promise<number> {
  return connected(databaseUrl, async (client) => {
    const { rows } = await client.query<{ there: boolean }>(HAS_RECORDS)
    if (!rows[0]?.there) return 0
    return (await client.query<{ records: number }>(COUNT)).rows[0]?.records ?? 0
  })
}

/** What pg_dump's custom format begins with. */
const MAGIC = 'PGDMP'

/** @throws Problem where the file is not there, or is no backup */
async function checkFile(file: string): Promise<void> {
  try {
    const handle = await open(file)
    try {
      const { buffer } = await handle.read(Buffer.alloc(MAGIC.length), 0, MAGIC.length, 0)
      if (buffer.toString('latin1') === MAGIC) return
    } finally {
      await handle.close()
    }
  } catch (error) {
    const why = error instanceof Error ? error.message : ''
    throw new Problem(404, 'No such file', `${file} cannot be read: ${why}`)
  }
  throw new Problem(422, 'Not a backup', `${file} is no backup of Brannik (pg_dump, custom format).`)
}

export interface Restored {
  readonly records: number
  /** What was there before; null where nothing was. */
  readonly before: Backup | null
}

/**
 * @param replaces whether a shop that is there may be replaced
 * @throws Problem that says what is in the way; the database is then as it was
 */
export async function restore(
  databaseUrl: string,
  file: string,
  { replaces, backups }: { readonly replaces: boolean; readonly backups: BackupSettings },
): Promise<Restored> {
  await checkFile(file)
  const had = await recordsIn(databaseUrl)
  if (had > 0 && !replaces) {
    throw new Problem(
      409,
      'There is a shop already',
      `The database holds a shop with ${had} records. To put the backup in its place (it is backed up first), say so: npm run restore -- ${file} --replace`,
    )
  }
  const name = decodeURIComponent(new URL(databaseUrl).pathname.slice(1))
  const fresh = `${name}_restoring_${process.pid}`
  const maintenance = withDatabase(databaseUrl, 'postgres')
  const quoted = (text: string): string => pg.escapeIdentifier(text)
  const { rows } = await connected(maintenance, (client) => client.query<{ others: number }>(OTHERS, [name]))
  if ((rows[0]?.others ?? 0) > 0)
    throw new Problem(409, 'In use', 'Brannik is running on this database. Stop it, then restore.')
  const before = had > 0 ? await makeBackup(databaseUrl, backups, 'before-restore') : null
  await connected(maintenance, (client) =>
    client.query(`create database ${quoted(fresh)} template template0`),
  )
  try {
    const freshUrl = withDatabase(databaseUrl, fresh)
    await runClient('pg_restore', freshUrl, ['--exit-on-error', '--no-owner', '--no-privileges', file])
    const records = await recordsIn(freshUrl)
    await connected(maintenance, async (client) => {
      const aside = quoted(`${name}_replaced_${process.pid}`)
      // Both names change in one transaction: at no moment is there no shop.
      await client.query('begin')
      await client.query(`alter database ${quoted(name)} rename to ${aside}`)
      await client.query(`alter database ${quoted(fresh)} rename to ${quoted(name)}`)
      await client.query('commit')
      await client.query(`drop database ${aside}`)
    })
    return { records, before }
  } catch (error) {
    await connected(maintenance, (client) => client.query(`drop database if exists ${quoted(fresh)}`)).catch(
      () => undefined,
    )
    throw error
  }
}
