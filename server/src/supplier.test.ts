/**
 * A supplier that is slow, wrong or down. What he must not do to a shop is common practice: an order counts once, nonsense is
 * not believed, and nobody waits for him.
 */
import { once } from 'node:events'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { CALM, startSupplier, type SupplierStandIn } from '@brannik/stand-ins'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { NoAnswer, pricedSchema, supplierAt, takenSchema } from './supplier.ts'
import { startTestServer, type TestServer } from './testing.ts'

let standIn: SupplierStandIn
let server: TestServer
beforeAll(async () => {
  standIn = await startSupplier({ temper: CALM, slowMs: 30_000 })
  server = await startTestServer({ supplier: standIn.url })
})
afterAll(async () => {
  await server.close()
  await standIn.close()
})
afterEach(() => {
  standIn.setTemper(CALM)
})

const WIRE = {
  item: 'wire.er70s6-035',
  kind: 'wire',
  classification: 'ER70S-6',
  diameterMm: 0.889,
  packSize: 4989.5,
} as const
const ask = (items: readonly object[] = [WIRE], currency = 'USD') =>
  server.call('POST', '/api/supplier/prices', { items, currency })
const order = (orderId: string, lines: readonly object[] = [{ item: WIRE.item, packs: 2 }]) =>
  server.call('POST', '/api/supplier/orders', { orderId, lines })

describe('prices', () => {
  it('are answered by classification and size, the same on the same day', async () => {
    const { status, body } = await ask()
    expect([status, body.isStandIn, body.refused]).toEqual([200, false, []])
    expect(body.items[0]).toMatchObject({ item: WIRE.item, currency: 'USD', price: expect.any(Number) })
    expect((await ask()).body).toEqual(body)
    const [thick] = (await ask([{ ...WIRE, packSize: 15_000 }])).body.items
    expect(thick.price).toBeGreaterThan(body.items[0].price)
  })
  it('in another currency are not believed', async () => {
    const { body } = await ask([WIRE], 'EUR')
    expect(body.items).toEqual([])
    expect(body.refused).toEqual([{ item: WIRE.item, why: 'is in USD, not in EUR' }])
  })
  it('that are nonsense are not believed, and say why', async () => {
    standIn.setTemper({ ...CALM, wrong: 1 })
    const whys = new Set<string>()
    for (let n = 0; n < 12; n += 1) {
      const { body } = await ask()
      expect(body.items).toEqual([])
      whys.add(body.refused[0].why)
    }
    expect([...whys].toSorted()).toEqual(['is in XXX, not in USD', 'price is not more than 0'])
  })
  it.each([
    ['no item', [], 'USD', '/items'],
    ['a kind that there is not', [{ ...WIRE, kind: 'dragon' }], 'USD', '/items/0/kind'],
    ['no currency', [WIRE], 'dollars', '/currency'],
    ['an item without a kind', [{ ...WIRE, item: 'er70s6' }], 'USD', '/items/0/item'],
  ])('of %s are not asked for', async (_what, items, currency, pointer) => {
    const { status, body } = await ask(items, currency)
    expect([status, body.errors[0].pointer]).toEqual([422, pointer])
  })
})

describe('a price', () => {
  const price = {
    item: WIRE.item,
    price: 80,
    currency: 'USD',
    inStock: 4,
    leadDays: 2,
    breakFrom: null,
    breakPrice: null,
  }
  const wrong = (part: object): string =>
    pricedSchema.safeParse({ ...price, ...part }).error?.issues.map(({ message }) => message)[0] ?? ''
  it('is more than nothing, less than a fortune, in a currency, and comes within a year', () => {
    expect(wrong({})).toBe('')
    expect(wrong({ price: 0 })).toBe('is not more than 0')
    expect(wrong({ price: 100_000 })).toBe('')
    expect(wrong({ price: 100_000.01 })).toBe('is more than 100000')
    expect(wrong({ currency: 'dollars' })).toBe('is no currency')
    expect(wrong({ currency: 'usd' })).toBe('is no currency')
    for (const part of [{ inStock: -1 }, { inStock: 1.5 }, { leadDays: -1 }, { leadDays: 366 }])
      expect(wrong(part), JSON.stringify(part)).not.toBe('')
    expect(wrong({ inStock: 0, leadDays: 365 })).toBe('')
  })
  it('by the dozen is less than by the piece, and has its number', () => {
    expect(wrong({ breakFrom: 2, breakPrice: 79 })).toBe('')
    expect(wrong({ breakFrom: 12 })).toBe('has half a price break')
    expect(wrong({ breakPrice: 79 })).toBe('has half a price break')
    expect(wrong({ breakFrom: 12, breakPrice: 80 })).toBe('has a price break that is dearer')
    expect(wrong({ breakFrom: 1, breakPrice: 79 })).not.toBe('')
  })
  it('of an order has a number', () => {
    const taken = (part: object) => takenSchema.safeParse({ number: 'A-1', leadDays: 3, ...part }).success
    expect([
      taken({}),
      taken({ number: '' }),
      taken({ number: 'x'.repeat(61) }),
      taken({ leadDays: 366 }),
    ]).toEqual([true, false, false, false])
  })
})

describe('a supplier who does not answer', () => {
  it('is given his time and no more, then left alone, and the server answers all the while', async () => {
    const own = supplierAt(standIn.url)
    standIn.setTemper({ ...CALM, slow: 1 })
    await expect(own.prices([WIRE], 'USD')).rejects.toThrow(/did not answer in time|several times/)
    standIn.setTemper({ ...CALM, down: 1 })
    await expect(own.prices([WIRE], 'USD')).rejects.toThrow(NoAnswer)
    // Five failures in a row: he is not asked for a while, although he would answer.
    standIn.setTemper(CALM)
    await expect(own.prices([WIRE], 'USD')).rejects.toThrow('has not answered several times')
    await own.close()
    expect((await server.call('GET', '/api/stock?limit=1')).status).toBe(200)
  })
  it('to an order with a number has not taken it', async () => {
    let isClosed = false
    const silent = createServer((_, response) => {
      response.setHeader('Content-Type', 'application/json').end('{}')
    }).listen(0, '127.0.0.1')
    await once(silent, 'listening')
    const { port } = silent.address() as AddressInfo
    const own = supplierAt(null, () =>
      Promise.resolve({
        ...standIn,
        url: `http://127.0.0.1:${port}`,
        close: () => {
          isClosed = true
          return Promise.resolve()
        },
      }),
    )
    await expect(own.order('key', [{ item: WIRE.item, packs: 1 }])).rejects.toThrow('without an order number')
    // A stand-in that was started ends with the line.
    await own.close()
    expect(isClosed).toBe(true)
    silent.close()
  })
  it('is said in words, and no fault of this server', async () => {
    const deaf = supplierAt('http://127.0.0.1:9')
    await expect(deaf.prices([WIRE], 'USD')).rejects.toThrow('cannot be reached')
    standIn.setTemper({ ...CALM, down: 1 })
    const { status, body } = await ask()
    expect([status, body.title]).toEqual([503, 'No answer from the supplier'])
    standIn.setTemper(CALM)
    expect((await ask()).status).toBe(200)
  })
})

describe('an order', () => {
  it('counts once, whatever becomes of its answer', async () => {
    const before = standIn.orders.size
    standIn.setTemper({ ...CALM, lost: 1 })
    expect((await order('order-lost')).status).toBe(503)
    expect(standIn.orders.size).toBe(before + 1)
    standIn.setTemper(CALM)
    const again = await order('order-lost')
    expect(again.status).toBe(200)
    expect((await order('order-lost')).body).toEqual(again.body)
    expect(standIn.orders.size).toBe(before + 1)
    expect([...standIn.orders.values()].at(-1)).toMatchObject({
      number: again.body.number,
      lines: [{ packs: 2 }],
    })
    expect((await order('order-next')).body.number).not.toBe(again.body.number)
  })
  it.each([
    ['nothing', [], '/lines'],
    ['less than one package', [{ item: WIRE.item, packs: 0 }], '/lines/0/packs'],
  ])('of %s is not sent', async (_what, lines, pointer) => {
    const { status, body } = await order('order-bad', lines)
    expect([status, body.errors[0].pointer]).toEqual([422, pointer])
    expect([...standIn.orders.keys()].some((key) => key.endsWith('order-bad'))).toBe(false)
  })
})

it('the stand-in describes itself, and answers as it says', async () => {
  const api = (await (await fetch(`${standIn.url}/openapi.json`)).json()) as {
    openapi: string
    paths: object
  }
  expect(api.openapi).toBe('3.1.0')
  for (const path of Object.keys(api.paths)) {
    const bad = await fetch(`${standIn.url}${path}`, { method: 'POST', body: '{"items": 1}' })
    expect(bad.status).toBe(422)
    expect((await fetch(`${standIn.url}${path}`, { method: 'POST', body: '{' })).status).toBe(400)
  }
  expect((await fetch(`${standIn.url}/nothing`)).status).toBe(404)
})
