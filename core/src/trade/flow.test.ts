/** Flow of shielding gas, and what a weld must stand, as the trade has them (common practice, no source). */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { PROCESSES } from '../reference/processes.ts'
import { samplePart, sampleWire } from '../testing/equipment.ts'
import { joint } from '../testing/samples.ts'
import { backWidthMm } from './caps.ts'
import { fillerG } from './deposit.ts'
import { type FlowParts, gasFlowOf } from './gasFlow.ts'
import { pairNames, serviceOf } from './service.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))

describe('gas flow', () => {
  const parts = (change: Partial<FlowParts>): FlowParts => ({
    settings: { flowLPerMin: null },
    process: PROCESSES['gmaw-short'],
    wire: null,
    cup: null,
    gas: null,
    ...change,
  })
  it('as as set on the meter, whatever the parts', () => {
    expect(gasFlowOf(parts({ settings: { flowLPerMin: 9 } }), r)).toBe(9)
  })
  it('10 to 12 L/min a millimetre of wire, and never less than 12', () => {
    expect(gasFlowOf(parts({ wire: sampleWire({ diameterMm: 1.6 }) }), r)).toBeCloseTo(19.2, 9)
    expect(gasFlowOf(parts({ wire: sampleWire({ diameterMm: 0.6 }) }), r)).toBe(12)
    expect(gasFlowOf(parts({}), r)).toBe(12)
  })
  it('by TIG 15 ft³/h through a cup 6 (common practice, no source); a number 7 where none is chosen', () => {
    const tig = { process: PROCESSES['gtaw-dc'] }
    const cup = samplePart('cup', { number: 10 })
    const number6 = samplePart('cup', { number: 6 })
    expect(Math.abs(gasFlowOf(parts({ ...tig, cup: number6 }), r) * 2.1189 - 15)).toBeLessThan(0.2)
    expect(gasFlowOf(parts({ ...tig, cup }), r)).toBeCloseTo(11.8, 9)
    expect(gasFlowOf(parts(tig), r)).toBeCloseTo(8.26, 9)
  })
})

describe('rod and wire', () => {
  it('a tenth of the rods is stubs; a wire loses spatter and its ends', () => {
    expect(fillerG(900, 'gtaw-dc', null, r)).toBeCloseTo(1000, 9)
    expect(fillerG(900, 'fcaw-s', null, r)).toBeCloseTo(900 / 0.82 / 0.97, 9)
  })
})

describe('a back bead', () => {
  it('is four times as wide as it is high, over the gap; none where none is welded', () => {
    expect(backWidthMm(2, 1)).toBe(6)
    expect(backWidthMm(0, 1.5)).toBe(6)
    expect(backWidthMm(2, 0)).toBe(0)
  })
})

describe('what a weld must stand', () => {
  it('comes from the job, and the thicker part', () => {
    const one = joint({ thicknessAMm: 3, thicknessBMm: 8 })
    expect(serviceOf({ serviceTemperatureC: 90, anodised: true }, one)).toEqual({
      serviceTemperatureC: 90,
      anodised: true,
      thickerMm: 8,
    })
  })
  it('names one metal once, and both of a pair', () => {
    expect(pairNames({ materialA: 'stainless-304', materialB: 'stainless-304' })).not.toContain(' to ')
    expect(pairNames({ materialA: 'stainless-304', materialB: 'hot-rolled' })).toMatch(/stainless.* to .*/)
  })
})
