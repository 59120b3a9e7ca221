/** Power: a job on every circuit of the shop, when the breaker goes, and what would mend it. */
import { expect, test } from './server.ts'

test('says after how long the breaker goes, and where it holds', async ({ page, server }) => {
  await page.goto(`${server.url}/power?job=press-frame`)
  await expect(
    page.getByRole('heading', { name: /North wall 120 V 20 A may trip after \d+ min/ }),
  ).toBeVisible()
  await expect(page.getByRole('img', { name: /The breaker goes between .* and / })).toBeVisible()
  // An arc that never stops trips sooner.
  const when = async (): Promise<string> =>
    (await page.getByRole('img', { name: /The breaker goes/ }).getAttribute('aria-label')) ?? ''
  const allShift = await when()
  await page.getByRole('button', { name: 'without a stop' }).press('Enter')
  await expect(page.getByRole('button', { name: 'without a stop' })).toHaveAttribute('aria-pressed', 'true')
  expect(await when()).not.toBe(allShift)
  // Another outlet that is there mends it; it is looked at, and nothing is changed.
  await page.getByRole('button', { name: /Plug it into Bay 2/ }).press('Enter')
  await expect(page.getByRole('heading', { name: /Bay 2 240 V 50 A holds/ })).toBeVisible()
  await expect(page.getByRole('img', { name: /The breaker holds/ })).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
})

test('a job and a set-up are picked by their names; a set that an engine drives has no circuit', async ({
  page,
  server,
}) => {
  const pick = async (label: string, typed: string): Promise<void> => {
    const field = page.getByRole('combobox', { name: label, exact: true })
    await field.click()
    await field.press('Control+a')
    await field.pressSequentially(typed)
    await page.getByRole('option', { name: new RegExp(`^${typed}`) }).click()
  }
  await page.goto(`${server.url}/power`)
  await pick('Set-up', 'Heath')
  await expect(page.getByText(/is driven by an engine/)).toBeVisible()
  await pick('Job', 'Tank')
  await expect(page).toHaveURL(/job=tank-manifold/)
  await expect(page.getByRole('heading', { name: /holds/ })).toBeVisible()
})

test('a cord of a set-up is typed, and the volts that it costs are said', async ({ page, server }) => {
  await page.goto(`${server.url}/set-ups/marl-yard`)
  const size = page.getByLabel('Extension cord', { exact: true })
  await size.pressSequentially('14 AWG')
  await page.keyboard.press('Tab')
  const length = page.getByLabel('Its length')
  await length.pressSequentially('50 ft')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/^Saved/).first()).toBeVisible()
  await page.goto(`${server.url}/power?job=loader-fork&set-up=marl-yard`)
  await expect(page.getByText(/Volts at the machine Drawing .* is lost on the way/)).toBeVisible()
  await expect(page.getByText('Lay the extension cord out straight')).toBeVisible()
})
