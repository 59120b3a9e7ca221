import { readFileSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

const browser = JSON.parse(readFileSync(new URL('../scripts/lib/browser.json', import.meta.url), 'utf8')) as {
  readonly path: string
  readonly args: string[]
}
const REPORT = process.env['REPORT']

export default defineConfig({
  testDir: '.',
  globalSetup: './prepare.ts',
  // Generous: a busy machine is slow, not wrong.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  // Half as many again as there are cores: each waits for its server now and then.
  workers: '150%',
  fullyParallel: false,
  forbidOnly: true,
  reporter: REPORT ? [['json', { outputFile: REPORT }], ['line']] : [['list']],
  outputDir: '../test-results',
  use: {
    actionTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    // What it keeps for a page without a server is the test of that alone.
    serviceWorkers: 'block',
    launchOptions: { executablePath: process.env['CHROMIUM'] ?? browser.path, args: browser.args },
  },
})
