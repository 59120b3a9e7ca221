/** What a job asks, by arithmetic on paper: arcs, tacks, handling and hours of a bench job that is all given. */
import { describe, expect, it } from 'vitest'
import type { Job, Joint } from '../kinds/job.ts'
import { sampleWire } from '../testing/equipment.ts'
import { demoInput, joint } from '../testing/samples.ts'
import { BESIDE_ARC, demandOf } from './demand.ts'

const { job: demoJob, shop } = demoInput('press-frame')
const weld = (part: Partial<Joint> = {}): Joint =>
  joint({ id: 'a', kind: 'tee', count: 4, passes: 2, tackS: 12, lengthMm: 100, ...part })
const jobOf = (joints: readonly Joint[], part: Partial<Job> = {}): Job => ({
  ...demoJob,
  joints: [...joints],
  quantity: 3,
  pauseS: 30,
  handling: 'bench',
  order: 'piece-by-piece',
  ...part,
})
const solid = sampleWire()
const demand = (job: Job, wire: typeof solid | null = solid, assumptions = {}) =>
  demandOf(job, 'gmaw-short', wire, { assumptions: { ...shop.assumptions, ...assumptions } })

describe('a job', () => {
  const one = demand(jobOf([weld()]))
  it('of four welds of two passes, three times, strikes 24 arcs', () => {
    expect(one.arcs).toBe(24)
    expect(one.welds[0]?.oneArcS).toBeCloseTo((one.arcS ?? NaN) / 24, 9)
  })
  it('takes its arcs, its tacks of 12 s a weld and 30 s after each arc', () => {
    expect(one.work).toMatchObject({ tackS: 144, handlingS: 720 })
    expect((one.workH ?? NaN) * 3600).toBeCloseTo((one.arcS ?? NaN) + 864, 6)
    expect(one.pauseS).toBe(30)
  })
  it('takes more beside the arc where the log says so, and no longer arcs', () => {
    const slow = demand(jobOf([weld()]), solid, { besideArcWirePct: 150 })
    expect(slow.arcS).toBe(one.arcS)
    expect(slow.work).toMatchObject({ tackS: 216, handlingS: 1080 })
    expect((slow.workH ?? NaN) * 3600).toBeCloseTo((one.arcS ?? NaN) + 1296, 6)
    expect(BESIDE_ARC).toMatchObject({ gmaw: BESIDE_ARC.fcaw })
  })
  it('has no arc time, no hours and no duty without a wire, but its filler', () => {
    const none = demand(jobOf([weld()]), null)
    expect([none.arcS, none.workH, none.work, none.dutyPct]).toEqual([null, null, null, null])
    expect(none.fillerG).toBeGreaterThan(0)
  })
  it('is the sum of its lines', () => {
    const [a, b] = [weld(), weld({ id: 'b', count: 2, thicknessAMm: 3, thicknessBMm: 3, legMm: 3 })]
    const both = demand(jobOf([a, b]))
    const [of, other] = [a, b].map((line) => demand(jobOf([line])))
    expect(both.fillerG).toBeCloseTo((of?.fillerG ?? NaN) + (other?.fillerG ?? NaN), 6)
    expect(both.arcS).toBeCloseTo((of?.arcS ?? NaN) + (other?.arcS ?? NaN), 6)
    expect(both.arcs).toBe(36)
  })
})

describe('its hardest weld', () => {
  const [thin, thick] = [
    weld({ id: 'thin', thicknessAMm: 2, thicknessBMm: 2, legMm: 2 }),
    weld({ id: 'thick', thicknessAMm: 9.5, thicknessBMm: 9.5, legMm: 6.35 }),
  ]
  it('is the one of the highest current, the easiest that of the lowest, in whichever order', () => {
    for (const joints of [
      [thin, thick],
      [thick, thin],
    ]) {
      const both = demand(jobOf(joints))
      expect(both.hungriest.joint.id).toBe('thick')
      expect(both.thinnest.joint.id).toBe('thin')
      expect(both.hungriest.wantedA).toBeGreaterThan(both.thinnest.wantedA)
    }
  })
  it('sets the duty: a long arc without a pause is on all the time, with rests as long as itself half of it', () => {
    const long = (pauseS: number, one = 1) =>
      demand(jobOf([weld({ count: one, passes: 1, lengthMm: 20_000, tackS: 0 })], { pauseS, quantity: 1 }))
    expect(long(0).dutyPct).toBe(100)
    const short = weld({ count: 200, passes: 1, tackS: 0 })
    const arcS = demand(jobOf([short], { pauseS: 0 })).welds[0]?.oneArcS ?? NaN
    expect(demand(jobOf([short], { pauseS: arcS, order: 'weld-by-weld' })).dutyPct).toBeGreaterThan(49)
    expect(demand(jobOf([short], { pauseS: arcS, order: 'weld-by-weld' })).dutyPct).toBeLessThan(53)
  })
  it('heats with the square of its current: a thin weld beside a thick one counts little', () => {
    const alone = demand(jobOf([thick], { pauseS: 60 })).dutyPct ?? NaN
    const both = demand(jobOf([thick, thin], { pauseS: 60 })).dutyPct ?? NaN
    expect(both).toBeLessThan(alone)
  })
})

describe('its metals and positions', () => {
  const mixed = demand(
    jobOf([
      weld({ materialA: 'hot-rolled', materialB: 'hot-rolled' }),
      weld({ id: 'b', materialA: 'hot-rolled', materialB: 'stainless-304', position: 'overhead' }),
      weld({ id: 'c', materialA: 'hot-rolled', materialB: 'stainless-304', position: 'overhead' }),
    ]),
  )
  it('are each named once, a pair with the first weld that joins it', () => {
    expect([...mixed.metals].sort()).toEqual(['carbon-steel', 'stainless'])
    expect(mixed.positions).toEqual(['flat', 'overhead'])
    expect(mixed.pairs.map(({ materialB, weldId }) => [materialB, weldId])).toEqual([
      ['hot-rolled', 'a'],
      ['stainless-304', 'b'],
    ])
  })
})
