/** Dialling in at the machine, the log, what it teaches, evidence and measurements: with real keys, on a phone’s size too. */
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, test } from './server.ts'

const phone = { hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } }
/** Types into a field, as a hand does. */
async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true })
  await field.click()
  await field.press('Control+a')
  await field.pressSequentially(text)
  await field.press('Tab')
}
async function pick(page: Page, label: string, item: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click()
  await page.getByRole('option', { name: item, exact: true }).click()
}

test('dialled in on a phone: steps of the dial, a sign, one next change, the try in the log after a reload', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext(phone)
  const page = await context.newPage()
  await page.goto(`${server.url}/jobs/pressing-tray/card?set-up=bench-tig-dc`)
  await page.getByRole('link', { name: 'Dial in' }).tap()
  const amps = page.getByRole('group', { name: 'Amps' })
  await expect(amps).toBeVisible()
  const start = Number.parseInt((await amps.locator('strong').textContent()) ?? '', 10)
  await page.getByRole('button', { name: 'Amps up one step' }).tap()
  await expect(amps.locator('strong')).toHaveText(`${start + 5} A`)
  await page.getByRole('button', { name: 'Dull gray bead' }).tap()
  const step = page.getByRole('region', { name: /Find the cause: dull gray bead/ })
  await expect(step).toContainText('silver, straw: shielded')
  await expect(step).toContainText('1 of 4')
  await step.getByRole('button', { name: 'Yes, all right' }).tap()
  await step.getByRole('button', { name: 'Yes, all right' }).tap()
  await step.getByRole('button', { name: 'No, that is it' }).tap()
  await expect(step).toContainText(`Turn amps down to ${start} A.`)
  await expect(step).toContainText(`go back to ${start + 5} A.`)
  await step.getByRole('button', { name: 'Set it here' }).tap()
  await expect(amps.locator('strong')).toHaveText(`${start} A`)
  // The phone is put away and taken out again.
  await page.reload()
  await expect(step).toContainText('3 of 4')
  await page.getByRole('button', { name: 'Good', exact: true }).tap()
  await page.getByRole('button', { name: 'Record this try' }).tap()
  await expect(page.getByRole('region', { name: 'History of this weld' })).toContainText(
    /Good.*dull gray bead/,
  )
  await page.goto(`${server.url}/jobs/pressing-tray/log`)
  await expect(page.getByRole('row', { name: /dull gray bead · Amps/ })).toBeVisible()
  await context.close()
})

test('settings are saved for the card, never written over, and the old ones come back by a press', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire`)
  const volts = page.locator('dl > div').filter({ hasText: /^Volts/ })
  await expect(volts).toContainText('saved here')
  const before = await volts.locator('strong').textContent()
  await page.getByRole('link', { name: 'Dial in' }).click()
  await page.getByRole('button', { name: 'Volts up one step' }).click()
  await page.getByRole('button', { name: 'Volts up one step' }).click()
  await page.getByRole('button', { name: 'Save for the card' }).click()
  await page.getByRole('link', { name: 'Whole card' }).click()
  await expect(volts.locator('strong')).not.toHaveText(before ?? '')
  // What was saved before stands in the history, and is saved anew.
  const history = page.getByRole('region', { name: 'History of this weld' })
  await history.getByRole('listitem').nth(1).getByRole('button', { name: 'Use these settings' }).click()
  await expect(volts.locator('strong')).toHaveText(before ?? '')
  await expect(history.getByText(/^Saved/).first()).toBeVisible()
  const rows = async (): Promise<number> => {
    const log = await page.request.get(`${server.url}/api/log?job=press-frame&state=planned`)
    return ((await log.json()) as { items: unknown[] }).items.length
  }
  // It is shown at once, and on its way.
  await expect.poll(rows).toBe(3)
})

test('the shop’s own start is shown with what it rests on, and taken or left', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire&at=trial`)
  const own = page.getByRole('region', { name: 'Your own start' })
  await expect(own).toContainText('Your own, 3 good welds')
  await expect(own).toContainText('The chart would say 20.5 V')
  await own.getByRole('button', { name: 'Keep the chart' }).click()
  await expect(own).toContainText('Left on')
  await own.getByRole('button', { name: 'Use own start' }).click()
  const group = page.getByRole('group', { name: 'Volts' })
  await expect(group).toContainText('chart 20.5 V')
})

test('a row is added with real keys, found, corrected and withdrawn; the file comes back as it went', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame/log`)
  await expect(page.getByRole('row', { name: /yard door open/ })).toBeVisible()
  await page.getByRole('button', { name: 'Add row' }).click()
  await page.getByText('1 T-joint').click()
  await expect(page.getByRole('dialog')).toContainText('Add a row')
  await type(page, 'Welder', 'Odile')
  await type(page, 'Time, all of it', '42 min')
  await type(page, 'Spool before', '11 lb')
  await type(page, 'Spool after', '12 lb')
  await type(page, 'Cylinder before', '1200 psi')
  await type(page, 'Cylinder after', '1000 psi')
  await type(page, 'Note', 'new liner in')
  await page.getByRole('button', { name: 'Save to the log' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'more after than before' })).toBeVisible()
  await type(page, 'Spool after', '10.5 lb')
  await page.getByRole('button', { name: 'Save to the log' }).click()
  const row = page.getByRole('row', { name: /Odile/ })
  await expect(row).toContainText('0.5 lb')
  await expect(row).toContainText('new liner in')

  const search = page.getByLabel('Search the log')
  await search.pressSequentially('odil liner 1999-12-31')
  await expect(page.getByText('No row matches.')).toBeVisible()
  await search.press('Control+a')
  await search.pressSequentially('odil liner')
  await expect(page.locator('tbody tr')).toHaveCount(1)
  await row.getByRole('button', { name: /Correct the row/ }).click()
  await type(page, 'Note', 'new liner and tip in')
  await page.getByRole('button', { name: 'Save to the log' }).click()
  await expect(row).toContainText('new liner and tip in')
  await expect(page.locator('tbody tr')).toHaveCount(1)

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export CSV' }).click(),
  ])
  const csv = readFileSync(await file.path(), 'utf8')
  expect(csv).toContain('new liner and tip in')
  await row.getByRole('button', { name: /Withdraw the row/ }).click()
  await expect(page.getByText('No row matches.')).toBeVisible()

  await page.getByRole('button', { name: 'Import CSV' }).click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(csv.replace(',good,', ',splendid,')),
  })
  await expect(page.getByText('1 of 1 rows are understood')).toBeVisible()
  await page.getByRole('button', { name: 'Add 1 row' }).click()
  await expect(row).toContainText('new liner and tip in')
})

test('a coupon makes a tight weld proven here, for its own set-up alone', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/pressing-tray/log`)
  await page.getByRole('button', { name: 'Add evidence' }).click()
  await pick(page, 'Kind', 'Cut and etched coupon')
  await pick(page, 'Set-up', 'Bench TIG, DC, 316L')
  await type(page, 'Looked at by', 'Odile')
  await page.getByRole('checkbox', { name: /Fused to the root/ }).check()
  await page.getByRole('button', { name: 'Save evidence' }).click()
  await expect(page.getByRole('region', { name: 'Evidence' })).toContainText('Coupon passed')
  await page.goto(`${server.url}/jobs/pressing-tray/card?set-up=bench-tig-316`)
  await expect(page.getByText('Proven here')).toBeVisible()
  await expect(page.getByText(/Odile/)).toBeVisible()
  await page.goto(`${server.url}/jobs/pressing-tray/card?set-up=bench-tig-dc`)
  await expect(page.getByRole('heading', { name: 'Set-up card' })).toBeVisible()
  await expect(page.getByText('Proven here')).toHaveCount(0)
})

test('a leak test is reckoned, and passes by the leak that is accepted', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/tank-manifold/log`)
  await page.getByRole('button', { name: 'Add evidence' }).click()
  await pick(page, 'Kind', 'Leak test')
  await expect(page.getByText('Compressed air stores energy.')).toBeVisible()
  await type(page, 'Looked at by', 'Ines')
  await type(page, 'Volume', '60')
  await type(page, 'Pressure at the start', '100')
  await type(page, 'Pressure at the end', '99')
  await type(page, 'Time', '10')
  await expect(page.getByText('Leaks 0.10 Pa·m³/s')).toBeVisible()
  await type(page, 'Accepted leak, Pa·m³/s', '0.05')
  await page.getByRole('button', { name: 'Save evidence' }).click()
  await expect(page.getByRole('region', { name: 'Evidence' })).toContainText('Leak test failed')
})

test('what the log teaches is taken, and the planned hours move; a worn part is changed', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/learned`)
  const plan = page.getByRole('region', { name: 'Against the plan' })
  const time = plan.getByRole('listitem').filter({ hasText: 'Time beside the arc, MIG' })
  await expect(time).toContainText(/Press frame [\d.]+ h → [\d.]+ h/)
  await time.getByRole('button', { name: 'Take it' }).click()
  await expect(time).toHaveCount(0)
  await expect
    .poll(async () => {
      const answer = await page.request.get(`${server.url}/api/shop`)
      const { record } = (await answer.json()) as { record: { assumptions: Record<string, number> } }
      return record.assumptions['besideArcWirePct'] ?? 100
    })
    .toBeGreaterThan(105)
  const gas = plan.getByRole('listitem').filter({ hasText: 'Gas used, TIG' })
  await gas.getByRole('button', { name: 'Leave it' }).click()
  await expect(gas).toContainText('left as it is')
  const tip = page
    .getByRole('region', { name: 'Wearing parts' })
    .getByRole('listitem')
    .filter({ hasText: 'Contact tip' })
  await tip.getByRole('button', { name: 'Changed now' }).click()
  await expect(tip).toContainText('0 lb of wire so far')
})

test('measurements of a file are mapped, held against the plan and booked', async ({ page, server }) => {
  const rows = Array.from(
    { length: 3000 },
    (_, at) => `${at / 50},${at % 1500 < 1200 ? '24,200,8000' : '60,0,0'}`,
  )
  await page.goto(`${server.url}/jobs/press-frame/monitor?set-up=bay-2-wire`)
  await page.locator('input[type=file]').setInputFiles({
    name: 'weld.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['clock,Voltage (V),Current (A),wfs (mm/min)', ...rows].join('\n')),
  })
  await expect(page.getByRole('alert').filter({ hasText: 'Say which column is time.' })).toBeVisible()
  await pick(page, 'Column clock', 'time')
  const table = page.getByRole('region', { name: 'Measured against the plan' })
  await expect(table.getByRole('row', { name: /Arc time/ })).toContainText('48 s')
  await expect(table.getByRole('row', { name: /Energy/ })).toContainText('230 kJ')
  await expect(table.getByRole('row', { name: /Arc starts/ })).toContainText('2')
  await page.getByRole('button', { name: 'Book into the log' }).click()
  await page.getByRole('link', { name: 'Back to the log' }).click()
  await expect(page.getByRole('row', { name: /measured, weld\.csv/ })).toBeVisible()
})

test('the arc monitor is watched live, a simulated weld says that it is one, and is booked when confirmed', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame/monitor?set-up=bay-2-wire`)
  await page.getByRole('button', { name: 'Start live' }).click()
  await expect(page.getByText('A simulated weld, not your machine')).toBeVisible()
  const table = page.getByRole('region', { name: 'Measured against the plan' })
  await expect(table.getByRole('row', { name: /Arc starts/ })).toContainText('1')
  await page.getByRole('button', { name: 'Stop' }).click()
  await page.getByRole('button', { name: 'Book into the log' }).click()
  await page.getByRole('link', { name: 'Back to the log' }).click()
  await expect(page.getByRole('row', { name: /measured live/ })).toBeVisible()
})
