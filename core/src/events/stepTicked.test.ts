import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Ticked, type TickAct, tickRunOf as runOf } from './stepTicked.ts'

const tickRunOf = (events: Parameters<typeof runOf>[0]) => runOf(events, Date.parse)
const at = (minute: number): string => new Date(Date.UTC(2027, 1, 2, 8, 0) + minute * 60_000).toISOString()
const press = (minute: number, act: TickAct, step = '', run = 'run-1234'): { who: string; body: Ticked } => ({
  who: 'Ines',
  body: { run, act, step, pressedAt: at(minute), to: 'bay-2-wire' },
})

describe('a run of steps', () => {
  it('is none before it begins', () => {
    expect(tickRunOf([])).toBeNull()
  })
  it('keeps who ticked what, and the minutes of each by the clock', () => {
    const run = tickRunOf([press(0, 'begin'), press(1, 'tick', 'power-off'), press(4, 'tick', 'roll')])
    expect(run?.done.get('roll')).toEqual({ who: 'Ines', at: at(4) })
    expect([...(run?.minutes ?? [])]).toEqual([
      ['power-off', 1],
      ['roll', 3],
    ])
  })
  it('does not count an interruption', () => {
    const run = tickRunOf([
      press(0, 'begin'),
      press(1, 'tick', 'power-off'),
      press(2, 'pause'),
      press(62, 'resume'),
      press(63, 'tick', 'roll'),
    ])
    expect(run?.minutes.get('roll')).toBe(2)
    expect(run).toMatchObject({ isPaused: false, workedMs: 3 * 60_000, isOver: false })
  })
  it('forgets what was unticked, and is over when it is finished', () => {
    const run = tickRunOf([
      press(0, 'begin'),
      press(1, 'tick', 'roll'),
      press(2, 'untick', 'roll'),
      press(3, 'finish'),
    ])
    expect(run?.done.size).toBe(0)
    expect(run?.isOver).toBe(true)
  })
  it('is over when it was left, and not for a pause', () => {
    expect(tickRunOf([press(0, 'begin'), press(3, 'leave')])?.isOver).toBe(true)
    expect(tickRunOf([press(0, 'begin'), press(3, 'pause')])).toMatchObject({ isOver: false, isPaused: true })
  })
  it('stays paused through what is ticked meanwhile, and goes on when it is taken up', () => {
    const paused = [press(0, 'begin'), press(1, 'pause'), press(5, 'tick', 'roll')]
    expect(tickRunOf(paused)).toMatchObject({ isPaused: true, workedMs: 60_000, lastAt: at(5) })
    expect(tickRunOf([...paused, press(6, 'resume'), press(8, 'tick', 'liner')])).toMatchObject({
      isPaused: false,
      workedMs: 3 * 60_000,
    })
  })
  it('sorts what comes late by when it was pressed', () => {
    const run = tickRunOf([press(0, 'begin'), press(5, 'tick', 'roll'), press(2, 'tick', 'liner')])
    expect([...(run?.minutes ?? [])]).toEqual([
      ['liner', 2],
      ['roll', 3],
    ])
  })
  it('is the one that was begun last', () => {
    const run = tickRunOf([press(0, 'begin'), press(1, 'tick', 'roll'), press(9, 'begin', '', 'run-5678')])
    expect(run).toMatchObject({ run: 'run-5678', isOver: false })
    expect(run?.done.size).toBe(0)
  })
  it('never has negative minutes, whatever comes late and in whatever order', () => {
    const acts = fc.array(
      fc.record({
        minute: fc.integer({ min: 0, max: 600 }),
        act: fc.constantFrom<TickAct>('tick', 'untick', 'pause', 'resume'),
        step: fc.constantFrom('roll', 'liner', 'polarity'),
      }),
      { maxLength: 30 },
    )
    fc.assert(
      fc.property(acts, (pressed) => {
        const run = tickRunOf([
          press(0, 'begin'),
          ...pressed.map(({ minute, act, step }) => press(minute, act, step)),
        ])
        for (const minutes of run?.minutes.values() ?? []) expect(minutes).toBeGreaterThanOrEqual(0)
        expect(run?.workedMs).toBeLessThanOrEqual(600 * 60_000)
      }),
    )
  })
})
