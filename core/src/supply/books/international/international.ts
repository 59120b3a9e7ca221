/** The international rule book: IEC 60364 (5-52 for cables, 4-43 for their protection). */
import { computed, standard } from '../../../basis/source.ts'
import { calculation, from, input, listOf } from '../../../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../../../calculation/reckoner.ts'
import type { Circuit } from '../../../kinds/circuit.ts'
import { IEC_60269_GG, IEC_60947, IEC_B, IEC_C, IEC_D } from '../../breaker/models.ts'
import { greatestInput } from '../../inputCurrent.ts'
import { ampacityReading, breakerReading, cordReading, outletReading } from '../../readings.ts'
import { type WelderDraw, outletOf, type RemarkId, type RuleBook, type Ruled } from '../../ruleBook.ts'
import {
  AMBIENT,
  ampacitiesOf,
  BREAKERS_A,
  BUNCHED,
  BUNCHED_BEYOND,
  BUNCHED_IN_GROUND,
  BUNCHED_IN_GROUND_BEYOND,
  CORD_THREE_A,
  CORD_TWO_A,
  GROUND,
  OHM_PER_KM,
  type Method,
  OUTLETS,
  SERVICES,
  PVC_C,
  SIZES,
  XLPE_C,
} from './tables.ts'
import { USUAL_CIRCUITS, USUAL_SIZES } from './usualCircuits.ts'
import { readAs, rowOf } from '../../conductor.ts'
import { factorUpTo, nextSizeA } from '../reading.ts'

const IEC_433 = standard('IEC 60364-4-43, 433.1: I_b ≤ I_n ≤ I_z and I_2 ≤ 1.45 I_z', true)
const I_1EFF = standard('IEC 60974-1, I₁eff sizes the supply cable; IEC 60364-5-52', true)

const designCurrent = calculation({
  id: 'design-current',
  title: 'Current that the cable is sized for',
  symbol: 'I_b',
  unit: 'A',
  expression: 'I_1eff',
  inputs: { I_1eff: input('effective supply current', 'A', computed('data plate')) },
  compute: ({ I_1eff }) => I_1eff,
  source: I_1EFF,
})
const designCurrentByDuty = calculation({
  id: 'design-current-by-duty',
  title: 'Current that the cable is sized for',
  symbol: 'I_b',
  unit: 'A',
  expression: 'I_1max * sqrt(X / 100)',
  inputs: { I_1max: greatestInput, X: input('duty of that rating', '%', computed('data plate')) },
  compute: ({ I_1max, X }) => I_1max * Math.sqrt(X / 100),
  source: I_1EFF,
})
const designCurrentOfAll = calculation({
  id: 'design-current-of-all',
  title: 'Current of all machines together, none of them taken off',
  symbol: 'I_b',
  unit: 'A',
  expression: 'sum(I)',
  inputs: { I: listOf('of each machine', 'A', computed(), 'design-current', 'design-current-by-duty') },
  compute: ({ I }) => I.reduce((sum, one) => sum + one, 0),
  source: standard('IEC 60364-3, 311: diversity is the designer’s', true),
})
const DESIGN_CURRENTS = [designCurrent, designCurrentByDuty, designCurrentOfAll]

const breakerForCable = calculation({
  id: 'breaker-for-cable',
  title: 'Largest breaker for this cable',
  symbol: 'I_n',
  unit: 'A',
  expression: 'A_c',
  inputs: { A_c: from(ampacityReading) },
  compute: ({ A_c }) => A_c,
  source: IEC_433,
})

const oneA = ({ i1EffA, i1MaxA, dutyPct }: WelderDraw, reckoner: Reckoner): number =>
  i1EffA === null
    ? reckoner.compute(designCurrentByDuty, { I_1max: i1MaxA, X: dutyPct })
    : reckoner.compute(designCurrent, { I_1eff: i1EffA })

function conductorA(loads: readonly WelderDraw[], reckoner: Reckoner): Ruled {
  const I = loads.map((load) => oneA(load, reckoner))
  const [only] = I
  if (I.length <= 1) return { value: only ?? 0, source: I_1EFF }
  return { value: reckoner.compute(designCurrentOfAll, { I }), source: designCurrentOfAll.source }
}

/** Warm: 0.4 % more for each kelvin above 20 °C, at 70 °C. */
const WARM = 1.2
const BREAKERS = { b: IEC_B, c: IEC_C, d: IEC_D, mccb: IEC_60947, gg: IEC_60269_GG } as const

const IEC_OUTLET = standard('IEC 60884-1, IEC 60309', true)
const IEC_OUTLET_BREAKER = standard('IEC 60364-5-53 and 4-43, 433.1: outlets are protected like cables', true)
const IEC_CORD = standard('IEC 60364-4-43, 433.1, for the cord behind an outlet', true)

/** Outlets for everybody need a residual current device of 30 mA (IEC 60364-4-41, 411.3.3). */
const RESIDUAL_TO_A = 32
/** A device above goes second where it is so much larger (common practice; IEC 60269-2 for fuses). */
const DISCRIMINATES = 1.6

function remarks({ outlet, breakerA }: Circuit, above: readonly Pick<Circuit, 'breakerA'>[]): RemarkId[] {
  const isOutlet = outlet !== null && breakerA <= RESIDUAL_TO_A
  return [
    ...(isOutlet ? (['residual-current'] as const) : []),
    ...(above.some((one) => one.breakerA < breakerA * DISCRIMINATES) ? (['discrimination'] as const) : []),
  ]
}

const inGround = (method: Method): boolean => method === 'D1' || method === 'D2'

export const international: RuleBook = {
  id: 'international',
  name: 'International (IEC 60364)',
  note: 'No breaker may be larger than its cable or its outlet. The currents of several machines add up. A gG fuse counts as a breaker of its rating (IEC 60269-2).',
  unitSystem: 'metric',
  filletRule: 'en-1993',
  services: SERVICES,
  usualCircuits: USUAL_CIRCUITS,
  usualSizes: USUAL_SIZES,
  columnsC: [PVC_C, XLPE_C],
  outlets: OUTLETS,
  conductorSizes: SIZES,
  breakerSizesA: BREAKERS_A,
  // A machine's inrush throws B: C is what a workshop has.
  breaker: (kind) => BREAKERS[kind ?? 'c'],
  ampacity({ conductorSize, metal, columnC, method, ambientC, bundled, phases }) {
    const column = columnC >= XLPE_C ? XLPE_C : PVC_C
    const lies = method ?? 'B2'
    const rows = ampacitiesOf(metal, column, phases === 3 ? 3 : 2, lies)
    const size = rowOf(conductorSize, [...rows.keys()])
    const tableA = size === null ? undefined : rows.get(size)
    if (size === null || tableA === undefined) return null
    const [warmth, together, beyond] = inGround(lies)
      ? [GROUND, BUNCHED_IN_GROUND, BUNCHED_IN_GROUND_BEYOND]
      : [AMBIENT, BUNCHED, BUNCHED_BEYOND]
    const ambientFactor = ambientC === null ? 1 : factorUpTo(warmth[column] ?? [], ambientC, 0)
    const bundleFactor = bundled === null ? 1 : factorUpTo(together, bundled, beyond)
    const insulation = column === PVC_C ? 'PVC' : 'XLPE'
    const of = metal === 'copper' ? '' : `${metal}, `
    return {
      value: tableA * ambientFactor * bundleFactor,
      source: standard(
        `IEC 60364-5-52, B.52, ${of}${insulation}, method ${lies}${readAs(conductorSize, size)}`,
        true,
      ),
      tableA,
      ambientFactor,
      bundleFactor,
      terminalA: tableA,
    }
  },
  ohmPerKm(conductorSize, metal) {
    const table = OHM_PER_KM[metal]
    const size = rowOf(conductorSize, [...table.keys()])
    const cold = size === null ? undefined : table.get(size)
    const strands = metal === 'flexible' ? 'class 5' : 'class 2'
    return cold === undefined
      ? null
      : { value: cold * WARM, source: standard(`IEC 60228, ${strands}, at 70 °C`, true) }
  },
  cordA(conductorSize, phases) {
    const table = phases === 3 ? CORD_THREE_A : CORD_TWO_A
    const size = rowOf(conductorSize, [...table.keys()])
    const value = size === null ? undefined : table.get(size)
    return value === undefined
      ? null
      : { value, source: standard('rubber cords in air, makers’ figures (common practice)', true) }
  },
  // The plate names a fuse; the book rules the cable alone.
  breakerMostForA: () => null,
  // Common practice: as the plate’s fuse, which holds its greatest draw for as long as its duty lasts.
  breakerUsualA: (load) => nextSizeA(BREAKERS_A, oneA(load, UNTRACED)),
  conductorA,
  assess(circuit, ampacityA, loads, cordA, reckoner) {
    const asked = conductorA(loads, reckoner)
    const rated = circuit.outlet === null ? null : outletOf(international, circuit.outlet)
    const I_n = reckoner.compute(breakerReading, { I_n: circuit.breakerA })
    const ratedA = rated && reckoner.compute(outletReading, { I_o: rated.ratedA })
    return {
      'conductor-rule': { demand: asked.value, capacity: ampacityA, source: asked.source },
      'breaker-rule': {
        demand: I_n,
        capacity: reckoner.compute(breakerForCable, { A_c: ampacityA }),
        source: IEC_433,
      },
      'breaker-load-rule': { demand: asked.value, capacity: I_n, source: IEC_433 },
      ...(ratedA !== null && {
        'outlet-rule': { demand: asked.value, capacity: ratedA, source: IEC_OUTLET },
        'outlet-breaker-rule': { demand: I_n, capacity: ratedA, source: IEC_OUTLET_BREAKER },
      }),
      ...(cordA !== null && {
        'cord-breaker-rule': {
          demand: I_n,
          capacity: reckoner.compute(cordReading, { A_x: cordA }),
          source: IEC_CORD,
        },
      }),
    }
  },
  remarks,
  from: {
    'conductor-rule': { demand: DESIGN_CURRENTS, capacity: [ampacityReading] },
    'breaker-rule': { demand: [breakerReading], capacity: [breakerForCable] },
    'breaker-load-rule': { demand: DESIGN_CURRENTS, capacity: [breakerReading] },
    'outlet-rule': { demand: DESIGN_CURRENTS, capacity: [outletReading] },
    'outlet-breaker-rule': { demand: [breakerReading], capacity: [outletReading] },
    'cord-breaker-rule': { demand: [breakerReading], capacity: [cordReading] },
  },
}
