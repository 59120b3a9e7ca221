/** Requirements: weighted scoring against a published example, musts, how sure a ranking is, what jobs ask. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { samplePowerSource } from '../testing/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { requirementsOf } from './derive.ts'
import { partOf, rankSources, suggestedLimits } from './ranking.ts'
import { readOf } from './requirementKinds.ts'
import { newRequirement } from './requirementWords.ts'
import { type Ranked, turnsOf } from './turns.ts'

const demo = demoShop()
const ground = { shop: demo.shop, shelf: demo }
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
    row.map((value, at) => partOf(better[at] ?? 'more', value, { good: best[at] ?? 0, worst: null })),
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
    const wants = [
      newRequirement('price', { weight: 10 }),
      newRequirement('weight', { must: true, amount: 12000 }),
    ]
    const ranked = rankSources(wants, [heavy, light], ground)
    expect(ranked.map(({ sourceId, isIn }) => [sourceId, isIn])).toEqual([
      ['light', true],
      ['heavy', false],
    ])
  })

  it('does not take what nobody knows for met, and gives it nothing as a wish', () => {
    const [first] = rankSources([newRequirement('noise', { must: true, amount: 70 })], [light], ground)
    expect(first).toMatchObject({ isIn: false, met: [{ value: null, verdict: 'unknown' }] })
    const [wished] = rankSources([newRequirement('noise')], [light, heavy], ground)
    expect(wished).toMatchObject({ sourceId: 'heavy', score: 1 })
  })

  it('counts what is wished by an amount as whole once it is reached', () => {
    const [first, second] = rankSources([newRequirement('weight', { amount: 15000 })], [light, heavy], ground)
    expect(first).toMatchObject({ sourceId: 'light', score: 1 })
    expect(second?.score).toBeCloseTo(0.5)
  })

  it('meets a must at its amount, and not beyond', () => {
    const verdictOf = (what: 'weight' | 'noise', amount: number | null, of = heavy) =>
      rankSources([newRequirement(what, { must: true, amount })], [of], ground)[0]?.met[0]?.verdict
    expect([29999, 30000, 30001].map((amount) => verdictOf('weight', amount))).toEqual([
      'fails',
      'fits',
      'fits',
    ])
    expect(verdictOf('weight', null)).toBe('fits')
    expect(verdictOf('noise', null, light)).toBe('unknown')
    const most = (amount: number) =>
      rankSources([newRequirement('price', { must: true, amount })], [heavy], ground)[0]?.isIn
    expect([999, 1000].map(most)).toEqual([false, true])
  })

  it('scales by all machines where none has every must', () => {
    const asked = [newRequirement('price', { must: true, amount: 10 }), newRequirement('weight')]
    const ranked = rankSources(asked, [heavy, light], ground)
    // The lighter is the best there is; 9 of 30 kg.
    expect(ranked.map(({ sourceId, isIn, score }) => [sourceId, isIn, score])).toEqual([
      ['light', false, 1],
      ['heavy', false, 0.3],
    ])
  })

  it('takes the most for good where more is better and no amount is set', () => {
    const giving = (id: string, outputMaxA: number) => {
      const source = samplePowerSource({ id })
      const processes = source.processes.map((one) => ({
        ...one,
        supplies: one.supplies.map((supply) => ({ ...supply, outputMaxA })),
      }))
      return { ...source, processes }
    }
    const all = [giving('weak', 150), giving('strong', 200)]
    const wish = newRequirement('highest-current')
    expect(rankSources([wish], all, ground).map(({ sourceId, score }) => [sourceId, score])).toEqual([
      ['strong', 1],
      ['weak', 0.75],
    ])
    expect(suggestedLimits([wish], all, ground)).toEqual([{ good: 200, worst: 150 }])
  })

  it('names of equals the cheaper first, and what has no price last', () => {
    const machine = (id: string, price: number | null) => samplePowerSource({ id, massG: 9000, price })
    const all = [machine('none', null), machine('dear', 900), machine('cheap', 100)]
    for (const asked of [
      [newRequirement('weight')],
      [newRequirement('weight', { must: true, amount: 9000 })],
      [],
    ])
      expect(rankSources(asked, all, ground).map(({ sourceId }) => sourceId)).toEqual([
        'cheap',
        'dear',
        'none',
      ])
    // A figure that is not known of any of them.
    const unknown = all.map((one) => ({ ...one, noiseDb: null }))
    const [first] = rankSources([newRequirement('noise')], unknown, ground)
    expect(first).toMatchObject({ sourceId: 'cheap', score: 0 })
  })

  it('scores nothing by the share of nothing, and all of it where nothing is the least there can be', () => {
    expect(partOf('more', 5, { good: 0, worst: null })).toBe(0)
    expect(partOf('more', 5, { good: 10, worst: null })).toBe(0.5)
    expect(partOf('less', 0, { good: 10, worst: null })).toBe(1)
    expect(partOf('less', 20, { good: 10, worst: null })).toBe(0.5)
    expect([0, 1].map((there) => partOf('there', there, { good: 1, worst: null }))).toEqual([0, 1])
    expect(partOf('less', null, { good: 10, worst: null })).toBe(0)
    // More, where nothing below 12 is acceptable and the best is 10.
    expect([11, 12].map((a) => partOf('more', a, { good: 10, worst: 12 }))).toEqual([0, 1])
  })

  // Common practice, no source: straight between two limits, as in any scoring model; half way scores half.
  it('scores straight between the worst that is acceptable and what is good enough', () => {
    const between = { good: 10, worst: 30 }
    expect([30, 20, 10, 5, 40].map((kg) => partOf('less', kg, between))).toEqual([0, 0.5, 1, 1, 0])
    expect([100, 150, 200, 250, 50].map((a) => partOf('more', a, { good: 200, worst: 100 }))).toEqual([
      0, 0.5, 1, 1, 0,
    ])
    expect([9, 10, 11].map((kg) => partOf('less', kg, { good: 10, worst: 10 }))).toEqual([1, 1, 0])
    // The best is 10, and nothing above 8 is acceptable.
    expect([7, 8, 10, 12].map((kg) => partOf('less', kg, { good: 10, worst: 8 }))).toEqual([1, 1, 0, 0])
    const [first, second] = rankSources(
      [newRequirement('weight', { amount: 9000, worst: 51000 })],
      [light, heavy],
      ground,
    )
    expect([first?.score, second?.score]).toEqual([1, 0.5])
  })

  it('suggests limits of the machines that have every must, and of no other', () => {
    const out = samplePowerSource({ id: 'out', massG: 1000, price: 9000 })
    const wishes = [
      newRequirement('price', { must: true, amount: 5000 }),
      newRequirement('weight'),
      newRequirement('runs-here'),
    ]
    expect(suggestedLimits(wishes, [light, heavy, out], ground)).toEqual([
      null,
      { good: 9000, worst: 30000 },
      null,
    ])
    expect(suggestedLimits(wishes, [light, out], ground)).toEqual([null, null, null])
  })

  it('ranks as a plain recomputation does, whatever machines that are out stand beside', () => {
    const machine = fc.record({
      massG: fc.option(fc.integer({ min: 1, max: 40 })),
      noiseDb: fc.option(fc.integer({ min: 40, max: 80 })),
      price: fc.integer({ min: 100, max: 5000 }),
    })
    const wish = fc.record({
      weight: fc.integer({ min: 1, max: 10 }),
      worst: fc.option(fc.integer({ min: 81, max: 99 })),
    })
    fc.assert(
      fc.property(
        fc.array(machine, { minLength: 1, maxLength: 6 }),
        fc.tuple(wish, wish, wish),
        fc.integer({ min: 100, max: 5000 }),
        (all, [mass, noise, price], limit) => {
          const sources = all.map((one, n) => samplePowerSource({ ...one, id: `m${n}` }))
          const wishes = [
            newRequirement('weight', mass),
            newRequirement('noise', noise),
            newRequirement('price', { weight: price.weight, must: true, amount: limit }),
          ]
          const within = all.filter((one) => one.price <= limit)
          const ranked = rankSources(wishes, sources, ground)
          const isInOf = new Map(ranked.map(({ sourceId, isIn }) => [sourceId, isIn]))
          all.forEach((one, n) => expect(isInOf.get(`m${n}`)).toBe(one.price <= limit))
          // By hand: the best of those that are in over the figure, or straight down to the worst.
          const score = (one: (typeof all)[number]): number => {
            const part = (key: 'massG' | 'noiseDb', worst: number | null): number => {
              const value = one[key]
              const best = Math.min(...within.flatMap((other) => other[key] ?? []))
              if (value === null) return 0
              return worst === null
                ? Math.min(1, best / value)
                : Math.max(0, Math.min(1, (worst - value) / (worst - best)))
            }
            const sum = mass.weight * part('massG', mass.worst) + noise.weight * part('noiseDb', noise.worst)
            return sum / (mass.weight + noise.weight)
          }
          for (const { sourceId, isIn, score: found } of ranked) {
            const one = all[Number(sourceId.slice(1))]
            if (isIn && one) expect(found).toBeCloseTo(score(one), 9)
          }
          // Those that are out, taken away, move nothing.
          const alone = rankSources(
            wishes,
            sources.filter((one) => (one.price ?? 0) <= limit),
            ground,
          )
          expect(alone).toEqual(ranked.filter(({ isIn }) => isIn))
        },
      ),
    )
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

  const wishes = [newRequirement('price'), newRequirement('weight')]
  const turnsBy = (of: readonly Ranked[], most = 10) => turnsOf(wishes, of, most, 0.5)

  it('names the next step of a weight at which another leads', () => {
    // 5·1 + 5·0.2 = 6 leads 5·0.4 + 5·0.6 = 5. The first weight is level at 3.33, the second at 7.5: half a step on.
    expect(turnsBy([ranked('a', 1, 0.2), ranked('b', 0.4, 0.6)])).toEqual([
      { at: 0, weight: 3, sourceId: 'b' },
      { at: 1, weight: 8, sourceId: 'b' },
    ])
  })

  it('names no weight below nothing, and none above the most', () => {
    // 5·0.6 + 5·0.9 leads 5·0.9 + 5·0.2 by 2. Only at a first weight of 11.7, or a second of 2.1, are they level.
    const two = [ranked('a', 0.6, 0.9), ranked('b', 0.9, 0.2)]
    expect(turnsBy(two).map(({ at, weight }) => [at, weight])).toEqual([[1, 2]])
    expect(turnsBy(two, 12).map(({ at, weight }) => [at, weight])).toEqual([
      [0, 12],
      [1, 2],
    ])
    // What is better in both is overtaken at no weight from nothing on.
    expect(turnsBy([ranked('a', 0.9, 0.9), ranked('b', 0.2, 0.4)])).toEqual([])
  })

  it('looks at none that lacks a must, and at none where all do', () => {
    const out = { ...ranked('out', 1, 1), isIn: false }
    const [a, b] = [ranked('a', 1, 0.2), ranked('b', 0.4, 0.6)]
    expect(turnsBy([out, a, b])).toEqual(turnsBy([a, b]))
    expect(turnsBy([out])).toEqual([])
    expect(turnsBy([])).toEqual([])
  })

  it('names none where two are only level, and none from a weight to itself', () => {
    expect(turnsBy([ranked('a', 0.5, 0.5), ranked('b', 0.5, 0.5)])).toEqual([])
    // Level now: the next step either way decides.
    expect(turnsBy([ranked('a', 1, 0), ranked('b', 0, 1)])).toEqual([
      { at: 0, weight: 4.5, sourceId: 'b' },
      { at: 1, weight: 5.5, sourceId: 'b' },
    ])
  })

  it('is right about it: at the step the machine leads alone, and at no step nearer does another', () => {
    const part = fc.integer({ min: 0, max: 20 }).map((n) => n / 20)
    const machines = fc.array(fc.tuple(part, part, part), { minLength: 2, maxLength: 5 })
    const weights = fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 0, max: 20 }).map((n) => n / 2)))
    fc.assert(
      fc.property(machines, weights, (all, by) => {
        const requirements = by.map((weight) => newRequirement('price', { weight }))
        const scores = (moved: number, to: number) =>
          all.map((parts) =>
            parts.reduce((sum, one, at) => sum + one * ((at === moved ? to : by[at]) ?? 0), 0),
          )
        const now = scores(-1, 0)
        const order = all.map((_, n) => n).sort((a, b) => (now[b] ?? 0) - (now[a] ?? 0))
        const sorted = order.map((n) => ranked(`${n}`, ...(all[n] ?? [])))
        const leads = (moved: number, to: number): number | null => {
          const found = scores(moved, to)
          const best = Math.max(...found)
          const first = found.flatMap((one, n) => (one > best - 1e-9 ? [n] : []))
          return first.length === 1 ? (first[0] ?? null) : null
        }
        const turns = turnsOf(requirements, sorted, 10, 0.5)
        for (const at of [0, 1, 2]) {
          const turn = turns.find((one) => one.at === at)
          const reach = turn ? Math.abs(turn.weight - (by[at] ?? 0)) : Infinity
          if (turn) expect(leads(at, turn.weight)).toBe(Number(turn.sourceId))
          for (let to = 0; to <= 10; to += 0.5) {
            const other = leads(at, to)
            if (Math.abs(to - (by[at] ?? 0)) < reach - 1e-9 && to !== by[at])
              expect(other === null || other === order[0]).toBe(true)
          }
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
