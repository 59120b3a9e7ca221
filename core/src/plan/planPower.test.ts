/** What trips in the hours in which several weld: on a panel that is too small for two of the demo's machines. */
import { describe, expect, it } from 'vitest'
import { demoShop, oneOf } from '../testing/samples.ts'
import type { PlanQuestion, WeekBlock } from './build.ts'
import { movedApart, trippingHoursOf } from './planPower.ts'
import { minuteOf } from './shopTime.ts'
import { planNow } from './week.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, welders } = demo
const NOW = minuteOf('2027-02-01T07:00')
const weak = {
  ...demo,
  panels: demo.panels.map((panel) => (panel.id === 'shop-panel' ? { ...panel, breakerA: 30 } : panel)),
}
const ways = new Ways({ shop, shelf: weak, setUps })
const jobs = ['picking-platform', 'press-frame'].map((id) => ({
  ...oneOf(demo.jobs, id),
  dueOn: null,
  timesPerYear: null,
}))
const question: PlanQuestion = { jobs, welders, blocks: [], work: new Map(), nowMin: NOW }
const found = planNow(ways, question)
const works = new Map(
  found.built.welders.map(({ name }, at) => [name, found.built.problem.people[at]?.works ?? []]),
)
const [first, second] = [
  { setUpId: 'bench-tig-ac', welderName: 'Rowan' },
  { setUpId: 'bay-2-wire', welderName: 'Hazel' },
]
type Times = Pick<WeekBlock, 'startMin' | 'endMin'> & Partial<WeekBlock>
/** The platform and the frame on two machines, at these times. */
const blocks = (platform: Times, frame: Times): readonly WeekBlock[] =>
  found.week.blocks.map((block) =>
    block.jobId === 'picking-platform'
      ? { ...block, changeMin: 0, ...first, ...platform }
      : { ...block, changeMin: 0, ...second, ...frame },
  )
const trips = (platform: Times, frame: Times, of = jobs) =>
  trippingHoursOf(blocks(platform, frame), ways.of, of, works, 0.42)
const from = (startMin: number, endMin: number): Times => ({ startMin: NOW + startMin, endMin: NOW + endMin })

describe('hours in which something trips', () => {
  it('are those in which both weld: after the change of the later one, until the first is done', () => {
    const [one, ...others] = trips(from(60, 240), { ...from(100, 400), changeMin: 20 })
    expect(others).toEqual([])
    expect(one).toMatchObject({
      startMin: NOW + 120,
      endMin: NOW + 240,
      node: { kind: 'panel', id: 'shop-panel', name: 'Shop panel 100 A' },
      blockIds: ['picking-platform once 1', 'press-frame once 1'],
      jobNames: ['Picking platform', 'Press frame'],
    })
    expect(one?.chancePct).toBeGreaterThan(0)
    expect(one?.chancePct).toBeLessThanOrEqual(100)
  })
  it.each([
    ['one after the other', from(60, 120), from(120, 240)],
    ['a few minutes together', from(60, 120), from(116, 240)],
    // From half past six in the evening on nobody is there.
    ['together when nobody works', from(690, 750), from(690, 750)],
    ['one that never ends', from(60, 240), from(60, Infinity)],
  ])('are none: %s', (_, platform, frame) => {
    expect(trips(platform, frame)).toEqual([])
  })
  it('are none of a job that is not known, or of machines that the panel carries', () => {
    expect(trips(from(60, 240), from(60, 240)).length).toBeGreaterThan(0)
    expect(trips(from(60, 240), from(60, 240), jobs.slice(0, 1))).toEqual([])
    const strong = { ...ways.of, shelf: demo }
    for (const own of [blocks(from(60, 240), from(60, 240)), found.week.blocks])
      expect(trippingHoursOf(own, strong, jobs, works, 0.42)).toEqual([])
  })
})

describe('moved apart', () => {
  const tripping = trips(from(60, 240), from(60, 240))
  const together = (of: readonly WeekBlock[]): boolean => {
    const [one, other] = of
    return !one || !other || (one.startMin < other.endMin && other.startMin < one.endMin)
  }
  it('they weld one after the other where nothing is due', () => {
    expect(together(found.week.blocks)).toBe(true)
    const moved = movedApart(ways, question, found, [
      { ...(tripping[0] as (typeof tripping)[number]), blockIds: found.week.blocks.map(({ id }) => id) },
    ])
    expect(together(moved?.week.blocks ?? [])).toBe(false)
  })
  it('they stay where it would make one of them late', () => {
    // Both are due today, and together are longer than the day.
    const urgent = {
      ...question,
      jobs: jobs.map((job) => ({ ...job, dueOn: '2027-02-01', quantity: job.quantity * 2 })),
    }
    const now = planNow(ways, urgent)
    expect(together(now.week.blocks)).toBe(true)
    expect(movedApart(ways, urgent, now, tripping)).toBeNull()
  })
})
