import { USUAL_RUN } from '../kinds/usualRun.ts'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor, TracingReckoner } from '../calculation/reckoner.ts'
import type { Circuit } from '../kinds/equipment.ts'
import { samplePowerSource, sampleSupply } from '../testing/equipment.ts'
import {
  currentAtEffectiveInputA,
  currentAtInputA,
  drawOf,
  effectiveInputA,
  greatestInputA,
  inputCurrentA,
} from './inputCurrent.ts'

const circuit: Circuit = {
  id: 'c',
  name: 'c',
  voltageV: 230,
  phases: 1,
  breakerA: 32,
  conductorSize: '8 AWG',
  columnC: 75,
  ...USUAL_RUN,
  held: 'owned',
  price: null,
  lengthMm: 1000,
}
const supply = sampleSupply()
const source = samplePowerSource({ efficiencyPct: 85, powerFactor: 0.95, idleW: 0 })
const r = reckonerFor(assumptionsOf({ assumptions: {} }))

describe('input current', () => {
  it('is U₂·I₂/(η·PF·U₁) single-phase', () => {
    const draw = drawOf(source, supply, circuit, 'gmaw', r)
    // 200 A at 14 + 0.05·200 = 24 V: 4800 W / (0.85 · 0.95 · 230 V) = 25.8 A
    expect(inputCurrentA(draw, 200)).toBeCloseTo(4800 / (0.85 * 0.95 * 230), 9)
  })

  it('is smaller by √3 with three phases', () => {
    const one = drawOf(source, supply, circuit, 'gmaw', r)
    const three = drawOf(source, { ...supply, phases: 3 }, { ...circuit, phases: 3 }, 'gmaw', r)
    expect(inputCurrentA(one, 150) / inputCurrentA(three, 150)).toBeCloseTo(Math.sqrt(3), 9)
  })

  it('idling is P₀/(PF·U₁), smaller by √3 with three phases', () => {
    const idle = { ...source, idleW: 400 }
    expect(drawOf(idle, supply, circuit, 'gmaw', r).idleA).toBeCloseTo(400 / (0.95 * 230), 9)
    const three = drawOf(idle, supply, { ...circuit, phases: 3 }, 'gmaw', r)
    expect(three.idleA).toBeCloseTo(400 / (0.95 * 230 * Math.sqrt(3)), 9)
  })

  it('without a figure on the plate the greatest is that of the highest rated current, in whatever order they stand', () => {
    const points = [
      { currentA: 200, dutyPct: 25, loadV: null },
      { currentA: 100, dutyPct: 100, loadV: null },
    ]
    for (const ratedPoints of [points, [...points].reverse()]) {
      const plate = { ...supply, ratedPoints }
      expect(greatestInputA(plate, drawOf(source, plate, circuit, 'gmaw', r), r)).toBeCloseTo(
        4800 / (0.85 * 0.95 * 230),
        9,
      )
      const printed = { ...plate, i1MaxA: 31 }
      expect(inputCurrentA(drawOf(source, printed, circuit, 'gmaw', r), 200)).toBeCloseTo(31, 9)
      expect(greatestInputA(printed, drawOf(source, printed, circuit, 'gmaw', r), r)).toBe(31)
    }
  })

  it('meets the plate’s I₁max at the highest rated current', () => {
    const draw = drawOf(source, { ...supply, i1MaxA: 31 }, circuit, 'gmaw', r)
    expect(inputCurrentA(draw, 200)).toBeCloseTo(31, 9)
    expect(currentAtInputA(draw, 31)).toBeCloseTo(200, 9)
  })

  it('I₁eff = √(I₁²·X + I₀²·(1−X)) (IEC 60974-1), and its inverse', () => {
    const draw = drawOf({ ...source, idleW: 400 }, { ...supply, i1MaxA: 30 }, circuit, 'gmaw', r)
    const idle = 400 / (230 * 0.95)
    expect(effectiveInputA(draw, 200, 25)).toBeCloseTo(Math.sqrt(900 * 0.25 + idle ** 2 * 0.75), 9)
    expect(currentAtEffectiveInputA(draw, effectiveInputA(draw, 140, 40), 40)).toBeCloseTo(140, 6)
    expect(currentAtEffectiveInputA(draw, 0.5, 40)).toBe(0)
  })

  it('says so where efficiency is assumed: EU 2019/1784 least efficiency, from memory', () => {
    const tracer = new TracingReckoner(assumptionsOf({ assumptions: {} }))
    drawOf({ ...source, efficiencyPct: null }, supply, circuit, 'gmaw', tracer)
    const steps = tracer.stepsOf([{ calculations: ['arc-watts-by-efficiency'], value: null }])
    expect(steps.at(-1)?.terms.find(({ symbol }) => symbol === 'η')).toMatchObject({
      value: 80,
      assumption: 'efficiencyPct',
    })
  })
})
