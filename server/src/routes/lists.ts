/** Lists by the page: each answer is kept, and told unchanged, as long as nothing of its kind has changed. */
import type { Request, RequestHandler } from 'express'
import { z } from 'zod'
import { reading, type Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { invalid, Problem } from '../problems.ts'
import type { Kind } from '../stores/kinds.ts'
import * as records from '../stores/records.ts'

/** Where a page begins, as text that an address can carry. */
const cursorOf = ({ name, id }: records.Place): string =>
  Buffer.from(JSON.stringify([name, id])).toString('base64url')
const placeSchema = z.tuple([z.string(), z.string()])

function placeOf(cursor: string): records.Place {
  try {
    const [name, id] = placeSchema.parse(JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8')))
    if (`${name}${id}`.includes('\u0000')) throw new Error('no text of ours')
    return { name, id }
  } catch {
    throw invalid([
      {
        pointer: '/after',
        field: 'after',
        message: 'is not where a page begins; give what the page before says in `next`, or leave it out',
      },
    ])
  }
}

const querySchema = z.strictObject({
  limit: z.coerce
    .number('must be a number')
    .int('must be a whole number')
    .min(1, 'must be at least 1')
    .max(LIMITS.pageMostItems, `must be at most ${LIMITS.pageMostItems}`)
    .default(LIMITS.pageItems),
  after: z.string().max(2000, 'is too long').optional(),
})

/** @throws Problem that names what of the query is not right */
export function queryOf<T>(schema: z.ZodType<T>, request: Request): T {
  const read = schema.safeParse(request.query)
  if (read.success) return read.data
  throw invalid(
    read.error.issues.map(({ path, message }) => ({
      pointer: `/${path.join('/')}`,
      field: path.join(' › ') || 'the query',
      message,
    })),
  )
}

interface Kept {
  readonly revision: string
  readonly body: Buffer
}

/** Answers by what was asked; the oldest go first when they weigh too much. */
class KeptAnswers {
  private readonly answers = new Map<string, Kept>()
  private bytes = 0

  find(key: string, revision: string): Buffer | null {
    const kept = this.answers.get(key)
    if (kept?.revision !== revision) return null
    this.answers.delete(key)
    this.answers.set(key, kept)
    return kept.body
  }

  keep(key: string, kept: Kept): void {
    this.drop(key)
    this.answers.set(key, kept)
    this.bytes += kept.body.length
    for (const oldest of this.answers.keys()) {
      if (this.bytes <= LIMITS.keptListBytes) return
      this.drop(oldest)
    }
  }

  private drop(key: string): void {
    const kept = this.answers.get(key)
    if (!kept) return
    this.bytes -= kept.body.length
    this.answers.delete(key)
  }
}

const bodyOf = ({ items, next }: records.Page): Buffer =>
  Buffer.from(
    `{"items":[${items.map(({ version, record }) => `{"version":${version},"record":${record}}`).join(',')}],"next":${JSON.stringify(next && cursorOf(next))}}`,
  )

export function listHandler(database: Database, kind: Kind): RequestHandler {
  const kept = new KeptAnswers()
  return async (request, response) => {
    const { limit, after } = queryOf(querySchema, request)
    const from = after === undefined ? null : placeOf(after)
    const key = `${limit} ${after ?? ''}`
    const etagOf = (revision: string): string => `"${kind.kind}-${revision}"`
    const answer = await reading(database, async (connection) => {
      // The revision is read first: a page may then be newer than it says, never older.
      const revision = await records.revisionOf(connection, kind)
      if (request.get('If-None-Match') === etagOf(revision)) return { revision, body: null }
      const body = kept.find(key, revision)
      if (body) return { revision, body }
      const fresh = bodyOf(await records.page(connection, kind, from, limit))
      kept.keep(key, { revision, body: fresh })
      return { revision, body: fresh }
    })
    response.set('ETag', etagOf(answer.revision)).set('Cache-Control', 'private, no-cache')
    if (answer.body === null) response.status(304).end()
    else response.type('application/json').send(answer.body)
  }
}

export const numberInPath = (text: string, what: string): number => {
  if (!/^\d{1,9}$/.test(text))
    throw new Problem(404, 'Not here', `“${text.slice(0, 40)}” is no ${what}; it must be a whole number.`)
  return Number(text)
}
