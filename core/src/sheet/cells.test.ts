/** Numbers in the cells of open files, as spreadsheets of any country write them: none is taken for another. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '../testing/runs.ts'
import { measure, number, OPEN } from './cells.ts'

const read = (text: string): unknown => {
  const found = number().read(text, OPEN)
  return found.ok ? found.value : found.message
}
const grams = (text: string): unknown => {
  const found = measure('mass').read(text, OPEN)
  return found.ok ? found.value : found.message
}

describe('a number in a cell', () => {
  it.each([
    ['4989.5', 4989.5],
    ['4989,5', 4989.5],
    ['453,6', 453.6],
    ['0,5', 0.5],
    ['-3,25', -3.25],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1 234,5', 1234.5],
    ['1\u202f234,5', 1234.5],
    ['1,234,567', 1_234_567],
    ['1.234.567', 1_234_567],
    ['12,3456', 12.3456],
    ['1e3', 1000],
    ['40', 40],
  ])('%s is %f', (text, value) => expect(read(text)).toBe(value))
  it.each(['1,500', '-12,345', '999,999'])(
    '%s could be one or the other: both are named, neither is taken',
    (text) => {
      expect(read(text)).toContain(`could be ${text.replace(',', '')} or ${text.replace(',', '.')}`)
    },
  )
  it.each(['', 'four', '1,2,3', '1..2', '12,34,56', '1.2345.678', ',', '1,', '.,5'])(
    '“%s” is none',
    (text) => {
      expect(typeof read(text)).toBe('string')
    },
  )
  it('what is printed with a point or a comma is read back the same (property)', () => {
    const cents = fc.integer({ min: -9_999_999, max: 9_999_999 })
    fc.assert(
      fc.property(cents, (value) => {
        const written = (value / 100).toFixed(2)
        expect(read(written)).toBe(value / 100)
        expect(read(written.replace('.', ','))).toBe(value / 100)
      }),
      { numRuns: runs(200) },
    )
  })
})

describe('a measure in a cell', () => {
  it('is in the unit of its column, with a comma as with a point: 4989,5 g are no 4989.5 kg', () => {
    expect([grams('4989.5'), grams('4989,5'), grams('453,6')]).toEqual([4989.5, 4989.5, 453.6])
    expect(grams('1,500')).toContain('could be 1500 or 1.500')
  })
  it('may carry a unit of its own', () => {
    expect(grams('11 lb')).toBeCloseTo(4989.5, 0)
    expect(grams('4,5 kg')).toBe(4500)
    expect(typeof grams('heavy')).toBe('string')
  })
})
