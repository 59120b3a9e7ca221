import { defineConfig } from 'vitest/config'

/** The tests of core that the mutation tester asks; the walks over all pairs are left out: each mutant would wait for them. */
export default defineConfig({
  test: {
    include: ['core/src/**/*.test.ts'],
    exclude: ['core/src/criteria/explain.test.ts'],
    setupFiles: ['core/src/testing/seed.ts'],
    testTimeout: 60_000,
  },
})
