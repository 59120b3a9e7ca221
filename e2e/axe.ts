/** A second opinion on whether a page can be used by all. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** What the checker finds wrong with the page as it is now, of any impact and by every rule that it has. */
export async function violations(page: Page): Promise<string[]> {
  await page.waitForTimeout(300)
  await page.evaluate(AXE)
  return page.evaluate(async () => {
    const { axe } = globalThis as unknown as {
      axe: { run: () => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> }
    }
    const { violations: found } = await axe.run()
    return found.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`)
  })
}
