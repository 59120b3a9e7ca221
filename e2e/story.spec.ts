/** The whole story of the first slice, as the owner lives it. */
import type { Job } from '@brannik/core'
import type { Page } from '@playwright/test'
import { enter } from './enter.ts'
import { expect, type Server, test } from './server.ts'

const openFit = async (page: Page, server: Server, jobId: string) => {
  await page.goto(`${server.url}/jobs/${jobId}/fit`)
  await expect(page.getByTestId('headline')).toBeVisible()
}
const choose = async (page: Page, label: string, option: string | RegExp) => {
  const field = page.getByRole('combobox', { name: label, exact: true })
  await field.click()
  await page.getByRole('option', { name: option }).click()
}
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
const headline = (page: Page) => page.getByTestId('headline')

test('the answer to the press frame stands on one screen, unscrolled', async ({ page, server }) => {
  await page.goto(server.url)
  await page.getByRole('link', { name: 'Jobs' }).click()
  await page.getByRole('link', { name: 'Fit Press frame' }).click()
  await expect(headline(page)).toHaveText(/A too low$/)
  await expect(page.getByText('Weakest link: the power source.')).toBeVisible()
  for (const name of ['Circuit', 'Power source', 'Gun', 'Wire', 'Joint']) {
    await expect(page.getByRole('button', { name: new RegExp(`^${name}`) }).first()).toBeInViewport()
  }
  for (const check of [
    'supply-voltage',
    'breaker-holds',
    'source-range',
    'gun-duty',
    'thickness',
    'wire-use',
    'gas-use',
    'time-use',
  ]) {
    await expect(page.getByTestId(`finding-${check}`)).toBeInViewport({ ratio: 1 })
  }
  // Once all of it is drawn.
  const scrolls = () => page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)
  await expect.poll(scrolls).toBeLessThanOrEqual(0)
})

test('a shop that a busy server could not give is loaded by itself when it can', async ({ page, server }) => {
  let isBusy = true
  await page.route('**/api/wires?*', (route) =>
    isBusy
      ? route.fulfill({ status: 503, json: { detail: 'The database does not respond.' } })
      : route.fallback(),
  )
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(page.getByRole('heading', { name: 'The shop cannot be loaded' })).toBeVisible()
  await expect(page.getByText('This page loads the shop when it responds.')).toBeVisible()
  isBusy = false
  await expect(headline(page)).toHaveText(/A too low$/)
})

test('thickness, circuit, wire and gas recompute the whole screen, and what is saved is still there', async ({
  page,
  server,
}) => {
  await openFit(page, server, 'press-frame')
  const before = await headline(page).innerText()

  await page.getByLabel('Thickness').press('Control+a')
  await page.getByLabel('Thickness').pressSequentially('16 ga')
  await expect(page.getByText('16 ga carbon steel sheet = 0.0598 in')).toBeVisible()
  await expect(headline(page)).not.toHaveText(before)
  await enter(page.getByLabel('Thickness'), '1/4')

  await choose(page, 'Circuit', 'Bay 2 240 V 50 A')
  await expect(page.getByTestId('finding-breaker-holds').locator('xpath=ancestor::tr')).toContainText(
    'checks pass:',
  )
  await choose(page, 'Wire', '0.030 ER70S-6')
  await expect(page.getByTestId('finding-electrode').locator('xpath=ancestor::tr')).toContainText('Tight')
  await choose(page, 'Wire', '0.035 ER70S-6')
  await choose(page, 'Gas', /^CO₂/)
  await expect(page.getByTestId('finding-gas-use').locator('xpath=ancestor::tr')).toContainText(
    'checks pass:',
  )
  await saved(page)

  await page.reload()
  await expect(page.getByRole('combobox', { name: 'Circuit', exact: true })).toHaveValue('Bay 2 240 V 50 A')
  await expect(page.getByLabel('Thickness')).toHaveValue('1/4 in')
  expect(await server.record('set-ups/north-wall-wire')).toMatchObject({ circuitId: 'bay-2', gasId: 'co2' })
})

test('any number opens calculation, with its sources', async ({ page, server }) => {
  await openFit(page, server, 'tank-manifold')
  await page.getByTestId('finding-source-duty').click()
  const working = page.getByRole('complementary')
  await expect(working).toContainText('I²·X constant')
  await expect(working).toContainText('IEC 60974-1')
  await page.keyboard.press('Escape')
  await expect(working).toBeHidden()
  await page.getByRole('region', { name: 'Start settings' }).getByRole('button').first().click()
  await expect(working).toContainText('Try it on a coupon')
  await page.keyboard.press('Escape')
  await expect(working).toBeHidden()
  await page
    .getByRole('button', { name: /^Joint(?! and)/ })
    .last()
    .click()
  await expect(working).toContainText('common practice: fitted to everyday settings')
  await working.getByRole('link', { name: 'change' }).first().click()
  await expect(page).toHaveURL(/\/assumptions#/)
})

test('TIG shows torch, tungsten, cup, argon and tungsten use; a mend is tried and undone', async ({
  page,
  server,
}) => {
  await openFit(page, server, 'pressing-tray')
  await expect(page.getByRole('button', { name: /^Torch/ }).first()).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'Cup', exact: true })).toHaveValue('Cup 7, large head')
  await expect(page.getByTestId('finding-tungsten-use')).toBeVisible()
  await expect(headline(page)).toHaveText('26 A to spare')
  // On foil a thick tungsten does not go low enough.
  await enter(page.getByLabel('Thickness'), '0.02')
  await choose(page, 'Tungsten', /^3\/32 WLa20/)
  await expect(headline(page)).toHaveText(/too high$/)
  await page.getByRole('button', { name: /0\.040 WLa20/ }).click()
  await expect(headline(page)).toHaveText(/to spare$/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(headline(page)).toHaveText(/too high$/)
})

test('units switch for all that is shown', async ({ page, server }) => {
  await openFit(page, server, 'loader-fork')
  await expect(page.getByLabel('Thickness')).toHaveValue('1/2 in')
  await page.getByRole('button', { name: 'inch · lb' }).click()
  await expect(page.getByLabel('Thickness')).toHaveValue('12.7 mm')
  await page.getByRole('button', { name: 'Show figures' }).click()
  await expect(page.getByTestId('finding-wire-use').locator('xpath=ancestor::tr')).toContainText('kg')
  await page.getByRole('button', { name: 'mm · kg' }).click()
  await expect(page.getByLabel('Thickness')).toHaveValue('1/2 in')
  await saved(page)
})

test('text that cannot be read stays, says what to write, and changes nothing', async ({ page, server }) => {
  await openFit(page, server, 'loader-fork')
  const before = await headline(page).innerText()
  const field = page.getByLabel('Thickness')
  for (const [text, words] of [
    ['3/0', 'divides by zero'],
    ['1/8 ga', 'whole number'],
    ['-2 mm', 'below zero'],
    ['2 ga', 'has no 2 ga'],
    ['1e9 mm', 'above the maximum'],
    ['', 'is empty'],
    ['thick', 'no number'],
    ['5', '5 mm, 5 ga or 5 in'],
    ["'; DROP TABLE record; --", 'no number'],
  ] as const) {
    await field.fill(text)
    await expect(page.getByRole('alert')).toContainText(words)
    await expect(field).toHaveValue(text)
  }
  await expect(headline(page)).toHaveText(before)
  await field.fill('1/2 in')
  await expect(page.getByRole('alert')).toBeHidden()
})

test('a server killed between edit and save loses nothing that was typed', async ({ page, server }) => {
  await openFit(page, server, 'picking-platform')
  await saved(page)
  await server.kill()
  await enter(page.getByLabel('Welds', { exact: true }), '44')
  await expect(page.getByText('Not saved: the server does not respond')).toBeVisible()
  await server.start()
  // The page is opened anew: what was typed comes from the browser, and is stored now.
  await page.reload()
  await expect(page.getByLabel('Welds', { exact: true })).toHaveValue('44')
  await saved(page)
  await expect.poll(async () => (await server.record<Job>('jobs/picking-platform')).joints[1]?.count).toBe(44)
})

test('a server that comes back is found by itself, without a reload', async ({ page, server }) => {
  await openFit(page, server, 'picking-platform')
  await server.kill()
  await enter(page.getByLabel('Welds', { exact: true }), '31')
  await expect(page.getByText('Not saved:')).toBeVisible()
  await server.start()
  await saved(page)
  expect((await server.record<Job>('jobs/picking-platform')).joints[1]?.count).toBe(31)
})

test('a reload while a save is on its way asks nothing: the save is known as one’s own', async ({
  page,
  server,
}) => {
  await openFit(page, server, 'tank-manifold')
  await saved(page)
  const welds = page.getByLabel('Welds', { exact: true })
  // The server stores it; the page never hears of it.
  const stored = new Promise<void>((resolve) => {
    void page.route('**/api/jobs/tank-manifold', async (route) => {
      await route.fetch()
      resolve()
    })
  })
  await enter(welds, '9')
  await stored
  await enter(welds, '11')
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await page.reload()
  await expect(welds).toHaveValue('11')
  await saved(page)
  await expect(page.getByText('elsewhere meanwhile')).toBeHidden()
  const job = await server.record<Job>('jobs/tank-manifold')
  expect(job.joints.map(({ count }) => count)).toContain(11)
})

/** An edit by another program. */
const editElsewhere = (server: Server, change: (job: Job) => Job): Promise<void> =>
  server.replace('jobs/tank-manifold', change)

test('two tabs on one job show each other’s edits', async ({ page, context, server }) => {
  await openFit(page, server, 'tank-manifold')
  const other = await context.newPage()
  await openFit(other, server, 'tank-manifold')
  await enter(page.getByLabel('Welds', { exact: true }), '9')
  await expect(other.getByLabel('Welds', { exact: true })).toHaveValue('9')
  await enter(other.getByLabel('Welds', { exact: true }), '11')
  await expect(page.getByLabel('Welds', { exact: true })).toHaveValue('11')
  await saved(page)
  await saved(other)
})

/** The page hears nothing of others until it saves: without a worker that all pages share it asks itself, in vain. */
async function deafen(page: Page): Promise<void> {
  await page.addInitScript(() => {
    Reflect.deleteProperty(globalThis, 'SharedWorker')
  })
  await page.route(/\/api\/changes\?/, (route) => route.abort())
}

test('what was changed elsewhere in another field comes in with the own edit', async ({ page, server }) => {
  await deafen(page)
  await openFit(page, server, 'tank-manifold')
  await saved(page)
  await editElsewhere(server, (job) => ({ ...job, quantity: 5 }))
  await enter(page.getByLabel('Welds', { exact: true }), '9')
  await expect(page.getByText('5 pieces')).toBeVisible()
  await saved(page)
  const job = await server.record<Job>('jobs/tank-manifold')
  expect(job.quantity).toBe(5)
  expect(job.joints.map(({ count }) => count)).toContain(9)
})

test('a field that was changed here and elsewhere is asked about, both values side by side', async ({
  page,
  server,
}) => {
  await deafen(page)
  await openFit(page, server, 'tank-manifold')
  await saved(page)
  await editElsewhere(server, (job) => ({
    ...job,
    quantity: 5,
    joints: job.joints.map((joint) => ({ ...joint, count: 5 })),
  }))
  await enter(page.getByLabel('Welds', { exact: true }), '9')
  await expect(page.getByText('Changed in another place.')).toBeVisible()
  await page.getByRole('button', { name: 'Compare field' }).click()
  const row = page.getByRole('dialog').getByRole('row').nth(1)
  await expect(row).toContainText('number of welds')
  await expect(row.getByLabel('9')).toBeChecked()
  await row.getByLabel('5').check()
  expect((await server.record<Job>('jobs/tank-manifold')).joints.map(({ count }) => count)).not.toContain(9)
  await page.getByRole('button', { name: 'Save choices' }).click()
  await saved(page)
  await expect(page.getByLabel('Welds', { exact: true })).toHaveValue('5')
  expect((await server.record<Job>('jobs/tank-manifold')).quantity).toBe(5)
})

test('by keyboard alone: palette to a job, field to field, undo', async ({ page, server }) => {
  await openFit(page, server, 'press-frame')
  await page.keyboard.press('Control+k')
  await page.keyboard.type('fit loader')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Loader fork repair' })).toBeVisible()
  await page.getByLabel('Thickness').focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('3/8 in')
  await page.keyboard.press('Tab')
  await expect(page.getByLabel('Other part')).toBeFocused()
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Thickness')).toHaveValue('1/2 in')
  await saved(page)
})

test('a new job is written, fitted, copied and deleted', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs`)
  await page.getByRole('button', { name: 'New job' }).click()
  await expect(page.getByRole('heading', { name: 'New job' })).toBeVisible()
  await page.getByRole('link', { name: 'Fit', exact: true }).click()
  await page.getByRole('button', { name: 'Bay 2 wire' }).click()
  await expect(headline(page)).toBeVisible()
  await page.getByRole('link', { name: 'Jobs' }).click()
  await page.getByRole('button', { name: 'Copy New job' }).click()
  await expect(page.getByRole('link', { name: 'New job, copy', exact: true })).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: 'Delete New job, copy' }).click()
  await expect(page.getByRole('link', { name: 'New job, copy', exact: true })).toBeHidden()
  await expect.poll(async () => (await fetch(`${server.url}/api/jobs/new-job-copy`)).status).toBe(404)
})

test('a changed assumption is shown as changed, takes part at once, and is reset', async ({
  page,
  server,
}) => {
  await openFit(page, server, 'loader-fork')
  const before = await headline(page).innerText()
  await page.getByRole('link', { name: 'Shop' }).click()
  await page.getByRole('link', { name: 'Assumptions' }).click()
  await page.getByLabel('Search the assumptions').pressSequentially('self-shielded')
  const field = page.getByLabel('Self-shielded cored wire', { exact: true })
  await enter(field, '9')
  await field.press('Tab')
  await expect(page.getByRole('alert')).toContainText('from 0.3 to 2')
  await enter(field, '0.7')
  await field.press('Tab')
  await expect(page.getByLabel('Changed only (1)')).toBeEnabled()
  await openFit(page, server, 'loader-fork')
  await expect(headline(page)).not.toHaveText(before)
  await page.getByRole('link', { name: 'Shop' }).click()
  await page.getByRole('link', { name: 'Assumptions' }).click()
  await page.getByLabel('Changed only (1)').check()
  await page.getByRole('button', { name: 'Reset Self-shielded cored wire' }).click()
  await expect(page.getByText('None changed.')).toBeVisible()
  await saved(page)
})
