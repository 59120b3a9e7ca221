import { describe, expect, it } from 'vitest'
import { demoShop } from '../testing/samples.ts'
import { lensShade } from './lensShades.ts'
import { sprayTransitionA } from './sprayTransition.ts'
import { tungstenCurrentRange } from './tungstenRanges.ts'
import { sampleWire } from '../testing/equipment.ts'
import { wireCurrentRange, wireDiametersFor } from './wireRanges.ts'

describe('lens shades, ANSI Z49.1 (from memory)', () => {
  it.each([
    ['gmaw', 120, 10, 11],
    ['gmaw', 200, 10, 12],
    ['fcaw', 300, 10, 14],
    ['gtaw', 40, 8, 10],
    ['gtaw', 100, 8, 12],
    ['gtaw', 200, 10, 14],
    ['gmaw', 60, 7, 7],
    ['gmaw', 61, 10, 11],
    ['gmaw', 250, 10, 12],
    ['gtaw', 150, 8, 12],
  ] as const)('%s at %f A: least %i, suggested %i', (family, currentA, least, suggested) => {
    expect(lensShade(family, currentA)).toEqual({ least, suggested })
  })
})

describe('usable current of wires, common practice', () => {
  const wires = demoShop().wires
  it('is the wire’s own where its data gives it', () => {
    const [wire] = wires
    if (!wire) throw new Error('demo')
    expect(wireCurrentRange({ ...wire, currentMinA: 50, currentMaxA: 170 })).toMatchObject({
      minA: 50,
      maxA: 170,
      source: { kind: 'data-plate' },
    })
  })
  it('takes 0.035 in for 0.9 mm, and no size for one that no table has', () => {
    const wire = wires.find(({ id }) => id === 'er70s6-035')
    if (!wire) throw new Error('demo')
    expect(wireCurrentRange(wire)).toMatchObject({ minA: 60, maxA: 220 })
    expect(wireCurrentRange({ ...wire, diameterMm: 0.7 })).toBeNull()
    expect(wireCurrentRange({ ...wire, form: 'rod' })).toBeNull()
  })
  it('asks both ends of the wire’s own data, else the table’s', () => {
    const wire = wires.find(({ id }) => id === 'er70s6-035')
    if (!wire) throw new Error('demo')
    expect(wireCurrentRange({ ...wire, currentMinA: 50, currentMaxA: null })).toMatchObject({ minA: 60 })
    expect(wireCurrentRange({ ...wire, currentMinA: null, currentMaxA: 170 })).toMatchObject({ maxA: 220 })
  })
  it('finds the sizes whose range holds all of the currents, its ends too', () => {
    const steel = { form: 'solid', metal: 'carbon-steel', classification: 'ER70S-6' } as const
    expect(wireDiametersFor(steel, 'gmaw-short', 60, 220, 'imperial')).toEqual([0.9])
    expect(wireDiametersFor(steel, 'gmaw-short', 100, 150, 'imperial')).toEqual([0.9, 1.0, 1.2, 0.8])
    expect(wireDiametersFor(steel, 'gmaw-short', 59, 221, 'imperial')).toEqual([])
    expect(wireDiametersFor({ ...steel, form: 'rod' }, 'gtaw-dc', 60, 100, 'imperial')).toEqual([])
    expect(wireDiametersFor({ ...steel, metal: 'aluminium' }, 'gmaw-spray', 100, 150, 'imperial')).toEqual([
      1.0, 0.9,
    ])
  })
  it('a spray begins at its transition and goes beyond what the wire short-circuits at', () => {
    const sprayed = sampleWire({ form: 'solid', metal: 'carbon-steel', diameterMm: 0.762 })
    const range = wireCurrentRange(sprayed, 'gmaw-spray')
    expect(range?.minA).toBe(sprayTransitionA('carbon-steel', 0.762))
    expect(range?.maxA).toBeGreaterThanOrEqual(1.2 * (range?.minA ?? Infinity))
    expect(range?.maxA).toBeGreaterThan(wireCurrentRange(sprayed, 'gmaw-short')?.maxA ?? Infinity)
    expect(wireDiametersFor(sprayed, 'gmaw-spray', 200, 240, 'imperial')).toEqual([1.0, 0.9])
    const aluminium = { ...sprayed, metal: 'aluminium' } as const
    expect(wireCurrentRange(aluminium, 'gmaw-spray')).toEqual(wireCurrentRange(aluminium))
  })
  it('rises with diameter, for every form and metal', () => {
    for (const [form, metal] of [
      ['solid', 'carbon-steel'],
      ['solid', 'aluminium'],
      ['cored-self-shielded', 'carbon-steel'],
      ['cored-gas-shielded', 'carbon-steel'],
    ] as const) {
      const sizes = wireDiametersFor(
        { form, metal, classification: '' },
        'gmaw-short',
        0,
        Infinity,
        'imperial',
      )
      expect(sizes).toEqual([])
      const mid = [100, 150, 200].map(
        (amps) =>
          wireDiametersFor({ form, metal, classification: '' }, 'gmaw-short', amps, amps, 'metric')[0] ??
          Infinity,
      )
      expect(mid).toEqual([...mid].sort((a, b) => a - b))
    }
  })
})

describe('spray transition, welding handbooks (from memory)', () => {
  it.each([
    ['carbon-steel', 0.03, 150],
    ['carbon-steel', 0.035, 165],
    ['stainless', 0.045, 220],
    ['carbon-steel', 0.0625, 275],
    ['aluminium', 0.03, 95],
    ['aluminium', 0.0469, 135],
    ['aluminium', 0.0625, 180],
  ] as const)('%s, %f in: %f A', (metal, diameterIn, currentA) => {
    expect(sprayTransitionA(metal, diameterIn * 25.4)).toBeCloseTo(currentA, 0)
  })
  it('lies between its neighbours for a size between, and is that of the nearest beyond the table', () => {
    expect(sprayTransitionA('carbon-steel', (0.889 + 1.143) / 2)).toBeCloseTo((165 + 220) / 2, 9)
    expect(sprayTransitionA('carbon-steel', 0.6)).toBe(150)
    expect(sprayTransitionA('carbon-steel', 2.4)).toBe(275)
  })
})

describe('a tungsten below its range (from memory)', () => {
  it.each([
    [0.508, 'dcen', 2],
    [1.5875, 'dcen', 10],
    [2.38125, 'dcen', 25],
    // A balled tip wanders sooner.
    [2.38125, 'ac', 70],
  ] as const)('%f mm, %s: down to %f A', (diameterMm, wave, stableA) => {
    expect(tungstenCurrentRange(diameterMm, wave)?.stableA).toBe(stableA)
  })
})
