import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { currentAtDutyA, dutyAtCurrentPct } from './curve.ts'
import { pauseForDutyS, PERIOD_S, worstArcOnS, type ArcSeries } from './window.ts'
import { run } from '../testing/arcSeries.ts'
import { runs as tries } from '../testing/runs.ts'

const worstDutyPct = (runs: readonly ArcSeries[]): number => (100 * worstArcOnS(runs)) / PERIOD_S

describe('duty curve', () => {
  it('keeps I²·X constant from one rated point (IEC 60974-1)', () => {
    // Worked example: 200 A at 60 % is 155 A at 100 %, the usual pair on a plate.
    expect(currentAtDutyA([{ currentA: 200, dutyPct: 60 }], 100)).toBeCloseTo(154.9, 1)
    expect(dutyAtCurrentPct([{ currentA: 250, dutyPct: 60 }], 300)).toBeCloseTo(41.7, 1)
  })

  it('passes through every rated point', () => {
    const points = [
      { currentA: 210, dutyPct: 30 },
      { currentA: 150, dutyPct: 60 },
      { currentA: 116, dutyPct: 100 },
    ]
    for (const { currentA, dutyPct } of points) {
      expect(dutyAtCurrentPct(points, currentA)).toBeCloseTo(dutyPct, 9)
      expect(currentAtDutyA(points, dutyPct)).toBeCloseTo(currentA, 9)
    }
  })

  // Reckoned by hand: between two points a straight line over the logarithms of both, beyond them I²·X constant.
  const GUN = [
    { currentA: 250, dutyPct: 35 },
    { currentA: 180, dutyPct: 60 },
  ]
  it.each([
    [215, 44.83],
    [150, 86.4],
    [300, 24.31],
  ])('at %d A allows %d %%, in whatever order the plate is written', (currentA, dutyPct) => {
    for (const points of [GUN, [...GUN].reverse()]) {
      expect(dutyAtCurrentPct(points, currentA)).toBeCloseTo(dutyPct, 1)
      expect(currentAtDutyA(points, dutyPct)).toBeCloseTo(currentA, 0)
    }
  })

  it('is never above 100 %, and needs a point', () => {
    expect(dutyAtCurrentPct([{ currentA: 100, dutyPct: 60 }], 5)).toBe(100)
    expect(() => dutyAtCurrentPct([], 100)).toThrow(RangeError)
  })

  it('current and duty undo each other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 400, noNaN: true }),
        fc.double({ min: 5, max: 99, noNaN: true }),
        (rated, duty) => {
          const points = [{ currentA: rated, dutyPct: 40 }]
          return Math.abs(dutyAtCurrentPct(points, currentAtDutyA(points, duty)) - duty) < 1e-6
        },
      ),
    )
  })
})

describe('the worst ten minutes', () => {
  it('is the plain share for a pattern that fills them', () => {
    expect(worstDutyPct([run(30, 30, 1000)])).toBeCloseTo(50, 9)
    expect(worstDutyPct([run(600, 0, 5)])).toBe(100)
  })

  it('is what there is where the job is short', () => {
    expect(worstArcOnS([run(20, 40, 3)])).toBe(60)
    expect(worstArcOnS([])).toBe(0)
    expect(worstArcOnS([run(20, 40, 0)])).toBe(0)
  })

  it('finds the busy spell between quiet ones', () => {
    expect(worstArcOnS([run(10, 290, 4), run(50, 10, 10), run(10, 290, 4)])).toBeCloseTo(500, 9)
  })

  it('weighs a smaller current by its square', () => {
    expect(worstArcOnS([run(30, 30, 100, 0.25)])).toBeCloseTo(75, 9)
  })

  it('agrees with a second-by-second count', () => {
    const runs = fc.array(
      fc.record({
        arcS: fc.integer({ min: 1, max: 200 }),
        offS: fc.integer({ min: 1, max: 200 }),
        times: fc.integer({ min: 1, max: 5 }),
        heat: fc.constantFrom(1, 0.5),
        stretches: fc.constant(true),
      }),
      { minLength: 1, maxLength: 4 },
    )
    fc.assert(
      fc.property(runs, (list) => {
        const seconds = list.flatMap(({ arcS, offS, times, heat }) =>
          Array.from({ length: times }, () => [
            ...Array<number>(arcS).fill(heat),
            ...Array<number>(offS).fill(0),
          ]).flat(),
        )
        let worst = 0
        for (let start = 0; start < seconds.length; start += 1) {
          worst = Math.max(
            worst,
            seconds.slice(start, start + 600).reduce((sum, heat) => sum + heat, 0),
          )
        }
        return Math.abs(worst - worstArcOnS(list)) < 1e-6
      }),
      { numRuns: tries(60) },
    )
  })

  it('of 10,000 arcs agrees with a second-by-second count too', () => {
    const list = Array.from({ length: 10_000 }, (_, index) =>
      run(5 + ((index * 37) % 60), 3 + ((index * 53) % 90), 1, 0.4 + ((index * 29) % 60) / 100),
    )
    const seconds = list.flatMap(({ arcS, offS, heat }) => [
      ...Array<number>(arcS).fill(heat),
      ...Array<number>(offS).fill(0),
    ])
    let held = 0
    let worst = 0
    seconds.forEach((heat, at) => {
      held += heat - (seconds[at - 600] ?? 0)
      worst = Math.max(worst, held)
    })
    expect(worstArcOnS(list)).toBeCloseTo(worst, 6)
  })

  it('a longer pause never raises it', () => {
    const runs = fc.array(
      fc.record({
        arcS: fc.double({ min: 0.5, max: 200, noNaN: true }),
        offS: fc.double({ min: 0, max: 200, noNaN: true }),
        times: fc.integer({ min: 1, max: 20 }),
        heat: fc.constantFrom(1, 0.5),
        stretches: fc.constant(true),
      }),
      { minLength: 1, maxLength: 6 },
    )
    fc.assert(
      fc.property(runs, fc.double({ min: 0, max: 300, noNaN: true }), (list, longer) => {
        const rested = list.map((one) => ({ ...one, offS: one.offS + longer }))
        expect(worstArcOnS(rested)).toBeLessThanOrEqual(worstArcOnS(list) + 1e-9)
      }),
    )
  })

  it('merging what repeats changes the answer by less than a block', () => {
    const runs = fc.array(
      fc.record({
        arcS: fc.double({ min: 0.05, max: 20, noNaN: true }),
        offS: fc.double({ min: 0, max: 20, noNaN: true }),
        times: fc.integer({ min: 1, max: 2000 }),
        heat: fc.constantFrom(1, 0.4),
        stretches: fc.constant(true),
      }),
      { minLength: 1, maxLength: 4 },
    )
    fc.assert(
      fc.property(runs, (list) => {
        const exact = worstArcOnS(list, Number.POSITIVE_INFINITY)
        const merged = worstArcOnS(list, 400)
        // 4 runs of at most 100 blocks each: none is longer than 16 s, or than one cycle of 40 s.
        expect(Math.abs(merged - exact)).toBeLessThan(40)
      }),
      { numRuns: tries(200) },
    )
  })

  it('a hundred thousand arcs of a microsecond are a spell of heat, not a hundred million entries', () => {
    expect(worstArcOnS([run(1e-6, 1e-6, 1_000_000_000)])).toBeCloseTo(300, 0)
    expect(worstArcOnS([run(1e-6, 0, 100_000)])).toBeCloseTo(0.1, 6)
  })

  it('finds the shortest pause that brings the duty in', () => {
    const pause = pauseForDutyS([run(60, 5, 50)], 40)
    expect(pause).not.toBeNull()
    const withPause = (offS: number) => worstDutyPct([run(60, offS, 50)])
    expect(withPause(pause ?? 0)).toBeLessThanOrEqual(40)
    expect(withPause((pause ?? 0) - 1)).toBeGreaterThan(40)
    expect(pauseForDutyS([run(500, 5, 3)], 40)).toBeNull()
  })
})
