/** Events as rows: appended, read from any number on, and never changed. */
import type { EventType, NewEvent, RecordedType } from '@brannik/core'
import type { Author, Connection } from '../database.ts'
import { invalid } from '../problems.ts'
import { append } from './append.ts'
import { moveStock } from './stockMovement.ts'

/** An event as JSON text. */
export const EVENT = `json_build_object('seq', seq, 'at', to_json(at at time zone 'UTC') #>> '{}' || 'Z', 'who', who,
  'actorId', actor_id, 'actorKind', actor_kind, 'type', type,
  'subject', subject, 'body', body, 'corrects', corrects)::text as event`
/** Of this shop: what happened in one that was replaced stays in the events. */
export const BEGAN = `seq > coalesce((select max(seq) from event where type = 'shop-begun'), 0)`
const SINCE = `select seq, ${EVENT} from event where seq > $1
  and ($5::boolean is false or ${BEGAN})
  and ($2::text is null or type = $2) and ($3::text is null or subject = $3) order by seq limit $4`
const BY_KEY = `select ${EVENT} from event where coalesce(actor_id::text, who) in ($1, $2) and key = $3`
const LAST_OF = `select ${EVENT} from event where subject = $1 and type = $2 order by seq desc limit 1`
const TOGETHER = `select 1 from event where seq = $1 and subject = $2 and type = $3`
const SAY = `select set_config('brannik.event_key', $1, true), set_config('brannik.event_corrects', $2, true)`

/** What recording an event of a type does: it refuses what cannot be, and leaves one row. */
const RECORDERS: {
  readonly [T in RecordedType]: (connection: Connection, sent: NewEvent<T>) => Promise<void>
} = {
  'stock-movement': moveStock,
  'step-ticked': append,
  'weld-recorded': append,
  'evidence-taken': append,
  'part-replaced': append,
  'lesson-settled': append,
  'work-marked': append,
}

export interface EventFilter {
  readonly since: number
  readonly type: EventType | null
  readonly subject: string | null
  /** Only what happened since the shop that is stored was begun. */
  readonly isOfThisShop: boolean
}

/** @returns events as JSON text, oldest first, and the number to go on from */
export async function eventsSince(
  connection: Pick<Connection, 'query'>,
  { since, type, subject, isOfThisShop }: EventFilter,
  limit: number,
): Promise<{ readonly items: readonly string[]; readonly next: number }> {
  const { rows } = await connection.query<{ seq: string; event: string }>(SINCE, [
    since,
    type,
    subject,
    limit,
    isOfThisShop,
  ])
  return { items: rows.map(({ event }) => event), next: Number(rows.at(-1)?.seq ?? since) }
}

/**
 * @param key the writer's own name for it; null where it has none
 * @returns the event as JSON text; the earlier one where this key recorded one before
 * @throws Problem where it cannot have happened
 */
export async function addEvent(
  connection: Connection,
  { who, id }: Pick<Author, 'who' | 'id'>,
  key: string | null,
  sent: NewEvent,
): Promise<{ readonly event: string; readonly isNew: boolean }> {
  // Told by somebody who had no account yet, or before it was kept whose it is.
  const known =
    key === null ? null : (await connection.query<{ event: string }>(BY_KEY, [id ?? who, who, key])).rows[0]
  if (known) return { event: known.event, isNew: false }
  const corrects = sent.corrects ?? null
  if (
    corrects !== null &&
    (await connection.query(TOGETHER, [corrects, sent.subject, sent.type])).rowCount === 0
  ) {
    const message = `is ${corrects}, and no event of ${sent.subject} has that number; give the seq of one that it corrects`
    throw invalid([{ pointer: '/corrects', field: 'corrects', message }])
  }
  await connection.query(SAY, [key ?? '', corrects === null ? '' : String(corrects)])
  const record = RECORDERS[sent.type] as (connection: Connection, sent: NewEvent) => Promise<void>
  await record(connection, sent)
  const { rows } = await connection.query<{ event: string }>(LAST_OF, [sent.subject, sent.type])
  if (!rows[0]) throw new Error(`${sent.type} left no row`)
  return { event: rows[0].event, isNew: true }
}
