/** Limits in the shop's units: 25.4 mm an inch, 0 °C is 32 °F (definitions). */
import { describe, expect, it } from 'vitest'
import { inShopUnits } from './shopUnits.ts'

const INCH = { system: 'imperial', locale: 'en-US' } as const

describe('a limit in the shop’s units', () => {
  it.each([
    ['must be at most 25.4 mm', 'must be at most 1 in'],
    ['must be at least 12.7 mm', 'must be at least 1/2 in'],
    ['must be at most 100 °C', 'must be at most 212 °F'],
    ['must be above −273 °C', 'must be above −459 °F'],
    ['must be at most 150 km/h', 'must be at most 93 mph'],
    ['must be from 254 mm/min to 25400 mm/min', 'must be from 10 in/min to 1,000 in/min'],
    ['must be at most 100 % and 300 A', 'must be at most 100 % and 300 A'],
  ])('%s', (message, imperial) => {
    expect(inShopUnits(message, INCH)).toBe(imperial)
    expect(inShopUnits(message, { system: 'metric', locale: 'en-GB' })).toBe(message)
  })
})
