/** What a hand can turn, and by how much. Steps and least settings are common practice, no source. */
import { describe, expect, it } from 'vitest'
import { sidesOf } from '../fit/fit.ts'
import { settingsOf } from '../fit/settings.ts'
import { demoInput } from '../testing/samples.ts'
import type { WeldSettings } from '../events/weldRecorded.ts'
import { beadsOf } from './beads.ts'
import { weldClassOf } from './causes.ts'
import { knobsOf, startOf } from './knobs.ts'

const sides = (job: string, setUp: string) => {
  const { capability, demand } = sidesOf(demoInput(job, setUp))
  return { capability, start: settingsOf(capability, demand, demand.hungriest) }
}
const NONE: WeldSettings = {
  voltsV: null,
  feedMmPerMin: null,
  currentA: null,
  flowLPerMin: null,
  travelMmPerMin: null,
}
const knobs = (settings: Partial<WeldSettings>, system: 'imperial' | 'metric' = 'metric') => {
  const { capability, start } = sides('press-frame', 'bay-2-wire')
  const supply = capability.supply && { ...capability.supply, voltsDial: [], feedDial: [] }
  const plain = Object.create(capability, { supply: { value: supply } }) as typeof capability
  return knobsOf(plain, start, { ...NONE, ...settings }, system)
}

describe('a knob', () => {
  it('is there for what is set, in the order in which it is set', () => {
    expect(knobs({})).toEqual([])
    expect(knobs({ travelMmPerMin: 300, voltsV: 20 }).map(({ key }) => key)).toEqual([
      'voltsV',
      'travelMmPerMin',
    ])
  })
  it.each([
    ['metric', { voltsV: 20 }, 19.5, 20.5],
    ['metric', { feedMmPerMin: 5000 }, 4750, 5250],
    ['metric', { currentA: 120 }, 115, 125],
    ['metric', { flowLPerMin: 12 }, 11, 13],
    ['metric', { travelMmPerMin: 300 }, 280, 320],
    // 10 in/min, 2 CFH, an inch a minute.
    ['imperial', { feedMmPerMin: 200 * 25.4 }, 190 * 25.4, 210 * 25.4],
    ['imperial', { flowLPerMin: 30 * 0.4719 }, 28 * 0.4719, 32 * 0.4719],
    ['imperial', { travelMmPerMin: 12 * 25.4 }, 11 * 25.4, 13 * 25.4],
  ] as const)('in a %s shop turns %j to %s and %s', (system, settings, down, up) => {
    const [knob] = knobs(settings, system)
    expect(knob?.mark).toBeNull()
    expect(knob?.down).toBeCloseTo(down, 1)
    expect(knob?.up).toBeCloseTo(up, 1)
  })
  it('does not go down to where it sets nothing any more', () => {
    const down = (settings: Partial<WeldSettings>) => knobs(settings)[0]?.down
    expect([down({ voltsV: 5.5 }), down({ voltsV: 5.4 })]).toEqual([5, null])
    expect([down({ currentA: 10 }), down({ currentA: 9 })]).toEqual([5, null])
    expect([down({ flowLPerMin: 4 }), down({ flowLPerMin: 3.5 })]).toEqual([3, null])
    expect([down({ travelMmPerMin: 40 }), down({ travelMmPerMin: 39 })]).toEqual([20, null])
    expect([down({ feedMmPerMin: 750 }), down({ feedMmPerMin: 700 })]).toEqual([500, null])
  })
  it('shows the band of the chart for what the chart has one for', () => {
    const { start } = sides('press-frame', 'bay-2-wire')
    const [volts, flow] = knobs({ voltsV: 20, flowLPerMin: 12 })
    expect(volts?.band).toEqual({ low: start.voltsV?.low, high: start.voltsV?.high })
    expect(flow?.band).toBeNull()
  })
  it('of a dial with marks goes by its marks, volts by the volts and wire by the wire', () => {
    const { capability, start } = sides('press-frame', 'bay-2-wire')
    const marks = (values: readonly number[]) => values.map((value, at) => ({ mark: `${at + 1}`, value }))
    const supply = capability.supply && {
      ...capability.supply,
      voltsDial: marks([16, 18, 20]),
      feedDial: marks([3000, 5000, 7000]),
    }
    const powerSource = capability.powerSource && { ...capability.powerSource, voltageSteps: 3 }
    const tapped = Object.create(capability, {
      supply: { value: supply },
      powerSource: { value: powerSource },
    }) as typeof capability
    const turned = knobsOf(
      tapped,
      start,
      { ...NONE, voltsV: 18, feedMmPerMin: 5000, travelMmPerMin: 300 },
      'metric',
    )
    expect(turned.map(({ key, mark, down, up }) => [key, mark, down, up])).toEqual([
      ['voltsV', '2', 16, 20],
      // Half a mark, between those that were measured.
      ['feedMmPerMin', '2', 4000, 6000],
      ['travelMmPerMin', null, 280, 320],
    ])
  })
})

describe('the start', () => {
  it('is set in figures that a hand can set: amps where no wire is fed, else volts and wire', () => {
    const wire = sides('press-frame', 'bay-2-wire')
    const set = startOf({ ...wire.start, tap: null }, wire.capability)
    expect(set.currentA).toBeNull()
    expect(set.voltsV).toBeCloseTo(wire.start.voltsV?.value ?? 0, 1)
    // Two figures of a wire speed, three of one with five.
    const fed = (value: number) =>
      startOf(
        { ...wire.start, tap: null, feedMmPerMin: { value, low: value, high: value } as never },
        wire.capability,
      ).feedMmPerMin
    expect([fed(9876), fed(10_000), fed(12_345), fed(4321)]).toEqual([9900, 10_000, 12_300, 4300])
    expect(startOf({ ...wire.start, tap: null, feedMmPerMin: null }, wire.capability).feedMmPerMin).toBeNull()
    const tig = sides('pressing-tray', 'bench-tig-dc')
    const amps = startOf(tig.start, tig.capability)
    expect(amps).toMatchObject({ voltsV: null, feedMmPerMin: null })
    expect(amps.currentA).toBe(Math.round(tig.start.currentA.value))
  })
})

it('a set-up has the signs of its process, aluminium wire its own', () => {
  const classOf = (job: string, setUp: string) => weldClassOf(sides(job, setUp).capability)
  expect(classOf('loader-fork', 'yard-stick')).toBe('stick')
  expect(classOf('pressing-tray', 'bench-tig-dc')).toBe('tig-dc')
  expect(classOf('picking-platform', 'bench-tig-ac')).toBe('tig-ac')
  expect(classOf('press-frame', 'bay-2-wire')).toBe('solid')
  const { capability } = sides('press-frame', 'bay-2-wire')
  const by = (id: string, metal: string) =>
    weldClassOf({
      process: { ...capability.process, id } as never,
      wire: capability.wire && ({ ...capability.wire, metal } as never),
    })
  expect(by('gmaw-short', 'aluminium')).toBe('aluminium')
  expect(by('fcaw-s', 'carbon-steel')).toBe('self-shielded')
  expect(by('fcaw-g', 'carbon-steel')).toBe('cored')
  expect(weldClassOf({ process: capability.process, wire: null })).toBe('solid')
})

describe('a bead as a picture', () => {
  const tee = demoInput('press-frame', 'bay-2-wire').job.joints[0]
  if (!tee) throw new Error('the press frame has a weld')
  const right = (part: object) => beadsOf({ ...tee, ...part })[1]
  const hot = (part: object) => beadsOf({ ...tee, ...part })[2]
  it('of a groove is as wide as the part is thick, of thin sheet 3 mm', () => {
    expect(right({ kind: 'square', thicknessAMm: 8, thicknessBMm: 8 })?.widthMm).toBe(8)
    expect(right({ kind: 'square', thicknessAMm: 1, thicknessBMm: 1 })?.widthMm).toBe(3)
  })
  it('has a crown and depth that are part of it, and digs in no deeper than a quarter of the part', () => {
    const {
      widthMm = 0,
      crownMm = 0,
      penetrationMm = 0,
    } = right({ kind: 'square', thicknessAMm: 8, thicknessBMm: 8 }) ?? {}
    for (const share of [crownMm, penetrationMm]) {
      expect(share).toBeGreaterThan(0)
      expect(share).toBeLessThan(widthMm / 2)
    }
    const digs = (thickness: number) =>
      hot({ thicknessAMm: thickness, thicknessBMm: thickness })?.undercutMm ?? 0
    expect(digs(1)).toBeCloseTo(0.25)
    expect(digs(10)).toBeLessThan(1)
    expect(digs(10)).toBeGreaterThan(0.25)
  })
})
