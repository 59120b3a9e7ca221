/** Covered electrodes: what their classification says (AWS A5.1, A5.4), and how they run. */
import { remembered } from '../basis/remembered.ts'
import { commonPractice, handbook, type Source, standard } from '../basis/source.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Polarity } from '../model/process.ts'
import { designationOf } from './designation.ts'

export interface CurrentRow {
  readonly diameterMm: number
  readonly minA: number
  readonly maxA: number
}

export interface CoveredClass {
  /** What it may be run on, the usual one first. */
  readonly polarities: readonly Polarity[]
  readonly positions: 'all' | 'flat-horizontal'
  /** Whether it is run downward too: others let their slag run ahead of the pool. E7048 is the low-hydrogen one that is. */
  readonly isForDownhill: boolean
  /** Its covering must stay dry, or the weld takes up hydrogen and may crack. */
  readonly isLowHydrogen: boolean
  /** Weld metal for each ampere, g/(min·A). */
  readonly gPerMinA: number
  /** Share of what melts that becomes weld metal, stubs apart, %. */
  readonly recoveryPct: number
  /** Mass of the whole electrode over that of its core. */
  readonly massOverCore: number
  /** Least open-circuit volts at which it strikes and holds readily, V. */
  readonly openCircuitV: number
  readonly ranges: readonly CurrentRow[]
  /** What says so. */
  readonly source: Source
}
type Covering = Omit<CoveredClass, 'source'>

const rows = (...list: [number, number, number][]): CurrentRow[] =>
  list.map(([diameterMm, minA, maxA]) => ({ diameterMm, minA, maxA }))

/** Usual ranges by diameter; makers’ charts differ by some 10 %. */
const CELLULOSE = rows([2.4, 40, 80], [2.5, 50, 80], [3.2, 75, 125], [4, 110, 170], [4.8, 140, 215])
const RUTILE = rows(
  [1.6, 25, 45],
  [2, 35, 65],
  [2.4, 45, 90],
  [2.5, 55, 95],
  [3.2, 80, 130],
  [4, 105, 180],
  [4.8, 150, 230],
  [5, 170, 240],
)
const RUTILE_IRON = rows([2.4, 75, 110], [3.2, 110, 160], [4, 150, 210], [4.8, 200, 275])
const LOW_HYDROGEN = rows(
  [2, 45, 75],
  [2.4, 70, 100],
  [2.5, 60, 100],
  [3.2, 90, 160],
  [4, 130, 210],
  [4.8, 180, 275],
  [5, 180, 270],
)
const HIGH_DEPOSIT = rows([2.4, 100, 145], [3.2, 140, 190], [4, 180, 250], [4.8, 230, 305])
const STAINLESS = rows(
  [1.6, 20, 45],
  [2, 30, 60],
  [2.4, 40, 80],
  [2.5, 45, 80],
  [3.2, 75, 115],
  [4, 105, 160],
)

/** Keyed by the last two digits of an A5.1 class, or by `stainless` for A5.4 with a rutile covering (-16, -17). */
const CLASSES: Readonly<Record<string, Covering>> = {
  '10': {
    polarities: ['dcep'],
    positions: 'all',
    isForDownhill: true,
    isLowHydrogen: false,
    gPerMinA: 0.159,
    recoveryPct: 64,
    massOverCore: 1.22,
    openCircuitV: 65,
    ranges: CELLULOSE,
  },
  '11': {
    polarities: ['dcep', 'ac', 'dcen'],
    positions: 'all',
    isForDownhill: true,
    isLowHydrogen: false,
    gPerMinA: 0.15,
    recoveryPct: 68,
    massOverCore: 1.25,
    openCircuitV: 60,
    ranges: CELLULOSE,
  },
  '13': {
    polarities: ['dcen', 'dcep', 'ac'],
    positions: 'all',
    isForDownhill: true,
    isLowHydrogen: false,
    gPerMinA: 0.145,
    recoveryPct: 67,
    massOverCore: 1.35,
    openCircuitV: 50,
    ranges: RUTILE,
  },
  '14': {
    polarities: ['dcen', 'dcep', 'ac'],
    positions: 'all',
    isForDownhill: true,
    isLowHydrogen: false,
    gPerMinA: 0.173,
    recoveryPct: 65,
    massOverCore: 1.5,
    openCircuitV: 50,
    ranges: RUTILE_IRON,
  },
  '16': {
    polarities: ['dcep', 'ac'],
    positions: 'all',
    isForDownhill: false,
    isLowHydrogen: true,
    gPerMinA: 0.147,
    recoveryPct: 65,
    massOverCore: 1.35,
    openCircuitV: 65,
    ranges: LOW_HYDROGEN,
  },
  // The low-hydrogen one for welding downward: stiff arc, fast slag; run a little hotter than the others.
  '48': {
    polarities: ['dcep', 'ac'],
    positions: 'all',
    isForDownhill: true,
    isLowHydrogen: true,
    gPerMinA: 0.167,
    recoveryPct: 70,
    massOverCore: 1.5,
    openCircuitV: 65,
    ranges: rows([2.5, 75, 110], [3.2, 100, 165], [4, 150, 220], [5, 210, 280]),
  },
  '18': {
    polarities: ['dcep', 'ac'],
    positions: 'all',
    isForDownhill: false,
    isLowHydrogen: true,
    gPerMinA: 0.167,
    recoveryPct: 70,
    massOverCore: 1.5,
    openCircuitV: 60,
    ranges: LOW_HYDROGEN,
  },
  '24': {
    polarities: ['dcen', 'dcep', 'ac'],
    positions: 'flat-horizontal',
    isForDownhill: false,
    isLowHydrogen: false,
    gPerMinA: 0.232,
    recoveryPct: 67,
    massOverCore: 2,
    openCircuitV: 50,
    ranges: HIGH_DEPOSIT,
  },
  stainless: {
    polarities: ['dcep', 'ac'],
    positions: 'all',
    isForDownhill: false,
    isLowHydrogen: false,
    gPerMinA: 0.165,
    recoveryPct: 66,
    massOverCore: 1.4,
    openCircuitV: 55,
    ranges: STAINLESS,
  },
}

export const COVERED_SOURCE: Source = handbook(
  'covered electrodes: deposition and recovery by class, welding handbooks, from memory',
)
export const COVERED_RANGE_SOURCE: Source = commonPractice(
  'usual current range of the electrode by class and diameter, common practice, no source',
)
const CLASS_SOURCE: Source = standard('AWS A5.1 / A5.4 / A5.5, classification', true)

/** Steel from E60 to E120: the last two digits are position and covering. E308L-16: alloy, then covering, -15 a basic one. */
const STEEL = /^E(?:60|70|80|90|100|110|120)(?<covering>10|11|13|14|16|18|24|48)(?!\d)/
const HIGH_ALLOY = /^E\d{3,4}[A-Z]*-(?<covering>1[567])/

/**
 * @returns what is known of a class; null for one that the table does not have
 * @example coveredClassOf('E7018')?.isLowHydrogen // true
 */
export const coveredClassOf: (classification: string) => CoveredClass | null = remembered(readClass)

function readClass(classification: string): CoveredClass | null {
  const { aws, iso } = designationOf(classification)
  const covering = STEEL.exec(aws)?.groups?.['covering']
  const alloyed = HIGH_ALLOY.exec(aws)?.groups?.['covering']
  const known = CLASSES[covering ?? (alloyed === undefined ? '' : 'stainless')]
  if (!known) return null
  const said = iso.find(({ forms }) => forms.includes('covered'))
  const isDirectOnly = said?.isDirectOnly ?? alloyed === '15'
  return {
    ...known,
    source: said?.source ?? CLASS_SOURCE,
    polarities: isDirectOnly ? known.polarities.filter((polarity) => polarity !== 'ac') : known.polarities,
  }
}

/** Inch and metric names of one size differ by a few hundredths: 1/8 in is sold as 3.2 mm. */
const SAME_SIZE_MM = 0.06
/** So much beyond the table, 2 mm and 5 mm, is still its last size. */
const BEYOND_MM = 0.25

/**
 * Usual current of an electrode by class and diameter. Between two sizes of the table in proportion: 2.5 mm lies
 * between 3/32 and 1/8 in.
 * @returns null of a class or a size that the table does not have
 * @example coveredRangeOf({ classification: 'E7018', diameterMm: 3.2 }) // { minA: 90, maxA: 160, … }
 */
export function coveredRangeOf({
  classification,
  diameterMm,
}: Pick<Wire, 'classification' | 'diameterMm'>): CurrentRow | null {
  const ranges = coveredClassOf(classification)?.ranges ?? []
  const [first, last] = [ranges[0], ranges.at(-1)]
  if (!first || !last) return null
  if (diameterMm < first.diameterMm - BEYOND_MM || diameterMm > last.diameterMm + BEYOND_MM) return null
  const same = ranges.find((row) => Math.abs(row.diameterMm - diameterMm) < SAME_SIZE_MM)
  if (same) return same
  const upper = ranges.find((row) => row.diameterMm >= diameterMm) ?? last
  const lower = ranges.findLast((row) => row.diameterMm <= diameterMm) ?? first
  const span = upper.diameterMm - lower.diameterMm
  const share = span === 0 ? 0 : (diameterMm - lower.diameterMm) / span
  const between = (key: 'minA' | 'maxA') => Math.round(lower[key] + share * (upper[key] - lower[key]))
  return { diameterMm, minA: between('minA'), maxA: between('maxA') }
}

/** Longest of the thin electrodes, and what all thicker ones measure, mm (AWS A5.1: 12 in and 14 in; from memory). */
const THIN_MM = 2.2
const THIN_LENGTH_MM = 300
const USUAL_LENGTH_MM = 350

/** @returns length of one electrode, mm: its own, else the usual one of its diameter */
export const coveredLengthMm = ({ lengthMm, diameterMm }: Pick<Wire, 'lengthMm' | 'diameterMm'>): number =>
  lengthMm ?? (diameterMm < THIN_MM ? THIN_LENGTH_MM : USUAL_LENGTH_MM)
