/** Usable current of wires by form, metal, diameter and transfer: what common practice runs. */
import type { Wire } from '../kinds/equipment.ts'
import { commonPractice, dataPlate, type Source } from '../basis/source.ts'
import type { UnitSystem } from '../quantity/units.ts'
import type { ProcessId } from '../model/process.ts'
import { COVERED_RANGE_SOURCE, coveredClassOf, coveredRangeOf, type CurrentRow } from './coveredElectrodes.ts'

const rows = (...list: [number, number, number][]): CurrentRow[] =>
  list.map(([diameterMm, minA, maxA]) => ({ diameterMm, minA, maxA }))

/** Sprayed, a wire is meant for what lies above its transition, and runs higher than it short-circuits. */
const SPRAYED_STEEL = rows(
  [0.8, 150, 200],
  [0.9, 165, 250],
  [1.0, 185, 280],
  [1.2, 220, 350],
  [1.6, 275, 450],
)
const SOLID_STEEL = rows(
  [0.6, 30, 100],
  [0.8, 40, 150],
  [0.9, 60, 220],
  [1.0, 80, 250],
  [1.2, 100, 340],
  [1.6, 200, 450],
)
const SOLID_ALUMINIUM = rows([0.8, 50, 130], [0.9, 60, 160], [1.0, 80, 190], [1.2, 110, 240], [1.6, 160, 330])
const CORED_SELF = rows(
  [0.8, 40, 140],
  [0.9, 50, 190],
  [1.0, 60, 205],
  [1.2, 100, 240],
  [1.4, 125, 280],
  [1.6, 150, 320],
)
const CORED_GAS = rows([0.9, 80, 210], [1.0, 100, 240], [1.2, 120, 300], [1.4, 150, 350], [1.6, 180, 400])

/** Inch and metric names of one size differ by a few hundredths: 0.035 in is 0.889 mm, sold as 0.9. */
const SAME_SIZE_MM = 0.06

const TABLE_SOURCE: Source = commonPractice('usual current range of the wire, common practice, no source')

/** What of a wire or an electrode its range rests on. */
type RangedWire = Pick<Wire, 'form' | 'metal' | 'classification'>

function table(wire: RangedWire, process: ProcessId | null): readonly CurrentRow[] {
  if (wire.form === 'cored-self-shielded') return CORED_SELF
  if (wire.form === 'cored-gas-shielded') return CORED_GAS
  if (wire.form === 'rod') return []
  if (wire.form === 'covered') return coveredClassOf(wire.classification)?.ranges ?? []
  if (wire.metal === 'aluminium') return SOLID_ALUMINIUM
  return process === 'gmaw-spray' ? SPRAYED_STEEL : SOLID_STEEL
}

export interface CurrentRange {
  readonly minA: number
  readonly maxA: number
  /** Below `minA`, which is a preference, it still works down to this. */
  readonly stableA: number
  readonly source: Source
}

function ownRange({ currentMinA: minA, currentMaxA: maxA }: Wire): CurrentRange | null {
  if (minA === null || maxA === null) return null
  return { minA, maxA, stableA: minA, source: dataPlate('the wire’s own data') }
}

/**
 * @param process whose transfer decides; null for what the wire is used for at all
 * @returns the wire's own range where its data gives one, else the table's; null where neither has it
 * @example wireCurrentRange(wire) // { minA: 60, maxA: 220, … }
 */
export function wireCurrentRange(wire: Wire, process: ProcessId | null = null): CurrentRange | null {
  const own = ownRange(wire)
  if (own) return own
  if (wire.form === 'covered') {
    const row = coveredRangeOf(wire)
    return row && { minA: row.minA, maxA: row.maxA, stableA: row.minA, source: COVERED_RANGE_SOURCE }
  }
  const rowOf = (transfer: ProcessId | null) =>
    table(wire, transfer).find((r) => Math.abs(r.diameterMm - wire.diameterMm) < SAME_SIZE_MM)
  const row = rowOf(process)
  if (!row) return null
  // Whether it sprays is another question; that it burns at all is this one.
  const { minA: stableA } = rowOf(null) ?? row
  return { minA: row.minA, maxA: row.maxA, stableA, source: TABLE_SOURCE }
}

/** How far currents lie from the middle of a range, as a ratio. */
const offMiddle = ({ minA, maxA }: CurrentRow, leastA: number, mostA: number): number =>
  Math.abs(Math.log((leastA * mostA) / (minA * maxA)))

/** Sizes that shops on inches do not buy. */
const METRIC_ALONE_MM: readonly number[] = [1.4, 2]
const isSoldIn = (system: UnitSystem, diameterMm: number): boolean =>
  system === 'metric' || METRIC_ALONE_MM.every((one) => Math.abs(one - diameterMm) > SAME_SIZE_MM)

/** @returns diameters whose range holds all of the currents, mm; the one that they lie in the middle of first */
export const byMiddle = (
  ranges: readonly CurrentRow[],
  leastA: number,
  mostA: number,
  system: UnitSystem,
): readonly number[] =>
  ranges
    .filter(({ diameterMm }) => isSoldIn(system, diameterMm))
    .filter(({ minA, maxA }) => minA <= leastA && mostA <= maxA)
    .toSorted((a, b) => offMiddle(a, leastA, mostA) - offMiddle(b, leastA, mostA))
    .map(({ diameterMm }) => diameterMm)

/** @returns diameters of the same form and metal whose range holds all of the currents, mm, the middle one first */
export const wireDiametersFor = (
  wire: RangedWire,
  process: ProcessId,
  leastA: number,
  mostA: number,
  system: UnitSystem,
): readonly number[] => byMiddle(table(wire, process), leastA, mostA, system)
