import { MATERIAL_IDS, type MaterialId } from '../model/material.ts'
import { describe, expect, it } from 'vitest'
import { FILLET_SIZES } from './filletSizes.ts'
import { MATERIALS, materialOf } from './materials.ts'
import { pairAdvice, type Service } from './pairs.ts'
import { pipeOf, schedulesOf } from './pipes.ts'
import { tungstenCurrentRange, tungstenDiametersFor } from './tungstenRanges.ts'

describe('pipe, ASME B36.10M and B36.19M (from memory)', () => {
  it.each([
    ['1/2', '40', 0.84, 0.109],
    ['1', '80', 1.315, 0.179],
    ['1-1/2', '40', 1.9, 0.145],
    ['2', '10S', 2.375, 0.109],
    ['2', '160', 2.375, 0.344],
    ['3', 'std', 3.5, 0.216],
    ['4', '40s', 4.5, 0.237],
    ['6', '80', 6.625, 0.432],
    ['10', '5S', 10.75, 0.134],
  ])('%s in schedule %s', (nps, schedule, outside, wall) => {
    expect(pipeOf(nps, schedule)).toMatchObject({ outsideIn: outside, wallIn: wall })
  })
  it('does not guess', () => {
    expect(pipeOf('1-1/2', '33')).toBeNull()
    expect(pipeOf('7', '40')).toBeNull()
    expect(schedulesOf('7')).toBeNull()
  })
})

describe('fillet sizes, AWS D1.1 (from memory)', () => {
  it.each([
    [1 / 8, 1 / 8],
    [1 / 4, 1 / 8],
    [3 / 8, 3 / 16],
    [1 / 2, 3 / 16],
    [5 / 8, 1 / 4],
    [3 / 4, 1 / 4],
    [1, 5 / 16],
  ])('thicker part %f in: at least %f in', (thickerIn, legIn) => {
    expect(FILLET_SIZES['d1.1'].leastLegMm(thickerIn * 25.4)).toBeCloseTo(legIn * 25.4, 9)
  })
  it('along an edge: the edge itself below 1/4 in, 1/16 less from there', () => {
    expect(FILLET_SIZES['d1.1'].largestAlongEdgeMm(4.7625)).toBe(4.7625)
    expect(FILLET_SIZES['d1.1'].largestAlongEdgeMm(9.525)).toBeCloseTo(7.9375, 9)
  })
})

describe('tungsten, AWS A5.12 annex (from memory)', () => {
  it.each([
    [1.016, 'dcen', 15, 80],
    [1.5875, 'dcen', 70, 150],
    [2.38125, 'dcen', 150, 250],
    [2.38125, 'ac', 140, 235],
    [3.175, 'ac', 225, 325],
  ] as const)('%f mm, %s', (diameter, wave, minA, maxA) => {
    expect(tungstenCurrentRange(diameter, wave)).toMatchObject({ minA, maxA })
  })
  it('takes a size at both ends of its range', () => {
    expect(tungstenDiametersFor('dcen', 70, 80, 'imperial')).toEqual([1.5875, 1.016])
    expect(tungstenDiametersFor('dcen', 150, 150, 'imperial')).toEqual([2.38125, 1.5875])
    // What welders take (common practice, no source): 1/16 for 70 A and 3/32 for 140 A of AC.
    expect(tungstenDiametersFor('ac', 70, 70, 'imperial')[0]).toBe(1.5875)
    expect(tungstenDiametersFor('ac', 140, 140, 'imperial')[0]).toBe(2.38125)
    expect(tungstenDiametersFor('dcen', 69, 81, 'imperial')).toEqual([])
  })
  it('finds the size for a current', () => {
    expect(tungstenDiametersFor('dcen', 100, 120, 'imperial')).toEqual([1.5875])
    expect(tungstenDiametersFor('ac', 10, 12, 'imperial')).toEqual([])
    // 2.0 mm is a size of metric shops.
    expect(tungstenDiametersFor('dcen', 100, 120, 'metric')).toEqual([1.5875, 2])
  })
})

const SERVICE: Service = { serviceTemperatureC: null, anodised: false, thickerMm: 6 }
const fillers = (a: MaterialId, b: MaterialId, service = SERVICE) =>
  pairAdvice(a, b, service).fillers.map(({ classification }) => classification)
const excluded = (a: MaterialId, b: MaterialId, service = SERVICE) =>
  pairAdvice(a, b, service).excluded.map(({ classification }) => classification)

describe('pairs of metals, AWS A5.9, A5.10, A5.18 annexes (from memory)', () => {
  it.each([
    ['hot-rolled', 'hot-rolled', 'ER70S-6'],
    ['stainless-304', 'stainless-304', 'ER308L'],
    ['stainless-316', 'stainless-316', 'ER316L'],
    ['stainless-304', 'hot-rolled', 'ER309L'],
    ['stainless-430', 'stainless-304', 'ER309L'],
    ['aluminium-6061', 'aluminium-6061', 'ER4043'],
    ['aluminium-5052', 'aluminium-6061', 'ER5356'],
    ['aluminium-5083', 'aluminium-5083', 'ER5183'],
    ['aluminium-cast', 'aluminium-6061', 'ER4043'],
    ['cast-iron', 'cast-iron', 'ENi-CI'],
  ] as const)('%s to %s: first %s', (a, b, first) => {
    expect(fillers(a, b)[0]).toBe(first)
  })

  it('4043 is never for 5083 or 5086', () => {
    for (const hard of ['aluminium-5083', 'aluminium-5086'] as const) {
      for (const other of ['aluminium-5083', 'aluminium-5052', 'aluminium-6061'] as const) {
        expect(excluded(hard, other)).toContain('ER4043')
        expect(fillers(hard, other)).not.toContain('ER4043')
      }
    }
  })
  it('5356 is not above 65 °C (150 °F), and 4043 not where it is anodised', () => {
    const hot = { ...SERVICE, serviceTemperatureC: 90 }
    expect(fillers('aluminium-6061', 'aluminium-6061', hot)).toEqual(['ER4043'])
    expect(excluded('aluminium-6061', 'aluminium-6061', hot)).toContain('ER5356')
    expect(fillers('aluminium-6061', 'aluminium-6061', { ...SERVICE, anodised: true })).toEqual(['ER5356'])
  })
  it('316 to itself keeps its molybdenum', () => {
    expect(excluded('stainless-316', 'stainless-316')).toContain('ER308L')
    expect(fillers('stainless-316', 'stainless-304')).toContain('ER316L')
  })
  it('says what must not be welded, and why', () => {
    expect(pairAdvice('aluminium-7075', 'aluminium-6061', SERVICE)).toMatchObject({ weldable: 'no' })
    expect(pairAdvice('aluminium-2024', 'aluminium-2024', SERVICE).text).toContain('crack')
    expect(pairAdvice('aluminium-6061', 'stainless-304', SERVICE).text).toContain('brittle')
  })
  it('cast iron and quenched steel need a procedure', () => {
    for (const id of ['cast-iron', 'quenched-tempered'] as const) {
      expect(pairAdvice(id, id, SERVICE).weldable).toBe('needs-procedure')
    }
  })
  it('preheat of aluminium is never above 120 °C (250 °F)', () => {
    const thick = pairAdvice('aluminium-6061', 'aluminium-6061', { ...SERVICE, thickerMm: 12 }).preheat
    expect(thick).toMatchObject({ leastC: 60, mostC: 120 })
  })
  it('316 takes ER308L only where nothing of it must resist pitting', () => {
    expect(excluded('stainless-304', 'stainless-304')).toEqual([])
    expect(fillers('stainless-304', 'stainless-304')).toEqual(['ER308L', 'ER316L'])
  })
  it('excludes what cracks: 308L and mild steel between stainless and carbon, 5356 on castings', () => {
    expect(excluded('stainless-304', 'hot-rolled')).toEqual(['ER308L', 'ER70S-6'])
    expect(excluded('aluminium-cast', 'aluminium-cast')).toEqual(['ER5356'])
    expect(excluded('aluminium-cast', 'aluminium-6061')).toEqual(['ER5356'])
  })
  it('5356 is open to stress corrosion above 65 °C (150 °F), at 65 °C it still stands', () => {
    const at = (serviceTemperatureC: number) =>
      fillers('aluminium-6061', 'aluminium-6061', { ...SERVICE, serviceTemperatureC })
    expect(at(65)).toContain('ER5356')
    expect(at(66)).toEqual(['ER4043'])
    expect(excluded('aluminium-6061', 'aluminium-6061', { ...SERVICE, serviceTemperatureC: 65 })).toEqual([])
  })
  it('what a rule excludes already is not excluded twice, and what service excludes is not offered', () => {
    const hot = { ...SERVICE, serviceTemperatureC: 120 }
    expect(excluded('aluminium-cast', 'aluminium-cast', hot)).toEqual(['ER5356'])
    // 5183 and 5556 have more magnesium than 5356: none of them above 65 °C.
    expect(fillers('aluminium-5083', 'aluminium-5083', hot)).toEqual([])
    expect(excluded('stainless-304', 'stainless-304', { ...hot, anodised: true })).toEqual([])
    const anodised = { ...SERVICE, anodised: true }
    expect(excluded('aluminium-6061', 'aluminium-6061', anodised)).toEqual(['ER4043'])
    expect(fillers('aluminium-cast', 'aluminium-cast', anodised)).toEqual([])
  })
  it('iron to steel by nickel-iron, quenched steel by a soft filler, both by a procedure', () => {
    expect(fillers('cast-iron', 'hot-rolled')).toEqual(['ENiFe-CI'])
    expect(fillers('quenched-tempered', 'hot-rolled')).toEqual(['ER70S-6'])
    expect(fillers('cast-iron', 'cast-iron')).toEqual(['ENi-CI', 'ENiFe-CI'])
  })
  it('preheat: steel over 3/4 in 10 °C, over 1-1/2 in 66 °C (AWS D1.1), stainless none, iron 200 °C, aluminium when thick or cast', () => {
    const of = (a: MaterialId, thickerMm: number, b: MaterialId = a) =>
      pairAdvice(a, b, { ...SERVICE, thickerMm }).preheat
    expect(of('hot-rolled', 19)).toBeNull()
    expect(of('hot-rolled', 26)).toMatchObject({ leastC: 10, mostC: 230 })
    expect(of('hot-rolled', 50)).toMatchObject({ leastC: 66, mostC: 230 })
    expect(of('stainless-304', 40)).toMatchObject({ leastC: null, mostC: 175 })
    expect(of('stainless-316', 40)).toMatchObject({ leastC: null, mostC: 175 })
    expect(of('cast-iron', 10)).toMatchObject({ leastC: 200, mostC: 650 })
    expect(of('aluminium-6061', 9.5)).toMatchObject({ leastC: null, mostC: 120 })
    expect(of('aluminium-6061', 10)).toMatchObject({ leastC: 60 })
    expect(of('aluminium-cast', 4)).toMatchObject({ leastC: 60 })
    expect(of('aluminium-cast', 4, 'aluminium-6061')).toMatchObject({ leastC: 60 })
    expect(of('aluminium-6061', 4, 'aluminium-cast')).toMatchObject({ leastC: 60 })
    expect(of('aluminium-5052', 4, 'aluminium-6061')).toMatchObject({ leastC: null })
  })
  it('is the same from either side, for every pair', () => {
    for (const a of MATERIAL_IDS) {
      for (const b of MATERIAL_IDS) {
        const [one, other] = [pairAdvice(a, b, SERVICE), pairAdvice(b, a, SERVICE)]
        expect(one.weldable).toBe(other.weldable)
        expect(one.fillers).toEqual(other.fillers)
        expect(one.weldable === 'yes' ? one.fillers.length : 1).toBeGreaterThan(0)
        expect(one.preparation.length).toBeGreaterThan(0)
      }
    }
  })
})

describe('names', () => {
  it.each([
    ['304', 'stainless-304'],
    ['316L', 'stainless-316'],
    ['mild steel', 'hot-rolled'],
    ['6061', 'aluminium-6061'],
    ['Galv', 'galvanised'],
    ['  MILD   STEEL ', 'hot-rolled'],
    ['stainless-316', 'stainless-316'],
  ])('%s', (words, id) => {
    expect(materialOf(words)).toBe(id)
  })
  it('by the whole name, in any case; and no guess', () => {
    for (const id of MATERIAL_IDS) expect(materialOf(MATERIALS[id].name.toUpperCase())).toBe(id)
    expect(materialOf('unobtainium')).toBeNull()
  })
  it('no word names two metals', () => {
    const words = MATERIAL_IDS.flatMap((id) => MATERIALS[id].words)
    expect(new Set(words).size).toBe(words.length)
  })
})
