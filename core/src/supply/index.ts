/** The list of rule books; a new one is a file with the same interface and a line here. */
import type { Shop } from '../model/shop.ts'
import { international } from './books/international/international.ts'
import { northAmerican } from './books/northAmerican/northAmerican.ts'
import type { RuleBook } from './ruleBook.ts'

const RULE_BOOKS: Readonly<Record<Shop['ruleBook'], RuleBook>> = {
  'north-american': northAmerican,
  international,
}
export const ALL_RULE_BOOKS: readonly RuleBook[] = Object.values(RULE_BOOKS)

export const ruleBookOf = (shop: Pick<Shop, 'ruleBook'>): RuleBook => RULE_BOOKS[shop.ruleBook]
