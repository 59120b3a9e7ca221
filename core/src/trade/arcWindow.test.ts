/** Whether an arc runs. Common practice, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { sampleWire } from '../testing/equipment.ts'
import { runs } from '../testing/runs.ts'
import { arcWindowOf } from './arcWindow.ts'
import { currentAtFeed, currentAtLongerA, wireFeedSpeed } from './burnOff.ts'
import { currentForVoltsOf, startingVoltsOf } from './startingVolts.ts'

const assumptions = assumptionsOf({ assumptions: {} })
const r = reckonerFor(assumptions)
const wire = sampleWire({
  form: 'solid',
  metal: 'carbon-steel',
  diameterMm: 0.889,
  classification: 'ER70S-6',
})
const arc = { metal: 'carbon-steel', gas: { co2Pct: 25, heliumPct: 0 }, classification: 'ER70S-6' } as const
const IPM = 25.4
/** 0.035 in short-circuit: 150 A at 19 V is about 260 in/min (common practice). */
const voltsV = startingVoltsOf('gmaw-short', arc, 150, r)
const balanced = wireFeedSpeed(wire, 150, 'gmaw-short', r)
const at = (share: number) =>
  arcWindowOf('gmaw-short', wire, arc, { voltsV, feedMmPerMin: share * balanced, nearA: 150 }, assumptions, r)

describe('an arc at volts that suit 150 A', () => {
  it('runs with the wire of 150 A, spatters with two thirds of it, burns back with half, stubs with half as much again', () => {
    expect(at(1)?.state).toBe('runs')
    expect(at(1)?.balancePct).toBeCloseTo(100, 6)
    expect([0.45, 0.499, 0.55, 0.625, 0.7, 1.2, 1.45, 1.501].map((share) => at(share)?.state)).toEqual([
      'burns-back',
      'burns-back',
      'spatters',
      'spatters',
      'runs',
      'runs',
      'runs',
      'stubs',
    ])
    expect((at(1)?.balancedMmPerMin ?? 0) / IPM).toBeGreaterThan(220)
    expect((at(1)?.balancedMmPerMin ?? 0) / IPM).toBeLessThan(300)
  })
  it('more volts at the same wire are a longer arc: it comes to spatter, then to burn back', () => {
    const withVolts = (more: number) =>
      arcWindowOf(
        'gmaw-short',
        wire,
        arc,
        { voltsV: voltsV + more, feedMmPerMin: balanced, nearA: 150 },
        assumptions,
        r,
      )?.state
    expect([-1.5, 0, 2.5, 4].map(withVolts)).toEqual(['stubs', 'runs', 'spatters', 'burns-back'])
  })
  it('too few volts for any wire is no arc to speak of', () => {
    const settings = { voltsV: 5, feedMmPerMin: balanced, nearA: 150 }
    expect(arcWindowOf('gmaw-short', wire, arc, settings, assumptions, r)).toBeNull()
  })
})

describe('the current that volts suit', () => {
  it('is the line of volts read the other way round, from wherever it is read (property)', () => {
    const amps = fc.double({ min: 40, max: 350, noNaN: true })
    fc.assert(
      fc.property(amps, amps, (I, nearA) => {
        const U = startingVoltsOf('gmaw-short', arc, I, r)
        expect(currentForVoltsOf('gmaw-short', arc, U, nearA, r)).toBeCloseTo(I, 6)
      }),
      { numRuns: runs(60) },
    )
  })
})

describe('more wire beyond the tip', () => {
  it('at the same feed takes current from the arc: 3/8 in more some 15 to 30 A of 150 (common practice, no source)', () => {
    const lost = 150 - currentAtLongerA(wire, balanced, 'gmaw-short', 9.525, r)
    expect(lost).toBeGreaterThan(12)
    expect(lost).toBeLessThan(30)
    expect(currentAtLongerA(wire, balanced, 'gmaw-short', 0, r)).toBeCloseTo(
      currentAtFeed(wire, balanced, 'gmaw-short', r),
      9,
    )
  })
  it('of aluminium hardly heats: the current stays', () => {
    const soft = sampleWire({ metal: 'aluminium', classification: 'ER5356', diameterMm: 1.191 })
    const feed = wireFeedSpeed(soft, 180, 'gmaw-spray', r)
    expect(currentAtLongerA(soft, feed, 'gmaw-spray', 9.525, r)).toBeCloseTo(180, 6)
  })
})
