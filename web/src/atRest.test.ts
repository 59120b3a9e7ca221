import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { onceAtRest } from './atRest.ts'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

it('what can wait is done once, after nothing was typed, moved or scrolled for three seconds', async () => {
  document.body.innerHTML = '<div><input></div>'
  const scope = effectScope()
  const isDue = ref(false)
  let done = 0
  scope.run(() => {
    onceAtRest(isDue, () => (done += 1))
  })
  const after = async (ms: number): Promise<number> => {
    vi.advanceTimersByTime(ms)
    await nextTick()
    return done
  }
  isDue.value = true
  const used = [
    () => document.querySelector('input')?.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true })),
    () => document.body.dispatchEvent(new MouseEvent('pointermove', { bubbles: true })),
    () => document.body.dispatchEvent(new Event('pointerdown', { bubbles: true })),
    // It does not bubble.
    () => document.querySelector('div')?.dispatchEvent(new Event('scroll')),
  ]
  for (const use of used) {
    expect(await after(2900)).toBe(0)
    use()
  }
  expect(await after(2900)).toBe(0)
  expect(await after(200)).toBe(1)
  used[0]?.()
  expect(await after(10_000)).toBe(1)
  scope.stop()
})

it('where nobody does anything it waits until it is due', async () => {
  const scope = effectScope()
  const isDue = ref(false)
  const work = vi.fn()
  scope.run(() => {
    onceAtRest(isDue, work)
  })
  vi.advanceTimersByTime(20_000)
  await nextTick()
  expect(work).not.toHaveBeenCalled()
  isDue.value = true
  await nextTick()
  expect(work).toHaveBeenCalledOnce()
  scope.stop()
})
