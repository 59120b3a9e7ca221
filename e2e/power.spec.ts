/** Power: a job on every circuit of the shop, when the breaker goes, and what would mend it. */
import type { Page } from '@playwright/test'
import { expect, test } from './server.ts'

/** Fields of a page as people fill them: by keys. */
const typingOn = (page: Page) => ({
  pick: async (label: string, typed: string): Promise<void> => {
    const field = page.getByRole('combobox', { name: label, exact: true })
    await field.click()
    await field.press('Control+a')
    await field.pressSequentially(typed)
    await page.getByRole('option', { name: new RegExp(`^${typed}`) }).click()
  },
  type: async (label: string, text: string): Promise<void> => {
    const field = page.getByLabel(label, { exact: true })
    await field.click()
    await field.press('Control+a')
    await field.pressSequentially(text)
    await field.press('Tab')
  },
})

test('says after how long the breaker goes, and where it holds', async ({ page, server }) => {
  await page.goto(`${server.url}/power?job=press-frame&set-up=marl-yard`)
  await expect(
    page.getByRole('heading', { name: /North wall 120 V 20 A trips after about \d+ min/ }),
  ).toBeVisible()
  await expect(page.getByRole('img', { name: /breaker trips/ })).toBeVisible()
  // An arc that never stops trips sooner.
  const when = async (): Promise<string> =>
    (await page.getByRole('img', { name: /breaker trips/ }).getAttribute('aria-label')) ?? ''
  const allShift = await when()
  await page.getByRole('button', { name: 'continuous' }).press('Enter')
  await expect(page.getByRole('button', { name: 'continuous' })).toHaveAttribute('aria-pressed', 'true')
  expect(await when()).not.toBe(allShift)
})

test('another outlet that is there mends it, at no cost; it is looked at, and nothing is changed', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/power?job=press-frame`)
  await expect(page.getByRole('heading', { name: /is too low$/ })).toBeVisible()
  await expect(page.getByText(/The weld needs 190 A. At this voltage Quillon 210 gives 140 A/)).toBeVisible()
  const mends = page.getByRole('listitem').filter({ hasText: 'owned' })
  await expect(mends.first()).toContainText('Plug it into')
  await page.getByRole('button', { name: /Plug it into Bay 2/ }).press('Enter')
  await expect(page.getByRole('heading', { name: /Bay 2 240 V 50 A holds/ })).toBeVisible()
  await expect(page.getByRole('img', { name: /The breaker holds/ })).toBeVisible()
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  // Each finding opens to its working, on the circuit that is looked at.
  await page.getByRole('button', { name: 'Breaker', exact: true }).press('Enter')
  const drawer = page.getByRole('complementary', { name: /Calculation: Breaker/ })
  await expect(drawer).toContainText('50 A')
  await page.keyboard.press('Escape')
  await expect(drawer).toBeHidden()
})

test('a finding of the fit leads on to every circuit', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await page.getByRole('button', { name: 'Breaker', exact: true }).first().press('Enter')
  await page.getByRole('link', { name: 'All circuits, and when the breaker trips' }).press('Enter')
  await expect(page).toHaveURL(/\/power\?job=press-frame&set-up=north-wall-wire/)
})

test('the whole shop: who welds together is chosen by name, and what does not carry them is said', async ({
  page,
  server,
}) => {
  const { pick } = typingOn(page)
  await page.goto(`${server.url}/power?job=press-frame`)
  await page.getByRole('link', { name: 'Whole shop' }).press('Enter')
  await expect(page.getByRole('heading', { name: /Everyone can weld at once/ })).toBeVisible()
  // Two on the same 20 A outlet.
  await page.getByRole('button', { name: 'Another machine' }).press('Enter')
  const last = await page.getByRole('button', { name: /^Remove set-up/ }).count()
  await pick(`Set-up ${last}`, 'Marl')
  await pick(`Job of set-up ${last}`, 'Press frame')
  await expect(
    page.getByRole('heading', { name: /Not everyone at once: North wall 120 V 20 A is overloaded/ }),
  ).toBeVisible()
  await expect(page).toHaveURL(/at=.*press-frame\.marl-yard/)
  const wall = page.getByRole('row', { name: /^North wall/ })
  await expect(wall).toContainText(/trips in \d+ of 40 simulated shifts/)
  await expect(page.getByRole('img', { name: /is above the continuous limit of 20 A/ })).toBeVisible()
  // What the rule asks of the cable is worked out when it is opened.
  await page
    .getByRole('button', { name: /^Shop panel/ })
    .first()
    .press('Enter')
  await page.getByRole('button', { name: /^\d+(\.\d+)? A$/ }).press('Enter')
  await expect(page.getByRole('complementary', { name: /Cable of Shop panel 100 A by code/ })).toContainText(
    'each other load',
  )
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: `Remove set-up ${last}` }).press('Enter')
  await expect(page.getByRole('heading', { name: /Everyone can weld at once/ })).toBeVisible()
})

test('a panel is drawn and a circuit put into it; a panel cannot feed itself', async ({ page, server }) => {
  const { type } = typingOn(page)
  await page.goto(`${server.url}/equipment/panels`)
  await page.getByRole('button', { name: 'New panel' }).press('Enter')
  await type('Name', 'Cellar panel')
  await type('Voltage, V', '0')
  await expect(page.getByText(/Enter a number from 12 to 1000 V/)).toBeVisible()
  await type('Voltage, V', '240')
  await type('Breaker, A', '60')
  await type('Cable size, as printed', '6 AWG')
  await type('Length', '40 ft')
  await expect
    .poll(async () => (await server.record<{ name: string } | undefined>('panels/panel'))?.name)
    .toBe('Cellar panel')
  await page.goto(`${server.url}/equipment/circuits/yard`)
  await page.getByRole('combobox', { name: 'Panel', exact: true }).press('ArrowDown')
  await page.getByRole('option', { name: 'Cellar panel' }).click()
  await expect
    .poll(async () => (await server.record<{ panelId: string }>('circuits/yard')).panelId)
    .toBe('panel')
  // It is on the drawing, with the yard below it.
  await page.goto(`${server.url}/power/shop`)
  await expect(page.getByRole('list', { name: /^Supply from the utility/ })).toContainText('Cellar panel')
})

test('a generator is written down; what starts with less than it runs is refused with the remedy', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/equipment/generators/withy-9`)
  const { type } = typingOn(page)
  const starting = 'Peak output, W'
  await type(starting, '500')
  await expect(page.getByText(/Swap or correct them/).first()).toBeVisible()
  expect(await server.record('generators/withy-9')).toMatchObject({ startingW: 9000 })
  await type(starting, '8200')
  await expect.poll(async () => await server.record('generators/withy-9')).toMatchObject({ startingW: 8200 })
  await page.goto(`${server.url}/power?job=loader-fork&set-up=orchard-stick`)
  await expect(page.getByText(/The engine burns about/)).toBeVisible()
  await expect(page.getByText(/Run a generator outdoors/)).toBeVisible()
})

test('a job and a set-up are picked by their names; a set that an engine drives has no circuit', async ({
  page,
  server,
}) => {
  const { pick } = typingOn(page)
  await page.goto(`${server.url}/power`)
  await pick('Set-up', 'Heath')
  await expect(page.getByText(/has its own engine/)).toBeVisible()
  await pick('Job', 'Tank')
  await expect(page).toHaveURL(/job=tank-manifold/)
  await expect(page.getByRole('heading', { name: /holds/ })).toBeVisible()
})

test('a cord of a set-up is typed, and the volts that it costs are said', async ({ page, server }) => {
  await page.goto(`${server.url}/set-ups/bay-2-wire`)
  const size = page.getByLabel('Extension cord', { exact: true })
  await size.pressSequentially('14 AWG')
  await page.keyboard.press('Tab')
  const length = page.getByLabel('Its length')
  await length.pressSequentially('50 ft')
  await page.keyboard.press('Tab')
  await expect(page.getByText(/^Saved/).first()).toBeVisible()
  await page.goto(`${server.url}/power?job=loader-fork&set-up=bay-2-wire`)
  await expect(page.getByText(/Extension cord/).first()).toBeVisible()
  await expect(page.getByText('Lay the extension cord out straight')).toBeVisible()
})

test('welding leads are typed, and what they cost the arc is said', async ({ page, server }) => {
  await page.goto(`${server.url}/set-ups/yard-stick`)
  const { type } = typingOn(page)
  await type('Welding leads', '#6')
  await type('Both together', '100 ft')
  await expect
    .poll(async () => await server.record('set-ups/yard-stick'))
    .toMatchObject({ leadSize: '6 AWG' })
  await page.goto(`${server.url}/power?job=loader-fork&set-up=yard-stick`)
  await expect(page.getByText(/100 ft of 6 AWG drops/)).toBeVisible()
})
