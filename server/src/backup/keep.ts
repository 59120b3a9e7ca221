/** Which backups stay: seven days, five weeks and twelve months back, the newest of each; what was made for a reason, longer. */
import type { Backup } from './backup.ts'

/** Why those are made that the clock makes. */
export const BY_CLOCK = 'by-clock'
export const KEPT_DAYS = 7
export const KEPT_WEEKS = 5
export const KEPT_MONTHS = 12

const DAY_MS = 86_400_000
/** The first day of 1970 was a Thursday; weeks begin on Monday (ISO 8601). */
const THURSDAY = 3
const dayOf = (at: Date): number => Math.floor(at.getTime() / DAY_MS)
const weekOf = (at: Date): number => Math.floor((dayOf(at) + THURSDAY) / 7)
const monthOf = (at: Date): string => at.toISOString().slice(0, 7)

/** The newest of each of so many stretches of time that have one. @param list latest first */
function newestOfEach(
  list: readonly Backup[],
  stretchOf: (at: Date) => number | string,
  most: number,
): readonly Backup[] {
  const seen = new Map<number | string, Backup>()
  for (const one of list) if (!seen.has(stretchOf(one.at))) seen.set(stretchOf(one.at), one)
  return [...seen.values()].slice(0, most)
}

/**
 * @param backups latest first
 * @param keepDays how long those stay that were made by hand, before a migration or before a restore
 * @returns those that may go; the latest never does
 */
export function toForget(backups: readonly Backup[], keepDays: number, now: Date): readonly Backup[] {
  const byClock = backups.filter(({ why }) => why === BY_CLOCK)
  const kept = new Set([
    ...backups.slice(0, 1),
    ...backups.filter(({ why, at }) => why !== BY_CLOCK && now.getTime() - at.getTime() < keepDays * DAY_MS),
    ...newestOfEach(byClock, dayOf, KEPT_DAYS),
    ...newestOfEach(byClock, weekOf, KEPT_WEEKS),
    ...newestOfEach(byClock, monthOf, KEPT_MONTHS),
  ])
  return backups.filter((one) => !kept.has(one))
}
