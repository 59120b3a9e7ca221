/** Outlets as shops have them: each may stand by the rules of its own book. */
import { expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { ALL_RULE_BOOKS, ruleBookOf, usualRuleBook } from './index.ts'
import { isMadeFor, outletOf } from './ruleBook.ts'

const r = reckonerFor(assumptionsOf({ assumptions: {} }))

it.each(ALL_RULE_BOOKS.map((book) => [book.id, book] as const))(
  'of %s each cable carries its breaker, whose size there is',
  (_id, book) => {
    expect(book.usualCircuits.length).toBeGreaterThan(3)
    for (const circuit of book.usualCircuits) {
      expect(book.breakerSizesA, circuit.name).toContain(circuit.breakerA)
      expect(book.columnsC, circuit.name).toContain(circuit.columnC)
      // NEC 240.4(D) and 110.14(C); IEC 60364-4-43, 433.1: no breaker above what its cable carries.
      expect(book.ampacity(circuit)?.value, circuit.name).toBeGreaterThanOrEqual(circuit.breakerA)
      expect(book.conductorA([], r).value).toBe(0)
      // An outlet is one of the book's, made for these volts, and no weaker than its breaker.
      if (circuit.outlet === null) continue
      const outlet = outletOf(book, circuit.outlet)
      expect(outlet && isMadeFor(outlet, circuit), circuit.name).toBe(true)
      expect(outlet?.ratedA, circuit.name).toBeGreaterThanOrEqual(circuit.breakerA)
    }
  },
)

it('feet are wired by NEC and metres by IEC 60364 in most places (common practice, no source)', () => {
  expect(usualRuleBook('imperial')).toBe('north-american')
  expect(usualRuleBook('metric')).toBe('international')
  expect(
    ruleBookOf({ ruleBook: usualRuleBook('metric') }).usualCircuits.map(({ voltageV }) => voltageV),
  ).toEqual([230, 230, 400, 400])
})
