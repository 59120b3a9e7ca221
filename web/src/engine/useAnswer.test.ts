/** Answers that come at once and answers that come later: what stands in the end is of the shop as it is now. */
import fc from 'fast-check'
import { effectScope, nextTick, shallowRef } from 'vue'
import { expect, it } from 'vitest'
import { demoWorkspace } from '../testing/demo.ts'
import type { Snapshot } from './snapshot.ts'
import { type Question, useAnswer } from './useAnswer.ts'

/** The answer to a question of such a shop, as far as the test looks at it. */
const answerOf = ({ jobs }: Snapshot) => jobs.map(({ quantity }) => quantity).join() as never

it('whatever is answered at once and whatever later, the last answer is of the shop as it is now', async () => {
  const step = fc.oneof(
    fc.record({ edit: fc.integer({ min: 1, max: 9 }), atOnce: fc.boolean() }),
    fc.constant('arrives' as const),
  )
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 12 }), async (steps) => {
      const { workspace } = await demoWorkspace()
      const waiting: (() => void)[] = []
      let isAtOnce = false
      const by = {
        ask: (of: Snapshot) =>
          new Promise<never>((resolve) => {
            waiting.push(() => {
              resolve(answerOf(of))
            })
          }),
        atOnce: (of: Snapshot) => (isAtOnce ? { answer: answerOf(of) } : null),
      }
      const scope = effectScope()
      const question = shallowRef<Question<'fit'> | null>(['fit', 'press-frame', {}])
      const { answer } = scope.run(() => useAnswer(question, { by })) ?? { answer: null }
      const arrive = async (): Promise<void> => {
        waiting.shift()?.()
        await nextTick()
      }
      for (const one of steps)
        if (one === 'arrives') await arrive()
        else {
          isAtOnce = one.atOnce
          const [job] = workspace.jobs
          if (job) workspace.edit('jobs', job.id, { ...job, quantity: one.edit }, 'pieces')
          await nextTick()
          // Where nothing is under way it is there before the next frame.
          if (isAtOnce && waiting.length === 0) expect(answer?.value).toBe(answerOf(workspace.snapshot))
        }
      while (waiting.length > 0) await arrive()
      expect(answer?.value).toBe(answerOf(workspace.snapshot))
      scope.stop()
    }),
    { numRuns: 40 },
  )
})
