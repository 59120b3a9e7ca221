/** When a weld was made, from the day that somebody names: by the clock of the shop. */
import { momentOf, shopDay } from '../../shop/shopTime.ts'

const NOON_MIN = 720

/**
 * @param day of the shop, ISO 8601
 * @param before when it was welded as the row said until now; null for a new row
 * @param zone null takes the zone of this device
 * @returns a moment, UTC: of the same day the one before, of today now, of any other day noon
 */
export function weldedAtOf(day: string, before: string | null, now: Date, zone: string | null): string {
  if (before !== null && shopDay(before, zone) === day) return before
  return shopDay(now, zone) === day ? now.toISOString() : momentOf(day, NOON_MIN, zone)
}
