/** Counts of what is used up, in rows of their own: each change of one is a movement, which a trigger writes. */
import { type StockItem, stockedThing } from '@brannik/core'
import type { Connection } from '../database.ts'
import type { RecordDocument } from '../documents/documents.ts'
import { LIMITS } from '../limits.ts'
import { invalid, Problem } from '../problems.ts'
import type { Kind } from './kinds.ts'
import { revisionOf, type Stored, type Store } from './records.ts'

const RECORD = `json_build_object('id', id, 'amount', amount)::text as record`
const PAGE = `select id, version, ${RECORD} from stock_item where id > $1 order by id limit $2`
const GET = `select id, version, ${RECORD} from stock_item where id = $1`
const HAS_THING = `select 1 from record where kind = $1 and id = $2`
const INSERT = `insert into stock_item (id, amount) values ($1, $2) on conflict (id) do nothing returning version`
const REPLACE = `update stock_item set amount = $3, version = version + 1 where id = $1 and version = $2 returning version`
const STRANGE = `select counted.id from unnest($1::text[]) as counted (id)
  left join record r on r.kind = split_part(counted.id, '.', 1) and r.id = split_part(counted.id, '.', 2)
  where r.id is null limit 1`
const COUNT = `insert into stock_item (id, amount)
  select * from unnest($1::text[], $2::numeric[]) as counted (id, amount) order by id
  on conflict (id) do update set amount = excluded.amount, version = stock_item.version + 1
  where stock_item.amount is null and excluded.amount is not null returning id, version`

const amountOf = ({ text }: RecordDocument): number | null => (JSON.parse(text) as StockItem).amount

async function get(connection: Connection, _kind: Kind, id: string): Promise<Stored> {
  const { rows } = await connection.query<Stored>(GET, [id])
  if (!rows[0])
    throw new Problem(404, 'Not here', `Nobody has counted “${id}” yet. Send the first count with POST.`)
  return rows[0]
}

export const STOCK: Store = {
  revisionOf,
  get,
  async page(connection, _kind, after, limit = LIMITS.pageMostItems) {
    const { rows } = await connection.query<Stored>(PAGE, [after?.id ?? '', limit + 1])
    const items = rows.slice(0, limit)
    const last = items.at(-1)
    return { items, next: last && rows.length > limit ? { name: '', id: last.id } : null }
  },
  async create(connection, _kind, document) {
    const { kind, id } = stockedThing(document.id)
    if ((await connection.query(HAS_THING, [kind, id])).rowCount === 0) {
      const message = `names the ${kind} “${id}”, and there is none; add it first`
      throw invalid([{ pointer: '/id', field: 'id', message }])
    }
    const { rows } = await connection.query<{ version: number }>(INSERT, [document.id, amountOf(document)])
    if (!rows[0])
      throw new Problem(
        409,
        'Already here',
        `“${document.id}” has been counted before. Replace its count with PUT.`,
      )
    return rows[0].version
  },
  async replace(connection, kind, version, document) {
    const values = [document.id, version, amountOf(document)]
    const { rows } = await connection.query<{ version: number }>(REPLACE, values)
    if (rows[0]) return rows[0].version
    const now = await get(connection, kind, document.id)
    throw new Problem(
      412,
      'Changed meanwhile',
      `You have version ${version} of this count, the stored one is version ${now.version}. Load it again and count anew.`,
      { extra: { currentVersion: now.version } },
    )
  },
  remove() {
    throw new Problem(
      405,
      'Counts stay',
      'A count is not deleted: write the amount null where nobody knows it any more.',
    )
  },
}

/**
 * Counts many at once. What is counted already stays: a file says nothing of what was used since it was written.
 * @returns those that are counted now, with their versions
 * @throws Problem where one names what is not there
 */
export async function countMany(
  connection: Connection,
  counts: readonly StockItem[],
): Promise<readonly { readonly id: string; readonly version: number }[]> {
  if (counts.length === 0) return []
  const ids = counts.map(({ id }) => id)
  const strange = (await connection.query<{ id: string }>(STRANGE, [ids])).rows[0]
  if (strange) {
    const place = ids.indexOf(strange.id)
    const message = `is “${strange.id}”, and there is no such thing; add it or leave its count out`
    throw invalid([
      { pointer: `/catalogue/stock/${place}/id`, field: `catalogue › stock › ${place + 1} › id`, message },
    ])
  }
  const values = [ids, counts.map(({ amount }) => amount)]
  return (await connection.query<{ id: string; version: number }>(COUNT, values)).rows
}
