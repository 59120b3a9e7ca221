/** Lists by the page: each answer is kept, and told unchanged, as long as nothing of its kind has changed. */
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import type { Request, RequestHandler } from 'express'
import { fieldsOf, OWNERSHIPS, PART_KINDS } from '@brannik/core'
import { z } from 'zod'
import { reading, type Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { invalid, Problem } from '../problems.ts'
import { epochNow, etagOf } from '../stores/epoch.ts'
import type { Kind } from '../stores/kinds.ts'
import type { Filter, Page, PageStart, Store } from '../stores/records.ts'

/** Where a page begins, as text that an address can carry. */
const cursorOf = ({ name, id }: PageStart): string =>
  Buffer.from(JSON.stringify([name, id])).toString('base64url')
const pageStartSchema = z.tuple([z.string(), z.string()])

function pageStartOf(cursor: string): PageStart {
  try {
    const [name, id] = pageStartSchema.parse(JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8')))
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

const oneOf = (words: readonly string[]) => z.enum(words, `must be one of ${words.join(', ')}`)

/** Fields by which a list can be cut down: those of a few words, as their schemas describe them. */
function filterFieldsOf({ kind }: Kind): ReadonlyMap<string, z.ZodType> {
  if (kind === 'part')
    return new Map([
      ['kind', oneOf(PART_KINDS)],
      ['held', oneOf(OWNERSHIPS)],
    ])
  return new Map(
    fieldsOf(kind).flatMap((one): [string, z.ZodType][] => {
      const isWords = one.kind === 'choice' && one.choices.every((choice) => typeof choice === 'string')
      return isWords ? [[one.path.join('.'), oneOf(one.choices.map(String))]] : []
    }),
  )
}

const MOST_WORDS = 20
/** How many one answer holds at most. */
export const limitSchema = z.coerce
  .number('must be a number')
  .int('must be a whole number')
  .min(1, 'must be at least 1')
  .max(LIMITS.pageMostItems, `must be at most ${LIMITS.pageMostItems}`)
  .default(LIMITS.pageItems)
const after = z
  .string()
  .max(2000, 'is too long')
  .optional()
  .meta({ description: '`next` of the page before' })
const search = z
  .string()
  .max(200, 'is too long')
  .optional()
  .meta({ description: 'Words that must all occur in the name, in any order' })
/** By what a list can be asked for; a count has no name and no fields to look for. */
export const listQueryOf = (kind: Kind): z.ZodRawShape => ({
  limit: limitSchema,
  after,
  ...(kind.kind === 'stock' ? {} : { search }),
  ...Object.fromEntries([...filterFieldsOf(kind)].map(([name, schema]) => [name, schema.optional()])),
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

interface Query {
  readonly limit: number
  readonly after?: string
  readonly search?: string
  readonly [field: string]: unknown
}

/** A page as it goes out, plain and packed: packed once, not for everybody who asks. */
interface PackedPage {
  readonly plain: Buffer
  readonly packed: Buffer
}

/**
 * Pages by what was asked; the oldest go first when they weigh too much. Many who ask for the same page at once wait for
 * one making of it.
 */
class PageCache {
  private readonly pages = new Map<string, Promise<PackedPage>>()
  private readonly weights = new Map<string, number>()
  private bytes = 0

  /** @param make called where there is none of that revision yet */
  async of(key: string, revision: string, make: () => Promise<PackedPage>): Promise<PackedPage> {
    const name = `${revision} ${key}`
    const known = this.pages.get(name)
    if (known) return known
    const making = make()
    this.pages.set(name, making)
    try {
      const made = await making
      this.weigh(name, made)
      return made
    } catch (error) {
      this.drop(name)
      throw error
    }
  }

  private weigh(name: string, { plain, packed }: PackedPage): void {
    const weight = plain.length + packed.length
    this.weights.set(name, weight)
    this.bytes += weight
    for (const oldest of this.pages.keys()) {
      if (this.bytes <= LIMITS.keptListBytes) return
      this.drop(oldest)
    }
  }

  private drop(name: string): void {
    this.bytes -= this.weights.get(name) ?? 0
    this.weights.delete(name)
    this.pages.delete(name)
  }
}

const pack = promisify(gzip)
/** Fast: what is packed twice as well takes four times as long. */
const LEVEL = 4

async function packedPage(epoch: string, { items, next }: Page): Promise<PackedPage> {
  const list = items.map(({ version, record }) => `{"version":${version},"record":${record}}`)
  const plain = Buffer.from(
    `{"epoch":"${epoch}","items":[${list.join(',')}],"next":${JSON.stringify(next && cursorOf(next))}}`,
  )
  return { plain, packed: await pack(plain, { level: LEVEL }) }
}

export function listHandler(database: Database, kind: Kind, store: Store): RequestHandler {
  const schema = z.strictObject(listQueryOf(kind)) as unknown as z.ZodType<Query>
  const kept = new PageCache()
  return async (request, response) => {
    const { limit, after, search = '', ...fields } = queryOf(schema, request) as Query
    const from = after === undefined ? null : pageStartOf(after)
    const filter: Filter = {
      words: search.toLowerCase().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS),
      fields,
    }
    // The revision is read first: a page may then be newer than it says, never older.
    const { epoch, revision } = await reading(database, async (connection) => ({
      epoch: await epochNow(connection),
      revision: await store.revisionOf(connection, kind),
    }))
    const etag = etagOf(epoch, `${kind.kind}-${revision}`)
    response.set('ETag', etag).set('Cache-Control', 'private, no-cache').vary('Accept-Encoding')
    if (request.get('If-None-Match') === etag) {
      response.status(304).end()
      return
    }
    const { plain, packed } = await kept.of(JSON.stringify([limit, after, filter]), etag, async () =>
      packedPage(
        epoch,
        await reading(database, (connection) => store.page(connection, kind, from, limit, filter)),
      ),
    )
    response.type('application/json')
    if (request.acceptsEncodings('gzip') === false) response.send(plain)
    else response.set('Content-Encoding', 'gzip').send(packed)
  }
}

export const numberInPath = (text: string, what: string): number => {
  if (!/^\d{1,9}$/.test(text))
    throw new Problem(404, 'Not here', `“${text.slice(0, 40)}” is no ${what}; it must be a whole number.`)
  return Number(text)
}
