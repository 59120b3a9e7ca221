/** Offsets are those of the IANA time zone database. */
import { expect, it } from 'vitest'
import { weldedAtOf } from './weldedAt.ts'

const NEW_YORK = 'America/New_York'
/** Half past nine in the evening of the 2nd. */
const now = new Date('2026-12-03T02:30:00Z')

it('a weld of today is welded now, though it is tomorrow by UTC', () => {
  expect(weldedAtOf('2026-12-02', null, now, NEW_YORK)).toBe('2026-12-03T02:30:00.000Z')
  expect(weldedAtOf('2026-12-03', null, now, 'UTC')).toBe('2026-12-03T02:30:00.000Z')
})
it('of another day at noon by the clock of the shop', () => {
  expect(weldedAtOf('2026-12-01', null, now, NEW_YORK)).toBe('2026-12-01T17:00:00.000Z')
  expect(weldedAtOf('2026-12-03', null, now, NEW_YORK)).toBe('2026-12-03T17:00:00.000Z')
})
it('one that is corrected keeps its time, unless its day is corrected', () => {
  const before = '2026-12-02T03:15:00Z'
  expect(weldedAtOf('2026-12-01', before, now, NEW_YORK)).toBe(before)
  expect(weldedAtOf('2026-12-02', before, now, NEW_YORK)).toBe('2026-12-03T02:30:00.000Z')
  expect(weldedAtOf('2026-11-30', before, now, NEW_YORK)).toBe('2026-11-30T17:00:00.000Z')
})
