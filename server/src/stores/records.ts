/** Records in the database: listed, read, made, replaced by version, deleted. */
import type { Connection } from '../database.ts'
import { invalid, Problem } from '../problems.ts'
import type { Kind } from './kinds.ts'

export interface Stored {
  readonly version: number
  readonly record: unknown
}

type Body = Readonly<Record<string, unknown>> & { readonly id: string }

const LIST = `select version, body as record from record where kind = $1 order by body ->> 'name', id`
const GET = `select version, body as record from record where kind = $1 and id = $2`
const INSERT = `insert into record (kind, id, body) values ($1, $2, $3)
  on conflict (kind, id) do nothing returning version`
const REPLACE = `update record set body = $4, version = version + 1, updated_at = now()
  where kind = $1 and id = $2 and version = $3 returning version`
const DELETE = `delete from record where kind = $1 and id = $2 and version = $3 returning version`
const EXISTS = `select 1 from record where kind = $1 and id = $2`
const FORGET_REFERENCES = `delete from record_reference where from_kind = $1 and from_id = $2`
const ADD_REFERENCE = `insert into record_reference (from_kind, from_id, field, to_kind, to_id) values ($1, $2, $3, $4, $5)`
const USERS = `select r.body ->> 'name' as name from record_reference f
  join record r on r.kind = f.from_kind and r.id = f.from_id
  where f.to_kind = $1 and f.to_id = $2 order by 1 limit 5`
const ANY_SHOP = `select 1 from record where kind = 'shop' limit 1`

export async function list(connection: Connection, kind: Kind): Promise<Stored[]> {
  return (await connection.query<Stored>(LIST, [kind.kind])).rows
}

const noSuch = (kind: Kind, id: string): Problem =>
  new Problem(
    404,
    'Not here',
    `There is no ${kind.kind} with the id “${id}”. It may have been deleted; list ${kind.path}.`,
  )

export async function get(connection: Connection, kind: Kind, id: string): Promise<Stored> {
  const { rows } = await connection.query<Stored>(GET, [kind.kind, id])
  if (!rows[0]) throw noSuch(kind, id)
  return rows[0]
}

async function writeReferences(connection: Connection, kind: Kind, body: Body): Promise<void> {
  await connection.query(FORGET_REFERENCES, [kind.kind, body.id])
  for (const [field, toKind] of Object.entries(kind.references)) {
    const toId = body[field]
    if (typeof toId !== 'string') continue
    const found = await connection.query(EXISTS, [toKind, toId])
    if (found.rowCount === 0) {
      throw invalid([
        {
          pointer: `/${field}`,
          field,
          message: `names “${toId}”, and there is no such ${toKind}; add it or choose another`,
        },
      ])
    }
    await connection.query(ADD_REFERENCE, [kind.kind, body.id, field, toKind, toId])
  }
}

/** @returns the version of the new record: 1 */
export async function create(connection: Connection, kind: Kind, body: Body): Promise<number> {
  const { rows } = await connection.query<{ version: number }>(INSERT, [kind.kind, body.id, body])
  if (!rows[0]) {
    throw new Problem(
      409,
      'Already here',
      `There is already a ${kind.kind} with the id “${body.id}”. Choose another id, or replace it with PUT.`,
    )
  }
  await writeReferences(connection, kind, body)
  return rows[0].version
}

async function staleOrGone(
  connection: Connection,
  kind: Kind,
  id: string,
  version: number,
): Promise<Problem> {
  const now = await get(connection, kind, id)
  return new Problem(
    412,
    'Changed meanwhile',
    `You have version ${version} of this ${kind.kind}, the stored one is version ${now.version}. Load it again and repeat your change.`,
    { extra: { currentVersion: now.version } },
  )
}

/** @returns the new version */
export async function replace(
  connection: Connection,
  kind: Kind,
  version: number,
  body: Body,
): Promise<number> {
  const { rows } = await connection.query<{ version: number }>(REPLACE, [kind.kind, body.id, version, body])
  if (!rows[0]) throw await staleOrGone(connection, kind, body.id, version)
  await writeReferences(connection, kind, body)
  return rows[0].version
}

export async function remove(connection: Connection, kind: Kind, id: string, version: number): Promise<void> {
  const users = await connection.query<{ name: string }>(USERS, [kind.kind, id])
  if (users.rows.length > 0) {
    const names = users.rows.map(({ name }) => `“${name}”`).join(', ')
    throw new Problem(409, 'In use', `${names} still use this ${kind.kind}. Change that first, then delete.`)
  }
  const { rows } = await connection.query(DELETE, [kind.kind, id, version])
  if (!rows[0]) throw await staleOrGone(connection, kind, id, version)
}

export async function isEmpty(connection: Connection): Promise<boolean> {
  return (await connection.query(ANY_SHOP)).rowCount === 0
}
