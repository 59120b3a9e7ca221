/** Days of the calendar, by hand: November has 30 days. */
import { describe, expect, it } from 'vitest'
import { isDue } from './dueWithin.ts'

const TODAY = '2026-11-26'

describe('a job is due', () => {
  it.each([
    ['2026-11-25', ['overdue', 'week', 'month']],
    ['2026-11-26', ['week', 'month']],
    ['2026-12-03', ['week', 'month']],
    ['2026-12-04', ['month']],
    ['2026-12-26', ['month']],
    ['2026-12-27', []],
    [null, ['open']],
  ] as const)('%s: %j', (dueOn, within) => {
    const found = (['overdue', 'week', 'month', 'open'] as const).filter((one) => isDue(dueOn, one, TODAY))
    expect(found).toEqual(within)
  })
})
