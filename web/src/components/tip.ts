/** `v-tip="words"`: what somebody sees who points at a thing or comes to it by keyboard. TipLayer shows it. */
import type { Directive } from 'vue'

/** Marks what has words. The words themselves are kept beside it: they change with every key, on dozens of things at once. */
export const TIP = 'data-tip'
const wordsOf = new WeakMap<Element, string>()

/** @returns the words of a thing; empty where it has none */
export const tipOf = (element: Element): string => wordsOf.get(element) ?? ''

const put = (element: HTMLElement, words: string): void => {
  wordsOf.set(element, words)
  element.toggleAttribute(TIP, words !== '')
  // Where the words are the thing's own name, hearing them twice helps nobody.
  const isHeard = words !== '' && element.getAttribute('aria-label') !== words
  if (isHeard) element.setAttribute('aria-description', words)
  else element.removeAttribute('aria-description')
}

export const vTip: Directive<HTMLElement, string> = {
  mounted: (element, { value }) => put(element, value),
  updated: (element, { value, oldValue }) => {
    if (value !== oldValue) put(element, value)
  },
}
