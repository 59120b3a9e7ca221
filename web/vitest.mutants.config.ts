import vue from '@vitejs/plugin-vue'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** The tests of what the page keeps of the shop, for the mutation tester. */
export default defineConfig({
  plugins: [vue()],
  test: {
    runner: fileURLToPath(new URL('../scripts/lib/hookFailures.mjs', import.meta.url)),
    root: 'web',
    environment: 'happy-dom',
    setupFiles: ['src/testing/engineHere.ts', '../core/src/testing/seed.ts'],
    include: ['src/shop/**/*.test.ts', 'src/stores/**/*.test.ts'],
    testTimeout: 60_000,
  },
})
