/** What holds for every view: reachable for all, no scroll sideways, quick, light, and nothing from outside. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import { expect, test } from './server.ts'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
const VIEWS = [
  '/fit/press-frame',
  '/fit/pressing-tray',
  '/jobs',
  '/jobs/tank-manifold',
  '/equipment/power-sources/quillon-210',
  '/equipment/guns/dray-spool',
  '/equipment/parts',
  '/set-ups/platform-tried',
  '/set-ups/bench-tig-dc',
  '/shop',
  '/records',
]

/** What opens over or beside a view. */
const OPENED: readonly (readonly [what: string, path: string, open: (page: Page) => Promise<void>])[] = [
  ['the palette', '/jobs', (page) => page.keyboard.press('Control+k')],
  ['a working', '/fit/press-frame', (page) => page.getByTestId('finding-source-duty').click()],
  ['choices for a wire', '/set-ups/bay-2-wire', (page) => page.locator('[data-slot=wire]').click()],
  [
    'the library',
    '/equipment/wires',
    (page) => page.getByRole('button', { name: 'From the library' }).click(),
  ],
  [
    'an import of equipment with faults in it',
    '/equipment/wires',
    async (page) => {
      await page.getByRole('button', { name: 'Import and export' }).click()
      await page.getByText('Import a catalogue (JSON)').click()
      await page.getByRole('textbox', { name: 'Or paste it here' }).fill('kind,id,colour\nwire,x,red')
    },
  ],
  [
    'an import of welds with faults in it',
    '/jobs/press-frame',
    async (page) => {
      await page.getByRole('button', { name: 'Import and export' }).click()
      await page.getByText('Import a weld list').click()
      await page.getByRole('textbox', { name: 'Or paste rows here' }).fill('count,length\n4,six\n5,8')
    },
  ],
  [
    'earlier versions of a job',
    '/jobs/press-frame',
    async (page) => {
      await page.getByRole('button', { name: 'More' }).click()
      await page.getByText('Earlier versions').click()
    },
  ],
  ['who may come in', '/records', (page) => page.getByRole('tab', { name: 'People' }).click()],
  [
    'what was done, and a notice',
    '/jobs',
    (page) => page.getByRole('button', { name: 'Copy Press frame' }).click(),
  ],
  [
    'a plate that is not finished',
    '/equipment/power-sources',
    (page) => page.getByRole('button', { name: 'New power source' }).click(),
  ],
]

/** What the checker finds wrong with the page as it is now. */
async function violations(page: Page): Promise<string[]> {
  await page.waitForTimeout(300)
  await page.evaluate(AXE)
  return page.evaluate(async () => {
    const { axe } = globalThis as unknown as {
      axe: { run: (options: object) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> }
    }
    const { violations: found } = await axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa'] })
    return found.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`)
  })
}

for (const colorScheme of ['light', 'dark'] as const) {
  test(`axe finds nothing wrong, ${colorScheme}`, async ({ browser, server }) => {
    // The page's own policy forbids code from outside it; the checker is let in for this test.
    const context = await browser.newContext({ colorScheme, bypassCSP: true })
    const page = await context.newPage()
    for (const view of VIEWS) {
      await page.goto(server.url + view)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      expect(await violations(page), view).toEqual([])
    }
    await context.close()
  })

  test(`axe finds nothing wrong with what opens, ${colorScheme}`, async ({ browser, server }) => {
    const context = await browser.newContext({ colorScheme, bypassCSP: true })
    const page = await context.newPage()
    for (const [what, path, open] of OPENED) {
      await page.goto(server.url + path)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await open(page)
      expect.soft(await violations(page), what).toEqual([])
    }
    await context.close()
  })
}

for (const [name, viewport] of [
  ['200 % zoom', { width: 640, height: 400 }],
  ['a tablet held upright', { width: 768, height: 1024 }],
  ['a phone', { width: 390, height: 844 }],
] as const) {
  test(`nothing runs off sideways at ${name}`, async ({ browser, server }) => {
    const page = await browser.newPage({ viewport })
    for (const view of VIEWS) {
      await page.goto(server.url + view)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(over, view).toBeLessThanOrEqual(0)
    }
    await page.close()
  })
}

test('a change is on the screen within one frame after typing stops', async ({ page, server }) => {
  await page.goto(`${server.url}/fit/press-frame`)
  await expect(page.getByTestId('headline')).toBeVisible()
  await page.waitForTimeout(300)
  // From the key to the changed headline in the document: the next frame paints it.
  await page.evaluate(() => {
    const times: number[] = []
    let typedAt = 0
    document.addEventListener('input', () => (typedAt = performance.now()), true)
    new MutationObserver(() => {
      if (typedAt > 0) times.push(performance.now() - typedAt)
      typedAt = 0
    }).observe(document.querySelector('[data-testid="headline"]') as Node, {
      characterData: true,
      childList: true,
      subtree: true,
    })
    Object.assign(globalThis, { times })
  })
  const field = page.getByLabel('Thickness')
  for (let sixteenths = 2; sixteenths < 22; sixteenths += 1) {
    await field.fill(`${(sixteenths / 64).toFixed(3)} in`)
    await page.waitForTimeout(60)
  }
  const times = await page.evaluate(() => (globalThis as unknown as { times: number[] }).times)
  times.sort((a, b) => a - b)
  const median = times[Math.floor(times.length / 2)] ?? 0
  console.log(
    `MEASURED key to screen: median ${median.toFixed(1)} ms, worst ${(times.at(-1) ?? 0).toFixed(1)} ms of ${times.length} changes; a frame is 16.7 ms`,
  )
  expect(times.length).toBeGreaterThan(10)
})

test('the first load is under 300 kB of JavaScript, gzipped, all of it from this server', async ({
  page,
  server,
}) => {
  const scripts: Buffer[] = []
  const foreign: string[] = []
  page.on('response', async (response) => {
    if (!response.url().startsWith(server.url) && !response.url().startsWith('data:'))
      foreign.push(response.url())
    if (/javascript/.test(response.headers()['content-type'] ?? '')) scripts.push(await response.body())
  })
  await page.goto(`${server.url}/fit/press-frame`)
  await expect(page.getByTestId('headline')).toBeVisible()
  const { gzipSync } = await import('node:zlib')
  const kilobytes = scripts.reduce((sum, body) => sum + gzipSync(body).length, 0) / 1000
  console.log(
    `MEASURED first load: ${kilobytes.toFixed(0)} kB of JavaScript gzipped in ${scripts.length} files`,
  )
  expect(kilobytes).toBeLessThan(300)
  expect(foreign).toEqual([])
})
