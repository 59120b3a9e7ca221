import { type Position } from '../model/jointKinds.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import type { ProcessId } from '../model/process.ts'
import { sampleWire } from '../testing/equipment.ts'
import { joint } from '../testing/samples.ts'
import { reckonerFor, TracingReckoner } from '../calculation/reckoner.ts'
import { loadVoltageOf } from './arcVoltage.ts'
import { currentAtFeed, wireFeedSpeed } from './burnOff.ts'
import { fillerG } from './deposit.ts'
import { weldMetalG } from './weldMetal.ts'
import { depositionRate, wireSection } from './depositionRate.ts'
import { weldAreaMm2 } from './geometry.ts'
import { weldRunMm, weldVolumeMm3 } from './run.ts'
import { newJoint } from '../joints/newJoint.ts'
import { passesOf } from './passes.ts'
import { sharedMetalG } from './rootPass.ts'
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
    const gramsPerInch = (r.compute(wireSection, { d: diameterIn * INCH }) * INCH * density) / 1000
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
    expect(fillerG(1000, 'gmaw-short', null, r)).toBeCloseTo(1000 / 0.95 / 0.97, 6)
    expect(fillerG(1000, 'fcaw-s', null, r)).toBeGreaterThan(fillerG(1000, 'fcaw-g', null, r))
  })
})

describe('passes (common practice, no source)', () => {
  const ample = { gPerMin: 60, densityGPerCm3: 7.85 }
  it('a horizontal fillet of 5/16 in is one pass, of 3/8 in two, of 1/2 in three', () => {
    const passes = (legIn: number, position: Position = 'horizontal') =>
      passesOf(joint({ legMm: legIn * INCH, position }), 'gmaw-short', ample, r)
    expect(passes(5 / 16)).toBe(1)
    expect(passes(3 / 8)).toBe(2)
    expect(passes(1 / 2)).toBe(3)
    // Woven upwards the pool is larger, downwards and overhead smaller.
    expect(passes(5 / 16, 'vertical-up')).toBe(1)
    expect(passes(1 / 4, 'vertical-down')).toBe(2)
    expect(passes(5 / 16, 'overhead')).toBe(2)
  })
  it('slag holds a larger pool: 3/8 in in two, 11/32 in one pass by gas-shielded cored wire', () => {
    const passes = (legIn: number, process: 'fcaw-g' | 'gmaw-short') =>
      passesOf(joint({ legMm: legIn * INCH, position: 'flat' }), process, ample, r)
    expect(passes(11 / 32, 'fcaw-g')).toBe(1)
    expect(passes(11 / 32, 'gmaw-short')).toBe(2)
  })
  /** A 1/2 in bevel whose lower half is a root face. */
  const halfFaced = (part: Partial<Joint>): Joint =>
    newJoint('bevel', {
      kind: 'bevel',
      thicknessAMm: 12.7,
      thicknessBMm: 12.7,
      rootFaceMm: 6,
      includedAngleDeg: 80,
      lengthMm: 100,
      ...part,
    })
  it('a root that is shut takes its pass like one that is just open', () => {
    // By stick upwards.
    const root = (rootGapMm: number) => halfFaced({ rootGapMm, position: 'vertical-up' })
    expect(passesOf(root(0), 'smaw', null, r)).toBe(passesOf(root(0.1), 'smaw', null, r))
  })
  it('a root that is shut takes a bead of 1 mm in its face: two thirds of one that is 1.5 mm open', () => {
    // By TIG in layers of less than 3 mm; the face is 6 mm high. Common practice, no source.
    const rootMm2 = (rootGapMm: number): number => {
      const bevel = halfFaced({ rootGapMm })
      const { root, fill } = sharedMetalG(bevel, 'gtaw-dc', 100, null, r)
      expect(root + fill).toBeCloseTo(100, 9)
      return (root * weldAreaMm2(bevel, r)) / 100
    }
    expect(rootMm2(1.5)).toBeGreaterThan(0)
    expect(rootMm2(0) / rootMm2(1.5)).toBeCloseTo(1 / 1.5, 6)
  })
  it('no fillet is split under a leg of 1/8 in', () => {
    const sheet = joint({ kind: 'lap', thicknessAMm: 1.9, thicknessBMm: 1.9, legMm: 1.9 })
    const starved = { gPerMin: 0.1, densityGPerCm3: 7.85 }
    expect(passesOf(sheet, 'gmaw-short', starved, r)).toBe(1)
    const quarter = joint({ legMm: INCH / 4 })
    expect(passesOf(quarter, 'gmaw-short', starved, r)).toBe(4)
  })
  it('a wire that lays down little is not carried slower than by hand: more passes', () => {
    const leg = joint({ legMm: INCH / 4 })
    // 10 g/min of steel are 1.27 cm³; at 4 in/min a bead of 12.5 mm², and the fillet has 22.
    expect(passesOf(leg, 'gmaw-short', { gPerMin: 10, densityGPerCm3: 7.85 }, r)).toBe(2)
    expect(passesOf(leg, 'gmaw-short', null, r)).toBe(1)
  })
  it('a groove by its layers and by its metal, or as the owner says', () => {
    const groove = joint({
      kind: 'v',
      thicknessAMm: 12.7,
      thicknessBMm: 12.7,
      includedAngleDeg: 60,
      rootGapMm: 3.175,
    })
    // 133 mm² at 36 mm² a pass; by its layers alone it would be two.
    expect(passesOf(groove, 'fcaw-s', ample, r)).toBe(4)
    expect(passesOf({ ...groove, passes: 5 }, 'fcaw-s', ample, r)).toBe(5)
    const narrow = joint({
      kind: 'u',
      thicknessAMm: 19,
      thicknessBMm: 19,
      rootRadiusMm: 2,
      includedAngleDeg: 4,
    })
    expect(passesOf(narrow, 'gmaw-short', ample, r)).toBe(4)
  })
  it('TIG lays 15 mm² a pass: a 3/16 in fillet is one, a 1/4 in two', () => {
    const passes = (legIn: number) => passesOf(joint({ legMm: legIn * INCH }), 'gtaw-dc', null, r)
    expect(passes(3 / 16)).toBe(1)
    expect(passes(1 / 4)).toBe(2)
  })
  it('a layer wider than 5/8 in is split into beads (AWS D1.1, from memory)', () => {
    const wide = joint({
      kind: 'v',
      thicknessAMm: 30,
      thicknessBMm: 30,
      includedAngleDeg: 60,
      rootGapMm: 12,
    })
    const generous = reckonerFor(assumptionsOf({ assumptions: { beadWireMm2: 200, beadCoredGasMm2: 200 } }))
    // Five layers of 6 mm, at the middle of each 15.5, 22.4, 29.3, 36.2 and 43.2 mm wide: 1 + 2 + 2 + 3 + 3.
    expect(passesOf(wide, 'fcaw-g', { gPerMin: 1000, densityGPerCm3: 7.85 }, generous)).toBe(11)
  })
  it('a hole is filled layer by layer', () => {
    const plug = joint({ kind: 'plug', thicknessAMm: 12.7, thicknessBMm: 12.7, diameterMm: 19 })
    expect(passesOf(plug, 'fcaw-s', ample, r)).toBe(2)
    expect(passesOf(plug, 'gmaw-short', ample, r)).toBe(3)
    const slot = joint({
      kind: 'slot',
      thicknessAMm: 9.6,
      thicknessBMm: 9.6,
      diameterMm: 19,
      slotLengthMm: 60,
    })
    expect(passesOf(slot, 'gmaw-short', ample, r)).toBe(3)
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
        return Math.abs(currentAtFeed(one, feed, 'gmaw-short', r) - currentA) < 1e-6
      }),
    )
  })
})

describe('current needed (common practice, no source, where nothing else is said)', () => {
  const of = (part: Partial<Joint>, process: ProcessId = 'gmaw-short', wireMm: number | null = null) =>
    wantedCurrentOf(joint(part), process, wireMm === null ? null : sampleWire({ diameterMm: wireMm }), r)
  const square = (thicknessMm: number) =>
    ({ kind: 'square', thicknessAMm: thicknessMm, thicknessBMm: thicknessMm }) as const

  it('up to 14 ga it grows with the thickness, above with its root; by TIG up to 3/16 in', () => {
    expect(of(square(1.8)).wantedA / of(square(0.9)).wantedA).toBeCloseTo(2, 9)
    expect(of(square(12.7)).wantedA / of(square(3.175)).wantedA).toBeCloseTo(2, 9)
    expect(of(square(4.7625), 'gtaw-dc').wantedA / of(square(2.38125), 'gtaw-dc').wantedA).toBeCloseTo(2, 9)
  })
  it('the thinner part decides, with its metal, on whichever side it stands', () => {
    const pair = (thicknessAMm: number, thicknessBMm: number) =>
      of({ materialA: 'aluminium-6061', materialB: 'hot-rolled', thicknessAMm, thicknessBMm }, 'gtaw-ac')
        .jointA
    expect(pair(2, 2.1) / pair(2.1, 2)).toBeCloseTo(43 / (38 * 0.95), 9)
  })
  it('a tee wants more than a butt, an outside corner less', () => {
    const current = (kind: 'tee' | 'square' | 'outside-corner') =>
      of({ kind, thicknessAMm: 3, thicknessBMm: 3 }).wantedA
    expect(current('tee')).toBeGreaterThan(current('square'))
    expect(current('outside-corner')).toBeLessThan(current('square'))
  })
  it('on thick plate a wire of twice the section wants more, on sheet no more; nor does a rod', () => {
    const by = (thicknessMm: number, wireMm: number) => of(square(thicknessMm), 'gmaw-short', wireMm).wantedA
    expect(by(6.35, 1.2) / by(6.35, 0.6)).toBeCloseTo(Math.SQRT2, 9)
    expect(by(0.9, 1.2)).toBe(by(0.9, 0.6))
    expect(by(2, 1.2)).toBeGreaterThan(by(2, 0.6))
    expect(of(square(3), 'gmaw-short', 0.9).wantedA).toBe(of(square(3)).wantedA)
    expect(of(square(3), 'gtaw-dc', 2.4).wantedA).toBe(of(square(3), 'gtaw-dc').wantedA)
  })
  it('self-shielded wire wants least, spray of steel most', () => {
    const by = (process: ProcessId) => of(square(6.35), process).jointA
    expect(by('fcaw-s')).toBeLessThan(by('fcaw-g'))
    expect(by('fcaw-g')).toBeLessThan(by('gmaw-short'))
    expect(by('gmaw-short')).toBeLessThan(by('gmaw-spray'))
  })
  it('passes share out the metal of a fillet, and not the heat that it needs', () => {
    const tee = { thicknessAMm: 6.35, thicknessBMm: 6.35, legMm: 12 }
    expect(of({ ...tee, passes: 4 }).wantedA).toBe(of({ ...tee, passes: 1 }).wantedA)
  })
  it('by TIG on steel the layer of a groove counts, and never less than 1/8 in of it', () => {
    const groove = (passes: number | null) =>
      of({ kind: 'v', thicknessAMm: 12.7, thicknessBMm: 12.7, includedAngleDeg: 60, passes }, 'gtaw-dc')
        .wantedA
    expect(groove(2)).toBeCloseTo(of(square(6.35), 'gtaw-dc').wantedA, 9)
    expect(groove(4)).toBeCloseTo(of(square(3.175), 'gtaw-dc').wantedA, 9)
    expect(groove(9)).toBe(groove(4))
  })
  it('by wire, and in aluminium, a groove is heated in its full thickness however many passes fill it', () => {
    const groove = { kind: 'v', thicknessAMm: 12.7, thicknessBMm: 12.7, includedAngleDeg: 60 } as const
    const aluminium = { materialA: 'aluminium-6061', materialB: 'aluminium-6061' } as const
    for (const process of ['gmaw-short', 'gmaw-pulse', 'fcaw-s', 'fcaw-g'] as const)
      expect(of({ ...groove, passes: 6 }, process).jointA).toBeCloseTo(of(square(12.7), process).jointA, 9)
    expect(of({ ...groove, ...aluminium, passes: 6 }, 'gtaw-ac').jointA).toBeCloseTo(
      of({ ...square(12.7), ...aluminium }, 'gtaw-ac').jointA,
      9,
    )
  })
  it('the heat sink rises smoothly with the ratio, and fades where both parts are thick', () => {
    const sink = (thicknessAMm: number, thicknessBMm: number) =>
      of({ thicknessAMm, thicknessBMm }).wantedA / of({ thicknessAMm, thicknessBMm: thicknessAMm }).wantedA
    expect(sink(1.5, 1.5)).toBe(1)
    expect(sink(1.5, 2.25)).toBeCloseTo(1.05, 9)
    expect(sink(1.5, 3)).toBeCloseTo(1.1, 9)
    expect(sink(1.5, 20)).toBeCloseTo(1.1, 9)
    expect(sink(10, 30)).toBe(1)
  })
  it('1/8 in to 3/16 in is the same in inches and in rounded millimetres, within half a per cent', () => {
    const inches = of({ thicknessAMm: 3.175, thicknessBMm: 4.7625 }).wantedA
    const millimetres = of({ thicknessAMm: 3.18, thicknessBMm: 4.76 }).wantedA
    expect(Math.abs(inches / millimetres - 1)).toBeLessThan(0.005)
  })
  it('never falls as a part grows thicker, whatever stands beside it', () => {
    const thick = fc.double({ min: 0.5, max: 40, noNaN: true })
    const process = fc.constantFrom<ProcessId>('gmaw-short', 'gmaw-spray', 'fcaw-s', 'gtaw-dc')
    fc.assert(
      fc.property(thick, thick, fc.double({ min: 1, max: 1.2, noNaN: true }), process, (a, b, more, by) => {
        const now = of({ thicknessAMm: a, thicknessBMm: b }, by).wantedA
        return of({ thicknessAMm: a * more, thicknessBMm: b * more }, by).wantedA >= now - 1e-9
      }),
    )
  })
  it('upwards and overhead it wants less, downwards little less', () => {
    const at = (position: Position) => of({ position }).wantedA / of({ position: 'flat' }).wantedA
    expect(at('horizontal')).toBe(1)
    expect(at('vertical-up')).toBeCloseTo(0.85, 9)
    expect(at('overhead')).toBeCloseTo(0.85, 9)
    expect(at('vertical-down')).toBeCloseTo(0.95, 9)
  })
  it('the window: four fifths below; a third above, where the part is thin enough to burn through', () => {
    const thin = of(square(3.175))
    expect(thin.lowA / thin.wantedA).toBeCloseTo(0.8, 9)
    expect((thin.highA ?? 0) / thin.wantedA).toBeCloseTo(1.35, 9)
    expect(of(square(3.3)).highA).toBeNull()
    expect(of(square(4.7), 'gtaw-dc').highA).not.toBeNull()
  })
  it('steel sprays above its transition alone, aluminium above its own (welding handbooks, from memory)', () => {
    const thin = of(square(2), 'gmaw-spray', 0.035 * INCH)
    expect(thin.transitionA).toBe(165)
    expect(thin.wantedA).toBe(165)
    expect(thin.lowA).toBe(165)
    expect(thin.jointA).toBeLessThan(165)
    const alloy = { ...square(2), materialA: 'aluminium-6061', materialB: 'aluminium-6061' } as const
    expect(of(alloy, 'gmaw-spray', 0.03 * INCH).transitionA).toBe(95)
    expect(of(square(2), 'gmaw-pulse', 0.035 * INCH).transitionA).toBeNull()
    const thick = of(square(10), 'gmaw-spray', 0.035 * INCH)
    expect(thick.wantedA).toBe(thick.jointA)
    expect(thick.lowA).toBeCloseTo(0.8 * thick.jointA, 9)
  })
  it('a changed assumption changes the figure and says so', () => {
    const tracer = new TracingReckoner(assumptionsOf({ assumptions: { ampsPerMmCarbonSteel: 50 } }))
    expect(
      wantedCurrentOf(joint(square(2)), 'gmaw-short', sampleWire({ diameterMm: 0.9 }), tracer).wantedA,
    ).toBeCloseTo(Math.sqrt(2 * 1.9) * 50 * 1.32, 9)
    const steps = tracer.stepsOf([{ calculations: ['wanted-current'], value: null }])
    expect(JSON.stringify(steps)).toContain('changed by the shop from 38 A/mm')
  })
})

describe('a square joint', () => {
  it('takes metal even when it is shut: a bead melted in and a little proud', () => {
    const shut = joint({
      kind: 'square',
      thicknessAMm: 3.175,
      thicknessBMm: 3.175,
      rootGapMm: 0,
      reinforcementMm: 0,
    })
    expect(weldAreaMm2(shut, r)).toBeCloseTo(0.4 * 3.175 ** 2, 9)
    expect(weldAreaMm2({ ...shut, rootGapMm: 2 }, r)).toBeCloseTo(3.175 * 2, 9)
  })
})
