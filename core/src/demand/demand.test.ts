/** What a job asks, by arithmetic on paper: arcs, tacks, handling and hours of a bench job that is all given. */
import { describe, expect, it } from 'vitest'
import type { Job, Joint } from '../kinds/job.ts'
import { assumptionsOf } from '../assumptions/assume.ts'
import { TracingReckoner } from '../calculation/reckoner.ts'
import { sampleWire } from '../testing/equipment.ts'
import { demoInput, joint } from '../testing/samples.ts'
import { BESIDE_ARC, type Demand, demandOf, traceDemand } from './demand.ts'
import { runsOf, settingsAreOf } from './weldFigures.ts'

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
const groove = weld({
  kind: 'v',
  legMm: null,
  thicknessAMm: 12.7,
  thicknessBMm: 12.7,
  includedAngleDeg: 60,
  rootFaceMm: 1.6,
  rootGapMm: 2.4,
  passes: null,
  backing: false,
})
const solid = sampleWire()
const demand = (job: Job, wire: typeof solid | null = solid, assumptions = {}) =>
  demandOf(job, 'gmaw-short', wire, { assumptions: { ...shop.assumptions, ...assumptions } })

describe('a job', () => {
  it('of four welds of two passes, three times, strikes 24 arcs', () => {
    const one = demand(jobOf([weld()]))
    expect(one.arcs).toBe(24)
    expect(one.welds[0]?.oneArcS).toBeCloseTo((one.arcS ?? NaN) / 24, 9)
  })
  it('takes its arcs, its tacks of 12 s a weld and 30 s after each arc', () => {
    const one = demand(jobOf([weld()]))
    expect(one.work).toMatchObject({ tackS: 144, handlingS: 720 })
    expect((one.workH ?? NaN) * 3600).toBeCloseTo((one.arcS ?? NaN) + 864, 6)
    expect(one.pauseS).toBe(30)
  })
  it('takes more beside the arc where the log says so, and no longer arcs', () => {
    const one = demand(jobOf([weld()]))
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
  it('are each named once, a pair with the first weld that joins it', () => {
    const mixed = demand(
      jobOf([
        weld({ materialA: 'hot-rolled', materialB: 'hot-rolled' }),
        weld({ id: 'b', materialA: 'hot-rolled', materialB: 'stainless-304', position: 'overhead' }),
        weld({ id: 'c', materialA: 'hot-rolled', materialB: 'stainless-304', position: 'overhead' }),
      ]),
    )
    expect([...mixed.metals].sort()).toEqual(['carbon-steel', 'stainless'])
    expect(mixed.positions).toEqual(['flat', 'overhead'])
    expect(mixed.pairs.map(({ materialB, weldId }) => [materialB, weldId])).toEqual([
      ['hot-rolled', 'a'],
      ['stainless-304', 'b'],
    ])
  })
})

describe('a weld in pieces', () => {
  it('strikes an arc for every segment of every pass', () => {
    const stitched = weld({ pattern: 'intermittent', segmentMm: 50, pitchMm: 100, lengthMm: 350 })
    const { welds, arcs } = demand(jobOf([stitched]))
    // 50 on 100 over 350 mm: four of them; four welds, two passes, three pieces.
    expect(welds[0]?.arcsPerWeld).toBe(8)
    expect(arcs).toBe(96)
  })
})

describe('stick', () => {
  const electrode = sampleWire({ form: 'covered', classification: 'E7018', diameterMm: 3.175, lengthMm: 350 })
  const byStick = (part: Partial<Job>, line: Partial<Joint> = {}) =>
    demandOf(jobOf([weld({ passes: 1, lengthMm: 1000, ...line })], part), 'smaw', electrode, shop)
  // A 1/8 in electrode lays some 150 to 250 mm of a 3/16 in fillet (common practice, no source).
  it('ends before a metre of weld does: each new electrode is an arc', () => {
    const long = byStick({ pauseS: null })
    const [line] = long.welds
    expect(line?.arcsPerWeld).toBeGreaterThanOrEqual(4)
    expect(line?.arcsPerWeld).toBeLessThanOrEqual(8)
    expect(long.arcs).toBe(12 * (line?.arcsPerWeld ?? NaN))
    expect(line?.oneArcS).toBeGreaterThan(30)
    expect(line?.oneArcS).toBeLessThan(120)
  })
  it('is changed sooner than a weld is gone to: the mean pause lies between both', () => {
    const long = byStick({ pauseS: null })
    const [line] = long.welds
    const short = byStick({ pauseS: null }, { lengthMm: 20 })
    expect(short.welds[0]?.arcsPerWeld).toBe(1)
    const { stickChangeS } = assumptionsOf(shop)
    const way = short.pauseS
    expect(way).not.toBe(stickChangeS)
    const n = line?.arcsPerWeld ?? NaN
    expect(long.pauseS).toBeCloseTo((way + (n - 1) * stickChangeS) / n, 6)
    expect(byStick({ pauseS: 45 }).pauseS).toBe(45)
  })
  it('burns as a usual electrode where none is chosen, and then has no arc time', () => {
    expect(demandOf(jobOf([weld()]), 'smaw', null, shop).arcS).toBeNull()
  })
})

describe('an open groove', () => {
  const plain = weld({ id: 'b' })
  const opened = (): Demand => demand(jobOf([groove, plain]))
  it('is its root and its fill passes, a fillet beside it one run', () => {
    const open = opened()
    const [, fill, other] = open.runs
    expect(open.runs.map(({ joint: { id }, pass }) => [id, pass])).toEqual([
      ['a', 'root'],
      ['a', 'fill'],
      ['b', null],
    ])
    expect(runsOf(open.welds)).toEqual(open.runs)
    expect(other).toBe(open.welds[1])
    const [line] = open.welds
    if (!line || !other) throw new Error('two welds')
    expect(settingsAreOf(line)).toBe(fill)
    expect(settingsAreOf(other)).toBe(other)
  })
  it('takes the metal, the time and the arcs of both, tacked with the root alone', () => {
    const open = opened()
    const [root, fill] = open.runs
    const [line] = open.welds
    if (!line || !root || !fill) throw new Error('no root pass')
    expect(line.fillerG).toBeCloseTo(root.fillerG + fill.fillerG, 9)
    expect(line.metalG).toBeCloseTo(root.metalG + fill.metalG, 6)
    expect(line.arcS).toBeCloseTo((root.arcS ?? NaN) + (fill.arcS ?? NaN), 6)
    expect(line.arcs).toBe(root.arcs + fill.arcs)
    expect(line.arcsPerWeld).toBe(root.arcsPerWeld + fill.arcsPerWeld)
    expect([root.tackS, fill.tackS, line.tackS]).toEqual([12, 0, 12])
    expect(fill.tacks).toBe(0)
    expect(line.wantedA).toBe(fill.wantedA)
  })
  it('has no time where no wire is chosen', () => {
    expect(demand(jobOf([groove]), null).welds[0]?.arcS).toBeNull()
    expect(demand(jobOf([plain]), null).runs).toHaveLength(1)
  })
})

describe('tacks', () => {
  it('hold both ends, and stand no further apart than the shop says', () => {
    const tacks = (lengthMm: number, tackS: number | null = null) => {
      const [line] = demand(jobOf([weld({ lengthMm, tackS })]), solid, { tackEveryMm: 150 }).welds
      return [line?.tacks, line?.tackS]
    }
    const { tackArcS, tackAroundS } = assumptionsOf(shop)
    const each = tackArcS + tackAroundS
    expect(tacks(100)).toEqual([2, 2 * each])
    expect(tacks(150)).toEqual([2, 2 * each])
    expect(tacks(310)).toEqual([4, 4 * each])
    expect(tacks(310, 7)).toEqual([4, 7])
  })
})

describe('a working of the job', () => {
  const [thin, thick, alike] = [
    weld({ id: 'thin', thicknessAMm: 2, thicknessBMm: 2, legMm: 2, tackS: null }),
    weld({ id: 'thick', thicknessAMm: 9.5, thicknessBMm: 9.5, legMm: 6.35 }),
    weld({ id: 'alike', thicknessAMm: 6, thicknessBMm: 6, legMm: 5 }),
  ]
  const traced = (weldId: string | null, joints = [thin, thick, alike]) => {
    const of = demand(jobOf(joints))
    const reckoner = new TracingReckoner(of.assumptions)
    traceDemand(of, weldId, reckoner)
    const steps = reckoner.stepsOf([{ calculations: ['wanted-current'], value: null }])
    return { of, last: steps.at(-1), reckoner }
  }
  it('ends in the current of the weld that is asked about, of the hungriest where none is', () => {
    for (const [asked, id] of [
      ['thin', 'thin'],
      ['alike', 'alike'],
      [null, 'thick'],
      ['gone', 'thick'],
    ] as const) {
      const { of, last } = traced(asked)
      expect(last?.weldId).toBe(id)
      expect(last?.result.value).toBe(of.welds.find(({ joint: { id: own } }) => own === id)?.wantedA)
    }
  })
  it('keeps the totals of all welds, which belong to none', () => {
    const { of, reckoner } = traced('thin')
    const totals = ['filler-total', 'arc-total', 'work-time', 'job-duty']
    const ends = [of.fillerG, of.arcS, of.workH, of.dutyPct]
    for (const [at, id] of totals.entries()) {
      const last = reckoner.stepsOf([{ calculations: [id], value: null }]).at(-1)
      expect(last).toMatchObject({ id, weldId: null, result: { value: ends[at] } })
    }
  })
  it('shows one weld of each form, and names no other', () => {
    const shown = (joints: readonly Joint[]) => {
      const { reckoner } = traced(null, [...joints])
      return new Set(
        reckoner
          .stepsOf([{ calculations: ['filler-total'], value: null }])
          .flatMap(({ weldId }) => weldId ?? []),
      )
    }
    const same = { thicknessAMm: 6, thicknessBMm: 6 }
    const a = weld({ id: 'first', ...same })
    const top = weld({ id: 'top', thicknessAMm: 9.5, thicknessBMm: 9.5, legMm: 6.35 })
    const low = weld({ id: 'low', thicknessAMm: 2, thicknessBMm: 2, legMm: 2 })
    const twin = weld({ id: 'twin', ...same })
    // The hungriest and the thinnest always; of those between one of each form.
    expect(shown([top, low, a, twin])).toEqual(new Set(['top', 'low']))
    for (const other of [
      { passes: null },
      { tackS: null },
      { thicknessAMm: 7 },
      { position: 'overhead' as const },
      { kind: 'lap' as const },
      { materialB: 'stainless-304' as const },
      { pattern: 'intermittent' as const, segmentMm: 50, pitchMm: 100 },
    ])
      expect(shown([top, low, { ...a, ...other, id: 'other' }]), JSON.stringify(other)).toContain('other')
  })
  it('of a groove ends in the current of the pass that is asked about', () => {
    const of = demand(jobOf([groove]))
    const currentOf = (pass: 'root' | 'fill') => {
      const reckoner = new TracingReckoner(of.assumptions)
      traceDemand(of, groove.id, reckoner, pass)
      return reckoner.stepsOf([{ calculations: ['wanted-current'], value: null }]).at(-1)?.result.value
    }
    const [root, fill] = of.runs
    expect([currentOf('root'), currentOf('fill')]).toEqual([root?.wantedA, fill?.wantedA])
    expect(root?.wantedA).not.toBe(fill?.wantedA)
  })
  it('lists pauses, tacks and currents of every weld behind the duty, in their order', () => {
    const { of, reckoner } = traced(null)
    const duty = reckoner.stepsOf([{ calculations: ['job-duty'], value: null }]).at(-1)
    const listed = (symbol: string) => duty?.terms.find((one) => one.symbol === symbol)?.value
    expect(listed('p')).toEqual(of.runs.map(({ pauseS }) => pauseS))
    expect(listed('T')).toEqual(of.runs.map(({ tackS }) => tackS))
    expect(listed('I')).toEqual(of.runs.map(({ wantedA }) => wantedA))
    expect(listed('a')).toEqual(of.runs.map(({ oneArcS }) => oneArcS))
  })
})
