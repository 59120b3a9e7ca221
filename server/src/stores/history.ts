/** Every version that a record ever had: looked at, and what was deleted found again. Triggers of the database keep it. */
import { upcastRecord } from '@brannik/core'
import type { Author, Connection } from '../database.ts'
import { Problem } from '../problems.ts'
import { BEGAN_ANOTHER_SHOP } from './audit.ts'
import type { Kind } from './kinds.ts'

export interface Version {
  readonly version: number
  readonly at: Date
  readonly who: string
  /** Of the account or the token; names may be given out again. */
  readonly actorId: string | null
  readonly actorKind: Author['kind']
  readonly deleted: boolean
}

export interface Deleted {
  readonly kind: string
  readonly id: string
  readonly name: string
  /** Of the last version that was something. */
  readonly version: number
  readonly at: Date
  readonly who: string
  readonly actorId: string | null
  readonly actorKind: Author['kind']
}

const MOST = 200
const VERSIONS = (kept: string) => `select version, at, who, actor_id as "actorId",
    actor_kind as "actorKind", body is null as deleted from ${kept}
  where kind = $1 and id = $2 and ($3::int is null or version < $3) order by version desc limit ${MOST}`
/** Of counts the movements are the history. */
const keptIn = ({ kind }: Kind): string => (kind === 'stock' ? 'stock_history' : 'record_history')
const ONE = (kept: string) =>
  `select body as record, schema_version as written from ${kept} where kind = $1 and id = $2 and version = $3`
const DELETED = `select h.kind, h.id, h.at, h.who, h.actor_id as "actorId", h.actor_kind as "actorKind",
    h.version - 1 as version, before.body ->> 'name' as name
  from record_history h
  join record_history before on before.kind = h.kind and before.id = h.id and before.version = h.version - 1
  where h.body is null and not exists (select 1 from record r where r.kind = h.kind and r.id = h.id)
    and not exists (select 1 from record_history later
      where later.kind = h.kind and later.id = h.id and later.version > h.version)
    and h.at > coalesce((select max(at) from audit where action = '${BEGAN_ANOTHER_SHOP}'), '-infinity')
  order by h.at desc, h.kind, h.id limit ${MOST}`

/** Latest first, at most 200 of them. @param before a version: those older than it */
export async function versionsOf(
  connection: Connection,
  kind: Kind,
  id: string,
  before: number | null,
): Promise<readonly Version[]> {
  return (await connection.query<Version>(VERSIONS(keptIn(kind)), [kind.kind, id, before])).rows
}

/** @returns JSON text */
export async function versionOf(
  connection: Connection,
  kind: Kind,
  id: string,
  version: number,
): Promise<string> {
  const { rows } = await connection.query<{ record: object | null; written: number }>(ONE(keptIn(kind)), [
    kind.kind,
    id,
    version,
  ])
  const [row] = rows
  // It is kept as it was written, and shown as this version writes it.
  const upcast = row?.record ? upcastRecord(kind.kind, row.written, row.record) : null
  if (!upcast?.ok)
    throw new Problem(404, 'Not here', `There is no version ${version} of the ${kind.kind} “${id}”.`)
  return JSON.stringify(upcast.value)
}

/** What is deleted and not there again, latest first, at most 200. */
export async function deletedRecords(connection: Connection): Promise<readonly Deleted[]> {
  return (await connection.query<Deleted>(DELETED)).rows
}
