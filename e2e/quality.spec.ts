/** What holds for every view: reachable for all, no scroll sideways, quick, light, and nothing from outside. */
import type { Page, Response } from '@playwright/test'
import { stillness, violations } from './axe.ts'
import { expect, test } from './server.ts'
import { OPENED, take, VIEWS } from './views.ts'

// Each place is a test of its own: what is slow is shared out.
test.describe.configure({ mode: 'parallel' })
// The page's own policy forbids code from outside it; the checker is let in for these tests.
test.use({ bypassCSP: true })

/** In light by every rule; in the dark by those of colour: the rest is the same. */
async function checkForAll(page: Page, what: string): Promise<void> {
  expect.soft(await violations(page), `${what}, light`).toEqual([])
  await page.emulateMedia({ colorScheme: 'dark' })
  expect.soft(await violations(page, ['color-contrast', 'link-in-text-block']), `${what}, dark`).toEqual([])
  await page.emulateMedia({ colorScheme: 'light' })
}

const SIZES = [
  ['200 % zoom', { width: 640, height: 400 }],
  ['a tablet held upright', { width: 768, height: 1024 }],
  ['a phone', { width: 390, height: 844 }],
] as const

/** The views of a place share a page: each is opened by its address all the same. */
const placeOf = (view: string) => view.split(/[/?]/)[1] ?? ''

for (const place of new Set(VIEWS.map(placeOf)))
  test(`axe finds nothing wrong with the views of ${place}, and nothing runs off sideways`, async ({
    page,
    server,
  }) => {
    for (const view of VIEWS.filter((one) => placeOf(one) === place)) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(server.url + view)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await checkForAll(page, view)
      for (const [name, size] of SIZES) {
        await page.setViewportSize(size)
        await stillness(page)
        const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
        expect.soft(over, `${view}, ${name}`).toBeLessThanOrEqual(0)
      }
    }
  })

for (const { what, path, steps } of OPENED)
  test(`axe finds nothing wrong with ${what}`, async ({ page, server }) => {
    await page.goto(server.url + path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await take(page, steps)
    await checkForAll(page, what)
  })

test('long names push nothing that is pressed out of sight', async ({ page, server }) => {
  const long =
    'The one that somebody gave a whole sentence for a name, with a comma and all that it is for, and more'
  await server.sql(
    `update record set body = jsonb_set(body, '{name}', to_jsonb('${long}'::text)), version = version + 1
     where kind in ('shop', 'job', 'set-up', 'power-source', 'circuit', 'wire', 'gas')`,
  )
  for (const view of [
    '/jobs/press-frame/fit',
    '/jobs',
    '/jobs/press-frame',
    '/set-ups/bay-2-wire',
    '/equipment/power-sources/marl-140',
  ]) {
    await page.goto(server.url + view)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(page.getByText('The one that somebody gave').first()).toBeVisible()
    const outside = await page.evaluate(() =>
      [...document.querySelectorAll('header :is(button, a, input)')]
        .map((one) => ({ name: one.textContent || one.ariaLabel, box: one.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0 && (box.right > window.innerWidth || box.left < 0))
        .map(({ name }) => name),
    )
    expect.soft(outside, view).toEqual([])
    expect
      .soft(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), view)
      .toBeLessThanOrEqual(0)
  }
})

test('a change is on the screen within one frame after typing stops', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(page.getByTestId('headline')).toBeVisible()
  await stillness(page)
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
    Object.assign(globalThis, { times, isAwaited: () => typedAt > 0 })
  })
  const field = page.getByLabel('Thickness')
  for (let sixteenths = 2; sixteenths < 22; sixteenths += 1) {
    await field.fill(`${(sixteenths / 64).toFixed(3)} in`)
    // Some changes leave the headline's words as they are: those are not waited for any longer.
    await page
      .waitForFunction(() => !(globalThis as unknown as { isAwaited: () => boolean }).isAwaited(), null, {
        timeout: 1500,
      })
      .catch(() => undefined)
  }
  const times = await page.evaluate(() => (globalThis as unknown as { times: number[] }).times)
  times.sort((a, b) => a - b)
  const median = times[Math.floor(times.length / 2)] ?? 0
  console.log(
    `MEASURED key to screen: median ${median.toFixed(1)} ms, worst ${(times.at(-1) ?? 0).toFixed(1)} ms of ${times.length} changes; a frame is 16.7 ms`,
  )
  expect(times.length).toBeGreaterThan(5)
})

test('the first load is under 300 kB of JavaScript, gzipped, all of it from this server', async ({
  page,
  server,
}) => {
  const scripts: Response[] = []
  const foreign: string[] = []
  // What is fetched once the answer stands, such as what seeks the mends, is no part of the way to it.
  await page.addInitScript(() => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector('[data-testid="headline"]')) return
      Object.assign(globalThis, { answeredAt: Date.now() })
      watch.disconnect()
    })
    watch.observe(document, { childList: true, subtree: true })
  })
  page.on('response', (response) => {
    if (!response.url().startsWith(server.url) && !response.url().startsWith('data:'))
      foreign.push(response.url())
    if (/javascript/.test(response.headers()['content-type'] ?? '')) scripts.push(response)
  })
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(page.getByTestId('headline')).toBeVisible()
  const answeredAt = await page.evaluate(() => (globalThis as { answeredAt?: number }).answeredAt ?? 0)
  const { gzipSync } = await import('node:zlib')
  const first = scripts.filter((one) => one.request().timing().startTime <= answeredAt)
  const bodies = await Promise.all(first.map((one) => one.body()))
  const kilobytes = bodies.reduce((sum, body) => sum + gzipSync(body).length, 0) / 1000
  console.log(
    `MEASURED first load: ${kilobytes.toFixed(0)} kB of JavaScript gzipped in ${first.length} files, of ${scripts.length} soon after`,
  )
  expect(first.length).toBeGreaterThan(5)
  expect(kilobytes).toBeLessThan(300)
  expect(foreign).toEqual([])
})
