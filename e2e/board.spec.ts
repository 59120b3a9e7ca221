/** The board: which set-up does which job, by keyboard and by pointer, and what is decided there. */
import { readFile } from 'node:fs/promises'
import type { Job } from '@brannik/core'
import type { Page } from '@playwright/test'
import { pick } from './pick.ts'
import { expect, type Server, test } from './server.ts'

async function openBoard(page: Page, server: Server): Promise<void> {
  await page.goto(`${server.url}/board`)
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('duty')
}
const cell = (page: Page, job: string, setUp: string) =>
  page.getByRole('gridcell', { name: new RegExp(`^${job}, ${setUp}:`) })

test('is walked by arrows, opened by Enter and left by Escape', async ({ page, server }) => {
  await openBoard(page, server)
  await cell(page, 'Loader fork repair', 'Aluminium wire, as it was tried').click()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowRight')
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  const panel = page.getByRole('region', { name: 'The cell in hand' })
  await expect(panel.getByRole('heading', { name: 'Press frame · Bay 2 wire' })).toBeVisible()
  await expect(panel).toContainText('It sets the pace')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('heading', { name: /Press frame/ })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toBeFocused()
  // To the last set-up, which is out of sight until then.
  await page.keyboard.press('End')
  await expect(page.getByRole('gridcell', { selected: true })).toBeInViewport()
})

test('filters by typing, by what nothing does and by process', async ({ page, server }) => {
  await openBoard(page, server)
  await page.keyboard.press('/')
  await page.keyboard.type('tray')
  await expect(page.getByRole('rowheader')).toHaveCount(1)
  await expect(page.getByRole('rowheader')).toContainText('Pressing tray')
  await page.getByLabel('Search the jobs').press('Control+a')
  await page.keyboard.press('Delete')
  await page.getByRole('button', { name: 'More filters' }).click()
  await pick(page, 'Set-ups by', 'stick')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('columnheader')).toHaveCount(4)
  await page.getByText('Owned only').click()
  await expect(page.getByRole('columnheader')).toHaveCount(3)
  await page.getByText('Nothing owned does it').click()
  await expect(page.getByRole('rowheader')).toHaveCount(1)
  await expect(page.getByRole('rowheader')).toContainText('Hoist beam, aluminium')
})

test('tries a change over all of it, and changes nothing', async ({ page, server }) => {
  await openBoard(page, server)
  await expect(page.getByText(/The circuit North wall 120 V 20 A stops/)).toBeVisible()
  await pick(page, 'What if', 'everything outdoors, wind 9.9 mph')
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('wind')
  await expect(page.getByText('This is a trial: nothing is changed.')).toBeVisible()
  // The cell in hand, and its workings, are those of the trial.
  await cell(page, 'Press frame', 'Bay 2 wire').click()
  const panel = page.getByRole('region', { name: 'The cell in hand' })
  await expect(panel).toContainText('as it is tried')
  await panel.getByRole('button', { name: 'Wind' }).click()
  await expect(page.getByRole('complementary').getByText('wind at the weld').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Back to as it is' }).click()
  await expect(cell(page, 'Press frame', 'Bay 2 wire')).toContainText('duty')
  expect((await server.record<Job>('jobs/press-frame')).place).toBe('indoors')
})

test('compares what is pinned, decides, and goes out as a sheet', async ({ page, server }) => {
  await openBoard(page, server)
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
  await page.getByRole('button', { name: 'Use it for this job' }).click()
  await expect(page.getByText('Press frame goes by Bay 2 wire')).toBeVisible()
  await expect.poll(async () => (await server.record<Job>('jobs/press-frame')).setUpId).toBe('bay-2-wire')

  await page.getByRole('button', { name: 'Export' }).click()
  const file = page.waitForEvent('download')
  await page.getByText('The board as a sheet (CSV)').click()
  const text = await readFile(await (await file).path(), 'utf8')
  const row = text.split('\r\n').find((line) => line.startsWith('Press frame,'))
  expect(text.split('\r\n')[0]).toContain('Bay 2 wire')
  expect(row).toMatch(/Tight duty \d+ %/)
})

test('what eases a cell is tried, and made only when it is taken', async ({ page, server }) => {
  await openBoard(page, server)
  await cell(page, 'Press frame', 'North wall wire').click()
  const panel = page.getByRole('region', { name: 'The cell in hand' })
  await panel.getByRole('button', { name: 'Breaker holds' }).click()
  await expect(page.getByText('Steady current that heats the breaker as much').first()).toBeVisible()
  await page.keyboard.press('Escape')
  const ease = panel.getByRole('list', { name: 'What would ease it' }).getByRole('button').first()
  await expect(ease).toBeVisible()
  expect((await server.record<Job>('jobs/press-frame')).setUpId).toBe('north-wall-wire')
  await ease.click()
  await expect(page.getByText(/^Done: /)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/^Undone: /)).toBeVisible()
})
