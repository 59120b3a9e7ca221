/** When welders work, and what they may weld. */
import type { Assumptions } from '../assumptions/assume.ts'
import type { Job } from '../kinds/job.ts'
import { type Welder, WEEKDAYS } from '../kinds/welder.ts'
import { dayOfNumber } from '../model/days.ts'
import type { ProcessFamily } from '../model/process.ts'
import { QUALITY } from '../model/quality.ts'
import type { Interval } from './problem.ts'
import { clockMin, DAY_MIN } from './shopTime.ts'

/** 1 January 1970 was a Thursday. */
const THURSDAY = 3
const HOUR_MIN = 60
const STARTS = '07:00'

/** @param day since 1 January 1970 */
export const weekdayOf = (day: number): (typeof WEEKDAYS)[number] =>
  WEEKDAYS[(day + THURSDAY) % 7] ?? 'monday'

/** A shop without a list of welders has one, with the hours of the shop. */
export const SOMEBODY = 'somebody'
export function usualWelder({ shiftHours }: Assumptions): Welder {
  const endMin = Math.min(DAY_MIN - 1, Math.round(clockMin(STARTS) + shiftHours * HOUR_MIN))
  const clock = `${String(Math.floor(endMin / HOUR_MIN)).padStart(2, '0')}:${String(endMin % HOUR_MIN).padStart(2, '0')}`
  return {
    id: SOMEBODY,
    name: 'Welder',
    gmaw: true,
    fcaw: true,
    gtaw: true,
    smaw: true,
    approved: true,
    startsAt: STARTS,
    endsAt: clock,
    breakMin: 0,
    monday: true,
    tuesday: true,
    wednesday: true,
    thursday: true,
    friday: true,
    saturday: false,
    sunday: false,
    awayFrom: null,
    awayUntil: null,
  }
}

/**
 * @param overtimeMin so much longer each day
 * @returns his hours from a day on, in order
 * @example worksOf(welder, 20_000, 7).length // 10: five days with a break
 */
export function worksOf(welder: Welder, fromDay: number, days: number, overtimeMin = 0): readonly Interval[] {
  const { startsAt, endsAt, breakMin, awayFrom, awayUntil } = welder
  const [from, to] = [clockMin(startsAt), Math.min(DAY_MIN, clockMin(endsAt) + overtimeMin)]
  const middle = (clockMin(startsAt) + clockMin(endsAt)) / 2
  const pause = Math.min(breakMin, clockMin(endsAt) - clockMin(startsAt))
  const halves: readonly (readonly [number, number])[] =
    pause === 0
      ? [[from, to]]
      : [
          [from, middle - pause / 2],
          [middle + pause / 2, to],
        ]
  return Array.from({ length: days }, (_, at) => fromDay + at).flatMap((day) => {
    if (!welder[weekdayOf(day)]) return []
    const iso = dayOfNumber(day)
    if (awayFrom !== null && iso >= awayFrom && iso <= (awayUntil ?? awayFrom)) return []
    return halves
      .filter(([start, end]) => end > start)
      .map(([start, end]) => ({ startMin: day * DAY_MIN + start, endMin: day * DAY_MIN + end }))
  })
}

/** @returns whether he may weld this job by this process */
export const mayWeld = (welder: Welder, { quality }: Pick<Job, 'quality'>, family: ProcessFamily): boolean =>
  welder[family] && (welder.approved || !QUALITY[quality].isApproved)
