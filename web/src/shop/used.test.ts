/** What the ledger says was taken for jobs, kept as it changes. */
import type { UsedForJob } from '@brannik/core'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import { happenings } from './happenings.ts'
import { followUsed, type Used } from './used.ts'

let found: unknown[] = []
let isDown = false
let asked = 0
beforeEach(() => {
  vi.useFakeTimers()
  found = [{ jobId: 'press-frame', item: 'wire.wire-1', amount: 900 }]
  isDown = false
  asked = 0
  vi.stubGlobal('fetch', () => {
    asked += 1
    return isDown ? Promise.reject(new TypeError('down')) : Promise.resolve(Response.json({ used: found }))
  })
})
afterEach(() => {
  vi.useRealTimers()
})
const happen = async (): Promise<void> => {
  happenings.value += 1
  await nextTick()
}

it('is one for each job and item, and the same list while nothing has changed', async () => {
  const used = shallowRef<readonly Used[]>([])
  await followUsed(used)
  const [only] = used.value
  expect(used.value).toHaveLength(1)
  expect(only).toMatchObject({ ...(found[0] as UsedForJob), id: 'press-frame wire.wire-1' })
  const before = used.value
  await happen()
  await vi.advanceTimersByTimeAsync(300)
  expect(asked).toBe(2)
  expect(used.value).toBe(before)
})

it('is looked at once after several movements in a row', async () => {
  const used = shallowRef<readonly Used[]>([])
  await followUsed(used)
  found = []
  for (let movement = 0; movement < 3; movement += 1) {
    await happen()
    await vi.advanceTimersByTimeAsync(200)
  }
  expect(asked).toBe(1)
  await vi.advanceTimersByTimeAsync(100)
  expect(asked).toBe(2)
  expect(used.value).toEqual([])
})

it('stays as it was known where the server does not answer', async () => {
  const used = shallowRef<readonly Used[]>([])
  await followUsed(used)
  isDown = true
  await happen()
  await vi.advanceTimersByTimeAsync(300)
  expect(used.value).toHaveLength(1)
})

it('of another shop begins with none, and is followed for that one alone', async () => {
  const first = shallowRef<readonly Used[]>([])
  await followUsed(first)
  isDown = true
  const second = shallowRef<readonly Used[]>(first.value)
  await followUsed(second)
  expect(second.value).toEqual([])
  isDown = false
  found = []
  await happen()
  await vi.advanceTimersByTimeAsync(300)
  expect(first.value).toHaveLength(1)
  expect(asked).toBe(3)
})
