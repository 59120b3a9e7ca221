/** Stores: what is there, when it ends, what to order; received, used and counted with real keys. */
import { readFileSync } from 'node:fs'
import { expect, test } from './server.ts'

test('two jobs on one spool: what lasts for each alone ends in the second, until a spool comes in', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/stores`)
  const wire = page.getByRole('listitem').filter({ hasText: '0.035 ER70S-6' }).first()
  await wire.getByRole('button', { name: /^Count / }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What is there now').pressSequentially('10 lb')
  await dialog.getByRole('button', { name: 'Count' }).click()
  await expect(wire).toContainText('10 lb')
  await expect(wire).toContainText(/ends at weld \d+ of \d+, Press/)
  await page.getByRole('link', { name: 'Runs out', exact: true }).click()
  const item = page.getByRole('article').filter({ hasText: '0.035 ER70S-6' })
  await expect(item.getByRole('heading')).toBeVisible()
  await expect(item).toContainText('short')
  await expect(item.getByRole('row', { name: /at weld \d+ of/ })).toHaveCount(1)
  await page.getByRole('link', { name: 'Order', exact: true }).click()
  const line = page.getByRole('row', { name: /0\.035 ER70S-6/ })
  await expect(line).toContainText('1 ×')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export CSV' }).click(),
  ])
  expect(readFileSync(await file.path(), 'utf8')).toContain('0.035 ER70S-6,1,')
  await page.getByRole('link', { name: 'On hand', exact: true }).click()
  await wire.getByRole('button', { name: /^Receive / }).click()
  await dialog.getByLabel('What came in').pressSequentially('11 lb')
  await dialog.getByRole('button', { name: 'Receive' }).click()
  await expect(wire).toContainText('21 lb')
  await expect(wire).toContainText('lasts for all planned jobs')
})

test('on a phone: no more is used than there is, a gauge is read in psi, and CO₂ is weighed', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    isMobile: true,
    viewport: { width: 390, height: 844 },
  })
  const page = await context.newPage()
  await page.goto(`${server.url}/stores`)
  const dialog = page.getByRole('dialog')
  const argon = page
    .getByRole('listitem')
    .filter({ hasText: /^Argon/ })
    .first()
  await argon.getByRole('button', { name: /^Count / }).tap()
  await dialog.getByLabel('What is there now').pressSequentially('1100 psi')
  await dialog.getByRole('button', { name: 'Count' }).tap()
  await expect(argon).not.toContainText('not counted')
  await argon.getByRole('button', { name: /^Use / }).tap()
  await dialog.getByLabel('What went out').pressSequentially('120 ft³')
  await dialog.getByRole('button', { name: 'Use' }).tap()
  await expect(dialog.getByRole('alert')).toContainText('Use less, or count it again.')
  await context.close()
})
