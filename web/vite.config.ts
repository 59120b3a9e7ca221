import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

const CHECKS_DOCUMENTS =
  /node_modules\/zod|core\/src\/model\/(fields|holding|ordered|circuit|consumables|gun|part|powerSource|setUp|wireFeeder|job|shop|shelf|stockItem|records|jobFile|problems|outline)\.ts/

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      // What checks documents stands apart: a page that only shows them does not wait for it.
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ name: 'documents', test: CHECKS_DOCUMENTS }],
        },
      },
    },
  },
  // Parts that only an import needs are fetched when one is read.
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: process.env['BRANNIK_API'] ?? 'http://127.0.0.1:4870' } },
  },
})
