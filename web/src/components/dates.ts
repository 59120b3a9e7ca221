/** Days as people write them: `2026-12-03`, `Dec 3`, `12/3`, `next Friday`, `in 2 weeks`; the future is meant. */
import * as chrono from 'chrono-node/en'
import { format, isValid, parseISO } from 'date-fns'
import { dateFormat } from '../dateFormat.ts'

const isMonthFirst = (locale: string): boolean =>
  new Intl.DateTimeFormat(locale).formatToParts(0).find(({ type }) => type === 'day' || type === 'month')
    ?.type === 'month'

/** @param day `2026-12-03` @returns `Thu, Dec 3, 2026`; a text that the reader takes back */
export const printDay = (day: string, locale: string): string =>
  dateFormat(locale, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  }).format(parseISO(day))

/** The day that it is here, whatever it is in Greenwich: an order of tonight is of today. @returns `2026-12-03` */
export const dayHere = (now: Date): string => format(now, 'yyyy-MM-dd')

/**
 * @param from what `next Friday` counts from
 * @returns `2026-12-03`; null where all of the text is not one day
 * @example readDay('in 2 weeks', 'en-US', new Date(2026, 10, 19)) // '2026-12-03'
 */
export function readDay(text: string, locale: string, from: Date): string | null {
  const written = text.trim()
  if (/^\d{4}-\d\d-\d\d$/.test(written)) return isValid(parseISO(written)) ? written : null
  const reader = isMonthFirst(locale) ? chrono.casual : chrono.GB
  const [found, ...others] = reader.parse(written, from, { forwardDate: true })
  if (!found || others.length > 0 || found.end || found.text.length !== written.length) return null
  return format(found.start.date(), 'yyyy-MM-dd')
}

/**
 * A day with a time of it; without a day the one of `from`.
 * @returns `2026-12-03T09:40`; null where all of the text is not one moment with a time
 * @example readMoment('Thu 9:40', 'en-US', new Date(2026, 10, 30)) // '2026-12-03T09:40'
 */
export function readMoment(text: string, locale: string, from: Date): string | null {
  const written = text.trim()
  const reader = isMonthFirst(locale) ? chrono.casual : chrono.GB
  const [found, ...others] = reader.parse(written, from, { forwardDate: true })
  if (!found || others.length > 0 || found.end || found.text.length !== written.length) return null
  if (!found.start.isCertain('hour')) return null
  return format(found.start.date(), "yyyy-MM-dd'T'HH:mm")
}
