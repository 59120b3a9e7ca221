/** Answers of writes, kept with the write itself: asked again with the same key, the same answer is given. */
import { randomUUID } from 'node:crypto'
import type { Request } from 'express'
import { authorOf, identityOf } from '../access/actor.ts'
import { type Connection, type Database, writingOnce } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { Problem } from '../problems.ts'
import { EPOCH_HEADER, holdEpoch } from './epoch.ts'
import { digest } from './records.ts'

export interface Answer {
  readonly status: number
  readonly etag?: string
  readonly location?: string
  /** JSON text; none for 204. */
  readonly body?: string
}

const CLAIM = `insert into stored_answer (who, key, fingerprint) values ($1, $2, $3)
  on conflict (who, key) do nothing returning key`
const FIND = `select fingerprint, status, etag, location, body from stored_answer where who = $1 and key = $2`
const KEEP = `update stored_answer set status = $3, etag = $4, location = $5, body = $6 where who = $1 and key = $2`
const FORGET_OLD = `delete from stored_answer where at < now() - make_interval(hours => ${LIMITS.answerHours})`

interface Row {
  readonly fingerprint: Buffer
  readonly status: number
  readonly etag: string | null
  readonly location: string | null
  readonly body: string | null
}

const MOST_KEY = 200

/** The key that the client gave, or one of our own: then at least we can ask the database again. */
function keyOf(request: Request): string {
  const given = request.get('Idempotency-Key')
  if (given === undefined) return randomUUID()
  if (given === '' || given.length > MOST_KEY)
    throw new Problem(
      400,
      'Which key?',
      `Idempotency-Key must be 1 to ${MOST_KEY} characters long, such as a UUID.`,
    )
  return given
}

/** The same key stands for the same request; the body's bytes, as they came, are part of it. */
const fingerprintOf = (request: Request): Buffer =>
  digest(
    request.method,
    request.originalUrl,
    request.get('If-Match') ?? '',
    request.get(EPOCH_HEADER) ?? '',
    Buffer.isBuffer(request.body) ? request.body : '',
  )

/**
 * Runs a write in one transaction, once for one key.
 * @param work is told which shop it writes to
 * @param hold `update` where it puts another shop in the place of this one
 * @returns its answer, and whether it is one that was given before
 * @throws Problem where the request is meant for another shop; UnknownOutcome where the database went away while storing and has not come back
 */
export async function answerOnce(
  database: Database,
  request: Request,
  work: (connection: Connection, epoch: string) => Promise<Answer>,
  hold: 'share' | 'update' = 'share',
): Promise<{ answer: Answer; isRepeat: boolean }> {
  const who = identityOf(request.actor)
  const key = keyOf(request)
  const fingerprint = fingerprintOf(request)
  return writingOnce(database, authorOf(request.actor), async (connection) => {
    const epoch = await holdEpoch(connection, request, hold)
    const claimed = await connection.query(CLAIM, [who, key, fingerprint])
    if (claimed.rowCount === 0) {
      const [row] = (await connection.query<Row>(FIND, [who, key])).rows
      if (!row?.fingerprint.equals(fingerprint)) {
        throw new Problem(
          422,
          'Another request had this key',
          'This Idempotency-Key came with a different request before. Use a new key for a new request.',
        )
      }
      return {
        answer: {
          status: row.status,
          ...(row.etag === null ? {} : { etag: row.etag }),
          ...(row.location === null ? {} : { location: row.location }),
          ...(row.body === null ? {} : { body: row.body }),
        },
        isRepeat: true,
      }
    }
    const answer = await work(connection, epoch)
    await connection.query(KEEP, [
      who,
      key,
      answer.status,
      answer.etag ?? null,
      answer.location ?? null,
      answer.body ?? null,
    ])
    return { answer, isRepeat: false }
  })
}

export async function forgetOldAnswers(database: Database): Promise<void> {
  await database.query(FORGET_OLD)
}
