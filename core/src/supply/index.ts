/** The list of rule books; a new one is an object with the same interface and a line here. */
import type { Shop } from '../model/shop.ts'
import { northAmerican } from './northAmerican.ts'
import type { RuleBook } from './ruleBook.ts'

const RULE_BOOKS: Readonly<Record<Shop['ruleBook'], RuleBook>> = {
  'north-american': northAmerican,
}

export const ruleBookOf = (shop: Pick<Shop, 'ruleBook'>): RuleBook => RULE_BOOKS[shop.ruleBook]
