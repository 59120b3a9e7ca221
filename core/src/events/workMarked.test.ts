/** Work on a run by its marks, as somebody with a watch at the bench would count it. No source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '../testing/runs.ts'
import { type HeardMark, workKey, type WorkMark, workOf } from './workMarked.ts'

const at = (minute: number): string => new Date(Date.UTC(2027, 1, 2, 8, 0) + minute * 60_000).toISOString()
const mark = (minute: number, act: WorkMark['act'], part: Partial<WorkMark> = {}): HeardMark => ({
  subject: 'work.press-frame',
  body: {
    act,
    run: 'once',
    part: 1,
    pressedAt: at(minute),
    setUpId: 'bay-2-wire',
    setUpName: 'Bay 2, wire',
    jobName: 'Press frame',
    welder: 'Ines',
    minutes: null,
    plannedMin: null,
    ...part,
  },
})
const stateOf = (...marks: readonly HeardMark[]) => workOf(marks, Date.parse).get('press-frame once 1')
const MIN = 60_000

describe('a run at work', () => {
  it('is named by its job, its run and its part', () => {
    expect(workKey('press-frame', 'once', 2)).toBe('press-frame once 2')
    const states = workOf([mark(0, 'start'), mark(1, 'start', { part: 2 })], Date.parse)
    expect([...states.keys()]).toEqual(['press-frame once 1', 'press-frame once 2'])
    expect(states.get('press-frame once 2')).toEqual({
      jobId: 'press-frame',
      run: 'once',
      part: 2,
      state: 'running',
      setUpId: 'bay-2-wire',
      setUpName: 'Bay 2, wire',
      jobName: 'Press frame',
      welder: 'Ines',
      startedAt: at(1),
      lastAt: at(1),
      workedMs: 0,
      minutes: null,
      plannedMin: null,
    })
  })

  it('counts what lies between start and pause, and nothing of the pause', () => {
    const marks = [mark(0, 'start'), mark(20, 'pause'), mark(80, 'start')]
    expect(stateOf(...marks)).toMatchObject({ state: 'running', workedMs: 20 * MIN, startedAt: at(0) })
    expect(stateOf(...marks, mark(95, 'pause'))).toMatchObject({
      state: 'paused',
      workedMs: 35 * MIN,
      startedAt: at(0),
      lastAt: at(95),
    })
  })

  it('counts up to when it is done, with the minutes that somebody typed beside', () => {
    const done = stateOf(mark(0, 'start'), mark(30, 'done', { minutes: 28 }))
    expect(done).toMatchObject({ state: 'done', workedMs: 30 * MIN, minutes: 28 })
    // Typed on another mark they are none.
    expect(stateOf(mark(0, 'start', { minutes: 28 }))?.minutes).toBeNull()
  })

  it('is taken up again where it was reopened, and begins anew where it is started again', () => {
    const done = [mark(0, 'start'), mark(30, 'done')]
    expect(stateOf(...done, mark(40, 'reopen'))).toMatchObject({ state: 'paused', workedMs: 30 * MIN })
    const resumed = stateOf(...done, mark(40, 'reopen'), mark(50, 'start'), mark(55, 'pause'))
    expect(resumed).toMatchObject({ workedMs: 35 * MIN, startedAt: at(0) })
    const again = stateOf(...done, mark(60, 'start'), mark(70, 'pause'))
    expect(again).toMatchObject({ workedMs: 10 * MIN, startedAt: at(60) })
  })

  it('keeps what was planned from the mark that said it', () => {
    const planned = mark(0, 'start', { plannedMin: 45 })
    expect(stateOf(planned, mark(9, 'pause'))?.plannedMin).toBe(45)
    expect(stateOf(planned, mark(9, 'pause', { plannedMin: 50 }))?.plannedMin).toBe(50)
    expect(stateOf(mark(0, 'start', { plannedMin: 0 }), mark(9, 'pause'))?.plannedMin).toBe(0)
    expect(stateOf(mark(0, 'start'), mark(9, 'pause'))?.plannedMin).toBeNull()
  })

  it('says of the last press who, with what, and of which name', () => {
    const last = { welder: null, setUpId: 'bay-1-tig', setUpName: 'Bay 1, TIG', jobName: 'Frame' }
    expect(stateOf(mark(0, 'start'), mark(5, 'pause', last))).toMatchObject(last)
  })

  it('is the same in whatever order its marks come', () => {
    const acts = fc.uniqueArray(
      fc.record({
        minute: fc.integer({ min: 0, max: 600 }),
        act: fc.constantFrom<WorkMark['act']>('start', 'pause', 'done', 'reopen'),
      }),
      { selector: ({ minute }) => minute, maxLength: 12 },
    )
    fc.assert(
      fc.property(acts, fc.nat(), (pressed, seed) => {
        const marks = pressed.map(({ minute, act }) => mark(minute, act))
        const turned = [
          ...marks.slice(seed % (marks.length + 1)),
          ...marks.slice(0, seed % (marks.length + 1)),
        ]
        expect(stateOf(...turned.toReversed())).toEqual(stateOf(...marks))
        // Nobody works longer than from the first press to the last.
        const minutes = pressed.map(({ minute }) => minute)
        const span = minutes.length === 0 ? 0 : Math.max(...minutes) - Math.min(...minutes)
        expect(stateOf(...marks)?.workedMs ?? 0).toBeLessThanOrEqual(span * MIN)
      }),
      { numRuns: runs(100) },
    )
  })
})
