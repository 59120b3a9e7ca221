/** Root and fill passes of a groove: each with its own current, metal and time. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { BEVELLED_KINDS } from '../model/jointKinds.ts'
import type { Joint } from '../kinds/job.ts'
import { type ProcessId, PROCESS_IDS } from '../model/process.ts'
import { sampleWire } from '../testing/equipment.ts'
import { demoInput, joint } from '../testing/samples.ts'
import { runs as tries } from '../testing/runs.ts'
import { type Melted, runsOf, type WeldFigures, weldFiguresOf } from './weldFigures.ts'
import { sequenceOf } from './sequence.ts'
import { demandOf } from './demand.ts'

const INCH = 25.4
const assumptions = assumptionsOf({ assumptions: {} })
const r = reckonerFor(assumptions)
const job = { quantity: 1, pauseS: null, handling: 'bench', preheatC: null } as const
const groove = (change: Partial<Joint> = {}): Joint =>
  joint({
    kind: 'v',
    thicknessAMm: INCH / 2,
    thicknessBMm: INCH / 2,
    legMm: null,
    includedAngleDeg: 60,
    rootFaceMm: 1.5875,
    rootGapMm: 2.38125,
    position: 'flat',
    passes: null,
    backing: false,
    ...change,
  })
const figures = (one: Joint, process: ProcessId, wire: Melted | null): WeldFigures =>
  weldFiguresOf(one, job, process, wire, r)
const solid = sampleWire({ form: 'solid', diameterMm: 0.889, classification: 'ER70S-6' })
const E6010 = sampleWire({ form: 'covered', diameterMm: 3.175, classification: 'E6010' })
const passesIn = (one: Joint, process: ProcessId, wire: Melted | null) => {
  const { runs } = figures(one, process, wire)
  const [root, fill] = runs
  if (!root || !fill) throw new Error('no root pass of its own')
  return { root, fill }
}

describe('an open root', () => {
  it('by short-circuit takes 110 to 150 A with 0.035 wire, well below its fill passes (common practice, no source)', () => {
    const { root, fill } = passesIn(groove(), 'gmaw-short', solid)
    expect([root.pass, fill.pass]).toEqual(['root', 'fill'])
    expect(root.wantedA).toBeGreaterThan(110)
    expect(root.wantedA).toBeLessThan(150)
    expect(fill.wantedA).toBeGreaterThan(1.5 * root.wantedA)
    // Its volts and its wire follow: the root is fed about half of it.
    expect(root.feedMmPerMin).toBeLessThan(0.6 * (fill.feedMmPerMin ?? 0))
  })
  it('by stick is at the low end of an 1/8 E6010, 75 to 105 A (common practice, no source)', () => {
    const { root, fill } = passesIn(groove({ thicknessAMm: 7, thicknessBMm: 7 }), 'smaw', E6010)
    expect(root.wantedA).toBeGreaterThan(75)
    expect(root.wantedA).toBeLessThan(fill.wantedA)
    expect(fill.wantedA).toBeLessThanOrEqual(105)
  })
  it('of aluminium by TIG is colder than the plate above it; of steel every pass heats its own layer', () => {
    const aluminium = groove({ materialA: 'aluminium-6061', materialB: 'aluminium-6061' })
    const light = passesIn(aluminium, 'gtaw-ac', null)
    expect(light.root.wantedA).toBeLessThan(0.8 * light.fill.wantedA)
    const steel = passesIn(groove(), 'gtaw-dc', null)
    expect(steel.root.wantedA).toBe(steel.fill.wantedA)
  })
  it('is one with the rest on a backing bar, in one pass, and where nothing is bevelled', () => {
    expect(figures(groove({ backing: true }), 'gmaw-short', solid).runs).toEqual([])
    expect(figures(groove({ passes: 1 }), 'gmaw-short', solid).runs).toEqual([])
    expect(figures(groove({ kind: 'tee', legMm: 10 }), 'gmaw-short', solid).runs).toEqual([])
    expect(figures(groove({ passes: 2 }), 'gmaw-short', solid).runs).toHaveLength(2)
  })
  it('takes the metal of its layer: strip by strip the same as by rule', () => {
    const one = groove({ passes: 4 })
    const { root, fill } = passesIn(one, 'gtaw-dc', null)
    const height = INCH / 2 / 4
    const strips = 2000
    let area = 0
    for (let i = 0; i < strips; i += 1) {
      const y = ((i + 0.5) * height) / strips
      const open = 2.38125 + 2 * Math.max(0, y - 1.5875) * Math.tan(Math.PI / 6)
      area += (open * height) / strips
    }
    // Steel of 7.85 g/cm³ (handbook); one strip in two thousand is the error.
    const grams = (area * one.lengthMm * 7.85) / 1000
    expect(Math.abs(root.metalG / grams - 1)).toBeLessThan(0.03)
    expect(fill.metalG).toBeGreaterThan(3 * root.metalG)
  })
  it('of a double V is in the middle of the plate', () => {
    const { root } = passesIn(
      groove({ kind: 'double-v', thicknessAMm: 25.4, thicknessBMm: 25.4 }),
      'smaw',
      E6010,
    )
    const single = passesIn(groove({ thicknessAMm: 25.4, thicknessBMm: 25.4 }), 'smaw', E6010)
    // Half of its layer opens to either side: no wider than at the bottom of a single V.
    expect(root.metalG).toBeLessThanOrEqual(single.root.metalG + 1e-9)
    expect(root.metalG).toBeGreaterThan(0)
  })
})

describe('its passes together', () => {
  const grooves = fc.record({
    kind: fc.constantFrom(...BEVELLED_KINDS),
    thicknessAMm: fc.double({ min: 6, max: 40, noNaN: true }),
    rootGapMm: fc.double({ min: 0, max: 5, noNaN: true }),
    position: fc.constantFrom('flat', 'vertical-up', 'overhead' as const),
    passes: fc.option(fc.integer({ min: 2, max: 12 }), { nil: null }),
  })
  it('are the metal, filler, arcs and time of the line, and the root never takes more current', () => {
    fc.assert(
      fc.property(grooves, fc.constantFrom(...PROCESS_IDS), (change, process) => {
        const wire = process === 'smaw' ? E6010 : process.startsWith('gtaw') ? null : solid
        const line = figures(groove({ ...change, thicknessBMm: change.thicknessAMm }), process, wire)
        const [root, fill] = line.runs
        if (!root || !fill) return
        const both = (of: (run: WeldFigures) => number) => of(root) + of(fill)
        expect(both(({ metalG }) => metalG)).toBeCloseTo(line.metalG, 6)
        expect(both(({ fillerG }) => fillerG)).toBeCloseTo(line.fillerG, 6)
        expect(both(({ passes }) => passes)).toBe(line.passes)
        expect(both(({ arcs }) => arcs)).toBe(line.arcs)
        expect(both(({ tackS }) => tackS)).toBe(line.tackS)
        expect(both(({ arcS }) => arcS ?? 0)).toBeCloseTo(line.arcS ?? 0, 6)
        expect(root.wantedA).toBeLessThanOrEqual(fill.wantedA * (1 + 1e-9))
        expect(line.wantedA).toBe(fill.wantedA)
        if (change.passes !== null) expect(line.passes).toBe(change.passes)
      }),
      { numRuns: tries(60) },
    )
  })
  it('stand in the order of welding, the tacks once', () => {
    const line = figures(groove({ count: 3 }), 'gmaw-short', solid)
    const [{ arcs, tacks } = { arcs: [], tacks: 0 }] = sequenceOf([line])
    expect(arcs.map(({ pass }) => pass)).toEqual(['root', 'fill'])
    expect(arcs[0]?.times).toBe(3)
    expect(arcs[0]?.arcS).toBe(line.runs[0]?.oneArcS)
    expect(tacks).toBe(line.runs[0]?.tacks)
    expect(runsOf([line]).map(({ tackS }) => tackS > 0)).toEqual([true, false])
  })
  it('ask the source for the least by the root, and for the most by the fill passes', () => {
    const { job: fork, wire, shop } = demoInput('loader-fork', 'bay-2-wire')
    const demand = demandOf(fork, 'gmaw-short', wire, shop)
    expect([demand.thinnest.pass, demand.hungriest.pass]).toEqual(['root', 'fill'])
    // A minute at the root counts less than a minute at the fill's current: heat goes with the square.
    const allAtFill = { ...demand.hungriest, runs: [] }
    expect(demand.dutyPct).toBeLessThan(100)
    expect(demand.spells.map(({ heat }) => heat).toSorted()[0]).toBeLessThan(
      (allAtFill.wantedA / demand.hungriest.wantedA) ** 2,
    )
  })
})
