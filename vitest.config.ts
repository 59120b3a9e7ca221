import vue from '@vitejs/plugin-vue'
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

const PAGE = {
  plugins: [vue(), vuetify({ autoImport: true })],
  test: {
    root: 'web',
    environment: 'happy-dom',
    setupFiles: ['src/testing/engineHere.ts', '../core/src/testing/seed.ts'],
    server: { deps: { inline: ['vuetify'] } },
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
        test: {
          name: 'server',
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
        test: {
          name: 'stand-ins',
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
        test: {
          name: 'two-servers',
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
