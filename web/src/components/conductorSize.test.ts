import { expect, it } from 'vitest'
import { readConductorSize } from './conductorSize.ts'

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
  ['H07RN-F 3G2,5', false, 'H07RN-F 3G2,5'],
  ['12/3 SJTW', true, '12/3 SJTW'],
  ['4G1,5', false, '4G1,5'],
  ['4/0', true, '4/0 AWG'],
  ['', true, ''],
])('%s in a shop of inches %s is %s', (text, isImperial, size) => {
  expect(readConductorSize(text, isImperial)).toEqual({ ok: true, value: size })
})

it.each(['n o', 'thick', '-3 mm²', '10 mm² 5', 'AWG', '11', '99 AWG'])(
  '%s is refused, with what to write',
  (text) => {
    const read = readConductorSize(text, true)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.message).toContain('10 AWG or 2.5 mm²')
  },
)
