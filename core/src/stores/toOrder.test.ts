/** What to order. Arithmetic of packages, days and price breaks; that one orders before it runs out is common practice. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PriceOffer } from '../kinds/offer.ts'
import type { Order } from '../kinds/order.ts'
import type { Supplier } from '../kinds/supplier.ts'
import { demoInput } from '../testing/samples.ts'
import { arrivalsOf, type RunOut, runOut } from './runOut.ts'
import { type Buying, byBreak, orderOf, packsOf, toOrder } from './toOrder.ts'

const WIRE = 'wire.er70s6-035'
const PACK = 4989.5
const due = (jobId: string, dueOn: string | null) => {
  const input = demoInput(jobId, 'bay-2-wire')
  return { ...input, job: { ...input.job, dueOn } }
}
const jobs = [due('press-frame', '2027-02-01'), due('press-screw-post', '2027-02-10')]
const wireRun = (onHand: number, orders: readonly Order[] = []): RunOut => {
  const found = runOut(jobs, [{ id: WIRE, amount: onHand }], arrivalsOf(orders)).find(({ id }) => id === WIRE)
  if (!found) throw new Error('no wire')
  return { ...found, packSize: PACK }
}
const supplier = (id: string, more: Partial<Supplier> = {}): Supplier => ({
  id,
  name: `Supplier ${id}`,
  currency: 'USD',
  leadDays: 3,
  deliveryCost: null,
  freeFrom: null,
  isAsked: false,
  note: '',
  ...more,
})
const offer = (
  id: string,
  supplierId: string,
  price: number,
  more: Partial<PriceOffer> = {},
): PriceOffer => ({
  id,
  name: id,
  supplierId,
  wireId: 'er70s6-035',
  gasId: null,
  tungstenId: null,
  partId: null,
  price,
  currency: 'USD',
  pricedOn: '2026-11-01',
  leadDays: null,
  breakFrom: null,
  breakPrice: null,
  ...more,
})
const buying = (more: Partial<Buying> = {}): Buying => ({
  offers: [],
  suppliers: [supplier('a'), supplier('b')],
  currency: 'USD',
  safetyPct: 0,
  today: '2027-01-20',
  ...more,
})
const placed = (packs: number, receivedPacks: number, expectedOn: string | null): Order => ({
  id: 'o',
  name: 'Order 1',
  supplierId: 'a',
  supplierName: 'A',
  state: 'placed',
  orderedOn: '2027-01-10',
  expectedOn,
  currency: 'USD',
  deliveryCost: 0,
  lines: [{ item: WIRE, name: 'wire', packs, packSize: PACK, priceEach: 40, receivedPacks }],
  confirmation: null,
  note: '',
})

describe('how many', () => {
  it('are whole packages, enough with the safety stock and one less is not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.integer({ min: 0, max: 100 }),
        (onHand, safetyPct) => {
          const run = wireRun(onHand)
          const packs = packsOf(run, buying({ safetyPct }))
          const wanted = run.needed * (1 + safetyPct / 100)
          expect(Number.isInteger(packs)).toBe(true)
          expect(onHand + packs * PACK).toBeGreaterThanOrEqual(wanted - 0.1)
          if (packs > 0) expect(onHand + (packs - 1) * PACK).toBeLessThan(wanted)
        },
      ),
      { numRuns: 25 },
    )
  })
  it('are fewer by what is ordered already and has not come', () => {
    const short = wireRun(100)
    expect(packsOf(short, buying())).toBe(2)
    expect(packsOf(wireRun(100, [placed(2, 0, '2027-01-25')]), buying())).toBe(0)
    expect(packsOf(wireRun(100, [placed(2, 1, '2027-01-25')]), buying())).toBe(1)
    expect(arrivalsOf([placed(2, 2, '2027-01-25')])).toEqual([])
    // What nobody knows the day of is not ordered twice.
    expect(packsOf(wireRun(100, [placed(2, 0, null)]), buying())).toBe(0)
    for (const state of ['draft', 'cancelled', 'received'] as const)
      expect(packsOf(wireRun(100, [{ ...placed(2, 0, '2027-01-25'), state }]), buying())).toBe(2)
  })
  it('are none of what nobody has counted', () => {
    const [run] = runOut(jobs, [])
    expect(run && packsOf(run, buying())).toBe(0)
  })
})

describe('a delivery', () => {
  it('comes before the job of its day, and a job before it runs out all the same', () => {
    const onHand = wireRun(0).draws[0]?.amount ?? 0
    const inTime = wireRun(onHand, [placed(1, 0, '2027-02-10')])
    expect(inTime.endsAt).toBeNull()
    expect(inTime.steps.map(({ kind }) => kind)).toEqual(['job', 'delivery', 'job'])
    const late = wireRun(onHand, [placed(1, 0, '2027-02-11')])
    expect(late.endsAt?.jobId).toBe('press-screw-post')
    expect([late.shortBy, late.steps.at(-1)?.kind]).toEqual([0, 'delivery'])
    expect(late.leftAtEnd).toBeCloseTo(onHand + PACK - late.needed, 6)
  })
})

describe('from whom', () => {
  const one = (offers: readonly PriceOffer[], more: Partial<Buying> = {}) =>
    toOrder([wireRun(100)], buying({ offers, ...more }))
  it('is the cheapest that comes in time', () => {
    const [list] = one([offer('x', 'a', 44), offer('y', 'b', 41)])
    expect(list).toMatchObject({ supplier: { id: 'b' }, goodsCents: 8200, totalCents: 8200 })
    expect(list?.lines[0]).toMatchObject({
      packs: 2,
      neededBy: '2027-02-01',
      orderBy: '2027-01-29',
      isLate: false,
    })
    // 20 days from 20 January is after 1 February: the cheap one would be late.
    const [inTime] = one([offer('x', 'a', 44), offer('y', 'b', 41, { leadDays: 20 })])
    expect(inTime?.supplier?.id).toBe('a')
    const [late] = one([offer('x', 'a', 44, { leadDays: 30 }), offer('y', 'b', 41, { leadDays: 40 })])
    expect(late?.lines[0]).toMatchObject({ isLate: true, leadDays: 30 })
  })
  it('in another currency is not compared by its number', () => {
    const [list] = one([offer('x', 'a', 44), offer('y', 'b', 4, { currency: 'EUR' })])
    expect(list).toMatchObject({ supplier: { id: 'a' }, currency: 'USD' })
    const [foreign] = one([offer('y', 'b', 4, { currency: 'EUR' })])
    expect(foreign).toMatchObject({ currency: 'EUR', totalCents: 800 })
  })
  /** Who is first of two, whichever is listed first. */
  const firstOf = (x: PriceOffer, y: PriceOffer): string => {
    const [first, turned] = [one([x, y]), one([y, x])].map((lists) => lists[0]?.lines[0]?.offer?.id)
    expect(turned).toBe(first)
    return first ?? ''
  }
  it('is in time before cheap, in own money before foreign, then cheap, of two that are late the sooner', () => {
    const late = { leadDays: 30 }
    const foreign = { currency: 'EUR' }
    expect(firstOf(offer('x', 'a', 44), offer('y', 'b', 41))).toBe('y')
    expect(firstOf(offer('x', 'a', 44), offer('y', 'b', 41, late))).toBe('x')
    expect(firstOf(offer('x', 'a', 44), offer('y', 'b', 4, foreign))).toBe('x')
    expect(firstOf(offer('x', 'a', 44, late), offer('y', 'b', 90, foreign))).toBe('y')
    expect(firstOf(offer('x', 'a', 44, { leadDays: 40 }), offer('y', 'b', 90, late))).toBe('y')
    expect(firstOf(offer('x', 'a', 44, late), offer('y', 'b', 41, late))).toBe('y')
    expect(firstOf(offer('x', 'a', 44), offer('y', 'b', 44))).toBe('x')
  })
  it('comes in time on the day of the job, and a day later does not', () => {
    const lineOf = (leadDays: number | null, suppliers: readonly Supplier[] = []) =>
      one([offer('x', 'a', 44, { leadDays })], { suppliers })[0]?.lines[0]
    // Twelve days from 20 January are 1 February.
    expect(lineOf(12)).toMatchObject({ isLate: false, orderBy: '2027-01-20' })
    expect(lineOf(13)).toMatchObject({ isLate: true, orderBy: '2027-01-19' })
    // Where nobody has said how long it takes, nothing says that it is late.
    expect(lineOf(null)).toMatchObject({ isLate: false, orderBy: null, leadDays: null })
    expect(lineOf(null, [supplier('a', { leadDays: 15 })])).toMatchObject({ isLate: true, leadDays: 15 })
  })
  it('is never late where no job has a day', () => {
    const run = runOut([due('press-screw-post', null)], [{ id: WIRE, amount: 0 }]).find(
      ({ id }) => id === WIRE,
    )
    const [list] = toOrder(run ? [run] : [], buying({ offers: [offer('x', 'a', 44, { leadDays: 90 })] }))
    expect(list?.lines[0]).toMatchObject({ isLate: false, orderBy: null, neededBy: null })
  })
  it('says where more are taken than are needed, for the price of many', () => {
    const of = (breakFrom: number) => one([offer('x', 'a', 44, { breakFrom, breakPrice: 29 })])[0]?.lines[0]
    expect(of(3)).toMatchObject({ packs: 3, priceEach: 29, isForBreak: true })
    expect(of(2)).toMatchObject({ packs: 2, priceEach: 29, isForBreak: false })
    expect(of(4)).toMatchObject({ packs: 2, priceEach: 44, isForBreak: false })
  })
  it('is a list for each supplier and money, by name, what nobody sells last; what is needed first stands first', () => {
    const run = wireRun(100)
    const other = (id: string, dueOn: string | null): RunOut => ({
      ...run,
      id,
      itemId: id.slice(5),
      endsAt: run.endsAt && { ...run.endsAt, dueOn },
    })
    const runs = [
      other('wire.one', null),
      other('wire.two', '2027-02-05'),
      other('wire.three', '2027-01-30'),
      run,
    ]
    const lists = toOrder(
      runs,
      buying({
        suppliers: [supplier('b', { name: 'Alder' }), supplier('a', { name: 'Birch' })],
        offers: [
          offer('w', 'a', 4, { wireId: 'two' }),
          offer('x', 'a', 4),
          offer('y', 'b', 4, { wireId: 'three', currency: 'EUR' }),
        ],
      }),
    )
    expect(lists.map(({ supplier: from, currency, lines }) => [from?.name, currency, lines.length])).toEqual([
      ['Alder', 'EUR', 1],
      ['Birch', 'USD', 2],
      [undefined, 'USD', 1],
    ])
    expect(lists[1]?.lines.map(({ run: { id } }) => id)).toEqual([WIRE, 'wire.two'])
    const none = toOrder(runs.slice(0, 3), buying())
    expect(none[0]?.lines.map(({ run: { id } }) => id)).toEqual(['wire.three', 'wire.two', 'wire.one'])
  })
  it('is nobody where nobody sells it: the price of its own record counts', () => {
    const [list] = one([])
    expect(list).toMatchObject({ supplier: null, lines: [{ offer: null, orderBy: null }] })
    expect(list?.lines[0]?.priceEach).toBe(jobs[0]?.wire?.packagePrice)
  })
  it('says how old a price is', () => {
    const [list] = one([offer('x', 'a', 44, { pricedOn: '2026-10-12' })])
    expect(list?.lines[0]?.priceAgeDays).toBe(100)
  })
  it('takes delivery once, and none from so much on', () => {
    const suppliers = [supplier('a', { deliveryCost: 12.5, freeFrom: 88 })]
    expect(one([offer('x', 'a', 43.99)], { suppliers })[0]).toMatchObject({
      deliveryCents: 1250,
      totalCents: 10_048,
    })
    expect(one([offer('x', 'a', 44)], { suppliers })[0]).toMatchObject({ deliveryCents: 0, totalCents: 8800 })
  })
  it('as an order names its lines, its day, and nothing as come', () => {
    const [list] = one([offer('x', 'a', 44)])
    if (!list) throw new Error('nothing to order')
    expect(orderOf(list, { id: 'o-7', name: 'Order 7', today: '2027-01-20' })).toMatchObject({
      state: 'placed',
      orderedOn: '2027-01-20',
      expectedOn: '2027-01-23',
      lines: [{ item: WIRE, packs: 2, priceEach: 44, receivedPacks: 0 }],
    })
  })
  it('as an order has its delivery in whole money, and no day where none is known', () => {
    const order = (lists: ReturnType<typeof one>) =>
      lists[0] && orderOf(lists[0], { id: 'o-7', name: 'Order 7', today: '2027-01-20' })
    const suppliers = [supplier('a', { deliveryCost: 12.5 })]
    const placedNow = order(one([offer('x', 'a', 44)], { suppliers }))
    expect(placedNow).toMatchObject({ deliveryCost: 12.5, supplierId: 'a', supplierName: 'Supplier a' })
    // Whose supplier is not recorded any more.
    expect(order(one([offer('x', 'gone', 44)]))?.expectedOn).toBeNull()
    expect(order(one([]))).toMatchObject({ supplierId: 'none', supplierName: 'No supplier', deliveryCost: 0 })
  })
})

describe('a price break', () => {
  it('is taken where more together cost no more, and never makes it dearer', () => {
    expect(byBreak({ price: 44, breakFrom: 4, breakPrice: 40 }, 4)).toEqual({ packs: 4, priceEach: 40 })
    expect(byBreak({ price: 44, breakFrom: 4, breakPrice: 32 }, 3)).toEqual({ packs: 4, priceEach: 32 })
    expect(byBreak({ price: 44, breakFrom: 4, breakPrice: 40 }, 3)).toEqual({ packs: 3, priceEach: 44 })
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 100, max: 9000 }),
        fc.integer({ min: 1, max: 99 }),
        (packs, breakFrom, cents, sharePct) => {
          const price = cents / 100
          const taken = byBreak({ price, breakFrom, breakPrice: (price * sharePct) / 100 }, packs)
          expect(taken.packs).toBeGreaterThanOrEqual(packs)
          expect(taken.packs * taken.priceEach).toBeLessThanOrEqual(packs * price + 1)
        },
      ),
    )
  })
})
