/** On paper: whole lists, one page for a fit, ink on white whatever the screen has. */
import type { Page } from '@playwright/test'
import { expect, test } from './server.ts'

async function toPaper(page: Page): Promise<void> {
  await page.emulateMedia({ media: 'print' })
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
}
/** A page of a PDF is an object of this type. */
const pagesOf = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0

test('a fit is one page, white in the dark theme too, without what is pressed', async ({
  browser,
  server,
}) => {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: 'dark' })
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(page.getByTestId('headline')).toBeVisible()
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBe(1)
  await toPaper(page)
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(255, 255, 255)')
  await expect(page.getByTestId('headline')).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Views' })).toBeHidden()
  await page.close()
})

test('the welds of a job and a list of equipment are printed whole', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/tank-manifold`)
  await expect(page.getByRole('table', { name: 'Weld lines' })).toBeVisible()
  await toPaper(page)
  const welds = page.locator('table.printed')
  await expect(welds.locator('tbody tr')).toHaveCount(4)
  await expect(welds).toContainText('Branch on tube')
  await expect(page.getByRole('table', { name: 'Weld lines' })).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
  await page.goto(`${server.url}/equipment/parts`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  const all = Number(/of (\d+)/.exec((await page.getByText(/^\d+ of \d+$/).textContent()) ?? '')?.[1])
  expect(all).toBeGreaterThan(40)
  await toPaper(page)
  await expect(page.locator('table.printed tbody tr')).toHaveCount(all)
  await expect(page.getByRole('button', { name: 'New part' })).toBeHidden()
})

test('a set-up card has its places and what speaks against it, and no list of what does not', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/set-ups/bay-2-wire`)
  await expect(page.locator('[data-slot=powerSource]')).toBeVisible()
  await toPaper(page)
  await expect(page.locator('[data-slot=powerSource]')).toBeVisible()
  await expect(page.getByText(/checks pass/)).toBeHidden()
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBe(1)
})
