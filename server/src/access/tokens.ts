/** Tokens of other programs: shown once, kept as a hash, taken back at any time. */
import { z } from 'zod'
import type { Connection, Database } from '../database.ts'
import { Problem } from '../problems.ts'
import { accountNameSchema } from './accounts.ts'
import { type Role, ROLES } from './roles.ts'
import { hashOfSecret, newSecret } from './secrets.ts'

export interface Token {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly createdBy: string
  readonly createdAt: Date
  readonly usedAt: Date | null
}

export const newTokenSchema = z.strictObject({ name: accountNameSchema, role: z.enum(ROLES) })

const COLUMNS = `id, name, role, created_by as "createdBy", created_at as "createdAt", used_at as "usedAt"`
const LIST = `select ${COLUMNS} from api_token where revoked_at is null order by lower(name), id`
const ADD = `insert into api_token (name, role, secret_hash, created_by) values ($1, $2, $3, $4) returning ${COLUMNS}`
const FIND = `select id, name, role, used_at is null or used_at < now() - interval '5 minutes' as stale
  from api_token where secret_hash = $1 and revoked_at is null`
const USED = `update api_token set used_at = now() where id = $1`
const REVOKE = `update api_token set revoked_at = now() where id = $1 and revoked_at is null returning ${COLUMNS}`

export const listTokens = async (connection: Connection): Promise<readonly Token[]> =>
  (await connection.query<Token>(LIST)).rows

/** @returns the secret too: this once */
export async function addToken(
  connection: Connection,
  { name, role }: z.infer<typeof newTokenSchema>,
  by: string,
): Promise<{ token: Token; secret: string }> {
  const secret = newSecret('brannik_')
  const { rows } = await connection.query<Token>(ADD, [name, role, hashOfSecret(secret), by])
  return { token: rows[0] as Token, secret }
}

export async function tokenOf(
  database: Database,
  secret: string,
): Promise<{ readonly name: string; readonly role: Role } | null> {
  interface Row {
    readonly id: string
    readonly name: string
    readonly role: Role
    readonly stale: boolean
  }
  const [row] = (await database.query<Row>(FIND, [hashOfSecret(secret)])).rows
  if (!row) return null
  if (row.stale) await database.query(USED, [row.id])
  return row
}

export async function revokeToken(connection: Connection, id: string): Promise<Token> {
  const { rows } = await connection.query<Token>(REVOKE, [id])
  if (!rows[0]) throw new Problem(404, 'Not here', 'There is no such token, or it was taken back already.')
  return rows[0]
}
