/** Looks one after the other: never two at once, and one after the last call. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { inTurn } from './inTurn.ts'

it('looks once at a time, and once more after the last call', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.constantFrom('call', 'answer'), { maxLength: 20 }), async (steps) => {
      const answers: (() => void)[] = []
      let [calls, seen, atOnce, most] = [0, -1, 0, 0]
      const look = inTurn(async () => {
        seen = calls
        atOnce += 1
        most = Math.max(most, atOnce)
        await new Promise<void>((resolve) => answers.push(resolve))
        atOnce -= 1
      })
      const answer = async (): Promise<void> => {
        answers.shift()?.()
        await new Promise((resolve) => setImmediate(resolve))
      }
      for (const step of steps)
        if (step === 'answer') await answer()
        else {
          calls += 1
          look()
        }
      while (answers.length > 0) await answer()
      expect(most).toBeLessThanOrEqual(1)
      // The last look began after the last call, and none without one.
      expect(seen).toBe(calls === 0 ? -1 : calls)
      expect(atOnce).toBe(0)
    }),
    { numRuns: 100 },
  )
})

it('does not look again where nothing was called meanwhile', async () => {
  let looks = 0
  const look = inTurn(() => {
    looks += 1
    return Promise.resolve()
  })
  look()
  look()
  look()
  await new Promise((resolve) => setImmediate(resolve))
  expect(looks).toBe(2)
  look()
  await new Promise((resolve) => setImmediate(resolve))
  expect(looks).toBe(3)
})
