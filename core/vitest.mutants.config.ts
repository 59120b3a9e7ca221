import { defineConfig } from 'vitest/config'

/**
 * The tests that the mutation tester asks of each mutant whether they notice: those of the rooms that it changes, and of
 * the whole fit. The longest walks over all pairs are left out: they would be asked of every mutant.
 */
export default defineConfig({
  test: {
    include: ['core/src/{reference,trade,duty,supply,criteria,capability,demand,assembly,fit}/**/*.test.ts'],
    exclude: ['core/src/criteria/explain.test.ts', 'core/src/fit/words.test.ts'],
    testTimeout: 60_000,
  },
})
