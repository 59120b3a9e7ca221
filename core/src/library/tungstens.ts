/** Tungsten electrodes by ISO 6848 type and diameter. */
import { type Tungsten, TUNGSTEN_TYPES } from '../kinds/equipment.ts'
import { standard } from '../basis/source.ts'
import { tungstenCurrentRange } from '../reference/tungstenRanges.ts'
import { idOf, type LibraryEntry, TUNGSTEN_SIZES } from './entry.ts'

const ISO_6848 = standard('ISO 6848, types; AWS A5.12 annex, currents in argon', true)
const LENGTH_MM = 175

const SUMMARIES: Readonly<Record<Tungsten['type'], string>> = {
  WP: 'pure; old sine-wave AC',
  WLa15: 'DC and AC',
  WLa20: 'DC and AC; starts easily',
  WCe20: 'DC at low current, AC',
  WZr8: 'AC; keeps its ball',
  WTh20: 'DC; its dust is mildly radioactive',
}

const rangeWords = (diameterMm: number, type: Tungsten['type']): string => {
  const dc = type === 'WP' || type === 'WZr8' ? null : tungstenCurrentRange(diameterMm, 'dcen')
  const ac = type === 'WTh20' ? null : tungstenCurrentRange(diameterMm, 'ac')
  return [dc ? `DCEN ${dc.minA} to ${dc.maxA} A` : null, ac ? `AC ${ac.minA} to ${ac.maxA} A` : null]
    .filter((one) => one !== null)
    .join(', ')
}

export const LIBRARY_TUNGSTENS: readonly LibraryEntry<'tungstens'>[] = TUNGSTEN_TYPES.flatMap((type) =>
  TUNGSTEN_SIZES.map(({ mm, inch, metric }): LibraryEntry<'tungstens'> => {
    const range = rangeWords(mm, type)
    return {
      path: 'tungstens',
      record: {
        id: idOf('lib', type, metric),
        name: `${inch} ${type}`,
        type,
        diameterMm: mm,
        lengthMm: LENGTH_MM,
        price: null,
      },
      summary: range === '' ? SUMMARIES[type] : `${SUMMARIES[type]}; ${range}`,
      source: ISO_6848,
    }
  }),
)
