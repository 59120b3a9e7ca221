/** The plan on screen and in files: iCalendar is read back by another library (RFC 5545). */
import { minuteOf, planNow, timeOf, Ways } from '@brannik/core'
import fc from 'fast-check'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { readMoment } from '../../components/dates.ts'
import { shopDocument } from '../../testing/demo.ts'
import { planCalendar, planCsv } from './planFiles.ts'
import { durationText } from './planWords.ts'
import { segmentsOf, timelineOf } from './timeline.ts'

const { shop, setUps, jobs, welders } = shopDocument
const { blocks } = planNow(new Ways({ shop, shelf: shopDocument, setUps }), {
  jobs,
  welders,
  blocks: [],
  work: new Map(),
  nowMin: minuteOf('2027-02-01T07:00'),
}).week

describe('files', () => {
  it('a calendar has each block at the time of the shop’s clock', () => {
    const calendar = new ICAL.Component(ICAL.parse(planCalendar(blocks, 'Tollgate; Orchard, Works')) as never)
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
    expect(events.map(({ summary }) => summary)).toEqual(blocks.map(({ jobName }) => jobName))
    events.forEach((event, at) => {
      const block = blocks[at]
      if (!block) throw new Error('more events than blocks')
      expect(event.startDate.toString()).toBe(`${timeOf(block.startMin)}:00`)
      expect(event.endDate.toString()).toBe(`${timeOf(block.endMin)}:00`)
      // No zone: every phone shows it as it was planned.
      expect(event.startDate.zone.tzid).toBe('floating')
      expect(event.location).toBe(block.setUpName)
    })
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(blocks.length)
    expect(calendar.getFirstPropertyValue('x-wr-calname')).toContain('Tollgate')
  })

  it('a sheet has a row a block', () => {
    const { data } = Papa.parse<Record<string, string>>(planCsv(blocks), { header: true })
    expect(data.map(({ job }) => job)).toEqual(blocks.map(({ jobName }) => jobName))
    expect(data[0]).toMatchObject({ starts: '2027-02-01T07:00', welder: 'Rowan', pinned: 'no' })
  })
})

describe('the timeline', () => {
  const monday = Math.floor(minuteOf('2027-02-01T00:00') / 1440)
  const line = timelineOf(monday, 5, 420, 930, (day) => (day + 3) % 7 < 5)

  it('leaves out nights and weekends', () => {
    expect(line.days.map(({ day }) => day - monday)).toEqual([0, 1, 2, 3, 4])
    expect(
      timelineOf(monday + 4, 2, 420, 930, (day) => (day + 3) % 7 < 5).days.map(({ day }) => day - monday),
    ).toEqual([4, 7])
    expect(line.at(minuteOf('2027-02-01T07:00'))).toBe(0)
    expect(line.at(minuteOf('2027-02-02T07:00'))).toBeCloseTo(0.2, 9)
    // Over night: the end of the day, or the beginning of the next.
    expect(line.at(minuteOf('2027-02-01T20:00'))).toBeCloseTo(0.2, 9)
    expect(line.at(minuteOf('2027-03-01T07:00'))).toBe(1)
  })

  it('the minute under the pointer is the one that is drawn there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 0, max: 33 }), (day, quarter) => {
        const minute = (monday + day) * 1440 + 420 + quarter * 15
        expect(line.minuteAt(line.at(minute), 15)).toBe(minute)
      }),
    )
  })

  it('a block over night is seen on both days', () => {
    const parts = segmentsOf(line, minuteOf('2027-02-01T14:00'), minuteOf('2027-02-02T08:00'))
    expect(parts).toHaveLength(2)
    expect(parts[0]?.left).toBeCloseTo(0.2 * (420 / 510), 9)
    expect(parts[1]?.left).toBeCloseTo(0.2, 9)
    expect(parts[1]?.width).toBeCloseTo(0.2 * (60 / 510), 9)
    expect(segmentsOf(line, minuteOf('2027-02-01T20:00'), minuteOf('2027-02-01T22:00'))).toEqual([])
  })
})

it('a moment is typed as it is said', () => {
  const from = new Date(2027, 1, 1)
  expect(readMoment('Thu 9:40', 'en-US', from)).toBe('2027-02-04T09:40')
  expect(readMoment('2:15 pm', 'en-US', from)).toBe('2027-02-01T14:15')
  expect(readMoment('next Friday', 'en-US', from)).toBe(null)
  expect(readMoment('soon', 'en-US', from)).toBe(null)
})

it('durations are said in hours and minutes', () => {
  expect([0, 59.6, 60, 80].map(durationText)).toEqual(['0 min', '1 h', '1 h', '1 h 20 min'])
})
