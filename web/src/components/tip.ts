/** `v-tip="words"`: what somebody sees who points at a thing or comes to it by keyboard. TipLayer shows it. */
import type { Directive } from 'vue'

export const TIP = 'data-tip'

const put = (element: HTMLElement, words: string): void => {
  if (words === '') {
    element.removeAttribute(TIP)
    element.removeAttribute('aria-description')
    return
  }
  element.setAttribute(TIP, words)
  // Where the words are the thing's own name, hearing them twice helps nobody.
  if (element.getAttribute('aria-label') !== words) element.setAttribute('aria-description', words)
}

export const vTip: Directive<HTMLElement, string> = {
  mounted: (element, { value }) => put(element, value),
  updated: (element, { value, oldValue }) => {
    if (value !== oldValue) put(element, value)
  },
}
