/** Words and figures of drawings that run out at a side of their picture, and are cut there. */
import type { Page } from '@playwright/test'

/** The browser rounds places of letters. */
const ROUNDED_PX = 0.5

/** @returns each as it is written, with how far it runs out, px */
export const cutTexts = (page: Page): Promise<readonly string[]> =>
  page.evaluate(
    (rounded) =>
      [...document.querySelectorAll<SVGTextElement>('svg text')].flatMap((text) => {
        const picture = text.ownerSVGElement
        if (!picture || getComputedStyle(picture).overflowX === 'visible') return []
        const [own, whole] = [text.getBoundingClientRect(), picture.getBoundingClientRect()]
        const outPx = Math.max(whole.left - own.left, own.right - whole.right)
        return own.width > 0 && outPx > rounded ? [`${text.textContent.trim()}: ${outPx.toFixed(1)} px`] : []
      }),
    ROUNDED_PX,
  )
