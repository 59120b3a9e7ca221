/** The shortest pause, beside trying every second. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { shortestPauseS } from './shortestPause.ts'

it('is the first whole second that is enough, as trying each of them finds it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -5, max: 120, noNaN: true }),
      fc.integer({ min: 1, max: 100 }),
      (from, longest) => {
        const isEnough = (pauseS: number): boolean => pauseS >= from
        const tried = Array.from({ length: longest + 1 }, (_, second) => second).find(isEnough) ?? null
        expect(shortestPauseS(isEnough, longest)).toBe(tried)
      },
    ),
  )
})

it('asks no more often than halving does', () => {
  let asked = 0
  shortestPauseS((pauseS) => {
    asked += 1
    return pauseS >= 1234
  }, 3600)
  expect(asked).toBeLessThanOrEqual(14)
})
