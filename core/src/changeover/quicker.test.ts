import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { demoShop } from '../testing/samples.ts'
import { changeoverBetween } from './changeover.ts'
import { onMachineOf } from './onMachine.ts'
import { aluminiumChanges, paysFromPerYear, quickerWays } from './quicker.ts'
import { wasteCostOf } from './wasteCost.ts'

const demo = demoShop()
const setUpOf = (id: string) => {
  const found = demo.setUps.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no set-up ${id}`)
  return found
}
const on = (id: string) => onMachineOf(setUpOf(id), demo)
const job = (id: string, setUpId: string, timesPerYear: number) => {
  const [first] = demo.jobs
  if (!first) throw new Error('the demo has no job')
  return { ...first, id, setUpId, timesPerYear, state: 'planned' as const }
}

describe('what makes changing quick', () => {
  it('is nothing where a machine keeps one set-up', () => {
    expect(quickerWays(demo.shop, demo, demo.setUps, [job('a', 'bay-2-wire', 50)])).toEqual([])
  })
  it('doing jobs together saves all changes but one round a month (by hand)', () => {
    const jobs = [job('a', 'bay-2-wire', 100), job('b', 'yard-cored', 100)]
    const found = quickerWays(demo.shop, demo, demo.setUps, jobs).find(({ way }) => way === 'together')
    const there = changeoverBetween(demo.shop, on('bay-2-wire'), on('yard-cored')).minutes
    const back = changeoverBetween(demo.shop, on('yard-cored'), on('bay-2-wire')).minutes
    // 200 runs in no order: half of them follow a run of the other, 50 each way. Together: twelve rounds.
    expect(found?.minutesPerYear).toBeCloseTo(50 * there + 50 * back - 12 * (there + back), 6)
  })
  it('names no way that saves nothing, and the dearest waste first', () => {
    const jobs = [job('a', 'bay-2-wire', 40), job('b', 'yard-cored', 20), job('c', 'spool-gun', 10)]
    const found = quickerWays(demo.shop, demo, demo.setUps, jobs)
    expect(found.length).toBeGreaterThan(1)
    for (const one of found) expect(one.minutesPerYear).toBeGreaterThan(0)
    const money = found.map(({ moneyPerYear }) => moneyPerYear)
    expect(money).toEqual(money.toSorted((a, b) => b - a))
  })
  it('a second gun is offered where gun, liner or tip differ, at its price', () => {
    const jobs = [job('a', 'bay-2-wire', 40), job('b', 'yard-cored', 40)]
    const gun = quickerWays(demo.shop, demo, demo.setUps, jobs).find(({ way }) => way === 'second-gun')
    expect(gun).toMatchObject({ what: '15 ft, 250 A class', price: 310 })
  })
  // Minutes are the defaults: tip off 0.5, wire off 2, roll 2, liner 6, spool on 1, feed 1.5, tip on 0.7, tension 0.7,
  // gas 4 and flow 1. Forty runs of each: twenty changes either way.
  const forty = (one: string, other: string, setUps = demo.setUps) =>
    quickerWays(demo.shop, demo, setUps, [job('a', one, 40), job('b', other, 40)])
  const labour = assumptionsOf(demo.shop).labourPerHour
  it('a second gun saves liner and tip, a second spool on its own drive what is done to wire and rolls (by hand)', () => {
    const found = forty('bay-2-wire', 'yard-cored')
    const of = (way: string) => found.filter((one) => one.way === way)
    const [gun] = of('second-gun')
    expect(gun?.minutesPerYear).toBeCloseTo(2 * 20 * (0.5 + 6 + 0.7), 6)
    expect(gun?.moneyPerYear).toBeCloseTo(((2 * 20 * 7.2) / 60) * labour, 6)
    expect(of('second-spool').map(({ what, price }) => [what, price])).toEqual(
      expect.arrayContaining([
        ['0.035 ER70S-6', null],
        ['0.045 E71T-11', null],
      ]),
    )
    for (const { minutesPerYear } of of('second-spool'))
      expect(minutesPerYear).toBeCloseTo(20 * (2 + 2 + 1 + 1.5 + 0.7), 6)
    // One of them needs no gas, and a solid wire stands in for no cored one.
    expect([of('second-regulator'), of('one-wire')]).toEqual([[], []])
  })
  it('one wire for both saves all that is done for the other, where metal and form are the same (by hand)', () => {
    const thin = {
      ...setUpOf('bay-2-wire'),
      id: 'thin',
      wireId: 'er70s6-030',
      rollId: 'roll-quillon-v-smooth-0030',
      tipId: 'tip-medium-0030',
    }
    const found = forty('bay-2-wire', 'thin', [...demo.setUps, thin])
    const one = found.filter(({ way }) => way === 'one-wire')
    expect(one.map(({ what, price }) => [what, price]).sort()).toEqual([
      ['0.030 ER70S-6 or 0.035 ER70S-6 for both', null],
      ['0.035 ER70S-6 or 0.030 ER70S-6 for both', null],
    ])
    // No liner changes; the work clamp comes off to feed.
    for (const { minutesPerYear } of one)
      expect(minutesPerYear).toBeCloseTo(20 * (0.5 + 2 + 2 + 1 + 0.2 + 1.5 + 0.7 + 0.7), 6)
    const metals = forty('bay-2-wire', 'platform-tried')
    expect(metals.filter(({ way }) => way === 'one-wire')).toEqual([])
    const rods = quickerWays(demo.shop, demo, demo.setUps, [
      job('a', 'bench-tig-dc', 9),
      job('b', 'bench-tig-316', 9),
    ])
    expect(rods.filter(({ way }) => way === 'one-wire' || way === 'second-spool')).toEqual([])
  })
  it('a second regulator saves the cylinder, at the price of the meter (by hand)', () => {
    const other = {
      ...setUpOf('bay-2-wire'),
      id: 'co2',
      gasId: 'co2',
      flowMeterId: 'meter-co2',
    }
    const found = forty('bay-2-wire', 'co2', [...demo.setUps, other])
    const meters = found.filter(({ way }) => way === 'second-regulator')
    expect(meters.map(({ what }) => what).sort()).toEqual([
      'Flow meter, CO₂ scale, heated',
      'Flow meter, argon and 75/25 scales',
    ])
    for (const { minutesPerYear, price } of meters) {
      expect(minutesPerYear).toBeCloseTo(20 * (0.5 + 4 + 1), 6)
      expect(price).toBeGreaterThan(0)
    }
    expect(found.filter(({ way }) => way === 'second-gun')).toEqual([])
  })
  it('jobs together save wages, and of wire and gas the same share (by hand)', () => {
    const found = forty('bay-2-wire', 'yard-cored').find(({ way }) => way === 'together')
    const pairs = [
      ['bay-2-wire', 'yard-cored'],
      ['yard-cored', 'bay-2-wire'],
    ] as const
    const [all, wasted] = pairs.reduce(
      ([minutes, money], [from, to]) => {
        const change = changeoverBetween(demo.shop, on(from), on(to))
        return [minutes + 20 * change.minutes, money + 20 * (wasteCostOf(change, on(from), on(to)) ?? NaN)]
      },
      [0, 0],
    )
    // Twelve rounds of the forty that chance makes.
    const share = 1 - 12 / 20
    expect(found?.minutesPerYear).toBeCloseTo(all * share, 6)
    expect(found?.moneyPerYear).toBeCloseTo(((all * share) / 60) * labour + wasted * share, 6)
    // Where jobs are as rare as the rounds nothing is saved.
    const rare = quickerWays(demo.shop, demo, demo.setUps, [
      job('a', 'bay-2-wire', 6),
      job('b', 'yard-cored', 6),
    ])
    expect(rare.filter(({ way }) => way === 'together')).toEqual([])
  })
  it('looks at planned jobs alone, once a year where nobody says how often', () => {
    const jobs = [job('a', 'bay-2-wire', 40), { ...job('b', 'yard-cored', 40), state: 'archived' as const }]
    expect(quickerWays(demo.shop, demo, demo.setUps, jobs)).toEqual([])
    const once = (timesPerYear: number | null) =>
      quickerWays(demo.shop, demo, demo.setUps, [
        job('a', 'bay-2-wire', 40),
        { ...job('b', 'yard-cored', 1), timesPerYear },
      ])
    expect(once(null)).toEqual(once(1))
    expect(once(null).length).toBeGreaterThan(0)
  })
  it('three set-ups go round the shortest way', () => {
    const three = ['bay-2-wire', 'yard-cored', 'spool-gun'] as const
    const jobs = three.map((id) => job(id, id, 60))
    const found = quickerWays(demo.shop, demo, demo.setUps, jobs).find(({ way }) => way === 'together')
    const min = (from: string, to: string): number => changeoverBetween(demo.shop, on(from), on(to)).minutes
    const all = three.flatMap((from) => three.flatMap((to) => (from === to ? [] : [20 * min(from, to)])))
    const [a, b, c] = three
    const rounds = [min(a, b) + min(b, c) + min(c, a), min(a, c) + min(c, b) + min(b, a)]
    const changes = all.reduce((sum, one) => sum + one, 0)
    expect(found?.minutesPerYear).toBeCloseTo(changes - 12 * Math.min(...rounds), 6)
  })
  it('pays from price over years over what each change saves: 600 over 3 years at 20 a change is 10 a year', () => {
    expect(paysFromPerYear(600, 20, 3)).toBeCloseTo(10)
    expect(paysFromPerYear(600, 0, 3)).toBeNull()
  })
})

it('aluminium: a spool gun changes quicker than converting, and a machine of its own not at all', () => {
  const ways = aluminiumChanges(demo.shop, on('bay-2-wire'), on('platform-tried'), on('spool-gun'), {
    name: 'Fen 320',
    price: 3000,
  })
  expect(ways.map(({ way }) => way)).toEqual(['convert', 'spool-gun', 'own-machine'])
  const [convert, gun, own] = ways
  expect(own?.changeMin).toBe(0)
  expect(own?.paysFromH).toBeGreaterThan(0)
  expect(convert?.changeMin).toBeGreaterThan(0)
  expect(gun?.price).toBe(295)
  // Over three years, for two hours of aluminium at a time.
  const { labourPerHour, horizonYears } = assumptionsOf(demo.shop)
  const saved = (changeMin: number): number =>
    (((convert?.changeMin ?? NaN) - changeMin) / 60) * labourPerHour
  expect(own?.paysFromH).toBeCloseTo((2 * 3000) / horizonYears / saved(0), 6)
  const there = changeoverBetween(demo.shop, on('bay-2-wire'), on('spool-gun')).minutes
  const back = changeoverBetween(demo.shop, on('spool-gun'), on('bay-2-wire')).minutes
  expect(gun?.changeMin).toBeCloseTo(there + back, 6)
  expect(convert).toMatchObject({ name: '15 ft, 250 A class', price: 0, paysFromH: 0 })
  expect(gun?.name).toBe('Dray spool gun')
})

it('aluminium: without a spool gun or a machine that are known, or without their price, converting is left', () => {
  const ways = (spoolGun: ReturnType<typeof on> | null) =>
    aluminiumChanges(demo.shop, on('bay-2-wire'), on('platform-tried'), spoolGun, null).map(({ way }) => way)
  const gun = on('spool-gun')
  expect(ways(null)).toEqual(['convert'])
  const unpriced = {
    ...gun,
    parts: { ...gun.parts, gun: gun.parts.gun && { ...gun.parts.gun, price: null } },
  }
  expect(ways(unpriced)).toEqual(['convert'])
})
