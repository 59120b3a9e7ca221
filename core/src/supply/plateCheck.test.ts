/** Plates that cannot be right are said to be so, with the figures, and what they draw counts as not known. */
import { describe, expect, it } from 'vitest'
import { partsOf } from '../fit/document.ts'
import { fitJob } from '../fit/fit.ts'
import type { SupplyRating } from '../kinds/equipment.ts'
import { samplePowerSource, sampleSupply } from '../testing/equipment.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { rowsOf } from '../words/rows.ts'
import { plateText, speechOf } from '../words/speech.ts'
import { plateInputA } from './inputCurrent.ts'
import { impliedEfficiency, plateFindings } from './plateCheck.ts'

const findingsOf = (part: Partial<SupplyRating>) =>
  plateFindings(
    samplePowerSource({
      processes: [
        {
          family: 'gmaw',
          outputs: ['dc'],
          pulse: false,
          claimMinMm: null,
          claimMaxMm: null,
          supplies: [sampleSupply(part)],
        },
      ],
    }),
  )

const said = (part: Partial<SupplyRating>): string => {
  const [finding] = findingsOf(part)
  return finding ? plateText(speechOf(demoShop().shop), finding.told) : ''
}

describe('a plate against itself', () => {
  it('every plate of the demo agrees', () => {
    for (const source of demoShop().powerSources) expect(plateFindings(source)).toEqual([])
  })

  it('an input that would need an efficiency above 1 is said with its figures: 200 A at 24 V from 15 A at 230 V', () => {
    // 4800 W out of 3450 VA in: 1.39.
    const [finding] = findingsOf({ i1MaxA: 15 })
    expect(finding).toMatchObject({ id: 'efficiency', verdict: 'fails' })
    expect(finding && plateText(speechOf(demoShop().shop), finding.told)).toMatch(
      /4,800 W out \(200 A at 24 V\) from 3,450 VA in \(15 A at 230 V\) is 1\.39/,
    )
    expect(impliedEfficiency('gmaw', sampleSupply({ i1MaxA: 30 }))).toBeCloseTo(4800 / 6900, 9)
  })

  it('is judged at its highest point, in whatever order they stand', () => {
    const points = [
      { currentA: 100, dutyPct: 100, loadV: 19 },
      { currentA: 200, dutyPct: 25, loadV: 24 },
    ]
    for (const ratedPoints of [points, [...points].reverse()])
      expect(impliedEfficiency('gmaw', sampleSupply({ i1MaxA: 30, ratedPoints }))).toBeCloseTo(4800 / 6900, 9)
    expect(impliedEfficiency('gmaw', sampleSupply())).toBeNull()
  })

  it('kVA stand for the current: S / U₁, with three phases S / (√3·U₁)', () => {
    expect(plateInputA(sampleSupply({ inputKva: 6.9 }))).toBeCloseTo(30, 9)
    expect(plateInputA(sampleSupply({ inputKva: 6.9, voltageV: 400, phases: 3 }))).toBeCloseTo(
      6900 / (400 * Math.sqrt(3)),
      9,
    )
    expect(findingsOf({ inputKva: 3.45 })[0]?.id).toBe('efficiency')
  })

  it('I₁eff is not above I₁max, nor below I₁max·√X (IEC 60974-1)', () => {
    expect(findingsOf({ i1MaxA: 30, i1EffA: 31 })[0]).toMatchObject({
      id: 'effective-current',
      verdict: 'fails',
    })
    // 30 A at 25 % makes 15 A.
    expect(findingsOf({ i1MaxA: 30, i1EffA: 10 })[0]).toMatchObject({
      id: 'effective-current',
      verdict: 'tight',
    })
    expect(findingsOf({ i1MaxA: 30, i1EffA: 15 })).toEqual([])
    // At the limits: 13.8 A is 8 % below, and as much as the greatest is still possible.
    expect(findingsOf({ i1MaxA: 30, i1EffA: 30 })).toEqual([])
    expect(said({ i1MaxA: 30, i1EffA: 10 })).toMatch(/10 A is lower than 15 A/)
  })

  it('a load voltage far from the conventional one asks whether the process is right', () => {
    const at = (loadV: number) => findingsOf({ ratedPoints: [{ currentA: 200, dutyPct: 25, loadV }] })
    expect(at(24)).toEqual([])
    // 18 V is what GTAW would have at 200 A.
    expect(at(18)[0]).toMatchObject({ id: 'load-voltage', verdict: 'tight' })
    expect(said({ ratedPoints: [{ currentA: 200, dutyPct: 25, loadV: 18 }] })).toMatch(
      /200 A.*18 V.*24 V|24 V.*18 V/,
    )
    expect(findingsOf({ ratedPoints: [{ currentA: 200, dutyPct: 25, loadV: null }] })).toEqual([])
  })

  it('an open-circuit voltage below the load is impossible, one above 113 V dangerous (IEC 60974-1, from memory)', () => {
    const at = (openCircuitV: number) =>
      findingsOf({ openCircuitV, ratedPoints: [{ currentA: 200, dutyPct: 25, loadV: 24 }] })
    expect(at(20)[0]).toMatchObject({ id: 'open-circuit', verdict: 'fails' })
    expect(at(130)[0]).toMatchObject({ id: 'open-circuit', verdict: 'tight' })
    expect(at(60)).toEqual([])
    expect([at(24), at(113)]).toEqual([[], []])
    const words = (openCircuitV: number) =>
      said({ openCircuitV, ratedPoints: [{ currentA: 200, dutyPct: 25, loadV: 24 }] })
    expect(words(20)).toMatch(/20 V.*24 V|24 V.*20 V/)
    expect(words(130)).toMatch(/130 V.*113 V/)
  })
})

describe('in a fit', () => {
  it('an impossible plate leaves breaker and cable unknown, never fitting', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    const processes = input.powerSource.processes.map((process) => ({
      ...process,
      supplies: process.supplies.map((supply) => ({ ...supply, i1MaxA: 12, i1EffA: null })),
    }))
    const fit = fitJob({ ...input, powerSource: { ...input.powerSource, processes } })
    const rows = rowsOf(speechOf(input.shop), fit)
    for (const check of ['breaker-holds', 'cable', 'conductor-rule', 'breaker-rule']) {
      const found = rows.find(({ id }) => id === check)
      expect(found?.verdict, check).toBe('unknown')
      expect(found?.missing, check).toContain('contradicts itself')
    }
    expect(fit.chains[0]?.links.find(({ id }) => id === 'circuit')?.verdict).toBe('unknown')
  })

  it('an engine-driven set has no circuit in its chain', () => {
    const shop = demoShop()
    const input = demoInput('loader-fork', 'yard-cored')
    const setUp = { ...input.setUp, powerSourceId: 'heath-300', feederId: 'heath-case' }
    const answer = partsOf(setUp, shop)
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    // The set-up still names the circuit of before: it means nothing here.
    const fit = fitJob({ shop: shop.shop, job: input.job, setUp, ...answer.parts })
    expect(fit.chains[0]?.links.map(({ id }) => id)).toEqual(['source', 'gun', 'electrode'])
    expect(fit.criteria.map(({ criterion }) => criterion)).not.toContain('breaker-holds')
    expect(fit.criteria.find(({ criterion }) => criterion === 'feed-speed')?.verdict).toBe('fits')
  })
})
