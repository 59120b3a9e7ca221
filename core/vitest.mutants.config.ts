import { defineConfig } from 'vitest/config'

/**
 * The tests that the mutation tester asks of each mutant whether they notice: those of the rooms that it changes, and the
 * job that is worked by hand. The walks over all pairs are left out: they would be asked of every mutant.
 */
export default defineConfig({
  test: {
    include: [
      'core/src/{calculation,reference,trade,duty,supply,criteria,capability,capacity,demand}/**/*.test.ts',
      'core/src/fit/{dial,outcome,settings,waves,workedExample}.test.ts',
    ],
    exclude: ['core/src/criteria/explain.test.ts'],
    testTimeout: 60_000,
  },
})
