/**
 * Every field of every view, once, with real keys: typed, cleared, retyped, left, and the page opened anew. Nonsense is
 * typed into the first field of each unit, in the long run into all.
 */
import type { Locator, Page } from '@playwright/test'
import { isLong } from '../core/src/testing/runs.ts'
import { settled } from './axe.ts'
import { expect, test } from './server.ts'
import { NOTHING_TYPED, take, WALKS } from './views.ts'

/** What is typed into; choices are another test's, and a search holds nothing of the shop. */
const FIELDS =
  'input:is([type=text], :not([type])):not([role=combobox]):not([aria-haspopup]):not([placeholder^=Search]):not([readonly]):visible'
/** What a figure is in: its text without the number. */
const unitOf = (text: string): string => text.replace(/^[\d.,/ -]+/, '')
/** No field of the shop takes it for a figure, and its space must not be lost. */
const NONSENSE = 'n o'

async function type(field: Locator, text: string): Promise<void> {
  await field.focus()
  const { keyboard } = field.page()
  await keyboard.press('Control+a')
  if (text === '') await keyboard.press('Delete')
  else await keyboard.type(text)
}
const nameOf = (field: Locator): Promise<string> =>
  field.evaluate((input: HTMLInputElement) => input.ariaLabel ?? input.labels?.[0]?.textContent ?? input.id)

/** Fields that lie below an error text, by more than their border. */
const covered = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const BORDER_PX = 3
    const errors = [...document.querySelectorAll('.told')].filter((one) => one.checkVisibility())
    return [...document.querySelectorAll<HTMLInputElement>('input, select, textarea')]
      .filter((one) => one.checkVisibility() && one.getBoundingClientRect().height > BORDER_PX)
      .filter((input) => {
        const field = (input.closest('.v-field') ?? input).getBoundingClientRect()
        return errors.some((error) => {
          const told = error.getBoundingClientRect()
          return (
            told.left + BORDER_PX < field.right &&
            field.left + BORDER_PX < told.right &&
            told.top + BORDER_PX < field.bottom &&
            field.top + BORDER_PX < told.bottom
          )
        })
      })
      .map((input) => input.ariaLabel ?? input.labels?.[0]?.textContent ?? input.id)
  })

// Each view is a test of its own: what is slow is shared out.
test.describe.configure({ mode: 'parallel' })
/** A busy machine is slow, not wrong. */
test.setTimeout(600_000)

for (const { path, open = [], part = 'main', what = path, last, isAlike = false } of WALKS)
  test(`every field of ${what} keeps what is typed into it`, async ({ page, server }) => {
    await page.goto(server.url + path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await take(page, open)
    const fields = page.locator(part).locator(FIELDS)
    await expect(fields.first()).toBeVisible()
    if (last) await expect(page.getByLabel(last, { exact: true })).toBeVisible()
    const values = () => fields.evaluateAll((all) => all.map((input) => (input as HTMLInputElement).value))
    const before = await values()
    expect(before.length).toBeGreaterThan(1)
    // A field that is replaced by another while somebody types in it has lost its mark, and fails.
    await fields.evaluateAll((all) => {
      for (const [index, input] of all.entries()) (input as HTMLInputElement).dataset['walked'] = `${index}`
    })
    const walked = new Set<string>()
    for (const [index, was] of before.entries()) {
      const isFirst = isLong || !walked.has(unitOf(was))
      if (isAlike && !isFirst) continue
      walked.add(unitOf(was))
      const field = page.locator(`[data-walked="${index}"]`)
      const name = `${await nameOf(field)} of ${path}`
      if (isFirst) {
        await type(field, NONSENSE)
        await page.keyboard.press('Tab')
        await expect
          .soft(field, `${name} takes every key and keeps its text when it is left`)
          .toHaveValue(NONSENSE)
        expect.soft(await covered(page), `${name} says what is wrong, and covers no field by it`).toEqual([])
      }
      await type(field, '')
      await page.keyboard.press('Escape')
      await page.keyboard.press('Control+a')
      await page.keyboard.type(was)
      await page.keyboard.press('Tab')
      await expect.soft(field, `${name} takes its old text back`).toHaveValue(was)
    }
    await expect(fields.and(page.locator('[aria-invalid=true]'))).toHaveCount(0)
    await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
    await page.reload()
    await take(page, open)
    await expect.poll(values).toEqual(before)
  })

test('the other views have no field that is typed into', async ({ page, server }) => {
  for (const path of NOTHING_TYPED) {
    await page.goto(server.url + path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await settled(page)
    await expect.soft(page.locator('main').locator(FIELDS), path).toHaveCount(0)
  }
})

test('what is half typed, then refused, is not stored, nor after a reload', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/press-frame`)
  const parts = page.getByRole('textbox', { name: 'Parts of weld 1' })
  const was = await parts.inputValue()
  // At its first key, `1` alone is an inch.
  await type(parts, '1 in unobtainium')
  await parts.press('Tab')
  await expect(page.getByRole('alert')).toContainText('unobtainium')
  await expect(parts).toHaveValue('1 in unobtainium')
  await page.reload()
  await expect(parts).toHaveValue(was)
  await page.getByLabel('Pieces').click()
  await type(page.getByLabel('Pieces'), '12.5')
  await page.reload()
  await expect(page.getByLabel('Pieces')).toHaveValue('4')
})

test('Ctrl Z in a field undoes the typing; where nothing is typed it undoes the shop, and says what', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame`)
  const name = page.getByLabel('Job', { exact: true })
  const pieces = page.getByLabel('Pieces')
  await type(pieces, '7')
  await pieces.press('Tab')
  await type(name, 'Gate')
  await expect(name).toHaveValue('Gate')
  for (let keys = 0; keys < 6 && (await name.inputValue()) !== 'Press frame'; keys += 1)
    await page.keyboard.press('Control+z')
  await expect(name).toHaveValue('Press frame')
  await expect(pieces).toHaveValue('7')
  await page.keyboard.press('Control+z')
  await expect(pieces).toHaveValue('4')
  await expect(page.getByText('Undone: pieces of Press frame')).toBeVisible()
})

test('what is typed into a choice that was pressed takes the place of what is chosen', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  const field = page.getByRole('combobox', { name: 'Set-up', exact: true })
  await expect(field).toHaveValue('North wall wire')
  // In the middle of the name.
  await field.click()
  await page.keyboard.type('bay 2')
  await expect(page.getByRole('option')).toHaveText([/Bay 2 wire/])
  await page.keyboard.press('Enter')
  await expect(field).toHaveValue('Bay 2 wire')
})

test('a choice that has to be made keeps what is chosen when its name is deleted', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/power?job=press-frame`)
  const field = page.getByRole('combobox', { name: 'Job', exact: true })
  await expect(field).toHaveValue('Press frame')
  await field.click()
  await page.keyboard.press('Delete')
  await expect(field).toHaveValue('')
  await page.keyboard.press('Tab')
  await expect(field).toHaveValue('Press frame')
  await expect(page).toHaveURL(/job=press-frame/)
})
