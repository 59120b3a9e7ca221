import { describe, expect, it } from 'vitest'
import { type FitInput, fitJob } from '../fit/fit.ts'
import { demoInput } from '../testing/samples.ts'
import { assumptionsOf, assumptionSource } from './assume.ts'
import { ASSUMPTION_KEYS, ASSUMPTIONS, type AssumptionDefinition, type AssumptionKey } from './list.ts'

describe('assumptions', () => {
  it('stand inside their own limits, with a source and a unit that is printed', () => {
    for (const key of ASSUMPTION_KEYS) {
      const { default: value, least, most, source, name }: AssumptionDefinition = ASSUMPTIONS[key]
      expect(value, key).toBeGreaterThanOrEqual(least)
      expect(value, key).toBeLessThanOrEqual(most)
      expect(source.text, key).not.toBe('')
      expect(name, key).not.toBe('')
    }
  })

  it('are answered as the shop has changed them', () => {
    const assumptions = assumptionsOf({ assumptions: { convexityPct: 25 } })
    expect(assumptions.convexityPct).toBe(25)
    expect(assumptionSource('convexityPct', assumptions)).toMatchObject({
      kind: 'shop',
      text: 'changed by the shop from 10 %',
    })
    expect(assumptionSource('stubMm', assumptions).kind).toBe('common-practice')
    // A figure without a unit is named alone; the same changes are worked out once.
    const factor = assumptionsOf({ assumptions: { filletFactor: 1.25 } })
    expect(assumptionSource('filletFactor', factor).text).toMatch(/^changed by the shop from [\d.]+( ×)?$/)
    const changed = { convexityPct: 25 }
    expect(assumptionsOf({ assumptions: changed })).toBe(assumptionsOf({ assumptions: changed }))
  })

  /** Changes one assumption and answers what a check then asks for. */
  const demand = (
    input: FitInput,
    check: string,
    assumptions: Partial<Record<AssumptionKey, number>>,
  ): number => {
    const fit = fitJob({ ...input, shop: { ...input.shop, assumptions } })
    return fit.criteria.find(({ criterion }) => criterion === check)?.demand ?? Number.NaN
  }
  const frame = demoInput('press-frame', 'bay-2-wire')
  const tray = demoInput('pressing-tray')
  it.each([
    ['convexityPct', 40, frame, 'wire-use'],
    ['depositionGmawPct', 80, frame, 'wire-use'],
    ['wireWastePct', 20, frame, 'wire-use'],
    ['ampsPerMmCarbonSteel', 50, frame, 'source-range'],
    ['filletFactor', 1.3, frame, 'source-range'],
    ['extensionShortMm', 15, frame, 'feed-speed'],
    ['changeSpoolOnMin', 45, frame, 'time-use'],
    ['gasLeakPct', 50, tray, 'gas-use'],
    ['flowPerCupNumber', 2, tray, 'gas-use'],
    ['postFlowGtawLeastS', 30, tray, 'gas-use'],
    ['regrindsPerArcHour', 12, tray, 'tungsten-use'],
    ['dipsPerArcHour', 12, tray, 'tungsten-use'],
    ['stubMm', 90, tray, 'tungsten-use'],
  ] as const)('%s of %f asks for more in its check', (key, value, input, check) => {
    expect(demand(input, check, { [key]: value })).toBeGreaterThan(demand(input, check, {}))
  })
})
