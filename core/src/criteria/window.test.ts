/** What a current makes of a weld, at the very ends of its window; and what is said where a set-up reaches none. */
import { describe, expect, it } from 'vitest'
import type { FitInput } from '../fit/fit.ts'
import { fitJob, sidesOf } from '../fit/fit.ts'
import { sampleDemand } from '../testing/demand.ts'
import {
  sampleCapability,
  sampleGun,
  samplePowerSource,
  sampleSupply,
  sampleTungsten,
  sampleWire,
} from '../testing/equipment.ts'
import { demoInput, joint } from '../testing/samples.ts'
import { mendText } from '../words/mends.ts'
import { sentenceOf, speechOf } from '../words/speech.ts'
import { circuitCarries, gunCarries, gunCarriesAt, sourceCarries } from './carries.ts'
import { criterionOf, mendsOf } from './index.ts'
import { metalsOf } from './metals.ts'
import { verdictOfCurrent, worstWithin } from './withinWindow.ts'

const weld = { wantedA: 100, lowA: 80, highA: 135 }
const steady = (lowA: number, highA: number) => ({ lowA, highA, leastA: lowA, mostA: highA })

describe('the verdict of a current', () => {
  it.each([
    [0, 100, 'fits'],
    [100, 200, 'fits'],
    [0, 99, 'tight'],
    [101, 200, 'tight'],
    [0, 80, 'tight'],
    [0, 79.9, 'fails'],
    [135, 200, 'tight'],
    [135.1, 200, 'fails'],
  ] as const)('%f to %f A for a weld of 80, 100 to 135 A: %s', (lowA, highA, verdict) => {
    expect(verdictOfCurrent(weld, steady(lowA, highA))).toBe(verdict)
  })
  it('a rounding is no shortfall', () => {
    expect(verdictOfCurrent(weld, steady(0, 100 * (1 - 1e-10)))).toBe('fits')
    expect(verdictOfCurrent(weld, steady(100 * (1 + 1e-10), 200))).toBe('fits')
    expect(verdictOfCurrent(weld, steady(0, 80 * (1 - 1e-10)))).toBe('tight')
    expect(verdictOfCurrent(weld, steady(135 * (1 + 1e-10), 200))).toBe('tight')
  })
  it('what rest or a pointed tip brings in is tight', () => {
    expect(verdictOfCurrent(weld, { lowA: 0, highA: 50, leastA: 0, mostA: 90 })).toBe('tight')
    expect(verdictOfCurrent(weld, { lowA: 150, highA: 200, leastA: 120, mostA: 200 })).toBe('tight')
  })
  it('a part that is too thick to burn through is never too hot', () => {
    expect(verdictOfCurrent({ ...weld, highA: null }, steady(500, 900))).toBe('tight')
  })
  it('of several welds the worst decides, then the one with least room', () => {
    const d = sampleDemand({ leastA: 40, mostA: 100 })
    expect(worstWithin(d, steady(0, 90)).joint.id).toBe('thick')
    expect(worstWithin(d, steady(45, 200)).joint.id).toBe('thin')
    expect(worstWithin(d, steady(38, 400)).joint.id).toBe('thin')
    expect(worstWithin(d, steady(1, 101)).joint.id).toBe('thick')
  })
})

const said = (id: string, part: Parameters<typeof sampleCapability>[0], demand = sampleDemand()) => {
  const c = sampleCapability(part)
  const assessment = criterionOf(id).assess(c, demand)
  if (!assessment) throw new Error(`no ${id}`)
  const speech = speechOf(c.shop)
  return [
    sentenceOf(speech, assessment),
    ...mendsOf(assessment, c, demand).map((mend) => mendText(speech, mend)),
  ]
}

describe('what is said', () => {
  it('a source that cannot go low: the current that one should hold', () => {
    const low = { powerSource: samplePowerSource({ lowestStableA: 60 }) }
    expect(said('source-range', low, sampleDemand({ leastA: 20 }))[1]).toContain('20 A')
    expect(said('source-range', {}, sampleDemand({ mostA: 900 }))).toHaveLength(1)
  })
  it('a wire that starves or chokes: the size that runs, or that none does', () => {
    const thin = { wire: sampleWire({ diameterMm: 0.6 }) }
    expect(said('electrode', thin, sampleDemand({ leastA: 120, mostA: 140 }))[1]).toContain('0.040 in')
    expect(said('electrode', thin, sampleDemand({ leastA: 20, mostA: 440 }))[1]).toContain('No size covers')
  })
  it('a tungsten by its own wave', () => {
    const tig = (process: 'gtaw-dc' | 'gtaw-ac') => ({
      process,
      wire: null,
      gun: sampleGun({ kind: 'torch' as const }),
      tungsten: sampleTungsten({ diameterMm: 1.016 }),
    })
    const demand = sampleDemand({ leastA: 240, mostA: 245 })
    expect(said('electrode', tig('gtaw-dc'), demand)[1]).toContain('3/32 in')
    expect(said('electrode', tig('gtaw-ac'), demand)[1]).toContain('1/8 in')
  })
  it('a gun that rest does not cool asks for a higher class, one that it does for a pause', () => {
    const gun = (currentA: number) => ({
      gun: sampleGun({ ratings: [{ gas: 'mixed' as const, wave: 'dc' as const, currentA, dutyPct: 60 }] }),
    })
    const demand = sampleDemand({ mostA: 150, dutyPct: 60 })
    expect(said('gun-duty', gun(90), demand)[1]).toContain('higher rating')
    expect(said('gun-duty', gun(140), demand)[1]).toMatch(/^Rest .* between welds$/)
  })
})

describe('without a job', () => {
  const sideOf = (id: string, part: Parameters<typeof sampleCapability>[0]) =>
    criterionOf(id).assess(sampleCapability(part), null)
  it('a wire that starts at the very end of the output still runs', () => {
    const supply = (outputMaxA: number) =>
      samplePowerSource({
        processes: [
          {
            family: 'gmaw',
            outputs: ['dc'],
            pulse: false,
            claimMinMm: null,
            claimMaxMm: null,
            supplies: [sampleSupply({ outputMaxA, outputMinA: 10 })],
          },
        ],
      })
    const wire = sampleWire({ currentMinA: 100, currentMaxA: 200 })
    expect(sideOf('wire-above-output', { wire, powerSource: supply(100) })?.verdict).toBe('fits')
    expect(sideOf('wire-above-output', { wire, powerSource: supply(99) })?.verdict).toBe('fails')
    expect(sideOf('wire-above-output', { wire: sampleWire({ diameterMm: 0.7 }) })).toBeNull()
  })
  it('a wire that starts at what the gun carries is for it', () => {
    const wire = (currentMinA: number) => sampleWire({ currentMinA, currentMaxA: 400 })
    const gun = sampleGun({ ratings: [{ gas: 'mixed', wave: 'dc', currentA: 150, dutyPct: 60 }] })
    expect(sideOf('gun-for-wire', { gun, wire: wire(150) })?.verdict).toBe('fits')
    expect(sideOf('gun-for-wire', { gun, wire: wire(151) })?.verdict).toBe('fails')
    expect(sideOf('gun-for-wire', { gun, wire: wire(150), gas: null })).toBeNull()
    expect(sideOf('gun-for-wire', { gun, wire: sampleWire({ diameterMm: 0.7 }) })).toBeNull()
  })
})

describe('a job whose arc time nobody knows', () => {
  const wireless: FitInput = { ...demoInput('press-frame'), wire: null }
  const { capability, demand } = sidesOf(wireless)
  it('leaves what circuit, source and gun carry unknown, with the wire as what is missing', () => {
    for (const carries of [
      circuitCarries(capability, demand, demand.hungriest),
      sourceCarries(capability, demand),
      gunCarries(capability, demand),
    ])
      expect(carries?.missing?.code).toBe('wire-for-arc')
  })
  it('a gun alone is taken at the greatest duty that it is rated for', () => {
    const gun = sampleGun({
      ratings: [
        { gas: 'mixed', wave: 'dc', currentA: 200, dutyPct: 40 },
        { gas: 'mixed', wave: 'dc', currentA: 150, dutyPct: 100 },
      ],
    })
    expect(gunCarriesAt(sampleCapability({ gun }), null)).toMatchObject({ highA: 150 })
  })
})

describe('the metals of a job', () => {
  it('each with the first weld that has it on either side; without a job the wire’s', () => {
    const input = demoInput('press-frame')
    const joints = [
      joint({ id: 'steel', materialA: 'hot-rolled', materialB: 'hot-rolled' }),
      joint({ id: 'pair', materialA: 'hot-rolled', materialB: 'stainless-304' }),
      joint({ id: 'late', materialA: 'stainless-304', materialB: 'stainless-304' }),
    ]
    const { capability, demand } = sidesOf({ ...input, job: { ...input.job, joints } })
    expect(metalsOf(capability, demand)).toEqual([
      { metal: 'carbon-steel', weldId: 'steel' },
      { metal: 'stainless', weldId: 'pair' },
    ])
    expect(metalsOf(capability, null)).toEqual([{ metal: 'carbon-steel', weldId: null }])
    expect(metalsOf(sampleCapability({ wire: null }), null)).toEqual([])
  })
})

describe('thickness', () => {
  it('of a job of several welds the one that asks most of its link decides', () => {
    const input = demoInput('press-frame', 'bay-2-wire')
    const [one] = input.job.joints
    if (!one) throw new Error('demo')
    const part = (id: string, thicknessMm: number) => ({
      ...one,
      id,
      thicknessAMm: thicknessMm,
      thicknessBMm: thicknessMm,
    })
    const of = (joints: readonly (typeof one)[]) =>
      fitJob({ ...input, job: { ...input.job, joints: [...joints] } }).criteria.find(
        ({ criterion }) => criterion === 'thickness',
      )
    expect(of([part('a', 3), part('b', 12), part('c', 5)])?.weldId).toBe('b')
    expect(of([part('a', 12), part('b', 3)])?.weldId).toBe('a')
  })
  it('more passes are offered to a groove by TIG as long as a layer stays at 1/8 in', () => {
    const input = demoInput('press-frame', 'bench-tig-dc')
    const groove = (tungstenMm: number) => ({
      ...input,
      tungsten: input.tungsten && { ...input.tungsten, diameterMm: tungstenMm },
      job: {
        ...input.job,
        joints: input.job.joints.map((one) => ({
          ...one,
          kind: 'v' as const,
          legMm: null,
          includedAngleDeg: 60,
          thicknessAMm: 25,
          thicknessBMm: 25,
          passes: 1,
        })),
      },
    })
    const mends = (fit: FitInput) => fitJob(fit).mends['thickness'] ?? []
    expect(mends(groove(3.175))[0]).toMatchObject({ patch: { on: 'joint' } })
    // What 0.040 in carries would ask for layers thinner than the heat allows.
    expect(mends(groove(1.016)).filter(({ patch }) => patch?.on === 'joint')).toEqual([])
  })
})
