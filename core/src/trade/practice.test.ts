/**
 * The model of the operating point against everyday settings: common practice, no source. `docs/practice.md` shows the
 * fifty with their residuals, and is written by this test; the rest are what shops know without a figure.
 */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import type { ProcessId } from '../model/process.ts'
import { sampleWire } from '../testing/equipment.ts'
import { PRACTICE_SETTINGS, practiceResiduals } from '../testing/practiceSettings.ts'
import { joint } from '../testing/samples.ts'
import { currentAtFeed } from './burnOff.ts'
import { depositionRate } from './depositionRate.ts'
import { passesOf } from './passes.ts'
import { wantedCurrentOf } from './wantedCurrent.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const INCH = 25.4

const solid = (diameterIn: number, part: Partial<Wire> = {}): Wire =>
  sampleWire({ diameterMm: diameterIn * INCH, form: 'solid', ...part })
const selfShielded = (diameterIn: number): Wire =>
  solid(diameterIn, { form: 'cored-self-shielded', classification: 'E71T-11' })
const gasShielded = (diameterIn: number): Wire =>
  solid(diameterIn, { form: 'cored-gas-shielded', classification: 'E71T-1C/M' })
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

const windowOf = (one: Joint, process: ProcessId, wire: Wire | null) => wantedCurrentOf(one, process, wire, r)
const wants = (one: Joint, process: ProcessId, wire: Wire | null): number =>
  windowOf(one, process, wire).wantedA
/** Leg of an equal fillet that this feed lays down at this travel, in. */
const legIn = (wire: Wire, feedInPerMin: number, travelInPerMin: number): number => {
  const mm3PerMin = (depositionRate(wire, feedInPerMin * INCH, 'gmaw-short', r) * 1000) / 7.85
  return Math.sqrt((2 * mm3PerMin) / (travelInPerMin * INCH)) / INCH
}
const vee = { kind: 'v', includedAngleDeg: 60, passes: null } as const

const RESIDUALS = practiceResiduals()
/** Within these of practice, %. */
const NEAR = { currentPct: 15, voltsPct: 15, feedPct: 25 } as const

const signed = (value: number): string =>
  `${value < -0.5 ? '−' : value >= 0.5 ? '+' : ''}${Math.abs(value).toFixed(0)} %`
/** Columns as wide as their widest cell: what the formatter would make of it. */
function tableOf(rows: readonly (readonly string[])[]): string {
  const [head = [], ...body] = rows
  const widths = head.map((_, column) => Math.max(...rows.map((row) => [...(row[column] ?? '')].length)))
  const line = (cells: readonly string[]) =>
    `| ${cells.map((cell, column) => cell + ' '.repeat((widths[column] ?? 0) - [...cell].length)).join(' | ')} |`
  return [line(head), `| ${widths.map((width) => '-'.repeat(width)).join(' | ')} |`, ...body.map(line)].join(
    '\n',
  )
}
const cell = (value: number | null, model: number | null, pct: number | null, unit: string): string =>
  value === null || model === null || pct === null
    ? '–'
    : `${value} ${unit}; ${Number(model.toPrecision(3))} (${signed(pct)})`

describe('fifty everyday settings (common practice, no source)', () => {
  it.each(RESIDUALS)('$what', ({ currentPct, voltsPct, feedPct }) => {
    expect(Math.abs(currentPct)).toBeLessThanOrEqual(NEAR.currentPct)
    expect(Math.abs(voltsPct ?? 0)).toBeLessThanOrEqual(NEAR.voltsPct)
    expect(Math.abs(feedPct ?? 0)).toBeLessThanOrEqual(NEAR.feedPct)
  })
  it('are fifty at least, each named once, and as often too hot as too cold', () => {
    expect(new Set(PRACTICE_SETTINGS.map(({ what }) => what)).size).toBe(PRACTICE_SETTINGS.length)
    expect(PRACTICE_SETTINGS.length).toBeGreaterThanOrEqual(50)
    const mean = RESIDUALS.reduce((sum, { currentPct }) => sum + currentPct, 0) / RESIDUALS.length
    expect(Math.abs(mean)).toBeLessThan(3)
  })
  it('stand in docs/practice.md with their residuals', async () => {
    const rows = RESIDUALS.map(({ what, model, currentPct, voltsPct, feedPct }, index) => {
      const said = PRACTICE_SETTINGS[index]
      return [
        what,
        cell(said?.currentA ?? null, model.currentA, currentPct, 'A'),
        cell(said?.voltsV ?? null, model.voltsV, voltsPct, 'V'),
        cell(said?.feedInPerMin ?? null, model.feedInPerMin, feedPct, 'in/min'),
      ]
    })
    const page = `# Starting settings against practice

Everyday settings that shops run, and what the model starts them with under the default assumptions. Practice comes first,
then the model, then how far the model is off. All practice figures are common practice, no source.

${tableOf([['Setting', 'Current', 'Volts', 'Wire feed speed'], ...rows])}
`
    await expect(page).toMatchFileSnapshot('../../../docs/practice.md')
  })
  it.each([
    // Common practice, no source: what such a travel leaves.
    ['0.035 at 212 in/min, travel 6 in/min', 212, 6, 0.25],
    ['0.035 at 275 in/min, travel 12 in/min', 275, 12, 0.2],
  ])('%s: leg', (_what, feed, travel, leg) => {
    expect(Math.abs(legIn(solid(0.035), feed, travel) / leg - 1)).toBeLessThan(0.05)
  })
  it('0.045 gas-shielded cored at 180 in/min in CO₂ runs at about 120 A', () => {
    expect(Math.abs(currentAtFeed(gasShielded(0.045), 180 * INCH, 'fcaw-g', r) / 120 - 1)).toBeLessThan(0.05)
  })
  it('grooves in 1/2 in, flat: what shops run', () => {
    const groove = plate(INCH / 2, vee)
    for (const [practiceA, process, wire, part] of [
      [225, 'fcaw-g', gasShielded(0.045), {}],
      [165, 'fcaw-s', selfShielded(0.045), {}],
      [300, 'gmaw-spray', solid(0.045), {}],
      [350, 'gtaw-ac', null, aluminiumPart],
    ] as const)
      expect(Math.abs(wants({ ...groove, ...part }, process, wire) / practiceA - 1)).toBeLessThan(0.1)
  })
})

describe('what shops do every day, and what fails (common practice, no source)', () => {
  it('a 210 A source welds 3/16 in with 0.035; a 140 A one welds 1/8 in with 0.030', () => {
    expect(wants(plate((3 * INCH) / 16), 'gmaw-short', solid(0.035))).toBeLessThan(210)
    expect(wants(plate(INCH / 8), 'gmaw-short', solid(0.03))).toBeLessThan(140)
  })

  it('a 24 ga lap with 0.023 takes 30 to 40 A and a source that goes down to 30 A', () => {
    const sheet = windowOf(plate(0.607, { kind: 'lap' }), 'gmaw-short', solid(0.023))
    expect(sheet.wantedA).toBeGreaterThan(30)
    expect(sheet.wantedA).toBeLessThan(40)
    expect(sheet.highA).toBeGreaterThan(40)
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
    const many = { ...plate(INCH / 2, vee), passes: 12 }
    expect(windowOf({ ...many, ...aluminiumPart }, 'gtaw-ac', null).lowA).toBeGreaterThan(200)
    expect(wants(many, 'fcaw-g', gasShielded(0.045))).toBeGreaterThan(200)
  })
  it('a 3/4 in V is beyond 140 A with 0.035 self-shielded: such machines end at 1/4 in', () => {
    expect(windowOf(plate(0.75 * INCH, vee), 'fcaw-s', selfShielded(0.035)).lowA).toBeGreaterThan(140)
  })
  it('TIG on steel fills a V layer by layer', () => {
    expect(wants(plate(INCH / 2, vee), 'gtaw-dc', null)).toBeLessThan(
      0.7 * wants(plate(INCH / 2, { kind: 'square' }), 'gtaw-dc', null),
    )
  })

  it('a 1/2 in V takes four or five passes by hand', () => {
    const groove = plate(INCH / 2, {
      ...vee,
      legMm: null,
      rootGapMm: 2.38125,
      rootFaceMm: 1.5875,
      reinforcementMm: 1.5875,
    })
    const n = passesOf(groove, 'fcaw-s', { gPerMin: 30, densityGPerCm3: 7.85 }, r)
    expect([4, 5]).toContain(n)
  })
})
