import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor, TracingReckoner } from '../calculation/reckoner.ts'
import type { Circuit } from '../model/equipment.ts'
import { samplePowerSource, sampleSupply } from '../testing/equipment.ts'
import { overloadFactor, timeConstantS } from './breakerHeat.ts'
import {
  currentAtEffectiveInputA,
  currentAtInputA,
  drawOf,
  effectiveInputA,
  greatestInputA,
  inputCurrentA,
} from './inputCurrent.ts'
import { northAmerican as nec } from './northAmerican.ts'
import { smallestBreakerA, smallestConductor } from './ruleBook.ts'

describe('North American rule book', () => {
  it('multiplies by NEC 630.11(A), without a motor generator (from memory)', () => {
    const published = [
      [100, 1],
      [90, 0.95],
      [80, 0.89],
      [70, 0.84],
      [60, 0.78],
      [50, 0.71],
      [40, 0.63],
      [30, 0.55],
      [20, 0.45],
      [10, 0.45],
    ] as const
    for (const [duty, factor] of published) expect(nec.multiplier(duty).value).toBe(factor)
  })

  it('is near the square root of the duty, which the table rounds', () => {
    for (const duty of [30, 40, 50, 60, 70, 80, 90, 100]) {
      expect(nec.multiplier(duty).value).toBeCloseTo(Math.sqrt(duty / 100), 1)
    }
  })

  it('takes the row above between two duties', () => {
    expect(nec.multiplier(25).value).toBe(0.55)
  })

  it.each([
    ['14 AWG', 20],
    ['12 AWG', 25],
    ['10 AWG', 35],
    ['8 AWG', 50],
    ['6 AWG', 65],
    ['1/0 AWG', 150],
    ['#12', 25],
    [' 12 AWG ', 25],
    ['# 12', 25],
    ['12awg', 25],
  ])('Table 310.16, copper 75 °C: %s carries %f A', (size, ampacity) => {
    expect(nec.ampacityA(size, 75)?.value).toBe(ampacity)
  })

  it('does not guess a size that it does not have', () => {
    expect(nec.ampacityA('2.5 mm²', 75)).toBeNull()
  })

  it('allows the next standard breaker above 200 % (630.12, 240.6(A))', () => {
    expect(nec.largestBreakerForWelderA(22).value).toBe(45)
    expect(nec.largestBreakerForConductorA(20).value).toBe(40)
    expect(nec.breakerSizesA.slice(0, 8)).toEqual([15, 20, 25, 30, 35, 40, 45, 50])
  })

  it('finds the smallest cable and breaker that do', () => {
    expect(smallestConductor(nec, 26, 75)).toBe('10 AWG')
    expect(smallestConductor(nec, 35, 75)).toBe('10 AWG')
    // NM cable is read in the 60 °C column (NEC 334.80).
    expect(smallestConductor(nec, 35, 60)).toBe('8 AWG')
    expect(smallestBreakerA(nec, 30.1)).toBe(35)
    expect(smallestBreakerA(nec, 30)).toBe(30)
    expect(smallestConductor(nec, 999, 75)).toBeNull()
    expect(smallestBreakerA(nec, 999)).toBeNull()
  })
})

describe('breaker as a heat store', () => {
  it('has the time constant that makes 200 % trip at the 135 % temperature in 2 min (UL 489, from memory)', () => {
    const constant = timeConstantS(120)
    expect((1 - Math.exp(-120 / constant)) * 4).toBeCloseTo(1.35 ** 2, 9)
    expect(timeConstantS(240)).toBeCloseTo(2 * constant, 9)
  })
  it('as it is heated by arcs and cools between, ends as hot as its rating would make it', () => {
    // Second by second, with no formula: dT = (I² − T) dt / θ, at the overload that is allowed.
    const constant = timeConstantS(120)
    for (const [arcS, offS] of [
      [40, 20],
      [10, 50],
    ] as const) {
      const overload = overloadFactor(arcS, offS, constant)
      let heat = 0
      let hottest = 0
      const step = 0.01
      for (let time = 0; time < 40 * constant; time += step) {
        const isBurning = time % (arcS + offS) < arcS
        heat += (((isBurning ? overload ** 2 : 0) - heat) * step) / constant
        if (time > 30 * constant) hottest = Math.max(hottest, heat)
      }
      expect(hottest).toBeCloseTo(1, 2)
    }
  })
  it('lets short arcs with long pauses overload it, an endless arc not at all', () => {
    const constant = timeConstantS(120)
    expect(overloadFactor(1e6, 0, constant)).toBeCloseTo(1, 6)
    expect(overloadFactor(30, 30, constant)).toBeGreaterThan(1.3)
    // Arcs much shorter than the time constant: the rms rule, √(T/a).
    expect(overloadFactor(1, 3, constant)).toBeCloseTo(2, 1)
    expect(overloadFactor(0, 60, constant)).toBe(Infinity)
  })
})

const circuit: Circuit = {
  id: 'c',
  name: 'c',
  voltageV: 230,
  phases: 1,
  breakerA: 32,
  conductorSize: '8 AWG',
  columnC: 75,
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
