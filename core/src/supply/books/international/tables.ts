/** Tables of IEC 60364-5-52 and IEC 60228, from memory: 30 °C in air, 20 °C in the earth, by the way that a cable lies. */
import type { Circuit } from '../../../kinds/circuit.ts'
import type { Outlet, Service } from '../../ruleBook.ts'

/** Ways to lie: IEC 60364-5-52, B.52.1. */
export type Method = NonNullable<Circuit['method']>
export type Metal = Circuit['metal']

const COPPER_MM2 = [1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120, 150, 185, 240]
/** B.52.2 and on begin aluminium at 2.5 mm²; IEC 60228 and terminals leave less than 16 mm² to history. */
const ALUMINIUM_MM2 = [16, 25, 35, 50, 70, 95, 120, 150, 185, 240]
const sized = (areaMm2: number): string => `${areaMm2} mm²`
/** Single-core cables in free air begin thicker than the others. */
const bySize = (areasMm2: readonly number[], figures: readonly number[]): ReadonlyMap<string, number> => {
  const sizes = areasMm2.slice(areasMm2.length - figures.length)
  return new Map(sizes.map((areaMm2, at) => [sized(areaMm2), figures[at] ?? 0]))
}

type Table = Readonly<Record<Method, readonly number[]>>
type Loaded = 2 | 3
/** A, by the way a cable lies and its size, smallest first; each row ends at 240 mm². */
/** B.52.2, B.52.10: copper, PVC 70 °C, two loaded conductors. */
const COPPER_PVC_2: Table = {
  A1: [14.5, 19.5, 26, 34, 46, 61, 80, 99, 119, 151, 182, 210, 240, 273, 321],
  A2: [14, 18.5, 25, 32, 43, 57, 75, 92, 110, 139, 167, 192, 219, 248, 291],
  B1: [17.5, 24, 32, 41, 57, 76, 101, 125, 151, 192, 232, 269, 300, 341, 400],
  B2: [16.5, 23, 30, 38, 52, 69, 90, 111, 133, 168, 201, 232, 258, 294, 344],
  C: [19.5, 27, 36, 46, 63, 85, 112, 138, 168, 213, 258, 299, 344, 392, 461],
  D1: [22, 29, 37, 46, 60, 78, 99, 119, 140, 173, 204, 231, 261, 292, 336],
  D2: [22, 28, 38, 48, 64, 83, 110, 132, 156, 192, 230, 261, 293, 331, 382],
  E: [22, 30, 40, 51, 70, 94, 119, 148, 180, 232, 282, 328, 379, 434, 514],
  F: [131, 162, 196, 251, 304, 352, 406, 463, 546],
}
/** B.52.4, B.52.10: copper, PVC 70 °C, three loaded conductors. */
const COPPER_PVC_3: Table = {
  A1: [13.5, 18, 24, 31, 42, 56, 73, 89, 108, 136, 164, 188, 216, 245, 286],
  A2: [13, 17.5, 23, 29, 39, 52, 68, 83, 99, 125, 150, 172, 196, 223, 261],
  B1: [15.5, 21, 28, 36, 50, 68, 89, 110, 134, 171, 207, 239, 262, 296, 346],
  B2: [15, 20, 27, 34, 46, 62, 80, 99, 118, 149, 179, 206, 225, 255, 297],
  C: [17.5, 24, 32, 41, 57, 76, 96, 119, 144, 184, 223, 259, 299, 341, 403],
  D1: [18, 24, 30, 38, 50, 64, 82, 98, 116, 143, 169, 192, 217, 243, 280],
  D2: [19, 24, 33, 41, 54, 70, 92, 110, 130, 162, 193, 220, 246, 278, 320],
  E: [18.5, 25, 34, 43, 60, 80, 101, 126, 153, 196, 238, 276, 319, 364, 430],
  F: [110, 137, 167, 216, 264, 308, 356, 409, 485],
}
/** B.52.3, B.52.12: copper, XLPE or EPR 90 °C, two loaded conductors. */
const COPPER_XLPE_2: Table = {
  A1: [19, 26, 35, 45, 61, 81, 106, 131, 158, 200, 241, 278, 318, 362, 424],
  A2: [18.5, 25, 33, 42, 57, 76, 99, 121, 145, 183, 220, 253, 290, 329, 386],
  B1: [23, 31, 42, 54, 75, 100, 133, 164, 198, 253, 306, 354, 393, 449, 528],
  B2: [22, 30, 40, 51, 69, 91, 119, 146, 175, 221, 265, 305, 334, 384, 459],
  C: [24, 33, 45, 58, 80, 107, 138, 171, 209, 269, 328, 382, 441, 506, 599],
  D1: [25, 33, 43, 53, 71, 91, 116, 139, 164, 203, 239, 271, 306, 343, 395],
  D2: [27, 35, 46, 58, 77, 100, 129, 155, 183, 225, 270, 306, 343, 387, 448],
  E: [26, 36, 49, 63, 86, 115, 149, 185, 225, 289, 352, 410, 473, 542, 641],
  F: [161, 200, 242, 310, 377, 437, 504, 575, 679],
}
/** B.52.5, B.52.12: copper, XLPE or EPR 90 °C, three loaded conductors. */
const COPPER_XLPE_3: Table = {
  A1: [17, 23, 31, 40, 54, 73, 95, 117, 141, 179, 216, 249, 285, 324, 380],
  A2: [16.5, 22, 30, 38, 51, 68, 89, 109, 130, 164, 197, 227, 259, 295, 346],
  B1: [20, 28, 37, 48, 66, 88, 117, 144, 175, 222, 269, 312, 342, 384, 450],
  B2: [19.5, 26, 35, 44, 60, 80, 105, 128, 154, 194, 233, 268, 300, 340, 398],
  C: [22, 30, 40, 52, 71, 96, 119, 147, 179, 229, 278, 322, 371, 424, 500],
  D1: [21, 28, 36, 44, 58, 75, 96, 115, 135, 167, 197, 223, 251, 281, 324],
  D2: [23, 30, 39, 49, 65, 84, 107, 129, 153, 188, 226, 257, 287, 324, 375],
  E: [23, 32, 42, 54, 75, 100, 127, 158, 192, 246, 298, 346, 399, 456, 538],
  F: [135, 169, 207, 268, 328, 383, 444, 510, 607],
}
/** B.52.2, B.52.11: aluminium, PVC 70 °C, two loaded conductors. */
const ALUMINIUM_PVC_2: Table = {
  A1: [48, 63, 77, 93, 118, 142, 164, 189, 215, 252],
  A2: [44, 58, 71, 86, 108, 130, 150, 172, 195, 229],
  B1: [60, 79, 97, 118, 150, 181, 210, 234, 266, 312],
  B2: [54, 71, 86, 104, 131, 157, 181, 201, 230, 269],
  C: [66, 83, 103, 125, 160, 195, 226, 261, 298, 352],
  D1: [61, 77, 93, 109, 135, 159, 180, 204, 228, 262],
  D2: [63, 82, 98, 117, 145, 173, 200, 224, 255, 298],
  E: [73, 89, 111, 135, 173, 210, 244, 282, 322, 380],
  F: [98, 122, 149, 192, 235, 273, 316, 363, 430],
}
/** B.52.4, B.52.11: aluminium, PVC 70 °C, three loaded conductors. */
const ALUMINIUM_PVC_3: Table = {
  A1: [43, 57, 70, 84, 107, 129, 149, 170, 194, 227],
  A2: [41, 53, 65, 78, 98, 118, 135, 155, 176, 207],
  B1: [53, 70, 86, 104, 133, 161, 186, 204, 230, 269],
  B2: [48, 62, 77, 92, 116, 139, 160, 176, 199, 232],
  C: [59, 73, 90, 110, 140, 170, 197, 227, 259, 305],
  D1: [50, 64, 77, 91, 112, 132, 150, 169, 190, 218],
  D2: [53, 69, 83, 99, 122, 148, 169, 189, 214, 250],
  E: [61, 78, 96, 117, 150, 183, 212, 245, 280, 330],
  F: [84, 105, 128, 166, 203, 237, 274, 315, 375],
}
/** B.52.3, B.52.13: aluminium, XLPE or EPR 90 °C, two loaded conductors. */
const ALUMINIUM_XLPE_2: Table = {
  A1: [64, 84, 103, 125, 158, 191, 220, 253, 288, 338],
  A2: [60, 78, 96, 115, 145, 175, 201, 230, 262, 307],
  B1: [79, 105, 130, 157, 200, 242, 281, 307, 351, 412],
  B2: [72, 94, 115, 138, 175, 210, 242, 261, 300, 358],
  C: [84, 101, 126, 154, 198, 241, 280, 324, 371, 439],
  D1: [71, 90, 108, 128, 158, 186, 211, 238, 267, 307],
  D2: [76, 98, 117, 139, 170, 204, 233, 261, 296, 343],
  E: [91, 108, 135, 164, 211, 257, 300, 346, 397, 470],
  F: [121, 150, 184, 237, 289, 337, 389, 447, 530],
}
/** B.52.5, B.52.13: aluminium, XLPE or EPR 90 °C, three loaded conductors. */
const ALUMINIUM_XLPE_3: Table = {
  A1: [58, 76, 94, 113, 142, 171, 197, 226, 256, 300],
  A2: [55, 71, 87, 104, 131, 157, 180, 206, 233, 273],
  B1: [71, 93, 116, 140, 179, 217, 251, 267, 300, 351],
  B2: [64, 84, 103, 124, 156, 188, 216, 240, 272, 318],
  C: [76, 90, 112, 136, 174, 211, 245, 283, 323, 382],
  D1: [59, 75, 90, 106, 130, 154, 174, 197, 220, 253],
  D2: [64, 82, 98, 117, 144, 172, 197, 220, 250, 290],
  E: [77, 97, 120, 146, 187, 227, 263, 304, 347, 409],
  F: [103, 129, 159, 206, 253, 296, 343, 395, 471],
}

export const PVC_C = 70
export const XLPE_C = 90
const AMPACITY: Readonly<Record<Metal, Readonly<Record<number, Readonly<Record<Loaded, Table>>>>>> = {
  copper: {
    [PVC_C]: { 2: COPPER_PVC_2, 3: COPPER_PVC_3 },
    [XLPE_C]: { 2: COPPER_XLPE_2, 3: COPPER_XLPE_3 },
  },
  aluminium: {
    [PVC_C]: { 2: ALUMINIUM_PVC_2, 3: ALUMINIUM_PVC_3 },
    [XLPE_C]: { 2: ALUMINIUM_XLPE_2, 3: ALUMINIUM_XLPE_3 },
  },
}
/** @returns A by size, smallest first */
export const ampacitiesOf = (
  metal: Metal,
  column: number,
  loaded: Loaded,
  method: Method,
): ReadonlyMap<string, number> =>
  bySize(metal === 'copper' ? COPPER_MM2 : ALUMINIUM_MM2, AMPACITY[metal][column]?.[loaded][method] ?? [])
export const SIZES = COPPER_MM2.map(sized)

/** IEC 60228 at 20 °C, Ω/km: copper of class 2 in the wall. */
const COPPER_OHM = [
  12.1, 7.41, 4.61, 3.08, 1.83, 1.15, 0.727, 0.524, 0.387, 0.268, 0.193, 0.153, 0.124, 0.0991, 0.0754,
]
/** Copper of class 5, the fine strands of cords: some 5 to 10 % more. */
const FLEXIBLE_OHM = [
  13.3, 7.98, 4.95, 3.3, 1.91, 1.21, 0.78, 0.554, 0.386, 0.272, 0.206, 0.161, 0.129, 0.106, 0.0801,
]
const ALUMINIUM_OHM = [1.91, 1.2, 0.868, 0.641, 0.443, 0.32, 0.253, 0.206, 0.164, 0.125]
export const OHM_PER_KM: Readonly<Record<Metal | 'flexible', ReadonlyMap<string, number>>> = {
  copper: bySize(COPPER_MM2, COPPER_OHM),
  flexible: bySize(COPPER_MM2, FLEXIBLE_OHM),
  aluminium: bySize(ALUMINIUM_MM2, ALUMINIUM_OHM),
}

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
/** B.52.15: earth up to, °C, and the factor; the tables are for 20 °C and a resistivity of 2.5 K·m/W. */
export const GROUND: typeof AMBIENT = {
  [PVC_C]: [
    [10, 1.1],
    [15, 1.05],
    [20, 1],
    [25, 0.95],
    [30, 0.89],
    [35, 0.84],
    [40, 0.77],
    [45, 0.71],
    [50, 0.63],
    [55, 0.55],
    [60, 0.45],
  ],
  [XLPE_C]: [
    [10, 1.07],
    [15, 1.04],
    [20, 1],
    [25, 0.96],
    [30, 0.93],
    [35, 0.89],
    [40, 0.85],
    [45, 0.8],
    [50, 0.76],
    [55, 0.71],
    [60, 0.65],
    [65, 0.6],
    [70, 0.53],
    [75, 0.46],
    [80, 0.38],
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

/** B.52.18 and B.52.19, touching in the earth, cables or ducts: the lower of both. */
export const BUNCHED_IN_GROUND: readonly (readonly [upTo: number, factor: number])[] = [
  [1, 1],
  [2, 0.75],
  [3, 0.65],
  [4, 0.6],
  [5, 0.55],
  [6, 0.5],
  [7, 0.45],
  [8, 0.43],
  [9, 0.41],
  [12, 0.36],
  [16, 0.32],
]
export const BUNCHED_IN_GROUND_BEYOND = 0.29

/** IEC 60364-5-52 leaves flexible cords to their makers: usual figures of rubber cords in air. */
export const CORD_THREE_A: ReadonlyMap<string, number> = new Map([
  ['1 mm²', 10],
  ['1.5 mm²', 16],
  ['2.5 mm²', 20],
  ['4 mm²', 25],
  ['6 mm²', 32],
  ['10 mm²', 50],
  ['16 mm²', 68],
  ['25 mm²', 89],
])
/** The same with two loaded conductors: single phase. */
export const CORD_TWO_A: ReadonlyMap<string, number> = new Map([
  ['1 mm²', 10],
  ['1.5 mm²', 16],
  ['2.5 mm²', 25],
  ['4 mm²', 32],
  ['6 mm²', 40],
  ['10 mm²', 63],
  ['16 mm²', 85],
  ['25 mm²', 112],
])

/** Nominal voltages of IEC 60038, and the site voltage of IEC 60309 (from memory). */
export const SERVICES: readonly Service[] = [
  { voltageV: 230, phases: 1 },
  { voltageV: 400, phases: 1 },
  { voltageV: 400, phases: 3 },
  { voltageV: 690, phases: 3 },
  { voltageV: 110, phases: 1 },
]

/** IEC 60898-1 and IEC 60947-2, to 630 A. */
export const BREAKERS_A = [
  6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630,
]

/** Sizes that a plug of IEC 60309-1 has terminals for, by its rating, mm² (table 3, flexible). */
const IEC_60309_MOST_MM2: Readonly<Record<number, number>> = { 16: 2.5, 32: 6, 63: 16, 125: 50 }
const IEC_60309_A = [16, 32, 63, 125] as const
/** Colours by the volts: yellow, blue, red. */
const IEC_60309_SUPPLIES = [
  { volts: 110, rangeV: [100, 130], phases: 1 },
  { volts: 230, rangeV: [200, 250], phases: 1 },
  { volts: 400, rangeV: [380, 415], phases: 3 },
] as const
/** A household plug takes 2.5 mm² at the most, one of 13 A to BS 1363 its 1.5. */
const household = (name: string, ratedA: number, cordMostMm2: number, also: readonly string[]): Outlet => ({
  name,
  also,
  ratedA,
  rangeV: [220, 250],
  phases: 1,
  cordMostMm2,
})
/** IEC 60884-1 (household) and IEC 60309 (industrial) outlets. */
export const OUTLETS: readonly Outlet[] = [
  household('10 A, 230 V', 10, 1.5, []),
  household('13 A, 230 V', 13, 1.5, ['BS 1363', 'type G']),
  household('15 A, 230 V', 15, 2.5, []),
  household('16 A, 230 V', 16, 2.5, ['CEE 7/4', 'CEE 7/3', 'CEE 7/5', 'type F', 'type E', 'schuko']),
  ...IEC_60309_SUPPLIES.flatMap(({ volts, rangeV, phases }) =>
    IEC_60309_A.map((ratedA): Outlet => ({
      name: `${ratedA} A, ${volts} V, IEC 60309`,
      also: [`CEE ${ratedA} A ${volts} V`, `CEE ${ratedA} A, ${volts} V`, `IEC 60309 ${ratedA} A ${volts} V`],
      ratedA,
      rangeV,
      phases,
      cordMostMm2: IEC_60309_MOST_MM2[ratedA] ?? 0,
    })),
  ),
]
