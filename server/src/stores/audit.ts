/** Who did what, and when: written with the change itself, never changed after. */
import type { Connection } from '../database.ts'
import type { Actor } from '../access/actor.ts'

export interface Deed {
  readonly action: string
  readonly kind?: string
  readonly id?: string
  readonly version?: number
  readonly detail?: string
}

export interface AuditLine {
  readonly seq: string
  readonly at: Date
  readonly who: string
  /** Of the account or the token; names may be given out again. */
  readonly actorId: string | null
  readonly role: string
  readonly via: string
  readonly address: string | null
  readonly action: string
  readonly kind: string | null
  readonly id: string | null
  readonly version: number | null
  readonly detail: string | null
  readonly requestId: string | null
}

const COLUMNS = ['who', 'role', 'via', 'address', 'action', 'kind', 'id', 'version', 'detail', 'request_id']
const insertOf = (columns: readonly string[]): string =>
  `insert into audit (${columns.join(', ')}) values (${columns.map((_, index) => `$${index + 1}`).join(', ')})`
/** Of who has no account: it goes into the audit of any version, as a backup that is put back may be of an older one. */
const ADD = insertOf(COLUMNS)
const ADD_ACTOR = insertOf([...COLUMNS, 'actor_id'])
const MOST = 200
const LIST = `select seq::text, at, who, actor_id as "actorId", role, via, address, action, kind, id, version, detail,
    request_id as "requestId" from audit
  where $1::bigint is null or audit.seq < $1 order by audit.seq desc limit ${MOST}`

/** What was deleted before it is another shop's. */
export const BEGAN_ANOTHER_SHOP = 'began another shop'

export async function note(connection: Pick<Connection, 'query'>, actor: Actor, deed: Deed): Promise<void> {
  const actorId = actor.accountId ?? actor.tokenId
  await connection.query(actorId === null ? ADD : ADD_ACTOR, [
    actor.who,
    actor.role,
    actor.via,
    actor.address,
    deed.action,
    deed.kind ?? null,
    deed.id ?? null,
    deed.version ?? null,
    deed.detail ?? null,
    actor.requestId,
    ...(actorId === null ? [] : [actorId]),
  ])
}

/** Latest first, at most 200. @param before those older than this one */
export async function auditLines(
  connection: Connection,
  before: string | null,
): Promise<readonly AuditLine[]> {
  return (await connection.query<AuditLine>(LIST, [before])).rows
}
