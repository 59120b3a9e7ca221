/** Jobs by when they are due. */
import { addDays, addMonths, formatISO, parseISO } from 'date-fns'

export const DUE_CHOICES = [
  ['overdue', 'overdue'],
  ['week', 'due within a week'],
  ['month', 'due within a month'],
  ['open', 'without a date'],
] as const
export type DueWithin = (typeof DUE_CHOICES)[number][0]

/** As the calendar on the wall has it, not Greenwich’s. */
export const dayToday = (): string => formatISO(new Date(), { representation: 'date' })

/**
 * What is overdue is due within a week too: it is not done.
 * @param dueOn `2026-12-03`; null where there is no date
 * @param today the same
 * @example isDue('2026-12-03', 'week', '2026-11-30') // true
 */
export function isDue(dueOn: string | null, within: DueWithin, today: string): boolean {
  if (within === 'open') return dueOn === null
  if (dueOn === null) return false
  if (within === 'overdue') return dueOn < today
  const now = parseISO(today)
  const last = within === 'week' ? addDays(now, 7) : addMonths(now, 1)
  return dueOn <= formatISO(last, { representation: 'date' })
}
