/** What would bring a late run in time: on a plan that is late by hand. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Job } from '../kinds/job.ts'
import { demoShop } from '../testing/samples.ts'
import { keptBlock, type PlanQuestion, type WeekBlock } from './build.ts'
import { machineOffersFor, savesOf } from './saves.ts'
import { minuteOf } from './shopTime.ts'
import { planNow, type Week } from './week.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, jobs, welders } = demo
const planShop = { shop, shelf: demo, setUps }
const waysOf = (part: object = {}) =>
  new Ways({ ...planShop, shop: { ...shop, assumptions: { ...shop.assumptions, ...part } } })
const question = (more: Partial<PlanQuestion> = {}): PlanQuestion => ({
  jobs,
  welders,
  blocks: [],
  work: new Map(),
  nowMin: minuteOf('2027-02-01T07:00'),
  ...more,
})
const withJob = (id: string, change: Partial<Job>): readonly Job[] =>
  jobs.map((job) => (job.id === id ? { ...job, ...change } : job))
const blockOf = ({ blocks }: Week, jobId: string): WeekBlock => {
  const found = blocks.find((block) => block.jobId === jobId)
  if (!found) throw new Error(`${jobId} is not in the plan`)
  return found
}
/** Two days of work that are due today. */
const overdue = (part: Partial<PlanQuestion> = {}) =>
  question({ jobs: withJob('press-screw-post', { dueOn: '2027-02-01', priority: 'low' }), ...part })

describe('overtime', () => {
  const overtime = (of: Ways, asked: PlanQuestion) => {
    const { week } = planNow(of, asked)
    const late = blockOf(week, 'press-screw-post')
    return { late, save: savesOf(of, asked, week, late).find(({ kind }) => kind === 'overtime') }
  }
  it('is paid half as much again, for the minutes that it wins', () => {
    const { late, save } = overtime(waysOf({ overtimeH: 2, labourPerHour: 60 }), overdue())
    if (!save) throw new Error('overtime helps')
    const won = late.lateMin - save.lateMin
    expect(won).toBeGreaterThanOrEqual(120)
    expect(save).toMatchObject({
      price: expect.closeTo(1.5 * won, 6) as number,
      isRent: false,
      setUpName: null,
    })
  })
  it('is no way out of a shop that works none', () => {
    expect(overtime(waysOf({ overtimeH: 0 }), overdue()).save).toBeUndefined()
  })
})

describe('other ways out', () => {
  it('free the pins where there are some, and only then', () => {
    const ways = waysOf()
    const [one] = setUps.filter(({ id }) => id === 'yard-stick')
    if (!one) throw new Error('the demo has no yard stick')
    const hold = (jobId: string, isPinned: boolean) => ({
      ...keptBlock(blockOf(planNow(ways, question()).week, jobId)),
      isPinned,
    })
    // Somebody has pinned a long job before one that is due today.
    const asked = (isPinned: boolean) =>
      question({
        jobs: withJob('loader-fork', { dueOn: '2027-02-01' }),
        welders: welders.filter(({ id }) => id === 'hazel'),
        blocks: [{ ...hold('press-screw-post', isPinned), startsAt: '2027-02-01T08:00', welderId: 'hazel' }],
      })
    const savesWith = (isPinned: boolean) => {
      const { week } = planNow(ways, asked(isPinned))
      return {
        late: blockOf(week, 'loader-fork'),
        saves: savesOf(ways, asked(isPinned), week, blockOf(week, 'loader-fork')),
      }
    }
    const pinned = savesWith(true)
    expect(pinned.late.lateMin).toBeGreaterThan(0)
    const unpin = pinned.saves.find(({ kind }) => kind === 'unpin')
    expect(unpin).toMatchObject({ lateMin: 0, price: 0 })
    expect(savesWith(false).saves.map(({ kind }) => kind)).not.toContain('unpin')
    // What costs nothing stands before what is paid.
    const prices = pinned.saves.map(({ price }) => price)
    expect(prices).toEqual(prices.toSorted((a, b) => a - b))
  })
  it('say nothing of what helps by less than a quarter of an hour', () => {
    const ways = waysOf()
    const { week } = planNow(ways, overdue())
    const late = blockOf(week, 'press-screw-post')
    for (const { lateMin } of savesOf(ways, overdue(), week, late))
      expect(late.lateMin - lateMin).toBeGreaterThanOrEqual(15)
    expect(savesOf(ways, overdue(), week, { ...late, lateMin: 10 })).toEqual([])
  })
})

describe('a machine that is to be had', () => {
  const offers = (jobId: string, part: object = {}) => {
    const powerSources = demo.powerSources.map((one) => (one.id === 'heath-300' ? { ...one, ...part } : one))
    return machineOffersFor({ ...planShop, shelf: { ...demo, powerSources } }, jobs, jobId).map(
      ({ setUpName, price, isRent }) => [setUpName, price, isRent],
    )
  }
  it('is rented where somebody lends it, else bought; without a price it is none', () => {
    expect(offers('loader-fork')).toEqual([['Heath stick, if we buy it', 95, true]])
    expect(offers('loader-fork', { rentPerDay: null })).toEqual([['Heath stick, if we buy it', 6400, false]])
    expect(offers('loader-fork', { rentPerDay: null, price: null })).toEqual([])
    expect(offers('loader-fork', { held: 'owned' })).toEqual([])
  })
  it('is one of the three cheapest', () => {
    const heath = demo.powerSources.find(({ id }) => id === 'heath-300')
    const setUp = setUps.find(({ powerSourceId }) => powerSourceId === 'heath-300')
    if (!heath || !setUp) throw new Error('the demo has the stick machine')
    const prices = [400, 100, 300, 200]
    const shelf = {
      ...demo,
      powerSources: prices.map((price) => ({ ...heath, id: `heath-${price}`, rentPerDay: null, price })),
    }
    const own = prices.map((price) => ({ ...setUp, id: `at-${price}`, powerSourceId: `heath-${price}` }))
    const found = machineOffersFor({ shop, shelf, setUps: own }, jobs, 'loader-fork')
    expect(found.map(({ price }) => price)).toEqual([100, 200, 300])
  })
  it('does the job: a stick welds no thin aluminium, and a job that is gone has no offers', () => {
    expect(offers('picking-platform')).toEqual([])
    expect(offers('gone')).toEqual([])
  })
  it('brings a job in time that it takes over', () => {
    const ways = waysOf()
    const { week } = planNow(ways, overdue())
    const late = blockOf(week, 'press-screw-post')
    const found = savesOf(ways, overdue(), week, late, machineOffersFor(planShop, jobs, 'press-screw-post'))
    for (const one of found.filter(({ kind }) => kind === 'machine'))
      expect(one).toMatchObject({ setUpName: 'Heath stick, if we buy it', price: 95, isRent: true })
    expect(assumptionsOf(shop).labourPerHour).toBeGreaterThan(0)
  })
})
