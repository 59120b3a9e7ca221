/** What has changed since a page last heard of it. */
import { z } from 'zod'
import type { ClientBase, Pool } from 'pg'
import { LIMITS } from '../limits.ts'

export const changeSchema = z.object({
  kind: z.string(),
  /** Absent where very many changed at once. */
  id: z.string().optional(),
  /** 0: it was deleted. */
  version: z.number().int().optional(),
})
export type Change = z.infer<typeof changeSchema>

/** As what it is told that another shop is stored; its id is the epoch. */
export const EPOCH = 'epoch'

type Asked = Pick<ClientBase | Pool, 'query'>

/**
 * Which shop, which database, the oldest transaction that still runs, and the time. Transaction ids of another cluster
 * mean nothing here.
 */
const POSITION = /^([0-9a-f]{12})\.(\d+\.\d+\.[0-9A-F]{8})\.(\d+)\.(\d+)$/
const HERE = `select (select id from shop_epoch) as epoch, database_place() as place,
  pg_snapshot_xmin(pg_current_snapshot())::text as tx,
  floor(extract(epoch from now()))::bigint as second`
/** Of a kind with very many rows the kind alone is told. Several rows of one record are told in the order of writing. */
const SINCE = `select kind, id, version from change_log where tx >= $1::text::xid8 order by tx, version limit $2`
const KINDS_SINCE = `select distinct kind from change_log where tx >= $1::text::xid8 and kind <> '${EPOCH}' order by kind`
const FORGET_OLD = `delete from change_log where at < now() - interval '${LIMITS.changeLogS} seconds'`

interface Here {
  readonly epoch: string
  readonly place: string
  readonly tx: string
  readonly second: string
}

const here = async (database: Asked): Promise<Here> => {
  const { rows } = await database.query<Here>(HERE)
  const [row] = rows
  if (!row) throw new Error('the database does not say where it stands')
  return row
}
const textOf = ({ epoch, place, tx, second }: Here): string => `${epoch}.${place}.${tx}.${second}`

/** @returns up to where everything has been written: what comes after it is in `changesSince` */
export const positionNow = async (database: Asked): Promise<string> => textOf(await here(database))
/** @returns the same, and which shop is stored */
export async function standing(
  database: Asked,
): Promise<{ readonly epoch: string; readonly position: string }> {
  const now = await here(database)
  return { epoch: now.epoch, position: textOf(now) }
}

/**
 * @param since a position that was given before; null where the page has none
 * @returns the position now, and what was written since the earlier one, some of it perhaps once more;
 *   changes null where that is not known, or no longer; of another shop only that
 */
export async function changesSince(
  database: Asked,
  since: string | null,
): Promise<{ readonly position: string; readonly changes: readonly Change[] | null }> {
  // Before the changes are read: what is written between the two is told again rather than never.
  const now = await here(database)
  const position = textOf(now)
  const [, epoch, place, tx = '', second] = POSITION.exec(since ?? '') ?? []
  if (epoch !== undefined && epoch !== now.epoch)
    return { position, changes: [{ kind: EPOCH, id: now.epoch }] }
  // An hour before it is forgotten, so that nothing is forgotten meanwhile.
  const isKnown = place === now.place && Number(now.second) - Number(second) < LIMITS.changeLogS - 3600
  if (!isKnown) return { position, changes: null }
  const { rows } = await database.query<Change>(SINCE, [tx, LIMITS.changesTold + 1])
  const found =
    rows.length <= LIMITS.changesTold ? rows : (await database.query<Change>(KINDS_SINCE, [tx])).rows
  const changes = found.map(({ kind, id, version }) => (id ? { kind, id, version: version ?? 0 } : { kind }))
  return { position, changes }
}

export async function forgetOldChanges(database: Asked): Promise<void> {
  await database.query(FORGET_OLD)
}
