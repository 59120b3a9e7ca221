/** Tables of NFPA 70 (NEC), from memory: 310.16, 310.15(B)(1), 310.15(C)(1), 400.5(A)(1), Chapter 9 Table 8, 630.11, 240.6(A). */
import type { Outlet, Service } from '../../ruleBook.ts'

type Columns = readonly [at60C: number, at75C: number, at90C: number]

/** Table 310.16, A: not more than three current-carrying conductors in raceway, cable or earth, 30 °C. */
export const COPPER_A: ReadonlyMap<string, Columns> = new Map([
  ['14 AWG', [15, 20, 25]],
  ['12 AWG', [20, 25, 30]],
  ['10 AWG', [30, 35, 40]],
  ['8 AWG', [40, 50, 55]],
  ['6 AWG', [55, 65, 75]],
  ['4 AWG', [70, 85, 95]],
  ['3 AWG', [85, 100, 115]],
  ['2 AWG', [95, 115, 130]],
  ['1 AWG', [110, 130, 145]],
  ['1/0 AWG', [125, 150, 170]],
  ['2/0 AWG', [145, 175, 195]],
  ['3/0 AWG', [165, 200, 225]],
  ['4/0 AWG', [195, 230, 260]],
  ['250 kcmil', [215, 255, 290]],
  ['300 kcmil', [240, 285, 320]],
  ['350 kcmil', [260, 310, 350]],
  ['400 kcmil', [280, 335, 380]],
  ['500 kcmil', [320, 380, 430]],
  ['600 kcmil', [350, 420, 475]],
])
export const ALUMINIUM_A: ReadonlyMap<string, Columns> = new Map([
  ['12 AWG', [15, 20, 25]],
  ['10 AWG', [25, 30, 35]],
  ['8 AWG', [35, 40, 45]],
  ['6 AWG', [40, 50, 55]],
  ['4 AWG', [55, 65, 75]],
  ['3 AWG', [65, 75, 85]],
  ['2 AWG', [75, 90, 100]],
  ['1 AWG', [85, 100, 115]],
  ['1/0 AWG', [100, 120, 135]],
  ['2/0 AWG', [115, 135, 150]],
  ['3/0 AWG', [130, 155, 175]],
  ['4/0 AWG', [150, 180, 205]],
  ['250 kcmil', [170, 205, 230]],
  ['300 kcmil', [195, 230, 260]],
  ['350 kcmil', [210, 250, 280]],
  ['400 kcmil', [225, 270, 305]],
  ['500 kcmil', [260, 310, 350]],
  ['600 kcmil', [285, 340, 385]],
])

/** Chapter 9 Table 8, direct current at 75 °C, stranded, uncoated, Ω/km. */
export const COPPER_OHM_PER_KM: ReadonlyMap<string, number> = new Map([
  ['18 AWG', 26.1],
  ['16 AWG', 16.4],
  ['14 AWG', 10.3],
  ['12 AWG', 6.5],
  ['10 AWG', 4.07],
  ['8 AWG', 2.551],
  ['6 AWG', 1.608],
  ['4 AWG', 1.01],
  ['3 AWG', 0.802],
  ['2 AWG', 0.634],
  ['1 AWG', 0.505],
  ['1/0 AWG', 0.399],
  ['2/0 AWG', 0.317],
  ['3/0 AWG', 0.2512],
  ['4/0 AWG', 0.1996],
  ['250 kcmil', 0.1687],
  ['300 kcmil', 0.1409],
  ['350 kcmil', 0.1205],
  ['400 kcmil', 0.1053],
  ['500 kcmil', 0.0845],
  ['600 kcmil', 0.0704],
])
export const ALUMINIUM_OHM_PER_KM: ReadonlyMap<string, number> = new Map([
  ['12 AWG', 10.69],
  ['10 AWG', 6.679],
  ['8 AWG', 4.204],
  ['6 AWG', 2.652],
  ['4 AWG', 1.666],
  ['3 AWG', 1.32],
  ['2 AWG', 1.045],
  ['1 AWG', 0.829],
  ['1/0 AWG', 0.66],
  ['2/0 AWG', 0.523],
  ['3/0 AWG', 0.413],
  ['4/0 AWG', 0.328],
  ['250 kcmil', 0.2778],
  ['300 kcmil', 0.2318],
  ['350 kcmil', 0.1984],
  ['400 kcmil', 0.1737],
  ['500 kcmil', 0.1391],
  ['600 kcmil', 0.1159],
])

/** Table 310.15(B)(1): warmth up to, °C, and the factor, by column; none beyond. */
export const AMBIENT: Readonly<Record<number, readonly (readonly [upToC: number, factor: number])[]>> = {
  60: [
    [10, 1.29],
    [15, 1.22],
    [20, 1.15],
    [25, 1.08],
    [30, 1],
    [35, 0.91],
    [40, 0.82],
    [45, 0.71],
    [50, 0.58],
    [55, 0.41],
  ],
  75: [
    [10, 1.2],
    [15, 1.15],
    [20, 1.11],
    [25, 1.05],
    [30, 1],
    [35, 0.94],
    [40, 0.88],
    [45, 0.82],
    [50, 0.75],
    [55, 0.67],
    [60, 0.58],
    [65, 0.47],
    [70, 0.33],
  ],
  90: [
    [10, 1.15],
    [15, 1.12],
    [20, 1.08],
    [25, 1.04],
    [30, 1],
    [35, 0.96],
    [40, 0.91],
    [45, 0.87],
    [50, 0.82],
    [55, 0.76],
    [60, 0.71],
    [65, 0.65],
    [70, 0.58],
    [75, 0.5],
    [80, 0.41],
    [85, 0.29],
  ],
}

/** Table 310.15(C)(1): current-carrying conductors together up to, and the factor. */
export const BUNDLED: readonly (readonly [upTo: number, factor: number])[] = [
  [3, 1],
  [6, 0.8],
  [9, 0.7],
  [20, 0.5],
  [30, 0.45],
  [40, 0.4],
]
export const BUNDLED_BEYOND = 0.35

/** Table 400.5(A)(1), flexible cords with two current-carrying conductors, A. */
export const CORD_THREE_A: ReadonlyMap<string, number> = new Map([
  ['18 AWG', 7],
  ['16 AWG', 10],
  ['14 AWG', 15],
  ['12 AWG', 20],
  ['10 AWG', 25],
  ['8 AWG', 35],
  ['6 AWG', 45],
  ['4 AWG', 60],
  ['2 AWG', 80],
])
/** The same with two loaded conductors: single phase. */
export const CORD_TWO_A: ReadonlyMap<string, number> = new Map([
  ['18 AWG', 10],
  ['16 AWG', 13],
  ['14 AWG', 18],
  ['12 AWG', 25],
  ['10 AWG', 30],
  ['8 AWG', 40],
  ['6 AWG', 55],
  ['4 AWG', 70],
  ['2 AWG', 95],
])

/** Nominal voltages of ANSI C84.1 (from memory). */
export const SERVICES: readonly Service[] = [
  { voltageV: 120, phases: 1 },
  { voltageV: 208, phases: 1 },
  { voltageV: 240, phases: 1 },
  { voltageV: 480, phases: 1 },
  { voltageV: 208, phases: 3 },
  { voltageV: 240, phases: 3 },
  { voltageV: 480, phases: 3 },
  { voltageV: 600, phases: 3 },
]

/** 630.11(A), arc welders without a motor generator: duty up to, %, and multiplier. */
export const MULTIPLIERS: readonly (readonly [dutyPct: number, factor: number])[] = [
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
/** 630.11(B), several on one feeder: the largest first; every further one counts as the last. */
export const GROUP_SHARES = [1, 1, 0.85, 0.7, 0.6] as const

/** 240.6(A), to 600 A. */
export const BREAKERS_A = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450,
  500, 600,
]

/** NEMA WD 6 configurations that welders hang on. */
/** Volts of the circuits that receptacles of one nominal voltage are made for, from 208 V wye to 250 V. */
const RANGE_V: Readonly<Record<120 | 240 | 480, readonly [number, number]>> = {
  120: [100, 130],
  240: [200, 250],
  480: [440, 480],
}
const receptacles = (
  volts: keyof typeof RANGE_V,
  phases: 1 | 3,
  ratings: Readonly<Record<string, number>>,
): readonly Outlet[] =>
  Object.entries(ratings).map(([name, ratedA]) => ({
    name: `NEMA ${name}`,
    also: [],
    ratedA,
    rangeV: RANGE_V[volts],
    phases,
    cordMostMm2: null,
  }))
export const OUTLETS: readonly Outlet[] = [
  ...receptacles(120, 1, {
    '5-15': 15,
    '5-20': 20,
    '5-30': 30,
    '5-50': 50,
    'TT-30': 30,
    'L5-20': 20,
    'L5-30': 30,
  }),
  ...receptacles(240, 1, {
    '6-15': 15,
    '6-20': 20,
    '6-30': 30,
    '6-50': 50,
    'L6-15': 15,
    'L6-20': 20,
    'L6-30': 30,
    '10-30': 30,
    '10-50': 50,
    '14-20': 20,
    '14-30': 30,
    '14-50': 50,
    '14-60': 60,
    'L14-20': 20,
    'L14-30': 30,
  }),
  ...receptacles(240, 3, { '15-20': 20, '15-30': 30, '15-50': 50, '15-60': 60, 'L15-20': 20, 'L15-30': 30 }),
  ...receptacles(480, 3, { 'L16-20': 20, 'L16-30': 30 }),
]
