import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/** The tests of the stores of the page, for the mutation tester. */
export default defineConfig({
  plugins: [vue()],
  test: {
    root: 'web',
    environment: 'happy-dom',
    setupFiles: ['src/testing/engineHere.ts', '../core/src/testing/seed.ts'],
    include: ['src/stores/**/*.test.ts'],
    testTimeout: 60_000,
  },
})
