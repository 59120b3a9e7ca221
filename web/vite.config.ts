import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

/** Zod, and every module of the model that speaks it. */
const CHECKS_DOCUMENTS =
  /node_modules\/zod|core\/src\/(catalogue\/catalogue|model\/(fields|describe|holding|ordered|outline|circuit|consumables|gun|part|powerSource|setUp|wireFeeder|job|shop|shelf|stockItem|records|jobFile|problems|applyChange))\.ts/
/** What both sides of that line rest on: it stands below both, so that neither waits for the other. */
const BASIS = /core\/src\/(basis|quantity|assumptions|model)\//

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true, styles: { configFile: 'src/styles/settings.scss' } })],
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      // What checks documents stands apart: a page that only shows them does not wait for it.
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'documents', test: CHECKS_DOCUMENTS, priority: 2 },
            { name: 'basis', test: BASIS, priority: 1 },
          ],
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
