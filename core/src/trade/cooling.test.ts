/** Cooling and preheat of steel by EN 1011-2 (from memory): its figures, and welding handbooks’ worked examples. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { TracingReckoner } from '../calculation/reckoner.ts'
import { cetPctOf, compositionOf } from '../reference/composition.ts'
import { joint } from '../testing/samples.ts'
import { steelHeatOf } from './cooling.ts'

const r = new TracingReckoner(assumptionsOf({ assumptions: {} }))
const S355 = compositionOf('structural-355')
if (!S355) throw new Error('S355 has a composition')

const at = (
  thicknessMm: number,
  part: { heatKJPerMm?: number; partC?: number; isDry?: boolean; kind?: 'v' | 'tee' | 'inside-corner' } = {},
) => {
  const { heatKJPerMm = 1, partC = 20, isDry = true, kind = 'v' } = part
  const weld = joint({ kind, thicknessAMm: thicknessMm, thicknessBMm: thicknessMm })
  const found = steelHeatOf(S355, weld, { heatKJPerMm, partC, isDry }, r)
  if (!found) throw new Error('it cools')
  return found
}

describe('cooling time t8/5, EN 1011-2 Annex D', () => {
  // Run on thick plate, F = 1: Q 1 kJ/mm at 20 °C cools in 5.2 s; a butt between runs has 0.9 of it.
  it.each([
    [60, 1, 20, 0.9 * 5.19],
    [60, 2, 20, 0.9 * 10.4],
    [60, 1, 150, 0.9 * 7.8],
    [60, 1, 200, 0.9 * 9.4],
  ])('%f mm, %f kJ/mm, part of %f °C: about %f s', (thicknessMm, heatKJPerMm, partC, seconds) => {
    expect(at(thicknessMm, { heatKJPerMm, partC }).coolingS / seconds).toBeCloseTo(1, 1)
  })
  // 10 mm, 1 kJ/mm, 20 °C: two-dimensional, 26 s by the formula’s chart; 6 mm is far slower still.
  it('a thin plate cools sideways only: slower the thinner it is, by the square', () => {
    expect(at(6).coolingS / at(8).coolingS).toBeCloseTo((8 / 6) ** 2, 6)
    expect(at(6).coolingS).toBeGreaterThan(20)
    expect(at(6).coolingS).toBeLessThan(60)
    expect(at(6, { heatKJPerMm: 0.5 }).coolingS).toBeCloseTo(at(6).coolingS / 4, 6)
  })
  it('a T-joint takes the heat three ways: two thirds of a plate’s time in thick parts', () => {
    expect(at(60, { kind: 'tee' }).coolingS / at(60).coolingS).toBeCloseTo(0.67 / 0.9, 6)
    expect(at(6, { kind: 'tee' }).coolingS / at(6).coolingS).toBeCloseTo(0.45 / 0.9, 6)
    expect(at(6, { kind: 'inside-corner' }).coolingS).toBeCloseTo(at(6).coolingS, 6)
  })
  it('preheat slows it, and a part near 500 °C has no such time', () => {
    expect(at(20, { partC: 150 }).coolingS).toBeGreaterThan(at(20).coolingS)
    expect(steelHeatOf(S355, joint(), { heatKJPerMm: 1, partC: 480, isDry: true }, r)).toBeNull()
  })
})

describe('carbon equivalents and preheat, EN 1011-2 Annex C', () => {
  // Middle of the grades: S355 0.31 %, 42 % less of S235; 1045 0.525 %, as in the tables of handbooks.
  it.each([
    ['hot-rolled', 0.21, 0.26],
    ['structural-355', 0.31, 0.4],
    ['quenched-tempered', 0.348, 0.54],
    ['medium-carbon', 0.525, 0.575],
    ['chrome-moly', 0.4175, 0.613],
  ] as const)('%s: CET %f %%, CE about %f %%', (material, cet, ce) => {
    const composition = compositionOf(material)
    if (!composition) throw new Error(material)
    expect(cetPctOf(composition)).toBeCloseTo(cet, 3)
    const found = steelHeatOf(composition, joint(), { heatKJPerMm: 1, partC: 20, isDry: true }, r)
    expect(found?.cePct).toBeCloseTo(ce, 2)
  })
  it('no steel has none, nor has cast iron one that is known', () => {
    expect(compositionOf('aluminium-6061')).toBeNull()
    expect(compositionOf('stainless-304')).toBeNull()
    expect(compositionOf('cast-iron')).toBeNull()
  })
  // Trade practice: S355 of 8 mm by wire is welded as it comes; of 50 mm by a wet electrode at little heat it is not.
  it('asks for preheat by thickness, hydrogen and too little heat', () => {
    expect(at(8, { heatKJPerMm: 1 }).preheatC).toBeLessThan(25)
    expect(at(50, { heatKJPerMm: 0.8, isDry: false }).preheatC).toBeGreaterThan(100)
    expect(at(50).preheatC).toBeGreaterThan(at(20).preheatC)
    expect(at(20, { isDry: false }).preheatC).toBeGreaterThan(at(20).preheatC)
    expect(at(20, { heatKJPerMm: 2 }).preheatC).toBeLessThan(at(20).preheatC)
  })
})
