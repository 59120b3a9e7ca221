/** The first hour: an empty database asks, a shop is walked through, its file goes out and in, the demo is left. */
import { readFile } from 'node:fs/promises'
import { violations } from './axe.ts'
import { walkToFirstFit } from './firstFit.ts'
import { expect, test } from './server.ts'

test.describe('an empty database', () => {
  test.use({ settings: { DEMO: '0' } })

  test('is walked through with an own plate and three welds in 24 interactions, with nothing unknown', async ({
    page,
    server,
  }) => {
    const interactions = await walkToFirstFit(page, server.url)
    console.log(`MEASURED interactions to the first fit: ${interactions}`)
    expect(interactions).toBeLessThanOrEqual(24)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('First job')
    await expect(page.locator('main')).not.toContainText(/Not known|not known|Unknown/)
    await expect(page.getByText('Plate', { exact: true })).toBeVisible()
    // What was taken is stored: it is there after a reload, with its counts.
    await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
    await page.reload()
    await expect(page.getByTestId('headline')).toBeVisible()
    await page.goto(`${server.url}/start`)
    await expect(page.getByText('typical value – check yours')).toBeVisible()
    // No stock and no length that nobody gave.
    await expect(page.getByLabel('Stock of 0.035 ER70S-6, 200 mm spool')).toHaveValue('')
    await expect(page.getByText('40 ft')).toBeVisible()
    await expect(page.getByLabel('Maximum output, A, MIG, flux-cored on 240 V')).toHaveValue('205')
    // What the plate does not say is one press away, and so is the way back.
    await page.getByRole('link', { name: 'Check them' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Shop')
    await page.getByRole('link', { name: /Back to setting up/ }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Set up Gatehouse Welding')
  })

  test('shows the demo, which is left wholly by one confirmed step', async ({ page, server }) => {
    await page.goto(server.url)
    await page.getByRole('button', { name: 'Open the demo in inches' }).click()
    await expect(page.getByRole('link', { name: 'Press frame', exact: true })).toBeVisible()
    await page.goto(`${server.url}/shop`)
    await page.getByRole('button', { name: 'Start my own shop' }).click()
    await page.getByLabel('Name of your shop').pressSequentially('Gatehouse Welding')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Set up Gatehouse Welding')
    await page.goto(`${server.url}/jobs`)
    await expect(page.getByText('No jobs yet')).toBeVisible()
    await expect(page.getByText('Tollgate')).toHaveCount(0)
  })

  test('asks so that all can answer, and again for a name that was not given', async ({
    browser,
    server,
  }) => {
    const page = await browser.newPage({ bypassCSP: true })
    await page.goto(server.url)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(await violations(page)).toEqual([])
    await page.getByRole('button', { name: 'Start my shop' }).click()
    await expect(page.getByRole('alert')).toContainText('Enter the name of your shop')
    await page.close()
  })
})

test('a whole shop goes out as a file and comes in again', async ({ page, server }, info) => {
  await page.goto(`${server.url}/shop`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export the whole shop' }).click(),
  ])
  const path = info.outputPath('shop.json')
  await download.saveAs(path)
  const text = await readFile(path, 'utf8')
  expect(JSON.parse(text)).toMatchObject({ format: 'brannik-shop', shop: { name: 'Tollgate Orchard Works' } })
  await page.goto(`${server.url}/jobs`)
  await page.getByRole('button', { name: 'Delete Press frame' }).click()
  await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
  await page.goto(`${server.url}/shop`)
  await page.getByText('Import a whole shop').setInputFiles(path)
  await expect(page.getByRole('alert')).toContainText('replaces everything of')
  await page.getByRole('button', { name: 'Replace Tollgate Orchard Works' }).click()
  await expect(page.getByRole('link', { name: 'Press frame', exact: true })).toBeVisible()
  await page.goto(`${server.url}/shop`)
  await page.getByText('Import a whole shop').setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"brannik-shop","version":99}'),
  })
  await expect(page.getByRole('alert')).toContainText('version 99')
})

test('a whole shop goes out with what was typed just before, and says what the server does not have', async ({
  page,
  server,
}, info) => {
  await page.goto(`${server.url}/shop`)
  const exported = async (): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Export the whole shop' }).click(),
    ])
    const path = info.outputPath('shop.json')
    await download.saveAs(path)
    return (JSON.parse(await readFile(path, 'utf8')) as { shop: { name: string } }).shop.name
  }
  const name = page.getByLabel('Name', { exact: true })
  await name.press('End')
  await name.pressSequentially(' and Press')
  await name.press('Enter')
  expect(await exported()).toBe('Tollgate Orchard Works and Press')
  await page.route('**/api/shop', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.fallback(),
  )
  await name.press('End')
  await name.pressSequentially(' House')
  await name.press('Enter')
  expect(await exported()).toBe('Tollgate Orchard Works and Press')
  await expect(
    page.getByText(
      'Tollgate Orchard Works and Press House is not saved yet, so the file has it as it was before.',
    ),
  ).toBeVisible()
  await expect(name).toHaveValue('Tollgate Orchard Works and Press House')
})

test('a job without a set-up has them ranked, and what is not known leads to its field', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/gusset-template/fit`)
  await expect(page.getByRole('heading', { name: 'Which set-up does it?' })).toBeVisible()
  await page
    .getByRole('button', { name: /^Take / })
    .first()
    .click()
  await expect(page.getByTestId('headline')).toBeVisible()
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await page.getByRole('link', { name: 'Enter stock' }).click()
  const left = page.getByLabel('Gas in the cylinder', { exact: true })
  await expect(left).toBeFocused()
  await page.keyboard.type('120')
  await page.keyboard.press('Tab')
  await page.goBack()
  await expect(page.getByTestId('finding-gas-use')).toBeVisible()
  await expect(page.locator('main')).not.toContainText('For information')
})

test('what a verdict lacks is settled where it is told, typed or as usual', async ({ page, server }) => {
  await server.sql(
    `update record set body = jsonb_set(body, '{connector}', 'null'), version = version + 1
     where kind = 'gun' and id = 'gun-250'`,
  )
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  const list = page.getByRole('region', { name: 'To settle' })
  await expect(list.getByRole('heading')).toHaveText('1 thing to settle')
  await list.getByRole('button', { name: /^Typical for .*push-in pin, large, go on$/ }).press('Enter')
  await expect(list).toBeHidden()
  await expect(page.getByTestId('headline')).toHaveText('12 A too low')
})
