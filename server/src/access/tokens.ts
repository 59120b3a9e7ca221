/**
 * Tokens of other programs: shown once, kept as a hash, taken back at any time. A token ends at its time, and with the
 * account or the token that made it; it may be for some kinds of records alone.
 */
import { z } from 'zod'
import type { Connection, Database } from '../database.ts'
import { Problem } from '../problems.ts'
import type { Actor } from './actor.ts'
import { ALL_KINDS } from '../stores/kinds.ts'
import { actorNameSchema, takeName } from './names.ts'
import { type Role, ROLES } from './roles.ts'
import { hashOfSecret, newSecret } from './secrets.ts'

export interface Token {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly createdBy: string
  readonly createdAt: Date
  readonly usedAt: Date | null
  readonly expiresAt: Date | null
  /** Paths of the records that it is for; null: whatever its role may. */
  readonly kinds: readonly string[] | null
}

const PATHS = ALL_KINDS.map(({ path }) => path)
export const newTokenSchema = z.strictObject({
  name: actorNameSchema,
  role: z.enum(ROLES),
  /** A year where it is left out. */
  days: z.int().min(1, 'must be at least 1').max(3650, 'must be at most 3650').default(365),
  kinds: z
    .array(z.enum(PATHS as [string, ...string[]], `must be among ${PATHS.join(', ')}`))
    .min(1, 'is empty; name a kind of record, or leave it out')
    .nullable()
    .default(null),
})

const COLUMNS = `id, name, role, created_by as "createdBy", created_at as "createdAt", used_at as "usedAt",
  expires_at as "expiresAt", kinds`
/** That it and all that it came from still hold: makers who are in, and owners, as only those make tokens. */
const HOLDS = `not exists (
  with recursive chain as (
    select * from api_token where id = t.id
    union select above.* from api_token above join chain on above.id = chain.parent_id
  )
  select 1 from chain left join account a on a.id = chain.account_id
  where chain.revoked_at is not null or chain.expires_at < now()
    or (chain.account_id is not null and (a.disabled or a.role <> 'owner')))`
/** A program that gets a new token goes on by its name. */
const FREE_NAMES = `delete from taken_name n using api_token t where t.id = n.token_id and not ${HOLDS}`
const USE = `insert into token_use (token_id, use) values ($1, $2) on conflict do nothing returning use`
const LIST = `select ${COLUMNS} from api_token t where ${HOLDS} order by lower(name), id`
const ADD = `insert into api_token (name, role, secret_hash, created_by, account_id, parent_id, expires_at, kinds)
  values ($1, $2, $3, $4, $5, $6, now() + make_interval(days => $7), $8) returning ${COLUMNS}`
const FIND = `select id, name, role, kinds, used_at is null or used_at < now() - interval '5 minutes' as stale
  from api_token t where secret_hash = $1 and ${HOLDS}`
const USED = `update api_token set used_at = now() where id = $1`
const REVOKE = `update api_token set revoked_at = now() where id = $1 and revoked_at is null returning ${COLUMNS}`

export const listTokens = async (connection: Connection): Promise<readonly Token[]> =>
  (await connection.query<Token>(LIST)).rows

/** @returns the secret too: this once */
export async function addToken(
  connection: Connection,
  { name, role, days, kinds }: z.infer<typeof newTokenSchema>,
  { who, accountId, tokenId }: Pick<Actor, 'who' | 'accountId' | 'tokenId'>,
): Promise<{ token: Token; secret: string }> {
  const secret = newSecret('brannik_')
  await connection.query(FREE_NAMES)
  const { rows } = await connection.query<Token>(ADD, [
    name,
    role,
    hashOfSecret(secret),
    who,
    accountId,
    tokenId,
    days,
    kinds,
  ])
  const token = rows[0] as Token
  await takeName(connection, name, { tokenId: token.id })
  return { token, secret }
}

type Found = Pick<Token, 'id' | 'name' | 'role' | 'kinds'>
export async function tokenOf(database: Database, secret: string): Promise<Found | null> {
  type Row = Found & { readonly stale: boolean }
  const [row] = (await database.query<Row>(FIND, [hashOfSecret(secret)])).rows
  if (!row) return null
  if (row.stale) await database.query(USED, [row.id])
  return row
}

/** Uses that this server has seen: most requests of a token are of a kind that it has made before. */
const seen = new Set<string>()
const MOST_SEEN = 10_000
/** @returns whether the token has never been used so before */
export async function isNewUse(database: Pick<Database, 'query'>, id: string, use: string): Promise<boolean> {
  const name = `${id} ${use}`
  if (seen.has(name)) return false
  const isNew = (await database.query(USE, [id, use])).rowCount === 1
  if (seen.size >= MOST_SEEN) seen.clear()
  seen.add(name)
  return isNew
}

export async function revokeToken(connection: Connection, id: string): Promise<Token> {
  const { rows } = await connection.query<Token>(REVOKE, [id])
  if (!rows[0]) throw new Problem(404, 'Not here', 'There is no such token, or it was taken back already.')
  return rows[0]
}
