/** Times in the shop's zone, whichever the browser has; offsets and their changes are those of the IANA time zone database. */
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { useWorkspace } from '../shop/workspace.ts'
import { useWhen } from './useWhen.ts'

beforeEach(() => setActivePinia(createPinia()))
const inZone = (timeZone: string | null): ReturnType<typeof useWhen> => {
  const workspace = useWorkspace()
  Object.defineProperty(workspace, 'shop', { value: { timeZone }, configurable: true })
  return useWhen()
}

it('prints one time as the zone of the shop has it', () => {
  const at = '2026-12-03T02:30:09Z'
  expect(inZone('UTC')(at, 'second')).toBe('3 Dec 2026, 02:30:09')
  // UTC−5 in winter: still the day before.
  expect(inZone('America/New_York')(at)).toBe('2 Dec 2026, 21:30')
  expect(inZone('America/New_York')(at, 'day')).toBe('2 Dec 2026')
  expect(inZone('Asia/Kolkata')(at, 'clock')).toBe('08:00')
})
it('knows the hour that summer time leaves out and the one that comes twice', () => {
  const when = inZone('America/New_York')
  expect([when('2026-03-08T06:59:00Z', 'clock'), when('2026-03-08T07:00:00Z', 'clock')]).toEqual([
    '01:59',
    '03:00',
  ])
  expect([when('2026-11-01T05:30:00Z', 'clock'), when('2026-11-01T06:30:00Z', 'clock')]).toEqual([
    '01:30',
    '01:30',
  ])
})
it('takes the zone of the device where the shop names none', () => {
  const here = new Date(2026, 11, 3, 14, 5)
  expect(inZone(null)(here)).toBe('3 Dec 2026, 14:05')
})
