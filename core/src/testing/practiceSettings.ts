/**
 * Fifty everyday settings, across processes and thicknesses, that the model's starting settings are held against. All
 * of them are common practice, no source: the middle of what shops run, rounded. Tees and laps unless they say otherwise.
 */
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { wireFeedSpeed } from '../trade/burnOff.ts'
import { startingVoltsOf } from '../trade/startingVolts.ts'
import { thinnerFamily, wantedCurrentOf } from '../trade/wantedCurrent.ts'
import { sampleWire } from './equipment.ts'
import { joint } from './samples.ts'

const INCH = 25.4
const GA = { 24: 0.0239, 22: 0.0299, 20: 0.0359, 18: 0.0478, 16: 0.0598, 14: 0.0747, 11: 0.1196 } as const
const STAINLESS_GA = { 18: 0.05, 16: 0.0625, 14: 0.0781 } as const
const ALUMINIUM_GA = { 14: 0.0641 } as const

const CO2 = { co2Pct: 100, heliumPct: 0 }
const MIX = { co2Pct: 25, heliumPct: 0 }
const RICH = { co2Pct: 10, heliumPct: 0 }
const ARGON = { co2Pct: 0, heliumPct: 0 }
const TRI_MIX = { co2Pct: 2.5, heliumPct: 90 }
type PracticeGas = typeof CO2

export interface PracticeSetting {
  readonly what: string
  readonly process: ProcessId
  readonly wire: Wire | null
  readonly gas: PracticeGas | null
  readonly joint: Joint
  readonly currentA: number
  /** Null by TIG and stick, where nobody sets them. */
  readonly voltsV: number | null
  /** Null without a wire. */
  readonly feedInPerMin: number | null
}

const MATERIAL = {
  'carbon-steel': 'hot-rolled',
  stainless: 'stainless-304',
  aluminium: 'aluminium-6061',
} as const satisfies Record<Metal, string>

const plate = (metal: Metal, thicknessIn: number, part: Partial<Joint> = {}): Joint =>
  joint({
    materialA: MATERIAL[metal],
    materialB: MATERIAL[metal],
    thicknessAMm: thicknessIn * INCH,
    thicknessBMm: thicknessIn * INCH,
    legMm: Math.min(thicknessIn * INCH, 6),
    ...part,
  })

type Said = readonly [what: string, thicknessIn: number, amps: number, volts: number, inPerMin: number]

const wired = (
  group: string,
  { process, metal, gas }: { process: ProcessId; metal: Metal; gas: PracticeGas | null },
  { diameterIn, form, classification }: { diameterIn: number; form: Wire['form']; classification: string },
  rows: readonly Said[],
  part: Partial<Joint> = {},
): PracticeSetting[] =>
  rows.map(([what, thicknessIn, currentA, voltsV, feedInPerMin]) => ({
    what: `${group}, ${what}`,
    process,
    wire: sampleWire({ diameterMm: diameterIn * INCH, form, classification, metal }),
    gas,
    joint: plate(metal, thicknessIn, part),
    currentA,
    voltsV,
    feedInPerMin,
  }))
const set = (
  what: string,
  process: ProcessId,
  wire: Wire | null,
  one: Joint,
  currentA: number,
): PracticeSetting => ({
  what,
  process,
  wire,
  gas: wire ? null : ARGON,
  joint: one,
  currentA,
  voltsV: null,
  feedInPerMin: null,
})

const SHORT = { process: 'gmaw-short', metal: 'carbon-steel', gas: MIX } as const
const SPRAY = { process: 'gmaw-spray', metal: 'carbon-steel', gas: RICH } as const
const ALUMINIUM = { process: 'gmaw-spray', metal: 'aluminium', gas: ARGON } as const
const SELF = { process: 'fcaw-s', metal: 'carbon-steel', gas: null } as const
const CORED = { process: 'fcaw-g', metal: 'carbon-steel', gas: CO2 } as const
const solid = (diameterIn: number) => ({ diameterIn, form: 'solid', classification: 'ER70S-6' }) as const
const ER5356 = (diameterIn: number) => ({ diameterIn, form: 'solid', classification: 'ER5356' }) as const
const selfShielded = (diameterIn: number, classification = 'E71T-11') =>
  ({ diameterIn, form: 'cored-self-shielded', classification }) as const
const gasShielded = (diameterIn: number) =>
  ({ diameterIn, form: 'cored-gas-shielded', classification: 'E71T-1C/M' }) as const

const stick = (classification: string, diameterIn: number): Wire =>
  sampleWire({ form: 'covered', classification, diameterMm: diameterIn * INCH })
const square = { kind: 'square', legMm: null } as const
const vee = { kind: 'v', legMm: null, includedAngleDeg: 60 } as const

export const PRACTICE_SETTINGS: readonly PracticeSetting[] = [
  ...wired('0.023 solid in 75/25', SHORT, solid(0.023), [
    ['24 ga', GA[24], 35, 14.5, 130],
    ['22 ga', GA[22], 43, 15, 150],
    ['20 ga', GA[20], 52, 15.5, 185],
    ['18 ga', GA[18], 68, 16, 240],
  ]),
  ...wired('0.030 solid in 75/25', SHORT, solid(0.03), [
    ['18 ga', GA[18], 68, 16, 140],
    ['16 ga', GA[16], 85, 17, 175],
    ['14 ga', GA[14], 102, 17.5, 215],
    ['1/8 in', 1 / 8, 130, 18.5, 280],
  ]),
  ...wired('0.035 solid in 75/25', SHORT, solid(0.035), [
    ['16 ga', GA[16], 88, 17, 140],
    ['14 ga', GA[14], 108, 17.5, 180],
    ['11 ga', GA[11], 135, 18.5, 225],
    ['3/16 in', 3 / 16, 165, 19.5, 285],
    ['1/4 in', 1 / 4, 190, 20.5, 340],
  ]),
  ...wired('0.035 solid in CO₂', { ...SHORT, gas: CO2 }, solid(0.035), [
    ['1/8 in', 1 / 8, 135, 20, 220],
    ['3/16 in', 3 / 16, 155, 21, 250],
  ]),
  ...wired('0.045 solid in 75/25', SHORT, solid(0.045), [
    ['1/8 in', 1 / 8, 150, 18.5, 145],
    ['1/4 in', 1 / 4, 210, 21, 225],
  ]),
  ...wired(
    '0.035 308L in tri-mix',
    { process: 'gmaw-short', metal: 'stainless', gas: TRI_MIX },
    { diameterIn: 0.035, form: 'solid', classification: 'ER308L' },
    [
      ['16 ga', STAINLESS_GA[16], 85, 19, 145],
      ['14 ga', STAINLESS_GA[14], 105, 20, 185],
      ['1/8 in', 1 / 8, 130, 21, 230],
    ],
  ),
  ...wired('0.035 spray in 90/10', SPRAY, solid(0.035), [
    ['3/16 in', 3 / 16, 195, 25, 390],
    ['1/4 in', 1 / 4, 215, 26, 450],
  ]),
  ...wired('0.045 spray in 90/10', SPRAY, solid(0.045), [
    ['1/4 in', 1 / 4, 245, 27, 310],
    ['3/8 in', 3 / 8, 285, 28, 390],
  ]),
  ...wired('1/16 spray in 90/10', SPRAY, solid(1 / 16), [['1/2 in', 1 / 2, 370, 29, 260]]),
  ...wired('0.030 4043 in argon', ALUMINIUM, { ...solid(0.03), classification: 'ER4043' }, [
    ['14 ga', ALUMINIUM_GA[14], 90, 17.5, 380],
  ]),
  ...wired('0.035 5356 in argon', ALUMINIUM, ER5356(0.035), [['1/8 in', 1 / 8, 130, 20, 450]]),
  ...wired('3/64 5356 in argon', ALUMINIUM, ER5356(0.047), [
    ['1/8 in', 1 / 8, 130, 20.5, 290],
    ['3/16 in', 3 / 16, 165, 22, 350],
    ['1/4 in', 1 / 4, 200, 23.5, 410],
  ]),
  ...wired('1/16 5356 in argon', ALUMINIUM, ER5356(1 / 16), [['3/8 in', 3 / 8, 260, 25.5, 270]]),
  ...wired('0.035 E71T-11', SELF, selfShielded(0.035), [
    ['14 ga', GA[14], 65, 15, 80],
    ['1/8 in', 1 / 8, 85, 16, 110],
    ['1/4 in', 1 / 4, 115, 17, 155],
  ]),
  ...wired('0.045 E71T-11', SELF, selfShielded(0.045), [
    ['1/4 in', 1 / 4, 130, 17, 105],
    ['3/8 in', 3 / 8, 155, 18, 125],
  ]),
  ...wired('5/64 E71T-8', SELF, selfShielded(5 / 64, 'E71T-8'), [['1/2 in', 1 / 2, 235, 20, 95]]),
  ...wired('3/32 E70T-4', SELF, selfShielded(3 / 32, 'E70T-4'), [['3/4 in', 3 / 4, 300, 29, 130]]),
  ...wired('0.045 E71T-1 in CO₂', CORED, gasShielded(0.045), [
    ['1/4 in', 1 / 4, 185, 26.5, 300],
    ['3/8 in', 3 / 8, 215, 27.5, 370],
  ]),
  ...wired(
    '0.045 E71T-1 in CO₂, vertical up',
    CORED,
    gasShielded(0.045),
    [['V in 1/2 in', 1 / 2, 190, 25.5, 310]],
    { ...vee, position: 'vertical-up' },
  ),
  ...wired('1/16 E71T-1 in CO₂', CORED, gasShielded(1 / 16), [['1/2 in', 1 / 2, 295, 29, 240]]),
  set('TIG, butt of 16 ga 304', 'gtaw-dc', null, plate('stainless', STAINLESS_GA[16], square), 52),
  set('TIG, butt of 14 ga 304', 'gtaw-dc', null, plate('stainless', STAINLESS_GA[14], square), 70),
  set('TIG, tee of 1/8 in steel', 'gtaw-dc', null, plate('carbon-steel', 1 / 8), 120),
  set('TIG, butt of 1/16 in 6061', 'gtaw-ac', null, plate('aluminium', 1 / 16, square), 65),
  set('TIG, butt of 1/8 in 6061', 'gtaw-ac', null, plate('aluminium', 1 / 8, square), 130),
  set('TIG, tee of 1/4 in 6061', 'gtaw-ac', null, plate('aluminium', 1 / 4), 245),
  set('1/16 E6013 on 16 ga', 'smaw', stick('E6013', 1 / 16), plate('carbon-steel', GA[16]), 33),
  set('3/32 E7018 on 1/8 in', 'smaw', stick('E7018', 3 / 32), plate('carbon-steel', 1 / 8), 75),
  set('1/8 E7018 on 1/4 in', 'smaw', stick('E7018', 1 / 8), plate('carbon-steel', 1 / 4), 125),
  set('5/32 E7018 on 3/8 in', 'smaw', stick('E7018', 5 / 32), plate('carbon-steel', 3 / 8), 160),
  set('3/16 E7018 on 3/4 in', 'smaw', stick('E7018', 3 / 16), plate('carbon-steel', 3 / 4), 220),
  set('1/8 E6010 on 3/8 in', 'smaw', stick('E6010', 1 / 8), plate('carbon-steel', 3 / 8), 95),
  set('1/8 E6013 on 3/16 in', 'smaw', stick('E6013', 1 / 8), plate('carbon-steel', 3 / 16), 105),
  set('1/8 E7024 on 3/8 in', 'smaw', stick('E7024', 1 / 8), plate('carbon-steel', 3 / 8), 160),
]

export interface Residual {
  readonly what: string
  /** What is off, %: the model over practice, less one. Null where practice names none. */
  readonly currentPct: number
  readonly voltsPct: number | null
  readonly feedPct: number | null
  readonly model: {
    readonly currentA: number
    readonly voltsV: number | null
    readonly feedInPerMin: number | null
  }
}

/** What the model starts each of them with under the default assumptions, and how far off that is. */
export function practiceResiduals(): readonly Residual[] {
  const r = reckonerFor(assumptionsOf({ assumptions: {} }))
  return PRACTICE_SETTINGS.map((one) => {
    const currentA = wantedCurrentOf(one.joint, one.process, one.wire, r).wantedA
    const classification = one.wire?.classification ?? null
    const arc = { metal: thinnerFamily(one.joint), gas: one.gas, classification }
    const isFed = PROCESSES[one.process].feedsWire
    const voltsV = isFed ? startingVoltsOf(one.process, arc, currentA, r) : null
    const feedInPerMin = isFed && one.wire ? wireFeedSpeed(one.wire, currentA, one.process, r) / INCH : null
    const off = (model: number | null, practice: number | null) =>
      model === null || practice === null ? null : (model / practice - 1) * 100
    return {
      what: one.what,
      currentPct: (currentA / one.currentA - 1) * 100,
      voltsPct: off(voltsV, one.voltsV),
      feedPct: off(feedInPerMin, one.feedInPerMin),
      model: { currentA, voltsV, feedInPerMin },
    }
  })
}
