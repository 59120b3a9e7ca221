/** What settings make of a weld, against everyday practice (no source), handbook geometry and EN 1011-1. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { demoInput, joint } from '../testing/samples.ts'
import { sidesOf } from './fit.ts'
import { explainOutcome, outcomeOf, type SettingsTried } from './outcome.ts'
import { settingsOf } from './settings.ts'

const INCH = 25.4
const input = demoInput('press-frame', 'bay-2-wire')
const wire = input.wire
if (!wire) throw new Error('demo')
const { capability } = sidesOf(input)
const plain = { ...input.job, quantity: 1, pauseS: null }
const weldOf = (part: Parameters<typeof joint>[0] = {}) => {
  const d = demandOf({ ...plain, joints: [joint(part)] }, 'gmaw-short', wire, input.shop)
  return [capability, d, d.hungriest] as const
}
const set = (feedInPerMin: number, travelInPerMin: number): SettingsTried => ({
  currentA: 0,
  voltsV: 20,
  feedMmPerMin: feedInPerMin * INCH,
  travelMmPerMin: travelInPerMin * INCH,
})
const after = (settled: SettingsTried, part: Parameters<typeof joint>[0] = {}) =>
  outcomeOf(...weldOf(part), settled)

describe('leg at a travel', () => {
  it.each([
    // 0.035 in wire, common practice: trade reference, section 4.
    [212, 6, 0.25],
    [275, 12, 0.2],
  ])('%f in/min of 0.035 wire at %f in/min of travel: about %f in', (feed, travel, legIn) => {
    expect(Math.abs((after(set(feed, travel)).legMm ?? 0) / INCH / legIn - 1)).toBeLessThan(0.06)
  })
  it('twice the travel: half the metal, not the size that was called for', () => {
    const slow = after(set(250, 10))
    const fast = after(set(250, 20))
    expect((slow.filledPct ?? 0) / (fast.filledPct ?? 1)).toBeCloseTo(2, 9)
    expect((slow.legMm ?? 0) / (fast.legMm ?? 1)).toBeCloseTo(Math.SQRT2, 9)
    expect(slow.heatKJPerMm / fast.heatKJPerMm).toBeCloseTo(2, 9)
    // Tacks and handling stay as they are: twice the travel takes half of the arc time off, no more.
    expect(slow.workSPerM - fast.workSPerM).toBeCloseTo((1000 / (20 * INCH)) * 60, 6)
    expect(fast.costPerM).toBeLessThan(slow.costPerM)
  })
  it('at the settings to start with it is the size that was called for', () => {
    for (const part of [{}, { legMm: 8 }, { kind: 'square', legMm: null, rootGapMm: 2 } as const]) {
      const [c, d, weld] = weldOf(part)
      const start = settingsOf(c, d, weld)
      expect(start.outcome?.filledPct).toBeCloseTo(100, 6)
      if (weld.joint.legMm !== null) expect(start.outcome?.legMm).toBeCloseTo(weld.joint.legMm, 6)
      else expect(start.outcome?.legMm).toBeNull()
    }
  })
  it('more wire never makes a smaller leg, less travel neither', () => {
    const speed = fc.double({ min: 3, max: 40, noNaN: true })
    const feed = fc.double({ min: 100, max: 600, noNaN: true })
    fc.assert(
      fc.property(feed, feed, speed, speed, (a, b, s, t) => {
        const leg = (f: number, v: number) => after(set(f, v)).legMm ?? 0
        expect(leg(Math.max(a, b), s)).toBeGreaterThanOrEqual(leg(Math.min(a, b), s) - 1e-9)
        expect(leg(a, Math.min(s, t))).toBeGreaterThanOrEqual(leg(a, Math.max(s, t)) - 1e-9)
      }),
    )
  })
})

describe('the current of a feed', () => {
  it('0.035 solid runs about 1.6 in/min per ampere (common practice)', () => {
    expect(Math.abs(after(set(280, 10)).currentA / (280 / 1.6) - 1)).toBeLessThan(0.1)
  })
})

describe('cost of a metre', () => {
  const [c, d, weld] = weldOf()
  it('is labour with tacks and handling, filler with its losses, gas while it flows', () => {
    const made = outcomeOf(c, d, weld, set(250, 10))
    // By hand, apart from the code: metres a minute, grams, litres.
    const arcMin = 1000 / (10 * INCH)
    // One weld is 100 mm long.
    const weldM = 0.1
    const aroundMin = (weld.tackS + weld.pauseS * weld.arcsPerWeld) / 60 / weldM
    const labour = ((arcMin + aroundMin) / 60) * 48
    const metalG = (made.depositionGPerMin ?? 0) * arcMin
    const filler = (metalG / 0.95 / 0.97) * ((wire.packagePrice ?? 0) / wire.packageG)
    const gas = arcMin * c.flowLPerMin * ((c.gas?.refillPrice ?? 0) / (c.gas?.fullL ?? 1))
    expect(made.costPerM).toBeCloseTo(labour + filler + gas, 6)
    expect(made.unpriced).toEqual([])
    expect(made.workSPerM).toBeCloseTo((arcMin + aroundMin) * 60, 9)
  })
  it('is the same for a metre, however many welds there are', () => {
    const [many, asked, line] = weldOf({ count: 24 })
    expect(outcomeOf(many, asked, line, set(250, 10)).workSPerM).toBeCloseTo(
      outcomeOf(c, d, weld, set(250, 10)).workSPerM,
      9,
    )
  })
  it('says what has no price', () => {
    const bare = sidesOf({
      ...input,
      wire: { ...wire, packagePrice: null },
      gas: input.gas && { ...input.gas, refillPrice: null },
    }).capability
    expect(outcomeOf(bare, d, weld, set(250, 10)).unpriced).toEqual(['filler', 'gas'])
    expect(outcomeOf(bare, d, weld, set(250, 10)).costPerM).toBeLessThan(
      outcomeOf(c, d, weld, set(250, 10)).costPerM,
    )
  })
})

describe('where no wire is fed', () => {
  it('TIG has the amps that are set, and no leg of its own: the hand feeds the rod', () => {
    const tig = sidesOf(demoInput('pressing-tray'))
    const made = outcomeOf(tig.capability, tig.demand, tig.demand.hungriest, {
      currentA: 60,
      voltsV: 11,
      feedMmPerMin: null,
      travelMmPerMin: 100,
    })
    expect(made).toMatchObject({ currentA: 60, legMm: null, filledPct: null, depositionGPerMin: null })
    expect(made.heatKJPerMm).toBeCloseTo((0.6 * 11 * 60 * 60) / (1000 * 100), 9)
  })
  it('stick lays down by its amps, and costs more than wire on the same weld (common practice)', () => {
    const fork = (setUp: string) => {
      const { capability: one, demand } = sidesOf(demoInput('loader-fork', setUp))
      return settingsOf(one, demand, demand.hungriest).outcome
    }
    expect(fork('yard-stick')?.depositionGPerMin).toBeGreaterThan(10)
    expect(fork('yard-stick')?.costPerM).toBeGreaterThan(fork('yard-cored')?.costPerM ?? Infinity)
    expect(fork('yard-stick')?.workSPerM).toBeGreaterThan(fork('yard-cored')?.workSPerM ?? Infinity)
  })
})

describe('a working', () => {
  it('opens from every figure of other settings too', () => {
    const [c, d, weld] = weldOf()
    const settled = set(300, 15)
    const made = outcomeOf(c, d, weld, settled)
    for (const [figure, value] of [
      ['deposition', made.depositionGPerMin],
      ['leg', made.legMm],
      ['filled', made.filledPct],
      ['heat', made.heatKJPerMm],
      ['work', made.workSPerM],
      ['cost', made.costPerM],
    ] as const)
      expect(explainOutcome(figure, c, d, weld, settled).at(-1)?.result.value).toBe(value)
    const ids = explainOutcome('heat', c, d, weld, settled).map(({ id }) => id)
    expect(ids).toContain('current-at-feed')
  })
})
