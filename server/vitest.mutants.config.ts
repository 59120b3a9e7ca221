import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** The tests of the server that run in its own process: what is changed in a process that they start is not seen. */
export default defineConfig({
  test: {
    runner: fileURLToPath(new URL('../scripts/lib/hookFailures.mjs', import.meta.url)),
    root: 'server',
    globalSetup: ['src/prepareTests.ts'],
    setupFiles: ['../core/src/testing/seed.ts'],
    include: ['src/**/*.test.ts'],
    exclude: ['src/{process,readme,hostile}.test.ts'],
    testTimeout: 90_000,
    hookTimeout: 90_000,
  },
})
