/** Days as people write them; the calendar is date-fns’. */
import { addDays, format, nextFriday } from 'date-fns'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { printDay, readDay } from './dates.ts'

/** A Thursday. */
const FROM = new Date(2026, 10, 19, 9)
const iso = (day: Date): string => format(day, 'yyyy-MM-dd')

describe('a day', () => {
  it.each([
    ['2027-05-01', '2027-05-01'],
    ['dec 3', '2026-12-03'],
    ['3 Dec', '2026-12-03'],
    ['December 3, 2027', '2027-12-03'],
    ['today', '2026-11-19'],
    ['tomorrow', '2026-11-20'],
    ['in 2 weeks', iso(addDays(FROM, 14))],
    ['friday', iso(nextFriday(FROM))],
    // Past this year: the next one is meant.
    ['march 1', '2027-03-01'],
  ])('%s is %s', (text, day) => {
    expect(readDay(text, 'en-US', FROM)).toBe(day)
  })

  it('has month or day first, as the shop’s locale has it', () => {
    expect(readDay('12/3/2026', 'en-US', FROM)).toBe('2026-12-03')
    expect(readDay('12/3/2026', 'en-GB', FROM)).toBe('2026-03-12')
    expect(readDay('3.12.2026', 'de-DE', FROM)).toBe('2026-12-03')
  })

  it.each(['', 'soon', '2026-02-30', '31 feb', 'dec 3 or 4', 'dec 3 to dec 5', '14 ga', 'n o', '3'])(
    'is not read from %j',
    (text) => {
      expect(readDay(text, 'en-US', FROM)).toBeNull()
    },
  )

  it('is read back as it is printed, in every locale', () => {
    const days = fc
      .date({ min: new Date(2020, 0, 1), max: new Date(2035, 0, 1), noInvalidDate: true })
      .map(iso)
    fc.assert(
      fc.property(days, fc.constantFrom('en-US', 'en-GB', 'en-AU', 'de-DE', 'fr-FR'), (day, locale) => {
        expect(readDay(printDay(day, locale), locale, FROM)).toBe(day)
      }),
    )
  })
})
