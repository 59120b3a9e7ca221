/** The international rule book: IEC 60364 (5-52 for cables, 4-43 for their protection). Copper alone: aluminium is not read. */
import { computed, standard } from '../../../basis/source.ts'
import { calculation, from, input, listOf } from '../../../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../../../calculation/reckoner.ts'
import { IEC_60947, IEC_B, IEC_C, IEC_D } from '../../breaker/models.ts'
import { greatestInput } from '../../inputCurrent.ts'
import { ampacityReading, breakerReading, outletReading } from '../../readings.ts'
import type { Load, RuleBook, Ruled } from '../../ruleBook.ts'
import {
  AMBIENT,
  AMPACITY,
  BREAKERS_A,
  BUNCHED,
  BUNCHED_BEYOND,
  CORD_THREE_A,
  CORD_TWO_A,
  METHODS,
  OHM_PER_KM,
  OUTLETS,
  SERVICES,
  PVC_C,
  SIZES,
  XLPE_C,
} from './tables.ts'
import { USUAL_CIRCUITS } from './usualCircuits.ts'
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

const oneA = ({ i1EffA, i1MaxA, dutyPct }: Load, r: Reckoner): number =>
  i1EffA === null
    ? r.take(designCurrentByDuty, { I_1max: i1MaxA, X: dutyPct })
    : r.take(designCurrent, { I_1eff: i1EffA })

function conductorA(loads: readonly Load[], r: Reckoner): Ruled {
  const I = loads.map((load) => oneA(load, r))
  const [only] = I
  if (I.length <= 1) return { value: only ?? 0, source: I_1EFF }
  return { value: r.take(designCurrentOfAll, { I }), source: designCurrentOfAll.source }
}

const COPPER_WARM = 1.2
const BREAKERS = { b: IEC_B, c: IEC_C, d: IEC_D, mccb: IEC_60947 } as const

export const international: RuleBook = {
  id: 'international',
  name: 'International (IEC 60364)',
  note: 'No breaker may be larger than its cable carries, whatever the machine; what several machines draw is added up. Aluminium conductors are left out.',
  unitSystem: 'metric',
  services: SERVICES,
  usualCircuits: USUAL_CIRCUITS,
  columnsC: [PVC_C, XLPE_C],
  outlets: OUTLETS,
  conductorSizes: SIZES,
  breakerSizesA: BREAKERS_A,
  // A machine's inrush throws B: C is what a workshop has.
  breaker: (kind) => BREAKERS[kind ?? 'c'],
  ampacity({ conductorSize, metal, columnC, method, ambientC, bundled, phases }) {
    const column = columnC >= XLPE_C ? XLPE_C : PVC_C
    const rows = AMPACITY[column]?.[phases === 3 ? 3 : 2] ?? []
    const size = rowOf(
      conductorSize,
      rows.map(([one]) => one),
    )
    const row = rows.find(([one]) => one === size)
    const at = METHODS.findIndex((one) => one === (method ?? 'B2'))
    const tableA = row?.slice(1)[at]
    if (metal !== 'copper' || size === null || typeof tableA !== 'number') return null
    const ambientFactor = ambientC === null ? 1 : factorUpTo(AMBIENT[column] ?? [], ambientC, 0)
    const bundleFactor = bundled === null ? 1 : factorUpTo(BUNCHED, bundled, BUNCHED_BEYOND)
    const insulation = column === PVC_C ? 'PVC' : 'XLPE'
    return {
      value: tableA * ambientFactor * bundleFactor,
      source: standard(
        `IEC 60364-5-52, B.52, ${insulation}, method ${method ?? 'B2'}${readAs(conductorSize, size)}`,
        true,
      ),
      tableA,
      ambientFactor,
      bundleFactor,
      terminalA: tableA,
    }
  },
  ohmPerKm(conductorSize, metal) {
    const size = rowOf(conductorSize, [...OHM_PER_KM.keys()])
    const cold = size === null ? undefined : OHM_PER_KM.get(size)
    // A loaded cable is warm: its copper has a fifth more than at 20 °C.
    return cold === undefined || metal !== 'copper'
      ? null
      : { value: cold * COPPER_WARM, source: standard('IEC 60228, at 70 °C', true) }
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
  assess({ breakerA, outlet }, ampacityA, loads, r) {
    const asked = conductorA(loads, r)
    const rated = OUTLETS.find(({ name }) => name === outlet)
    return {
      'conductor-rule': { demand: asked.value, capacity: ampacityA, source: asked.source },
      'breaker-rule': {
        demand: r.take(breakerReading, { I_n: breakerA }),
        capacity: r.take(breakerForCable, { A_c: ampacityA }),
        source: IEC_433,
      },
      ...(rated
        ? {
            'outlet-rule': {
              demand: asked.value,
              capacity: r.take(outletReading, { I_o: rated.ratedA }),
              source: standard('IEC 60884-1, IEC 60309', true),
            },
          }
        : {}),
    }
  },
  from: {
    'conductor-rule': {
      demand: [designCurrent, designCurrentByDuty, designCurrentOfAll],
      capacity: [ampacityReading],
    },
    'breaker-rule': { demand: [breakerReading], capacity: [breakerForCable] },
    'outlet-rule': { demand: [designCurrent, designCurrentByDuty], capacity: [outletReading] },
  },
}
