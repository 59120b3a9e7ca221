/** A spool as one reads it, low-hydrogen rods, and what there is with containers. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { inStock } from '../kinds/counts.ts'
import { onHandOf } from '../kinds/onHand.ts'
import type { Spool } from '../kinds/spool.ts'
import { sampleWire } from '../testing/equipment.ts'
import { contentsG, pieceG } from './contents.ts'
import { exposureH } from './rodOven.ts'

const reckoner = reckonerFor(assumptionsOf({ assumptions: {} }))
const of = {
  notation: { system: 'metric', locale: 'de-DE' },
  assumptions: assumptionsOf({ assumptions: {} }),
} as const
const spool: Spool = {
  id: 's',
  name: 'Spool',
  wireId: 'w',
  tareG: 800,
  flangeMm: 300,
  coreMm: 100,
  fullDepthMm: 10,
  openOnId: null,
  keptAt: null,
  outSince: null,
}
const wire = sampleWire({ packageG: 15_000 })
const grams = (text: string, one: Spool = spool, as = wire): number => {
  const read = contentsG(text, one, as, of)
  if (!read.ok) throw new Error(read.message)
  return read.valueG
}

describe('a spool', () => {
  it('on the scale is its weight without the spool', () => {
    expect(grams('6,3 kg')).toBe(5500)
    expect(grams('800 g')).toBe(0)
    expect(grams('6,3 kg', { ...spool, tareG: null })).toBe(6300)
  })
  it('by depth is full, empty, and in between the share of the ring', () => {
    expect(grams('10 mm deep')).toBe(15_000)
    expect(grams('100 mm deep')).toBe(0)
    // Half of the wire is left where the ring has half its area: 280² and 100² give 210 mm across, 45 mm deep.
    expect(grams('44,88 mm deep') / 15_000).toBeCloseTo(0.5, 3)
  })
  it('holds at most 15 % more than it was sold with', () => {
    expect(grams('18,05 kg')).toBe(17_250)
    expect(() => grams('18,06 kg')).toThrow('more than a full package')
  })
  it('loses weight with every millimetre of depth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 98 }), (depth) => {
        expect(grams(`${depth + 1} mm deep`)).toBeLessThan(grams(`${depth} mm deep`))
      }),
    )
  })
  it.each([
    ['700 g', spool, /less than it weighs empty/],
    ['30 kg', spool, /more than a full package/],
    ['2 mm deep', spool, /less than the depth of a full spool/],
    ['95 mm deep', { ...spool, coreMm: 140 }, /deeper than the core/],
    ['20 mm deep', { ...spool, coreMm: null }, /not recorded/],
    ['40 rods', spool, /on a spool. Weigh it/],
    ['lots', spool, /./],
  ])('%s is refused with what to do', (text, one, said) => {
    const read = contentsG(text, one, wire, of)
    expect(read.ok ? '' : read.message).toMatch(said)
  })
})

describe('rods', () => {
  const rod = sampleWire({
    form: 'rod',
    diameterMm: 2.4,
    lengthMm: 1000,
    metal: 'carbon-steel',
    packageG: 5000,
  })
  it('by piece are diameter, length and density: a metre of 2.4 mm steel is 35.5 g', () => {
    expect(pieceG(rod, reckoner)).toBeCloseTo(35.5, 1)
    expect(grams('20 rods', spool, rod)).toBeCloseTo(710, 0)
    for (const text of ['2,5 rods', '-5 rods', 'some rods', '1,2,3 rods', '4 5 rods', '3 kg rods'])
      expect(contentsG(text, spool, rod, of), text).toMatchObject({ ok: false, message: /40 rods/ })
    expect(grams('0 rods', spool, rod)).toBe(0)
    // Loose ones may be of several packages; a depth means nothing.
    expect(contentsG('400 rods', null, rod, of)).toMatchObject({ ok: true })
    expect(contentsG('12 kg', null, rod, of)).toEqual({ ok: true, valueG: 12_000 })
    expect(contentsG('20 mm deep', null, rod, of).ok).toBe(false)
  })
  it('covered weigh with their covering: a 1/8 x 14 in E7018 about 34 g, some 13 to 14 a pound (handbooks)', () => {
    const stick = sampleWire({
      form: 'covered',
      classification: 'E7018',
      diameterMm: 3.175,
      lengthMm: 355.6,
      metal: 'carbon-steel',
    })
    const perLb = 453.592 / (pieceG(stick, reckoner) ?? 0)
    expect(perLb).toBeGreaterThan(12)
    expect(perLb).toBeLessThan(17)
  })
  it.each([
    ['E7018', 4],
    ['E7018-1 H4R', 9],
    ['E7018H4', 4],
    ['E8018-C3', 2],
    ['E9018-M', 1],
    ['E11018-M', 0.5],
    ['E7016', 4],
    ['E6010', null],
    ['E6013', null],
    ['E7024', null],
  ])('%s may be out of the oven for %s h (AWS D1.1:2020 Table 7.1, from memory)', (classification, hours) => {
    expect(exposureH({ form: 'covered', classification })).toBe(hours)
    expect(exposureH({ form: 'rod', classification })).toBeNull()
  })
})

describe('what there is', () => {
  const cylinder = (id: string, more: object = {}) => ({
    id,
    name: id,
    gasId: 'argon',
    waterL: null,
    fullBar: null,
    tareG: null,
    openOnId: null,
    keptAt: null,
    rentPerDay: null,
    cameOn: null,
    returnedOn: null,
    ...more,
  })
  const shelf = {
    stock: [
      { id: 'gas.argon', amount: 100 },
      { id: 'cylinder.a', amount: 2000 },
      { id: 'cylinder.b', amount: null },
      { id: 'cylinder.c', amount: 500 },
      { id: 'spool.s', amount: 700 },
    ],
    cylinders: [cylinder('a'), cylinder('b'), cylinder('c', { returnedOn: '2027-01-01' })],
    spools: [spool],
  }
  it('is what is loose and what is in containers; what went back is not', () => {
    const all = onHandOf(shelf)
    expect(inStock(all, 'gas', 'argon')).toBe(2100)
    expect(inStock(all, 'wire', 'w')).toBe(700)
    expect(inStock(all, 'cylinder', 'a')).toBe(2000)
  })
  it('of what nobody has counted anywhere is not known', () => {
    expect(
      inStock(onHandOf({ ...shelf, stock: [{ id: 'cylinder.b', amount: null }] }), 'gas', 'argon'),
    ).toBeNull()
  })
  it('is the counts themselves where there is no container', () => {
    expect(onHandOf({ ...shelf, cylinders: [], spools: [] })).toBe(shelf.stock)
  })
})
