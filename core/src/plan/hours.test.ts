/** Working hours against counting minutes one by one. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { countedMin } from '../testing/planChecker.ts'
import { workWeeks } from '../testing/planGenerator.ts'
import { Hours } from './hours.ts'

const works = workWeeks(9)
const from = works[0]?.startMin ?? 0
const last = works.at(-1)?.endMin ?? 0

it('the end of a task has as many minutes of work before it as the task takes', () => {
  const hours = new Hours(works)
  fc.assert(
    fc.property(fc.integer({ min: -500, max: 7000 }), fc.integer({ min: 1, max: 900 }), (at, minutes) => {
      const start = hours.next(from + at)
      const end = hours.end(start, minutes)
      if (end === Infinity) {
        expect(countedMin(works, start === Infinity ? last : start, last)).toBeLessThan(minutes)
        return
      }
      expect(countedMin(works, start, end)).toBe(minutes)
      expect(countedMin(works, end - 1, end)).toBe(1)
      expect(hours.worked(end) - hours.worked(start)).toBe(minutes)
    }),
    { numRuns: 200 },
  )
})

it('the first minute of work is the next one within hours', () => {
  const hours = new Hours(works)
  expect(hours.next(from - 300)).toBe(from)
  // 11:30 to 12:00 is the break.
  expect(hours.next(from + 275)).toBe(from + 300)
  expect(hours.next(from + 10)).toBe(from + 10)
  expect(hours.next(last)).toBe(Infinity)
  expect(hours.worked(from)).toBe(0)
  expect(hours.worked(last + 1)).toBe(countedMin(works, from, last))
})
