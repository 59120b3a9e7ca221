/** What a search means: the words that somebody types, in the words that records are written in. */
import { spelled } from '@brannik/core'
import { SAME_SIZE, SYNONYMS } from './synonyms.ts'

/**
 * Lower case, one spelling, plain figures: how records and searches are compared.
 * @example searchable('0,8 CO₂, Aluminium') // '0.8 co2 aluminum'
 */
export const searchable = (text: string): string =>
  spelled(text.toLowerCase(), 'en-US')
    .replaceAll('₂', '2')
    .replaceAll(/(\d),(?=\d)/g, '$1.')
    .replaceAll(/(^|\s)\.(?=\d)/g, '$10.')
    .replaceAll(/[\s,;:·|()"“”]+/g, ' ')
    .trim()

/** One of these must occur: what was typed, then other words for it. */
export interface Sought {
  readonly typed: string
  readonly also: readonly string[]
}

const ALSO: ReadonlyMap<string, readonly string[]> = (() => {
  const also = new Map<string, string[]>()
  const add = (said: string, written: readonly string[]): void => {
    also.set(said, [...(also.get(said) ?? []), ...written.filter((one) => one !== said)])
  }
  for (const [said, written] of SYNONYMS) for (const one of said) add(one, written)
  for (const names of SAME_SIZE) for (const one of names) add(one, names)
  return also
})()
const MOST_WORDS_OF_A_NAME = Math.max(...[...ALSO.keys()].map((key) => key.split(' ').length))

/**
 * The parts of a search, names of several words kept whole.
 * @example meaningOf('flux core 035') // [{ typed: 'flux core', also: ['self-shielded', …] }, { typed: '035', also: ['0.9', …] }]
 */
export function meaningOf(search: string): readonly Sought[] {
  const words = searchable(search)
    .split(' ')
    .filter((word) => word !== '')
  const found: Sought[] = []
  for (let at = 0; at < words.length;) {
    let count = Math.min(MOST_WORDS_OF_A_NAME, words.length - at)
    while (count > 1 && !ALSO.has(words.slice(at, at + count).join(' '))) count -= 1
    const typed = words.slice(at, at + count).join(' ')
    found.push({ typed, also: ALSO.get(typed) ?? [] })
    at += count
  }
  return found
}

/** @param text as `searchable` writes it; other words for what was typed count at the beginning of a word alone */
const occurs = ({ typed, also }: Sought, text: string): boolean =>
  text.includes(typed) || also.some((one) => text.startsWith(one) || text.includes(` ${one}`))

/**
 * @returns whether a text, as `searchable` writes it, has all that is sought, in any order
 * @example matcher('mig aluminum')(searchable('Aluminium solid wire')) // true
 */
export function matcher(search: string): (text: string) => boolean {
  const meaning = meaningOf(search)
  return (text) => meaning.every((one) => occurs(one, text))
}
