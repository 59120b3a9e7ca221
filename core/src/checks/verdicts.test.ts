import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  ASSUMPTION_KEYS,
  ASSUMPTIONS,
  assumptionsOf,
  type AssumptionDefinition,
  type AssumptionKey,
} from '../index.ts'
import type { FitInput } from '../fit/context.ts'
import { fitJob } from '../fit/fit.ts'
import { marginPct, verdictOfMargin, VERDICTS, worstVerdict } from '../model/finding.ts'
import { lensShade } from '../reference/lensShades.ts'
import { wireCurrentRange, wireDiametersFor } from '../reference/wireRanges.ts'
import { demoInput, demoShop } from '../testing/samples.ts'

describe('verdicts', () => {
  it.each([
    [-0.1, 'short'],
    [0, 'tight'],
    [9.9, 'tight'],
    [10, 'fits'],
    [-1e-9, 'tight'],
  ])('a margin of %f %% is %s', (margin, verdict) => {
    expect(verdictOfMargin(margin, 10)).toBe(verdict)
  })

  it('unknown never counts as fitting, and short outranks it', () => {
    expect(worstVerdict(['fits', 'unknown', 'tight'])).toBe('unknown')
    expect(worstVerdict(['unknown', 'short'])).toBe('short')
    expect(worstVerdict([])).toBe('fits')
  })

  it('the worst is in the list and no other is worse', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...VERDICTS), { minLength: 1 }), (list) => {
        const worst = worstVerdict(list)
        return list.includes(worst) && worstVerdict([...list, worst]) === worst
      }),
    )
  })

  it('a margin of nothing wanted is all the room there is', () => {
    expect(marginPct(5, 0)).toBe(999)
    expect(marginPct(15, 10)).toBeCloseTo(50, 9)
    expect(marginPct(0, 10)).toBe(-100)
  })
})

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
    const assume = assumptionsOf({ assumptions: { convexityPct: 25 } })
    expect(assume.value('convexityPct')).toBe(25)
    expect(assume.term('convexityPct', 'c').source).toMatchObject({
      kind: 'shop',
      text: 'changed by the shop from 10 %',
    })
    expect(assume.term('stubMm', 'S').source.kind).toBe('common-practice')
  })

  /** Changes one assumption and answers what a check then asks for. */
  const demand = (
    input: FitInput,
    check: string,
    assumptions: Partial<Record<AssumptionKey, number>>,
  ): number => {
    const fit = fitJob({ ...input, shop: { ...input.shop, assumptions } })
    const found = fit.findings.find((one) => one.check === check)?.demand
    return typeof found === 'object' && found ? found.value : Number.NaN
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
    ['operatingFactorWirePct', 10, frame, 'time-use'],
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

describe('lens shades, ANSI Z49.1 (from memory)', () => {
  it.each([
    ['gmaw', 120, 10, 11],
    ['gmaw', 200, 10, 12],
    ['fcaw', 300, 10, 14],
    ['gtaw', 40, 8, 10],
    ['gtaw', 100, 8, 12],
    ['gtaw', 200, 10, 14],
  ] as const)('%s at %f A: least %i, suggested %i', (family, currentA, least, suggested) => {
    expect(lensShade(family, currentA)).toEqual({ least, suggested })
  })
})

describe('usable current of wires, common practice', () => {
  const wires = demoShop().wires
  it('is the wire’s own where its data gives it', () => {
    const [wire] = wires
    if (!wire) throw new Error('demo')
    expect(wireCurrentRange({ ...wire, currentMinA: 50, currentMaxA: 170 })).toMatchObject({
      minA: 50,
      maxA: 170,
      source: { kind: 'data-plate' },
    })
  })
  it('takes 0.035 in for 0.9 mm, and no size for one that no table has', () => {
    const wire = wires.find(({ id }) => id === 'er70s6-035')
    if (!wire) throw new Error('demo')
    expect(wireCurrentRange(wire)).toMatchObject({ minA: 60, maxA: 220 })
    expect(wireCurrentRange({ ...wire, diameterMm: 0.7 })).toBeNull()
    expect(wireCurrentRange({ ...wire, form: 'rod' })).toBeNull()
  })
  it('rises with diameter, for every form and metal', () => {
    for (const [form, metal] of [
      ['solid', 'carbon-steel'],
      ['solid', 'aluminium'],
      ['cored-self-shielded', 'carbon-steel'],
      ['cored-gas-shielded', 'carbon-steel'],
    ] as const) {
      const sizes = wireDiametersFor({ form, metal }, 0, Infinity)
      expect(sizes).toEqual([])
      const mid = [100, 150, 200].map((amps) => wireDiametersFor({ form, metal }, amps, amps)[0] ?? Infinity)
      expect(mid).toEqual([...mid].sort((a, b) => a - b))
    }
  })
})
