/** What plates mean, against Article 630 of NFPA 70 (from memory) and what shops know of such machines. */
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { describe, expect, it } from 'vitest'
import type { Circuit, PowerSource, SupplyRating } from '../kinds/equipment.ts'
import type { PlateProcess } from '../kinds/powerSource.ts'
import { samplePowerSource, sampleSupply } from '../testing/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { plateMeaning } from './plateMeaning.ts'

const INCH = 25.4
const demo = demoShop()
const circuit = (part: Partial<Circuit> = {}): Circuit => ({
  id: 'c',
  name: 'Bay',
  voltageV: 240,
  phases: 1,
  breakerA: 50,
  conductorSize: '6 AWG',
  columnC: 75,
  ...USUAL_RUN,
  held: 'owned',
  price: null,
  lengthMm: 5000,
  ...part,
})
const source = (supply: Partial<SupplyRating>, process: Partial<PlateProcess> = {}): PowerSource => {
  const plain = samplePowerSource()
  const [first] = plain.processes
  if (!first) throw new Error('a sample without a process')
  const supplies = [sampleSupply({ voltageV: 240, ...supply })]
  return { ...plain, processes: [{ ...first, supplies, ...process }] }
}
const meaningOf = (one: PowerSource, circuits: Circuit[] = [circuit()]) => {
  const [column] = plateMeaning(demo.shop, { ...demo, circuits }, one, 0)
  if (!column) throw new Error('no column')
  return column
}

describe('breaker and cable that a plate asks for', () => {
  it('are those of NEC 630.12(A): up to twice the greatest current, the next standard size', () => {
    const { input } = meaningOf(source({ i1MaxA: 43 }))
    expect(input).toMatchObject({ greatestA: 43, breakerHoldsA: 45, breakerMostA: 90 })
  })

  it('take the cable by NEC 630.11(A): 25 % duty takes the row of 30 %', () => {
    // 60 A × 0.55 = 33 A: 10 AWG carries 35 A at 75 °C (Table 310.16), 12 AWG only 25 A.
    expect(meaningOf(source({ i1MaxA: 60 })).input?.conductor).toBe('10 AWG')
    // 55 A × 0.45 at 20 %: 24.75 A, just what 12 AWG carries.
    const points = [{ currentA: 200, dutyPct: 20, loadV: null }]
    expect(meaningOf(source({ i1MaxA: 55, ratedPoints: points })).input?.conductor).toBe('12 AWG')
  })

  it('follow the plate’s own I₁eff where it is printed', () => {
    expect(meaningOf(source({ i1MaxA: 60, i1EffA: 24 })).input?.conductor).toBe('12 AWG')
  })

  it('are not there for an engine, nor for a plate that cannot be right', () => {
    expect(meaningOf(source({ voltageV: null })).input).toBeNull()
    // 200 A at 24 V is 4.8 kW; 10 A at 240 V takes in half of it.
    expect(meaningOf(source({ i1MaxA: 10 })).input).toBeNull()
  })
})

describe('the circuits of the shop', () => {
  const plate = source({ i1MaxA: 30, i1EffA: 16 })
  it('are those of the plate’s voltage alone, within its tolerance', () => {
    const others = [
      circuit({ id: 'a', voltageV: 120 }),
      circuit({ id: 'b', phases: 3 }),
      circuit({ id: 'c', voltageV: 230 }),
    ]
    expect(meaningOf(plate, others).circuits.map(({ id }) => id)).toEqual(['c'])
  })

  it('fit where the breaker holds all of it and the rule allows it', () => {
    expect(meaningOf(plate, [circuit({ breakerA: 30, conductorSize: '10 AWG' })]).circuits[0]).toMatchObject({
      verdict: 'fits',
      against: [],
      isShortAtFullOutput: false,
    })
  })

  it('are tight where the breaker goes at full output', () => {
    expect(meaningOf(plate, [circuit({ breakerA: 20, conductorSize: '10 AWG' })]).circuits[0]).toMatchObject({
      verdict: 'tight',
      isShortAtFullOutput: true,
    })
  })

  it('fail where the cable is thinner than the rule allows', () => {
    const thin = circuit({ breakerA: 40, conductorSize: '14 AWG' })
    const [met] = meaningOf(source({ i1MaxA: 60, i1EffA: 33 }), [thin]).circuits
    expect(met?.verdict).toBe('fails')
    expect(met?.against[0]?.criterion).toBe('conductor-rule')
  })
})

/** Common practice, no source: what machines of such a class are bought for. */
describe('what the output welds', () => {
  const thickest = (name: string, process: number, column: number): readonly (number | null)[] => {
    const one = demo.powerSources.find(({ id }) => id === name)
    if (!one) throw new Error(name)
    const meaning = plateMeaning(demo.shop, demo, one, process)[column]
    return (meaning?.welds ?? []).map(({ range }) => range.thickest && range.thickest.mm / INCH)
  }

  it('is about 1/4 in by short-circuit for a 210 A class on 240 V, and 1/8 to 3/16 in on 120 V', () => {
    expect(thickest('quillon-210', 0, 0)[0]).toBeCloseTo(0.25, 2)
    const [small] = thickest('quillon-210', 0, 1)
    expect(small).toBeGreaterThan(0.125)
    expect(small).toBeLessThan(0.1875)
  })

  it('is steel and aluminium for an AC/DC source, less of the second', () => {
    const [steel, aluminium] = thickest('sedge-200', 0, 0)
    expect(steel).toBeGreaterThan(aluminium ?? Infinity)
    expect(aluminium).toBeGreaterThan(0.125)
  })

  it('is said with the wire that is usual for the output', () => {
    const wires = [110, 200, 400].map(
      (outputMaxA) =>
        meaningOf(source({ outputMaxA, ratedPoints: [{ currentA: outputMaxA, dutyPct: 40, loadV: null }] }))
          .welds[0]?.wire?.diameterMm,
    )
    expect(wires.map((mm) => Number(((mm ?? 0) / INCH).toFixed(3)))).toEqual([0.03, 0.035, 0.045])
  })

  // Sizes of EN ISO 544 (from memory): 0.8, 1.0 and 1.2 mm of wire, sticks of 2.5, 3.2 and 4 mm.
  it('is said, where the shop buys by EN ISO, with what is sold there', () => {
    const shop = { ...demo.shop, ruleBook: 'international' as const }
    const plates = (family: 'gmaw' | 'smaw' | 'fcaw') =>
      [110, 180, 400].map((outputMaxA) => {
        const points = [{ currentA: outputMaxA, dutyPct: 40, loadV: null }]
        const one = source({ outputMaxA, ratedPoints: points, voltageV: 230 }, { family })
        return plateMeaning(shop, { ...demo, circuits: [] }, one, 0)[0]?.welds[0]
      })
    const wires = (family: 'gmaw' | 'smaw' | 'fcaw') =>
      plates(family).map((one) => `${one?.wire?.diameterMm} ${one?.wire?.classification}`)
    expect(wires('gmaw')).toEqual(['0.8 G 42 4 M21 3Si1', '1 G 42 4 M21 3Si1', '1.2 G 42 4 M21 3Si1'])
    expect(wires('smaw')).toEqual(['2.5 E 42 4 B 32 H5', '3.2 E 42 4 B 32 H5', '4 E 42 4 B 32 H5'])
    expect(wires('fcaw')).toEqual(['0.9 T 42 Z Z NO 1', '0.9 T 42 Z Z NO 1', '1.2 T 42 Z Z NO 1'])
  })

  it('by TIG is steel on direct current and aluminium on alternating, with a rod that is not named', () => {
    const welds = (outputs: PlateProcess['outputs']) =>
      meaningOf(source({}, { family: 'gtaw', outputs })).welds.map(({ metal, wire }) => [metal, wire])
    expect(welds(['dc', 'ac'])).toEqual([
      ['carbon-steel', null],
      ['aluminium', null],
    ])
    expect(welds(['dc'])).toEqual([['carbon-steel', null]])
    expect(welds(['ac'])).toEqual([['aluminium', null]])
  })

  it('by stick goes on alternating current where the plate has no other', () => {
    const welds = (outputs: PlateProcess['outputs'], family: PlateProcess['family']) =>
      meaningOf(source({}, { family, outputs })).welds.length
    expect([welds(['ac'], 'smaw'), welds(['dc'], 'smaw'), welds(['ac'], 'gmaw')]).toEqual([1, 1, 0])
  })

  it('is that of its own column, by volts and by phases, and welded flat', () => {
    const column = (voltageV: number, phases: 1 | 3, outputMaxA: number): SupplyRating =>
      sampleSupply({
        voltageV,
        phases,
        outputMaxA,
        ratedPoints: [{ currentA: outputMaxA, dutyPct: 40, loadV: null }],
      })
    const supplies = [column(240, 1, 70), column(240, 3, 130), column(208, 3, 100)]
    const plain = samplePowerSource()
    const [first] = plain.processes
    if (!first) throw new Error('a sample without a process')
    const one = { ...plain, processes: [{ ...first, supplies }] }
    const welds = plateMeaning(demo.shop, { ...demo, circuits: [] }, one, 0).map((each) => each.welds[0])
    expect(welds.map((each) => each?.range.position)).toEqual(['flat', 'flat', 'flat'])
    const limits = welds.map((each) => each?.range.limit?.mm ?? NaN)
    // Each as thick as the same column by itself.
    const alone = supplies.map(
      (supply) =>
        plateMeaning(
          demo.shop,
          { ...demo, circuits: [] },
          { ...plain, processes: [{ ...first, supplies: [supply] }] },
          0,
        )[0]?.welds[0]?.range.limit?.mm,
    )
    expect(limits).toEqual(alone)
    expect(new Set(limits).size).toBe(3)
  })

  it('of an engine is there, though it hangs on no circuit', () => {
    const heath = demo.powerSources.find(({ id }) => id === 'heath-300')
    if (!heath) throw new Error('the demo has no engine')
    const engine = meaningOf(heath)
    expect(engine).toMatchObject({ voltageV: null, input: null, circuits: [] })
    expect(engine.welds.length).toBeGreaterThan(0)
    // Nor is anything said of circuits where the plate cannot be right.
    expect(meaningOf(source({ i1MaxA: 10 })).circuits).toEqual([])
  })

  it('is nothing for a process that the plate has not, and no column', () => {
    expect(plateMeaning(demo.shop, demo, source({}), 3)).toEqual([])
  })
})
