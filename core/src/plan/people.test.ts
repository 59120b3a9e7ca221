/** Hours, days and what a run takes: facts of the calendar; the rest common practice, no source. */
import { describe, expect, it } from 'vitest'
import { type HeardMark, type WorkMark, workOf } from '../events/workMarked.ts'
import { assumptionsOf } from '../assumptions/assume.ts'
import { dayNumber } from '../model/days.ts'
import { demoShop } from '../testing/samples.ts'
import { paceOf } from './minutes.ts'
import { mayWeld, usualWelder, worksOf } from './people.ts'
import { dueDaysOf } from './runs.ts'
import { dayOf, endOfDay, minuteOf, timeOf } from './shopTime.ts'

const { welders, shop } = demoShop()
const [rowan, hazel] = welders
if (!rowan || !hazel) throw new Error('the demo has two welders')

describe('hours', () => {
  it('are on the days of the week that he works', () => {
    // 1 February 2027 is a Monday.
    const week = worksOf(hazel, dayNumber('2027-02-01'), 7)
    expect(week.map(({ startMin }) => dayOf(startMin))).toEqual(
      ['2027-02-01', '2027-02-02', '2027-02-03', '2027-02-04'].flatMap((day) => [day, day]),
    )
    expect(week.slice(0, 2).map(({ startMin, endMin }) => [timeOf(startMin), timeOf(endMin)])).toEqual([
      ['2027-02-01T08:00', '2027-02-01T12:00'],
      ['2027-02-01T12:30', '2027-02-01T16:30'],
    ])
  })

  it('overtime comes at the end of the day, and no hours while he is away', () => {
    const long = worksOf(rowan, dayNumber('2027-02-01'), 1, 120)
    expect(long.map(({ endMin }) => timeOf(endMin)).at(-1)).toBe('2027-02-01T17:30')
    const away = { ...rowan, awayFrom: '2027-02-02', awayUntil: '2027-02-03' }
    const days = new Set(worksOf(away, dayNumber('2027-02-01'), 5).map(({ startMin }) => dayOf(startMin)))
    expect([...days]).toEqual(['2027-02-01', '2027-02-04', '2027-02-05'])
    const oneDay = worksOf({ ...rowan, awayFrom: '2027-02-02' }, dayNumber('2027-02-02'), 1)
    expect(oneDay).toEqual([])
  })

  it('a shop without a list of welders has its own hours, five days a week', () => {
    const week = worksOf(usualWelder(assumptionsOf(shop)), dayNumber('2027-02-01'), 7)
    expect(week.reduce((sum, { startMin, endMin }) => sum + endMin - startMin, 0)).toBe(5 * 8 * 60)
  })
})

it('nobody welds what he may not', () => {
  expect(mayWeld(hazel, { quality: 'ordinary' }, 'gtaw')).toBe(false)
  expect(mayWeld(hazel, { quality: 'structural' }, 'gmaw')).toBe(true)
  const helper = { ...hazel, approved: false }
  expect(mayWeld(helper, { quality: 'structural' }, 'gmaw')).toBe(false)
  expect(mayWeld(helper, { quality: 'ordinary' }, 'gmaw')).toBe(true)
})

describe('runs in a year', () => {
  it('twelve a year are about a month apart', () => {
    const days = dueDaysOf({ dueOn: '2027-01-15', timesPerYear: 12 }, '2027-04-20')
    expect(days).toEqual(['2027-01-15', '2027-02-14', '2027-03-17', '2027-04-16'])
  })
  it('a job without a day, and one that comes once, has one run', () => {
    expect(dueDaysOf({ dueOn: null, timesPerYear: 12 }, '2027-12-31')).toEqual([null])
    expect(dueDaysOf({ dueOn: '2027-01-15', timesPerYear: 1 }, '2028-12-31')).toEqual(['2027-01-15'])
    expect(dueDaysOf({ dueOn: '2027-05-15', timesPerYear: 52 }, '2027-01-31')).toEqual(['2027-05-15'])
  })
})

it('times of the shop are read and printed alike', () => {
  expect(timeOf(minuteOf('2028-02-29T23:59'))).toBe('2028-02-29T23:59')
  expect(endOfDay('2027-03-31')).toBe(minuteOf('2027-04-01T00:00'))
})

const body = (part: Partial<WorkMark> & Pick<WorkMark, 'act' | 'pressedAt'>): WorkMark => ({
  run: 'once',
  part: 1,
  setUpId: 'bay-2-wire',
  setUpName: 'Bay 2 wire',
  jobName: 'Press frame',
  welder: 'Rowan',
  minutes: null,
  plannedMin: 100,
  ...part,
})
const heard = (part: Parameters<typeof body>[0]): HeardMark => ({
  subject: 'work.press-frame',
  body: body(part),
})

describe('marks of work', () => {
  it('pauses are not worked, whatever the order in which the presses come', () => {
    const marks = [
      heard({ act: 'start', pressedAt: '2027-02-01T12:00:00Z' }),
      heard({ act: 'pause', pressedAt: '2027-02-01T12:30:00Z' }),
      heard({ act: 'start', pressedAt: '2027-02-01T13:00:00Z' }),
      heard({ act: 'done', pressedAt: '2027-02-01T14:00:00Z', minutes: 92 }),
    ]
    const expected = { state: 'done', workedMs: 90 * 60_000, minutes: 92, startedAt: '2027-02-01T12:00:00Z' }
    expect(workOf(marks, Date.parse).get('press-frame once 1')).toMatchObject(expected)
    expect(workOf(marks.toReversed(), Date.parse).get('press-frame once 1')).toMatchObject(expected)
    const running = workOf(marks.slice(0, 3), Date.parse).get('press-frame once 1')
    expect(running).toMatchObject({ state: 'running', workedMs: 30 * 60_000, minutes: null })
    const anew = heard({ act: 'start', pressedAt: '2027-03-01T15:00:00Z' })
    expect(workOf([...marks, anew], Date.parse).get('press-frame once 1')).toMatchObject({
      state: 'running',
      workedMs: 0,
      startedAt: '2027-03-01T15:00:00Z',
    })
    const again = heard({ act: 'reopen', pressedAt: '2027-02-01T15:00:00Z' })
    expect(workOf([...marks, again], Date.parse).get('press-frame once 1')?.state).toBe('paused')
  })
})

describe('pace', () => {
  const done = (minutes: number, run: string) =>
    workOf([heard({ act: 'done', pressedAt: '2027-02-01T14:00:00Z', run, minutes })], Date.parse).values()
  const several = (...minutes: number[]) => minutes.flatMap((one, at) => [...done(one, `2027-01-${10 + at}`)])

  it('one run draws the plan a third of the way, many go nearly all of it', () => {
    expect(paceOf(several(130), 'press-frame')).toEqual({ times: 1.1, runs: 1 })
    const many = paceOf(several(...Array.from({ length: 18 }, () => 130)), 'press-frame')
    expect(many.times).toBeCloseTo(1.27, 2)
    expect(paceOf(several(130), 'pressing-tray')).toEqual({ times: 1, runs: 0 })
  })
  it('the middle run counts, and a slip of the keys does not', () => {
    expect(paceOf(several(100, 110, 300), 'press-frame').times).toBeCloseTo(1 + 0.1 * (3 / 5), 9)
    expect(paceOf(several(100, 120), 'press-frame').times).toBeCloseTo(1.05, 9)
    expect(paceOf(several(9000), 'press-frame')).toEqual({ times: 1, runs: 0 })
  })
})
