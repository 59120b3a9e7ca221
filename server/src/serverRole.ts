/**
 * The role as which the server speaks to the database: it may read and write, and neither switch triggers off nor touch
 * what only grows. Migrations, backups and restores are done by the owner of the tables.
 */
import { createHmac } from 'node:crypto'
import pg from 'pg'
import { type Database, inTransaction } from './database.ts'
import { properties } from './faults.ts'
import { takeTurn } from './migrate.ts'

const HAS_ROLE = 'select 1 from pg_roles where rolname = $1'
/** Tables that only grow are those that the migrations made so; kinds and migrations the server only reads. */
const GROWS = `select tgrelid::regclass::text as name from pg_trigger where tgname = 'only_grows'`
const READ_ONLY = ['schema_migration', 'record_kind', 'retention_mark']

/** Of the owner's: every server that knows the owner's password knows this one. */
const passwordOf = (ownerPassword: string): string =>
  createHmac('sha256', ownerPassword).update('the role of the server').digest('base64url')

/** @returns null where the owner has no password of which another could be made */
export function urlOfServer(ownerUrl: string): URL | null {
  const url = new URL(ownerUrl)
  if (url.password === '' || url.username === '') return null
  url.password = passwordOf(decodeURIComponent(url.password))
  url.username = `${url.username}_server`
  return url
}
const nameOf = (url: URL): string => decodeURIComponent(url.username)

async function answers(url: URL): Promise<boolean> {
  const client = new pg.Client({ connectionString: url.href, connectionTimeoutMillis: 5000 })
  client.on('error', () => undefined)
  try {
    await client.connect()
    return true
  } catch (error) {
    if (['28P01', '28000'].includes(properties(error).code)) return false
    throw error
  } finally {
    await client.end().catch(() => undefined)
  }
}

/** Roles are the cluster's: servers of other databases may be at the same one. */
const MOST_TRIES = 5
const isOthersTurn = (error: unknown): boolean =>
  ['42710', '23505', 'XX000', '40001'].includes(properties(error).code)
async function makeRole(database: Database, url: URL): Promise<void> {
  const name = pg.escapeIdentifier(nameOf(url))
  const as = `login nosuperuser nocreatedb nocreaterole password ${pg.escapeLiteral(url.password)}`
  for (let attempt = 1; !(await answers(url)); attempt += 1) {
    try {
      const { rowCount } = await database.query(HAS_ROLE, [nameOf(url)])
      await database.query(`${rowCount === 1 ? 'alter' : 'create'} role ${name} ${as}`)
    } catch (error) {
      if (!isOthersTurn(error) || attempt >= MOST_TRIES) throw error
    }
  }
}

/** What the role may do in this database; said anew at each start, for a migration may have made tables. */
async function grant(database: Database, url: URL): Promise<void> {
  const role = pg.escapeIdentifier(nameOf(url))
  await inTransaction(database, async (connection) => {
    await takeTurn(connection)
    const { rows } = await connection.query<{ name: string }>(GROWS)
    const growing = rows.map(({ name }) => name).join(', ')
    await connection.query(`
      grant usage on schema public to ${role};
      grant select, insert, update, delete on all tables in schema public to ${role};
      grant usage, select on all sequences in schema public to ${role};
      revoke update, delete, truncate on ${growing} from ${role};
      revoke insert, update, delete, truncate on ${READ_ONLY.join(', ')} from ${role};
      grant execute on function thin_history(text, integer, integer), forget_audit(integer) to ${role}`)
  })
}

/**
 * @param database as the owner, in this version's schema
 * @returns where the server speaks from here on, and why that is the owner's address where it must be
 */
export async function roleOfServer(
  database: Database,
  ownerUrl: string,
): Promise<{ readonly url: string; readonly ownerWhy: string | null }> {
  const url = urlOfServer(ownerUrl)
  if (url === null) return { url: ownerUrl, ownerWhy: 'DATABASE_URL has no password' }
  try {
    await makeRole(database, url)
  } catch (error) {
    // insufficient_privilege
    if (properties(error).code !== '42501') throw error
    return { url: ownerUrl, ownerWhy: 'the role in DATABASE_URL may not make another one' }
  }
  await grant(database, url)
  return { url: url.href, ownerWhy: null }
}
