/** The first hour as an owner walks it, with real keys: from an empty database to the first fit. */
import type { Page } from '@playwright/test'

/** What a plate of such a machine prints, in its order: an invented machine of the 210 A class. */
const PLATE = [
  ['Maximum output, A', '205'],
  ['Open circuit U₀, V', '54'],
  ['Duty cycle X, %', '25'],
  ['Current I₂ at X, A', '195'],
  ['Supply U₁, V', '240'],
  ['Input I₁max, A', '28'],
  ['Input I₁eff, A', '14'],
] as const

/**
 * A machine of one's own off its plate, its wire and gas, and a job of three welds.
 * @returns how often something was pressed or typed into, until the headline of the first fit stood
 */
export async function walkToFirstFit(page: Page, url: string): Promise<number> {
  let interactions = 0
  const press = async (name: string | RegExp): Promise<void> => {
    interactions += 1
    await page.getByRole('button', { name }).click()
  }
  const type = async (label: string | RegExp, text: string, nth = 0): Promise<void> => {
    interactions += 1
    await page
      .getByLabel(label, typeof label === 'string' ? { exact: true } : {})
      .nth(nth)
      .click()
    await page.keyboard.press('Control+a')
    await page.keyboard.type(text)
  }
  await page.goto(url)
  await type('Name of your shop', 'Gatehouse Welding')
  await press('Start my shop')
  await press('+ 240 V, 50 A outlet')
  await type('Cable, panel to outlet', '40 ft')
  await page.keyboard.press('Enter')
  await press('+ 120/240 V, 210 A class wire machine')
  for (const [label, figure] of PLATE) await type(`${label}, MIG, flux-cored on 240 V`, figure)
  await press('+ 0.035 ER70S-6, 200 mm spool')
  await press('+ 75/25 Ar/CO₂')
  await press('Add set-up')
  await type('Thickness', '3/16')
  await press('Add another weld')
  await type('Thickness', '1/8', 1)
  await press('Add another weld')
  await type('Each long', '12', 2)
  await press('Find set-ups')
  await page.getByTestId('headline').waitFor()
  return interactions
}
