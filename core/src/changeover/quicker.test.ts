import { describe, expect, it } from 'vitest'
import { demoShop } from '../testing/samples.ts'
import { changeoverBetween } from './changeover.ts'
import { onMachineOf } from './onMachine.ts'
import { aluminiumChanges, paysFromPerYear, quickerWays } from './quicker.ts'

const demo = demoShop()
const on = (id: string) => {
  const found = demo.setUps.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no set-up ${id}`)
  return onMachineOf(found, demo)
}
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
})
