/** Every view, and what opens over or beside one, as `walk.ts` beside each view says it. */
import { existsSync, readdirSync } from 'node:fs'
import type { Page } from '@playwright/test'
import type { ViewWalk, WalkStep } from '../web/src/views/view.ts'

const FOLDER = new URL('../web/src/views/', import.meta.url)
const walked = readdirSync(FOLDER)
  .sort()
  .map((name) => new URL(`${name}/walk.ts`, FOLDER))
  .filter((file) => existsSync(file))
const walks = await Promise.all(
  walked.map(async ({ href }) => ((await import(href)) as { WALK: ViewWalk }).WALK),
)

async function press(page: Page, step: WalkStep): Promise<void> {
  if ('key' in step) await page.keyboard.press(step.key)
  else if ('button' in step)
    await page.getByRole('button', { name: step.button, exact: step.exact ?? false }).click()
  else if ('tab' in step) await page.getByRole('tab', { name: step.tab }).click()
  else if ('text' in step) await page.getByText(step.text).click()
  else if ('element' in step) await page.locator(step.element).click()
  else await page.getByRole('textbox', { name: step.textbox }).fill(step.fill)
}
/** Presses one after the other. */
export async function take(page: Page, steps: readonly WalkStep[]): Promise<void> {
  for (const step of steps) await press(page, step)
}

export const VIEWS = walks.flatMap(({ looks }) => looks)
export const OPENED = walks.flatMap(({ opens }) => opens)
export const WALKS = walks.flatMap((one) => one.walks)
export const NOTHING_TYPED = walks.flatMap(({ nothingTyped }) => nothingTyped)
