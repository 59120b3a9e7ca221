/** The ledger of the stores: movements newest first, balances, what each job used, and whether the chain is whole. */
import { MOVE_REASONS } from '@brannik/core'
import { z } from 'zod'
import { type Connection, reading } from '../database.ts'
import { limitSchema, queryOf } from '../routes/lists.ts'
import type { AddRoutes } from '../services.ts'
import { epochNow } from '../stores/epoch.ts'
import { BEGAN, EVENT } from './store.ts'

export const ledgerQuerySchema = z.strictObject({
  item: z
    .string()
    .regex(/^[a-z-]+\.[a-z0-9-]{1,64}$/, 'must be a kind and an id such as wire.er70s6-035')
    .optional(),
  job: z
    .string()
    .regex(/^[a-z0-9-]{1,64}$/, 'must be an id: small letters, digits and hyphens')
    .optional(),
  reason: z.enum(MOVE_REASONS, `must be one of ${MOVE_REASONS.join(', ')}`).optional(),
  before: z
    .string()
    .regex(/^\d{1,15}$/, 'must be what the page before says in `next`')
    .optional(),
  limit: limitSchema,
})
type LedgerQuery = z.infer<typeof ledgerQuerySchema>

/** @returns the statement of one page with its values; a test reads its plan */
export function ledgerPage({ item, job, reason, before, limit }: LedgerQuery): {
  readonly text: string
  readonly values: readonly unknown[]
} {
  const values: unknown[] = []
  const given = (value: unknown): string => `$${values.push(value)}`
  const filters = [`type = 'stock-movement'`, BEGAN]
  if (item !== undefined) filters.push(`subject = ${given(item)}`)
  if (job !== undefined) filters.push(`body ->> 'jobId' = ${given(job)}`)
  if (reason !== undefined) filters.push(`coalesce(body ->> 'reason', 'counted') = ${given(reason)}`)
  if (before !== undefined) filters.push(`seq < ${given(before)}`)
  const text = `select seq, exists (select 1 from event later where later.corrects = event.seq) as is_corrected,
    ${EVENT} from event where ${filters.join(' and ')} order by seq desc limit ${given(limit + 1)}`
  return { text, values }
}

export const BALANCES = `select item, amount::float8 as amount, movements::int as movements, counted_at as "countedAt"
  from stock_balance order by item`
/** What came out of a cylinder or off a spool is of the gas or the wire that it holds. */
export const USED = `select job_id as "jobId", held.item, sum(amount)::float8 as amount
  from stock_used u
  left join record c on c.kind = split_part(u.item, '.', 1) and c.id = split_part(u.item, '.', 2)
    and c.kind in ('cylinder', 'spool')
  cross join lateral (select coalesce('gas.' || (c.body ->> 'gasId'), 'wire.' || (c.body ->> 'wireId'), u.item)) held (item)
  where exists (select 1 from record where kind = 'job' and id = job_id)
  group by job_id, held.item having sum(amount) <> 0 order by job_id, held.item`
const BREAK = `select count(*)::int as events, (select min(seq)::int from event_break) as "brokenAt" from event`

async function page(connection: Pick<Connection, 'query'>, query: LedgerQuery) {
  const { text, values } = ledgerPage(query)
  const { rows } = await connection.query<{ seq: string; is_corrected: boolean; event: string }>(text, [
    ...values,
  ])
  const shown = rows.slice(0, query.limit)
  return {
    items: shown.map((row) => `{"isCorrected":${row.is_corrected},"event":${row.event}}`),
    next: rows.length > query.limit ? (shown.at(-1)?.seq ?? null) : null,
  }
}

export const ledgerRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/ledger', 'guest', async (request, response) => {
    const query = queryOf(ledgerQuerySchema, request)
    const { epoch, found } = await reading(database, async (connection) => ({
      epoch: await epochNow(connection),
      found: await page(connection, query),
    }))
    response
      .type('application/json')
      .send(`{"epoch":"${epoch}","items":[${found.items.join(',')}],"next":${JSON.stringify(found.next)}}`)
  })
  api.on('get', '/ledger/balances', 'guest', async (_request, response) => {
    const found = await reading(database, async (connection) => ({
      epoch: await epochNow(connection),
      balances: (await connection.query(BALANCES)).rows,
      used: (await connection.query(USED)).rows,
    }))
    response.json(found)
  })
  api.on('get', '/ledger/check', 'guest', async (_request, response) => {
    const [found] = await reading(
      database,
      async (connection) => (await connection.query<{ events: number; brokenAt: number | null }>(BREAK)).rows,
    )
    response.json({
      events: found?.events ?? 0,
      isWhole: (found?.brokenAt ?? null) === null,
      brokenAt: found?.brokenAt ?? null,
    })
  })
}
