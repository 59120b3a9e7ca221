/** What is judged of a stick set-up: electrode, holder, leads, volts at rest. Facts of the trade unless said otherwise. */
import { describe, expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { fitJob } from '../fit/fit.ts'
import { needsOf, slotWord } from '../capability/slots.ts'
import type { SupplyRating, Wire } from '../kinds/equipment.ts'
import type { Polarity } from '../model/process.ts'
import { HOLDER, PROCESSES, waveOf } from '../reference/processes.ts'
import {
  sampleCapability,
  sampleGun,
  samplePowerSource,
  sampleSupply,
  sampleWire,
} from '../testing/equipment.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { mendText } from '../words/mends.ts'
import { cautionText, sentenceOf, speechOf } from '../words/speech.ts'
import { criterionOf, mendsOf } from './index.ts'

const { shop } = demoShop()
const speech = speechOf(shop)
const stick = (classification: string, part: Partial<Wire> = {}): Wire =>
  sampleWire({
    name: classification,
    form: 'covered',
    classification,
    diameterMm: 3.175,
    spoolMm: null,
    ...part,
  })
const source = (supply: Partial<SupplyRating> = {}, outputs: ('dc' | 'ac')[] = ['dc']) =>
  samplePowerSource({
    name: 'Source',
    processes: [
      {
        family: 'smaw',
        outputs,
        pulse: false,
        claimMinMm: null,
        claimMaxMm: null,
        supplies: [sampleSupply({ openCircuitV: 70, ...supply })],
      },
    ],
  })
const holder = sampleGun({
  name: 'Holder',
  kind: 'holder',
  ratings: [{ gas: 'none', wave: 'dc', currentA: 200, dutyPct: 60 }],
})
const set = (part: Parameters<typeof sampleCapability>[0] = {}) =>
  sampleCapability({
    process: 'smaw',
    powerSource: source(),
    gun: holder,
    gas: null,
    wire: stick('E7018'),
    ...part,
  })
const judged = (id: string, part: Parameters<typeof sampleCapability>[0] = {}) => {
  const c = set(part)
  const found = criterionOf(id).assess(c, null)
  return (
    found && {
      ...found,
      says: sentenceOf(speech, found),
      mends: mendsOf(found, c, null).map((m) => mendText(speech, m)),
    }
  )
}

describe('polarity of a stick', () => {
  it.each([
    ['E7018', 'dcep', 'fits'],
    ['E7018', 'ac', 'fits'],
    ['E7018', 'dcen', 'fails'],
    ['E6010', 'dcep', 'fits'],
    ['E6010', 'ac', 'fails'],
    ['E6010', 'dcen', 'fails'],
    ['E6011', 'ac', 'fits'],
    ['E6013', 'dcen', 'fits'],
  ] as const)('%s on %s %s (AWS A5.1)', (classification, polarity, verdict) => {
    expect(judged('polarity-of-wire', { wire: stick(classification), polarity })?.verdict).toBe(verdict)
  })
  it('its own data decide before its class', () => {
    const wire = stick('E6013', { polarity: 'dcep' })
    expect(judged('polarity-of-wire', { wire, polarity: 'dcen' })?.verdict).toBe('fails')
  })
  it('a class that nobody knows is judged by the process', () => {
    expect(judged('polarity-of-wire', { wire: stick('odd') })).toBeNull()
    expect(judged('polarity', { wire: stick('odd'), polarity: 'dcen' })?.verdict).toBe('fails')
    expect(judged('polarity', { wire: stick('E7018') })).toBeNull()
  })
  it('decides which output of the source is asked', () => {
    expect(judged('rated-for-process', { polarity: 'ac' })?.verdict).toBe('fails')
    expect(judged('rated-for-process', { polarity: 'ac', powerSource: source({}, ['ac']) })?.verdict).toBe(
      'fits',
    )
    expect(judged('rated-for-process', { powerSource: source({}, ['ac']) })?.verdict).toBe('fails')
    expect(set({ polarity: 'ac' }).supply).toBeNull()
    const waves: readonly Polarity[] = ['dcep', 'dcen', 'ac']
    expect(waves.map((polarity) => waveOf(PROCESSES.smaw, polarity))).toEqual(['dc', 'dc', 'ac'])
    expect(waveOf(PROCESSES['gtaw-ac'], 'dcen')).toBe('ac')
  })
})

describe('volts at rest', () => {
  it.each([
    [60, 'fits'],
    [59.9, 'tight'],
  ])('%f V for E7018: %s', (openCircuitV, verdict) => {
    expect(judged('stick-strikes', { powerSource: source({ openCircuitV }) })?.verdict).toBe(verdict)
  })
  it('digs for E6010 and is easy for E6013', () => {
    const powerSource = source({ openCircuitV: 58 })
    expect(judged('stick-strikes', { powerSource, wire: stick('E6010') })).toMatchObject({
      verdict: 'tight',
      says: 'Source has 58 V open-circuit. E6010 needs 65 V to strike well and stay lit.',
      mends: [
        'An electrode that strikes more easily, such as E6013, or a source with a higher open-circuit voltage',
      ],
    })
    expect(judged('stick-strikes', { powerSource, wire: stick('E6013') })?.verdict).toBe('fits')
  })
  it('are asked for where the plate is silent, and of sticks alone', () => {
    const silent = judged('stick-strikes', { powerSource: source({ openCircuitV: null }) })
    expect(silent).toMatchObject({ verdict: 'unknown' })
    expect(silent?.says).toContain('open-circuit voltage of Source')
    expect(judged('stick-strikes', { process: 'gtaw-dc' })).toBeNull()
    expect(judged('stick-strikes', { wire: stick('odd') })).toBeNull()
  })
})

describe('the parts of a stick set-up', () => {
  it('are circuit, source, holder and electrode', () => {
    const needs = needsOf({ process: PROCESSES.smaw, powerSource: source(), gun: holder })
    expect(needs.map(({ slot }) => slot)).toEqual(['circuit', 'powerSource', 'gun', 'wire'])
    expect(needs.every(({ required }) => required)).toBe(true)
    expect(slotWord('gun', PROCESSES.smaw)).toEqual({ word: 'slot', code: 'gun-covered' })
  })
  it('want a holder and a covered electrode', () => {
    expect(judged('gun-kind')?.verdict).toBe('fits')
    expect(judged('gun-kind', { gun: sampleGun() })).toMatchObject({
      verdict: 'fails',
      mends: ['A stick holder'],
    })
    expect(judged('wire-form')?.verdict).toBe('fits')
    expect(judged('wire-form', { wire: sampleWire() })?.verdict).toBe('fails')
    expect(HOLDER).toEqual({ wire: 'gun', tungsten: 'torch', covered: 'holder' })
  })
  it('E7024 is for flat and horizontal (AWS A5.1)', () => {
    expect(judged('wire-position', { wire: stick('E7024') })?.says).toContain('flat and horizontal only')
    expect(judged('wire-position', { wire: stick('E7018') })).toBeNull()
  })
  it('the holder is rated on either wave', () => {
    expect(set({ polarity: 'ac', powerSource: source({}, ['ac']) }).gunPoints).toMatchObject({
      missing: null,
    })
  })
})

describe('the loader fork by stick', () => {
  const input = demoInput('loader-fork', 'yard-stick')
  const fit = fitJob(input)
  const of = (id: string) => fit.criteria.find(({ criterion }) => criterion === id)

  it('fits outdoors: there is no gas to blow away', () => {
    expect(fit.verdict).toBe('fits')
    expect(of('wind')).toBeUndefined()
  })
  it('the chain runs through the holder into the electrode', () => {
    expect(fit.chains[0]?.links.map(({ id, kind }) => [id, kind])).toEqual([
      ['circuit', { word: 'link', code: 'circuit' }],
      ['source', { word: 'link', code: 'source' }],
      ['gun', { word: 'link', code: 'holder' }],
      ['electrode', { word: 'link', code: 'covered' }],
    ])
  })
  it('warns of the live holder and of damp electrodes', () => {
    const said = fit.cautions.map((one) => cautionText(speech, one).text).join(' ')
    expect(said).toContain('holder is live')
    expect(said).toContain('Keep low-hydrogen electrodes sealed')
    const rutile = fitJob({ ...input, wire: stick('E6013') })
    expect(rutile.cautions.map(({ code }) => code)).not.toContain('keep-dry')
  })
  it('takes longer than by wire (operating factors, welding handbooks)', () => {
    const byWire = demandOf(input.job, 'fcaw-s', demoInput('loader-fork').wire, shop)
    const byStick = demandOf(input.job, 'smaw', input.wire, shop)
    expect(byStick.workH).toBeGreaterThan(byWire.workH ?? Infinity)
    expect(byStick.fillerG).toBeGreaterThan(byWire.fillerG)
  })
  it('is no way to weld aluminium, and of stainless names the covered electrodes', () => {
    const said = (jobId: string) => {
      const found = fitJob(demoInput(jobId, 'yard-stick')).criteria.find(
        ({ criterion }) => criterion === 'filler-for-metal',
      )
      return found && sentenceOf(speech, found)
    }
    expect(said('picking-platform')).toBe('Stick does not weld 6061 aluminum in ordinary work.')
    expect(said('pressing-tray')).toContain('Usual: E308L-16')
  })
  it('names a thinner electrode where the plate is too thin for it, and none on plate', () => {
    const c = set({ wire: stick('E7018') })
    const mends = (thicknessMm: number) => {
      const job = demoInput('loader-fork').job
      const [first] = job.joints
      if (!first) throw new Error('demo')
      const joint = {
        ...first,
        kind: 'tee',
        legMm: 2,
        includedAngleDeg: null,
        rootFaceMm: 0,
        thicknessAMm: thicknessMm,
        thicknessBMm: thicknessMm,
      } as const
      const d = demandOf({ ...job, joints: [joint] }, 'smaw', c.wire, shop)
      const found = criterionOf('electrode').assess(c, d)
      return found && mendsOf(found, c, d).map(({ code }) => code)
    }
    expect(mends(1.5)).toEqual(['thinner-stick'])
    expect(mends(25)).toEqual([])
  })
})
