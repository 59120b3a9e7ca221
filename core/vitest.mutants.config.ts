import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** The tests of core that the mutation tester asks; the walks over all pairs are left out: each mutant would wait for them. */
export default defineConfig({
  test: {
    runner: fileURLToPath(new URL('../scripts/lib/hookFailures.mjs', import.meta.url)),
    include: [process.env['MUTANTS_TESTS'] ?? 'core/src/**/*.test.ts'],
    exclude: ['core/src/criteria/explain.test.ts'],
    // As in the gate.
    isolate: false,
    setupFiles: ['core/src/testing/seed.ts'],
    testTimeout: 60_000,
  },
})
