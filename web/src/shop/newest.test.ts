import fc from 'fast-check'
import { expect, it } from 'vitest'
import { newestLook } from './newest.ts'

it('whatever arrives or fails in whatever order, an answer never gives way to one that was asked for before it', async () => {
  const looks = fc.array(fc.boolean(), { minLength: 1, maxLength: 6 })
  const cases = looks.chain((fails) =>
    fc.tuple(fc.constant(fails), fc.shuffledSubarray([...fails.keys()], { minLength: fails.length })),
  )
  await fc.assert(
    fc.asyncProperty(cases, async ([fails, order]) => {
      const look = newestLook()
      const ends: (() => void)[] = []
      const told: (number | 'failed')[] = []
      const under = fails.map((isFailing, n) =>
        look(
          () =>
            new Promise<number>((resolve, reject) => {
              ends.push(() => {
                if (isFailing) reject(new Error('down'))
                else resolve(n)
              })
            }),
        ).then(
          (answer) => {
            if (answer !== null) told.push(answer)
          },
          () => told.push('failed'),
        ),
      )
      for (const n of order) {
        ends[n]?.()
        await under[n]
      }
      const answers = told.filter((one) => one !== 'failed')
      expect(answers).toEqual([...answers].sort((a, b) => a - b))
      // The last that did not fail is among them, and a failure is told only where nothing newer is shown.
      const good = [...fails.keys()].filter((n) => fails[n] === false)
      expect(answers.at(-1)).toBe(good.at(-1))
      const early = order.filter((n, at) => fails[n] && order.slice(0, at).some((m) => m > n && !fails[m]))
      expect(told.filter((one) => one === 'failed')).toHaveLength(fails.filter(Boolean).length - early.length)
    }),
  )
})
