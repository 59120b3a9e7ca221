import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { onceAtRest } from './atRest.ts'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

it('what can wait is done once, after nothing was typed, moved or scrolled for three seconds', () => {
  document.body.innerHTML = '<div><input></div>'
  const scope = effectScope()
  let done = 0
  scope.run(() => {
    onceAtRest(() => (done += 1))
  })
  const after = (ms: number): number => {
    vi.advanceTimersByTime(ms)
    return done
  }
  const used = [
    () => document.querySelector('input')?.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true })),
    () => document.body.dispatchEvent(new Event('pointermove', { bubbles: true })),
    () => document.body.dispatchEvent(new Event('pointerdown', { bubbles: true })),
    () => document.body.dispatchEvent(new Event('wheel', { bubbles: true })),
    // It does not bubble.
    () => document.querySelector('div')?.dispatchEvent(new Event('scroll')),
  ]
  for (const use of used) {
    expect(after(2900)).toBe(0)
    use()
  }
  expect(after(2900)).toBe(0)
  expect(after(200)).toBe(1)
  used[0]?.()
  expect(after(10_000)).toBe(1)
  scope.stop()
})

it('a page that is gone does nothing more', () => {
  const work = vi.fn()
  const scope = effectScope()
  scope.run(() => {
    onceAtRest(work)
  })
  scope.stop()
  vi.advanceTimersByTime(10_000)
  expect(work).not.toHaveBeenCalled()
})
