/** What a job costs: sums by hand, and what a fabricator expects of prices and of rest; common practice, no source. */
import { describe, expect, it } from 'vitest'
import { demoInput, type DemoInput } from '../testing/samples.ts'
import { allowedDutyPct, type Cost, costOf, leastCost, mostCost } from './cost.ts'
import { sidesOf } from './fit.ts'

const costIn = (input: DemoInput): Cost => {
  const { capability, demand } = sidesOf(input)
  const cost = costOf(capability, demand)
  if (!cost) throw new Error('nothing of it is known')
  return cost
}
const frame = demoInput('press-frame', 'bay-2-wire')
const unpriced = (input: DemoInput): DemoInput => ({
  ...input,
  wire: input.wire && { ...input.wire, packagePrice: null },
  gas: input.gas && { ...input.gas, refillPrice: null },
})

describe('what has no price', () => {
  const cost = costIn(unpriced(frame))
  it('is guessed, not left out: steel wire at 4 to 14, mixed gas at 10 to 26 dollars a kilogram or cubic metre', () => {
    const { capability, demand } = sidesOf(frame)
    const priced = costIn(frame)
    // What the demo pays: 82 for 14.9685 kg of wire, 46 for 3540 L of gas.
    const wireKg = ((priced.filler ?? 0) / 82) * 14.9685
    const gasM3 = ((priced.gas ?? 0) / 46) * 3.54
    expect(cost.guesses.map(({ slot, id }) => [slot, id])).toEqual([
      ['wire', capability.wire?.id],
      ['gas', capability.gas?.id],
    ])
    const [wire, gas] = cost.guesses
    expect((wire?.low ?? 0) / wireKg).toBeCloseTo(4, 2)
    expect((wire?.high ?? 0) / wireKg).toBeCloseTo(14, 2)
    expect((gas?.low ?? 0) / gasM3).toBeGreaterThan(9)
    expect((gas?.high ?? 0) / gasM3).toBeLessThan(27)
    expect(demand.fillerG / 1000).toBeLessThanOrEqual(wireKg)
  })
  it('is in no sum, but in what the run costs at least and at most', () => {
    expect(cost.filler).toBeNull()
    expect(cost.gas).toBeNull()
    expect(cost.job).toBeCloseTo(cost.labour ?? 0, 9)
    const sum = (end: 'low' | 'high') => cost.guesses.reduce((all, one) => all + one[end], 0)
    expect(leastCost(cost) - cost.job).toBeCloseTo(sum('low'), 9)
    expect(mostCost(cost) - cost.job).toBeCloseTo(sum('high'), 9)
    expect(mostCost(cost)).toBeGreaterThan(leastCost(cost))
  })
  it('is guessed in the money of the shop', () => {
    const { shop } = frame
    const inCrowns = { ...shop, assumptions: { ...shop.assumptions, typicalPriceFactor: 10 } }
    const crowns = costIn({ ...unpriced(frame), shop: inCrowns })
    cost.guesses.forEach(({ low, high }, at) => {
      expect(crowns.guesses[at]?.low).toBeCloseTo(low * 10, 6)
      expect(crowns.guesses[at]?.high).toBeCloseTo(high * 10, 6)
    })
  })
  it('is guessed of that alone which has no price, and never of what is not used', () => {
    expect(costIn(frame).guesses).toEqual([])
    const gasOnly = costIn({ ...frame, gas: frame.gas && { ...frame.gas, refillPrice: null } })
    expect(gasOnly.guesses.map(({ slot }) => slot)).toEqual(['gas'])
    expect(costIn({ ...unpriced(frame), gas: null }).guesses.map(({ slot }) => slot)).toEqual(['wire'])
    const tray = unpriced(demoInput('pressing-tray', 'bench-tig-dc'))
    expect(costIn({ ...tray, wire: null }).guesses.map(({ slot }) => slot)).not.toContain('wire')
  })
})

describe('rest', () => {
  it('is nothing where source and gun carry the work as it comes', () => {
    expect(costIn(demoInput('tank-manifold', 'bench-tig-316')).restS).toBe(0)
  })
  it('is some where the worst ten minutes are over the plate, though tacking and handling cool the rest of the job', () => {
    const { capability, demand } = sidesOf(frame)
    const allowedPct = allowedDutyPct(capability, demand)
    expect(demand.dutyPct).toBeGreaterThan(allowedPct)
    const { arcS, tackS, handlingS } = demand.work ?? { arcS: 0, tackS: 0, handlingS: 0 }
    const wholeS = arcS + tackS + handlingS
    expect((100 * arcS) / wholeS).toBeLessThan(allowedPct)
    // The card has the welder rest; no more than brings the arcs alone, without tacking, down to the plate.
    const { restS } = costIn(frame)
    expect(restS).toBeGreaterThan(300)
    expect(restS).toBeLessThan((100 * arcS) / allowedPct - arcS)
  })
  it('is paid where a small gun has to cool: the arc is then on no more than it may', () => {
    const gun = frame.gun && {
      ...frame.gun,
      ratings: frame.gun.ratings.map((rating) => ({ ...rating, currentA: 190, dutyPct: 10 })),
    }
    const small = { ...frame, gun }
    const { capability, demand } = sidesOf(small)
    const cost = costIn(small)
    const allowedPct = allowedDutyPct(capability, demand)
    expect(allowedPct).toBeLessThan(12)
    expect(cost.restS).toBeGreaterThan(0)
    expect((cost.labour ?? 0) - (costIn(frame).labour ?? 0)).toBeCloseTo(
      ((cost.restS - costIn(frame).restS) / 3600) * demand.assumptions.labourPerHour,
      6,
    )
    // Tacking and handling between the runs cool it too: on the whole the arc is on no more than it may be.
    const { arcS, tackS, handlingS } = demand.work ?? { arcS: 0, tackS: 0, handlingS: 0 }
    expect(arcS / (arcS + tackS + handlingS + cost.restS)).toBeLessThanOrEqual(allowedPct / 100)
    // Ten times the pieces rest about ten times as long, welded piece by piece or weld by weld.
    for (const order of ['piece-by-piece', 'weld-by-weld'] as const) {
      const many = costIn({ ...small, job: { ...small.job, order, quantity: small.job.quantity * 10 } })
      expect(many.restS / cost.restS, order).toBeGreaterThan(9.7)
      expect(many.restS / cost.restS, order).toBeLessThan(10.3)
    }
  })
  it('of the largest job that can be entered is a number, and as quickly there', () => {
    const joints = frame.job.joints.map((one) => ({
      ...one,
      lengthMm: 1_000_000,
      count: 100_000,
      thicknessAMm: 300,
      thicknessBMm: 300,
    }))
    for (const order of ['piece-by-piece', 'weld-by-weld'] as const)
      for (const part of [{}, { legMm: 0.5 }, { legMm: 100 }, { lengthMm: 2 }]) {
        const job = {
          ...frame.job,
          order,
          quantity: 100_000,
          joints: joints.map((one) => ({ ...one, ...part })),
        }
        expect(costIn({ ...frame, job }).restS).toBeGreaterThan(0)
        expect(Number.isFinite(costIn({ ...frame, job }).restS)).toBe(true)
      }
  })
  it('is decided by the weaker of source and gun', () => {
    const dutyWith = (gunA: number, dutyPct: number): number => {
      const ratings = frame.gun?.ratings.map((rating) => ({ ...rating, currentA: gunA, dutyPct })) ?? []
      const { capability, demand } = sidesOf({ ...frame, gun: frame.gun && { ...frame.gun, ratings } })
      return allowedDutyPct(capability, demand)
    }
    const ofSource = dutyWith(400, 100)
    expect(ofSource).toBeGreaterThan(30)
    expect(ofSource).toBeLessThan(50)
    expect(dutyWith(500, 100)).toBe(ofSource)
    expect(dutyWith(190, 10)).toBeLessThan(ofSource)
  })
})

describe('the sums', () => {
  it('of a job are its parts, and of a piece its share', () => {
    const cost = costIn(frame)
    expect(cost.job).toBeCloseTo((cost.labour ?? 0) + (cost.filler ?? 0) + (cost.gas ?? 0), 9)
    expect(cost.piece * frame.job.quantity).toBeCloseTo(cost.job, 9)
  })
  it('of the welds are not more than the job: changeover and rest are not theirs', () => {
    for (const id of ['press-frame', 'tank-manifold', 'pressing-tray']) {
      const input = demoInput(id)
      const cost = costIn(input)
      const welds = cost.welds.reduce((sum, { jointId, each }) => {
        const joint = input.job.joints.find((one) => one.id === jointId)
        return sum + each * (joint?.count ?? 0) * input.job.quantity
      }, 0)
      expect(welds).toBeGreaterThan(0)
      expect(welds).toBeLessThanOrEqual(cost.job + 1e-9)
    }
  })
})
