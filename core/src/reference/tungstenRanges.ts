/** Current of tungsten electrodes in argon, alloyed types. */
import { byMiddle, type CurrentRange } from './wireRanges.ts'
import type { UnitSystem } from '../quantity/units.ts'
import { standard } from '../basis/source.ts'

interface TungstenRow {
  readonly diameterMm: number
  /** Ground to a point it holds an arc down to this; the published low end is a preference. From memory. */
  readonly pointedA: number
  readonly dcen: readonly [minA: number, maxA: number]
  readonly ac: readonly [minA: number, maxA: number] | null
}

const ROWS: readonly TungstenRow[] = [
  { diameterMm: 0.508, pointedA: 2, dcen: [5, 20], ac: null },
  { diameterMm: 1.016, pointedA: 5, dcen: [15, 80], ac: [15, 80] },
  { diameterMm: 1.5875, pointedA: 10, dcen: [70, 150], ac: [70, 150] },
  { diameterMm: 2, pointedA: 15, dcen: [100, 200], ac: [85, 160] },
  { diameterMm: 2.38125, pointedA: 25, dcen: [150, 250], ac: [140, 235] },
  { diameterMm: 3.175, pointedA: 60, dcen: [250, 400], ac: [225, 325] },
  { diameterMm: 3.96875, pointedA: 100, dcen: [400, 500], ac: [300, 400] },
  { diameterMm: 4.7625, pointedA: 150, dcen: [500, 675], ac: [330, 450] },
]

/** A balled tip wanders below its range, and still works a little under it. From memory. */
const BALLED_SHARE = 0.5
const SAME_SIZE_MM = 0.06
const SOURCE = standard('AWS A5.12, annex, typical current ranges in argon', true)

/** @returns diameters whose range holds all of the currents, mm; the one that the currents lie in the middle of first */
export const tungstenDiametersFor = (
  wave: 'dcen' | 'ac',
  leastA: number,
  mostA: number,
  system: UnitSystem,
): readonly number[] =>
  byMiddle(
    ROWS.flatMap((row) => {
      const range = row[wave]
      return range ? [{ diameterMm: row.diameterMm, minA: range[0], maxA: range[1] }] : []
    }),
    leastA,
    mostA,
    system,
  )

/**
 * @returns the range by diameter and wave; null for a diameter the table does not have
 * @example tungstenCurrentRange(1.6, 'dcen') // { minA: 70, maxA: 150 }
 */
export function tungstenCurrentRange(diameterMm: number, wave: 'dcen' | 'ac'): CurrentRange | null {
  const row = ROWS.find((one) => Math.abs(one.diameterMm - diameterMm) < SAME_SIZE_MM)
  const range = row?.[wave]
  if (!row || !range) return null
  const [minA, maxA] = range
  // Alternating current balls the tip: it is pointed only by direct current.
  const stableA = wave === 'dcen' ? row.pointedA : minA * BALLED_SHARE
  return { minA, maxA, stableA, source: SOURCE }
}

/**
 * Cold and ground to a point it lights from here on, whatever the wave afterwards. From memory.
 * @returns A; null for a diameter the table does not have
 */
export const tungstenLightsA = (diameterMm: number): number | null =>
  ROWS.find((one) => Math.abs(one.diameterMm - diameterMm) < SAME_SIZE_MM)?.pointedA ?? null
