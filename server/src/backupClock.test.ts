/** When the clock of the backups looks, and what it tells of what went wrong. */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Logger } from 'pino'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { startBackupClock } from './backup/clock.ts'

let folder: string
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'brannik-clock-'))
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval'] })
})
afterEach(async () => {
  vi.useRealTimers()
  await rm(folder, { recursive: true, force: true })
})

/** Nothing answers there: no backup can be made. */
const NOWHERE = 'postgres://brannik@127.0.0.1:9/none'
const start = (part: object = {}) => {
  const told: unknown[][] = []
  const logger = { error: (...words: unknown[]) => void told.push(words) } as unknown as Logger
  const settings = {
    folder,
    secondFolder: null,
    everyHours: 24,
    keepDays: 30,
    migrateWithout: false,
    ...part,
  }
  return { told, stop: startBackupClock(NOWHERE, settings, logger) }
}

it('does not run where there is no folder, or no time between backups', () => {
  for (const part of [{ folder: null }, { everyHours: 0 }]) {
    const { stop } = start(part)
    expect(vi.getTimerCount()).toBe(0)
    stop()
  }
})

it('looks some minutes after the start, then four times an hour, and says what went wrong, until it is stopped', async () => {
  const { told, stop } = start()
  vi.advanceTimersByTime(4 * 60_000)
  expect(told).toEqual([])
  vi.advanceTimersByTime(60_000)
  await vi.waitFor(() => expect(told).toHaveLength(1))
  expect(told[0]).toEqual([
    { problem: expect.stringMatching(/./) as string },
    'the backup by the clock failed',
  ])
  vi.advanceTimersByTime(10 * 60_000)
  await vi.waitFor(() => expect(told).toHaveLength(2))
  stop()
  expect(vi.getTimerCount()).toBe(0)
})
