/** The plan in open formats: iCalendar (RFC 5545) for phones, CSV for sheets. Times are those of the shop's clock. */
import { timeOf, type WeekBlock } from '@brannik/core'
import ical, { ICalCalendarMethod } from 'ical-generator'
import Papa from 'papaparse'

const HUNDRED = 100

/** A time that is the same on every clock: a calendar shows it as it was planned. */
const floating = (minute: number): string => `${timeOf(minute)}:00`

/** @param shopName as the calendar is called */
export function planCalendar(blocks: readonly WeekBlock[], shopName: string): string {
  const calendar = ical({ name: `${shopName}, plan`, method: ICalCalendarMethod.PUBLISH })
  for (const block of blocks) {
    if (!Number.isFinite(block.endMin)) continue
    calendar.createEvent({
      id: `${block.id.replaceAll(' ', '.')}@brannik`,
      start: floating(block.startMin),
      end: floating(block.endMin),
      floating: true,
      summary: block.sharePct === HUNDRED ? block.jobName : `${block.jobName}, part ${block.part}`,
      location: block.setUpName,
      description: [
        block.welderName,
        block.changeMin > 0 ? `change over ${Math.round(block.changeMin)} min first` : '',
        block.dueOn === null ? '' : `due ${block.dueOn}`,
      ]
        .filter(Boolean)
        .join(', '),
    })
  }
  return calendar.toString()
}

export const planCsv = (blocks: readonly WeekBlock[]): string =>
  Papa.unparse(
    blocks.map((block) => ({
      job: block.jobName,
      part: block.part,
      'share %': block.sharePct,
      'set-up': block.setUpName,
      welder: block.welderName,
      starts: timeOf(block.startMin),
      ends: Number.isFinite(block.endMin) ? timeOf(block.endMin) : '',
      'change over min': Math.round(block.changeMin),
      'work min': Math.round(block.workMin),
      due: block.dueOn ?? '',
      pinned: block.isPinned ? 'yes' : 'no',
    })),
  )
