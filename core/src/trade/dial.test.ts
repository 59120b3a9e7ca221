/** Taps and dials, by what a shop has measured. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dialSettingOf } from './dial.ts'

const taps = [14.6, 15.8, 17, 18.3].map((value, index) => ({ mark: 'ABCD'.charAt(index), value }))
const percent = [
  { mark: '20%', value: 2000 },
  { mark: '60%', value: 6000 },
  { mark: '100%', value: 8000 },
]

describe('a tap', () => {
  it.each([
    [17.1, 'C', 17, false],
    [16.3, 'B', 15.8, false],
    [16.5, 'C', 17, false],
    [25, 'D', 18.3, true],
    [10, 'A', 14.6, true],
  ])('for %f V is the nearest: %s', (wanted, mark, gives, isBeyond) => {
    expect(dialSettingOf(taps, wanted, true)).toEqual({ mark, gives, isBeyond })
  })
  it('with figures for marks is never between two', () => {
    expect(dialSettingOf(percent, 4000, true)?.mark).toBe('20%')
  })
})

describe('a dial', () => {
  it.each([
    [4000, '40%'],
    [7000, '80%'],
    [2000, '20%'],
    [8000, '100%'],
  ])('for %f is turned to %s', (wanted, mark) => {
    expect(dialSettingOf(percent, wanted, false)).toMatchObject({ mark, gives: wanted, isBeyond: false })
  })
  it.each([
    // Half way between two marks of figures; a mark that is more than a figure is a name, and only it can be set.
    [['2', '4'], '3'],
    [['2,5', '4,5'], '3.5'],
    [['2.25', '4.75'], '3.5'],
    [['2a', '4a'], '2a'],
    [['a2', 'a4'], 'a2'],
    [['2.', '4.'], '2.'],
    [['2/3', '4/5'], '2/3'],
    [['2.x', '4.x'], '2.x'],
  ])('marked %j stands at %s', ([low = '', high = ''], mark) => {
    const marks = [
      { mark: low, value: 100 },
      { mark: high, value: 200 },
    ]
    expect(dialSettingOf(marks, 150, false)?.mark).toBe(mark)
  })
  it('with letters is turned to the nearest', () => {
    expect(dialSettingOf(taps, 16.3, false)).toEqual({ mark: 'B', gives: 15.8, isBeyond: false })
  })
  it('of which nobody measured anything says nothing', () => {
    expect(dialSettingOf([], 18, false)).toBeNull()
  })
  it('that was measured twice alike gives that mark', () => {
    expect(
      dialSettingOf(
        [
          { mark: '1', value: 5 },
          { mark: '2', value: 5 },
        ],
        5,
        false,
      )?.mark,
    ).toBe('1')
  })
  it('lies between its neighbours, in whatever order they were written down', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(percent, { minLength: 3 }),
        fc.double({ min: 2000, max: 8000, noNaN: true }),
        (marks, wanted) => {
          const place = Number(dialSettingOf(marks, wanted, false)?.mark.replace('%', ''))
          const exact = wanted < 6000 ? wanted / 100 : 60 + ((wanted - 6000) * 40) / 2000
          expect(Math.abs(place - exact)).toBeLessThanOrEqual(0.5 + 1e-9)
        },
      ),
    )
  })
})
