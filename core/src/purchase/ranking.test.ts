/** Requirements: weighted scoring against a published example, musts, how sure a ranking is, what jobs ask. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Requirement } from '../model/requirementSheet.ts'
import { samplePowerSource } from '../testing/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { requirementsOf } from './derive.ts'
import { partOf, rankSources } from './ranking.ts'
import { readOf } from './requirementKinds.ts'
import { type Ranked, turnsOf } from './turns.ts'

const demo = demoShop()
const ground = { shop: demo.shop, shelf: demo }
const asked = (what: Requirement['what'], part: Partial<Requirement> = {}): Requirement => ({
  what,
  process: null,
  amount: null,
  worst: null,
  atA: null,
  must: false,
  weight: 5,
  because: null,
  ...part,
})

// C.-L. Hwang, K. Yoon, Multiple Attribute Decision Making, 1981, the choice of an aircraft; from memory.
describe('simple additive weighting', () => {
  const matrix = [
    [2.0, 1500, 20000, 5.5, 5, 9],
    [2.5, 2700, 18000, 6.5, 3, 5],
    [1.8, 2000, 21000, 4.5, 7, 7],
    [2.2, 1800, 20000, 5.0, 5, 5],
  ]
  const better = ['more', 'more', 'more', 'less', 'more', 'more'] as const
  const weights = [0.2, 0.1, 0.1, 0.1, 0.2, 0.3]
  const best = better.map((way, at) => {
    const column = matrix.map((row) => row[at] ?? 0)
    return way === 'less' ? Math.min(...column) : Math.max(...column)
  })
  const parts = matrix.map((row) =>
    row.map((value, at) => partOf(better[at] ?? 'more', value, best[at] ?? 0)),
  )

  it('scales as the example prints it', () => {
    expect(parts.map((row) => row.map((one) => Number(one.toFixed(2))))).toEqual([
      [0.8, 0.56, 0.95, 0.82, 0.71, 1],
      [1, 1, 0.86, 0.69, 0.43, 0.56],
      [0.72, 0.74, 1, 1, 1, 0.78],
      [0.88, 0.67, 0.95, 0.9, 0.71, 0.56],
    ])
  })
  it('sums to the scores of the example, which adds parts that are rounded', () => {
    const scores = parts.map((row) => row.reduce((sum, one, at) => sum + (weights[at] ?? 0) * one, 0))
    for (const [at, printed] of [0.835, 0.709, 0.853, 0.738].entries())
      expect(Math.abs((scores[at] ?? 0) - printed)).toBeLessThan(0.0025)
  })
})

describe('musts and wishes', () => {
  const light = samplePowerSource({ id: 'light', massG: 9000, noiseDb: null, price: 2000 })
  const heavy = samplePowerSource({ id: 'heavy', massG: 30000, noiseDb: 60, price: 1000 })

  it('puts what lacks a must last, whatever its score', () => {
    const wants = [asked('price', { weight: 10 }), asked('weight', { must: true, amount: 12000 })]
    const ranked = rankSources(wants, [heavy, light], ground)
    expect(ranked.map(({ sourceId, isIn }) => [sourceId, isIn])).toEqual([
      ['light', true],
      ['heavy', false],
    ])
  })

  it('does not take what nobody knows for met, and gives it nothing as a wish', () => {
    const [first] = rankSources([asked('noise', { must: true, amount: 70 })], [light], ground)
    expect(first).toMatchObject({ isIn: false, met: [{ value: null, verdict: 'unknown' }] })
    const [wished] = rankSources([asked('noise')], [light, heavy], ground)
    expect(wished).toMatchObject({ sourceId: 'heavy', score: 1 })
  })

  it('counts what is wished by an amount as whole once it is reached', () => {
    const [first, second] = rankSources([asked('weight', { amount: 15000 })], [light, heavy], ground)
    expect(first).toMatchObject({ sourceId: 'light', score: 1 })
    expect(second?.score).toBeCloseTo(0.5)
  })

  // IEC 60974-1: I²·X is constant beyond the rated points; 60 % at 200 A is 100 % at 155 A.
  it('reads the duty at a current off the curve of the plate', () => {
    const source = samplePowerSource()
    const [first] = source.processes
    const supply = first?.supplies[0]
    const point = supply?.ratedPoints[0]
    if (!first || !supply || !point) throw new Error('the sample has no rated point')
    const rated = samplePowerSource({
      processes: [
        {
          ...first,
          supplies: [{ ...supply, outputMaxA: 250, ratedPoints: [{ ...point, currentA: 200, dutyPct: 60 }] }],
        },
      ],
    })
    const duty = (atA: number) =>
      readOf('duty-at-current', rated, { process: null, amount: null, atA }, ground)
    expect(duty(155)).toBeCloseTo(100, 0)
    expect(duty(200)).toBeCloseTo(60)
    expect(duty(260)).toBe(0)
  })

  it('knows which machines run on what is here', () => {
    const runs = (id: string) => {
      const source = demo.powerSources.find((one) => one.id === id)
      if (!source) throw new Error(`the demo has no ${id}`)
      return readOf('runs-here', source, { process: null, amount: null, atA: null }, ground)
    }
    expect(runs('quillon-210')).toBe(1)
    const noThreePhase = {
      ...ground,
      shelf: { ...demo, circuits: demo.circuits.filter(({ phases }) => phases === 1) },
    }
    const tarn = demo.powerSources.find((one) => one.id === 'tarn-400')
    if (!tarn) throw new Error('the demo has no Tarn 400')
    expect(readOf('runs-here', tarn, { process: null, amount: null, atA: null }, noThreePhase)).toBe(0)
  })
})

describe('how sure a ranking is', () => {
  const ranked = (sourceId: string, ...parts: readonly number[]): Ranked => ({
    sourceId,
    met: parts.map((part) => ({ value: part, verdict: null, part })),
    isIn: true,
    score: null,
  })

  it('names the weight at which another comes first', () => {
    // 5·1 + 5·0.2 = 6 leads 5·0.4 + 5·0.6 = 5. With the second weight at 7.5: 6.5 each.
    const turns = turnsOf([asked('price'), asked('weight')], [ranked('a', 1, 0.2), ranked('b', 0.4, 0.6)], 10)
    expect(turns).toEqual([
      { at: 0, weight: expect.closeTo(10 / 3) as number, sourceId: 'b' },
      { at: 1, weight: expect.closeTo(12.5 - 5) as number, sourceId: 'b' },
    ])
  })

  it('names no weight below nothing, and none above the most', () => {
    // 5·0.6 + 5·0.9 leads 5·0.9 + 5·0.2 by 2. Only at a first weight of 11.7, or a second of 2.1, are they equal.
    const two = [ranked('a', 0.6, 0.9), ranked('b', 0.9, 0.2)]
    const wishes = [asked('price'), asked('weight')]
    expect(turnsOf(wishes, two, 10).map(({ at }) => at)).toEqual([1])
    expect(turnsOf(wishes, two, 12).map(({ at }) => at)).toEqual([0, 1])
    // What is better in both is overtaken at no weight from nothing on.
    expect(turnsOf(wishes, [ranked('a', 0.9, 0.9), ranked('b', 0.2, 0.4)], 10)).toEqual([])
  })

  it('is right about it: just beyond the turn another leads, just before it none does', () => {
    const part = fc.integer({ min: 0, max: 20 }).map((n) => n / 20)
    const machines = fc.array(fc.tuple(part, part, part), { minLength: 2, maxLength: 5 })
    const weights = fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 1, max: 9 })))
    const score = (parts: readonly number[], by: readonly number[]) =>
      parts.reduce((sum, one, at) => sum + one * (by[at] ?? 0), 0)
    fc.assert(
      fc.property(machines, weights, (all, by) => {
        const requirements = by.map((weight) => asked('price', { weight }))
        const sorted = all
          .map((parts, n) => ranked(`m${n}`, ...parts))
          .sort(
            (a, b) =>
              score(
                b.met.map((m) => m.part ?? 0),
                by,
              ) -
              score(
                a.met.map((m) => m.part ?? 0),
                by,
              ),
          )
        const leader = sorted[0]
        if (!leader) return
        for (const { at, weight, sourceId } of turnsOf(requirements, sorted, 10)) {
          const way = weight > (by[at] ?? 0) ? 1e-6 : -1e-6
          const scoreOf = (one: Ranked | undefined, moved: number) =>
            score(
              one?.met.map((m) => m.part ?? 0) ?? [],
              by.map((own, index) => (index === at ? moved : own)),
            )
          const other = sorted.find((one) => one.sourceId === sourceId)
          expect(scoreOf(other, weight + way)).toBeGreaterThan(scoreOf(leader, weight + way))
          for (const one of sorted)
            expect(scoreOf(one, weight - way)).toBeLessThanOrEqual(scoreOf(leader, weight - way) + 1e-9)
        }
      }),
    )
  })
})

describe('requirements of the planned jobs', () => {
  const planned = demo.jobs.filter(({ state }) => state === 'planned')
  const lines = requirementsOf(demo.shop, demo, demo.setUps, planned)
  const ofProcess = (process: string) => lines.filter((one) => one.process === process)

  // Common practice, no source: aluminium by TIG wants AC; wind wants stick or self-shielded wire.
  it('asks AC for aluminium by TIG, and no gas outdoors', () => {
    expect(ofProcess('gtaw-ac')[0]).toMatchObject({
      what: 'process',
      because: expect.stringContaining('Picking platform') as string,
      must: true,
    })
    expect(ofProcess('fcaw-s')[0]?.because).toContain('outdoors: Loader fork repair')
  })

  // The tray of 1/16 in stainless is the thinnest that is planned, and is welded by TIG.
  it('asks the lowest current for the thinnest part, and of each process a duty at a current', () => {
    const low = lines.filter(({ what }) => what === 'lowest-current')
    expect(low).toMatchObject([{ process: 'gtaw-dc', because: 'Pressing tray' }])
    const processes = new Set(lines.filter(({ what }) => what === 'process').map(({ process }) => process))
    for (const process of processes) {
      const duty = lines.find((one) => one.what === 'duty-at-current' && one.process === process)
      expect(duty?.amount).toBeGreaterThan(0)
      expect(duty?.atA).toBeGreaterThan(low[0]?.amount ?? Infinity)
    }
  })

  it('asks nothing where nothing is planned', () => {
    expect(requirementsOf(demo.shop, demo, demo.setUps, [])).toEqual([])
  })
})
