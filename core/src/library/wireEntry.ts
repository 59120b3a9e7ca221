/** One wire, rod or electrode of the library as a record, under the name that its counter gives it. */
import type { Source } from '../basis/source.ts'
import type { SpoolMm, Wire } from '../kinds/equipment.ts'
import type { UnitSystem } from '../quantity/units.ts'
import { wireCurrentRange } from '../reference/wireRanges.ts'
import type { LibraryEntry } from './entry.ts'

export interface Package {
  /** null where it is not wound. */
  readonly spoolMm: SpoolMm | null
  readonly packageG: number
}

/** What the counter sells. */
export interface SoldWire
  extends Package, Pick<Wire, 'id' | 'classification' | 'metal' | 'form' | 'diameterMm'> {
  /** Size and class, as they are called there. */
  readonly called: string
  readonly summary: string
  readonly source: Source
  readonly units: UnitSystem
}

/** What a wire that is not wound is called. */
export const heldWord = ({ form }: Pick<Wire, 'form'>): string => (form === 'covered' ? 'electrode' : 'rod')

export function wireEntry({ called, summary, source, units, ...sold }: SoldWire): LibraryEntry<'wires'> {
  const record: Wire = {
    ...sold,
    name: `${called}${sold.spoolMm === null ? ` ${heldWord(sold)}` : `, ${sold.spoolMm} mm spool`}`,
    lengthMm: null,
    currentMinA: null,
    currentMaxA: null,
    polarity: sold.form === 'cored-self-shielded' ? 'dcen' : null,
    positions: null,
    gasWanted: null,
    keptAt: null,
    packagePrice: null,
  }
  const range = wireCurrentRange(record)
  const runs = range ? `; ${range.minA} to ${range.maxA} A, common practice` : ''
  return { path: 'wires', record, summary: `${summary}${runs}`, source, units }
}
