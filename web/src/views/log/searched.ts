/** What is typed into the search of the log: words, and days or months of the shop among them. */
import { daysAfter } from '@brannik/core'
import type { LogFilter } from '../../shop/eventList.ts'
import { momentOf } from '../../shop/shopTime.ts'

/** From the first day to the last, ISO 8601. */
type Days = readonly [first: string, last: string]

/** `2027-02-01` or `2027-02`; null of what is no day. */
function daysIn(word: string): Days | null {
  const isMonth = /^\d{4}-\d\d$/.test(word)
  const first = isMonth ? `${word}-01` : word
  if (!/^\d{4}-\d\d-\d\d$/.test(first) || daysAfter(first, 0) !== first) return null
  if (!isMonth) return [first, first]
  const inNextMonth = daysAfter(first, 31)
  return [first, daysAfter(`${inNextMonth.slice(0, 7)}-01`, -1)]
}

/**
 * @param text as it is typed; the days in it are of the shop's clock, where the stored words have those of UTC
 * @param chosen the first and the last day of the filter, null where it is open
 * @param zone of the shop, null takes the zone of this device
 * @returns words and moments, to look for
 * @example searchedIn('2026-12-02 Rowan', { from: null, to: null }, 'America/New_York')
 * // { search: 'Rowan', from: '2026-12-02T05:00:00.000Z', to: '2026-12-03T05:00:00.000Z' }
 */
export function searchedIn(
  text: string,
  chosen: { readonly from: string | null; readonly to: string | null },
  zone: string | null,
): Pick<LogFilter, 'search' | 'from' | 'to'> {
  const words = text
    .trim()
    .split(/\s+/)
    .map((word) => ({ word, days: daysIn(word) }))
  const spans = words.flatMap(({ days }) => (days === null ? [] : [days]))
  const firsts = [chosen.from, ...spans.map(([first]) => first)].filter((day) => day !== null).sort()
  const lasts = [chosen.to, ...spans.map(([, last]) => last)].filter((day) => day !== null).sort()
  const [from, to] = [firsts.at(-1), lasts[0]]
  return {
    search: words
      .filter(({ days }) => days === null)
      .map(({ word }) => word)
      .join(' '),
    ...(from === undefined ? {} : { from: momentOf(from, 0, zone) }),
    ...(to === undefined ? {} : { to: momentOf(daysAfter(to, 1), 0, zone) }),
  }
}
