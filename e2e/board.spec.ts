/** The board: which set-up does which job, by keyboard and by pointer, and what is decided there. */
import { readFile } from 'node:fs/promises'
import type { Job } from '@brannik/core'
import type { Page } from '@playwright/test'
import { stillness } from './axe.ts'
import { pick } from './pick.ts'
import { expect, type Server, test } from './server.ts'

async function openSetUps(page: Page, server: Server): Promise<void> {
  await page.goto(`${server.url}/board/set-ups`)
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('duty')
  // Columns that do nothing are folded once every cell is there: arrows go by what is drawn.
  await expect(page.getByRole('button', { name: 'Show', exact: true })).toBeVisible()
}
async function openMachines(page: Page, server: Server): Promise<void> {
  await page.goto(`${server.url}/board`)
  await expect(onMachine(page, 'Press frame', 'Quillon 210, Bay 2')).toContainText('self-shielded')
}
const cell = (page: Page, job: string, setUp: string) =>
  page.getByRole('gridcell', { name: new RegExp(`^${job}, ${setUp}:`) })
const onMachine = (page: Page, job: string, machine: string) =>
  page.getByRole('gridcell', { name: new RegExp(`^${job}, ${machine}`) })
const selected = (page: Page) => page.getByRole('region', { name: 'Selected cell' })

test('says which machine does a job, how, and what it takes first', async ({ page, server }) => {
  await openMachines(page, server)
  await expect(onMachine(page, 'Picking platform', 'Quillon 210, Bay 2')).toContainText('buy gun, $295')
  await expect(onMachine(page, 'Hoist beam, aluminium', 'Quillon 210, Bay 2')).toContainText(/gun −\d+ A/)
  await expect(page.getByText(/nothing you own does it/)).toBeVisible()
  await expect(page.getByRole('link', { name: /^Cheapest: buy Bay 1 rewired.*\$1,\d+\.$/ })).toBeVisible()
  // By keyboard from one machine to the next, and into the cell.
  await onMachine(page, 'Press frame', 'Quillon 210, Bay 2').click()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('Enter')
  await expect(selected(page).getByRole('heading', { level: 2 })).toBeFocused()
  await expect(selected(page)).toContainText('Every check passes')
  await expect(selected(page)).toContainText('no extension cord')
  await expect(selected(page)).toContainText('Other machines that do it')
  await page.keyboard.press('Escape')
  await expect(onMachine(page, 'Press frame', 'Quillon 210, Bay 2')).toBeFocused()
})

test('takes the best way of a machine for the job, and the fit agrees', async ({ page, server }) => {
  await openMachines(page, server)
  await onMachine(page, 'Press frame', 'Quillon 210, Bay 2').click()
  await selected(page).getByRole('button', { name: 'Use for this job' }).click()
  await expect(page.getByText(/^Press frame now uses/)).toBeVisible()
  await expect
    .poll(async () => (await server.record<Job>('jobs/press-frame')).setUpId)
    .not.toBe('north-wall-wire')
  await selected(page).getByRole('link', { name: 'Open fit' }).click()
  await expect(page.getByTestId('headline')).toHaveText(/^\+?\d+ A/)
})

test('is grouped by process, by verdict and by due date', async ({ page, server }) => {
  await openMachines(page, server)
  await pick(page, 'Group the jobs', 'by verdict')
  await expect(page.getByRole('row').filter({ hasText: 'nothing owned does it' })).toContainText('Hoist beam')
  await pick(page, 'Group the jobs', 'by due date')
  await expect(page.getByRole('row').filter({ hasText: 'without a date' })).toContainText('Hoist beam')
  await pick(page, 'Group the jobs', 'by process')
  await expect(page.getByRole('row').filter({ hasText: 'TIG, DC' }).first()).toContainText('Pressing tray')
})

test('prints whole, over as many tables as it needs', async ({ page, server }) => {
  await openMachines(page, server)
  const machines = await page.getByRole('grid').getAttribute('aria-colcount')
  await page.evaluate(() => dispatchEvent(new Event('beforeprint')))
  await page.emulateMedia({ media: 'print' })
  const tables = page.locator('.board-print table')
  await expect(tables).toHaveCount(Math.ceil((Number(machines) - 1) / 6))
  for (const table of await tables.all()) await expect(table.locator('tbody tr')).toHaveCount(7)
  await expect(tables.filter({ hasText: 'Sorrel 325' })).toHaveCount(1)
  await expect(tables.filter({ hasText: 'Quillon 210' })).toHaveCount(1)
})

test('is walked by arrows, opened by Enter and left by Escape', async ({ page, server }) => {
  await openSetUps(page, server)
  await cell(page, 'Loader fork repair', 'Spool gun, if we buy it').click()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  const panel = selected(page)
  await expect(panel.getByRole('heading', { name: 'Press frame · Bay 2 wire' })).toBeVisible()
  await expect(panel).toContainText('Duty cycle limits you')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('heading', { name: /Press frame/ })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  // Enter that follows an arrow before the next cell is drawn opens that cell, and the focus stays in it.
  await cell(page, 'Press frame', 'Bay 2 wire').evaluate((here) => {
    for (const key of ['ArrowRight', 'Enter'])
      here.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
  })
  await stillness(page)
  await expect(panel.getByRole('heading', { level: 2 })).toBeFocused()
  await cell(page, 'Press frame', 'Bay 2 wire').click()
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  // To the last set-up, which is out of sight until then.
  await page.keyboard.press('End')
  await expect(page.getByRole('gridcell', { selected: true })).toBeInViewport()
})

test('filters by typing, by what nothing does and by process', async ({ page, server }) => {
  await openSetUps(page, server)
  await page.keyboard.press('/')
  await page.keyboard.type('tray')
  await expect(page.getByRole('rowheader')).toHaveCount(1)
  await expect(page.getByRole('rowheader')).toContainText('Pressing tray')
  await page.getByLabel('Search the jobs').press('Control+a')
  await page.keyboard.press('Delete')
  await page.getByRole('button', { name: 'Filters' }).click()
  await pick(page, 'Process', 'stick')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('rowheader')).toHaveCount(2)
  await page.getByRole('button', { name: 'Filters: 1' }).click()
  await page.getByRole('button', { name: 'Clear filters' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('columnheader', { name: /Spool gun/ })).toBeVisible()
  await page.getByText('Owned only').click()
  await expect(page.getByRole('columnheader', { name: /Spool gun/ })).toBeHidden()
  await page.getByText('Nothing owned does it').click()
  await expect(page.getByRole('rowheader')).toHaveCount(1)
  await expect(page.getByRole('rowheader')).toContainText('Hoist beam, aluminium')
})

test('tries a change over all of it, and changes nothing', async ({ page, server }) => {
  await openSetUps(page, server)
  await expect(page.getByText(/The circuit North wall 120 V 20 A stops/)).toBeVisible()
  await pick(page, 'What if', 'What if: everything outdoors, wind 9.9 mph')
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('wind')
  await expect(page.getByText('Trial: nothing is changed.')).toBeVisible()
  // The cell in hand, and its workings, are those of the trial.
  await cell(page, 'Press frame', 'Bay 2 wire').click()
  const panel = selected(page)
  await expect(panel).toContainText('in this trial')
  await panel.getByRole('button', { name: 'Wind' }).click()
  await expect(page.getByRole('complementary').getByText('wind at the weld').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'End trial' }).click()
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('duty')
  expect((await server.record<Job>('jobs/press-frame')).place).toBe('indoors')
})

test('compares what is pinned, decides, and goes out as a sheet', async ({ page, server }) => {
  await openSetUps(page, server)
  await cell(page, 'Press frame', 'Bay 2 wire').click()
  await page.keyboard.press('Space')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: 'Compare 2 pinned' }).click()
  const dialog = page.getByRole('dialog', { name: 'Set-ups side by side' })
  await expect(dialog.getByRole('row', { name: /^Does Press frame/ })).toBeVisible()
  await expect(dialog.getByRole('row', { name: /^Supply 240 V 50 A/ })).toBeVisible()
  await dialog.getByRole('button', { name: 'Close' }).click()

  await cell(page, 'Press frame', 'Bay 2 wire').click()
  await page.getByRole('button', { name: 'Use for this job' }).click()
  await expect(page.getByText('Press frame now uses Bay 2 wire')).toBeVisible()
  await expect.poll(async () => (await server.record<Job>('jobs/press-frame')).setUpId).toBe('bay-2-wire')

  await page.getByRole('button', { name: 'Export' }).click()
  const file = page.waitForEvent('download')
  await page.getByText('Board as a sheet (CSV)').click()
  const text = await readFile(await (await file).path(), 'utf8')
  const row = text.split('\r\n').find((line) => line.startsWith('Press frame,'))
  expect(text.split('\r\n')[0]).toContain('Bay 2 wire')
  expect(row).toMatch(/Tight duty \d+ %/)
})

test('what is chosen stays chosen when jobs and columns change their places', async ({ page, server }) => {
  await openSetUps(page, server)
  await cell(page, 'Tank manifold', 'North wall wire').click()
  const heading = selected(page).getByRole('heading', { level: 2 })
  await expect(heading).toHaveText('Tank manifold · North wall wire')
  const column = cell(page, 'Tank manifold', 'North wall wire')
  const before = await column.getAttribute('data-at')
  // Columns that do nothing stand between the others.
  await page.getByRole('button', { name: 'Show', exact: true }).click()
  await expect(column).not.toHaveAttribute('data-at', before ?? '')
  await expect(heading).toHaveText('Tank manifold · North wall wire')
  await pick(page, 'Order of the jobs', 'hardest first')
  await expect(heading).toHaveText('Tank manifold · North wall wire')
  // What is gone leaves its place to what stands there then.
  const search = page.getByRole('searchbox', { name: 'Search the jobs' })
  await search.pressSequentially('press frame')
  await expect(heading).toHaveText('Press frame · North wall wire')
})

test('columns stay folded, and the focus where it is, while cells are worked out anew', async ({
  page,
  server,
}) => {
  await openSetUps(page, server)
  await cell(page, 'Press frame', 'Bay 2 wire').click()
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  await page.getByRole('grid').evaluate((grid) => {
    const widest = { columns: 0 }
    new MutationObserver(() => {
      widest.columns = Math.max(widest.columns, Number(grid.getAttribute('aria-colcount')))
    }).observe(grid, { attributeFilter: ['aria-colcount'] })
    Object.assign(globalThis, { widest })
  })
  const folded = Number(await page.getByRole('grid').getAttribute('aria-colcount'))
  await server.replace<Job>('jobs/press-frame', (job) => ({ ...job, place: 'outdoors', windKmPerH: 16 }))
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('wind')
  const widest = await page.evaluate(
    () => (globalThis as unknown as { widest: { columns: number } }).widest.columns,
  )
  expect(widest).toBeLessThanOrEqual(folded)
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  // The job goes to the top of the board: the focus goes with it.
  await server.replace<Job>('jobs/press-frame', (job) => ({ ...job, name: 'A press frame' }))
  await expect(cell(page, 'A press frame', 'Bay 2 wire')).toHaveAttribute('data-at', /^0 /)
  await expect(cell(page, 'A press frame', 'Bay 2 wire')).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('gridcell', { selected: true })).toHaveAttribute('data-at', /^1 /)
})

test('stays where it is scrolled to when a job is changed elsewhere', async ({ page, server }) => {
  await page.setViewportSize({ width: 1280, height: 480 })
  await openSetUps(page, server)
  const grid = page.getByRole('grid')
  const first = grid.locator('[data-at="0 0"]')
  await first.click()
  await expect(first).toBeFocused()
  // Out of sight, and still there: a few rows above and below are drawn as well.
  const scrolledTo = await grid.evaluate((board) => (board.scrollTop = 150))
  await server.replace<Job>('jobs/press-frame', (job) => ({ ...job, name: 'Press frame, two of them' }))
  await expect(grid.getByRole('rowheader', { name: 'Press frame, two of them' })).toBeAttached()
  const isNow = await grid.evaluate(async (board) => {
    for (let frames = 0; frames < 3; frames += 1) await new Promise(requestAnimationFrame)
    return board.scrollTop
  })
  expect(isNow).toBe(scrolledTo)
  await expect(first).toBeFocused()
})

test('what eases a cell is tried, and made only when it is taken', async ({ page, server }) => {
  await openSetUps(page, server)
  await cell(page, 'Press frame', 'North wall wire').click()
  const panel = selected(page)
  // The ways come last, and move what is under them.
  const ease = panel.getByRole('list', { name: 'Ways to fix it' }).getByRole('button').first()
  await expect(ease).toBeVisible()
  await panel.getByRole('button', { name: 'Breaker', exact: true }).click()
  await expect(page.getByText('Continuous equivalent current for the breaker').first()).toBeVisible()
  await page.keyboard.press('Escape')
  expect((await server.record<Job>('jobs/press-frame')).setUpId).toBe('north-wall-wire')
  await ease.click()
  await expect(page.getByText(/^Done: /)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/^Undone: /)).toBeVisible()
})
