import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { build } from 'esbuild'
import { defineConfig } from 'vitest/config'
import vuetify from 'vite-plugin-vuetify'

/** What servers on one database could do to each other; in the long run also what each does for itself. */
const TWO_SERVERS = [
  'changes',
  'collections',
  'concurrency',
  'events',
  'keeping',
  'log',
  ...(process.env['TEST_LONG'] === '1' ? ['api', 'catalogue'] : []),
]
/** Generous: a busy machine is slow, not wrong. */
const PATIENCE_MS = 300_000

const CORE = fileURLToPath(new URL('.data/tests/core.mjs', import.meta.url))
/**
 * For whoever uses core it is one file, as Node runs it: every project, and every file of the page's stores, would read and
 * begin its four hundred modules anew. Who watches has the modules themselves.
 */
const OF_CORE = process.argv.includes('run') ? { '@brannik/core': CORE } : {}
if ('@brannik/core' in OF_CORE)
  await build({
    entryPoints: [fileURLToPath(new URL('core/src/index.ts', import.meta.url))],
    outfile: CORE,
    bundle: true,
    format: 'esm',
    platform: 'node',
    packages: 'external',
    sourcemap: 'inline',
    logLevel: 'warning',
  })
const NODE_READS_CORE = [/\.data\/tests\/core\.mjs$/]

const PAGE = {
  plugins: [vue(), vuetify({ autoImport: true })],
  resolve: { alias: OF_CORE },
  test: {
    root: 'web',
    environment: 'happy-dom',
    setupFiles: ['src/testing/engineHere.ts', '../core/src/testing/seed.ts'],
    server: { deps: { inline: ['vuetify'], external: NODE_READS_CORE } },
    testTimeout: PATIENCE_MS,
    benchmark: { include: [] },
  },
}

/** Unit tests of core and web, and database tests of the server, which need the DATABASE_URL that `npm test` gives. */
export default defineConfig({
  test: {
    // Some wait for a server or a disk meanwhile: half as many again as there are cores keep them busy.
    maxWorkers: '150%',
    projects: [
      {
        ...PAGE,
        test: {
          ...PAGE.test,
          name: 'web',
          // Outside the shop nothing is kept: what one file has loaded serves the next.
          isolate: false,
          setupFiles: [...PAGE.test.setupFiles, 'src/testing/drawn.ts'],
          include: ['src/**/*.test.ts'],
          exclude: ['src/shop/**'],
        },
      },
      {
        ...PAGE,
        test: {
          ...PAGE.test,
          name: 'shop',
          include: ['src/shop/**/*.test.ts'],
        },
      },
      {
        test: {
          name: 'core',
          // Functions without state: what one file has loaded serves the next.
          isolate: false,
          testTimeout: PATIENCE_MS,
          root: 'core',
          setupFiles: ['src/testing/seed.ts'],
          include: ['src/**/*.test.ts'],
          benchmark: { include: ['src/**/*.bench.ts'] },
        },
      },
      {
        resolve: { alias: OF_CORE },
        test: {
          name: 'server',
          server: { deps: { external: NODE_READS_CORE } },
          // Each file has its server and its database; what the modules hold is their own.
          isolate: false,
          root: 'server',
          globalSetup: ['src/prepareTests.ts'],
          setupFiles: ['../core/src/testing/seed.ts'],
          include: ['src/**/*.test.ts'],
          benchmark: { include: [] },
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
        },
      },
      {
        resolve: { alias: OF_CORE },
        test: {
          name: 'stand-ins',
          server: { deps: { external: NODE_READS_CORE } },
          testTimeout: PATIENCE_MS,
          root: 'stand-ins',
          setupFiles: ['../core/src/testing/seed.ts'],
          include: ['src/**/*.test.ts'],
          benchmark: { include: [] },
        },
      },
      {
        // Clusters and whole starts of their own.
        test: {
          name: 'scripts',
          root: 'scripts',
          include: ['**/*.test.mjs'],
          benchmark: { include: [] },
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
        },
      },
      {
        // What passes with one server must pass with two processes on one database behind a proxy.
        resolve: { alias: OF_CORE },
        test: {
          name: 'two-servers',
          server: { deps: { external: NODE_READS_CORE } },
          isolate: false,
          root: 'server',
          globalSetup: ['src/prepareTests.ts'],
          include: [`src/{${TWO_SERVERS.join()}}.test.ts`],
          benchmark: { include: [] },
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          env: { TWO_SERVERS: '1' },
        },
      },
    ],
  },
})
