/** Tables of IEC 60364-5-52 and IEC 60228, from memory: copper, 30 °C in air, by the way that a cable lies. */
import type { Outlet, Service } from '../../ruleBook.ts'

/** Ways to lie, in the order of the columns of the tables below. */
export const METHODS = ['A1', 'A2', 'B1', 'B2', 'C'] as const

type Row = readonly [size: string, ...amps: number[]]
/** B.52.2 and B.52.4: PVC, 70 °C, two and three loaded conductors. */
const PVC: Readonly<Record<2 | 3, readonly Row[]>> = {
  2: [
    ['1.5 mm²', 14.5, 14, 17.5, 16.5, 19.5],
    ['2.5 mm²', 19.5, 18.5, 24, 23, 27],
    ['4 mm²', 26, 25, 32, 30, 36],
    ['6 mm²', 34, 32, 41, 38, 46],
    ['10 mm²', 46, 43, 57, 52, 63],
    ['16 mm²', 61, 57, 76, 69, 85],
    ['25 mm²', 80, 75, 101, 90, 112],
    ['35 mm²', 99, 92, 125, 111, 138],
    ['50 mm²', 119, 110, 151, 133, 168],
    ['70 mm²', 151, 139, 192, 168, 213],
    ['95 mm²', 182, 167, 232, 201, 258],
  ],
  3: [
    ['1.5 mm²', 13.5, 13, 15.5, 15, 17.5],
    ['2.5 mm²', 18, 17.5, 21, 20, 24],
    ['4 mm²', 24, 23, 28, 27, 32],
    ['6 mm²', 31, 29, 36, 34, 41],
    ['10 mm²', 42, 39, 50, 46, 57],
    ['16 mm²', 56, 52, 68, 62, 76],
    ['25 mm²', 73, 68, 89, 80, 96],
    ['35 mm²', 89, 83, 110, 99, 119],
    ['50 mm²', 108, 99, 134, 118, 144],
    ['70 mm²', 136, 125, 171, 149, 184],
    ['95 mm²', 164, 150, 207, 179, 223],
  ],
}
/** B.52.3 and B.52.5: XLPE or EPR, 90 °C. */
const XLPE: Readonly<Record<2 | 3, readonly Row[]>> = {
  2: [
    ['1.5 mm²', 19, 18.5, 23, 22, 24],
    ['2.5 mm²', 26, 25, 31, 30, 33],
    ['4 mm²', 35, 33, 42, 40, 45],
    ['6 mm²', 45, 42, 54, 51, 58],
    ['10 mm²', 61, 57, 75, 69, 80],
    ['16 mm²', 81, 76, 100, 91, 107],
    ['25 mm²', 106, 99, 133, 119, 138],
    ['35 mm²', 131, 121, 164, 146, 171],
    ['50 mm²', 158, 145, 198, 175, 209],
    ['70 mm²', 200, 183, 253, 221, 269],
    ['95 mm²', 241, 220, 306, 265, 328],
  ],
  3: [
    ['1.5 mm²', 17, 16.5, 20, 19.5, 22],
    ['2.5 mm²', 23, 22, 28, 26, 30],
    ['4 mm²', 31, 30, 37, 35, 40],
    ['6 mm²', 40, 38, 48, 44, 52],
    ['10 mm²', 54, 51, 66, 60, 71],
    ['16 mm²', 73, 68, 88, 80, 96],
    ['25 mm²', 95, 89, 117, 105, 119],
    ['35 mm²', 117, 109, 144, 128, 147],
    ['50 mm²', 141, 130, 175, 154, 179],
    ['70 mm²', 179, 164, 222, 194, 229],
    ['95 mm²', 216, 197, 269, 233, 278],
  ],
}
export const PVC_C = 70
export const XLPE_C = 90
export const AMPACITY: Readonly<Record<number, Readonly<Record<2 | 3, readonly Row[]>>>> = {
  [PVC_C]: PVC,
  [XLPE_C]: XLPE,
}
export const SIZES = PVC[2].map(([size]) => size)

/** IEC 60228, class 2, copper at 20 °C, Ω/km. */
export const OHM_PER_KM: ReadonlyMap<string, number> = new Map([
  ['1.5 mm²', 12.1],
  ['2.5 mm²', 7.41],
  ['4 mm²', 4.61],
  ['6 mm²', 3.08],
  ['10 mm²', 1.83],
  ['16 mm²', 1.15],
  ['25 mm²', 0.727],
  ['35 mm²', 0.524],
  ['50 mm²', 0.387],
  ['70 mm²', 0.268],
  ['95 mm²', 0.193],
])

/** B.52.14: air up to, °C, and the factor; none beyond. */
export const AMBIENT: Readonly<Record<number, readonly (readonly [upToC: number, factor: number])[]>> = {
  [PVC_C]: [
    [10, 1.22],
    [15, 1.17],
    [20, 1.12],
    [25, 1.06],
    [30, 1],
    [35, 0.94],
    [40, 0.87],
    [45, 0.79],
    [50, 0.71],
    [55, 0.61],
    [60, 0.5],
  ],
  [XLPE_C]: [
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
  ],
}
/** B.52.17, bunched: circuits or cables together up to, and the factor. */
export const BUNCHED: readonly (readonly [upTo: number, factor: number])[] = [
  [1, 1],
  [2, 0.8],
  [3, 0.7],
  [4, 0.65],
  [5, 0.6],
  [6, 0.57],
  [7, 0.54],
  [8, 0.52],
  [9, 0.5],
  [12, 0.45],
  [16, 0.41],
]
export const BUNCHED_BEYOND = 0.38

/** IEC 60364-5-52 leaves flexible cords to their makers: usual figures of rubber cords in air. */
export const CORD_THREE_A: ReadonlyMap<string, number> = new Map([
  ['1.5 mm²', 16],
  ['2.5 mm²', 20],
  ['4 mm²', 25],
  ['6 mm²', 32],
  ['10 mm²', 50],
  ['16 mm²', 68],
])
/** The same with two loaded conductors: single phase. */
export const CORD_TWO_A: ReadonlyMap<string, number> = new Map([
  ['1.5 mm²', 16],
  ['2.5 mm²', 25],
  ['4 mm²', 32],
  ['6 mm²', 40],
  ['10 mm²', 63],
  ['16 mm²', 85],
])

/** Nominal voltages of IEC 60038 (from memory). */
export const SERVICES: readonly Service[] = [
  { voltageV: 230, phases: 1 },
  { voltageV: 400, phases: 1 },
  { voltageV: 400, phases: 3 },
  { voltageV: 690, phases: 3 },
]

/** IEC 60898-1 and IEC 60947-2, to 630 A. */
export const BREAKERS_A = [
  6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630,
]

/** IEC 60884-1 (household) and IEC 60309 (industrial) outlets. */
export const OUTLETS: readonly Outlet[] = [
  { name: '10 A, 230 V', ratedA: 10, voltageV: 250, phases: 1 },
  { name: '13 A, 230 V', ratedA: 13, voltageV: 250, phases: 1 },
  { name: '15 A, 230 V', ratedA: 15, voltageV: 250, phases: 1 },
  { name: '16 A, 230 V', ratedA: 16, voltageV: 250, phases: 1 },
  { name: '32 A, 230 V, IEC 60309', ratedA: 32, voltageV: 250, phases: 1 },
  { name: '16 A, 400 V, IEC 60309', ratedA: 16, voltageV: 415, phases: 3 },
  { name: '32 A, 400 V, IEC 60309', ratedA: 32, voltageV: 415, phases: 3 },
  { name: '63 A, 400 V, IEC 60309', ratedA: 63, voltageV: 415, phases: 3 },
]
