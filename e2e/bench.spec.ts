/** At the machine: the card of a weld, on the screen and on paper; a changeover with a clock, interrupted and resumed. */
import { isLong } from '../core/src/testing/runs.ts'
import { expect, test } from './server.ts'

const pagesOf = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0

test('from a job to a printed card in two presses', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame`)
  await page.evaluate(() => {
    window.print = () => document.documentElement.setAttribute('data-printed', 'yes')
  })
  await page.getByRole('link', { name: 'Card', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Set-up card' })).toBeVisible()
  await page.getByRole('button', { name: 'Print' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-printed', 'yes')
})

test('a card is one page on Letter and A4 for every job of the demo with every set-up', async ({
  page,
  server,
}) => {
  test.setTimeout(600_000)
  await page.goto(`${server.url}/jobs/press-frame/card`)
  const idsOf = (path: string): Promise<string[]> =>
    page.evaluate(async (list) => {
      const answer = await fetch(`/api/${list}?limit=100`)
      const { items } = (await answer.json()) as { items: { record: { id: string } }[] }
      return items.map(({ record }) => record.id)
    }, path)
  const [jobs, setUps] = [await idsOf('jobs'), await idsOf('set-ups')]
  expect(jobs.length * setUps.length).toBeGreaterThan(100)
  for (const [row, job] of jobs.entries())
    for (const [column, setUp] of setUps.entries()) {
      // Each job and each set-up at least once; every pair takes long.
      if (!isLong && row % setUps.length !== column && column % jobs.length !== row) continue
      await page.goto(`${server.url}/jobs/${job}/card?set-up=${setUp}`)
      await expect(page.getByRole('heading', { name: 'Set-up card' })).toBeVisible()
      for (const format of ['Letter', 'A4'])
        expect.soft(pagesOf(await page.pdf({ format })), `${job} by ${setUp} on ${format}`).toBe(1)
    }
})

test('a step of the card is ticked by whom and when, and stays ticked elsewhere', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire`)
  const leads = page.getByRole('checkbox', { name: /Leads: gun on plus/ })
  await leads.focus()
  await page.keyboard.press('Space')
  await expect(leads).toBeChecked()
  await expect
    .poll(async () => {
      const answer = await page.request.get(`${server.url}/api/events?type=step-ticked`)
      const { items } = (await answer.json()) as { items: { body: { step: string } }[] }
      return items.map(({ body }) => body.step)
    })
    .toContain('leads')
  await page.reload()
  await expect(leads).toBeChecked()
})

test('a changeover on a phone, interrupted and resumed: the machine then has it', async ({
  browser,
  server,
}) => {
  const context = await browser.newContext({
    hasTouch: true,
    isMobile: true,
    viewport: { width: 390, height: 844 },
  })
  const page = await context.newPage()
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire`)
  await expect(page.getByText('On Quillon 210 now: Yard, self-shielded')).toBeVisible()
  await page.getByRole('link', { name: 'Change over' }).tap()
  await expect(page.getByRole('heading', { name: 'Change over to Bay 2 wire' })).toBeVisible()
  await page.getByRole('button', { name: 'Start' }).tap()
  await page.getByRole('checkbox', { name: /Switch off and unplug/ }).tap()
  await page.getByText(/Take off the nozzle and the tip/).tap()
  await expect(page.getByRole('status').filter({ hasText: '2 of' })).toBeVisible()
  await page.getByRole('button', { name: 'Pause' }).tap()
  await expect(page.getByRole('button', { name: 'Resume' })).toBeVisible()
  // Somebody calls; the phone is put away and taken out again.
  await page.reload()
  await expect(page.getByRole('status').filter({ hasText: '2 of' })).toBeVisible()
  await page.getByRole('button', { name: 'Resume' }).tap()
  await page.getByText(/Swap the two leads/).tap()
  await page.getByRole('button', { name: 'Finish' }).tap()
  await expect(page.getByRole('heading', { name: 'Nothing to change' })).toBeVisible()
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire`)
  await expect(page.getByText('On Quillon 210 now: Bay 2 wire')).toBeVisible()
  await context.close()
})

test('two set-ups are compared from one to the other, and what is on a machine is said without a list', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/change-over/marl-yard`)
  await expect(page.getByText('Not recorded.')).toBeVisible()
  await page.getByRole('button', { name: 'It is on the machine already' }).click()
  await expect(page.getByRole('heading', { name: 'Nothing to change' })).toBeVisible()
  await page.goto(`${server.url}/set-ups/marl-yard`)
  await expect(page.getByText(/On Marl 140 now/)).toContainText('Marl, north wall')
})

test('the welding symbol is drawn, typed with real keys and read back', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame`)
  await expect(page.getByRole('img', { name: /Welding symbol by AWS A2.4: T-joint; 3\/16 in/ })).toBeVisible()
  await page.getByRole('button', { name: 'Edit symbol' }).click()
  const field = page.getByLabel('Symbol', { exact: true })
  await field.click()
  await field.press('Control+a')
  await field.pressSequentially('T; 1/4 both sides; 2-6')
  await field.press('Enter')
  await expect(page.getByRole('img', { name: /T-joint; 1\/4 in, both sides; 2 in @ 6 in/ })).toBeVisible()
  await field.press('Control+a')
  await field.pressSequentially('T; banana')
  await expect(page.getByRole('alert').filter({ hasText: 'banana' })).toBeVisible()
})

test('a bad bead leads to one next change, and to the one after it where that was not it', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire`)
  await page.getByRole('link', { name: 'porosity' }).click()
  const step = page.getByRole('region', { name: 'Find the cause: porosity' })
  await expect(step).toContainText('1 of 5')
  await expect(step).toContainText('Do you hear steady gas')
  await step.getByRole('button', { name: 'Yes, all right' }).click()
  await expect(step).toContainText('2 of 5')
  await step.getByRole('button', { name: 'No, that is it' }).click()
  await expect(step).toContainText('Put up a screen')
  await step.getByRole('button', { name: 'It did not help' }).click()
  for (let left = 3; left > 0; left -= 1) await step.getByRole('button', { name: 'Yes, all right' }).click()
  await expect(step).toContainText('Stop here.')
  await step.getByRole('button', { name: 'Back' }).click()
  await expect(step).toContainText('5 of 5')
})

test('a PDF and a JSON of the card and of the procedure sheet are given out', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame/card?set-up=bay-2-wire`)
  for (const name of ['PDF', 'JSON', 'Procedure PDF', 'Procedure JSON']) {
    const given = page.waitForEvent('download')
    await page.getByRole('button', { name, exact: true }).click()
    expect((await given).suggestedFilename()).toMatch(/^(card|procedure)-press-frame-upright\.(pdf|json)$/)
  }
})
