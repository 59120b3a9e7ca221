/** What is pressed by a finger: whether a fingertip reaches it (44 px, Apple and WCAG 2.5.5; in a sentence WCAG leaves it). */
import type { Page } from '@playwright/test'

const LEAST_PX = 44

/** @returns what can be pressed on the page and is smaller than a fingertip, each with its size */
export const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const PRESSED =
      'button, a[href], input, select, textarea, summary, [role=tab], [role=button], [role=option], [role=gridcell]'
    const isInSentence = (element: Element): boolean =>
      element.matches('a, .link-button') && element.parentElement?.matches('p, .label') === true
    /** What a press there would reach. */
    const reach = (target: Element, x: number, y: number): boolean => {
      const at = document.elementFromPoint(x, y)
      return at !== null && (target.contains(at) || at.closest('label')?.contains(target) === true)
    }
    const found: string[] = []
    for (const element of document.querySelectorAll(PRESSED)) {
      if (element.matches(':disabled, .skip') || element.closest('.visually-hidden, [inert]')) continue
      if (!element.checkVisibility({ visibilityProperty: true }) || isInSentence(element)) continue
      // A link whose cover is laid out in its cell is as large as that.
      const cover = getComputedStyle(element, '::after')
      const covered =
        cover.content !== 'none' &&
        cover.position === 'absolute' &&
        getComputedStyle(element).position === 'static'
      const whole = covered ? (element as HTMLElement).offsetParent : null
      const target = whole ?? element.closest('.v-field, .v-selection-control') ?? element
      const size = target.getBoundingClientRect()
      if (size.width <= 2 || (size.width >= least - 0.5 && size.height >= least - 0.5)) continue
      // Away from the bars that stand before the page.
      target.scrollIntoView({ block: 'center', inline: 'center' })
      const { left, right, top, bottom, width, height } = target.getBoundingClientRect()
      const [x, y] = [(left + right) / 2, (top + bottom) / 2]
      const half = least / 2 - 1
      const isLarge = [
        [x - (width < least ? half : 0), y],
        [x + (width < least ? half : 0), y],
        [x, y - (height < least ? half : 0)],
        [x, y + (height < least ? half : 0)],
      ].every(([px = 0, py = 0]) => reach(target, px, py))
      if (!isLarge)
        found.push(
          `${element.tagName.toLowerCase()} “${(element.ariaLabel ?? element.textContent ?? '').trim().slice(0, 30)}” ${Math.round(width)} × ${Math.round(height)}`,
        )
    }
    return found
  }, LEAST_PX)
