import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type Settled, settledOf } from './lessonSettled.ts'

const settled = fc.record({
  subject: fc.constantFrom('lesson.time.gmaw-short', 'lesson.breaker.bay-2.quillon-210'),
  at: fc.integer({ min: 0, max: 1e6 }).map((second) => new Date(second * 1000).toISOString()),
  body: fc.record({
    choice: fc.constantFrom<Settled['choice']>('taken', 'left'),
    evidence: fc.integer({ min: 1, max: 90 }),
    value: fc.option(fc.double({ noNaN: true })),
  }),
})

it('of a lesson stands what was decided last, by its name', () => {
  fc.assert(
    fc.property(fc.array(settled, { maxLength: 12 }), (events) => {
      const found = settledOf(events)
      for (const subject of new Set(events.map((one) => one.subject))) {
        const last = events.findLast((one) => one.subject === subject)
        expect(found.get(subject.replace('lesson.', ''))).toEqual({ ...last?.body, at: last?.at })
      }
      expect(found.size).toBe(new Set(events.map((one) => one.subject)).size)
    }),
  )
})
