/** How often: counted in the database, so that all servers on it count together. */
import { rateLimit, type Store } from 'express-rate-limit'
import type { Request, RequestHandler } from 'express'
import type { Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { Problem } from '../problems.ts'
import { identityOf } from './actor.ts'
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
  const handler = limited(database, 'write ', perMinute, ({ actor }) => identityOf(actor))
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

/**
 * How long after each wrong password the next try of the same name from the same place must wait. A try is counted before
 * it is looked at, in one statement: of many at once none slips past.
 */
const WAIT_S = `least(${LIMITS.longestBlockS}, 2 ^ least(20, f.failures - ${LIMITS.freeFailures}))`
const TRY = `insert into sign_in_failure as f (key, failures) values (lower($1), 1)
  on conflict (key) do update set failures = f.failures + 1, last_at = now()
  where f.failures < ${LIMITS.freeFailures} or f.last_at + make_interval(secs => ${WAIT_S}) <= now()
  returning failures`
const WAIT = `select greatest(1, ceil(extract(epoch from f.last_at + make_interval(secs => ${WAIT_S}) - now())))::int as s
  from sign_in_failure f where f.key = lower($1)`
const CLEAR = `delete from sign_in_failure where key = lower($1)`
const UNLOCK = `delete from sign_in_failure where key like lower($1) || ' from %'`
const FORGET_FAILURES = `delete from sign_in_failure where last_at < now() - interval '1 day'`

/** Whose tries are counted together: those of a name from one address, or in a browser that has been let in before. */
export const tryOf = (name: string, place: string): string => `${name} from ${place}`

/** Counts a try as a wrong one until it is known better. @throws Problem 429 while it must wait; then nothing is counted */
export async function countTry(database: Database, key: string): Promise<void> {
  if ((await database.query(TRY, [key])).rowCount === 1) return
  const s = (await database.query<{ s: number }>(WAIT, [key])).rows[0]?.s ?? 1
  throw new Problem(429, 'Wait a little', `Too many wrong passwords from here. Try again in ${s} s.`, {
    retryAfterS: s,
  })
}
export async function clearTries(database: Database, key: string): Promise<void> {
  await database.query(CLEAR, [key])
}
/** Lets a name in again from everywhere. @returns whether there was anything to wait for */
export async function unlock(database: Pick<Database, 'query'>, name: string): Promise<boolean> {
  const plain = name.replaceAll(/[\\%_]/g, (special) => `\\${special}`)
  return ((await database.query(UNLOCK, [plain])).rowCount ?? 0) > 0
}
export async function forgetOldCounts(database: Database): Promise<void> {
  await database.query(FORGET)
  await database.query(FORGET_FAILURES)
}
