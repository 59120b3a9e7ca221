/** What people write where a number has one unit only. Common practice, no source. */
import { expect, it } from 'vitest'
import { readPlainNumber } from './plainNumber.ts'

it.each([
  ['60', '%', 60],
  ['60%', '%', 60],
  ['60 percent', '%', 60],
  ['$95', '', 95],
  ['$48/h', 'h', 48],
  ['€ 12.50 per kg', '', 12.5],
  ['-20', '°F', -20],
  ['−20 °F', '°F', -20],
  ['140 amps', 'A', 140],
  ['.5 hr', 'h', 0.5],
  ['1/2', 'h', 0.5],
])('“%s” of %s is %d', (text, unit, value) => {
  expect(readPlainNumber(text, unit, 'en-US')).toBe(value)
})

it.each([
  ['60 A', '%'],
  ['60 %', ''],
  ['', '%'],
  ['sixty', '%'],
  ['$', ''],
  ['$95 A', 'A'],
  ['1,250', ''],
  ['1/0', ''],
])('“%s” of %s is refused, not guessed', (text, unit) => {
  expect(readPlainNumber(text, unit, 'en-US')).toBeNull()
})

it('takes the decimal mark of the country', () => {
  expect(readPlainNumber('12,5 %', '%', 'de-DE')).toBe(12.5)
})
