/** Days and minutes by the clock of the shop, and back to the moments that are stored, which are UTC. */
import { dayOf, minuteOf } from '@brannik/core'

const MS_PER_MIN = 60_000

/**
 * @param zone null takes the zone of this device
 * @returns minutes since 1 January 1970 by the clock of the shop
 */
export function shopMinute(at: Date, zone: string | null): number {
  const parts = new Intl.DateTimeFormat('en-CA', {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    ...(zone === null ? {} : { timeZone: zone }),
  }).formatToParts(at)
  const of = (type: Intl.DateTimeFormatPartTypes): string =>
    parts.find((one) => one.type === type)?.value ?? ''
  return minuteOf(`${of('year')}-${of('month')}-${of('day')}T${of('hour')}:${of('minute')}`)
}

/**
 * @returns the day that it is in the shop, ISO 8601
 * @example shopDay('2026-12-03T02:30:00Z', 'America/New_York') // '2026-12-02'
 */
export const shopDay = (at: string | Date, zone: string | null): string =>
  dayOf(shopMinute(new Date(at), zone))

/**
 * @param minute of the day, by the clock of the shop
 * @returns the moment, UTC; where summer time leaves that minute out, the one an hour before
 * @example momentOf('2026-12-03', 0, 'America/New_York') // '2026-12-03T05:00:00.000Z'
 */
export function momentOf(day: string, minute: number, zone: string | null): string {
  const asked = minuteOf(`${day}T00:00`) + minute
  const aheadAt = (utcMin: number): number => shopMinute(new Date(utcMin * MS_PER_MIN), zone) - utcMin
  // The zone may be another hour ahead at the moment itself than it was at the first guess.
  const near = asked - aheadAt(asked)
  return new Date((asked - aheadAt(near)) * MS_PER_MIN).toISOString()
}
