/** Settings to start with, against everyday practice (no source) and EN 1011-1. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { startingVoltsOf } from '../trade/startingVolts.ts'
import { demoInput } from '../testing/samples.ts'
import { fitJob, sidesOf } from './fit.ts'
import { explainStart, type StartFigure, settingsOf } from './settings.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const CO2 = { co2Pct: 100, heliumPct: 0 }
const MIX = { co2Pct: 25, heliumPct: 0 }
const TRI_MIX = { co2Pct: 2.5, heliumPct: 90 }

describe('volts to start with (common practice, within a volt)', () => {
  it.each([
    ['0.035 solid in CO₂ on 1/8 in', 'gmaw-short', 'carbon-steel', CO2, 132, 20],
    ['0.035 solid in CO₂ on 3/16 in', 'gmaw-short', 'carbon-steel', CO2, 161, 20.5],
    ['0.035 solid in 75/25 on 1/4 in', 'gmaw-short', 'carbon-steel', MIX, 187, 20.5],
    ['1.0 mm aluminium on 3 mm', 'gmaw-spray', 'aluminium', { co2Pct: 0, heliumPct: 0 }, 153, 20.5],
    ['0.045 gas-shielded cored in CO₂ at 310 in/min', 'fcaw-g', 'carbon-steel', CO2, 180, 26],
    ['0.035 spray in 90/10', 'gmaw-spray', 'carbon-steel', { co2Pct: 10, heliumPct: 0 }, 200, 26],
    ['0.045 self-shielded', 'fcaw-s', 'carbon-steel', null, 150, 17.5],
    ['0.035 308L in tri-mix on 16 ga', 'gmaw-short', 'stainless', TRI_MIX, 80, 19],
  ] as const)('%s', (_what, process, metal, gas, currentA, voltsV) => {
    expect(
      Math.abs(startingVoltsOf(process, { metal, gas, classification: null }, currentA, r) - voltsV),
    ).toBeLessThan(1)
  })
  it('CO₂ wants a volt more than 75/25 by short-circuit, a cored wire a volt less in a mix', () => {
    const at = (process: 'gmaw-short' | 'fcaw-g', gas: typeof CO2 | null) =>
      startingVoltsOf(process, { metal: 'carbon-steel', gas, classification: null }, 150, r)
    expect(at('gmaw-short', CO2) - at('gmaw-short', MIX)).toBeCloseTo(1, 9)
    expect(at('fcaw-g', CO2) - at('fcaw-g', MIX)).toBeCloseTo(1, 9)
    expect(at('fcaw-g', null)).toBe(at('fcaw-g', CO2))
  })
  it('a self-shielded class of the long arc starts hotter than one for sheet (usual procedures, no source)', () => {
    const at = (classification: string) =>
      startingVoltsOf('fcaw-s', { metal: 'carbon-steel', gas: null, classification }, 300, r)
    expect(at('E70T-4')).toBeGreaterThan(28)
    expect(at('E70T-4')).toBeLessThan(30)
    expect(at('E70T-6')).toBeGreaterThan(26)
    expect(at('E71T-11')).toBeLessThan(23)
  })
})

const settingsFor = (jobId: string, setUpId?: string) => {
  const { capability, demand } = sidesOf(demoInput(jobId, setUpId))
  return settingsOf(capability, demand, demand.hungriest)
}

describe('settings of a weld', () => {
  it('press frame in bay 2: 20.5 V, 343 in/min, DCEP, pushed from 3/8 to 1/2 in', () => {
    const found = settingsFor('press-frame', 'bay-2-wire')
    expect(found.voltsV?.value).toBeCloseTo(14 + 0.034 * found.currentA.value, 9)
    expect((found.feedMmPerMin?.value ?? 0) / 25.4).toBeCloseTo(343, 0)
    expect(found).toMatchObject({
      polarity: 'dcep',
      travel: 'push',
      flowLPerMin: 12,
      tipToWorkMm: { low: 9.525, high: 12.7 },
    })
  })
  it('never travels faster than a hand keeps up, and tells the leg that comes of it', () => {
    // 16 ga butts by 0.035 wire ask for some 60 in/min; a hand on sheet keeps up to 40 (common practice, no source).
    const found = settingsFor('pressing-tray', 'bay-2-wire')
    expect((found.travelMmPerMin ?? 0) / 25.4).toBeCloseTo(40, 6)
    expect(found.outcome?.filledPct).toBeGreaterThan(105)
    expect((settingsFor('press-frame', 'bay-2-wire').travelMmPerMin ?? 0) / 25.4).toBeLessThan(20)
  })
  it('stands in the middle of its band', () => {
    const { voltsV, currentA, feedMmPerMin } = settingsFor('press-frame', 'bay-2-wire')
    for (const start of [voltsV, currentA, feedMmPerMin]) {
      if (!start) throw new Error('a wire has all three')
      expect(start.low).toBeLessThan(start.value)
      expect((start.low + start.high) / 2).toBeCloseTo(start.value, 9)
    }
    expect(currentA.high / currentA.value).toBeCloseTo(1.1, 9)
    expect((voltsV?.high ?? 0) - (voltsV?.value ?? 0)).toBe(1)
  })
  it('slag is dragged, without gas; aluminium is pushed from 5/8 in', () => {
    expect(settingsFor('loader-fork')).toMatchObject({ travel: 'drag', flowLPerMin: null, polarity: 'dcen' })
    expect(settingsFor('picking-platform', 'spool-gun')).toMatchObject({
      travel: 'push',
      tipToWorkMm: { low: 15.875 },
    })
  })
  it('by TIG the amps are set: no volts, no wire', () => {
    expect(settingsFor('pressing-tray')).toMatchObject({
      voltsV: null,
      feedMmPerMin: null,
      tipToWorkMm: null,
    })
  })
  it('heat input is k·U·I over travel (EN 1011-1): 0.8 by wire, 0.6 by TIG', () => {
    const wire = settingsFor('press-frame', 'bay-2-wire')
    const perMm = (wire.voltsV?.value ?? 0) * wire.currentA.value * 60
    expect(wire.outcome?.heatKJPerMm).toBeCloseTo((0.8 * perMm) / (wire.travelMmPerMin ?? 1) / 1000, 9)
    const tig = settingsFor('pressing-tray')
    const arcV = 10 + 0.02 * tig.currentA.value
    expect(tig.outcome?.heatKJPerMm).toBeCloseTo(
      (0.6 * arcV * tig.currentA.value * 60) / (tig.travelMmPerMin ?? 1) / 1000,
      9,
    )
  })
  it('a spray is told at what it sprays at, never below its transition', () => {
    expect(settingsFor('press-frame', 'bay-3-spray').currentA.value).toBeGreaterThanOrEqual(220)
  })
  it('without a wire there is no feed and no travel, and the volts stand', () => {
    const { capability, demand } = sidesOf({ ...demoInput('press-frame'), wire: null })
    const found = settingsOf(capability, demand, demand.hungriest)
    expect(found).toMatchObject({ feedMmPerMin: null, travelMmPerMin: null, outcome: null })
    expect(found.voltsV?.value).toBeGreaterThan(18)
  })
  it('a fit has those of the welds whose chains it has', () => {
    const fit = fitJob(demoInput('tank-manifold'), { chainsOf: 'all' })
    expect(fit.settings.map(({ jointId }) => jointId)).toEqual(fit.chains.map(({ jointId }) => jointId))
    expect(fitJob(demoInput('tank-manifold')).settings).toHaveLength(1)
  })
  it('every figure opens to its working', () => {
    const { capability, demand } = sidesOf(demoInput('press-frame'))
    const found = settingsOf(capability, demand, demand.hungriest)
    const values: Readonly<Record<Exclude<StartFigure, 'pulse'>, number | null>> = {
      current: found.currentA.value,
      volts: found.voltsV?.value ?? null,
      feed: found.feedMmPerMin?.value ?? null,
      flow: found.flowLPerMin,
      travel: found.travelMmPerMin,
      arc: found.outcome?.arc?.balancePct ?? null,
      heat: found.outcome?.heatKJPerMm ?? null,
      cooling: found.outcome?.steel?.coolingS ?? null,
      preheat: found.outcome?.steel?.preheatC ?? null,
      carbon: found.outcome?.steel?.cePct ?? null,
      deposition: found.outcome?.depositionGPerMin ?? null,
      leg: found.outcome?.legMm ?? null,
      filled: found.outcome?.filledPct ?? null,
      work: found.outcome?.workSPerM ?? null,
      cost: found.outcome?.costPerM ?? null,
      'pre-flow': found.preFlowS,
      'post-flow': found.postFlowS,
    }
    for (const [figure, value] of Object.entries(values)) {
      const steps = explainStart(figure as StartFigure, capability, demand, demand.hungriest)
      expect(
        steps.map(({ result }) => result.value),
        figure,
      ).toContain(value)
    }
  })
})
