/**
 * The current of a covered electrode. It is set by the electrode's own range first: from its middle, turned down on
 * plate that is hardly thicker than the core, and by position. However thick the plate, it melts a bead of its own size.
 */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Wire } from '../kinds/equipment.ts'
import { COVERED_RANGE_SOURCE, coveredRangeOf } from '../reference/coveredElectrodes.ts'
import { heatedThickness } from './layers.ts'
import { USUAL_ELECTRODE } from './covered.ts'

/** What of an electrode decides about its current. */
export type Carrier = Pick<Wire, 'diameterMm' | 'classification'> &
  Partial<Pick<Wire, 'currentMinA' | 'currentMaxA'>>

const PRACTICE = commonPractice(
  'common practice: middle of the electrode’s range, then by plate and position',
)
const core = inputOrAssumed('core diameter', 'mm diameter', jobField('electrode of the set-up'))

const middle = calculation({
  id: 'stick-middle',
  title: 'Middle of the range of this electrode',
  symbol: 'I_m',
  unit: 'A',
  expression: '(I_1 + I_2) / 2',
  inputs: {
    I_1: input('least usable current', 'A', COVERED_RANGE_SOURCE),
    I_2: input('most usable current', 'A', COVERED_RANGE_SOURCE),
  },
  compute: ({ I_1, I_2 }) => (I_1 + I_2) / 2,
  source: PRACTICE,
})
const overPlate = calculation({
  id: 'stick-over-plate',
  title: 'Current of this electrode on plate of twice its core and more',
  symbol: 'I_s',
  unit: 'A',
  expression: 'I_m * f_o',
  inputs: { I_m: from(middle), f_o: inputOrAssumed('factor of the position', '×', PRACTICE) },
  compute: ({ I_m, f_o }) => I_m * f_o,
  source: PRACTICE,
})
const overPlateWarm = calculation({
  id: 'stick-over-plate-warm',
  title: 'Current of this electrode on plate of twice its core and more, where it is preheated',
  symbol: 'I_s',
  unit: 'A',
  expression: 'I_m * f_o * min(1, (T_m - T_p) / (T_m - T_0))',
  inputs: {
    I_m: from(middle),
    f_o: inputOrAssumed('factor of the position', '×', PRACTICE),
    T_m: inputOrAssumed('the metal melts at', '°C', PRACTICE),
    T_p: input('preheat', '°C', jobField('preheat of the job')),
    T_0: assumed('workshopC'),
  },
  compute: ({ I_m, f_o, T_m, T_p, T_0 }) => I_m * f_o * Math.min(1, (T_m - T_p) / (T_m - T_0)),
  source: handbook('heat flow in thick plate (Rosenthal): the arc brings what is missing to melting', false),
})
export const stickCurrentOverPlate = from(overPlate, overPlateWarm)

export const stickCurrent = calculation({
  id: 'joint-current-stick',
  title: 'Current that the electrode takes on this plate',
  symbol: 'I_j',
  unit: 'A',
  expression: 'I_s * min(q / 100 * t / d, q / 100 + (1 - q / 100) * (t / d - 1), 1)',
  inputs: {
    I_s: stickCurrentOverPlate,
    q: assumed('stickThinPct'),
    t: from(...heatedThickness),
    d: core,
  },
  compute: ({ I_s, q, t, d }) =>
    I_s * Math.min(((q / 100) * t) / d, q / 100 + (1 - q / 100) * (t / d - 1), 1),
  source: PRACTICE,
})

/** How the current of a stick goes with the plate. */
export interface StickLaw {
  readonly by: 'stick'
  /** On plate of twice its core and more, A. */
  readonly overPlateA: number
  readonly coreMm: number
}

interface Stick {
  /** Thickness to heat, mm. */
  readonly heatedMm: number
  readonly positionFactor: AssumptionKey | 1
  readonly meltsAt: AssumptionKey
  /** °C; null where the part is as cold as the shop. */
  readonly preheatC: number | null
}

/** A class or a size that the table does not have runs like the everyday one of its diameter. */
function rangeOf(electrode: Carrier): { readonly minA: number; readonly maxA: number } {
  const { classification, diameterMm } = USUAL_ELECTRODE
  const known =
    coveredRangeOf(electrode) ?? coveredRangeOf({ classification, diameterMm: electrode.diameterMm })
  if (known) return known
  const usual = coveredRangeOf({ classification, diameterMm })
  if (!usual) throw new RangeError('the table of covered electrodes lacks E7018')
  const scale = electrode.diameterMm / diameterMm
  return { minA: usual.minA * scale, maxA: usual.maxA * scale }
}

/** @returns the current on this plate, A, and how it goes with the plate */
export function stickCurrentOf(
  carrier: Carrier | null,
  { heatedMm, positionFactor: f_o, meltsAt: T_m, preheatC }: Stick,
  reckoner: Reckoner,
): { readonly jointA: number; readonly law: StickLaw } {
  const electrode = carrier ?? USUAL_ELECTRODE
  const { minA, maxA } = rangeOf(electrode)
  const d = electrode.diameterMm
  const I_m = reckoner.compute(middle, {
    I_1: carrier?.currentMinA ?? minA,
    I_2: carrier?.currentMaxA ?? maxA,
  })
  const I_s =
    preheatC === null
      ? reckoner.compute(overPlate, { I_m, f_o })
      : reckoner.compute(overPlateWarm, { I_m, f_o, T_m, T_p: preheatC })
  return {
    jointA: reckoner.compute(stickCurrent, { I_s, t: heatedMm, d }),
    law: { by: 'stick', overPlateA: I_s, coreMm: d },
  }
}
