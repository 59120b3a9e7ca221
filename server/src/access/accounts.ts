/** Accounts: a name, a role and a password that nobody can read back. The shop is never left without an owner. */
import { z } from 'zod'
import type { Connection, Database } from '../database.ts'
import { properties } from '../faults.ts'
import { Problem } from '../problems.ts'
import { actorNameSchema, takeName } from './names.ts'
import { mustBeHardToGuess, passwordSchema } from './passwords.ts'
import { type Role, ROLES } from './roles.ts'
import { hashOfPassword } from './secrets.ts'

export interface Account {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly disabled: boolean
  readonly createdAt: Date
}

export const newAccountSchema = z.strictObject({
  name: actorNameSchema,
  role: z.enum(ROLES),
  password: passwordSchema,
})
export const changedAccountSchema = z.strictObject({
  role: z.enum(ROLES).optional(),
  disabled: z.boolean().optional(),
  password: passwordSchema.optional(),
})
type ChangedAccount = z.infer<typeof changedAccountSchema>

const COLUMNS = `id, name, role, disabled, created_at as "createdAt"`
const LIST = `select ${COLUMNS} from account order by lower(name)`
const ADD = `insert into account (name, role, password_hash) values ($1, $2, $3) returning ${COLUMNS}`
const ANY_OWNER = `select 1 from account where role = 'owner' and not disabled limit 1`
/** Whoever changes accounts takes turns: two owners could else take the role from each other in one moment. */
const HOLD = `lock table account in share row exclusive mode`
const CHANGE = `update account set role = coalesce($2, role), disabled = coalesce($3, disabled),
  password_hash = coalesce($4, password_hash) where id = $1 returning ${COLUMNS}`
const REMOVE = `delete from account where id = $1 returning ${COLUMNS}`
const BY_NAME = `select ${COLUMNS}, password_hash as "passwordHash" from account where lower(name) = lower($1)`
const NAME_OF = 'select name from account where id = $1'
const SHOP_NAMES = `select body ->> 'name' as name from record where kind = 'shop'`
const BY_ID = `select ${COLUMNS}, password_hash as "passwordHash" from account where id = $1`

export const listAccounts = async (connection: Connection): Promise<readonly Account[]> =>
  (await connection.query<Account>(LIST)).rows

export const hasOwner = async (database: Database | Connection): Promise<boolean> =>
  (await database.query(ANY_OWNER)).rowCount === 1

async function shopNames(connection: Connection): Promise<readonly string[]> {
  return (await connection.query<{ name: string }>(SHOP_NAMES)).rows.map(({ name }) => name)
}

export async function addAccount(
  connection: Connection,
  { name, role, password }: z.infer<typeof newAccountSchema>,
): Promise<Account> {
  await mustBeHardToGuess(password, 'password', [name, ...(await shopNames(connection))])
  try {
    const { rows } = await connection.query<Account>(ADD, [name, role, await hashOfPassword(password)])
    const made = rows[0] as Account
    await takeName(connection, name, { accountId: made.id })
    return made
  } catch (error) {
    if (properties(error).code === '23505')
      throw new Problem(
        409,
        'The name is taken',
        `There is already an account called “${name}”. Choose another name.`,
      )
    throw error
  }
}

const noSuch = (): Problem =>
  new Problem(404, 'Not here', 'There is no such account. It may have been taken away; list the accounts.')

async function keepAnOwner(connection: Connection): Promise<void> {
  if (await hasOwner(connection)) return
  throw new Problem(
    409,
    'The last owner',
    'The shop would be left without an owner. Give somebody else the role owner first.',
  )
}

/** @param field of the password in what was sent */
export async function changeAccount(
  connection: Connection,
  id: string,
  { role, disabled, password }: ChangedAccount,
  field = 'password',
): Promise<Account> {
  await connection.query(HOLD)
  if (password !== undefined) {
    const { rows } = await connection.query<{ name: string }>(NAME_OF, [id])
    const names = rows.map(({ name }) => name)
    await mustBeHardToGuess(password, field, [...names, ...(await shopNames(connection))])
  }
  const had = await hasOwner(connection)
  const hash = password === undefined ? null : await hashOfPassword(password)
  const { rows } = await connection.query<Account>(CHANGE, [id, role ?? null, disabled ?? null, hash])
  if (!rows[0]) throw noSuch()
  if (had) await keepAnOwner(connection)
  return rows[0]
}

export async function removeAccount(connection: Connection, id: string): Promise<Account> {
  await connection.query(HOLD)
  const { rows } = await connection.query<Account>(REMOVE, [id])
  if (!rows[0]) throw noSuch()
  if (rows[0].role === 'owner') await keepAnOwner(connection)
  return rows[0]
}

type WithHash = Account & { readonly passwordHash: string }

export const accountByName = async (database: Database, name: string): Promise<WithHash | null> =>
  (await database.query<WithHash>(BY_NAME, [name.normalize('NFC').trim()])).rows[0] ?? null

export const accountById = async (database: Database, id: string): Promise<WithHash | null> =>
  (await database.query<WithHash>(BY_ID, [id])).rows[0] ?? null
