/** What a procedure asks of a weld. AWS D1.1 (clause 5, Table 5.8), A5.22 and EN 1011-2 from memory; the rest common practice. */
import { describe, expect, it } from 'vitest'
import { reckonerFor } from '../calculation/reckoner.ts'
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Job, Joint } from '../kinds/job.ts'
import { type FitInput, fitJob, sidesOf } from '../fit/fit.ts'
import type { MaterialId } from '../model/material.ts'
import { leastPreheatOf, preheatCategoryOf } from '../reference/leastPreheat.ts'
import { demoInput, joint } from '../testing/samples.ts'
import { leastByCarbonC, warmingOf } from '../trade/preheat.ts'
import { criterionOf, mendsOf } from './index.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const IN = 25.4
/** A temperature of the table in °F, as °C. */
const C = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9

const withWeld = (input: FitInput, change: Partial<Joint>, job: Partial<Job> = {}): FitInput => ({
  ...input,
  job: { ...input.job, ...job, joints: input.job.joints.map((one) => ({ ...one, ...change })) },
})
const found = (input: FitInput, id: string) =>
  fitJob(input).criteria.find(({ criterion }) => criterion === id)
const said = (input: FitInput, id: string) => {
  const one = found(input, id)
  return one ? `${one.verdict} ${one.code}` : null
}
const mends = (input: FitInput, id: string) => {
  const { capability, demand } = sidesOf(input)
  const one = criterionOf(id).assess(capability, demand)
  return one ? mendsOf(one, capability, demand) : []
}

describe('prequalified by AWS D1.1', () => {
  const fork = demoInput('loader-fork', 'yard-cored')
  const frame = demoInput('press-frame', 'bay-2-wire')
  it('short-circuit of structural steel is tight, of work by the code it fails', () => {
    expect(said(frame, 'prequalified')).toBe('tight short-circuit')
    expect(said(withWeld(frame, {}, { quality: 'code-bound' }), 'prequalified')).toBe('fails short-circuit')
  })
  it('downward is not, upward is', () => {
    expect(said(withWeld(fork, { position: 'vertical-down' }), 'prequalified')).toBe('tight downward')
    expect(said(withWeld(fork, { position: 'vertical-up' }), 'prequalified')).toBeNull()
  })
  it('an ordinary weld, and one of stainless or aluminium, is not under it', () => {
    for (const quality of ['ordinary', 'cosmetic', 'leak-tight'] as const)
      expect(said(withWeld(frame, {}, { quality }), 'prequalified')).toBeNull()
    const stainless = { materialA: 'stainless-304', materialB: 'stainless-304' } as const
    expect(said(withWeld(frame, stainless), 'prequalified')).toBeNull()
  })
})

describe('back purge of stainless (common practice: a root that is hot in air sugars)', () => {
  const manifold = demoInput('tank-manifold', 'bench-tig-316')
  it('a 316L girth by TIG, leak-tight, fails without, fits with argon', () => {
    expect(said(withWeld(manifold, { purge: false }), 'back-purge')).toBe('fails sugars')
    expect(said(manifold, 'back-purge')).toBe('fits purged')
  })
  it('what it fails for can be mended: purge, backing bar, or a rod made for it', () => {
    const bare = withWeld(manifold, { purge: false })
    expect(mends(bare, 'back-purge').map(({ code }) => code)).toEqual(['purge-it', 'back-it', 'fluxed-rod'])
    expect(said(withWeld(manifold, { purge: false, backing: true }), 'back-purge')).toBeNull()
    const wire = manifold.wire && { ...manifold.wire, classification: 'R316LT1-5' }
    expect(said({ ...bare, wire }, 'back-purge')).toBe('fits fluxed-rod')
  })
  it('an ordinary weld may accept it, a cosmetic one is tight', () => {
    expect(said(withWeld(manifold, { purge: false }, { quality: 'ordinary' }), 'back-purge')).toBe(
      'fits accepted',
    )
    expect(said(withWeld(manifold, { purge: false }, { quality: 'cosmetic' }), 'back-purge')).toBe(
      'tight sugars',
    )
  })
  it('a fillet has no root that is open behind, nor has carbon steel anything to sugar', () => {
    expect(said(withWeld(manifold, { purge: false, kind: 'tee', legMm: 3 }), 'back-purge')).toBeNull()
    expect(said(demoInput('press-frame', 'bench-tig-dc'), 'back-purge')).toBeNull()
  })
  it('a wire reaches the back through an open root only', () => {
    const wired = demoInput('tank-manifold', 'bay-2-wire')
    expect(said(withWeld(wired, { purge: false }), 'back-purge')).toBeNull()
    expect(said(withWeld(wired, { purge: false, rootGapMm: 2 }), 'back-purge')).toBe('fails sugars')
  })
})

describe('least preheat, AWS D1.1 Table 5.8', () => {
  it.each([
    ['A', 0.75, 32],
    ['A', 0.76, 150],
    ['A', 1.5, 150],
    ['A', 2, 225],
    ['A', 2.5, 225],
    ['A', 3, 300],
    ['B', 1.5, 50],
    ['B', 2, 150],
    ['B', 3, 225],
    ['C', 0.5, 50],
    ['C', 2, 225],
  ] as const)('category %s, %f in: %f °F', (category, inches, fahrenheit) => {
    expect(Math.abs(leastPreheatOf(category, inches * IN).leastC - C(fahrenheit))).toBeLessThan(1)
  })
  it('a rutile or cellulose electrode is category A, everything with little hydrogen B, Q&T C', () => {
    const a36: MaterialId[] = ['hot-rolled', 'hot-rolled']
    for (const filler of ['E6010', 'E6013', 'E7014', 'E7024'])
      expect(preheatCategoryOf(a36, 'smaw', filler)).toBe('A')
    expect(preheatCategoryOf(a36, 'smaw', 'E7018')).toBe('B')
    expect(preheatCategoryOf(a36, 'fcaw-s', null)).toBe('B')
    expect(preheatCategoryOf(['hot-rolled', 'quenched-tempered'], 'gmaw-spray', null)).toBe('C')
    expect(preheatCategoryOf(['cast-iron', 'hot-rolled'], 'smaw', 'E7018')).toBeNull()
  })

  const fork = demoInput('loader-fork', 'yard-stick')
  const thick = { thicknessAMm: 2 * IN, thicknessBMm: 2 * IN }
  const byE6010 = { ...fork, wire: fork.wire && { ...fork.wire, classification: 'E6010' } }
  it('2 in of A36 by E6010, structural, cold: fails and wants 225 °F', () => {
    const input = withWeld(byE6010, thick)
    expect(said(input, 'least-preheat')).toBe('fails table')
    const [mend] = mends(input, 'least-preheat')
    expect(mend).toMatchObject({ code: 'preheat-to', patch: { on: 'job', change: { preheatC: 110 } } })
    expect(said(withWeld(byE6010, thick, { preheatC: 110 }), 'least-preheat')).toBe('fits warm')
    expect(said(withWeld(byE6010, thick, { preheatC: 100 }), 'least-preheat')).toBe('fails table')
  })
  it('by E7018 it is 150 °F; the thicker part decides; ordinary work is tight', () => {
    expect(said(withWeld(fork, thick, { preheatC: 66 }), 'least-preheat')).toBe('fits warm')
    expect(said(withWeld(fork, { thicknessBMm: 2 * IN }), 'least-preheat')).toBe('fails table')
    expect(said(withWeld(fork, thick, { quality: 'ordinary' }), 'least-preheat')).toBe('tight table')
  })
  it('nothing is said of everyday thickness', () => {
    expect(said(fork, 'least-preheat')).toBeNull()
    expect(said(demoInput('press-frame'), 'least-preheat')).toBeNull()
  })
})

describe('least preheat of hardenable steel, EN 1011-2 method B', () => {
  const plate = (thicknessMm: number) => joint({ thicknessAMm: thicknessMm, thicknessBMm: thicknessMm })
  it.each([
    // 1045, CET 0.525: some 400 °F on 1/2 in, more on thick plate (common practice, no source).
    [0.525, 12.7, 205],
    [0.525, 50, 285],
    // 4130: some 200 to 300 °F on 3/8 in.
    [0.42, 9.5, 107],
  ])('CET %f %% of %f mm: about %f °C', (cet, thicknessMm, practiceC) => {
    expect(Math.abs(leastByCarbonC(cet, plate(thicknessMm), true, r) - practiceC)).toBeLessThan(20)
  })
  it('hydrogen and thickness raise it, and it is never below none', () => {
    expect(leastByCarbonC(0.5, plate(12), false, r)).toBeGreaterThan(
      leastByCarbonC(0.5, plate(12), true, r) + 40,
    )
    expect(leastByCarbonC(0.1, plate(3), true, r)).toBe(0)
  })
  it('of a job: 1045 fails cold where it is structural, thin 4130 tube by TIG does not', () => {
    const of = (materialA: MaterialId, thicknessMm: number, setUpId: string) =>
      said(
        withWeld(demoInput('press-frame', setUpId), {
          materialA,
          materialB: materialA,
          thicknessAMm: thicknessMm,
          thicknessBMm: thicknessMm,
        }),
        'least-preheat',
      )
    expect(of('medium-carbon', 12.7, 'bay-2-wire')).toBe('fails carbon-equivalent')
    expect(of('chrome-moly', 1.5, 'bench-tig-dc')).toBeNull()
    expect(of('chrome-moly', 6, 'bench-tig-dc')).toBe('fails carbon-equivalent')
  })
})

describe('warming', () => {
  // 1 kg of steel by 100 K takes 49 kJ (machinery handbooks); 15 kW at 30 % bring 4.5 kJ a second; propane 46.4 MJ/kg.
  it('takes heat over what of the burner gets in', () => {
    const one = joint({ thicknessAMm: 25, thicknessBMm: 25 })
    const kg = (152.4 * (300 + 152.4) * 25 * 7.85) / 1e6
    const { timeS, fuelG } = warmingOf(one, 300, 'carbon-steel', 120, r)
    expect(timeS).toBeCloseTo((kg * 49) / 4.5, 0)
    expect(fuelG).toBeCloseTo((timeS * 15) / 46.4, 6)
  })
  it('is lost slower from thick plate', () => {
    const lost = (thicknessMm: number) =>
      warmingOf(joint({ thicknessAMm: thicknessMm, thicknessBMm: thicknessMm }), 300, 'carbon-steel', 120, r)
        .lostS
    expect(lost(50)).toBeCloseTo(2 * lost(25), 6)
    // An inch of plate keeps three quarters of its warmth for some ten minutes and more (common practice, no source).
    expect(lost(25)).toBeGreaterThan(8 * 60)
    expect(lost(25)).toBeLessThan(25 * 60)
  })
})
