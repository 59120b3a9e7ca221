/** A second opinion on whether a page can be used by all. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, type Page } from '@playwright/test'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** Waits until what was asked for is drawn, and nothing fades or moves any more. */
export async function stillness(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const frame = () => new Promise(requestAnimationFrame)
    await frame()
    await frame()
    // What is drawn without end, such as a bar that runs while something is worked out, is not waited for.
    const ending = new Set(
      document.getAnimations().filter((one) => one.effect?.getComputedTiming().endTime !== Infinity),
    )
    // Looked at with each frame: one whose element is no longer drawn never says that it has ended.
    const isMoving = () =>
      document.getAnimations().some((one) => ending.has(one) && one.playState === 'running')
    while (isMoving()) await frame()
    await frame()
  })
}

/** Until what is worked out is drawn as well: a place that waits has fewer things to press and to type into. */
export async function settled(page: Page): Promise<void> {
  await stillness(page)
  await expect(page.getByText(/^Calculating…/).filter({ visible: true })).toHaveCount(0)
}

/**
 * What the checker finds wrong with the page as it is now, of any impact.
 * @param rules that it goes by; all that it has where it is left out
 */
export async function violations(page: Page, rules?: readonly string[]): Promise<string[]> {
  await stillness(page)
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(AXE)
  return page.evaluate(async (only) => {
    interface Found {
      readonly violations: readonly {
        readonly id: string
        readonly nodes: readonly { readonly html: string }[]
      }[]
    }
    const { axe } = globalThis as unknown as { axe: { run: (options: object) => Promise<Found> } }
    const { violations: found } = await axe.run({
      ...(only ? { runOnly: { type: 'rule', values: only } } : {}),
      // Nothing is worked out of what passes, and no path to what does not: its text says where it is.
      resultTypes: ['violations'],
      selectors: false,
    })
    return found.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`)
  }, rules)
}
