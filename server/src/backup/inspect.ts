/**
 * What is in a backup: found by putting it back into a scratch database, the only way to know that it can be put back.
 */
import { open } from 'node:fs/promises'
import pg from 'pg'
import { newestMigration } from '../migrate.ts'
import { Problem } from '../problems.ts'
import { ALL_KINDS } from '../stores/kinds.ts'
import { runClient } from './backup.ts'

export interface Contents {
  readonly shop: string
  /** The word of the shop; null in a backup of before there was one. */
  readonly epoch: string | null
  /** Number of the newest migration that it has seen. */
  readonly schema: number
  /** How many there are, by what they are called. */
  readonly counts: readonly (readonly [noun: string, count: number])[]
  readonly records: number
  /** When a record was last changed. */
  readonly changedAt: Date | null
}

/** What pg_dump's custom format begins with. */
const MAGIC = 'PGDMP'
/** Tables without which it is no shop. */
const TABLES = ['schema_migration', 'record', 'record_history', 'audit', 'account']
const TABLES_THERE = `select table_name as name from information_schema.tables where table_schema = 'public'`
const SCHEMA = 'select max(number)::int as schema from schema_migration'
const SHOP = `select body ->> 'name' as name from record where kind = 'shop'`
const COUNTS = 'select kind, count(*)::int as count, max(updated_at) as at from record group by kind'
const EPOCH = 'select id from shop_epoch'

/** @throws Problem where the file is not there, or is no backup */
export async function checkFile(file: string): Promise<void> {
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

export async function connected<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5000 })
  client.on('error', () => undefined)
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}
export const withDatabase = (databaseUrl: string, name: string): string => {
  const url = new URL(databaseUrl)
  url.pathname = `/${name}`
  return url.href
}
export const nameOfDatabase = (databaseUrl: string): string =>
  decodeURIComponent(new URL(databaseUrl).pathname.slice(1))

const notAShop = (file: string, why: string): Problem =>
  new Problem(
    422,
    'No shop of Brannik',
    `${file} holds no whole shop of Brannik: ${why}. Nothing was changed.`,
  )

/** @throws Problem where the database is no whole shop, or one of a newer version */
const contents = (url: string, file: string): Promise<Contents> =>
  connected(url, async (client) => {
    const { rows: tables } = await client.query<{ name: string }>(TABLES_THERE)
    const there = new Set(tables.map(({ name }) => name))
    const lacks = TABLES.filter((name) => !there.has(name))
    if (lacks.length > 0) throw notAShop(file, `the tables ${lacks.join(', ')} are missing`)
    const schema = (await client.query<{ schema: number | null }>(SCHEMA)).rows[0]?.schema ?? 0
    const known = await newestMigration()
    if (schema > known)
      throw new Problem(
        422,
        'Of a newer version',
        `${file} was made by a newer version of Brannik (schema ${schema}; this one knows ${known}). Restore it with that version. Nothing was changed.`,
      )
    const [shop, ...others] = (await client.query<{ name: string }>(SHOP)).rows
    if (!shop || others.length > 0)
      throw notAShop(file, shop ? 'there are several shops in it' : 'no shop has begun')
    const { rows } = await client.query<{ kind: string; count: number; at: Date }>(COUNTS)
    const counted = rows.flatMap(({ kind, count }) => {
      const noun = ALL_KINDS.find((one) => one.kind === kind)?.noun
      return kind === 'shop' || noun === undefined ? [] : [[noun, count] as const]
    })
    return {
      shop: shop.name,
      epoch: there.has('shop_epoch')
        ? ((await client.query<{ id: string }>(EPOCH)).rows[0]?.id ?? null)
        : null,
      schema,
      counts: counted.sort(([a], [b]) => a.localeCompare(b)),
      records: rows.reduce((sum, { count }) => sum + count, 0),
      changedAt: rows.map(({ at }) => at).sort((a, b) => b.getTime() - a.getTime())[0] ?? null,
    }
  })

/**
 * Puts a backup into a database of its own beside the shop's, looks whether it is a whole shop, and drops it again.
 * @param use what else is done with it while it is there; it may give it another name
 * @throws Problem where it cannot be put back, or is no whole shop; the database of the shop is not touched
 */
export async function withRestored<T>(
  databaseUrl: string,
  file: string,
  use: (fresh: string, found: Contents) => Promise<T>,
): Promise<T> {
  await checkFile(file)
  const fresh = `${nameOfDatabase(databaseUrl)}_restoring_${process.pid}`
  const maintenance = withDatabase(databaseUrl, 'postgres')
  const quoted = pg.escapeIdentifier(fresh)
  const drop = (): Promise<unknown> =>
    connected(maintenance, (client) => client.query(`drop database if exists ${quoted} with (force)`))
  await drop()
  await connected(maintenance, (client) => client.query(`create database ${quoted} template template0`))
  try {
    const url = withDatabase(databaseUrl, fresh)
    await runClient('pg_restore', url, ['--exit-on-error', '--no-owner', '--no-privileges', file])
    return await use(fresh, await contents(url, file))
  } finally {
    await drop().catch(() => undefined)
  }
}

export const contentsOf = (databaseUrl: string, file: string): Promise<Contents> =>
  withRestored(databaseUrl, file, (_fresh, found) => Promise.resolve(found))
