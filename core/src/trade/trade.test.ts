import { type Position } from '../model/jointKinds.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Wire } from '../model/equipment.ts'
import { sampleWire } from '../testing/equipment.ts'
import { joint } from '../testing/samples.ts'
import { reckonerFor, TracingReckoner } from '../calculation/reckoner.ts'
import { loadVoltageOf } from './arcVoltage.ts'
import { currentAtFeed, wireFeedSpeed } from './burnOff.ts'
import { depositionRate, fillerG, passesOf, weldMetalG, wireSection } from './deposit.ts'
import { weldAreaMm2 } from './geometry.ts'
import { weldRunMm, weldVolumeMm3 } from './run.ts'
import { wantedCurrentOf } from './wantedCurrent.ts'

const assumptions = assumptionsOf({ assumptions: {} })
const r = reckonerFor(assumptions)
const flat = reckonerFor(assumptionsOf({ assumptions: { convexityPct: 0 } }))
const LB = 453.59237
const INCH = 25.4
const FOOT = 304.8

const wire = (diameterIn: number, part: Partial<Wire> = {}): Wire =>
  sampleWire({ diameterMm: diameterIn * INCH, ...part })

describe('load voltage, IEC 60974-1 11.2', () => {
  it.each([
    ['gmaw', 200, 24],
    ['gmaw', 100, 19],
    ['fcaw', 300, 29],
    ['gtaw', 200, 18],
    ['gtaw', 100, 14],
    ['gmaw', 700, 44],
  ] as const)('%s at %f A: %f V', (family, currentA, volts) => {
    expect(loadVoltageOf(family, currentA)).toBeCloseTo(volts, 9)
  })
})

describe('wire length per mass, handbook table of steel and aluminium wires, in/lb (from memory)', () => {
  it.each([
    [0.03, 7.85, 5050],
    [0.035, 7.85, 3650],
    [0.045, 7.85, 2210],
    [0.0625, 7.85, 1150],
    [0.035, 2.7, 10600],
  ])('%f in, %f g/cm³: %f in/lb', (diameterIn, density, inchesPerPound) => {
    const gramsPerInch = (r.take(wireSection, { d: diameterIn * INCH }) * INCH * density) / 1000
    expect(Math.abs(LB / gramsPerInch / inchesPerPound - 1)).toBeLessThan(0.02)
  })
})

describe('weld metal', () => {
  // Pounds per foot of equal-leg fillets without convexity: leg² / 2 · 0.2836 lb/in³ (weld metal tables, from memory).
  it.each([
    [1 / 8, 0.0266],
    [3 / 16, 0.0598],
    [1 / 4, 0.106],
    [3 / 8, 0.239],
    [1 / 2, 0.425],
  ])('fillet of %f in: %f lb/ft', (legIn, poundsPerFoot) => {
    const one = joint({ kind: 'tee', legMm: legIn * INCH, count: 1, lengthMm: FOOT })
    const grams = weldMetalG(one, weldVolumeMm3(one, weldRunMm(one, 1, flat), flat), 1, flat)
    expect(Math.abs(grams / LB / poundsPerFoot - 1)).toBeLessThan(0.01)
  })

  it('a 60° V of 1/2 in, 1/8 gap, no face, no cap: t·g + t²·tan 30°', () => {
    const one = joint({
      kind: 'v',
      thicknessAMm: 12.7,
      thicknessBMm: 12.7,
      rootGapMm: 3.175,
      includedAngleDeg: 60,
    })
    expect(weldAreaMm2(one, r)).toBeCloseTo(12.7 * 3.175 + 12.7 ** 2 * Math.tan(Math.PI / 6), 9)
  })

  it('a square butt takes gap times thickness and its cap', () => {
    const one = joint({
      kind: 'square',
      thicknessAMm: 2,
      thicknessBMm: 3,
      rootGapMm: 1,
      reinforcementMm: 0.6,
    })
    expect(weldAreaMm2(one, r)).toBeCloseTo(2 * 1 + (2 / 3) * 4 * 0.6, 9)
  })

  it('grows with the square of the leg', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 40, noNaN: true }), (legMm) => {
        const area = (leg: number) => weldAreaMm2(joint({ legMm: leg }), r)
        return Math.abs(area(2 * legMm) / area(legMm) - 4) < 1e-9
      }),
    )
  })

  it('takes more filler than metal, by the handbook’s efficiency', () => {
    expect(fillerG(1000, 'gmaw-short', r)).toBeCloseTo(1000 / 0.95 / 0.97, 6)
    expect(fillerG(1000, 'fcaw-s', r)).toBeGreaterThan(fillerG(1000, 'fcaw-g', r))
  })
})

describe('passes', () => {
  it('one fillet pass by position: 3/8 in flat, 5/16 horizontal and overhead, 1/2 vertical (AWS D1.1, from memory)', () => {
    const passes = (legIn: number, position: Position) =>
      passesOf(joint({ legMm: legIn * INCH, position }), 'gmaw-short', r)
    expect(passes(5 / 16, 'horizontal')).toBe(1)
    expect(passes(3 / 8, 'horizontal')).toBe(2)
    expect(passes(3 / 8, 'flat')).toBe(1)
    expect(passes(1 / 2, 'vertical-up')).toBe(1)
    expect(passes(3 / 8, 'overhead')).toBe(2)
  })
  it('a groove by the thickest single pass, or as the owner says', () => {
    const groove = joint({ kind: 'v', thicknessAMm: 12.7, thicknessBMm: 12.7, includedAngleDeg: 60 })
    expect(passesOf(groove, 'fcaw-s', r)).toBe(2)
    expect(passesOf({ ...groove, passes: 5 }, 'fcaw-s', r)).toBe(5)
  })
})

describe('burn-off', () => {
  // Common practice, no source: in/min of wire for each ampere, at the middle of each wire's short-circuit range.
  it.each([
    [0.023, 50, 3.5],
    [0.03, 75, 2],
    [0.035, 120, 1.6],
    [0.045, 160, 1],
  ])('%f in at %f A: about %f in/min per A', (diameterIn, currentA, rule) => {
    const feed = wireFeedSpeed(wire(diameterIn), currentA, 'gmaw-short', r) / INCH / currentA
    expect(Math.abs(feed / rule - 1)).toBeLessThan(0.1)
  })

  it('0.035 in at 212 in/min and 6 in/min of travel makes a leg of about 1/4 in (common practice)', () => {
    const gramsPerMin = depositionRate(wire(0.035), 212 * INCH, 'gmaw-short', r)
    const areaMm2 = gramsPerMin / 7.85e-3 / (6 * INCH)
    expect(Math.abs(Math.sqrt(2 * areaMm2) / INCH - 0.25)).toBeLessThan(0.02)
  })

  it('deposition of 0.045 in at 250 in/min is near the handbook’s 6.5 lb/h (from memory)', () => {
    const rate = depositionRate(wire(0.045), 250 * INCH, 'gmaw-spray', r)
    expect(Math.abs((rate * 60) / LB / 6.5 - 1)).toBeLessThan(0.05)
  })

  it('current and feed undo each other, for steel and aluminium, solid and cored', () => {
    const wires = fc.constantFrom(
      wire(0.035),
      wire(0.045, { form: 'cored-self-shielded' }),
      wire(0.0469, { metal: 'aluminium' }),
    )
    fc.assert(
      fc.property(wires, fc.double({ min: 20, max: 400, noNaN: true }), (one, currentA) => {
        const feed = wireFeedSpeed(one, currentA, 'gmaw-short', r)
        return Math.abs(currentAtFeed(one, feed, 'gmaw-short', assumptions) - currentA) < 1e-6
      }),
    )
  })
})

describe('current wanted, common practice: 1 A per 0.001 in of steel', () => {
  it('butt of 1/8 in steel by short-circuit: about 125 A', () => {
    const butt = joint({ kind: 'square', thicknessAMm: 3.175, thicknessBMm: 3.175 })
    expect(wantedCurrentOf(butt, 'gmaw-short', r).wantedA).toBeCloseTo(127, 0)
  })
  it('a tee wants more than a butt, an outside corner less', () => {
    const current = (kind: 'tee' | 'square' | 'outside-corner') =>
      wantedCurrentOf(joint({ kind, thicknessAMm: 3, thicknessBMm: 3 }), 'gmaw-short', r).wantedA
    expect(current('tee')).toBeGreaterThan(current('square'))
    expect(current('outside-corner')).toBeLessThan(current('square'))
  })
  it('stainless wants about 10 % less than steel', () => {
    const current = (material: 'hot-rolled' | 'stainless-304') =>
      wantedCurrentOf(
        joint({ materialA: material, materialB: material, thicknessAMm: 2, thicknessBMm: 2 }),
        'gtaw-dc',
        r,
      ).wantedA
    expect(current('stainless-304') / current('hot-rolled')).toBeCloseTo(0.9, 9)
  })
  it('a much thicker other part draws heat; more passes want less each', () => {
    const of = (thicknessBMm: number, passes: number | null) =>
      wantedCurrentOf(joint({ thicknessAMm: 4, thicknessBMm, passes }), 'gmaw-short', r).wantedA
    expect(of(10, null)).toBeGreaterThan(of(4, null))
    expect(of(4, 2)).toBeCloseTo(of(4, null) / 2, 9)
  })
  it('a changed assumption changes the figure and says so', () => {
    const tracer = new TracingReckoner(assumptionsOf({ assumptions: { ampsPerMmCarbonSteel: 50 } }))
    const butt = joint({ kind: 'square', thicknessAMm: 2, thicknessBMm: 2 })
    expect(wantedCurrentOf(butt, 'gmaw-short', tracer).wantedA).toBeCloseTo(100, 9)
    const steps = tracer.stepsOf([{ calculations: ['wanted-current'], value: null }])
    expect(JSON.stringify(steps)).toContain('changed by the shop from 40 A/mm')
  })
})
