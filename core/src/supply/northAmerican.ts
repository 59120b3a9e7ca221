/** The North American rule book: NFPA 70 (NEC), Article 630 Part II, Table 310.16, 240.6(A). */
import { standard } from '../basis/source.ts'
import type { RuleBook } from './ruleBook.ts'

/** NEC 630.11(A), arc welders without a motor generator: duty in %, multiplier. */
const MULTIPLIERS: readonly [dutyPct: number, factor: number][] = [
  [20, 0.45],
  [30, 0.55],
  [40, 0.63],
  [50, 0.71],
  [60, 0.78],
  [70, 0.84],
  [80, 0.89],
  [90, 0.95],
  [100, 1],
]

/**
 * NEC Table 310.16, copper, 60, 75 and 90 °C. 240.4(D) does not limit them here: 240.4(G) sends welders to Article 630.
 * By 110.14(C) terminals are rated for 75 °C at most: the last column is for derating, and is not read to its end.
 */
const AMPACITY_A: readonly [size: string, at60C: number, at75C: number][] = [
  ['14 AWG', 15, 20],
  ['12 AWG', 20, 25],
  ['10 AWG', 30, 35],
  ['8 AWG', 40, 50],
  ['6 AWG', 55, 65],
  ['4 AWG', 70, 85],
  ['3 AWG', 85, 100],
  ['2 AWG', 95, 115],
  ['1 AWG', 110, 130],
  ['1/0 AWG', 125, 150],
]

/** NEC 240.6(A), to 600 A. */
const BREAKERS_A = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450,
  500, 600,
]

/** UL 489, 200 % test: rating in A up to which the breaker trips within so many minutes. */
const TRIP_AT_DOUBLE_MIN: readonly [upToA: number, minutes: number][] = [
  [30, 2],
  [50, 4],
  [100, 6],
  [150, 8],
  [225, 10],
  [400, 12],
  [600, 14],
]

/** `#12`, `12 awg`, `12AWG` are the same cable. */
const normal = (size: string): string =>
  `${size
    .trim()
    .replace(/^#\s*/, '')
    .replace(/\s*awg$/i, '')} AWG`

export const northAmerican: RuleBook = {
  id: 'north-american',
  name: 'North American (NEC)',
  conductorSizes: AMPACITY_A.map(([size]) => size),
  breakerSizesA: BREAKERS_A,
  multiplier(dutyPct) {
    // Between two rows the rule gives none; the higher duty's row is the safe one.
    const row = MULTIPLIERS.find(([duty]) => dutyPct <= duty + 1e-9)
    return { value: row?.[1] ?? 1, source: standard('NEC 630.11(A)', true) }
  },
  ampacityA(conductorSize, columnC) {
    const row = AMPACITY_A.find(([size]) => size === normal(conductorSize))
    if (!row) return null
    const [, at60C, at75C] = row
    return columnC === 60
      ? { value: at60C, source: standard('NEC Table 310.16, copper, 60 °C', true) }
      : { value: at75C, source: standard('NEC Table 310.16, copper, 75 °C; 110.14(C)', true) }
  },
  breakerHoldsA: (breakerA) => ({
    value: breakerA,
    source: standard('UL 489: holds 100 % of its rating in open air', true),
  }),
  breakerTripAtDoubleS: (breakerA) => ({
    value: 60 * (TRIP_AT_DOUBLE_MIN.find(([upToA]) => breakerA <= upToA)?.[1] ?? 16),
    source: standard('UL 489: trips within 2 min at 200 % up to 30 A, 4 to 50 A, 6 to 100 A', true),
  }),
  largestBreakerForWelderA: (i1MaxA) => ({
    value: nextSizeA(2 * i1MaxA),
    source: standard('NEC 630.12(A), next standard size of 240.6(A)', true),
  }),
  largestBreakerForConductorA: (ampacityA) => ({
    value: nextSizeA(2 * ampacityA),
    source: standard('NEC 630.12(B), next standard size of 240.6(A)', true),
  }),
}

/** Where a limit is no standard size, the next one may be taken. */
const nextSizeA = (limitA: number): number =>
  BREAKERS_A.find((size) => size >= limitA - 1e-9) ?? BREAKERS_A.at(-1) ?? limitA
