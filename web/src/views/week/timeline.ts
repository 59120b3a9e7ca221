/** A timeline of working days without the nights: where a minute is drawn, and which parts of a block are seen. */
import { DAY_MIN } from '@brannik/core'
import { scaleLinear } from 'd3'

export interface DayColumn {
  /** Since 1 January 1970. */
  readonly day: number
  readonly fromMin: number
  readonly untilMin: number
}

export interface Timeline {
  readonly days: readonly DayColumn[]
  /** Share of the width from the left, 0 to 1; what is in the night is at the end of its day. */
  readonly at: (minute: number) => number
  /** The minute at a share of the width, in steps. */
  readonly minuteAt: (share: number, stepMin: number) => number
}

/**
 * @param opensMin of the day, when the first begins
 * @param closesMin of the day, when the last ends
 */
export function timelineOf(
  fromDay: number,
  count: number,
  opensMin: number,
  closesMin: number,
  isOpen: (day: number) => boolean,
): Timeline {
  const days: DayColumn[] = []
  for (let day = fromDay; days.length < count && day < fromDay + 60; day += 1)
    if (isOpen(day))
      days.push({ day, fromMin: day * DAY_MIN + opensMin, untilMin: day * DAY_MIN + closesMin })
  const scales = days.map(({ fromMin, untilMin }, index) =>
    scaleLinear([fromMin, untilMin], [index / days.length, (index + 1) / days.length]).clamp(true),
  )
  return {
    days,
    at(minute) {
      const index = days.findIndex(({ untilMin }) => minute <= untilMin)
      return index < 0 ? 1 : (scales[index]?.(minute) ?? 1)
    },
    minuteAt(share, stepMin) {
      const index = Math.max(0, Math.min(days.length - 1, Math.floor(share * days.length)))
      const minute = scales[index]?.invert(share) ?? 0
      return Math.round(minute / stepMin) * stepMin
    },
  }
}

export interface Segment {
  /** Shares of the width. */
  readonly left: number
  readonly width: number
}
/** @returns the parts of a stretch that are seen, one a day */
export const segmentsOf = ({ days, at }: Timeline, startMin: number, endMin: number): readonly Segment[] =>
  days.flatMap(({ fromMin, untilMin }) => {
    const [from, until] = [Math.max(fromMin, startMin), Math.min(untilMin, endMin)]
    return until > from ? [{ left: at(from), width: at(until) - at(from) }] : []
  })
