/** Sessions in the database: any server on it knows them, and signing out ends them at once. */
import type { Connection, Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import type { Role } from './roles.ts'
import { hashOfSecret, newSecret } from './secrets.ts'

export interface Session {
  readonly accountId: string
  readonly name: string
  readonly role: Role
}

const DAYS = `make_interval(days => ${LIMITS.sessionDays})`
const FIND = `select a.id as "accountId", a.name, a.role, s.seen_at < now() - interval '5 minutes' as stale
  from session s join account a on a.id = s.account_id
  where s.secret_hash = $1 and s.expires_at > now() and not a.disabled`
/** A session that is used goes on; it is written down now and then, not at every request. */
const SEEN = `update session set seen_at = now(), expires_at = now() + ${DAYS} where secret_hash = $1`
const ADD = `insert into session (secret_hash, account_id, expires_at, address, agent)
  values ($1, $2, now() + ${DAYS}, $3, $4)`
const END = `delete from session where secret_hash = $1`
const END_ALL = `delete from session where account_id = $1 and ($2::bytea is null or secret_hash <> $2)`
const FORGET = `delete from session where expires_at < now()`

export async function sessionOf(database: Database, secret: string): Promise<Session | null> {
  const hash = hashOfSecret(secret)
  const [row] = (await database.query<Session & { stale: boolean }>(FIND, [hash])).rows
  if (!row) return null
  if (row.stale) await database.query(SEEN, [hash])
  return row
}

/** @returns the secret that the browser keeps */
export async function openSession(
  connection: Connection,
  accountId: string,
  address: string | null,
  agent: string | null,
): Promise<string> {
  const secret = newSecret('')
  await connection.query(ADD, [hashOfSecret(secret), accountId, address, agent?.slice(0, 200) ?? null])
  return secret
}

export async function closeSession(connection: Connection, secret: string): Promise<void> {
  await connection.query(END, [hashOfSecret(secret)])
}

/** @param except the secret of the one session that stays; null ends all */
export async function closeSessionsOf(
  connection: Connection,
  accountId: string,
  except: string | null = null,
): Promise<void> {
  await connection.query(END_ALL, [accountId, except === null ? null : hashOfSecret(except)])
}

export async function forgetOldSessions(database: Database): Promise<void> {
  await database.query(FORGET)
}
