/**
 * The model of the operating point against everyday settings. All of them are common practice, no source. What is off
 * by more than 15 % says why; `docs/model.md` shows the same table, and a test holds it to the figures.
 */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import type { Wire } from '../model/equipment.ts'
import type { Joint } from '../model/job.ts'
import type { ProcessId } from '../model/process.ts'
import { sampleWire } from '../testing/equipment.ts'
import { joint } from '../testing/samples.ts'
import { currentAtFeed, wireFeedSpeed } from './burnOff.ts'
import { depositionRate } from './depositionRate.ts'
import { passesOf } from './passes.ts'
import { wantedCurrentOf } from './wantedCurrent.ts'

const assumptions = assumptionsOf({ assumptions: {} })
const r = reckonerFor(assumptions)
const INCH = 25.4

const solid = (diameterIn: number, part: Partial<Wire> = {}): Wire =>
  sampleWire({ diameterMm: diameterIn * INCH, form: 'solid', ...part })
const selfShielded = (diameterIn: number): Wire => solid(diameterIn, { form: 'cored-self-shielded' })
const gasShielded = (diameterIn: number): Wire => solid(diameterIn, { form: 'cored-gas-shielded' })
const aluminium = (diameterMm: number): Wire =>
  sampleWire({ diameterMm, form: 'solid', metal: 'aluminium', classification: 'ER5356' })

const plate = (thicknessMm: number, part: Partial<Joint> = {}): Joint =>
  joint({
    thicknessAMm: thicknessMm,
    thicknessBMm: thicknessMm,
    legMm: Math.min(thicknessMm, 4.7625),
    ...part,
  })
const aluminiumPart = { materialA: 'aluminium-6061', materialB: 'aluminium-6061' } as const
const stainlessPart = { materialA: 'stainless-304', materialB: 'stainless-304' } as const

const wants = (one: Joint, process: ProcessId, wire: Wire | null): number =>
  wantedCurrentOf(one, process, wire, r).wantedA
const feeds = (one: Joint, process: ProcessId, wire: Wire): number =>
  wireFeedSpeed(wire, wants(one, process, wire), process, r)
/** Leg of an equal fillet that this feed lays down at this travel, in. */
const legIn = (wire: Wire, feedInPerMin: number, travelInPerMin: number): number => {
  const mm3PerMin = (depositionRate(wire, feedInPerMin * INCH, 'gmaw-short', r) * 1000) / 7.85
  return Math.sqrt((2 * mm3PerMin) / (travelInPerMin * INCH)) / INCH
}

interface Practice {
  readonly what: string
  readonly practice: number
  readonly unit: string
  readonly model: number
  /** Why it is off by more than 15 %. */
  readonly why?: string
}

const halfInchGroove = plate(INCH / 2, { kind: 'v', includedAngleDeg: 60, passes: null })

const EVERYDAY: readonly Practice[] = [
  {
    what: '0.045 gas-shielded cored, V in 1/2 in, flat: current',
    practice: 225,
    unit: 'A',
    model: wants(halfInchGroove, 'fcaw-g', gasShielded(0.045)),
  },
  {
    what: '0.045 self-shielded, V in 1/2 in, flat: current',
    practice: 165,
    unit: 'A',
    model: wants(halfInchGroove, 'fcaw-s', selfShielded(0.045)),
  },
  {
    what: '0.045 spray, V in 1/2 in, flat: current',
    practice: 300,
    unit: 'A',
    model: wants(halfInchGroove, 'gmaw-spray', solid(0.045)),
  },
  {
    what: 'TIG, V in 1/2 in 6061: current',
    practice: 350,
    unit: 'A',
    model: wants({ ...halfInchGroove, ...aluminiumPart }, 'gtaw-ac', null),
  },
  {
    what: '0.035 solid in CO₂, tee of 1/8 in: wire speed',
    practice: 220,
    unit: 'in/min',
    model: feeds(plate(INCH / 8), 'gmaw-short', solid(0.035)) / INCH,
  },
  {
    what: '0.035 solid in CO₂, tee of 3/16 in: wire speed',
    practice: 245,
    unit: 'in/min',
    model: feeds(plate((3 * INCH) / 16), 'gmaw-short', solid(0.035)) / INCH,
  },
  {
    what: '0.035 solid in 75/25, tee of 1/4 in: current',
    practice: 190,
    unit: 'A',
    model: wants(plate(INCH / 4), 'gmaw-short', solid(0.035)),
  },
  {
    what: '1.0 mm 5356, tee of 3 mm aluminium: wire speed',
    practice: 12,
    unit: 'm/min',
    model: feeds(plate(3, aluminiumPart), 'gmaw-spray', aluminium(1)) / 1000,
  },
  {
    what: '0.045 gas-shielded cored in CO₂ at 180 in/min: current',
    practice: 120,
    unit: 'A',
    model: currentAtFeed(gasShielded(0.045), 180 * INCH, 'fcaw-g', r),
  },
  {
    what: 'TIG, butt of 16 ga 304: current',
    practice: 52,
    unit: 'A',
    model: wants(plate(0.0625 * INCH, { kind: 'square', ...stainlessPart }), 'gtaw-dc', null),
  },
  {
    what: 'TIG, butt of 14 ga 304: current',
    practice: 70,
    unit: 'A',
    model: wants(plate(0.0781 * INCH, { kind: 'square', ...stainlessPart }), 'gtaw-dc', null),
  },
  {
    what: '0.035 solid at 212 in/min, travel 6 in/min: leg',
    practice: 0.25,
    unit: 'in',
    model: legIn(solid(0.035), 212, 6),
  },
  {
    what: '0.035 solid at 275 in/min, travel 12 in/min: leg',
    practice: 0.2,
    unit: 'in',
    model: legIn(solid(0.035), 275, 12),
  },
]

const offPct = ({ practice, model }: Practice): number => (model / practice - 1) * 100
const signed = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(0)} %`
const rowOf = (one: Practice): string =>
  `| ${one.what} | ${one.practice} ${one.unit} | ${Number(one.model.toPrecision(3))} ${one.unit} | ${signed(offPct(one))} |`

describe('everyday settings (common practice, no source)', () => {
  it.each(EVERYDAY)('$what', (one) => {
    const isNear = Math.abs(offPct(one)) <= 15
    expect(isNear || one.why !== undefined, `${offPct(one).toFixed(1)} % off`).toBe(true)
  })

  it('stand in docs/model.md as they are', () => {
    const page = readFileSync(new URL('../../../docs/model.md', import.meta.url), 'utf8').replace(
      / {2,}/g,
      ' ',
    )
    for (const one of EVERYDAY) expect(page).toContain(rowOf(one))
  })
})

describe('what shops do every day, and what fails (common practice, no source)', () => {
  const windowOf = (one: Joint, process: ProcessId, wire: Wire | null) =>
    wantedCurrentOf(one, process, wire, r)

  it('a 210 A source welds 3/16 in with 0.035; a 140 A one welds 1/8 in with 0.030', () => {
    expect(wants(plate((3 * INCH) / 16), 'gmaw-short', solid(0.035))).toBeLessThan(210)
    expect(wants(plate(INCH / 8), 'gmaw-short', solid(0.03))).toBeLessThan(140)
  })

  it('90 A of self-shielded 0.035: all of 3/16, the low end of 1/4, and no more', () => {
    const butt = (thicknessMm: number) =>
      windowOf(plate(thicknessMm, { kind: 'square' }), 'fcaw-s', selfShielded(0.035))
    expect(butt((3 * INCH) / 16).wantedA).toBeLessThan(90)
    expect(butt(INCH / 4).wantedA).toBeGreaterThan(90)
    expect(butt(INCH / 4).lowA).toBeLessThan(90)
    expect(butt(INCH / 2).lowA).toBeGreaterThan(90)
  })

  it('90 A on aluminium: 1/16 with room, 12 ga at its limit, 1/8 not', () => {
    const tee = (thicknessIn: number) =>
      windowOf(plate(thicknessIn * INCH, aluminiumPart), 'gmaw-spray', aluminium(0.8))
    expect(tee(1 / 16).jointA).toBeLessThan(80)
    expect(tee(0.0808).jointA).toBeGreaterThan(85)
    expect(tee(0.0808).jointA * 0.8).toBeLessThan(90)
    expect(tee(1 / 8).jointA * 0.8).toBeGreaterThan(90)
  })

  it('a 1/4 in horizontal fillet by 0.045 gas-shielded cored is starved at 120 A, sound at 310 in/min', () => {
    const { lowA } = windowOf(plate(INCH / 4, { position: 'horizontal' }), 'fcaw-g', gasShielded(0.045))
    expect(lowA).toBeGreaterThan(120)
    expect(currentAtFeed(gasShielded(0.045), 310 * INCH, 'fcaw-g', r)).toBeGreaterThan(lowA)
  })

  it('1/2 in 6061 by TIG is far beyond 200 A', () => {
    expect(windowOf(plate(INCH / 2, aluminiumPart), 'gtaw-ac', null).lowA).toBeGreaterThan(200)
  })

  it('a V in 1/2 in aluminium is far beyond 200 A too, and more passes do not bring it in', () => {
    const many = { ...halfInchGroove, passes: 12 }
    expect(windowOf({ ...many, ...aluminiumPart }, 'gtaw-ac', null).lowA).toBeGreaterThan(200)
    expect(wants(many, 'fcaw-g', gasShielded(0.045))).toBeGreaterThan(200)
  })
  it('a 3/4 in V is beyond 140 A with 0.035 self-shielded: such machines end at 1/4 in', () => {
    const groove = plate(0.75 * INCH, { kind: 'v', includedAngleDeg: 60, passes: null })
    expect(windowOf(groove, 'fcaw-s', selfShielded(0.035)).lowA).toBeGreaterThan(140)
  })
  it('TIG on steel fills a V layer by layer', () => {
    expect(wants(halfInchGroove, 'gtaw-dc', null)).toBeLessThan(
      0.7 * wants(plate(INCH / 2, { kind: 'square' }), 'gtaw-dc', null),
    )
  })

  it('a 1/2 in V takes four or five passes by hand', () => {
    const groove = plate(INCH / 2, {
      kind: 'v',
      legMm: null,
      includedAngleDeg: 60,
      rootGapMm: 2.38125,
      rootFaceMm: 1.5875,
      reinforcementMm: 1.5875,
    })
    const n = passesOf(groove, 'fcaw-s', { gPerMin: 30, densityGPerCm3: 7.85 }, r)
    expect([4, 5]).toContain(n)
  })
})
