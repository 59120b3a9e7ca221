/** Which backups stay. The rule of generations (days, weeks, months) is common practice, no source. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { Backup } from './backup/backup.ts'
import { toForget } from './backup/keep.ts'

const DAY_MS = 86_400_000
const backup = (at: Date, why = 'by-clock'): Backup => ({
  name: `${why} ${at.toISOString()}`,
  at,
  bytes: 1,
  why,
})
const daily = (from: string, days: number): Backup[] =>
  Array.from({ length: days }, (_, index) => backup(new Date(Date.parse(from) - index * DAY_MS)))
const kept = (all: readonly Backup[], keepDays = 30, now = all[0]?.at ?? new Date()): string[] => {
  const gone = new Set(toForget(all, keepDays, now))
  return all.filter((one) => !gone.has(one)).map(({ at }) => at.toISOString().slice(0, 10))
}

it('after two years of days seven days, five weeks and twelve months are left', () => {
  // A Sunday: the week that ends with it is the first of the five.
  expect(kept(daily('2027-01-31T03:00:00Z', 730))).toEqual([
    ...['2027-01-31', '2027-01-30', '2027-01-29', '2027-01-28', '2027-01-27', '2027-01-26', '2027-01-25'],
    // The Sundays before.
    ...['2027-01-24', '2027-01-17', '2027-01-10', '2027-01-03'],
    // The last days of the months before.
    ...['2026-12-31', '2026-11-30', '2026-10-31', '2026-09-30', '2026-08-31', '2026-07-31', '2026-06-30'],
    ...['2026-05-31', '2026-04-30', '2026-03-31', '2026-02-28'],
  ])
})

it('what was made for a reason stays its days, and takes no place of the others', () => {
  const [first, ...clock] = daily('2027-01-31T03:00:00Z', 10)
  const at = (day: string): Backup => backup(new Date(`2027-01-${day}T12:00:00Z`), 'before-restore')
  const all = [...(first ? [first] : []), ...clock, at('30'), at('02'), at('01')].sort(
    (a, b) => b.at.getTime() - a.at.getTime(),
  )
  expect(kept(all, 29).filter((day) => day === '2027-01-02' || day === '2027-01-01')).toEqual(['2027-01-02'])
  expect(kept(all, 29).filter((day) => day === '2027-01-30')).toHaveLength(2)
})

it('the latest never goes, no day of the last seven is without one that it had, and the rule settles', () => {
  const list = fc
    .array(fc.tuple(fc.nat(800 * 24), fc.constantFrom('by-clock', 'by-hand')), {
      minLength: 1,
      maxLength: 60,
    })
    .map((all) =>
      all
        .map(([hours, why]) => backup(new Date(Date.UTC(2027, 0, 31, 3) - hours * 3_600_000), why))
        .sort((a, b) => b.at.getTime() - a.at.getTime()),
    )
  fc.assert(
    fc.property(list, fc.integer({ min: 1, max: 60 }), (all, keepDays) => {
      const now = new Date(Date.UTC(2027, 0, 31, 4))
      const gone = new Set(toForget(all, keepDays, now))
      const left = all.filter((one) => !gone.has(one))
      expect(left).toContain(all[0])
      for (const one of all.filter(
        ({ why, at }) => why === 'by-clock' && now.getTime() - at.getTime() < 6 * DAY_MS,
      )) {
        const day = one.at.toISOString().slice(0, 10)
        expect(left.some(({ at }) => at.toISOString().startsWith(day))).toBe(true)
      }
      expect(left.filter(({ why }) => why === 'by-clock').length).toBeLessThanOrEqual(7 + 5 + 12 + 1)
      expect(toForget(left, keepDays, now)).toEqual([])
    }),
  )
})
