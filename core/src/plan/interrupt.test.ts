/** Something broke and is done now: which ways are offered. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import type { WorkState } from '../events/workMarked.ts'
import { demoShop } from '../testing/samples.ts'
import { keptBlock, type PlanQuestion } from './build.ts'
import { interruptionsOf } from './interrupt.ts'
import { costOfPlan } from './problem.ts'
import { minuteOf } from './shopTime.ts'
import { planNow } from './week.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, jobs, welders } = demo
const ways = new Ways({ shop, shelf: demo, setUps })
const NOW = minuteOf('2027-02-01T08:30')
const running = (jobId: string, setUpId: string, welder: string): WorkState => ({
  jobId,
  run: 'once',
  part: 1,
  state: 'running',
  setUpId,
  setUpName: setUpId,
  jobName: jobId,
  welder,
  startedAt: '2027-02-01T08:00:00.000Z',
  lastAt: '2027-02-01T08:00:00.000Z',
  workedMs: 0,
  minutes: null,
  plannedMin: null,
})
/** The plan in hand, as it was kept. */
function inHand(work: PlanQuestion['work'] = new Map()) {
  const fresh: PlanQuestion = { jobs, welders, blocks: [], work, nowMin: NOW }
  const question = { ...fresh, blocks: planNow(ways, fresh).week.blocks.map(keptBlock) }
  return { question, now: planNow(ways, question).week }
}
const idle = inHand()
const BROKEN = idle.now.blocks.map(({ id }) => id)

describe('ways to do a run now', () => {
  it.each(BROKEN)(
    '%s: three at most, each by another machine, person or stop, what costs least first',
    (id) => {
      const found = interruptionsOf(ways, idle.question, idle.now, id)
      expect(found.length).toBeGreaterThan(0)
      expect(found.length).toBeLessThanOrEqual(3)
      const kinds = found.map(
        ({ block, stops }) => `${block.sourceId} ${block.welderName} ${stops?.id ?? ''}`,
      )
      expect(new Set(kinds).size).toBe(found.length)
      const costs = found.map(({ week, block }) =>
        costOfPlan({ ...week.cost, dislikedMin: block.endMin - NOW }),
      )
      expect(costs).toEqual(costs.toSorted((a, b) => a - b))
      for (const { block, stops, moreChangeMin, week } of found) {
        expect(block.id).toBe(id)
        expect(stops).toBeNull()
        expect(block.startMin).toBe(NOW)
        expect(moreChangeMin).toBeCloseTo(week.cost.changeMin - idle.now.cost.changeMin, 9)
      }
    },
  )
  it('say what becomes late by it, by more than a few minutes, and nothing else', () => {
    const was = new Map(idle.now.blocks.map(({ id, lateMin }) => [id, lateMin]))
    let later = 0
    for (const id of BROKEN)
      for (const option of interruptionsOf(ways, idle.question, idle.now, id)) {
        const more = option.week.blocks
          .filter((one) => one.id !== id && one.lateMin - (was.get(one.id) ?? 0) > 5)
          .map((one) => [one.jobName, one.lateMin - (was.get(one.id) ?? 0)])
        expect(option.later.map(({ jobName, byMin }) => [jobName, byMin])).toEqual(more)
        later += more.length
      }
    expect(later).toBeGreaterThan(0)
  })
  it('are none for a run that is not in the plan', () => {
    expect(interruptionsOf(ways, idle.question, idle.now, 'gate once 1')).toEqual([])
  })
})

describe('what runs', () => {
  const post = running('press-screw-post', 'yard-cored', 'Hazel')
  const busy = inHand(new Map([['press-screw-post once 1', post]]))
  const offers = (id: string) => interruptionsOf(ways, busy.question, busy.now, id)

  it('is stopped for its own machine or its own welder alone', () => {
    const stopped = BROKEN.filter((id) => id !== 'press-screw-post once 1').flatMap((id) =>
      offers(id).filter(({ stops }) => stops !== null),
    )
    expect(stopped.length).toBeGreaterThan(0)
    for (const { stops, block } of stopped)
      expect([stops?.sourceId === block.sourceId, stops?.welderName === block.welderName]).toContain(true)
  })
  it('is not touched where somebody else does it on another machine', () => {
    const free = BROKEN.flatMap(offers).find(
      ({ stops, block }) =>
        stops === null && block.welderName === 'Rowan' && block.sourceId !== 'quillon-210',
    )
    expect(free?.block.startMin).toBe(NOW)
    expect(free?.week.blocks.find(({ jobId }) => jobId === 'press-screw-post')).toMatchObject({
      startMin: NOW,
      welderName: 'Hazel',
    })
  })
})
