/** Carries what is stored up to this version's schemas, with the same steps that files and drafts go through. */
import { KIND_FACTS, type KindFacts, upcastRecord } from '@brannik/core'
import type { Connection } from './database.ts'

const OLDER = `select id, body, schema_version as written from record where kind = $1 and schema_version < $2
  order by id for update`
const CARRY = `update record set body = $3, schema_version = $4, version = version + 1, updated_at = now()
  where kind = $1 and id = $2`
const ANY_OLDER = `select 1 from record where kind = $1 and schema_version < $2 limit 1`

interface Older {
  readonly id: string
  readonly body: object
  readonly written: number
}

async function upcastKind(connection: Connection, { kind, version: current }: KindFacts): Promise<number> {
  const { rows } = await connection.query<Older>(OLDER, [kind, current])
  for (const { id, body, written } of rows) {
    const upcast = upcastRecord(kind, written, body)
    if (!upcast.ok) throw new Error(`The ${kind} “${id}” ${upcast.message}.`)
    await connection.query(CARRY, [kind, id, JSON.stringify(upcast.value), current])
  }
  return rows.length
}

/** @returns how many records were carried up; each of them has a new version in its history */
export async function upcastStored(connection: Connection): Promise<number> {
  let carried = 0
  for (const kind of KIND_FACTS) carried += await upcastKind(connection, kind)
  return carried
}

/** Whether anything stored is older than this version's schemas. */
export async function isUpcastDue(connection: Pick<Connection, 'query'>): Promise<boolean> {
  for (const { kind, version } of KIND_FACTS) {
    const { rowCount } = await connection.query(ANY_OLDER, [kind, version])
    if (rowCount === 1) return true
  }
  return false
}
