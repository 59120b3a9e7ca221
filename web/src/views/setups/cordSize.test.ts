import { expect, it } from 'vitest'
import { readCordSize } from './cordSize.ts'

it.each([
  ['10 AWG', true, '10 AWG'],
  ['#10', false, '10 AWG'],
  ['12awg', false, '12 AWG'],
  ['14 ga', true, '14 AWG'],
  ['1/0', false, '1/0 AWG'],
  ['10', true, '10 AWG'],
  ['10', false, '10 mm²'],
  ['2,5', false, '2.5 mm²'],
  ['2.5 mm2', true, '2.5 mm²'],
  ['6 mm²', true, '6 mm²'],
  ['2.5', true, '2.5 mm²'],
  ['', true, ''],
])('%s in a shop of inches %s is %s', (text, isImperial, size) => {
  expect(readCordSize(text, isImperial)).toEqual({ ok: true, value: size })
})

it.each(['n o', 'thick', '-3 mm²', '10 mm² x', 'AWG'])('%s is refused, with what to write', (text) => {
  const read = readCordSize(text, true)
  expect(read.ok).toBe(false)
  if (!read.ok) expect(read.message).toContain('10 AWG or 2.5 mm²')
})
