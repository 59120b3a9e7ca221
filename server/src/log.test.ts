/** The log of welds: recorded as events, searched by words and filters, corrected without losing a row. */
import { type LogRow, logRowSchema, readDocument, rowsThatCount, type WeldRecord } from '@brannik/core'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { logQuerySchema, prefixesOf, searchLog } from './events/log.ts'
import { openDatabase } from './database.ts'
import { migrate } from './migrate.ts'
import { seed } from './seed.ts'
import { beginAnother, emptyDatabase, startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

/** A row of the demo, to be changed one field at a time. */
async function demoRow(): Promise<WeldRecord> {
  const { body } = await server.call('GET', '/api/log?job=press-frame&state=done&limit=1')
  return body.items[0].body as WeldRecord
}
const record = async (subject: string, part: Partial<WeldRecord>, corrects: number | null = null) =>
  server.call('POST', '/api/events', {
    type: 'weld-recorded',
    subject,
    body: { ...(await demoRow()), ...part },
    corrects,
  })
const search = async (query: string): Promise<readonly LogRow[]> =>
  (await server.call('GET', `/api/log?${query}`)).body.items

describe('the log', () => {
  it('holds what happened in the demo up to now, newest first, each as its schema has it', async () => {
    const rows = await search('limit=200')
    expect(Date.parse(rows[0]?.body.weldedAt ?? '')).toBeLessThan(Date.now())
    expect(Date.parse(rows[0]?.body.weldedAt ?? '')).toBeGreaterThan(Date.now() - 3 * 86_400_000)
    expect(rows.length).toBeGreaterThan(10)
    const times = rows.map(({ body }) => body.weldedAt)
    expect(times).toEqual(times.toSorted().toReversed())
    for (const row of rows) expect(readDocument(logRowSchema, row)).toMatchObject({ ok: true })
  })

  it('is found by any word, by several, by how a word begins, and by no mark of the query', async () => {
    const made = await record('weld.press-frame.upright', {
      note: 'wind from the yard; ER70S-6 spool nearly empty',
      welder: 'Søren',
      weldedAt: '2027-02-01T10:00:00Z',
    })
    expect(made.status).toBe(201)
    const { seq } = made.body
    for (const words of [
      'yard',
      'søren',
      'wind yard',
      'nearl',
      'ER70S-6',
      '2027-02-01',
      'press sør',
      "o'yard | !",
    ])
      expect((await search(`search=${encodeURIComponent(words)}`)).map((row) => row.seq).includes(seq)).toBe(
        words !== "o'yard | !",
      )
    expect(await search('search=blizzard')).toEqual([])
    expect((await search(`search=${encodeURIComponent('| & ! ()')}`)).length).toBeGreaterThan(10)
  })

  it('survives whatever is typed', async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ maxLength: 60 }), async (text) => {
        const { status } = await server.call('GET', `/api/log?search=${encodeURIComponent(text)}`)
        expect(text.includes('\u0000') ? [200, 422] : [200]).toContain(status)
      }),
      { numRuns: 60 },
    )
    expect(prefixesOf('  ')).toBeNull()
    expect(prefixesOf("wire's  3/16")).toBe("'wire':* & 's':* & '3/16':*")
  })

  it.each([
    ['outcome=good', (row: LogRow) => row.body.outcome === 'good'],
    ['state=tried', (row: LogRow) => row.body.state === 'tried'],
    ['job=pressing-tray', (row: LogRow) => row.subject.startsWith('weld.pressing-tray.')],
    ['source=sedge-200', (row: LogRow) => row.body.sourceId === 'sedge-200'],
    ['from=2027-02-01&to=2027-02-01', (row: LogRow) => row.body.weldedAt.startsWith('2027-02-01')],
  ])('%s leaves nothing else', async (query, matches) => {
    const [all, found] = [await search('limit=500'), await search(`limit=500&${query}`)]
    expect(found.length).toBeGreaterThan(0)
    expect(found.every(matches)).toBe(true)
    expect(found).toHaveLength(all.filter(matches).length)
  })

  it('counts days of UTC whichever zone the database is in, and takes a moment from whoever counts others', async () => {
    const times = [
      '2027-02-11T23:30:00Z',
      '2027-02-12T00:30:00Z',
      '2027-02-12T23:30:00Z',
      '2027-02-13T00:30:00Z',
    ]
    for (const weldedAt of times) await record('weld.hoist-beam.w1', { weldedAt })
    const timesOf = async (query: object): Promise<readonly unknown[]> => {
      const connection = await server.reading.connect()
      try {
        await connection.query(`set time zone 'Pacific/Auckland'`)
        const { items } = await searchLog(connection, logQuerySchema.parse({ job: 'hoist-beam', ...query }))
        return items.map((text) => (JSON.parse(text) as LogRow).body.weldedAt).toReversed()
      } finally {
        connection.release(true)
      }
    }
    const [before, first, last, after] = times
    expect(await timesOf({ from: '2027-02-12', to: '2027-02-12' })).toEqual([first, last])
    expect(await timesOf({ from: '2027-02-13' })).toEqual([after])
    expect(await timesOf({ to: '2027-02-11' })).toEqual([before])
    // The 12th in New York.
    const newYork = { from: '2027-02-12T05:00:00.000Z', to: '2027-02-13T05:00:00.000Z' }
    expect(await timesOf(newYork)).toEqual([last, after])
    expect(await timesOf({ from: last, to: after })).toEqual([last])
  })

  it('goes on page by page without a gap or a row twice, even where times are equal', async () => {
    for (let each = 0; each < 5; each += 1)
      await record('weld.press-frame.upright', { weldedAt: '2027-02-02T10:00:00Z', note: `same ${each}` })
    const whole = (await search('limit=500')).map(({ seq }) => seq)
    const paged: number[] = []
    let before: string | null = null
    do {
      const page: { items: LogRow[]; next: string | null } = (
        await server.call('GET', `/api/log?limit=3${before === null ? '' : `&before=${before}`}`)
      ).body
      paged.push(...page.items.map(({ seq }) => seq))
      before = page.next
    } while (before !== null)
    expect(paged).toEqual(whole)
  })

  it.each([
    ['limit=0', 'limit'],
    ['outcome=splendid', 'outcome'],
    ['from=yesterday', 'from'],
    ['wish=1', 'the query'],
    ['before=x', 'before'],
  ])('%s is refused by its name', async (query, field) => {
    const { status, body } = await server.call('GET', `/api/log?${query}`)
    expect(status).toBe(422)
    expect(body.errors[0].field).toBe(field)
  })
})

describe('a correction', () => {
  it('takes the place of what it corrects, and what was corrected stays an event', async () => {
    const { body: first } = await record('weld.tank-manifold.girth', {
      note: 'first',
      weldedAt: '2027-02-03T10:00:00Z',
    })
    const { body: second } = await record(
      'weld.tank-manifold.girth',
      { note: 'second', weldedAt: '2027-02-03T10:00:00Z' },
      first.seq,
    )
    const notes = (await search('job=tank-manifold&from=2027-02-03')).map(({ body }) => body.note)
    expect(notes).toEqual(['second'])
    const { items } = (
      await server.call('GET', '/api/events?type=weld-recorded&subject=weld.tank-manifold.girth')
    ).body
    expect(items.map(({ seq }: LogRow) => seq)).toEqual(expect.arrayContaining([first.seq, second.seq]))
    await record('weld.tank-manifold.girth', { isWithdrawn: true }, second.seq)
    expect(await search('job=tank-manifold&from=2027-02-03')).toEqual([])
    const stray = await record('weld.press-frame.upright', {}, first.seq)
    expect(stray.status).toBe(422)
  })

  it('agrees with the fold of core, whatever happens to whichever row', async () => {
    const subject = 'weld.hoist-beam.w1'
    const acts = fc.array(fc.record({ pick: fc.nat(), act: fc.constantFrom('add', 'correct', 'withdraw') }), {
      maxLength: 8,
    })
    await fc.assert(
      fc.asyncProperty(acts, async (list) => {
        for (const { pick, act } of list) {
          const live = await search('job=hoist-beam&limit=500')
          const target = act === 'add' ? undefined : live[pick % Math.max(1, live.length)]
          await record(
            subject,
            { isWithdrawn: act === 'withdraw' && target !== undefined },
            target?.seq ?? null,
          )
        }
        const events: LogRow[] = (
          await server.call('GET', `/api/events?type=weld-recorded&subject=${subject}&limit=500`)
        ).body.items
        const folded = rowsThatCount(events).map(({ seq }) => seq)
        const searched = (await search('job=hoist-beam&limit=500')).map(({ seq }) => seq)
        expect(searched.toSorted((a, b) => a - b)).toEqual(folded.toSorted((a, b) => a - b))
      }),
      { numRuns: 8 },
    )
  })
})

it('what cannot stand in a log is refused with its field and what to enter', async () => {
  for (const [part, field, message] of [
    [{ spool: { before: 100, after: 200 } }, /spool/, /more after than before/],
    [{ welds: 0 }, /welds/, /at least 1/],
    [{ outcome: 'splendid' }, /outcome/, /one of “good”, “usable”, “bad”/],
    [{ settings: { voltsV: 'hot' } }, /settings/, /./],
  ] as const) {
    const { status, body } = await record('weld.press-frame.upright', part as never)
    expect(status).toBe(422)
    expect(body.errors[0].field).toMatch(field)
    expect(body.errors[0].message).toMatch(message)
  }
  expect((await record('weld.Press frame', {})).status).toBe(422)
})

it('another shop begins with an empty log, and with none of the evidence of before', async () => {
  const other = await startServer()
  try {
    const before = (await other.call('GET', '/api/log?limit=500')).body.items
    expect(before.length).toBeGreaterThan(10)
    const begun = await beginAnother(other)
    expect(begun.status).toBeLessThan(300)
    expect((await other.call('GET', '/api/log')).body.items).toEqual([])
    expect((await other.call('GET', '/api/events?type=evidence-taken&of=this-shop')).body.items).toEqual([])
    // Nothing that happened is lost.
    expect((await other.call('GET', '/api/events?type=evidence-taken')).body.items.length).toBeGreaterThan(0)
  } finally {
    await other.close()
  }
})

it('the demo in millimetres has its own log, of its own wires', async () => {
  const made = await emptyDatabase()
  const database = openDatabase(made.url)
  try {
    await migrate(database)
    await seed(database, 'metric')
    const { rows } = await database.query<{ wire_id: string | null; kept: boolean }>(
      `select wire_id, exists (select 1 from record where kind = 'wire' and id = wire_id) as kept from weld_log`,
    )
    expect(rows.length).toBeGreaterThan(10)
    expect(rows.filter(({ wire_id, kept }) => wire_id !== null && !kept)).toEqual([])
  } finally {
    await database.end()
    await made.drop()
  }
})
