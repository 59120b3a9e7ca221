/** What could stand in a place and what it costs, on the demo’s shelf and on one by hand. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { OF_FILLER } from '../criteria/concerns.ts'
import { KIND_FIRST } from '../criteria/limit.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { compareMisses } from './nearestMiss.ts'
import { needsKey } from './needsKey.ts'
import {
  alike,
  cheapestOfEach,
  compareSpent,
  countedPrice,
  keyOf,
  NOTHING_SPENT,
  Options,
  type Spent,
  TIGHT,
  together,
} from './options.ts'

const demo = demoShop()
const gun = oneOf(demo.guns, 'gun-250')
const tip = oneOf(demo.parts, 'tip-medium-0035')
const wire = oneOf(demo.wires, 'er70s6-035')
const spent = (part: Partial<Spent>): Spent => ({ ...NOTHING_SPENT, ...part })

describe('what is spent', () => {
  it('is the sum of both, tight where either is, with all that is bought', () => {
    const a = spent({ toGet: 40, runCost: 2, buys: [{ key: 'gun a', likeKey: 'gun a' }] })
    const b = spent({
      toGet: 5,
      unpriced: 1,
      runCost: 3,
      buys: [{ key: 'tip b', likeKey: 'tip of the library' }],
    })
    expect(together(a, b)).toEqual({
      toGet: 45,
      unpriced: 1,
      isTight: false,
      runCost: 5,
      buys: [...a.buys, ...b.buys],
    })
    expect(together(a, TIGHT)).toEqual({ ...a, isTight: true })
    expect(together(TIGHT, b)).toEqual({ ...b, isTight: true })
  })
  it('compares by what has no price, then by what it costs to get, then by what fits, then by what a run costs', () => {
    const worse: readonly Partial<Spent>[] = [
      { unpriced: 1 },
      { toGet: 1 },
      { isTight: true },
      { runCost: 1 },
    ]
    worse.forEach((part, at) => {
      expect(compareSpent(NOTHING_SPENT, spent(part))).toBeLessThan(0)
      expect(compareSpent(spent(part), NOTHING_SPENT)).toBeGreaterThan(0)
      // What comes later does not make up for it.
      for (const later of worse.slice(at + 1)) expect(compareSpent(spent(later), spent(part))).toBeLessThan(0)
    })
    expect(compareSpent(spent({ toGet: 3 }), spent({ toGet: 3 }))).toBe(0)
  })
})

describe('a price', () => {
  it('is that of the list; a small part without one counts as much as its kind costs at most, in the money of the shop', () => {
    expect(countedPrice('gun', { ...gun, price: 120 }, 1)).toBe(120)
    expect(countedPrice('gun', { ...gun, price: null }, 1)).toBeNull()
    const usual = countedPrice('tip', { ...tip, price: null }, 1)
    expect(usual).toBeGreaterThan(0)
    expect(countedPrice('tip', { ...tip, price: null }, 10)).toBe((usual ?? 0) * 10)
    expect(countedPrice('tip', { ...tip, price: 0.9 }, 10)).toBe(0.9)
  })
})

describe('things that differ in name and price alone', () => {
  const twin = { ...gun, id: 'twin', name: 'Twin', price: 1, held: 'candidate' as const }
  const other = { ...gun, id: 'other', leadLengthMm: 9999, ratings: [] }
  it('stand side by side, and the first of them is enough', () => {
    expect(alike([gun, other, twin]).map((group) => group.map(({ id }) => id))).toEqual([
      ['gun-250', 'twin'],
      ['other'],
    ])
    expect(cheapestOfEach([twin, other, gun], (one) => one)).toEqual([twin, other])
  })
})

describe('what there is for a place', () => {
  const setUp = oneOf(demo.setUps, 'bay-2-wire')
  const capability = capabilityOf(demo.shop, setUp, chosenOf(setUp, demo))
  const priced = (isPricedOnly: boolean, guns = demo.guns) =>
    new Options({ ...demo, guns }, true, 1, isPricedOnly)
  it('is the shelf, the cheapest first; what is owned costs nothing, and what is used up is no purchase', () => {
    const guns = priced(false).of('gun')
    const costs = guns.map(({ spent: { unpriced, toGet } }) => unpriced * 1e9 + toGet)
    expect(costs).toEqual(costs.toSorted((a, b) => a - b))
    for (const { item, spent: cost } of guns) {
      const isOwned = !('held' in item) || item.held !== 'candidate'
      expect(cost.buys).toEqual(isOwned ? [] : [{ key: keyOf('gun', item), likeKey: keyOf('gun', item) }])
      if (isOwned) expect(cost).toEqual(NOTHING_SPENT)
    }
    expect(guns.some(({ spent: { buys } }) => buys.length > 0)).toBe(true)
    const wanted = { ...wire, held: 'candidate' as const }
    const options = new Options({ ...demo, wires: [wanted] }, false, 1, false)
    expect(options.of('wire').map(({ spent: cost }) => cost)).toEqual([NOTHING_SPENT])
  })
  it('leaves large things without a price out where prices decide', () => {
    const bare = { ...gun, id: 'bare', leadLengthMm: 1, held: 'candidate' as const, price: null }
    const ids = (isPricedOnly: boolean) =>
      priced(isPricedOnly, [...demo.guns, bare])
        .of('gun')
        .map(({ item }) => item.id)
    expect(ids(false)).toContain('bare')
    expect(ids(true)).not.toContain('bare')
    expect(ids(true)).toContain('gun-250')
  })
  it('has small parts of the library that go with the gun, in groups of one price, and none for a large place', () => {
    const options = priced(false)
    const groups = options.byCost('tip', capability)
    const all = groups.flat()
    expect(all.some(({ item }) => options.isOfLibrary(item))).toBe(true)
    for (const { item, spent: cost } of all.filter((one) => options.isOfLibrary(one.item)))
      expect(cost.buys).toEqual([{ key: keyOf('tip', item), likeKey: 'tip of the library' }])
    for (const group of groups)
      for (const option of group) expect(compareSpent(option.spent, group[0]?.spent ?? TIGHT)).toBe(0)
    for (const [at, group] of groups.entries()) {
      const next = groups[at + 1]?.[0]
      if (next && group[0]) expect(compareSpent(group[0].spent, next.spent)).toBeLessThan(0)
    }
    // A gun of another class has its own.
    const small = capability.with('gun', oneOf(demo.guns, 'gun-150'))
    const ids = (of: typeof capability) =>
      options
        .byCost('tip', of)
        .flat()
        .map(({ item }) => item.id)
    expect(ids(small)).not.toEqual(ids(capability))
    expect(options.byCost('gun', capability).flat()).toEqual(options.of('gun'))
    expect(options.isOfLibrary(gun)).toBe(false)
    expect(options.isOfLibrary(null)).toBe(false)
    const without = new Options(demo, false, 1, false)
    expect(without.byCost('tip', capability).flat()).toEqual(without.of('tip'))
  })
})

describe('what decides how a job is done', () => {
  const job = oneOf(demo.jobs, 'press-frame')
  it('is the work, not its name, its day, its worth or its set-up', () => {
    const renamed = {
      ...job,
      id: 'another',
      name: 'Another',
      note: 'note',
      dueOn: null,
      timesPerYear: 3,
      worthPerRun: 9,
      state: 'template' as const,
      setUpId: null,
    }
    expect(needsKey(renamed)).toBe(needsKey(job))
    expect(needsKey({ ...job, quantity: job.quantity + 1 })).not.toBe(needsKey(job))
    expect(needsKey({ ...job, quality: 'leak-tight' })).not.toBe(needsKey(job))
    const [joint] = job.joints
    if (!joint) throw new Error('the press frame has a weld')
    expect(needsKey({ ...job, joints: [{ ...joint, lengthMm: joint.lengthMm + 1 }] })).not.toBe(needsKey(job))
  })
})

describe('what a machine misses', () => {
  const miss = (criterion: string, marginPct: number | null): Assessment =>
    ({ criterion, marginPct, verdict: 'fails' }) as Assessment
  it('is nearest where amps are short, by least; a wire of the wrong metal is farthest', () => {
    expect(compareMisses(miss('source-output', -5), miss('source-output', -20))).toBeLessThan(0)
    const [filler = ''] = OF_FILLER
    const kind = KIND_FIRST.find((id) => !OF_FILLER.has(id)) ?? ''
    // What no figure says, then what only another kind of machine has, then the metal.
    const misses = [miss('source-output', -80), miss('outlet', null), miss(kind, -1), miss(filler, -1)]
    misses.forEach((one, at) => {
      for (const farther of misses.slice(at + 1)) {
        expect(compareMisses(one, farther), `${one.criterion} before ${farther.criterion}`).toBeLessThan(0)
        expect(compareMisses(farther, one)).toBeGreaterThan(0)
      }
    })
    expect(compareMisses(miss('source-output', -5), miss('source-output', -5))).toBe(0)
  })
})
