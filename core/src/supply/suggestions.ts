/** What is printed on cables, cords, leads and outlets where a shop is wired by its rule book: anything else may be written too. */
import type { Suggesting } from '../model/field.ts'
import type { Shop } from '../kinds/shop.ts'
import { ruleBookOf } from './index.ts'

/** Of the outlets of a book those that machines hang on. */
const FOR_MACHINES = /NEMA|230 V|400 V/

/** @example suggestionsFor('lead', { ruleBook: 'international' }) // ['16 mm²', …] */
export const suggestionsFor = (what: Suggesting, shop: Pick<Shop, 'ruleBook'>): readonly string[] =>
  what === 'outlet'
    ? ruleBookOf(shop)
        .outlets.map(({ name }) => name)
        .filter((name) => FOR_MACHINES.test(name))
    : ruleBookOf(shop).usualSizes[what]
