/** What is forgotten when it is too old to matter, a moment before its time and a moment after. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { LIMITS } from './limits.ts'
import { startTestServer, type TestServer } from './testing.ts'
import { tidy } from './upkeep.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const KEEP_ALL = { saveMinutes: 0, historyDays: 0, auditDays: 0 }
const HOUR_S = 3600
const DAY_S = 24 * HOUR_S

/** How a row of an age is written, by its table, and the age at which it goes, s. */
const TABLES = {
  stored_answer: {
    insert: `insert into stored_answer (who, key, fingerprint, at) values ('test', $1, '', now() - $2 * interval '1 s')`,
    count: `select count(*)::int as n from stored_answer where who = 'test'`,
    goesS: LIMITS.answerHours * HOUR_S,
  },
  change_log: {
    insert: `insert into change_log (kind, id, at) values ('upkeep', $1, now() - $2 * interval '1 s')`,
    count: `select count(*)::int as n from change_log where kind = 'upkeep'`,
    goesS: LIMITS.changeLogS,
  },
  session: {
    insert: `insert into session (secret_hash, account_id, expires_at)
      select convert_to($1, 'UTF8'), id, now() - $2 * interval '1 s' from account where name = 'Upkeep'`,
    count: 'select count(*)::int as n from session',
    goesS: 0,
  },
  rate_window: {
    insert: `insert into rate_window (key, hits, resets_at) values ('upkeep ' || $1, 1, now() - $2 * interval '1 s')`,
    count: `select count(*)::int as n from rate_window where key like 'upkeep %'`,
    goesS: HOUR_S,
  },
  sign_in_failure: {
    insert: `insert into sign_in_failure (key, failures, last_at) values ($1, 1, now() - $2 * interval '1 s')`,
    count: 'select count(*)::int as n from sign_in_failure',
    goesS: DAY_S,
  },
  known_browser: {
    insert: `insert into known_browser (secret_hash, account_id, seen_at)
      select convert_to($1, 'UTF8'), id, now() - $2 * interval '1 s' from account where name = 'Upkeep'`,
    count: 'select count(*)::int as n from known_browser',
    goesS: LIMITS.knownDays * DAY_S,
  },
  machine_link: {
    insert: `insert into machine_link (secret_hash, made_at) values (convert_to($1, 'UTF8'), now() - $2 * interval '1 s')`,
    count: 'select count(*)::int as n from machine_link',
    goesS: DAY_S,
  },
  machine_browser: {
    insert: `insert into machine_browser (secret_hash, seen_at) values (convert_to($1, 'UTF8'), now() - $2 * interval '1 s')`,
    count: 'select count(*)::int as n from machine_browser',
    goesS: LIMITS.knownDays * DAY_S,
  },
} as const

describe('upkeep', () => {
  beforeAll(async () => {
    await server.database.query(
      `insert into account (name, role, password_hash) values ('Upkeep', 'guest', 'none')`,
    )
  })
  it.each(Object.entries(TABLES))(
    'of %s forgets what is over its time, and nothing before',
    async (_name, table) => {
      const { insert, count, goesS } = table
      const left = async (): Promise<number> =>
        (await server.database.query<{ n: number }>(count)).rows[0]?.n ?? -1
      const before = await left()
      await server.database.query(insert, ['young', goesS - 60])
      await server.database.query(insert, ['old', goesS + 60])
      expect(await left()).toBe(before + 2)
      await tidy(server.database, KEEP_ALL)
      expect(await left()).toBe(before + 1)
    },
  )
})
