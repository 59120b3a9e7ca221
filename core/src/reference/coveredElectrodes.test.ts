/** Covered electrodes, against what AWS A5.1 and A5.4 print: typical ampere ranges of the annex, from memory, in full. */
import { describe, expect, it } from 'vitest'
import type { Position } from '../model/jointKinds.ts'
import { sampleWire } from '../testing/equipment.ts'
import { coveredClassOf, coveredLengthMm } from './coveredElectrodes.ts'
import { arcForceFor, techniqueFor } from './technique.ts'
import { wireCurrentRange } from './wireRanges.ts'

const held = (kind: 'tee' | 'v' | 'lap' | 'square', position: Position = 'flat') => ({ kind, position })
const SIZES_IN = [3 / 32, 1 / 8, 5 / 32, 3 / 16]
/** By class, least and most of 3/32, 1/8, 5/32 and 3/16 in. */
const ANNEX: Readonly<Record<string, readonly (readonly [number, number])[]>> = {
  E6010: [
    [40, 80],
    [75, 125],
    [110, 170],
    [140, 215],
  ],
  E6011: [
    [40, 80],
    [75, 125],
    [110, 170],
    [140, 215],
  ],
  E6013: [
    [45, 90],
    [80, 130],
    [105, 180],
    [150, 230],
  ],
  E7014: [
    [75, 110],
    [110, 160],
    [150, 210],
    [200, 275],
  ],
  // Everyday low ends: vertical-up it is run some 20 A below the annex.
  E7018: [
    [70, 100],
    [90, 160],
    [130, 210],
    [180, 275],
  ],
  E7024: [
    [100, 145],
    [140, 190],
    [180, 250],
    [230, 305],
  ],
}

describe('current ranges', () => {
  it.each(Object.entries(ANNEX))('%s', (classification, rows) => {
    expect(
      SIZES_IN.map((inches) => {
        const range = wireCurrentRange(
          sampleWire({ form: 'covered', classification, diameterMm: inches * 25.4 }),
        )
        return [range?.minA, range?.maxA]
      }),
    ).toEqual(rows)
  })
  it('of a size or a class that the table lacks are not known', () => {
    const of = (classification: string, diameterMm: number) =>
      wireCurrentRange(sampleWire({ form: 'covered', classification, diameterMm }))
    expect(of('E7018', 1.2)).toBeNull()
    expect(of('E7018', 6.4)).toBeNull()
    expect(of('E6020', 3.175)).toBeNull()
    expect(of('E308L-16', 3.175)).toMatchObject({ minA: 75, maxA: 115 })
    expect(of('E316L-17', 2.38125)).toMatchObject({ minA: 40, maxA: 80 })
  })
})

describe('metric sizes lie between the inch sizes of the table', () => {
  // EN ISO 2560 sells 2.0, 2.5, 3.2, 4.0 and 5.0 mm; usual ranges of a low-hydrogen electrode, common practice, no source.
  it.each([
    [2, 45, 75],
    // As printed on packs of basic electrodes of 2.5 mm: 60 to 100 A, common practice, no source.
    [2.5, 60, 100],
    [3.2, 90, 160],
    [4, 130, 210],
    [5, 180, 275],
  ])('%f mm low-hydrogen', (diameterMm, least, most) => {
    const range = wireCurrentRange(sampleWire({ form: 'covered', classification: 'E7018', diameterMm }))
    expect(Math.abs((range?.minA ?? 0) / least - 1)).toBeLessThan(0.1)
    expect(Math.abs((range?.maxA ?? 0) / most - 1)).toBeLessThan(0.1)
  })
  it('grow with the diameter', () => {
    const at = (diameterMm: number) =>
      wireCurrentRange(sampleWire({ form: 'covered', classification: 'E6013', diameterMm }))
    expect(at(2.9)?.maxA).toBeGreaterThan(at(2.5)?.maxA ?? Infinity)
    expect(at(2.9)?.maxA).toBeLessThan(at(3.2)?.maxA ?? 0)
  })
})

describe('what a class says', () => {
  it('is the same however often it is asked', () => {
    expect(coveredClassOf('E7018')).toBe(coveredClassOf('E7018'))
    expect(coveredClassOf('odd')).toBeNull()
    expect(coveredClassOf('odd')).toBeNull()
  })
  it('iron powder lays down more: 7024 above 7018 and 7014 above 6013 (handbooks, from memory)', () => {
    const rate = (classification: string) => coveredClassOf(classification)?.gPerMinA ?? 0
    expect(rate('E7024')).toBeGreaterThan(rate('E7014'))
    expect(rate('E7014')).toBeGreaterThan(rate('E7018'))
    expect(rate('E7018')).toBeGreaterThan(rate('E6010'))
    expect(rate('E6010')).toBeGreaterThan(rate('E6013'))
  })
  it('its length is 12 in below 3/32 in and 14 in from there on (AWS A5.1, from memory), or its own', () => {
    expect(coveredLengthMm({ lengthMm: null, diameterMm: 2 })).toBe(300)
    expect(coveredLengthMm({ lengthMm: null, diameterMm: 2.38125 })).toBe(350)
    expect(coveredLengthMm({ lengthMm: 450, diameterMm: 4.76 })).toBe(450)
  })
})

describe('how it is held (common practice)', () => {
  it('slag is dragged, gas is pushed; aluminium wire from further away, a TIG torch has no tip', () => {
    expect(techniqueFor('smaw', 'carbon-steel', held('tee'))).toEqual({
      tipToWorkMm: null,
      travel: 'drag',
      angleDeg: { low: 10, high: 20 },
      workAngleDeg: 45,
    })
    expect(techniqueFor('fcaw-s', 'carbon-steel', held('v'))).toMatchObject({
      travel: 'drag',
      workAngleDeg: 90,
    })
    expect(techniqueFor('gmaw-short', 'carbon-steel', held('lap')).tipToWorkMm).toEqual({
      low: 9.525,
      high: 12.7,
    })
    expect(techniqueFor('gmaw-spray', 'aluminium', held('tee')).tipToWorkMm).toEqual({
      low: 15.875,
      high: 19.05,
    })
    expect(techniqueFor('gtaw-ac', 'aluminium', held('square'))).toMatchObject({
      tipToWorkMm: null,
      travel: 'push',
    })
  })
  it('gas-shielded cored vertical up: a slight push of some 5°, tip to work about 1 in', () => {
    const up = techniqueFor('fcaw-g', 'carbon-steel', held('v', 'vertical-up'))
    expect(up.travel).toBe('push')
    expect((up.angleDeg.low + up.angleDeg.high) / 2).toBe(5)
    const [least, most] = [up.tipToWorkMm?.low ?? 0, up.tipToWorkMm?.high ?? 0]
    expect((least + most) / 2).toBeCloseTo(25.4, 6)
    expect(techniqueFor('fcaw-g', 'carbon-steel', held('v')).travel).toBe('drag')
  })
  it('downward the arc holds the pool up, so it is dragged; a stick upward is pushed', () => {
    expect(techniqueFor('gmaw-short', 'carbon-steel', held('lap', 'vertical-down')).travel).toBe('drag')
    expect(techniqueFor('smaw', 'carbon-steel', held('tee', 'vertical-up')).travel).toBe('push')
    expect(techniqueFor('smaw', 'carbon-steel', held('tee', 'vertical-down')).travel).toBe('drag')
  })
  it('aluminium wire is pushed in every position', () => {
    for (const position of ['flat', 'vertical-up', 'vertical-down', 'overhead'] as const)
      expect(techniqueFor('gmaw-pulse', 'aluminium', held('tee', position)).travel).toBe('push')
  })
  it('the ones that dig want arc force', () => {
    expect(['E6010', 'E6011', 'E7018', 'E6013', 'xE6010', 'xE7018'].map(arcForceFor)).toEqual([
      'high',
      'high',
      'middle',
      'low',
      'low',
      'low',
    ])
  })
})
