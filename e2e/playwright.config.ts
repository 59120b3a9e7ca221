import { defineConfig } from '@playwright/test'

const REPORT = process.env['REPORT']

export default defineConfig({
  testDir: '.',
  globalSetup: './prepare.ts',
  // Generous: a busy machine is slow, not wrong.
  timeout: 150_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  reporter: REPORT ? [['json', { outputFile: REPORT }], ['line']] : [['list']],
  outputDir: '../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    // What it keeps for a page without a server is the test of that alone.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
