import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { target: 'es2022', chunkSizeWarningLimit: 900 },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: process.env['BRANNIK_API'] ?? 'http://127.0.0.1:4870' } },
  },
})
