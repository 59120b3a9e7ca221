/** The list of rule books; a new one is a file with the same interface and a line here. */
import type { Shop } from '../kinds/shop.ts'
import { international } from './books/international/international.ts'
import { northAmerican } from './books/northAmerican/northAmerican.ts'
import type { RuleBook } from './ruleBook.ts'

const RULE_BOOKS: Readonly<Record<Shop['ruleBook'], RuleBook>> = {
  'north-american': northAmerican,
  international,
}
export const ALL_RULE_BOOKS: readonly RuleBook[] = Object.values(RULE_BOOKS)

export const ruleBookOf = (shop: Pick<Shop, 'ruleBook'>): RuleBook => RULE_BOOKS[shop.ruleBook]

const BOOK_IDS = Object.keys(RULE_BOOKS) as Shop['ruleBook'][]
/** @returns the book by which most of those are wired who measure so */
export const usualRuleBook = (unitSystem: Shop['unitSystem']): Shop['ruleBook'] => {
  const found = BOOK_IDS.find((id) => RULE_BOOKS[id].unitSystem === unitSystem)
  if (!found) throw new Error(`no rule book is usual in ${unitSystem} units`)
  return found
}

/** @returns the code by which those size fillets who measure so */
export const usualFilletRule = (unitSystem: Shop['unitSystem']): Shop['filletRule'] =>
  RULE_BOOKS[usualRuleBook(unitSystem)].filletRule
