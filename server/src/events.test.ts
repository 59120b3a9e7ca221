/** Events: one order, recorded once for a key, read from any number on; what cannot have happened is refused. */
import { balanceOf, type StoredEvent, storedEventSchema, readDocument } from '@brannik/core'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const move = (subject: string, change: number, key?: string, more: object = {}) =>
  server.call(
    'POST',
    '/api/events',
    { type: 'stock-movement', subject, body: { change }, ...more },
    key === undefined ? {} : { 'Idempotency-Key': key },
  )
const amountOf = async (id: string): Promise<number | null> =>
  (await server.call('GET', `/api/stock/${id}`)).body.record.amount
async function all(query = ''): Promise<readonly StoredEvent<'stock-movement'>[]> {
  const found: StoredEvent<'stock-movement'>[] = []
  let since = '0'
  for (;;) {
    const { body } = await server.call('GET', `/api/events?since=${since}&limit=7${query}`)
    if (body.items.length === 0) return found
    found.push(...body.items)
    since = body.next
  }
}
/** A thing of its own, with so much of it. */
async function counted(id: string, amount: number | null): Promise<string> {
  const { record } = (await server.call('GET', '/api/parts/cup-l-7')).body
  await server.call('POST', '/api/parts', { ...record, id, name: id })
  await server.call('POST', '/api/stock', { id: `part.${id}`, amount })
  return `part.${id}`
}

describe('events', () => {
  it('are what was counted so far, in one order, each as its schema has it', async () => {
    const events = await all()
    expect(events.length).toBeGreaterThan(10)
    expect(events.map(({ seq }) => seq)).toEqual(events.map(({ seq }) => seq).toSorted((a, b) => a - b))
    for (const event of events) expect(readDocument(storedEventSchema, event)).toMatchObject({ ok: true })
  })

  it('change the count that they tell of', async () => {
    const cup = await counted('of-events', 8)
    const told = await move(cup, -3)
    expect(told.status).toBe(201)
    expect(told.body).toMatchObject({
      subject: cup,
      body: { version: 2, before: 8, after: 5 },
      corrects: null,
    })
    expect(await amountOf(cup)).toBe(5)
    const mistaken = await move(cup, 2, undefined, { corrects: told.body.seq })
    expect(mistaken.body).toMatchObject({ body: { before: 5, after: 7 }, corrects: told.body.seq })
    const history = await server.call('GET', `/api/history/stock/${cup}`)
    expect(history.body.items.map(({ version }: { version: number }) => version)).toEqual([3, 2, 1])
  })

  it('are recorded once for a key, for good', async () => {
    const cup = await counted('once', 8)
    const first = await move(cup, -1, 'once-1')
    await server.database.query('delete from stored_answer')
    const again = await move(cup, -1, 'once-1')
    expect([first.status, again.status]).toEqual([201, 200])
    expect(again.body).toEqual(first.body)
    expect(again.headers.get('idempotent-replayed')).toBe('true')
    expect(await amountOf(cup)).toBe(7)
  })

  it('that cannot have happened are refused, with what is there', async () => {
    const cup = await counted('few', 2)
    const tooMany = await move(cup, -3)
    expect([tooMany.status, tooMany.body.amount]).toEqual([409, 2])
    expect(tooMany.body.detail).toContain('There are 2')
    expect((await move(await counted('uncounted', null), 1)).body.title).toBe('Not counted yet')
    expect((await move('part.nowhere', 1)).status).toBe(409)
    const other = (await all(`&subject=${cup}`))[0]?.seq
    const strange = await move('wire.er70s6-035', -1, undefined, { corrects: other })
    expect([strange.status, strange.body.errors[0].pointer]).toEqual([422, '/corrects'])
    expect((await server.call('GET', '/api/events?since=x')).body.errors[0].field).toBe('since')
    expect(await amountOf(cup)).toBe(2)
  })

  it('are never changed or taken away', async () => {
    await expect(server.database.query(`update event set who = 'x'`)).rejects.toThrow('only grows')
    await expect(server.database.query('delete from event')).rejects.toThrow('only grows')
    await expect(server.database.query('truncate event cascade')).rejects.toThrow('only grows')
  })

  it('of many who take the last ones at once: as many succeed as there are', async () => {
    const cup = await counted('last', 7)
    const answers = await Promise.all(Array.from({ length: 20 }, () => move(cup, -1)))
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(7)
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(13)
    expect(await amountOf(cup)).toBe(0)
    expect(balanceOf((await all(`&subject=${cup}`)).map(({ body }) => body))).toBe(0)
  })

  it('seen by whoever reads on while others write are all there are, none twice', async () => {
    const cup = await counted('busy', 0)
    const gas = (await server.call('GET', '/api/stock?limit=500')).body.items.find(
      ({ record }: { record: { id: string; amount: number | null } }) =>
        record.id.startsWith('gas.') && record.amount !== null,
    ).record.id
    const seen: StoredEvent<'stock-movement'>[] = []
    const start = (await all()).at(-1)?.seq ?? 0
    let since = `${server.epoch}.${start}`
    let isDone = false
    const reader = (async () => {
      for (;;) {
        const last = isDone
        const { body } = await server.call('GET', `/api/events?since=${since}`)
        seen.push(...body.items)
        since = body.next
        if (last && body.items.length === 0) return
      }
    })()
    const answers = await Promise.all(
      Array.from({ length: 30 }, (_, index) => move(index % 2 === 0 ? cup : gas, 1)),
    )
    isDone = true
    await reader
    expect(seen.map(({ seq }) => seq)).toEqual((await all()).flatMap(({ seq }) => (seq > start ? [seq] : [])))
    // Whoever waited too long for a turn was told so, and is not among them.
    const statuses = answers.map(({ status }) => status)
    expect(statuses.filter((status) => status !== 201 && status !== 503)).toEqual([])
    expect(seen).toHaveLength(statuses.filter((status) => status === 201).length)
    expect(seen.length).toBeGreaterThan(1)
  })

  it('add up to every count, whatever was counted and moved', async () => {
    const cup = await counted('any', 50)
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.oneof(fc.integer({ min: -30, max: 30 }), fc.record({ count: fc.option(fc.nat(80)) })), {
          maxLength: 6,
        }),
        async (steps) => {
          for (const step of steps) {
            const { version, record } = (await server.call('GET', `/api/stock/${cup}`)).body
            if (typeof step === 'object') {
              await server.call(
                'PUT',
                `/api/stock/${cup}`,
                { ...record, amount: step.count },
                {
                  'If-Match': server.etag(version),
                },
              )
              continue
            }
            const { status } = await move(cup, step)
            const isPossible = step !== 0 && record.amount !== null && record.amount + step >= 0
            expect(status).toBe(step === 0 ? 422 : isPossible ? 201 : 409)
          }
          expect(balanceOf((await all(`&subject=${cup}`)).map(({ body }) => body))).toBe(await amountOf(cup))
        },
      ),
      { numRuns: 12 },
    )
  })
})
