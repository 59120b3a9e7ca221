/**
 * The ledger of the stores. What it must hold is what any ledger must (common practice, no source): it adds up, nothing is
 * taken twice, a mistake is corrected by another line, and a missing line shows. The hash is checked against Node's own.
 */
import { createHash } from 'node:crypto'
import type { StockMove, StoredEvent } from '@brannik/core'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { BALANCES, ledgerPage, USED } from './events/ledger.ts'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

interface Row {
  readonly isCorrected: boolean
  readonly event: StoredEvent<'stock-movement'>
}
const move = (subject: string, body: object, more: object = {}, key?: string) =>
  server.call(
    'POST',
    '/api/events',
    { type: 'stock-movement', subject, body, ...more },
    key === undefined ? {} : { 'Idempotency-Key': key },
  )
const ledger = async (query: string): Promise<readonly Row[]> =>
  (await server.call('GET', `/api/ledger?${query}`)).body.items
const balance = async (item: string): Promise<number | null> =>
  (await server.call('GET', '/api/ledger/balances')).body.balances.find(
    (one: { item: string }) => one.item === item,
  )?.amount
const check = async () => (await server.call('GET', '/api/ledger/check')).body
/** A wire of its own, so many grams of it. */
async function counted(id: string, amount: number | null): Promise<string> {
  const { record } = (await server.call('GET', '/api/wires/er70s6-035')).body
  await server.call('POST', '/api/wires', { ...record, id, name: id })
  await server.call('POST', '/api/stock', { id: `wire.${id}`, amount })
  return `wire.${id}`
}
const bodies = (rows: readonly Row[]): readonly StockMove[] => rows.map(({ event }) => event.body)

describe('a movement', () => {
  it('says why, for which weld of which job, and adds up by exact tenths', async () => {
    const wire = await counted('tenths', 0)
    for (let n = 0; n < 10; n += 1) await move(wire, { change: 0.1, reason: 'received' })
    expect((await server.call('GET', `/api/stock/${wire}`)).body.record.amount).toBe(1)
    const used = await move(wire, {
      change: -0.7,
      reason: 'used',
      jobId: 'press-frame',
      weldId: 'uprights',
      note: 'first side',
    })
    expect(used.body.body).toEqual({
      version: 12,
      before: 1,
      after: 0.3,
      reason: 'used',
      jobId: 'press-frame',
      weldId: 'uprights',
      note: 'first side',
    })
    expect(await balance(wire)).toBe(0.3)
    expect(bodies(await ledger(`item=${wire}&reason=used`))).toHaveLength(1)
    expect((await ledger(`item=${wire}&job=press-frame`))[0]?.event.seq).toBe(used.body.seq)
  })

  it('without a reason was received or used, by its sign; a count is one too', async () => {
    const wire = await counted('signs', 500)
    await move(wire, { change: 30 })
    await move(wire, { change: -10 })
    await server.call('PUT', `/api/stock/${wire}`, { id: wire, amount: 490 }, { 'If-Match': server.etag(3) })
    expect(
      bodies(await ledger(`item=${wire}`)).map(({ reason, before, after }) => [reason, before, after]),
    ).toEqual([
      ['counted', 520, 490],
      ['used', 530, 520],
      ['received', 500, 530],
      ['counted', null, 500],
    ])
  })

  it.each([
    ['used upward', { change: 5, reason: 'used' }, '/body/change'],
    ['received downward', { change: -5, reason: 'received' }, '/body/change'],
    ['scrapped upward', { change: 5, reason: 'scrapped' }, '/body/change'],
    ['counted, which is no movement to send', { change: 5, reason: 'counted' }, '/body/reason'],
    ['a reason that there is not', { change: 5, reason: 'lost' }, '/body/reason'],
    ['in a unit', { change: '5 lb', reason: 'received' }, '/body/change'],
    ['for a weld of no job', { change: -5, weldId: 'a' }, '/body/weldId'],
    ['for a job that there is not', { change: -5, jobId: 'no-such-job' }, '/body/jobId'],
    ['moved to nowhere', { change: -5, reason: 'moved' }, '/body/other'],
    ['used, and moved somewhere', { change: -5, reason: 'used', other: 'wire.x' }, '/body/other'],
    ['moved to another item', { change: -5, reason: 'moved', other: 'gas.argon' }, '/body/other'],
    [
      'moved to a spool of another wire',
      { change: -5, reason: 'moved', other: 'spool.basic-can' },
      '/body/other',
    ],
    ['moved to itself', { change: -5, reason: 'moved', other: 'wire.er70s6-045' }, '/body/other'],
  ])('%s is refused with its field, and nothing is stored', async (_what, body, pointer) => {
    const before = await ledger('item=wire.er70s6-045')
    const { status, body: problem } = await move('wire.er70s6-045', body)
    expect([status, problem.errors?.[0]?.pointer]).toEqual([422, pointer])
    expect(await ledger('item=wire.er70s6-045')).toEqual(before)
  })
})

describe('a correction', () => {
  it('names what it corrects, once', async () => {
    const wire = await counted('corrected', 100)
    const wrong = await move(wire, { change: -40, jobId: 'press-frame' })
    const right = await move(wire, { change: 40, jobId: 'press-frame' }, { corrects: wrong.body.seq })
    expect(right.body).toMatchObject({ corrects: wrong.body.seq, body: { reason: 'corrected', after: 100 } })
    const again = await move(wire, { change: 40 }, { corrects: wrong.body.seq })
    expect([again.status, again.body.title]).toEqual([409, 'Corrected already'])
    expect((await ledger(`item=${wire}`)).map(({ isCorrected }) => isCorrected)).toEqual([false, true, false])
    expect(await balance(wire)).toBe(100)
    // What was used for the job by mistake was not used for it.
    const { used } = (await server.call('GET', '/api/ledger/balances')).body
    expect(used.filter(({ item }: { item: string }) => item === wire)).toEqual([])
  })
  it('by two at once is one', async () => {
    const wire = await counted('corrected-twice', 100)
    const { seq } = (await move(wire, { change: -40 })).body
    const answers = await Promise.all([1, 2, 3].map(() => move(wire, { change: 40 }, { corrects: seq })))
    expect(answers.map(({ status }) => status).toSorted()).toEqual([201, 409, 409])
    expect(await balance(wire)).toBe(100)
  })
})

describe('what is moved', () => {
  it('is less here and more there, in one go, and once for its key', async () => {
    const shelf = await counted('shelf', 900)
    const bench = 'spool.bench'
    const spool = (await server.call('GET', '/api/spools/tarn-spool')).body.record
    await server.call('POST', '/api/spools', { ...spool, id: 'bench', name: 'bench', wireId: 'shelf' })
    await server.call('POST', '/api/stock', { id: bench, amount: 50 })
    const first = await move(shelf, { change: -400, reason: 'moved', other: bench }, {}, 'move-1')
    const again = await move(shelf, { change: -400, reason: 'moved', other: bench }, {}, 'move-1')
    expect(again.body).toEqual(first.body)
    // After the stored answers are gone it is known by the ledger itself.
    await server.database.query('delete from stored_answer')
    const later = await move(shelf, { change: -400, reason: 'moved', other: bench }, {}, 'move-1')
    expect([later.status, later.body]).toEqual([200, first.body])
    expect([await balance(shelf), await balance(bench)]).toEqual([500, 450])
    expect(bodies(await ledger(`item=${bench}&reason=moved`))[0]).toMatchObject({ other: shelf, after: 450 })
    // What is used off the spool for a job is of the wire.
    await move(bench, { change: -120, reason: 'used', jobId: 'press-frame' })
    await move(shelf, { change: -30, reason: 'used', jobId: 'press-frame' })
    await move(shelf, { change: 30, reason: 'returned', jobId: 'press-frame' })
    const { used } = (await server.call('GET', '/api/ledger/balances')).body
    expect(used).toContainEqual({ jobId: 'press-frame', item: shelf, amount: 120 })
    await move(bench, { change: 120 })
    const tooMuch = await move(shelf, { change: -501, reason: 'moved', other: bench })
    expect(tooMuch.status).toBe(409)
    expect([await balance(shelf), await balance(bench)]).toEqual([500, 450])
  })
})

describe('of the last spool', () => {
  it('two who take it at once cannot both have it', async () => {
    const wire = await counted('last-spool', 5000)
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, n) => move(wire, { change: -5000, reason: 'used', note: `hand ${n}` })),
    )
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(1)
    expect(await balance(wire)).toBe(0)
  })
  it('commands in any order leave what a plain model leaves', async () => {
    const wire = await counted('model', 1000)
    const command = fc.oneof(
      fc.record({ change: fc.integer({ min: -900, max: 900 }).filter((one) => one !== 0) }),
      fc.record({ count: fc.option(fc.integer({ min: 0, max: 2000 })) }),
      fc.record({ correct: fc.nat(20) }),
    )
    await fc.assert(
      fc.asyncProperty(fc.array(command, { minLength: 1, maxLength: 8 }), async (commands) => {
        let there = await balance(wire)
        for (const one of commands) {
          if ('change' in one) {
            const { status } = await move(wire, one)
            const isPossible = there !== null && there + one.change >= 0
            expect(status).toBe(isPossible ? 201 : 409)
            if (isPossible) there = (there ?? 0) + one.change
          } else if ('count' in one) {
            const { version } = (await server.call('GET', `/api/stock/${wire}`)).body
            await server.call(
              'PUT',
              `/api/stock/${wire}`,
              { id: wire, amount: one.count },
              { 'If-Match': server.etag(version) },
            )
            there = one.count
          } else {
            const rows = await ledger(`item=${wire}&limit=20`)
            const row = rows[one.correct % rows.length]
            const { before, after } = row?.event.body ?? { before: null, after: null }
            const change = (before ?? 0) - (after ?? 0)
            if (!row || change === 0) continue
            const { status } = await move(wire, { change }, { corrects: row.event.seq })
            const isPossible = !row.isCorrected && there !== null && there + change >= 0
            expect(status).toBe(isPossible ? 201 : 409)
            if (isPossible) there = (there ?? 0) + change
          }
        }
        expect(await balance(wire)).toBe(there)
        expect((await server.call('GET', `/api/stock/${wire}`)).body.record.amount).toBe(there)
      }),
      { numRuns: 10 },
    )
    expect(await check()).toMatchObject({ isWhole: true })
  })
})

describe('the chain', () => {
  /** As the owner of the tables, who alone can do this. */
  const tampered = async (sql: string) => {
    const connection = await server.database.writers.connect()
    try {
      await connection.query('begin')
      await connection.query('alter table event disable trigger only_grows')
      const { rows } = await connection.query<{ seq: string }>(sql)
      const broken = await connection.query<{ seq: string }>('select seq from event_break order by seq')
      return { seq: Number(rows[0]?.seq), broken: broken.rows.map((row) => Number(row.seq)) }
    } finally {
      await connection.query('rollback')
      connection.release()
    }
  }
  it('is whole, and its hash is the SHA-256 of the one before and the row', async () => {
    await counted('hashed', 77.25)
    expect(await check()).toEqual({ events: expect.any(Number), isWhole: true, brokenAt: null })
    const { rows } = await server.database.query<{ hash: Buffer; row: string }>(
      `select hash, jsonb_build_array(seq, to_char(at at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.US'), who, actor_id,
         actor_kind, type, subject, body, key, corrects)::text as row from event order by seq desc limit 2`,
    )
    const [last, before] = rows
    const hash = createHash('sha256')
      .update(before?.hash ?? '')
      .update(last?.row ?? '')
      .digest()
    expect(last?.hash.equals(hash)).toBe(true)
  })
  it.each([
    [
      'changed',
      `update event set body = body || '{"after": 1}' where seq = (select max(seq) - 3 from event) returning seq`,
      0,
    ],
    ['taken away', `delete from event where seq = (select max(seq) - 3 from event) returning seq`, 1],
  ])('shows where a row was %s', async (_what, sql, after) => {
    for (const n of [1, 2, 3, 4]) await move('part.cup-l-7', { change: 1, note: `${n}` })
    const { seq, broken } = await tampered(sql)
    expect(broken).toEqual([seq + after])
  })
  it('of an item refuses a movement that does not begin where the last one ended', async () => {
    await expect(
      server.database.query(
        `insert into event (who, type, subject, body)
         values ('x', 'stock-movement', 'part.cup-l-7', '{"version": 99, "before": 12345, "after": 1}')`,
      ),
    ).rejects.toThrow('the ledger of part.cup-l-7 ends with')
  })
})

describe('fifty thousand movements', () => {
  it('are listed, balanced and summed by index, not by reading everything', async () => {
    const connection = await server.database.writers.connect()
    try {
      await connection.query('begin')
      await connection.query('set local session_replication_role = replica')
      await connection.query(
        `insert into event (who, type, subject, body, hash) select 'x', 'stock-movement', 'part.figure-' || n % 200,
           jsonb_build_object('version', n, 'before', n, 'after', n + 1, 'reason', 'received', 'jobId', 'job-' || n % 300), ''
         from generate_series(1, 50000) n`,
      )
      await connection.query('analyze event')
      const planOf = async (text: string, values: readonly unknown[] = []) =>
        (await connection.query<{ 'QUERY PLAN': string }>(`explain ${text}`, [...values])).rows
          .map((row) => row['QUERY PLAN'])
          .join('\n')
      const pageOf = (query: object) => {
        const { text, values } = ledgerPage({ limit: 50, ...query })
        return planOf(text, values)
      }
      expect(await pageOf({ item: 'part.figure-7' })).toContain('event_of_subject')
      expect(await pageOf({ job: 'job-7' })).toContain('event_of_job')
      for (const query of [{}, { item: 'part.figure-7' }, { job: 'job-7' }, { before: '40000' }])
        expect(await pageOf(query)).not.toMatch(/Seq Scan on event\b(?! later)/)
      // Every movement is added up once, in one pass.
      for (const text of [BALANCES, USED]) expect((await planOf(text)).match(/ on event\b/g)).toHaveLength(1)
    } finally {
      await connection.query('rollback')
      connection.release()
    }
  })
})
