import type { Locator } from '@playwright/test'

/** Writes over what stands in a field, key by key as people do, and leaves it: only then is it stored. */
export async function enter(field: Locator, text: string): Promise<void> {
  await field.click()
  await field.press('Control+a')
  if (text === '') await field.press('Delete')
  else await field.pressSequentially(text)
  await field.press('Tab')
}
