/** Stick, against what welders set and count. Common practice, no source, or handbook figures from memory. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { weldFiguresOf } from '../demand/weldFigures.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import { coveredClassOf } from '../reference/coveredElectrodes.ts'
import { wireCurrentRange } from '../reference/wireRanges.ts'
import { sampleWire } from '../testing/equipment.ts'
import { joint } from '../testing/samples.ts'
import { burnTimeS, coveredFillerG, coveredGPerMin, electrodeMassG } from './covered.ts'
import { beadMostMm2, passesOf } from './passes.ts'
import { wantedCurrentOf } from './wantedCurrent.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const INCH = 25.4
const LB_G = 453.59
const stick = (classification: string, diameterIn: number): Wire =>
  sampleWire({ form: 'covered', classification, diameterMm: diameterIn * INCH, spoolMm: null })
const tee = (thicknessIn: number, part: Partial<Joint> = {}): Joint =>
  joint({ thicknessAMm: thicknessIn * INCH, thicknessBMm: thicknessIn * INCH, legMm: 4.7625, ...part })
const wants = (electrode: Wire, one: Joint): number => wantedCurrentOf(one, 'smaw', electrode, r).wantedA

describe('the amps of a stick', () => {
  it.each([
    ['E7018', 3 / 32, 1 / 8, 75],
    ['E7018', 1 / 8, 1 / 4, 125],
    ['E7018', 1 / 8, 1 / 2, 130],
    ['E7018', 5 / 32, 3 / 8, 160],
    ['E6010', 1 / 8, 3 / 8, 95],
    ['E6011', 1 / 8, 1 / 4, 95],
    ['E6013', 1 / 8, 3 / 16, 105],
    ['E7014', 1 / 8, 1 / 4, 130],
    ['E7024', 1 / 8, 3 / 8, 160],
    ['E6013', 1 / 16, 0.0598, 33],
    ['E7018', 3 / 16, 3 / 4, 220],
  ])('%s of %f in on %f in: about %f A', (classification, diameterIn, thicknessIn, practiceA) => {
    const off = wants(stick(classification, diameterIn), tee(thicknessIn)) / practiceA - 1
    expect(Math.abs(off)).toBeLessThan(0.15)
  })
  it('lie in the range of the electrode, on plate that suits it', () => {
    for (const classification of ['E6010', 'E6011', 'E6013', 'E7014', 'E7018', 'E7024']) {
      const electrode = stick(classification, 1 / 8)
      const range = wireCurrentRange(electrode)
      const amps = wants(electrode, tee(1 / 4))
      expect(amps).toBeGreaterThan((range?.minA ?? Infinity) * 0.9)
      expect(amps).toBeLessThan((range?.maxA ?? 0) * 1.05)
    }
  })
  it('fall with plate that is thinner than twice the core, and fast below the core', () => {
    const at = (timesCore: number) => wants(stick('E7018', 1 / 8), tee(timesCore / 8))
    expect(at(2)).toBe(at(8))
    expect(at(1) / at(2)).toBeCloseTo(0.9, 9)
    expect(at(0.5) / at(2)).toBeCloseTo(0.45, 9)
  })
  it('begin from the middle of the electrode’s own range where its data give one', () => {
    const own = { ...stick('E7018', 1 / 8), currentMinA: 100, currentMaxA: 130 }
    expect(wants(own, tee(1 / 2))).toBe(115)
  })
  it('of a class or a size that no table has, are those of E7018, by diameter', () => {
    expect(wants(stick('E9018-M', 1 / 8), tee(1 / 2))).toBe(wants(stick('E7018', 1 / 8), tee(1 / 2)))
    expect(wants(stick('E7018', 1 / 4), tee(1))).toBeCloseTo(2 * wants(stick('E7018', 1 / 8), tee(1)), 9)
  })
  it('upward and overhead are some 15 % less, and warm plate wants less', () => {
    const flat = wants(stick('E7018', 1 / 8), tee(1 / 2))
    expect(wants(stick('E7018', 1 / 8), tee(1 / 2, { position: 'vertical-up' })) / flat).toBeCloseTo(0.85, 9)
    const warm = wantedCurrentOf(tee(1 / 2), 'smaw', stick('E7018', 1 / 8), r, 150).wantedA
    expect(warm / flat).toBeCloseTo((1500 - 150) / (1500 - 20), 9)
  })
  it('do not go down with the layers of a groove, nor up with thicker plate', () => {
    const electrode = stick('E7018', 1 / 8)
    const groove = { kind: 'v', includedAngleDeg: 60, rootFaceMm: 1.6, legMm: null } as const
    expect(wants(electrode, tee(1 / 2, groove))).toBeCloseTo(wants(electrode, tee(1, groove)), 6)
    expect(wants(electrode, tee(1 / 2, groove))).toBeGreaterThan(105)
  })
})

describe('what a stick lays down', () => {
  it.each([
    // lb/h of weld metal, handbook tables of deposition, from memory.
    ['E6010', 1 / 8, 100, 2.1],
    ['E7018', 1 / 8, 120, 2.6],
    ['E7018', 5 / 32, 160, 3.7],
    ['E7024', 5 / 32, 200, 6.3],
    ['E6013', 1 / 8, 125, 2.3],
  ])('%s of %f in at %f A: about %f lb/h', (classification, diameterIn, amps, lbPerHour) => {
    const rate = (coveredGPerMin(stick(classification, diameterIn), amps, r) * 60) / LB_G
    expect(Math.abs(rate / lbPerHour - 1)).toBeLessThan(0.08)
  })
  it.each(['E6010', 'E6011', 'E6013', 'E7014', 'E7018', 'E7024', 'E308L-16'])(
    'of %s, 53 to 62 %% becomes weld metal with a 2 in stub (55 to 65 %%, welding handbooks)',
    (classification) => {
      const share = 100 / coveredFillerG(stick(classification, 1 / 8), 100, r)
      expect(share).toBeGreaterThan(0.53)
      expect(share).toBeLessThan(0.65)
    },
  )
  it.each([
    // Electrodes in a pound, package labels, from memory.
    ['E7018', 3 / 32, 24],
    ['E7018', 1 / 8, 14],
    ['E6010', 1 / 8, 17],
    ['E7018', 5 / 32, 9],
  ])('%s of %f in: about %f in a pound', (classification, diameterIn, count) => {
    expect(Math.abs(LB_G / electrodeMassG(stick(classification, diameterIn), r) / count - 1)).toBeLessThan(
      0.1,
    )
  })
  it('of 1/8 in burns about a minute (common practice)', () => {
    for (const [classification, amps] of [
      ['E7018', 120],
      ['E6011', 95],
      ['E6013', 110],
    ] as const) {
      const electrode = stick(classification, 1 / 8)
      const s = burnTimeS(electrode, coveredGPerMin(electrode, amps, r), r)
      expect(s).toBeGreaterThan(45)
      expect(s).toBeLessThan(80)
    }
  })
  it('a shorter electrode burns shorter, and its stub is a larger share', () => {
    const usual = stick('E7018', 1 / 8)
    const short = { ...usual, lengthMm: 300 }
    expect(burnTimeS(short, 20, r)).toBeLessThan(burnTimeS(usual, 20, r))
    expect(coveredFillerG(short, 100, r)).toBeGreaterThan(coveredFillerG(usual, 100, r))
  })
})

describe('a bead by stick', () => {
  it('is at most 28 mm² flat and horizontal, as much as a wire’s out of position', () => {
    const most = (position: Joint['position']) => beadMostMm2(tee(1 / 4, { position }), 'smaw', null, r)
    expect([most('flat'), most('horizontal')]).toEqual([28, 28])
    expect(most('vertical-up')).toBe(
      beadMostMm2(tee(1 / 4, { position: 'vertical-up' }), 'gmaw-short', null, r),
    )
    expect(most('overhead')).toBe(beadMostMm2(tee(1 / 4, { position: 'overhead' }), 'gmaw-short', null, r))
    // A 1/4 in fillet is one pass flat, 3/8 in is not.
    expect(passesOf(tee(1 / 4, { legMm: 6.35 }), 'smaw', null, r)).toBe(1)
    expect(passesOf(tee(1 / 2, { legMm: 9.525 }), 'smaw', null, r)).toBe(2)
  })
})

describe('a weld by stick', () => {
  const job = { quantity: 1, pauseS: null, handling: 'hoisted', preheatC: null } as const
  const figures = (lengthMm: number, part: Partial<typeof job> | { pauseS: number } = {}) =>
    weldFiguresOf(tee(1 / 4, { lengthMm }), { ...job, ...part }, 'smaw', stick('E7018', 1 / 8), r)
  it('takes a new electrode whenever one is burnt down', () => {
    expect(figures(50).arcs).toBe(1)
    expect(figures(2000).arcs).toBeGreaterThan(5)
    fc.assert(
      fc.property(fc.double({ min: 10, max: 20_000, noNaN: true }), (lengthMm) => {
        const { oneArcS, arcs, arcS } = figures(lengthMm)
        expect(oneArcS).toBeLessThan(80)
        expect((oneArcS ?? 0) * arcs).toBeCloseTo(arcS ?? 0, 6)
      }),
    )
  })
  it('waits for the hoist once a weld, not after every electrode; a rest that is set is taken after each', () => {
    const { pauseS, arcs } = figures(2000)
    expect(pauseS).toBeCloseTo((240 + (arcs - 1) * 25) / arcs, 9)
    expect(figures(2000, { pauseS: 90 }).pauseS).toBe(90)
  })
  it('needs an electrode to know its time', () => {
    expect(weldFiguresOf(tee(1 / 4), job, 'smaw', null, r).arcS).toBeNull()
  })
})

describe('classes, AWS A5.1 and A5.4', () => {
  it.each([
    ['E6010', ['dcep'], 'all', false],
    ['E6011', ['dcep', 'ac', 'dcen'], 'all', false],
    ['E7018', ['dcep', 'ac'], 'all', true],
    ['E7018 H4R', ['dcep', 'ac'], 'all', true],
    ['E7024', ['dcen', 'dcep', 'ac'], 'flat-horizontal', false],
    ['E308L-16', ['dcep', 'ac'], 'all', false],
  ])('%s', (classification, polarities, positions, isLowHydrogen) => {
    expect(coveredClassOf(classification)).toMatchObject({ polarities, positions, isLowHydrogen })
  })
  it.each(['E71T-11', 'ER70S-6', 'E70T-1C', 'E701', 'E6020', '', 'E308LT1-1'])(
    '%s is none',
    (classification) => {
      expect(coveredClassOf(classification)).toBeNull()
    },
  )
})
