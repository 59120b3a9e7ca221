/** What is read of a plate for each requirement, how a figure becomes a part of one, and what jobs write down. */
import { describe, expect, it } from 'vitest'
import type { PowerSource } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { REQUIREMENT_KINDS, type Requirement, type RequirementKind } from '../kinds/requirementSheet.ts'
import { samplePowerSource } from '../testing/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { requirementsOf } from './derive.ts'
import { partOf, rankSources, suggestedLimits } from './ranking.ts'
import { readOf } from './requirementKinds.ts'
import { newRequirement } from './requirementWords.ts'
import { lackingOf, scoreOf } from './turns.ts'

const demo = demoShop()
const ground = { shop: demo.shop, shelf: demo }
const plain = samplePowerSource()
const [process] = plain.processes
const [supply] = process?.supplies ?? []
if (!process || !supply) throw new Error('the sample has no plate')
/** A plate with two families on two voltages. */
const machine = samplePowerSource({
  processes: [
    {
      ...process,
      family: 'gmaw',
      pulse: false,
      supplies: [
        { ...supply, voltageV: 120, outputMinA: 30, outputMaxA: 140 },
        { ...supply, voltageV: 240, outputMinA: 25, outputMaxA: 210 },
      ],
    },
    {
      ...process,
      family: 'gtaw',
      outputs: ['dc', 'ac'],
      supplies: [{ ...supply, voltageV: 240, outputMinA: 5, outputMaxA: 180 }],
    },
  ],
})
const read = (
  what: RequirementKind,
  part: Partial<PowerSource> = {},
  asked: Partial<Pick<Requirement, 'process' | 'amount' | 'atA'>> = {},
) => readOf(what, { ...machine, ...part }, { process: null, amount: null, atA: null, ...asked }, ground)

describe('of a plate', () => {
  it('is read whether it has a process, and no process asked is not known', () => {
    expect(read('process', {}, { process: 'gmaw-short' })).toBe(1)
    expect(read('process', {}, { process: 'gtaw-ac' })).toBe(1)
    expect(read('process', {}, { process: 'smaw' })).toBe(0)
    expect(read('process')).toBeNull()
  })
  it('are read the ends of its current, of the process that is asked about', () => {
    expect(read('lowest-current', { lowestStableA: null })).toBe(5)
    expect(read('lowest-current', { lowestStableA: null }, { process: 'gmaw-short' })).toBe(25)
    expect(read('lowest-current', { lowestStableA: 3 })).toBe(3)
    expect(read('lowest-current', { lowestStableA: null }, { process: 'smaw' })).toBeNull()
    expect(read('highest-current')).toBe(210)
    expect(read('highest-current', {}, { process: 'gtaw-dc' })).toBe(180)
    expect(read('highest-current', {}, { process: 'smaw' })).toBeNull()
    expect(read('duty-at-current')).toBeNull()
    expect(read('duty-at-current', {}, { atA: 211 })).toBe(0)
  })
  it.each([
    ['ac-frequency', { acFrequency: { minHz: 20, maxHz: 250 } }, 250],
    ['ac-frequency', { acFrequency: null }, null],
    ['start-high-frequency', { start: ['high-frequency', 'lift'] }, 1],
    ['start-high-frequency', { start: ['lift'] }, 0],
    ['start-high-frequency', { start: [] }, null],
    ['start-lift', { start: ['lift'] }, 1],
    ['start-lift', { start: ['high-frequency'] }, 0],
    ['start-lift', { start: [] }, null],
    ['feed-speed', { feeder: null }, null],
    ['spool', { feeder: null }, null],
    ['weight', { massG: 18_000 }, 18_000],
    ['weight', { massG: null }, null],
    ['noise', { noiseDb: 68 }, 68],
    ['memories-locked', { memoriesLocked: true }, 1],
    ['memories-locked', { memoriesLocked: false }, 0],
    ['memories-locked', { memoriesLocked: null }, null],
    ['post-flow-by-hand', { postFlowByHand: true }, 1],
    ['post-flow-by-hand', { postFlowByHand: false }, 0],
    ['service-near', { serviceNear: false }, 0],
    ['service-near', { serviceNear: null }, null],
    ['price', { price: 2150 }, 2150],
    ['price', { price: null }, null],
  ] as readonly (readonly [RequirementKind, Partial<PowerSource>, number | null])[])(
    '%s of %o is %s',
    (what, part, value) => {
      expect(read(what, part)).toBe(value)
    },
  )
  it('are read pulse, voltage and what its feeder takes', () => {
    expect(read('pulse')).toBe(0)
    expect(read('pulse', { processes: [{ ...process, pulse: true }] })).toBe(1)
    expect(read('input-voltage')).toBeNull()
    expect([read('input-voltage', {}, { amount: 120 }), read('input-voltage', {}, { amount: 230 })]).toEqual([
      1, 0,
    ])
    const quillon = demo.powerSources.find(({ id }) => id === 'quillon-210')
    if (!quillon?.feeder) throw new Error('the demo has no Quillon 210')
    const { feeder } = quillon
    expect(read('feed-speed', { feeder })).toBe(feeder.feedMaxMmPerMin)
    expect(read('spool', { feeder: { ...feeder, spoolsMm: [100, 300, 200] } })).toBe(300)
    expect(read('spool', { feeder: { ...feeder, spoolsMm: [] } })).toBeNull()
  })
  it('with the guns of the shelf are read their length and weight: the longest, the lightest', () => {
    const quillon = demo.powerSources.find(({ id }) => id === 'quillon-210')
    const gun = demo.guns.find(({ id }) => id === 'gun-250')
    if (!quillon || !gun) throw new Error('the demo has no such gun')
    const guns = [
      { ...gun, id: 'short', lengthMm: 3000, massG: 2500 },
      { ...gun, id: 'long', lengthMm: 6000, massG: 4000 },
      { ...gun, id: 'unweighed', lengthMm: 4000, massG: null },
      // It plugs into another machine.
      { ...gun, id: 'other', connector: 'not-this-one' as never, lengthMm: 9000, massG: 500 },
    ]
    const own = { shop: demo.shop, shelf: { ...demo, guns } }
    const asked = { process: 'gmaw-short', amount: null, atA: null } as const
    expect(readOf('torch-length', quillon, asked, own)).toBe(6000)
    expect(readOf('torch-weight', quillon, asked, own)).toBe(2500)
    expect(readOf('torch-length', quillon, asked, { ...own, shelf: { ...demo, guns: [] } })).toBeNull()
    expect(readOf('torch-weight', quillon, asked, { ...own, shelf: { ...demo, guns: [] } })).toBeNull()
  })
  it('is read whether it runs on a circuit that is here, not on one that is only thought of', () => {
    const asked = { process: null, amount: null, atA: null }
    const quillon = demo.powerSources.find(({ id }) => id === 'quillon-210')
    if (!quillon) throw new Error('the demo has no Quillon 210')
    const thought = demo.circuits.map((circuit) => ({ ...circuit, held: 'candidate' as const }))
    expect(readOf('runs-here', quillon, asked, { ...ground, shelf: { ...demo, circuits: thought } })).toBe(0)
    const heath = demo.powerSources.find(({ id }) => id === 'heath-300')
    expect(heath && readOf('runs-here', heath, asked, { ...ground, shelf: { ...demo, circuits: [] } })).toBe(
      1,
    )
  })
  it('every kind is read without a word', () => {
    for (const what of REQUIREMENT_KINDS)
      expect([null, 'number'], what).toContain(read(what) === null ? null : typeof read(what))
  })
})

describe('a part of one', () => {
  it('is straight between the worst and the good, and nothing beyond', () => {
    const between = { good: 200, worst: 100 }
    expect([50, 100, 150, 200, 300].map((value) => partOf('more', value, between))).toEqual([0, 0, 0.5, 1, 1])
    const less = { good: 10, worst: 30 }
    expect([5, 10, 20, 30, 40].map((value) => partOf('less', value, less))).toEqual([1, 1, 0.5, 0, 0])
  })
  it('is all or nothing where the good one does not reach the worst', () => {
    expect([99, 100].map((value) => partOf('more', value, { good: 90, worst: 100 }))).toEqual([0, 1])
    expect([100, 101].map((value) => partOf('less', value, { good: 110, worst: 100 }))).toEqual([1, 0])
    expect(partOf('more', 100, { good: 100, worst: 100 })).toBe(1)
  })
  it('without a worst is the share of the good, and is safe at nothing', () => {
    expect([
      partOf('more', 50, { good: 200, worst: null }),
      partOf('more', 300, { good: 200, worst: null }),
    ]).toEqual([0.25, 1])
    expect(partOf('more', 50, { good: 0, worst: null })).toBe(0)
    expect([
      partOf('less', 40, { good: 10, worst: null }),
      partOf('less', 0, { good: 10, worst: null }),
    ]).toEqual([0.25, 1])
    expect([
      partOf('there', 1, { good: 1, worst: null }),
      partOf('there', 0, { good: 1, worst: null }),
    ]).toEqual([1, 0])
    expect(partOf('more', null, { good: 1, worst: null })).toBe(0)
  })
})

describe('a ranking', () => {
  const source = (id: string, part: Partial<PowerSource>) => ({ ...machine, ...part, id })
  it('puts of equals the cheaper first, and what has no price last', () => {
    const all = [
      source('no-price', { price: null }),
      source('dear', { price: 900 }),
      source('cheap', { price: 500 }),
    ]
    const order = rankSources([newRequirement('weight')], all, ground).map(({ sourceId }) => sourceId)
    expect(order).toEqual(['cheap', 'dear', 'no-price'])
  })
  it('has a must met at its very amount, and one without an amount by being known', () => {
    const must = (what: RequirementKind, amount: number | null, part: Partial<PowerSource>) =>
      rankSources([newRequirement(what, { must: true, amount })], [source('a', part)], ground)[0]?.met[0]
        ?.verdict
    expect([must('weight', 100, { massG: 100 }), must('weight', 100, { massG: 101 })]).toEqual([
      'fits',
      'fails',
    ])
    expect([must('highest-current', 210, {}), must('highest-current', 211, {})]).toEqual(['fits', 'fails'])
    expect([must('weight', null, { massG: 1 }), must('weight', 100, { massG: null })]).toEqual([
      'fits',
      'unknown',
    ])
    expect([
      must('service-near', null, { serviceNear: true }),
      must('service-near', null, { serviceNear: false }),
    ]).toEqual(['fits', 'fails'])
    const [none] = rankSources(
      [newRequirement('weight', { must: true, amount: 1 })],
      [source('a', { massG: 5 })],
      ground,
    )
    expect([none && lackingOf(none), none?.isIn, none?.score]).toEqual([1, false, null])
  })
  it('suggests the ends of what there is, none where all are alike or it is a must', () => {
    const all = [source('a', { massG: 10, noiseDb: 60 }), source('b', { massG: 30, noiseDb: 60 })]
    const of = (one: Requirement) => suggestedLimits([one], all, ground)[0]
    expect(of(newRequirement('weight'))).toEqual({ good: 10, worst: 30 })
    expect(of(newRequirement('noise'))).toBeNull()
    expect(of(newRequirement('weight', { must: true, amount: 99 }))).toBeNull()
    expect(of(newRequirement('pulse'))).toBeNull()
  })
  it('weighs wishes alone, and is nothing where nothing is wished', () => {
    const met = (part: number) => ({ value: 1, verdict: null, part })
    const wishes = [
      { must: false, weight: 3 },
      { must: true, weight: 100 },
      { must: false, weight: 1 },
    ]
    expect(scoreOf(wishes, [met(1), met(0), met(0)])).toBe(0.75)
    expect(scoreOf([{ must: true, weight: 5 }], [met(1)])).toBeNull()
    expect(scoreOf([{ must: false, weight: 0 }], [met(1)])).toBeNull()
  })
})

describe('what jobs write down', () => {
  const job = (id: string, part: Partial<Job> = {}): Job => {
    const found = demo.jobs.find((one) => one.id === id)
    if (!found) throw new Error(`the demo has no ${id}`)
    return { ...found, ...part }
  }
  const lines = (...jobs: readonly Job[]) => requirementsOf(demo.shop, demo, demo.setUps, jobs)
  it('are a process each with its jobs, current in steps of five amperes, and a duty as a wish', () => {
    const found = lines(
      job('press-frame', { setUpId: 'bay-2-wire' }),
      job('press-screw-post', { setUpId: 'bay-2-wire' }),
    )
    const of = (what: RequirementKind) => found.filter((one) => one.what === what)
    expect(of('process')).toHaveLength(1)
    expect(of('process')[0]).toMatchObject({
      process: 'gmaw-short',
      must: true,
      because: 'Press frame, Press screw post',
    })
    const [most] = of('highest-current')
    const [duty] = of('duty-at-current')
    expect((most?.amount ?? NaN) % 5).toBe(0)
    expect([duty?.must, duty?.atA, (duty?.amount ?? NaN) % 5]).toEqual([false, most?.amount, 0])
    expect(duty?.amount).toBeLessThanOrEqual(100)
    expect(duty?.because).toBe(most?.because)
    expect(of('lowest-current')).toHaveLength(1)
    expect((of('lowest-current')[0]?.amount ?? NaN) % 5).toBe(0)
    expect(of('lowest-current')[0]?.amount).toBeLessThan(most?.amount ?? 0)
    expect([of('runs-here')[0]?.must, of('price')[0]?.must]).toEqual([true, false])
  })
  it('name work outdoors, and a job once', () => {
    const [line] = lines(
      job('loader-fork', { place: 'outdoors' }),
      job('loader-fork', { id: 'twin', place: 'indoors' }),
    )
    expect(line?.because).toBe('Loader fork repair; outdoors: Loader fork repair')
    const [indoors] = lines(job('loader-fork', { place: 'indoors' }))
    expect(indoors?.because).toBe('Loader fork repair')
  })
  it('are nothing where no job has a way', () => {
    expect(
      requirementsOf(demo.shop, { ...demo, powerSources: [] }, [], [job('press-frame', { setUpId: null })]),
    ).toEqual([])
    expect(lines()).toEqual([])
  })
})
