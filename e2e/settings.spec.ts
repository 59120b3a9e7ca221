/** Start settings beside others, stick against wire, dials, and what a set-up welds. */
import type { PowerSource, SetUp } from '@brannik/core'
import type { Page } from '@playwright/test'
import { pick } from './pick.ts'
import { expect, type Server, test } from './server.ts'

const openFit = async (page: Page, server: Server, jobId: string) => {
  await page.goto(`${server.url}/jobs/${jobId}/fit`)
  await expect(page.getByTestId('headline')).toBeVisible()
}
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()

test('twice the travel is half the metal, and says so; its figures open to their working', async ({
  page,
  server,
}) => {
  await openFit(page, server, 'press-frame')
  await page.getByRole('button', { name: 'Compare' }).click()
  const panel = page.getByRole('region', { name: 'Settings side by side' })
  await expect(panel).toContainText('Enter other settings on the right')
  await panel.getByLabel('Travel', { exact: true }).click()
  await page.keyboard.type('32.2')
  await expect(panel.getByRole('status').first()).toContainText('50 % of the planned metal: too small')
  await expect(panel.getByRole('status').first()).toContainText('cheaper, but not the same weld')
  // Text that cannot be read changes nothing and says what to write.
  await panel.getByLabel('Wire speed', { exact: true }).click()
  await page.keyboard.type('fast')
  await expect(panel.getByRole('alert')).toContainText('no number')
  await panel.getByRole('row', { name: /^Leg/ }).getByRole('button').last().click()
  const working = page.getByRole('complementary')
  await expect(working).toContainText('Resulting leg')
  await expect(working).toContainText('32.2 in/min')
  await page.keyboard.press('Escape')
  await panel.getByRole('button', { name: 'Close' }).click()
  await expect(panel).toBeHidden()
})

test('stick stands against wire in time and money for one joint', async ({ page, server }) => {
  await openFit(page, server, 'loader-fork')
  await page.getByRole('button', { name: 'Compare' }).click()
  const panel = page.getByRole('region', { name: 'Settings side by side' })
  await pick(page, 'Compared with', 'Yard, stick')
  await expect(panel.getByRole('status').first()).toContainText('the same size')
  await expect(panel.getByRole('status').first()).toContainText('a foot more expensive')
  await expect(panel.getByRole('row', { name: /^Work/ })).toContainText('a foot')
  await expect(panel.getByRole('row', { name: /^Polarity/ })).toContainText('DCEP')
})

test('a new set-up by stick is put together, and its electrode is judged', async ({ page, server }) => {
  await page.goto(`${server.url}/set-ups/bay-2-wire`)
  await page.getByRole('button', { name: 'New set-up' }).click()
  await page
    .getByRole('listitem')
    .filter({ hasText: /^stick$/ })
    .click()
  await expect(page.locator('[data-slot=gun]')).toContainText('Holder')
  await expect(page.locator('[data-slot=wire]')).toContainText(/E\d{4}/)
  await expect(page.locator('[data-slot=tungsten]')).toBeHidden()
  await expect(page.getByText('change electrodes with dry gloves')).toBeVisible()
  await saved(page)
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? ''
  expect(await server.record<SetUp>(`set-ups/${id}`)).toMatchObject({ process: 'smaw', gasId: null })
})

test('taps that were measured are typed in, and the start names the tap', async ({ page, server }) => {
  await page.goto(`${server.url}/equipment/power-sources/marl-140`)
  const dial = page.getByLabel('Voltage dial or taps at 120 V').first()
  await dial.click()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('A = 15; B = x')
  await expect(page.getByRole('alert')).toContainText('B = x')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('A = 15; B = 17; C = 19')
  await page.keyboard.press('Tab')
  await saved(page)
  const { processes } = await server.record<PowerSource>('power-sources/marl-140')
  expect(processes[0]?.supplies[0]?.voltsDial.map(({ mark }) => mark)).toEqual(['A', 'B', 'C'])
  await page.goto(`${server.url}/jobs/gusset-template/fit`)
  await page.getByRole('button', { name: 'Marl, north wall' }).click()
  await expect(page.getByRole('region', { name: 'Start settings' })).toContainText('tap C')
})

test('capacity shows what each set-up welds, what ends it, and calculation', async ({ page, server }) => {
  await page.goto(`${server.url}/set-ups/bay-2-wire`)
  await page.getByRole('link', { name: 'Capacity' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Set-ups')
  const chart = page.getByRole('region', { name: 'Thickness range of every set-up' })
  await expect(chart.getByRole('button', { name: /^Bay 2 wire/ })).toContainText('1/4 in · short-circuit')
  await expect(chart.getByRole('button', { name: /^Bay 3 spray/ })).toContainText('spray begins')
  await chart.getByRole('button', { name: /^Bench TIG, AC/ }).click()
  const one = page.getByRole('region', { name: 'Bench TIG, AC' })
  await expect(one).toContainText('Preheated')
  await one.getByRole('row', { name: /^flat/ }).first().getByRole('button').last().click()
  await expect(page.getByRole('complementary')).toContainText('Maximum preheat of aluminum')
  await page.keyboard.press('Escape')
  await page.getByRole('combobox', { name: 'Position' }).click({ force: true })
  await page.getByRole('option', { name: 'overhead' }).click()
  await expect(chart.getByRole('button', { name: /^Bay 3 spray/ })).toContainText('cannot weld')
  await chart.getByRole('button', { name: /^Marl, north wall/ }).click()
  await expect(page.getByRole('region', { name: 'Marl, north wall' })).toContainText('The maker states')
})
