/** The North American rule book: NFPA 70 (NEC), Article 630 Part II. Part III, resistance welders, is left out. */
import { computed, dataPlate, standard } from '../../../basis/source.ts'
import { calculation, from, input, listOf } from '../../../calculation/calculation.ts'
import type { Reckoner } from '../../../calculation/reckoner.ts'
import { UL_489 } from '../../breaker/models.ts'
import { greatestInput } from '../../inputCurrent.ts'
import { breakerReading, ampacityReading, outletReading } from '../../readings.ts'
import { type WelderDraw, outletOf, type RuleBook, type Ruled, type Ruling } from '../../ruleBook.ts'
import {
  ALUMINIUM_A,
  ALUMINIUM_OHM_PER_KM,
  AMBIENT,
  BREAKERS_A,
  BUNDLED,
  BUNDLED_BEYOND,
  COPPER_A,
  COPPER_OHM_PER_KM,
  CORD_THREE_A,
  CORD_TWO_A,
  GROUP_SHARES,
  MULTIPLIERS,
  OUTLETS,
  SERVICES,
} from './tables.ts'
import { USUAL_CIRCUITS, USUAL_SIZES } from './usualCircuits.ts'
import { readAs, rowOf } from '../../conductor.ts'
import { factorUpTo, nextSizeA } from '../reading.ts'

const PLATE = dataPlate()
const NEC_630_11 = standard('NEC 630.11(A)', true)
const GROUP = standard('NEC 630.11(B)', true)
const RULE = standard('NEC 630.11(A), 310.16', true)

const effectiveReading = calculation({
  id: 'conductor-by-plate',
  title: 'Conductor current by code',
  symbol: 'I',
  unit: 'A',
  expression: 'I_1eff',
  inputs: { I_1eff: input('effective supply current', 'A', PLATE) },
  compute: ({ I_1eff }) => I_1eff,
  source: NEC_630_11,
})
const conductorByRule = calculation({
  id: 'conductor-by-rule',
  title: 'Conductor current by code',
  symbol: 'I',
  unit: 'A',
  expression: 'I_1max * m',
  inputs: { I_1max: greatestInput, m: input('multiplier for that duty', '×', computed('rule book')) },
  compute: ({ I_1max, m }) => I_1max * m,
  source: NEC_630_11,
})
const conductorByGroup = calculation({
  id: 'conductor-by-group',
  title: 'Feeder current by code: all of the two largest, less of each further one',
  symbol: 'I',
  unit: 'A',
  expression: 'dot(I, g)',
  inputs: {
    I: listOf(
      'of each machine, the largest first',
      'A',
      computed(),
      'conductor-by-plate',
      'conductor-by-rule',
    ),
    g: listOf('share that counts', '', GROUP),
  },
  compute: ({ I, g }) => I.reduce((sum, one, index) => sum + one * (g[index] ?? 0), 0),
  source: GROUP,
})
const breakerForWelder = calculation({
  id: 'largest-breaker-welder',
  title: 'Largest breaker for this machine',
  symbol: 'I_A',
  unit: 'A',
  expression: 'I_A',
  method: 'next standard size from 2 · I₁max',
  inputs: { I_A: input('of the rule book', 'A', computed('rule book')), I_1max: greatestInput },
  compute: ({ I_A }) => I_A,
  source: standard('NEC 630.12(A), next standard size of 240.6(A)', true),
})
const breakerForConductor = calculation({
  id: 'largest-breaker-conductor',
  title: 'Largest breaker for this cable',
  symbol: 'I_B',
  unit: 'A',
  expression: 'I_B',
  method: 'next standard size from 2 · ampacity',
  inputs: { I_B: input('of the rule book', 'A', computed('rule book')), A_c: from(ampacityReading) },
  compute: ({ I_B }) => I_B,
  source: standard('NEC 630.12(B), next standard size of 240.6(A)', true),
})
const largestBreaker = calculation({
  id: 'largest-breaker',
  title: 'Largest breaker for this machine and this cable',
  symbol: 'I_most',
  unit: 'A',
  expression: 'min(I_A, I_B)',
  inputs: { I_A: from(breakerForWelder), I_B: from(breakerForConductor) },
  compute: ({ I_A, I_B }) => Math.min(I_A, I_B),
  source: standard('NEC 630.12(A) and (B)', true),
})

/** Between two rows the rule gives none; the higher duty's row is the safe one. */
const multiplier = (dutyPct: number): Ruled => ({
  value: factorUpTo(MULTIPLIERS, dutyPct, 1),
  source: NEC_630_11,
})

function oneConductorA({ i1EffA, i1MaxA, dutyPct }: WelderDraw, reckoner: Reckoner): number {
  if (i1EffA !== null) return reckoner.compute(effectiveReading, { I_1eff: i1EffA })
  const m = multiplier(dutyPct)
  return reckoner.compute(conductorByRule, { I_1max: i1MaxA, m: m.value }, () => ({
    m: { source: m.source },
  }))
}

function conductorA(loads: readonly WelderDraw[], reckoner: Reckoner): Ruled {
  const I = loads.map((load) => oneConductorA(load, reckoner)).sort((a, b) => b - a)
  const [only] = I
  if (I.length <= 1) return { value: only ?? 0, source: RULE }
  const g = I.map((_, index) => GROUP_SHARES[Math.min(index, GROUP_SHARES.length - 1)] ?? 1)
  return { value: reckoner.compute(conductorByGroup, { I, g }), source: GROUP }
}

/** Smallest of the column and what terminals allow (110.14(C)): no terminal is marked above 75 °C. */
const TERMINAL_C = 75

/** A row by the size that is printed, or the next smaller that the table has. */
function read(table: ReadonlyMap<string, number>, printed: string, text: string): Ruled | null {
  const size = rowOf(printed, [...table.keys()])
  const value = size === null ? undefined : table.get(size)
  return size === null || value === undefined
    ? null
    : { value, source: standard(`${text}${readAs(printed, size)}`, true) }
}

export const northAmerican: RuleBook = {
  id: 'north-american',
  name: 'North American (NEC)',
  note: 'A welder rests between arcs, so its cable may be smaller than its breaker suggests. Resistance welders (630.31 and later) are not covered.',
  unitSystem: 'imperial',
  filletRule: 'd1.1',
  services: SERVICES,
  usualCircuits: USUAL_CIRCUITS,
  usualSizes: USUAL_SIZES,
  columnsC: [60, 75, 90],
  outlets: OUTLETS,
  conductorSizes: [...COPPER_A.keys()],
  breakerSizesA: BREAKERS_A,
  breaker: () => UL_489,
  ampacity({ conductorSize, metal, columnC, ambientC, bundled }) {
    const table = metal === 'copper' ? COPPER_A : ALUMINIUM_A
    const size = rowOf(conductorSize, [...table.keys()])
    const row = size === null ? undefined : table.get(size)
    if (size === null || !row) return null
    const [at60C, at75C, at90C] = row
    const tableA = columnC <= 60 ? at60C : columnC < 90 ? at75C : at90C
    const ambientFactor =
      ambientC === null
        ? 1
        : factorUpTo(AMBIENT[columnC <= 60 ? 60 : columnC < 90 ? 75 : 90] ?? [], ambientC, 0)
    const bundleFactor = bundled === null ? 1 : factorUpTo(BUNDLED, bundled, BUNDLED_BEYOND)
    const terminalA = columnC > TERMINAL_C ? at75C : tableA
    const of = metal === 'copper' ? 'copper' : 'aluminium'
    const corrected = ambientFactor === 1 && bundleFactor === 1 ? '' : ', 310.15(B) and (C)'
    const terminals = columnC <= 60 ? '60 °C' : '75 °C; 110.14(C)'
    return {
      value: Math.min(tableA * ambientFactor * bundleFactor, terminalA),
      source: standard(
        `NEC Table 310.16, ${of}, ${terminals}${corrected}${readAs(conductorSize, size)}`,
        true,
      ),
      tableA,
      ambientFactor,
      bundleFactor,
      terminalA,
    }
  },
  ohmPerKm(conductorSize, metal) {
    return read(
      metal === 'aluminium' ? ALUMINIUM_OHM_PER_KM : COPPER_OHM_PER_KM,
      conductorSize,
      'NEC Chapter 9 Table 8, 75 °C',
    )
  },
  cordA(conductorSize, phases) {
    return read(phases === 3 ? CORD_THREE_A : CORD_TWO_A, conductorSize, 'NEC Table 400.5(A)(1)')
  },
  breakerMostForA: ({ i1MaxA }) => ({
    value: nextSizeA(BREAKERS_A, 2 * i1MaxA),
    source: standard('NEC 630.12(A), next standard size of 240.6(A)', true),
  }),
  // Common practice: half as much again as its greatest draw, well below the double that is allowed.
  breakerUsualA: ({ i1MaxA }) => nextSizeA(BREAKERS_A, 1.5 * i1MaxA),
  conductorA,
  assess({ breakerA, outlet }, ampacityA, loads, _cordA, reckoner) {
    const asked = conductorA(loads, reckoner)
    const conductor: Ruling = { demand: asked.value, capacity: ampacityA, source: asked.source }
    const I_1max = Math.max(0, ...loads.map(({ i1MaxA }) => i1MaxA))
    const I_A = reckoner.compute(breakerForWelder, { I_A: nextSizeA(BREAKERS_A, 2 * I_1max), I_1max })
    const I_B = reckoner.compute(breakerForConductor, {
      I_B: nextSizeA(BREAKERS_A, 2 * ampacityA),
      A_c: ampacityA,
    })
    const most = reckoner.compute(largestBreaker, { I_A, I_B })
    const demand = reckoner.compute(breakerReading, { I_n: breakerA })
    const rated = outlet === null ? null : outletOf(northAmerican, outlet)
    return {
      'conductor-rule': conductor,
      'breaker-rule': {
        demand,
        capacity: most,
        source: I_A <= I_B ? breakerForWelder.source : breakerForConductor.source,
        // One too large for the machine alone is no fault where that has protection of its own, as most inverters have.
        ...(demand <= I_B ? { overOn: 'own-protection' } : {}),
      },
      ...(rated
        ? {
            'outlet-rule': {
              demand: asked.value,
              capacity: reckoner.compute(outletReading, { I_o: rated.ratedA }),
              source: standard('NEMA WD 6; NEC 630.11(A)', true),
            },
          }
        : {}),
    }
  },
  // A receptacle for one welder may be smaller than its breaker (210.21(B)(1), exception 2), and so may its cord.
  remarks: () => [],
  from: {
    'conductor-rule': {
      demand: [effectiveReading, conductorByRule, conductorByGroup],
      capacity: [ampacityReading],
    },
    'breaker-rule': { demand: [breakerReading], capacity: [largestBreaker] },
    'outlet-rule': { demand: [effectiveReading, conductorByRule], capacity: [outletReading] },
  },
}
