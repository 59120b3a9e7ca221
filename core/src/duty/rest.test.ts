/** Rest laid out by hand and beside a second-by-second count: an arc waits until ten minutes have room for it. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { run } from '../testing/arcSeries.ts'
import { runs as tries } from '../testing/runs.ts'
import { restS } from './rest.ts'
import { type ArcSeries, pauseForDutyS, PERIOD_S, worstArcOnS } from './window.ts'

/** Rows of arcs of whole seconds. */
const rowOf = (leastArcS: number, mostArcS: number, mostOffS: number, mostTimes: number) =>
  fc
    .record({
      arcS: fc.integer({ min: leastArcS, max: mostArcS }),
      offS: fc.integer({ min: 0, max: mostOffS }),
      times: fc.integer({ min: 1, max: mostTimes }),
    })
    .map(({ arcS, offS, times }) => run(arcS, offS, times))
const restOf = (series: readonly ArcSeries[], dutyPct: number, repeats = 1): number =>
  restS({ series, repeats }, dutyPct)

describe('rest', () => {
  // IEC 60974-1: at 40 % four minutes of ten may have the arc on, in whatever order.
  it('is none where no ten minutes have more arc than they may', () => {
    expect(restOf([run(60, 90, 1000)], 40)).toBe(0)
    expect(restOf([run(240, 0, 1)], 40)).toBe(0)
    expect(restOf([], 40)).toBe(0)
    expect(restOf([run(60, 5, 0)], 40)).toBe(0)
  })

  it('begins when the ten minutes are used up, and lasts until the first arc has left them', () => {
    // Four arcs of 60 s end at 260 s with their pauses of 5 s; the fifth may end when the first begins to leave: at 600 s.
    // It begins at 600, when it takes the place of the first, second by second: 340 s after it could have.
    expect(restOf([run(60, 5, 5)], 40)).toBeCloseTo(340, 6)
    // So does each of the next three, 65 s after the one before as those did; then it is full again.
    expect(restOf([run(60, 5, 8)], 40)).toBeCloseTo(340, 6)
    expect(restOf([run(60, 5, 9)], 40)).toBeCloseTo(680, 6)
  })

  it('of one weld that is longer than it may be is taken within it', () => {
    // 600 s of arc at 40 %: 240 s, 360 s of rest, 240 s, 360 s of rest, 120 s.
    expect(restOf([run(600, 0, 1)], 40)).toBeCloseTo(720, 6)
  })

  it('is owed by a hot hour, whatever cool hours come before and after it', () => {
    const cool = run(6, 294, 100)
    const hot = run(30, 10, 95)
    const alone = restOf([hot], 50)
    // Ten arcs of 30 s fill what ten minutes may have in 400 s; nine times 200 s until the next ten.
    expect(Math.abs(alone - 1800)).toBeLessThanOrEqual(200)
    // Over all of it the arc is on for 6 % of the time. One rest more or less: the cool welds before it count too.
    expect(Math.abs(restOf([cool, hot, cool], 50) - alone)).toBeLessThanOrEqual(200)
  })

  it('counts a smaller current by its square', () => {
    expect(restOf([run(60, 5, 8, 0.5)], 40)).toBe(0)
    // 480 s at half the heat are the 240 that ten minutes may have; 450 s at half the heat are 225 of 240.
    expect(restOf([run(50, 0, 9, 0.5)], 40)).toBe(0)
    // A minute more at full current has 15 s of room: it ends when 45 s of heat, 90 s of arc, have left: at 690 s, not 510.
    expect(restOf([run(50, 0, 9, 0.5), run(60, 0, 1)], 40)).toBeCloseTo(180, 6)
  })

  it('of many pieces is that of one after the other', () => {
    const piece = [run(40, 20, 3), run(20, 10, 4, 0.6)]
    const laidOut = restOf(Array.from({ length: 20 }, () => piece).flat(), 35)
    expect(restOf(piece, 35, 20)).toBeCloseTo(laidOut, 6)
  })

  it.each([
    // Beyond what is laid out, the arc is on as much as it may be: 100 / 40 of it, less its pauses.
    ['pieces', [run(20, 10, 2)], 20_000, 20_000 * (100 - 60)],
    ['welds in a row', [run(20, 10, 40_000)], 1, 20_000 * (100 - 60)],
  ])('of very many %s goes on as it began', (_, series, repeats, expected) => {
    expect(Math.abs(restOf(series, 40, repeats) / expected - 1)).toBeLessThan(0.01)
  })

  it('of a long row of welds is that of each of them laid out', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 400 }),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 20, max: 90 }),
        fc.constantFrom(1, 0.5),
        (arcS, offS, dutyPct, heat) => {
          // A weld that is longer than it may be is interrupted: the arc is then on for as much of all time as it may be.
          if (arcS * heat > dutyPct * 6) {
            const steadyS = Math.max(0, (arcS * heat * 100) / dutyPct - arcS - offS)
            expect(Math.abs(restOf([run(arcS, offS, 200, heat)], dutyPct) - 200 * steadyS)).toBeLessThan(
              0.15 * 200 * arcS + 2 * PERIOD_S,
            )
            return
          }
          const laidOut = restOf(
            Array.from({ length: 200 }, () => run(arcS, offS, 1, heat)),
            dutyPct,
          )
          const row = restOf([run(arcS, offS, 200, heat)], dutyPct)
          // By blocks and stretches, and by whole bursts: within a twentieth and one period.
          expect(Math.abs(row - laidOut)).toBeLessThan(0.05 * laidOut + PERIOD_S)
        },
      ),
      { numRuns: tries(100) },
    )
  })

  it('of an arc of days, and of pieces of a moment, is reckoned as quickly as of one hour', () => {
    // At 40 % the rest is half as long again as the arc.
    expect(restOf([run(1e10, 0, 1)], 40) / 1.5e10).toBeCloseTo(1, 3)
    expect(restOf([run(1e10, 0, 1, 0.3)], 40)).toBe(0)
    expect(restOf([run(1e6, 5, 100_000)], 40) / 1.5e11).toBeCloseTo(1, 2)
    const moment = Array.from({ length: 60 }, () => run(1e-6, 1e-7, 1))
    expect(restOf(moment, 40, 100_000_000) / (1e8 * 60 * (2.5e-6 - 1.1e-6))).toBeCloseTo(1, 1)
    expect(restOf([run(0, 0, 5)], 40, 5)).toBe(0)
  })

  it('at hardly any duty is a number too, and quickly there', () => {
    // 600 s of arc at a hundredth of a percent are 6,000,000 s.
    expect(restOf([run(60, 5, 10)], 0.01)).toBeCloseTo(6_000_000 - 650, 3)
    const thousands = Array.from({ length: 5000 }, (_, at) => run(100 + (at % 50), 20, 200))
    const arcS = thousands.reduce((sum, one) => sum + one.arcS * one.times, 0)
    // At one percent ten minutes have six seconds of arc: two stretches of two and a half, one every five minutes.
    const restAtOne = restOf(thousands, 1, 1000) / (1000 * arcS)
    expect(restAtOne).toBeGreaterThan(90)
    expect(restAtOne).toBeLessThan(130)
  })

  it('is no more than the same pause after every arc makes of it, and leaves no ten minutes too hot', () => {
    fc.assert(
      fc.property(
        fc.array(rowOf(5, 150, 120, 12), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 25, max: 90 }),
        (series, dutyPct) => {
          const isOver = worstArcOnS(series) > (dutyPct / 100) * PERIOD_S + 1e-9
          const rest = restOf(series, dutyPct)
          expect(rest > 1e-9).toBe(isOver)
          const pauseS = pauseForDutyS(series, dutyPct)
          if (pauseS === null) return
          // Each arc begins no later than with that pause; and after the last nobody waits.
          const stretchedS = series.reduce(
            (sum, { offS, times }) => sum + times * Math.max(0, pauseS - offS),
            0,
          )
          expect(rest).toBeLessThanOrEqual(stretchedS + 1e-6)
        },
      ),
      { numRuns: tries(200) },
    )
  })

  it('agrees with waiting second by second', () => {
    fc.assert(
      fc.property(
        fc.array(rowOf(6, 100, 100, 8), { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 20, max: 80 }),
        (series, dutyPct) => {
          const mayS = (dutyPct / 100) * PERIOD_S
          const seconds: number[] = []
          let waited = 0
          const hot = (): number => seconds.slice(-PERIOD_S).reduce((sum, on) => sum + on, 0)
          for (const { arcS, offS, times } of series)
            for (let time = 0; time < times; time += 1) {
              for (;;) {
                const end = [...seconds, ...Array<number>(arcS).fill(1)]
                if (end.slice(-PERIOD_S).reduce((sum, on) => sum + on, 0) <= mayS || hot() === 0) break
                seconds.push(0)
                waited += 1
              }
              for (let at = 0; at < arcS; at += 1) seconds.push(1)
              for (let at = 0; at < offS; at += 1) seconds.push(0)
            }
          if (series.some(({ arcS }) => arcS > mayS)) return
          // Each wait may be up to a second longer where only whole seconds count.
          expect(Math.abs(restOf(series, dutyPct) - waited)).toBeLessThanOrEqual(
            1 + series.reduce((sum, { times }) => sum + times, 0),
          )
        },
      ),
      { numRuns: tries(30) },
    )
  })
})
