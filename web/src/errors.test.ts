import { createPinia, setActivePinia } from 'pinia'
import { createApp } from 'vue'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { catchUnexpected } from './errors.ts'
import { useNotice } from './stores/notice.ts'

const logged = vi.spyOn(console, 'error').mockImplementation(() => undefined)
const app = createApp({ render: () => null })
catchUnexpected(app)
beforeEach(() => {
  setActivePinia(createPinia())
})
afterEach(() => {
  logged.mockClear()
})

it.each([
  ['a component', () => app.config.errorHandler?.(new Error('no such weld'), null, '')],
  [
    'an event',
    () =>
      window.dispatchEvent(
        Object.assign(new Event('error'), { error: new Error('no such weld'), message: '' }),
      ),
  ],
  [
    'a promise',
    () =>
      window.dispatchEvent(
        Object.assign(new Event('unhandledrejection'), { reason: new Error('no such weld') }),
      ),
  ],
])('an error of %s that nobody caught is shown in words and logged', (_of, break_) => {
  break_()
  expect(useNotice().text).toContain('no such weld')
  expect(useNotice().shown).toBe(true)
  expect(logged).toHaveBeenCalledTimes(1)
})

it('what a browser mends by itself is not told', () => {
  const message = 'ResizeObserver loop completed with undelivered notifications.'
  window.dispatchEvent(Object.assign(new Event('error'), { error: undefined, message }))
  expect(useNotice().shown).toBe(false)
})
