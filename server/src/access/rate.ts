/** How often: counted in the database, so that all servers on it count together. */
import { rateLimit, type Store } from 'express-rate-limit'
import type { Request, RequestHandler } from 'express'
import type { Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { Problem } from '../problems.ts'
import { isWrite } from './guard.ts'

const WINDOW_MS = 60_000
const HIT = `insert into rate_window (key, hits, resets_at) values ($1, 1, now() + interval '1 minute')
  on conflict (key) do update set
    hits = case when rate_window.resets_at < now() then 1 else rate_window.hits + 1 end,
    resets_at = case when rate_window.resets_at < now() then now() + interval '1 minute' else rate_window.resets_at end
  returning hits as "totalHits", resets_at as "resetTime"`
const UNHIT = `update rate_window set hits = greatest(0, hits - 1) where key = $1`
const RESET = `delete from rate_window where key = $1`
const FORGET = `delete from rate_window where resets_at < now() - interval '1 hour'`

const storeIn = (database: Database, prefix: string): Store => ({
  prefix,
  async increment(key) {
    const { rows } = await database.query<{ totalHits: number; resetTime: Date }>(HIT, [prefix + key])
    return rows[0] ?? { totalHits: 1, resetTime: new Date(Date.now() + WINDOW_MS) }
  },
  async decrement(key) {
    await database.query(UNHIT, [prefix + key])
  },
  async resetKey(key) {
    await database.query(RESET, [prefix + key])
  },
})

function limited(
  database: Database,
  prefix: string,
  limit: number,
  keyOf: (request: Request) => string,
): RequestHandler {
  return rateLimit({
    windowMs: WINDOW_MS,
    limit,
    store: storeIn(database, prefix),
    keyGenerator: keyOf,
    legacyHeaders: false,
    standardHeaders: false,
    handler: (request, _response, next) => {
      const resetsAt = (request as { rateLimit?: { resetTime?: Date } }).rateLimit?.resetTime
      const s = Math.max(1, Math.ceil(((resetsAt?.getTime() ?? 0) - Date.now()) / 1000))
      next(
        new Problem(429, 'Too often', `That is more than ${limit} a minute. Try again in ${s} s.`, {
          retryAfterS: s,
        }),
      )
    },
  }) as unknown as RequestHandler
}

/** Writes of one person or program. */
export function limitWrites(database: Database, perMinute: number): RequestHandler {
  const handler = limited(database, 'write ', perMinute, ({ actor }) => `${actor.via} ${actor.who}`)
  return (request, response, next) => {
    if (isWrite(request) && request.actor.role !== null) {
      void handler(request, response, next)
      return
    }
    next()
  }
}

/** Tries to sign in from one address. */
export const limitSignIns = (database: Database): RequestHandler =>
  limited(database, 'sign-in ', LIMITS.signInsPerMinute, ({ ip }) => ip ?? 'unknown')

/** How long after each wrong password the next try of the same name must wait. */
const FAILURE = `insert into sign_in_failure (key, failures) values (lower($1), 1)
  on conflict (key) do update set failures = sign_in_failure.failures + 1, last_at = now()`
const WAIT = `select greatest(0, extract(epoch from last_at + make_interval(secs =>
    least(${LIMITS.longestBlockS}, 2 ^ least(20, failures - ${LIMITS.freeFailures}))) - now()))::int as s
  from sign_in_failure where key = lower($1) and failures > ${LIMITS.freeFailures}`
const CLEAR = `delete from sign_in_failure where key = lower($1)`
const FORGET_FAILURES = `delete from sign_in_failure where last_at < now() - interval '1 day'`

/** @throws Problem 429 while a name that had too many wrong passwords waits */
export async function waitAfterFailures(database: Database, name: string): Promise<void> {
  const s = (await database.query<{ s: number }>(WAIT, [name])).rows[0]?.s ?? 0
  if (s > 0)
    throw new Problem(429, 'Wait a little', `Too many wrong passwords. Try again in ${s} s.`, {
      retryAfterS: s,
    })
}
export async function noteFailure(database: Database, name: string): Promise<void> {
  await database.query(FAILURE, [name])
}
export async function clearFailures(database: Database, name: string): Promise<void> {
  await database.query(CLEAR, [name])
}
export async function forgetOldCounts(database: Database): Promise<void> {
  await database.query(FORGET)
  await database.query(FORGET_FAILURES)
}
