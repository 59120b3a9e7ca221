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
  ['1 1/2', 'h', 1.5],
  ['95 €', '', 95],
  ['12.50 EUR', '', 12.5],
  ['$1,200', '', 1200],
  ['$1,200.50', '', 1200.5],
  ['1.250,00', '', 1250],
  ['1,250.00', '', 1250],
  ['1 250,5 €', '', 1250.5],
  ['£1.250.000', '', 1_250_000],
  ['50 A breaker', 'A', 50],
  ['20A circuit', 'A', 20],
  ['240 V outlet', 'V', 240],
  ['30% duty cycle', '%', 30],
  ['2 pcs', '', 2],
  ['12 ea.', '', 12],
  ['1:30', 'h', 1.5],
  ['1:30', 'min', 1.5],
  ['1:30', 's', 90],
  ['1 h 30 min', 'h', 1.5],
  ['1h30', 'min', 90],
  ['2 min 15 s', 's', 135],
  ['90 min', 'h', 1.5],
  ['1.5 h', 'min', 90],
  ['104 F', '°C', 40],
  ['40 C', '°F', 104],
  ['1/8 in', 'mm', 3.175],
  ['1.2 kW', 'W', 1200],
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
  ['400/230', 'A'],
  ['230/400', 'V'],
  ['5/4', 'h'],
  ['1/7', 'h'],
  ['$1,20,00', ''],
  ['1:75', 'h'],
  ['1:30', 'A'],
  ['1 h 75 min', 'h'],
  ['50 A toaster', 'A'],
  ['breaker', 'A'],
  ['1.250.00', ''],
])('“%s” of %s is refused, not guessed', (text, unit) => {
  expect(readPlainNumber(text, unit, 'en-US')).toBeNull()
})

it('takes the decimal mark of the country', () => {
  expect(readPlainNumber('12,5 %', '%', 'de-DE')).toBe(12.5)
  expect(readPlainNumber('2,90 €', '', 'de-DE')).toBe(2.9)
  expect(readPlainNumber('1.250,00 €', '', 'de-DE')).toBe(1250)
  expect(readPlainNumber('1.250 €', '', 'de-DE')).toBe(1250)
})
