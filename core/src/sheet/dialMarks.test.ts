/** What a dial gives, in one cell: what is printed is read again. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { feedDial, OPEN, voltsDial } from './cells.ts'

describe('marks of a dial in a cell', () => {
  it.each([
    [
      'A = 16.4; B = 18.1',
      [
        { mark: 'A', value: 16.4 },
        { mark: 'B', value: 18.1 },
      ],
    ],
    [
      '1 15.2;2 16',
      [
        { mark: '1', value: 15.2 },
        { mark: '2', value: 16 },
      ],
    ],
    ['60% = 18 V', [{ mark: '60%', value: 18 }]],
    ['', []],
  ])('%s', (text, value) => {
    expect(voltsDial().read(text, OPEN)).toEqual({ ok: true, value })
  })
  it('a wire speed is written in any unit', () => {
    expect(feedDial().read('3 = 100 in/min; 4 = 5 m/min', OPEN)).toEqual({
      ok: true,
      value: [
        { mark: '3', value: 2540 },
        { mark: '4', value: 5000 },
      ],
    })
  })
  it.each(['A', 'A =', '= 3', 'A = x', 'A = 1; B'])('%s is named, with an example', (text) => {
    expect(voltsDial().read(text, OPEN)).toMatchObject({
      ok: false,
      message: expect.stringContaining('Enter for example A = 16.4; B = 18.1') as string,
    })
  })
  it('what is printed is read again', () => {
    const mark = fc.stringMatching(/^[A-Za-z0-9.%/-]{1,12}$/)
    const value = fc.double({ min: 0, max: 1e5, noNaN: true }).map((one) => Number(one.toFixed(3)))
    fc.assert(
      fc.property(fc.array(fc.record({ mark, value }), { maxLength: 8 }), (marks) => {
        for (const dial of [voltsDial(), feedDial()])
          expect(dial.read(dial.print(marks), OPEN)).toEqual({ ok: true, value: marks })
      }),
    )
  })
})
