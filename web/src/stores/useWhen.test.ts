/** Times in the shop's zone, whichever the browser has; offsets and their changes are those of the IANA time zone database. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { useWorkspace } from '../shop/workspace.ts'
import { useWhen } from './useWhen.ts'

beforeEach(() => setActivePinia(createPinia()))
const inZone = (timeZone: string | null, locale = 'en-IE') => {
  const workspace = useWorkspace()
  Object.defineProperty(workspace, 'shop', { value: { timeZone }, configurable: true })
  Object.defineProperty(workspace, 'notation', { value: { locale }, configurable: true })
  const when = useWhen()
  // Before AM and PM stands a narrow space that does not break.
  return (...of: Parameters<typeof when>): string => when(...of).replace('\u202f', ' ')
}

it('prints one time as the zone of the shop has it', () => {
  const at = '2026-12-03T02:30:09Z'
  expect(inZone('UTC')(at, 'second')).toBe('3 Dec 2026, 2:30:09')
  // UTC−5 in winter: still the day before.
  expect(inZone('America/New_York')(at)).toBe('2 Dec 2026, 21:30')
  expect(inZone('America/New_York')(at, 'day')).toBe('2 Dec 2026')
  expect(inZone('Asia/Kolkata')(at, 'clock')).toBe('8:00')
})
it('writes a time as the country of the shop does', () => {
  const at = '2026-12-03T14:05:09Z'
  expect(inZone('UTC', 'en-US')(at)).toBe('Dec 3, 2026, 2:05 PM')
  expect(inZone('UTC', 'en-US')(at, 'second')).toBe('Dec 3, 2026, 2:05:09 PM')
  expect(inZone('UTC', 'en-US')('2026-12-03T00:30:00Z', 'clock')).toBe('12:30 AM')
  expect(inZone('UTC', 'en-US')(at, 'paper')).toBe('December 3, 2026 at 2:05 PM')
  // In English, whatever the figures are written in.
  expect(inZone('UTC', 'de-DE')(at)).toBe('3 Dec 2026, 14:05')
  expect(inZone('UTC', 'de-DE')('2026-03-01T08:00:00Z', 'clock')).toBe('8:00')
})
it('knows the hour that summer time leaves out and the one that comes twice', () => {
  const when = inZone('America/New_York')
  expect([when('2026-03-08T06:59:00Z', 'clock'), when('2026-03-08T07:00:00Z', 'clock')]).toEqual([
    '1:59',
    '3:00',
  ])
  expect([when('2026-11-01T05:30:00Z', 'clock'), when('2026-11-01T06:30:00Z', 'clock')]).toEqual([
    '1:30',
    '1:30',
  ])
})
it('takes the zone of the device where the shop names none', () => {
  const here = new Date(2026, 11, 3, 14, 5)
  expect(inZone(null)(here)).toBe('3 Dec 2026, 14:05')
})
