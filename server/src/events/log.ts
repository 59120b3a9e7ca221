/** The log of welds: searched by words and filters, newest first, page by page. */
import { OUTCOMES, RECORD_STATES } from '@brannik/core'
import { z } from 'zod'
import { type Connection, reading } from '../database.ts'
import { limitSchema, queryOf } from '../routes/lists.ts'
import type { AddRoutes } from '../services.ts'
import { epochNow } from '../stores/epoch.ts'
import { EVENT } from './store.ts'

const id = z
  .string()
  .regex(/^[a-z0-9-]{1,64}$/, 'must be an id: small letters, digits and hyphens')
  .optional()
/** A day of UTC; or a moment, for whoever counts the days of another zone. */
const dayOrMoment = z
  .union([z.iso.date(), z.iso.datetime()], 'must be a date such as 2027-03-31, or 2027-03-31T10:00:00Z')
  .optional()
const isDay = (text: string): boolean => !text.includes('T')
/** Without its zone the database would take a day for one of its own. */
const momentOf = (text: string): string => (isDay(text) ? `${text}T00:00:00Z` : text)
const MOST_WORDS = 12

export const logQuerySchema = z.strictObject({
  search: z.string().max(200, 'is too long').optional().meta({
    description: 'Words that must all begin a word of the row, in any order. Its day is that of UTC',
  }),
  job: id,
  weld: id,
  setUp: id,
  source: id,
  wire: id,
  gas: id,
  state: z.enum(RECORD_STATES, `must be one of ${RECORD_STATES.join(', ')}`).optional(),
  outcome: z.enum(OUTCOMES, `must be one of ${OUTCOMES.join(', ')}`).optional(),
  from: dayOrMoment.meta({ description: 'The first day, UTC; or the moment from which on' }),
  to: dayOrMoment.meta({ description: 'The last day, UTC; or the moment before which' }),
  before: z
    .string()
    .regex(/^\d{1,15}$/, 'must be what the page before says in `next`')
    .optional(),
  limit: limitSchema,
})
type LogQuery = z.infer<typeof logQuerySchema>

/** What is typed becomes prefixes that must all be there; marks of the query language mean nothing. */
export const prefixesOf = (search: string): string | null => {
  const words = search.split(/[\s&|!():*<>'"\\]+/).filter((word) => /[\p{L}\p{N}]/u.test(word))
  return words.length === 0
    ? null
    : words
        .slice(0, MOST_WORDS)
        .map((word) => `'${word}':*`)
        .join(' & ')
}

const COLUMNS = {
  job: 'job_id',
  weld: 'joint_id',
  setUp: 'set_up_id',
  source: 'source_id',
  wire: 'wire_id',
  gas: 'gas_id',
  state: 'state',
  outcome: 'outcome',
} as const satisfies Partial<Record<keyof LogQuery, string>>

/** @returns rows as JSON text, newest first, and where the next page begins; null where this is the last */
export async function searchLog(
  connection: Pick<Connection, 'query'>,
  query: LogQuery,
): Promise<{ readonly items: readonly string[]; readonly next: string | null }> {
  const values: unknown[] = []
  const given = (value: unknown): string => `$${values.push(value)}`
  const filters = Object.entries(COLUMNS).flatMap(([key, column]) => {
    const value = query[key as keyof typeof COLUMNS]
    return value === undefined ? [] : [`l.${column} = ${given(value)}`]
  })
  const prefixes = prefixesOf(query.search ?? '')
  if (prefixes !== null) filters.push(`l.words @@ to_tsquery('simple', ${given(prefixes)})`)
  const { from, to } = query
  if (from !== undefined) filters.push(`l.welded_at >= ${given(momentOf(from))}::timestamptz`)
  if (to !== undefined)
    filters.push(
      `l.welded_at < ${given(momentOf(to))}::timestamptz${isDay(to) ? " + interval '24 hours'" : ''}`,
    )
  if (query.before !== undefined)
    filters.push(
      `(l.welded_at, l.seq) < (select welded_at, seq from weld_log where seq = ${given(query.before)})`,
    )
  const where = filters.length === 0 ? '' : `where ${filters.join(' and ')}`
  // The rows are found first, by what is narrow; only those of the page are read whole.
  const { rows } = await connection.query<{ seq: string; event: string }>(
    `select e.seq, ${EVENT} from (
       select l.seq as found, l.welded_at from weld_log l ${where}
       order by l.welded_at desc, l.seq desc limit ${given(query.limit + 1)}
     ) one join event e on e.seq = one.found order by one.welded_at desc, e.seq desc`,
    values,
  )
  const items = rows.slice(0, query.limit)
  return {
    items: items.map(({ event }) => event),
    next: rows.length > query.limit ? (items.at(-1)?.seq ?? null) : null,
  }
}

export const logRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/log', 'guest', async (request, response) => {
    const query = queryOf(logQuerySchema, request)
    const { epoch, found } = await reading(database, async (connection) => ({
      epoch: await epochNow(connection),
      found: await searchLog(connection, query),
    }))
    response
      .type('application/json')
      .send(`{"epoch":"${epoch}","items":[${found.items.join(',')}],"next":${JSON.stringify(found.next)}}`)
  })
}
