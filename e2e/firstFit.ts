/** The first hour as an owner walks it, with real keys: from an empty database to the first fit. */
import type { Page } from '@playwright/test'

/**
 * @returns how often something was pressed or typed into, until the headline of the first fit stood
 */
export async function walkToFirstFit(page: Page, url: string): Promise<number> {
  let interactions = 0
  const press = async (name: string | RegExp): Promise<void> => {
    interactions += 1
    await page.getByRole('button', { name }).click()
  }
  const type = async (label: string, text: string): Promise<void> => {
    interactions += 1
    await page.getByLabel(label, { exact: true }).click()
    await page.keyboard.press('Control+a')
    await page.keyboard.type(text)
  }
  await page.goto(url)
  await type('Name of your shop', 'Gatehouse Welding')
  await press('Start my shop')
  await press('+ 120 V, 20 A outlet')
  await press('+ 240 V, 50 A outlet')
  await press('+ 120/240 V, 210 A class wire machine')
  await press('+ 0.035 ER70S-6, 200 mm spool')
  await press('+ 75/25 Ar/CO₂')
  await press('Add set-up')
  await type('Thickness', '3/16')
  await press('Find set-ups')
  await page.getByTestId('headline').waitFor()
  return interactions
}
