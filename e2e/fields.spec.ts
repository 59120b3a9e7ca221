/** Every field of every view, once, with real keys: typed, cleared, retyped, left, and the page opened anew. */
import { ASSUMPTION_GROUPS } from '@brannik/core'
import type { Locator, Page } from '@playwright/test'
import { expect, test } from './server.ts'

interface View {
  readonly path: string
  readonly open?: (page: Page) => Promise<unknown>
  /** The part of the view that is walked. */
  readonly part?: string
  readonly what?: string
  /** A field of what is opened: its part of the page comes by itself, after the rest. */
  readonly last?: string
}
const VIEWS: readonly View[] = [
  { path: '/shop', part: '.settings' },
  ...ASSUMPTION_GROUPS.map((group) => ({
    path: '/shop',
    part: '.group',
    what: `/shop, ${group.toLowerCase()}`,
    open: (page: Page) => page.getByRole('button', { name: group }).click(),
  })),
  { path: '/jobs/tank-manifold' },
  { path: '/jobs/loader-fork', open: (page) => page.getByRole('tab', { name: 'Order and times' }).click() },
  {
    path: '/fit/press-frame',
    open: (page) => page.getByRole('button', { name: 'Compare' }).click(),
    last: 'Travel',
  },
  { path: '/fit/pressing-tray' },
  { path: '/set-ups/osier-tig' },
  { path: '/equipment/power-sources/marl-140' },
  { path: '/equipment/feeders/tarn-w4' },
  { path: '/equipment/guns/gun-250' },
  { path: '/equipment/parts/roll-quillon-u-0035' },
  { path: '/equipment/wires/er70s6-035' },
  { path: '/equipment/gases/argon' },
  { path: '/equipment/tungstens/wla20-332' },
  { path: '/equipment/circuits/bay-2' },
  { path: '/buy' },
  { path: '/buy/requirements' },
]

/** What is typed into; choices are another test's, and a search holds nothing of the shop. */
const FIELDS =
  'input:is([type=text], :not([type])):not([role=combobox]):not([placeholder^=Search]):not([readonly]):visible'
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

// Each view is a test of its own: what is slow is shared out.
test.describe.configure({ mode: 'parallel' })
/** A busy machine is slow, not wrong. */
test.setTimeout(240_000)

for (const { path, open, part = 'main', what = path, last } of VIEWS)
  test(`every field of ${what} keeps what is typed into it`, async ({ page, server }) => {
    await page.goto(server.url + path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await open?.(page)
    const fields = page.locator(part).locator(FIELDS)
    await expect(fields.first()).toBeVisible()
    if (last) await expect(page.getByLabel(last, { exact: true })).toBeVisible()
    const values = () => fields.evaluateAll((all) => all.map((input) => (input as HTMLInputElement).value))
    const before = await values()
    expect(before.length).toBeGreaterThan(1)
    for (const [index, was] of before.entries()) {
      const field = fields.nth(index)
      const name = `${await nameOf(field)} of ${path}`
      await type(field, NONSENSE)
      await expect.soft(field, `${name} takes every key`).toHaveValue(NONSENSE)
      await page.keyboard.press('Tab')
      await expect.soft(field, `${name} keeps its text when it is left`).toHaveValue(NONSENSE)
      await field.focus()
      await page.keyboard.press('Control+a')
      await page.keyboard.press('Delete')
      await page.keyboard.press('Escape')
      await page.keyboard.press('Control+a')
      await page.keyboard.type(was)
      await page.keyboard.press('Tab')
      await expect.soft(field, `${name} takes its old text back`).toHaveValue(was)
      await expect.soft(field, `${name} stands`).not.toHaveAttribute('aria-invalid', 'true')
    }
    await expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
    await page.reload()
    await open?.(page)
    await expect.poll(values).toEqual(before)
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
