/** What becomes thinner with the years, and what never does. */
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { readConfig } from './config.ts'
import { openDatabase } from './database.ts'
import { retain } from './retention.ts'
import { urlOfServer } from './serverRole.ts'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
let asServer: ReturnType<typeof openDatabase>
beforeAll(async () => {
  server = await startTestServer()
  asServer = openDatabase(urlOfServer(server.databaseUrl)?.href ?? '')
})
afterAll(async () => {
  await asServer.end()
  await server.close()
})

interface Save {
  /** Minutes since the first day's noon, UTC. */
  readonly minute: number
  readonly who: string
  readonly deletes?: boolean
}
const FIRST = Date.UTC(2024, 4, 6, 12)
const DAY = 24 * 60
/** A history of one record alone, as it would have been written at these times. */
async function historyOf(saves: readonly Save[], zone: string | null = 'UTC'): Promise<void> {
  const { database } = server
  await database.query(`alter table record_history disable trigger only_grows`)
  await database.query(`delete from record_history; delete from retention_mark`)
  await database.query(`alter table record_history enable trigger only_grows`)
  await database.query(`update record set body = jsonb_set(body, '{timeZone}', $1) where kind = 'shop'`, [
    JSON.stringify(zone),
  ])
  // What that update wrote is of today, which no rule touches.
  for (const [index, { minute, who, deletes = false }] of saves.entries())
    await database.query(
      `insert into record_history (kind, id, version, body, at, who, schema_version) values ('job', 'j', $1, $2, $3, $4, 1)`,
      [
        index + 1,
        deletes ? null : JSON.stringify({ id: 'j', name: `version ${index + 1}` }),
        new Date(FIRST + minute * 60_000),
        who,
      ],
    )
}
const left = async (): Promise<number[]> =>
  (
    await server.database.query<{ version: number }>(
      `select version from record_history where id = 'j' order by version`,
    )
  ).rows.map(({ version }) => version)
const KEEP_ALL = { saveMinutes: 0, historyDays: 0, auditDays: 0 }

describe('saves of one person close together', () => {
  it('become one, the last; another person’s, and those after a pause, stay', async () => {
    await historyOf([
      { minute: 0, who: 'Ann' },
      { minute: 4, who: 'Ann' },
      { minute: 9, who: 'Ann' },
      { minute: 30, who: 'Ann' },
      { minute: 33, who: 'Ben' },
      { minute: 34, who: 'Ann' },
      { minute: 44, who: 'Ann' },
      { minute: 55, who: 'Ann' },
    ])
    expect(await retain(asServer, { ...KEEP_ALL, saveMinutes: 10 })).toEqual({ history: 3, audit: 0 })
    expect(await left()).toEqual([3, 4, 5, 7, 8])
  })

  it('keep what was there before a deletion, and the deletion', async () => {
    await historyOf([
      { minute: 0, who: 'Ann' },
      { minute: 1, who: 'Ann' },
      { minute: 2, who: 'Ann', deletes: true },
      { minute: 3, who: 'Ann' },
      { minute: 4, who: 'Ann' },
    ])
    await retain(asServer, { ...KEEP_ALL, saveMinutes: 10 })
    expect(await left()).toEqual([2, 3, 5])
  })

  it('keep the last of a day, by the clock of the shop', async () => {
    // 23:58 and 00:02 in Berlin (UTC+2 in May), one after the other in UTC's one day.
    const saves = [
      { minute: 9 * 60 + 56, who: 'Ann' },
      { minute: 9 * 60 + 58, who: 'Ann' },
      { minute: 10 * 60 + 2, who: 'Ann' },
    ]
    await historyOf(saves, 'Europe/Berlin')
    await retain(asServer, { ...KEEP_ALL, saveMinutes: 10 })
    expect(await left()).toEqual([2, 3])
    await historyOf(saves, 'UTC')
    await retain(asServer, { ...KEEP_ALL, saveMinutes: 10 })
    expect(await left()).toEqual([3])
  })

  it('are left alone for a week, and where the setting says so for ever', async () => {
    const daysAgo = (days: number): number => (Date.now() - FIRST) / 60_000 - days * DAY
    await historyOf([
      { minute: daysAgo(6), who: 'Ann' },
      { minute: daysAgo(6) + 1, who: 'Ann' },
    ])
    await retain(asServer, { ...KEEP_ALL, saveMinutes: 10 })
    expect(await left()).toEqual([1, 2])
    await historyOf([
      { minute: 0, who: 'Ann' },
      { minute: 1, who: 'Ann' },
    ])
    expect(await retain(asServer, KEEP_ALL)).toEqual({ history: 0, audit: 0 })
    expect(await left()).toEqual([1, 2])
  })
})

it('whatever was saved, the last state of each day and each deletion with what was before it stay', async () => {
  const saveOf = fc.record({
    minute: fc.nat({ max: 5 * DAY }),
    who: fc.constantFrom('Ann', 'Ben'),
    deletes: fc.boolean(),
  })
  await fc.assert(
    fc.asyncProperty(
      fc.array(saveOf, { minLength: 1, maxLength: 30 }),
      fc.constantFrom(0, 1, 10, 600),
      fc.constantFrom(0, 30),
      async (drawn, saveMinutes, historyDays) => {
        const saves = drawn
          .sort((a, b) => a.minute - b.minute)
          .filter(({ deletes }, index) => !deletes || (index > 0 && drawn[index - 1]?.deletes === false))
        await historyOf(saves)
        await retain(asServer, { saveMinutes, historyDays, auditDays: 0 })
        const stays = new Set(await left())
        const dayOf = ({ minute }: Save): number => Math.floor((minute + DAY / 2) / DAY)
        for (const [index, save] of saves.entries()) {
          const next = saves[index + 1]
          const mustStay = next === undefined || dayOf(next) !== dayOf(save) || save.deletes || next.deletes
          if (mustStay) expect(stays.has(index + 1)).toBe(true)
          else if (historyDays > 0) expect(stays.has(index + 1)).toBe(false)
        }
      },
    ),
    { numRuns: 40 },
  )
})

describe('the audit', () => {
  it('loses what is older than the setting, a year at least, and nothing else', async () => {
    const add = (days: number) =>
      server.database.query(
        `insert into audit (at, who, role, via, action) values (now() - make_interval(days => $1), 'Ann', 'owner', 'session', 'signed in')`,
        [days],
      )
    for (const days of [1, 399, 401, 3000]) await add(days)
    expect(await retain(asServer, { ...KEEP_ALL, auditDays: 400 })).toEqual({ history: 0, audit: 2 })
    await expect(asServer.query('select forget_audit(364)')).rejects.toThrow('a year at least')
  })

  it('of less than a year is no setting', () => {
    const environment = { DATABASE_URL: 'postgres://x/y' }
    expect(() => readConfig({ ...environment, AUDIT_DAYS: '30' })).toThrow(/AUDIT_DAYS.*at least 365/)
    expect(readConfig({ ...environment, AUDIT_DAYS: '0' }).retention).toEqual({
      saveMinutes: 10,
      historyDays: 0,
      auditDays: 0,
    })
  })
})
