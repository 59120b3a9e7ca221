/** A shift of several: repeatable, and where nothing is left to chance the same as the exact heat. */
import fc from 'fast-check'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { demandOf } from '../demand/demand.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { VERDICT_RANK } from '../model/verdict.ts'
import { UL_489 } from '../supply/breaker/models.ts'
import { BANDS, storesOf } from '../supply/breaker/breakerModel.ts'
import { type Beat, tripsAfterS } from '../supply/breaker/heat.ts'
import { demoShop } from '../testing/samples.ts'
import { chanceOf, heldThrough, type HowLong, shiftOf } from './shift.ts'
import { explainGroup, likelyTogether, pairsOf, shopPowerOf } from './shopPower.ts'
import { type Together, togetherOf, type Wired } from './together.ts'
import { runs } from '../testing/runs.ts'
import { drawer, node, steady, together } from '../testing/together.ts'

const demo = demoShop()

const shiftsOf = (all: Together, howLong: HowLong) => ({
  nodes: shiftOf(all, howLong).map(({ shift }) => shift),
})
const HOURS_8 = { hours: 8, runs: 1, seed: 1 }

describe('a shift', () => {
  it('of arcs too short to be told apart heats like their root mean square (IEC 60050-103, from memory)', () => {
    // Half of the time 100 A: 70.7 A; three tenths at 100 A and the rest at 20 A: 57.3 A.
    const half: Beat = { onS: 0.002, offS: 0.002, times: 50, onA: 100, offA: 0 }
    const mixed: Beat = { onS: 0.03, offS: 0.07, times: 9, onA: 100, offA: 20 }
    for (const [beats, steadyA] of [
      [[half], 70.71],
      [[mixed], 57.27],
      [[half, half], 70.71],
    ] as const) {
      const shift = shiftsOf(together([drawer(beats)], [node(200, ['all'])]), HOURS_8).nodes[0]
      expect(shift?.meanA).toBeCloseTo(steadyA, 1)
      expect(shift?.peakA).toBeCloseTo(steadyA, 1)
    }
    // A motor that starts at 300 A for the first tenth of each arc heats more: √(0.05·300² + 0.05·10²)… over 0.2 s.
    const starts = drawer([{ onS: 0.1, offS: 0.1, times: 3, onA: 10, offA: 0 }], { startA: 300 })
    const rushed = together([starts], [node(200, ['all'])])
    const { motorStartS } = rushed.assumptions
    expect(motorStartS).toBeGreaterThan(0.1)
    expect(shiftsOf(rushed, HOURS_8).nodes[0]?.meanA).toBeCloseTo(300 / Math.SQRT2, 1)
  })

  it('of a job of hundreds of welds that take thousandths of a second ends, and is like any other', () => {
    const tiny: readonly Beat[] = Array.from({ length: 200 }, () => ({
      onS: 0.001,
      offS: 0.001,
      times: 100_000,
      onA: 40,
      offA: 0,
    }))
    const shift = shiftsOf(together([drawer(tiny, { isSteady: false })], [node(20, ['all'])]), {
      ...HOURS_8,
      runs: 40,
    }).nodes[0]
    // 28.3 A in a 20 A breaker, without end: the usual one goes in every shift.
    expect(shift?.trips?.nominal.times).toBe(40)
    const long = { onS: 60, offS: 60, times: 3, onA: 40, offA: 0 }
    const beside = shiftsOf(together([drawer([...tiny.slice(0, 1), long])], [node(200, ['all'])]), HOURS_8)
    expect(beside.nodes[0]?.peakA).toBeCloseTo(40, 6)
  })

  it('with nothing left to chance trips when the exact heat does, to the second', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 300 }),
        fc.integer({ min: 0, max: 300 }),
        fc.integer({ min: 20, max: 90 }),
        fc.constantFrom(15, 20, 40),
        (onS, offS, onA, ratingA) => {
          const beats: readonly Beat[] = [{ onS, offS, times: 1, onA, offA: 0 }]
          const { nodes } = shiftsOf(together([drawer(beats)], [node(ratingA, ['all'])]), HOURS_8)
          for (const band of BANDS) {
            const exact = tripsAfterS(beats, ratingA, storesOf(UL_489, ratingA)[band], 8 * 3600)
            // On the edge, rounding decides which of two cycles it is.
            if (exact !== null && exact > 7 * 3600) continue
            expect(nodes[0]?.trips?.[band].times).toBe(exact === null ? 0 : 1)
            if (band === 'nominal' && exact !== null)
              expect(Math.abs((nodes[0]?.usuallyAfterS ?? 0) - exact)).toBeLessThanOrEqual(onS + offS + 1)
          }
        },
      ),
      { numRuns: runs(60) },
    )
  })

  it('is the same for the same seed, and another for another', () => {
    const work = likelyTogether(demo.setUps, demo.jobs, demo.shop, demo)
    const of = (seed: number) => shiftsOf(togetherOf(demo.shop, demo, work), { hours: 1, runs: 2, seed })
    expect(of(3)).toEqual(of(3))
    expect(of(3)).not.toEqual(of(4))
  })

  it('three equal single-phase loads between the lines of a three-phase panel make √3 of one in each (fact of the trade)', () => {
    const between: readonly Wired[] = [{ between: 0 }, { between: 1 }, { between: 2 }]
    const three = together(
      Array.from({ length: 3 }, () => drawer([steady(10)])),
      [node(100, between, 3)],
    )
    expect(shiftsOf(three, HOURS_8).nodes[0]?.peakA).toBeCloseTo(10 * Math.sqrt(3), 4)
    // One alone loads two lines with all of it.
    const one = together([drawer([steady(10)])], [node(100, [{ between: 1 }], 3)])
    expect(shiftsOf(one, HOURS_8).nodes[0]?.peakA).toBeCloseTo(10, 6)
  })

  it('two on one leg of a split-phase panel add up, on two legs they do not', () => {
    const pair = [drawer([steady(12)]), drawer([steady(9)])]
    const peakA = (wired: readonly Wired[]) =>
      shiftsOf(together(pair, [node(100, wired)]), HOURS_8).nodes[0]?.peakA
    expect(peakA([{ on: 0 }, { on: 0 }])).toBeCloseTo(21, 5)
    expect(peakA([{ on: 0 }, { on: 1 }])).toBeCloseTo(12, 5)
    expect(peakA(['all', { on: 1 }])).toBeCloseTo(21, 5)
  })

  it('however many are on one line, they add up', () => {
    for (let count = 1; count <= 7; count += 1) {
      const loads = Array.from({ length: count }, (_, at) => drawer([steady(2 ** at)]))
      const wired = loads.map((): Wired => ({ on: 0 }))
      const shift = shiftsOf(together(loads, [node(200, wired)]), HOURS_8).nodes[0]
      expect(shift?.peakA).toBe(2 ** count - 1)
    }
  })

  /** Welders and steady loads, wired in any way. */
  const someAtWork = fc
    .record({
      loads: fc.array(
        fc.record({
          onS: fc.integer({ min: 1, max: 400 }),
          offS: fc.integer({ min: 0, max: 400 }),
          onA: fc.integer({ min: 1, max: 60 }),
          isSteady: fc.boolean(),
          wired: fc.constantFrom<Wired>('all', { on: 0 }, { on: 1 }, { between: 0 }, { between: 1 }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      ratingsA: fc.array(fc.integer({ min: 15, max: 200 }), { minLength: 1, maxLength: 3 }),
      phases: fc.constantFrom(1 as const, 3 as const),
    })
    .map(({ loads, ratingsA, phases }) =>
      together(
        loads.map(({ onS, offS, onA, isSteady }) =>
          drawer([{ onS, offS, times: 1, onA, offA: 0 }], { isSteady }),
        ),
        ratingsA.map((ratingA) =>
          node(
            ratingA,
            loads.map(({ wired }) => wired),
            phases,
          ),
        ),
      ),
    )

  it('trips as often, and is as long above what it holds, where no more is asked', () => {
    const seen = { quiet: 0, trips: 0 }
    fc.assert(
      fc.property(someAtWork, fc.integer({ min: 1, max: 1000 }), (all, seed) => {
        const howLong = { hours: 1, runs: 2, seed }
        const { nodes } = shiftsOf(all, howLong)
        for (const { aboveShare, trips } of nodes)
          seen[aboveShare === 0 && trips?.early.times === 0 ? 'quiet' : 'trips'] += 1
        expect(heldThrough(all, howLong).map(({ aboveShare, trips }) => ({ aboveShare, trips }))).toEqual(
          nodes.map(({ aboveShare, trips }) => ({ aboveShare, trips })),
        )
      }),
      {
        numRuns: runs(60),
        examples: [5, 60].map((onA) => [together([drawer([steady(onA)])], [node(20, ['all'])]), 1]),
      },
    )
    expect(seen.quiet).toBeGreaterThan(0)
    expect(seen.trips).toBeGreaterThan(0)
  })

  it('of some is not changed by who hangs on none of their breakers', () => {
    const welder = drawer([{ onS: 40, offS: 60, times: 1, onA: 50, offA: 0 }], { isSteady: false })
    const on = node(40, ['all'])
    const elsewhere = together([welder, welder], [on])
    expect(shiftsOf(elsewhere, { hours: 2, runs: 3, seed: 7 })).toEqual(
      shiftsOf(together([welder], [on]), { hours: 2, runs: 3, seed: 7 }),
    )
  })

  it('by chance arcs are longer and shorter, and as long in the mean', () => {
    const welder = drawer([{ onS: 40, offS: 60, times: 1, onA: 50, offA: 0 }], { isSteady: false })
    const { meanA } = shiftsOf(together([welder], [node(100, ['all'])]), { hours: 8, runs: 20, seed: 5 })
      .nodes[0] ?? { meanA: 0 }
    expect(Math.abs(meanA / 20 - 1)).toBeLessThan(0.05)
  })

  it('a larger breaker is never more likely to go', () => {
    const welders = Array.from({ length: 3 }, () =>
      drawer([{ onS: 90, offS: 60, times: 1, onA: 30, offA: 1 }], { isSteady: false }),
    )
    const goes = (ratingA: number) =>
      shiftsOf(together(welders, [node(ratingA, ['all', 'all', 'all'])]), { hours: 4, runs: 12, seed: 2 })
        .nodes[0]?.trips?.nominal.times ?? NaN
    const all = [40, 50, 60, 80, 100].map(goes)
    expect(all).toEqual([...all].sort((a, b) => b - a))
    expect(all[0]).toBe(12)
    expect(all.at(-1)).toBe(0)
  })

  it('a motor starts with its rush, and settles', () => {
    const motor = drawer([{ onS: 240, offS: 540, times: 1, onA: 17, offA: 0 }], {
      startA: 85,
      isSteady: false,
    })
    const { nodes } = shiftsOf(together([motor], [node(30, ['all'])]), HOURS_8)
    expect(nodes[0]?.peakA).toBeCloseTo(85, 3)
    // Two seconds in each of some 37 starts.
    expect((nodes[0]?.aboveShare ?? 0) * 28_800).toBeGreaterThan(2 * 30)
    expect((nodes[0]?.aboveShare ?? 0) * 28_800).toBeLessThan(3 * 45)
  })
})

describe('other loads of the shop', () => {
  const [first] = demo.loads
  if (!first) throw new Error('the demo has no load')
  const drawersOf = (part: Partial<typeof first>) => {
    const shelf = { ...demo, loads: [{ ...first, ...part }] }
    return togetherOf(demo.shop, shelf, []).drawers
  }
  it('run all day where nobody has said for how long, and again and again where somebody has', () => {
    const [on] = drawersOf({ onMin: null, offMin: null, runningA: 12, startingA: null })
    expect(on).toMatchObject({
      isSteady: true,
      startA: 0,
      beats: [{ onS: 86_400, offS: 0, onA: 12, offA: 0 }],
    })
    for (const half of [
      { onMin: 4, offMin: null },
      { onMin: null, offMin: 9 },
    ])
      expect(drawersOf(half)[0]).toMatchObject({ isSteady: true, beats: [{ onS: 86_400, offS: 0 }] })
    const [cycles] = drawersOf({ onMin: 4, offMin: 9, runningA: 12, startingA: 60 })
    expect(cycles).toMatchObject({
      isSteady: false,
      startA: 60,
      beats: [{ onS: 240, offS: 540, times: 1, onA: 12 }],
    })
  })
  it('on a circuit that is not there draw nothing', () => {
    expect(drawersOf({ circuitId: 'gone' })).toEqual([])
  })
})

describe('a machine that does not weld with the others', () => {
  const left = (change: object, jobId = 'press-frame', setUpId = 'bay-2-wire') => {
    const job = demo.jobs.find(({ id }) => id === jobId)
    const setUp = demo.setUps.find(({ id }) => id === setUpId)
    if (!job || !setUp) throw new Error('demo')
    const { leftOut, drawers } = togetherOf(demo.shop, { ...demo, loads: [] }, [
      { job, setUp: { ...setUp, ...change } },
    ])
    return { why: leftOut.map(({ why }) => why), drawers: drawers.length }
  }
  it('says why: an engine, a part that is missing, other volts, no arc time', () => {
    expect(left({})).toEqual({ why: [], drawers: 1 })
    expect(left({}, 'press-frame', 'heath-stick')).toEqual({ why: ['engine'], drawers: 0 })
    for (const gone of [{ circuitId: 'gone' }, { powerSourceId: 'gone' }, { gunId: 'gone' }])
      expect(left(gone)).toEqual({ why: ['parts'], drawers: 0 })
    // 480 V, three-phase, for a machine of 120 and 240 V.
    expect(left({ circuitId: 'bay-3' })).toEqual({ why: ['other-volts'], drawers: 0 })
    expect(left({ wireId: null })).toEqual({ why: ['no-arc-time'], drawers: 0 })
  })
})

describe('the hand of a welder', () => {
  const arcs = (handSpreadPct: number, seed: number) =>
    shiftsOf(
      together(
        [drawer([{ onS: 40, offS: 60, times: 1, onA: 50, offA: 0 }], { isSteady: false })],
        [node(100, ['all'])],
        handSpreadPct,
      ),
      {
        hours: 8,
        runs: 1,
        seed,
      },
    ).nodes[0]?.meanA ?? NaN
  it('without spread is the same in every shift; with it no two are, and the wider the more they differ', () => {
    const spreadOf = (pct: number) => {
      const means = [1, 2, 3, 4, 5, 6].map((seed) => arcs(pct, seed))
      return Math.max(...means) - Math.min(...means)
    }
    // Where it begins is chance all the same: a part of one beat in eight hours.
    expect(spreadOf(0)).toBeLessThan(0.15)
    // 40 of 100 seconds at 50 A, and of the last beat a part.
    expect(Math.abs(arcs(0, 1) - 20)).toBeLessThan(0.25)
    expect(spreadOf(60)).toBeGreaterThan(spreadOf(0))
    expect(spreadOf(60)).toBeGreaterThan(spreadOf(15))
  })
  it('is lognormal: as long in the mean, however wide it spreads', () => {
    const mean = (pct: number) => [1, 2, 3, 4, 5, 6, 7, 8].reduce((sum, seed) => sum + arcs(pct, seed), 0) / 8
    for (const pct of [15, 60]) expect(Math.abs(mean(pct) / 20 - 1)).toBeLessThan(0.06)
  })
})

describe('a chance', () => {
  it.each([
    // Wilson's score interval at 95 %, as statistics texts print it (from memory).
    [0, 10, 0, 0.278],
    [5, 10, 0.237, 0.763],
    [10, 10, 0.722, 1],
    // Nothing was looked at: anything may be.
    [0, 0, 0, 1],
    [1, 20, 0.009, 0.236],
  ])('%d of %d lies between %d and %d', (times, of, low, high) => {
    const chance = chanceOf(times, of)
    expect(chance.low).toBeCloseTo(low, 3)
    expect(chance.high).toBeCloseTo(high, 3)
  })
})

describe('a chance', () => {
  /** Binomial probability, by logarithms of factorials. */
  const probability = (times: number, of: number, p: number): number => {
    const log = (n: number): number =>
      Array.from({ length: n }, (_, k) => Math.log(k + 1)).reduce((a, b) => a + b, 0)
    return Math.exp(
      log(of) - log(times) - log(of - times) + times * Math.log(p) + (of - times) * Math.log(1 - p),
    )
  }
  // Brown, Cai, DasGupta, Interval Estimation for a Binomial Proportion, 2001 (from memory): Wilson's holds near 95 %.
  it('lies in its interval in 19 of 20 trials, whatever it is', () => {
    const OF = 40
    const covered = Array.from({ length: 97 }, (_, n) => 0.02 + n * 0.01).map((p) =>
      Array.from({ length: OF + 1 }, (_, times) => times).reduce((sum, times) => {
        const { low, high } = chanceOf(times, OF)
        return low <= p && p <= high ? sum + probability(times, OF, p) : sum
      }, 0),
    )
    expect(Math.min(...covered)).toBeGreaterThan(0.83)
    expect(covered.reduce((a, b) => a + b, 0) / covered.length).toBeGreaterThan(0.94)
    expect(covered.reduce((a, b) => a + b, 0) / covered.length).toBeLessThan(0.97)
  })

  /** One shift event by event, with the exact exponential of each arc and pause; chance is drawn by another generator. */
  function tripsAfterS(
    beat: Beat,
    ratingA: number,
    band: (typeof BANDS)[number],
    random: () => number,
  ): number | null {
    const { tripsAt, constantS } = storesOf(UL_489, ratingA)[band]
    const spread = (): number => {
      const sigma = Math.sqrt(Math.log(1 + 0.3 ** 2))
      const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
      return Math.exp(sigma * normal - sigma ** 2 / 2)
    }
    let heat = 0
    let atS = -random() * (beat.onS + beat.offS)
    while (atS < 4 * 3600)
      for (const [amps, seconds] of [
        [beat.onA, beat.onS],
        [beat.offA, beat.offS],
      ] as const) {
        const lasts = seconds * spread()
        const counted = Math.max(0, Math.min(atS + lasts, 4 * 3600) - Math.max(0, atS))
        const drive = (amps / ratingA) ** 2
        const before = heat
        heat = drive + (heat - drive) * Math.exp(-counted / constantS)
        if (heat > tripsAt ** 2)
          return Math.max(0, atS) + constantS * Math.log((drive - before) / (drive - tripsAt ** 2))
        atS += lasts
      }
    return null
  }

  it('is that of an exact simulation, event by event', () => {
    const RUNS = 300
    const random = randomLcg(0.77)
    for (const [onA, band] of [
      [33, 'late'],
      [26, 'nominal'],
      [20.8, 'early'],
    ] as const) {
      const beat: Beat = { onS: 40, offS: 40, times: 1, onA, offA: 1 }
      const welder = drawer([beat], { isSteady: false })
      const found = shiftsOf(together([welder], [node(20, ['all'])]), { hours: 4, runs: RUNS, seed: 0.3 })
      const here = found.nodes[0]?.trips?.[band]
      const wentS = Array.from({ length: RUNS }, () => tripsAfterS(beat, 20, band, random))
        .filter((atS) => atS !== null)
        .sort((a, b) => a - b)
      const times = wentS.length
      const there = chanceOf(times, RUNS)
      // Two samples of one chance: their intervals meet.
      // Neither surely nor never: else any model would do.
      expect(times).toBeGreaterThan(20)
      expect(times).toBeLessThan(RUNS - 20)
      expect(here?.low, `${onA} A, ${band}`).toBeLessThanOrEqual(there.high)
      expect(here?.high, `${onA} A, ${band}`).toBeGreaterThanOrEqual(there.low)
      if (band !== 'nominal') continue
      // The middle of one sample lies in the middle of the other.
      const usuallyS = found.nodes[0]?.usuallyAfterS ?? NaN
      expect(usuallyS).toBeGreaterThan(wentS[Math.floor(times * 0.4)] ?? NaN)
      expect(usuallyS).toBeLessThan(wentS[Math.floor(times * 0.6)] ?? NaN)
    }
  })
})

describe('who may weld together', () => {
  const at = (...pairs: readonly (readonly [string, string])[]) =>
    pairs.map(([jobId, setUpId]) => {
      const job = demo.jobs.find(({ id }) => id === jobId)
      const setUp = demo.setUps.find(({ id }) => id === setUpId)
      if (!job || !setUp) throw new Error(`${jobId}, ${setUpId}`)
      return { job, setUp }
    })
  const SHORT = { hours: 4, runs: 8, seed: 1 }

  it('two on one 20 A circuit trip it; on two services nothing carries both', () => {
    const three = at(
      ['press-frame', 'north-wall-wire'],
      ['press-frame', 'marl-yard'],
      ['press-frame', 'bay-3-spray'],
    )
    const { machines, nodes } = shopPowerOf(demo.shop, demo, three, SHORT)
    const pairs = machines.flatMap(({ id }) => pairsOf(demo.shop, demo, three, id, SHORT))
    expect(pairs).toHaveLength(3)
    const pair = (a: string, b: string) => pairs.find((one) => one.a === a && one.b === b)
    expect(pair('north-wall-wire', 'marl-yard')).toMatchObject({
      verdict: 'fails',
      at: 'North wall 120 V 20 A',
    })
    expect(pair('north-wall-wire', 'bay-3-spray')).toMatchObject({ verdict: null, at: null })
    const wall = nodes.find(({ id }) => id === 'north-wall')
    expect(wall?.verdict).toBe('fails')
    expect(wall?.carries).toContain('Angle grinder')
    // The feeder above carries it, and the service more than easily.
    expect(nodes.find(({ id }) => id === 'service')?.verdict).toBe('fits')
  })

  it('a machine is in one place at a time; an engine loads nobody', () => {
    const { leftOut, drawers } = togetherOf(
      demo.shop,
      demo,
      at(['press-frame', 'north-wall-wire'], ['press-frame', 'bay-2-wire'], ['loader-fork', 'heath-stick']),
    )
    expect(leftOut).toEqual([
      { id: 'bay-2-wire', why: 'same-machine' },
      { id: 'heath-stick', why: 'engine' },
    ])
    expect(drawers.filter(({ machine }) => machine !== null).map(({ id }) => id)).toEqual(['north-wall-wire'])
  })

  it('for a group the rule asks between the largest alone and the sum of all (NEC 630.11(B))', () => {
    const { nodes } = shopPowerOf(
      { ...demo.shop },
      { ...demo, loads: [] },
      at(['press-frame', 'bay-2-wire'], ['pressing-tray', 'bench-tig-dc'], ['press-frame', 'marl-yard']),
      SHORT,
    )
    const asked = (id: string) => nodes.find((one) => one.id === id)?.rule?.askedA ?? NaN
    const alone = ['bay-2', 'bay-1', 'north-wall'].map(asked)
    expect(asked('shop-panel')).toBeGreaterThanOrEqual(Math.max(...alone))
    expect(asked('shop-panel')).toBeLessThanOrEqual(alone.reduce((sum, one) => sum + one, 0))
  })

  it('what the rule asks of a panel can be opened, down to each machine', () => {
    const work = at(['press-frame', 'bay-2-wire'], ['pressing-tray', 'bench-tig-dc'])
    const { nodes } = shopPowerOf(demo.shop, demo, work, SHORT)
    const rule = nodes.find(({ id }) => id === 'shop-panel')?.rule
    const steps = explainGroup(demo.shop, demo, work, 'panel', 'shop-panel')
    expect(steps.map(({ id }) => id)).toEqual([
      'conductor-by-plate',
      'conductor-by-plate',
      'conductor-by-group',
      'group-asked',
      'ampacity-table',
      'ampacity',
    ])
    // Compressor 17 A, grinder 9 A and lights 2.4 A run beside the two machines of 16.4 and 14.5 A.
    expect(rule?.askedA).toBeCloseTo(16.4 + 14.5 + 17 + 9 + 0.6, 6)
    expect(steps.find(({ id }) => id === 'group-asked')?.result.value).toBe(rule?.askedA)
    expect(explainGroup(demo.shop, demo, work, 'panel', 'three-phase')).toEqual([])
  })

  it('each machine of the shop is taken once, at its planned job where it has one', () => {
    const work = likelyTogether(demo.setUps, demo.jobs, demo.shop, demo)
    const machines = work.map(({ setUp }) => setUp.powerSourceId)
    expect(new Set(machines).size).toBe(machines.length)
    expect(work.find(({ setUp }) => setUp.powerSourceId === 'quillon-210')?.job.setUpId).toBe(
      'north-wall-wire',
    )
  })

  it('a machine for which nothing is planned stands at what it does best; none that is to buy, none on an engine', () => {
    const jobs = demo.jobs.map((job) => ({ ...job, setUpId: null }))
    const rankOf = (job: Job, setUp: SetUp): number => {
      const chosen = chosenOf(setUp, demo)
      const demand = demandOf(job, setUp.process, chosen.wire, demo.shop)
      return VERDICT_RANK[worstOf(assess(capabilityOf(demo.shop, setUp, chosen), demand))]
    }
    const likely = likelyTogether(demo.setUps, jobs, demo.shop, demo)
    const at = new Map(likely.map(({ job, setUp }) => [setUp.powerSourceId, rankOf(job, setUp)]))
    let standing = 0
    for (const { id, held, engine } of demo.powerSources) {
      const own = demo.setUps.filter(({ powerSourceId }) => powerSourceId === id)
      const best = Math.min(...own.flatMap((setUp) => jobs.map((job) => rankOf(job, setUp))))
      const isThere = held === 'owned' && engine === null && best < VERDICT_RANK.fails
      expect(at.get(id), id).toBe(isThere ? best : undefined)
      standing += Number(isThere)
    }
    expect(standing).toBeGreaterThan(2)
  })

  it('nobody stands at a job that is done, or that has no welds', () => {
    const done = demo.jobs.map((job) => ({ ...job, state: 'archived' as const }))
    expect(likelyTogether(demo.setUps, done, demo.shop, demo)).toEqual([])
    const empty = demo.jobs.map((job) => ({ ...job, joints: [] }))
    expect(likelyTogether(demo.setUps, empty, demo.shop, demo)).toEqual([])
  })

  it('no more than ten hands weld at once', () => {
    const source = demo.powerSources.find(({ id }) => id === 'quillon-210')
    const setUp = demo.setUps.find(({ id }) => id === 'bay-2-wire')
    if (!source || !setUp) throw new Error('the demo has no such machine')
    const numbers = Array.from({ length: 14 }, (_, n) => n)
    const powerSources = numbers.map((n) => ({ ...source, id: `machine-${n}` }))
    const setUps = numbers.map((n) => ({ ...setUp, id: `set-up-${n}`, powerSourceId: `machine-${n}` }))
    for (const planned of [0, 3, 14]) {
      const jobs = demo.jobs.flatMap((job) =>
        job.id === 'press-frame'
          ? [
              { ...job, setUpId: null },
              ...numbers.slice(0, planned).map((n) => ({ ...job, id: `job-${n}`, setUpId: `set-up-${n}` })),
            ]
          : [],
      )
      const likely = likelyTogether(setUps, jobs, demo.shop, { ...demo, powerSources })
      expect(likely).toHaveLength(10)
      expect(new Set(likely.map((one) => one.setUp.id)).size).toBe(10)
      expect(likely.filter(({ job }) => job.setUpId !== null)).toHaveLength(Math.min(10, planned))
    }
  })
})
