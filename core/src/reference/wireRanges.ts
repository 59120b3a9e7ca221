/** Usable current of wires by form, metal and diameter: what common practice runs, spray of the larger ones included. */
import type { Wire } from '../model/equipment.ts'
import { commonPractice, dataPlate, type Source } from '../basis/source.ts'

interface RangeRow {
  readonly diameterMm: number
  readonly minA: number
  readonly maxA: number
}

const rows = (...list: [number, number, number][]): RangeRow[] =>
  list.map(([diameterMm, minA, maxA]) => ({ diameterMm, minA, maxA }))

const SOLID_STEEL = rows(
  [0.6, 30, 100],
  [0.8, 40, 150],
  [0.9, 60, 220],
  [1.0, 80, 250],
  [1.2, 100, 340],
  [1.6, 200, 450],
)
const SOLID_ALUMINIUM = rows([0.8, 50, 130], [0.9, 60, 160], [1.0, 80, 190], [1.2, 110, 240], [1.6, 160, 330])
const CORED_SELF = rows([0.8, 40, 140], [0.9, 50, 190], [1.2, 100, 240], [1.6, 150, 320])
const CORED_GAS = rows([0.9, 80, 210], [1.2, 120, 300], [1.6, 180, 400])

/** Inch and metric names of one size differ by a few hundredths: 0.035 in is 0.889 mm, sold as 0.9. */
const SAME_SIZE_MM = 0.06

const TABLE_SOURCE: Source = commonPractice('usual current range of the wire, common practice, no source')

function table(wire: Pick<Wire, 'form' | 'metal'>): readonly RangeRow[] {
  if (wire.form === 'cored-self-shielded') return CORED_SELF
  if (wire.form === 'cored-gas-shielded') return CORED_GAS
  if (wire.form === 'rod') return []
  return wire.metal === 'aluminium' ? SOLID_ALUMINIUM : SOLID_STEEL
}

export interface CurrentRange {
  readonly minA: number
  readonly maxA: number
  /** Below `minA`, which is a preference, it still works down to this. */
  readonly stableA: number
  readonly source: Source
}

/**
 * @returns the wire's own range where its data gives one, else the table's; null where neither has it
 * @example wireCurrentRange(wire) // { minA: 60, maxA: 220, … }
 */
export function wireCurrentRange(wire: Wire): CurrentRange | null {
  if (wire.currentMinA !== null && wire.currentMaxA !== null) {
    const { currentMinA: minA, currentMaxA: maxA } = wire
    return { minA, maxA, stableA: minA, source: dataPlate('the wire’s own data') }
  }
  const row = table(wire).find((r) => Math.abs(r.diameterMm - wire.diameterMm) < SAME_SIZE_MM)
  if (!row) return null
  const { minA, maxA } = row
  return { minA, maxA, stableA: minA, source: TABLE_SOURCE }
}

/** @returns diameters of the same form and metal whose range holds all of the currents, mm, smallest first */
export const wireDiametersFor = (
  wire: Pick<Wire, 'form' | 'metal'>,
  leastA: number,
  mostA: number,
): readonly number[] =>
  table(wire)
    .filter((row) => row.minA <= leastA && mostA <= row.maxA)
    .map((row) => row.diameterMm)
