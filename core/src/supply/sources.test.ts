/** Supplies beyond the branch circuit: supplyPanels, generators, leads, and the moment of switching on. */
import { isJudged } from '../criteria/judged.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { fitJob } from '../fit/fit.ts'
import type { Circuit, Generator, Panel, PowerSource } from '../kinds/equipment.ts'
import {
  circuitSchema,
  generatorSchema,
  otherLoadSchema,
  panelSchema,
  powerSourceSchema,
} from '../kinds/equipment.ts'
import { readDocument } from '../model/problems.ts'
import { sampleGenerator, samplePowerSource } from '../testing/equipment.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { northAmerican } from './books/northAmerican/northAmerican.ts'
import { generatorRunningKva } from './generator.ts'
import { leadCarriesA, leadSizesIn, lostInLeads } from './leads.ts'
import { circuitsOfGenerator, panelsAbove, supplyOf } from './supplyOf.ts'
import { voltsAtMachineV } from './voltageDrop.ts'

const demo = demoShop()
const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const FOOT = 304.8
const [circuit] = demo.circuits
const [panel] = demo.panels
const [load] = demo.loads
if (!circuit || !panel || !load) throw new Error('the demo has no supply')

describe('the supply is one of', () => {
  const source = samplePowerSource()
  it('a circuit with the panels above it, up to the service', () => {
    const supply = supplyOf(source, circuit, demo)
    expect(supply?.kind === 'circuit' && supply.panels.map(({ id }) => id)).toEqual(['shop-panel', 'service'])
  })

  it('an outlet of a generator', () => {
    const outlet = demo.circuits.find(({ generatorId }) => generatorId !== null) ?? null
    expect(supplyOf(source, outlet, demo)).toMatchObject({ kind: 'generator', generator: { id: 'withy-9' } })
    expect(circuitsOfGenerator('withy-9', demo)).toEqual([outlet])
  })

  it('an engine, whatever circuit is named', () => {
    const driven: PowerSource = { ...source, engine: { fuelLPerH: 4 } }
    expect(supplyOf(driven, circuit, demo)).toEqual({ kind: 'engine', engine: { fuelLPerH: 4 } })
    expect(supplyOf(source, null, demo)).toBeNull()
  })

  it('panels that feed each other in a ring end it, and so does one that is not there', () => {
    const ring: Panel[] = [
      { ...panel, id: 'a', fedFromId: 'b' },
      { ...panel, id: 'b', fedFromId: 'a' },
    ]
    const building = { ...demo, panels: ring }
    expect(panelsAbove({ panelId: 'a' }, building).map(({ id }) => id)).toEqual(['a', 'b'])
    expect(panelsAbove({ panelId: 'gone' }, building)).toEqual([])
  })

  it('a generator that feeds a panel feeds every circuit of it', () => {
    const panels = demo.panels.map((one) => (one.id === 'service' ? { ...one, generatorId: 'withy-9' } : one))
    const fed = circuitsOfGenerator('withy-9', { ...demo, panels }).map(({ id }) => id)
    expect(fed).toContain('bay-2')
    expect(fed).not.toContain('bay-3')
  })
})

describe('supplyPanels', () => {
  const way = (supplyPanels: readonly Panel[], part: Partial<Circuit> = {}) => ({
    circuit: { ...circuit, ...part },
    hasCable: true,
    supplyPanels,
    cord: null,
  })
  const volts = (supplyPanels: readonly Panel[], part: Partial<Circuit> = {}) =>
    voltsAtMachineV(northAmerican, way(supplyPanels, part), 30, r) ?? NaN

  it('never raise the volts, and count as so much more of the same cable', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 200_000 }), (lengthMm) => {
        const feeder: Panel = { ...panel, lengthMm, conductorSize: circuit.conductorSize }
        expect(volts([feeder])).toBeLessThan(volts([]))
        expect(volts([feeder])).toBeCloseTo(volts([], { lengthMm: circuit.lengthMm + lengthMm }), 9)
      }),
    )
  })

  it('of a size that the book does not have are passed over', () => {
    expect(volts([{ ...panel, conductorSize: 'rope' }])).toBe(volts([]))
  })
})

describe('a generator', () => {
  const kva = (part: Partial<Generator>) => generatorRunningKva(sampleGenerator(part), r)
  it('gives what its plate says by the sea at 25 °C; its VA are its W over the power factor', () => {
    expect(kva({ runningW: 8000 })).toBeCloseTo(8, 9)
    expect(kva({ runningW: 8000, powerFactor: 0.8 })).toBeCloseTo(10, 9)
  })

  it('loses some 3.5 % in 1000 ft and 1 % in 10 °F (common practice, no source)', () => {
    const [mile, hot] = [
      kva({ runningW: 10_000, altitudeM: 1609 }),
      kva({ runningW: 10_000, ambientC: 41.7 }),
    ]
    // A mile high: 5.28 thousand feet.
    expect(mile / 10).toBeGreaterThan(0.8)
    expect(mile / 10).toBeLessThan(0.83)
    // 30 °F above 77 °F.
    expect(hot / 10).toBeCloseTo(0.97, 3)
    expect(kva({ altitudeM: -50, ambientC: 0 })).toBe(kva({}))
  })

  it('that is too small fails with what it gives; its outlet asks for no cable', () => {
    const input = demoInput('loader-fork', 'orchard-stick')
    const found = (part: Partial<Generator>) => {
      const generators = demo.generators.map((one) => ({ ...one, ...part }))
      const fit = fitJob({ ...input, building: { ...demo, generators } })
      return (id: string) => fit.criteria.find(({ criterion }) => criterion === id)
    }
    expect(found({})('generator-runs')?.verdict).toBe('fits')
    expect(found({ runningW: 2000, startingW: 2500 })('generator-runs')?.verdict).toBe('fails')
    // 29 A at 240 V are 6.96 kVA for a moment.
    expect(found({ runningW: 6500, startingW: 6600 })('generator-starts')?.verdict).toBe('fails')
    for (const id of ['cable', 'conductor-rule', 'breaker-rule', 'outlet-rule'])
      expect(found({})(id)).toBeUndefined()
    expect(found({})('breaker-holds')?.verdict).toBe('fits')
  })

  it('carries less beside a grinder, and the chain says so', () => {
    const input = demoInput('loader-fork', 'orchard-stick')
    const carried = (loads: readonly (typeof load)[]) =>
      fitJob({ ...input, building: { ...demo, loads: [...loads] } }).chains[0]?.links.find(
        ({ id }) => id === 'circuit',
      )?.highA ?? NaN
    const grinder = { ...load, circuitId: 'withy-outlet', runningA: 9 }
    expect(carried([grinder])).toBeLessThan(carried([]))
  })
})

describe('welding leads', () => {
  it('carry what the table of the standard has, 35 mm² 225 A, and between two sizes something between', () => {
    // HD 516 for H01N2-D, in air, at 100 % (from memory).
    for (const [size, amps] of [
      ['10 mm²', 100],
      ['16 mm²', 135],
      ['25 mm²', 180],
      ['35mm2', 225],
      ['50 mm²', 285],
      ['70 mm²', 355],
      ['95 mm²', 430],
      ['120 mm²', 500],
    ] as const)
      expect(leadCarriesA(size)).toBeCloseTo(amps, 9)
    const all = leadSizesIn('imperial').map((size) => leadCarriesA(size) ?? NaN)
    expect(all).toEqual([...all].sort((a, b) => a - b))
    expect(leadCarriesA('#2')).toBe(leadCarriesA('2 AWG'))
    expect(leadCarriesA('rope')).toBeNull()
  })

  it('80 ft of 4 AWG at 180 A lose some 4.4 V (NEC Chapter 9 Table 8: 0.308 Ω in 1000 ft)', () => {
    const lost = lostInLeads({ size: '4 AWG', lengthMm: 80 * FOOT }, 'smaw', 180)
    expect(Math.abs((lost?.volts ?? 0) / (0.308 * 0.08 * 180) - 1)).toBeLessThan(0.05)
  })

  it('take from the arc as much power as they warm up with', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 400 }),
        fc.integer({ min: 3000, max: 90_000 }),
        (currentA, lengthMm) => {
          const lost = lostInLeads({ size: '1/0 AWG', lengthMm }, 'smaw', currentA)
          const arcA = currentA - (lost?.amps ?? NaN)
          const ohms = (lost?.volts ?? NaN) / currentA
          const asked = (20 + 0.04 * currentA) * currentA
          expect((20 + 0.04 * arcA + ohms * arcA) * arcA).toBeCloseTo(asked, 6)
        },
      ),
    )
  })
})

describe('switching on', () => {
  const input = demoInput('press-frame', 'bay-2-wire')
  const shop = { ...demo.shop, ruleBook: 'international' as const }
  const verdict = (breakerKind: Circuit['breakerKind'], breakerA: number, inrushA: number | null) => {
    const on = { ...input.circuit, breakerKind, breakerA, conductorSize: '10 mm²', columnC: 70 } as Circuit
    const source = { ...input.powerSource, inrushA }
    const c = capabilityOf(shop, input.setUp, {
      ...chosenOf(input.setUp, demo),
      circuit: on,
      powerSource: source,
    })
    return fitJob({
      ...input,
      shop,
      circuit: on,
      powerSource: c.powerSource ?? input.powerSource,
    }).criteria.find(({ criterion }) => criterion === 'inrush')?.verdict
  }

  it('of 150 A throws every B 16 and some C 16, and no D 16 (IEC 60898-1: 3–5, 5–10, 10–20 times)', () => {
    expect(verdict('b', 16, 150)).toBe('fails')
    expect(verdict('c', 16, 150)).toBe('tight')
    expect(verdict('d', 16, 150)).toBe('fits')
  })

  it('holds up no answer where the plate says nothing: it is told, and not judged', () => {
    const metric = fitJob(demoInput('press-frame', 'bay-3-spray', 'metric'))
    const found = metric.criteria.find(({ criterion }) => criterion === 'inrush')
    expect(found).toMatchObject({ code: 'inrush-not-given', demand: null })
    expect(found && isJudged(found)).toBe(false)
    expect(metric.verdict).not.toBe('unknown')
  })

  it('is not guessed where the plate says nothing, and not judged of a magnet that its maker sets', () => {
    expect(verdict('mccb', 16, null)).toBeUndefined()
    expect(fitJob(input).criteria.some(({ criterion }) => criterion === 'inrush')).toBe(false)
  })
})

describe('bad input', () => {
  const said = (read: ReturnType<typeof readDocument>): string =>
    read.ok ? '' : read.problems.map(({ field, message }) => `${field} ${message}`).join('; ')
  it.each([
    ['0 V', circuitSchema, { ...circuit, voltageV: 0 }, /voltageV.*at least 12 V/i],
    ['a negative length', circuitSchema, { ...circuit, lengthMm: -5 }, /lengthMm.*at least 2 mm/i],
    [
      'a panel that feeds itself',
      panelSchema,
      { ...panel, fedFromId: panel.id },
      /fedFromId.*choose the panel above/i,
    ],
    [
      'a circuit of two origins',
      circuitSchema,
      { ...circuit, generatorId: 'withy-9' },
      /generatorId.*empty the other/i,
    ],
    [
      'a generator that starts with less than it runs',
      generatorSchema,
      sampleGenerator({ startingW: 500 }),
      /runningW.*swap/i,
    ],
    ['a load of 0 A', otherLoadSchema, { ...load, runningA: 0 }, /runningA.*at least 0.1 A/i],
    [
      'a mains machine with a column without volts',
      powerSourceSchema,
      { ...samplePowerSource(), engine: { fuelLPerH: null } },
      /processes.*remove the engine/i,
    ],
  ] as const)('%s is named with the remedy', (_, schema, value, words) => {
    expect(said(readDocument(schema as z.ZodType, value))).toMatch(words)
  })

  const input = demoInput('press-frame', 'bay-2-wire')
  const on = (part: Partial<Circuit>) => {
    const fit = fitJob({ ...input, circuit: { ...circuit, ...part } })
    return (id: string) => fit.criteria.find(({ criterion }) => criterion === id)
  }
  it('an unknown size is unknown, and names size and rule book', () => {
    expect(on({ conductorSize: 'a thick one' })('cable')).toMatchObject({
      verdict: 'unknown',
      params: { size: 'a thick one', book: northAmerican.name },
    })
    // A figure without its unit could be either: 10 AWG, or 10 mm².
    expect(on({ conductorSize: '10' })('cable')).toMatchObject({ verdict: 'unknown' })
  })
  it('a breaker below what the machine draws at rest never stays in', () => {
    expect(on({ breakerA: 0.1 })('breaker-holds')).toMatchObject({ verdict: 'fails', code: 'below-idle' })
  })
  it('phases that the machine does not have fail with what it takes', () => {
    expect(on({ phases: 3 })('supply-voltage')).toMatchObject({ verdict: 'fails', code: 'other-supply' })
  })
})
