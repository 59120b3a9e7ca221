/** What is printed on cables, cords, leads and outlets where a shop is wired by its rule book: anything else may be written too. */
import type { Suggesting } from '../model/field.ts'
import type { Shop } from '../kinds/shop.ts'
import { ruleBookOf } from './index.ts'

const SIZES: Readonly<
  Record<Shop['ruleBook'], Readonly<Record<Exclude<Suggesting, 'outlet'>, readonly string[]>>>
> = {
  'north-american': {
    cable: ['14 AWG', '12 AWG', '10 AWG', '8 AWG', '6 AWG', '4 AWG', '2 AWG', '1/0 AWG'],
    cord: ['16 AWG', '14 AWG', '12 AWG', '10 AWG', '8 AWG', '6 AWG'],
    lead: ['6 AWG', '4 AWG', '2 AWG', '1/0 AWG', '2/0 AWG', '4/0 AWG'],
  },
  international: {
    cable: [
      '3G1.5',
      '3G2.5',
      '3G4',
      '3G6',
      '5G1.5',
      '5G2.5',
      '5G4',
      '5G6',
      '5G10',
      '5G16',
      '16 mm²',
      '25 mm²',
    ],
    cord: ['H07RN-F 3G1.5', 'H07RN-F 3G2.5', 'H07RN-F 5G2.5', 'H07RN-F 5G4', 'H07RN-F 5G6'],
    lead: ['16 mm²', '25 mm²', '35 mm²', '50 mm²', '70 mm²', '95 mm²'],
  },
}
/** Of the outlets of a book those that machines hang on. */
const FOR_MACHINES = /NEMA|230 V|400 V/

/** @example suggestionsFor('lead', { ruleBook: 'international' }) // ['16 mm²', …] */
export const suggestionsFor = (what: Suggesting, shop: Pick<Shop, 'ruleBook'>): readonly string[] =>
  what === 'outlet'
    ? ruleBookOf(shop)
        .outlets.map(({ name }) => name)
        .filter((name) => FOR_MACHINES.test(name))
    : SIZES[shop.ruleBook][what]
