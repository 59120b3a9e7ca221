import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'

/** The tests of the stores of the page, for the mutation tester. */
export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  test: {
    root: 'web',
    setupFiles: ['src/testing/setup.ts', '../core/src/testing/seed.ts'],
    server: { deps: { inline: ['vuetify'] } },
    include: ['src/stores/**/*.test.ts', 'src/components/useTyped.test.ts'],
    testTimeout: 60_000,
  },
})
