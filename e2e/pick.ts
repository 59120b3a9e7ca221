import type { Page } from '@playwright/test'
import { stillness } from './axe.ts'

const MOST_KEYS = 60

/** Opens a choice and takes one of its words; a long list is walked through by keys, from its top. */
export async function pick(page: Page, label: string, words: string): Promise<void> {
  // What lies over the field takes the press, and opens the list.
  await page.getByRole('combobox', { name: label, exact: true }).click({ force: true })
  await page.getByRole('listbox').waitFor()
  const option = page.getByRole('option', { name: words, exact: true })
  for (let keys = 0; keys < MOST_KEYS && !(await option.isVisible()); keys += 1) {
    await page.keyboard.press(keys === 0 ? 'Home' : 'ArrowDown')
    // Only what is near the one in hand is drawn: faster than it is drawn, keys would go past the option unseen.
    await stillness(page)
  }
  await option.click()
}
