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

/** NEC Table 310.16, copper, 75 °C. 240.4(D) does not limit them here: 240.4(G) sends welders to Article 630. */
const AMPACITY_A: readonly [size: string, ampacityA: number][] = [
  ['14 AWG', 20],
  ['12 AWG', 25],
  ['10 AWG', 35],
  ['8 AWG', 50],
  ['6 AWG', 65],
  ['4 AWG', 85],
  ['3 AWG', 100],
  ['2 AWG', 115],
  ['1 AWG', 130],
  ['1/0 AWG', 150],
]

const BREAKERS_A = [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200]

/** UL 489, 200 % test: rating in A up to which the breaker trips within so many minutes. */
const TRIP_AT_DOUBLE_MIN: readonly [upToA: number, minutes: number][] = [
  [30, 2],
  [50, 4],
  [100, 6],
  [150, 8],
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
  ampacityA(conductorSize) {
    const row = AMPACITY_A.find(([size]) => size === normal(conductorSize))
    return row ? { value: row[1], source: standard('NEC Table 310.16, copper, 75 °C', true) } : null
  },
  breakerHoldsA: (breakerA) => ({
    value: breakerA,
    source: standard('UL 489: holds 100 % of its rating in open air', true),
  }),
  breakerTripAtDoubleS: (breakerA) => ({
    value: 60 * (TRIP_AT_DOUBLE_MIN.find(([upToA]) => breakerA <= upToA)?.[1] ?? 10),
    source: standard('UL 489: trips within 2 min at 200 % up to 30 A, 4 to 50 A, 6 to 100 A', true),
  }),
  largestBreakerA(i1MaxA, ampacityA) {
    const limit = Math.min(2 * i1MaxA, 2 * ampacityA)
    const value = BREAKERS_A.find((size) => size >= limit - 1e-9) ?? BREAKERS_A.at(-1) ?? limit
    return { value, source: standard('NEC 630.12(A) and (B), next standard size of 240.6(A)', true) }
  },
}
