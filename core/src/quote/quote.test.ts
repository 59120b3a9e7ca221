/**
 * Costs, their range and prices. Sums and shares are arithmetic; kilowatt hours are held to volts times amps times hours; what is
 * dear about a weld is a fact of the trade (common practice: wages are by far the most of it).
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { type FitInput, fitJob, sidesOf } from '../fit/fit.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import {
  centsOf,
  type CostLine,
  type CostLineId,
  costLinesOf,
  inCents,
  LABOUR_LINES,
  weldCostsOf,
} from './costLines.ts'
import { HABITS, habitsOf, moversOf, otherWaysOf } from './movers.ts'
import { priceOf } from './price.ts'
import { costAt, spreadOf } from './spread.ts'

const frame = demoInput('press-frame', 'bay-2-wire')
const tray = demoInput('pressing-tray', 'bench-tig-dc')
const linesOf = (input: FitInput): readonly CostLine[] => {
  const { capability, demand } = sidesOf(input)
  const lines = costLinesOf(capability, demand)
  if (!lines) throw new Error('no cost')
  return lines
}
const line = (input: FitInput, id: CostLineId): CostLine => {
  const found = linesOf(input).find((one) => one.id === id)
  if (!found) throw new Error(`no line ${id}`)
  return found
}
const withAssumptions = (input: FitInput, assumptions: object): FitInput => ({
  ...input,
  shop: { ...input.shop, assumptions: { ...input.shop.assumptions, ...assumptions } },
})

describe('the lines', () => {
  const planned = demoShop().jobs.flatMap(({ id, setUpId }) => (setUpId ? [demoInput(id, setUpId)] : []))
  it.each(planned.map((input) => [input.job.name, input] as const))(
    'of %s add up to the cent, job and welds',
    (_name, input) => {
      const lines = linesOf(input)
      const exact = lines.reduce((sum, one) => sum + one.exact, 0)
      expect(centsOf(lines)).toBe(Math.round(exact * 100))
      const { demand } = sidesOf(input)
      expect(weldCostsOf(lines, demand).reduce((sum, { cents }) => sum + cents, 0)).toBe(centsOf(lines))
      for (const { exact: cost, amount, rate } of lines) expect(cost).toBeCloseTo(amount * rate, 9)
    },
  )
  it('have what the fit has of wages, filler and gas, and preparation beside it', () => {
    const cost = fitJob(frame).cost
    const wages = linesOf(frame).reduce(
      (sum, one) => (LABOUR_LINES.includes(one.id) && one.id !== 'preparation' ? sum + one.exact : sum),
      0,
    )
    expect(wages).toBeCloseTo(cost?.labour ?? Number.NaN, 6)
    expect(line(frame, 'filler').exact).toBeCloseTo(cost?.filler ?? Number.NaN, 6)
    expect(line(frame, 'gas').exact).toBeCloseTo(cost?.gas ?? Number.NaN, 6)
  })
  it('of twice the pieces are twice as much, but for the changeover', () => {
    const twice = { ...frame, job: { ...frame.job, quantity: frame.job.quantity * 2 } }
    for (const { id, amount } of linesOf(frame))
      // Rest is by the worst ten minutes.
      if (id !== 'changeover' && id !== 'rest') expect(line(twice, id).amount / amount, id).toBeCloseTo(2, 6)
    expect(line(twice, 'changeover').amount).toBeCloseTo(line(frame, 'changeover').amount, 9)
  })
  it('are mostly wages: over half of a job in the demo shop', () => {
    for (const input of planned) {
      const lines = linesOf(input)
      const wages = lines.reduce((sum, one) => (LABOUR_LINES.includes(one.id) ? sum + one.cents : sum), 0)
      expect(wages / centsOf(lines), input.job.name).toBeGreaterThan(0.5)
    }
  })
  it('have kilowatt hours as volts, amps and hours have them: some 4 kW at the outlet of a short-circuit weld', () => {
    const { demand, capability } = sidesOf(frame)
    const kW = line(frame, 'power').amount / ((demand.arcS ?? 0) / 3600)
    const volts = 14 + 0.05 * demand.hungriest.wantedA
    const most = (volts * demand.hungriest.wantedA) / 0.7 / 1000
    expect(kW).toBeGreaterThan(2)
    expect(kW).toBeLessThan(most + 1)
    expect(capability.process.family).toBe('gmaw')
    const dearer = withAssumptions(frame, { powerPerKWh: 1.6 })
    expect(line(dearer, 'power').exact / line(frame, 'power').exact).toBeCloseTo(10, 6)
  })
  it('prepare a meter by its worse surface', () => {
    const minPerM = { prepScaleMinPerM: 6, prepBareMinPerM: 1, prepCoatedMinPerM: 12 }
    const hours = (materialA: string, materialB: string): number => {
      const joints = frame.job.joints.map((joint) => ({ ...joint, materialA, materialB }))
      return line(
        withAssumptions({ ...frame, job: { ...frame.job, joints } as never }, minPerM),
        'preparation',
      ).amount
    }
    expect(hours('hot-rolled', 'cold-rolled') / hours('cold-rolled', 'cold-rolled')).toBeCloseTo(6, 6)
    expect(hours('cold-rolled', 'galvanised') / hours('hot-rolled', 'hot-rolled')).toBeCloseTo(2, 6)
  })
  it('use tips by the wire: 7 kg of steel wire are a tip, as much aluminum is three (common practice)', () => {
    const { fillerG } = demandOf(frame.job, 'gmaw-short', frame.wire, frame.shop)
    expect(line(frame, 'tips').amount).toBeCloseTo((fillerG * 1.01) / 7000, 9)
    // Where this shop's tips last half as long, it is twice as many.
    const { capability, demand } = sidesOf(frame)
    const own = costLinesOf(capability, demand, { tipG: 3500, linerG: 150_000 })
    expect(own?.find(({ id }) => id === 'tips')?.amount).toBeCloseTo((fillerG * 1.01) / 3500, 9)
    expect(linesOf(tray).some(({ id }) => id === 'tips')).toBe(false)
    expect(line(tray, 'tungsten').unit).toBe('pieces')
  })
  it('without a price have the middle of what it typically costs, and say so', () => {
    const unpriced = { ...frame, wire: frame.wire && { ...frame.wire, packagePrice: null } }
    const { exact, typical } = line(unpriced, 'filler')
    expect(typical).not.toBeNull()
    expect(exact).toBeCloseTo(((typical?.low ?? 0) + (typical?.high ?? 0)) / 2, 9)
    expect(line(frame, 'filler').typical).toBeNull()
  })
  it('are none where nobody knows how long it takes', () => {
    const { capability, demand } = sidesOf({ ...frame, wire: null })
    expect(costLinesOf(capability, demand)).toBeNull()
  })
})

it('cents of parts make the cents of the whole, none off by a cent or more', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1e5, noNaN: true }), { maxLength: 30 }), (amounts) => {
      const cents = inCents(amounts)
      expect(cents.reduce((sum, one) => sum + one, 0)).toBe(
        Math.round(amounts.reduce((sum, one) => sum + one, 0) * 100),
      )
      amounts.forEach((amount, index) => {
        expect(Math.abs((cents[index] ?? 0) - amount * 100)).toBeLessThanOrEqual(1)
      })
    }),
  )
  expect(inCents([0.334, 0.333, 0.333])).toEqual([34, 33, 33])
  // The cent goes to the largest remainder, wherever it stands; among equals to the first.
  expect(inCents([0.333, 0.333, 0.334])).toEqual([33, 33, 34])
  expect(inCents([0.125, 0.125])).toEqual([13, 12])
})

describe('by hand', () => {
  const { capability, demand } = sidesOf(frame)
  const meters =
    frame.job.joints.reduce((sum, { lengthMm, count }) => sum + (lengthMm * count) / 1000, 0) *
    frame.job.quantity
  it('edges are hours of their meters, at 3 minutes a meter of mill scale', () => {
    expect(line(frame, 'preparation').amount).toBeCloseTo((meters * 3) / 60, 9)
  })
  it('power is volts, amps and seconds over the efficiency, and what the machine draws between the arcs', () => {
    const source = { ...frame.powerSource, efficiencyPct: 80, idleW: 100 }
    // IEC 60974-1: 14 V and 0.05 V an ampere.
    const arcJ = demand.runs.reduce(
      (sum, { wantedA, arcS }) => sum + (14 + 0.05 * wantedA) * wantedA * (arcS ?? 0),
      0,
    )
    const idleJ = 100 * ((demand.work?.tackS ?? 0) + (demand.work?.handlingS ?? 0))
    expect(line({ ...frame, powerSource: source }, 'power').amount).toBeCloseTo(
      (arcJ / 0.8 + idleJ) / 3.6e6,
      9,
    )
    const driven = { ...source, engine: { fuelLPerH: null } }
    expect(linesOf({ ...frame, powerSource: driven }).some(({ id }) => id === 'power')).toBe(false)
  })
  it('tips and liners are what of each goes with the wire, aluminum three times as much wire', () => {
    const tip = frame.tip && { ...frame.tip, price: 2 }
    const liner = frame.liner && { ...frame.liner, price: 30 }
    const steelG = demand.fillerG * 1.01
    expect(line({ ...frame, tip, liner } as FitInput, 'tips').exact).toBeCloseTo(
      (steelG / 7000) * 2 + (steelG / 150_000) * 30,
      9,
    )
    expect(line({ ...frame, tip, liner: null } as FitInput, 'tips').exact).toBeCloseTo((steelG / 7000) * 2, 9)
    expect(linesOf({ ...frame, tip: null } as FitInput).some(({ id }) => id === 'tips')).toBe(false)
    // Densities of handbooks: steel 7.85 g/cm³, aluminum 2.7.
    const light = {
      ...frame,
      tip,
      liner: null,
      wire: frame.wire && { ...frame.wire, metal: 'aluminium' },
    } as FitInput
    const lightG = sidesOf(light).demand.fillerG * 1.01
    expect((line(light, 'tips').amount * 7000) / lightG).toBeCloseTo(7.85 / 2.7, 1)
  })
  it('a weld line has its share of each line: arc by arc time, filler by filler, edges by length', () => {
    const post = demoInput('press-screw-post', 'bay-2-wire')
    const { demand: of } = sidesOf(post)
    const only = (id: CostLineId): readonly CostLine[] => [
      { id, exact: 1000, cents: 100_000, amount: 1, unit: 'h', rate: 1000, typical: null },
    ]
    const counts = of.welds.map(({ joint }) => joint.count * (joint.bothSides ? 2 : 1) * post.job.quantity)
    const shareOf: Partial<Record<CostLineId, readonly number[]>> = {
      arc: of.welds.map(({ arcS }) => arcS ?? 0),
      filler: of.welds.map(({ fillerG }) => fillerG),
      tacking: of.welds.map(({ tackS }, index) => tackS * (counts[index] ?? 0)),
      handling: of.welds.map(({ pauseS, arcs }) => pauseS * arcs),
      preparation: of.welds.map(({ joint }, index) => joint.lengthMm * (counts[index] ?? 0)),
      changeover: counts,
    }
    for (const [id, shares] of Object.entries(shareOf)) {
      const sum = shares.reduce((total, one) => total + one, 0)
      weldCostsOf(only(id as CostLineId), of).forEach(({ cents, count }, index) => {
        expect(Math.abs(cents - (100_000 * (shares[index] ?? 0)) / sum), id).toBeLessThanOrEqual(1)
        expect(count).toBe(counts[index])
      })
    }
  })
  it('a weld made over by another process than TIG is finished, and a hot machine waits', () => {
    const cosmetic = { ...frame, job: { ...frame.job, quality: 'cosmetic' as const } }
    // 20 minutes a meter.
    expect(line(cosmetic, 'finishing').amount).toBeCloseTo((meters * 20) / 60, 9)
    expect(linesOf(demoInput('press-frame', 'north-wall-wire')).some(({ id }) => id === 'rest')).toBe(true)
    expect(capability.process.family).toBe('gmaw')
  })
  it('what makes the price moves no cost, and all that moves it is in order', () => {
    const all = moversOf(frame, 500)
    expect(all.some(({ key }) => ['overheadPct', 'marginPct', 'minimumCharge'].includes(key))).toBe(false)
    expect(all.every(({ lessCents, moreCents }) => lessCents !== 0 || moreCents !== 0)).toBe(true)
    expect(moversOf({ ...frame, wire: null })).toEqual([])
    expect(habitsOf({ ...frame, wire: null })).toEqual([])
  })
})

describe('the range', () => {
  it('holds the cost that was calculated, and nine of ten draws', () => {
    const lines = linesOf(frame)
    const { draws, lowCents, highCents } = spreadOf(lines)
    expect(lowCents).toBeLessThan(centsOf(lines))
    expect(highCents).toBeGreaterThan(centsOf(lines))
    expect(draws.filter((one) => one >= lowCents && one <= highCents).length / draws.length).toBeCloseTo(
      0.9,
      1,
    )
    // The middle of lognormal draws around their median is the cost itself.
    expect(costAt({ draws }, 50) / centsOf(lines)).toBeCloseTo(1, 1)
  })
  it('is the same for the same seed, another for another', () => {
    const lines = linesOf(frame)
    expect(spreadOf(lines, 0.3)).toEqual(spreadOf(lines, 0.3))
    expect(spreadOf(lines, 0.3).draws).not.toEqual(spreadOf(lines, 0.7).draws)
  })
  it('is wider where nobody has entered a price', () => {
    const width = (input: FitInput): number => {
      const { lowCents, highCents } = spreadOf(linesOf(input).filter(({ id }) => id === 'gas'))
      return (highCents - lowCents) / (highCents + lowCents)
    }
    const unpriced = { ...frame, gas: frame.gas && { ...frame.gas, refillPrice: null } }
    expect(width(unpriced)).toBeGreaterThan(width(frame))
  })
  it('gives the share of draws that a cost is above', () => {
    const draws = Array.from({ length: 200 }, (_, index) => index + 1)
    expect([5, 50, 95].map((pct) => costAt({ draws }, pct))).toEqual([10, 100, 190])
  })
})

describe('what moves the cost', () => {
  it('most is what most is paid for: the wage first, and a fifth of it moves a fifth of the wages', () => {
    const [first, ...others] = moversOf(frame)
    const wages = linesOf(frame).reduce(
      (sum, one) => (LABOUR_LINES.includes(one.id) ? sum + one.exact : sum),
      0,
    )
    expect(first?.key).toBe('labourPerHour')
    expect(first?.moreCents).toBeCloseTo(wages * 20, -1)
    expect(first?.lessCents).toBeCloseTo(-wages * 20, -1)
    expect(others).toHaveLength(2)
    const size = ({ lessCents, moreCents }: (typeof others)[number]) =>
      Math.max(Math.abs(lessCents), Math.abs(moreCents))
    expect(others.map(size)).toEqual(others.map(size).toSorted((a, b) => b - a))
  })
  it('are habits: a leg one size up costs, 20 % more metal costs less than that, faster travel saves', () => {
    const habits = new Map(habitsOf(frame).map(({ id, cents }) => [id, cents]))
    expect([...habits.keys()]).toEqual([...HABITS])
    // 3/16 to 1/4 in is 78 % more metal.
    expect(habits.get('leg-larger')).toBeGreaterThan(habits.get('bead-heavier') ?? 0)
    expect(habits.get('bead-heavier')).toBeGreaterThan(0)
    expect(habits.get('travel-faster')).toBeLessThan(0)
  })
  it('are other set-ups: those that can do it, the cheapest first, whatever is in the stores', () => {
    const ids = ['bay-2-wire', 'north-wall-wire', 'yard-stick', 'bench-tig-ac', 'bay-3-spray']
    const ways = otherWaysOf(ids.map((id) => demoInput('press-frame', id)))
    expect(ways.map(({ cents }) => cents)).toEqual(ways.map(({ cents }) => cents).toSorted((a, b) => a - b))
    expect(ways.map(({ setUpId }) => setUpId)).not.toContain('bench-tig-ac')
    expect(ways.every(({ verdict }) => verdict !== 'fails')).toBe(true)
    // Stick lays a third of the metal in the time, and a third of that is stub and spatter (welding handbooks).
    const cost = (id: string): number => ways.find(({ setUpId }) => setUpId === id)?.cents ?? Number.NaN
    if (ways.some(({ setUpId }) => setUpId === 'yard-stick'))
      expect(cost('yard-stick')).toBeGreaterThan(cost('bay-3-spray'))
  })
})

describe('a price', () => {
  const pricing = { overheadPct: 20, marginPct: 25, minimumCharge: 0, deliveryCharge: 40 }
  it('is cost, overhead, margin of the price, and delivery', () => {
    // 298.44 with a fifth on it is 358.13; of 477.51 a quarter stays.
    expect(priceOf(29_844, pricing)).toEqual({
      overheadCents: 5969,
      marginCents: 11_938,
      toMinimumCents: 0,
      deliveryCents: 4000,
      totalCents: 51_751,
    })
  })
  it('is never below the minimum charge, and its parts are the whole', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e8 }),
        fc.record({
          overheadPct: fc.integer({ min: 0, max: 300 }),
          marginPct: fc.integer({ min: 0, max: 90 }),
          minimumCharge: fc.integer({ min: 0, max: 5000 }),
          deliveryCharge: fc.integer({ min: 0, max: 500 }),
        }),
        (costCents, given) => {
          const { overheadCents, marginCents, toMinimumCents, deliveryCents, totalCents } = priceOf(
            costCents,
            given,
          )
          expect(costCents + overheadCents + marginCents + toMinimumCents + deliveryCents).toBe(totalCents)
          expect(totalCents - deliveryCents).toBeGreaterThanOrEqual(given.minimumCharge * 100)
          if (toMinimumCents > 0) expect(totalCents - deliveryCents).toBe(given.minimumCharge * 100)
          expect(marginCents / Math.max(1, costCents + overheadCents + marginCents)).toBeCloseTo(
            costCents === 0 ? 0 : given.marginPct / 100,
            costCents > 10_000 ? 3 : 0,
          )
        },
      ),
    )
  })
})
