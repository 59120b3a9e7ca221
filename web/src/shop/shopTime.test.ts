/** The shop's clock, whichever the browser has. Offsets and their changes are those of the IANA time zone database. */
import { timeOf } from '@brannik/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { momentOf, shopDay, shopMinute } from './shopTime.ts'

it('the shop’s clock is that of its zone, through summer time', () => {
  const at = new Date('2027-07-01T16:30:00Z')
  expect(timeOf(shopMinute(at, 'America/New_York'))).toBe('2027-07-01T12:30')
  expect(timeOf(shopMinute(at, 'Europe/Berlin'))).toBe('2027-07-01T18:30')
  expect(timeOf(shopMinute(new Date('2027-01-01T02:05:00Z'), 'America/New_York'))).toBe('2026-12-31T21:05')
})

it('a day is that of the shop', () => {
  // UTC−5 in winter, UTC+13 in summer.
  expect(shopDay('2026-12-03T02:30:00Z', 'America/New_York')).toBe('2026-12-02')
  expect(shopDay('2026-12-03T11:30:00Z', 'Pacific/Auckland')).toBe('2026-12-04')
  expect(shopDay('2026-12-03T11:30:00Z', 'UTC')).toBe('2026-12-03')
  expect(shopDay(new Date(2026, 11, 3, 23, 59), null)).toBe('2026-12-03')
})

describe('a moment', () => {
  it.each([
    ['2026-12-03', 0, 'America/New_York', '2026-12-03T05:00:00.000Z'],
    ['2026-07-03', 0, 'America/New_York', '2026-07-03T04:00:00.000Z'],
    ['2026-12-03', 12 * 60, 'Pacific/Auckland', '2026-12-02T23:00:00.000Z'],
    ['2026-12-03', 12 * 60, 'Asia/Kolkata', '2026-12-03T06:30:00.000Z'],
    ['2026-12-03', 0, 'UTC', '2026-12-03T00:00:00.000Z'],
    // Summer time begins on 8 March and ends on 1 November, at two o'clock.
    ['2026-03-08', 0, 'America/New_York', '2026-03-08T05:00:00.000Z'],
    ['2026-03-09', 0, 'America/New_York', '2026-03-09T04:00:00.000Z'],
    ['2026-03-08', 4 * 60, 'America/New_York', '2026-03-08T08:00:00.000Z'],
    // There is no half past two on that day: it is half past one.
    ['2026-03-08', 150, 'America/New_York', '2026-03-08T06:30:00.000Z'],
    ['2026-11-01', 0, 'America/New_York', '2026-11-01T04:00:00.000Z'],
    ['2026-11-02', 0, 'America/New_York', '2026-11-02T05:00:00.000Z'],
  ])('of %s, minute %s, in %s is %s', (day, minute, zone, moment) => {
    expect(momentOf(day, minute, zone)).toBe(moment)
  })

  it('is on its own day, whichever the zone', () => {
    const days = fc
      .integer({ min: 0, max: 20_000 })
      .map((number) => new Date(number * 86_400_000).toISOString().slice(0, 10))
    const zones = fc.constantFrom(
      'America/New_York',
      'Pacific/Auckland',
      'Pacific/Pago_Pago',
      'Asia/Kolkata',
      null,
    )
    fc.assert(
      fc.property(days, zones, (day, zone) => {
        expect(shopDay(momentOf(day, 12 * 60, zone), zone)).toBe(day)
      }),
      { numRuns: 200 },
    )
  })
})
