import { describe, expect, it } from 'vitest'
import { demoShop } from '../testing/samples.ts'
import { lensShade } from './lensShades.ts'
import { wireCurrentRange, wireDiametersFor } from './wireRanges.ts'

describe('lens shades, ANSI Z49.1 (from memory)', () => {
  it.each([
    ['gmaw', 120, 10, 11],
    ['gmaw', 200, 10, 12],
    ['fcaw', 300, 10, 14],
    ['gtaw', 40, 8, 10],
    ['gtaw', 100, 8, 12],
    ['gtaw', 200, 10, 14],
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
  it('rises with diameter, for every form and metal', () => {
    for (const [form, metal] of [
      ['solid', 'carbon-steel'],
      ['solid', 'aluminium'],
      ['cored-self-shielded', 'carbon-steel'],
      ['cored-gas-shielded', 'carbon-steel'],
    ] as const) {
      const sizes = wireDiametersFor({ form, metal }, 0, Infinity)
      expect(sizes).toEqual([])
      const mid = [100, 150, 200].map((amps) => wireDiametersFor({ form, metal }, amps, amps)[0] ?? Infinity)
      expect(mid).toEqual([...mid].sort((a, b) => a - b))
    }
  })
})
