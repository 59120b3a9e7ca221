/** Calendar days, held to those of the language's own calendar. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { dayNumber, dayOfNumber, daysAfter } from './days.ts'

const MS_PER_DAY = 86_400_000

it('are counted as the Gregorian calendar counts them, there and back', () => {
  fc.assert(
    fc.property(fc.integer({ min: -150_000, max: 150_000 }), (number) => {
      const iso = new Date(number * MS_PER_DAY).toISOString().slice(0, 10)
      if (iso.startsWith('-') || iso.startsWith('+')) return
      expect(dayOfNumber(number)).toBe(iso)
      expect(dayNumber(iso)).toBe(number)
    }),
  )
  expect(daysAfter('2028-02-28', 2)).toBe('2028-03-01')
  expect(daysAfter('2027-01-01', -1)).toBe('2026-12-31')
})
