/** Flow meters on gases that their scale is not for. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { UNTRACED } from '../calculation/reckoner.ts'
import { SCALE_GASES } from '../kinds/equipment.ts'
import { sampleGas } from '../testing/equipment.ts'
import { gasGravity, nearestScale, SCALE_GRAVITY, scaleFactor } from './flowMeter.ts'

const argon = sampleGas({ argonPct: 100, co2Pct: 0 })
const co2 = sampleGas({ argonPct: 0, co2Pct: 100 })
const helium = sampleGas({ argonPct: 0, co2Pct: 0, heliumPct: 100 })

describe('specific gravity', () => {
  it.each([
    // Gas data tables (from memory): argon 1.38, CO₂ 1.52, helium 0.138.
    ['argon', argon, 1.38],
    ['CO₂', co2, 1.52],
    ['helium', helium, 0.138],
    ['oxygen', sampleGas({ argonPct: 0, co2Pct: 0, oxygenPct: 100 }), 1.105],
  ])('%s', (_name, gas, gravity) => {
    expect(gasGravity(gas)).toBeCloseTo(gravity, 2)
  })
})

describe('the correction √(SG_scale / SG_gas)', () => {
  it.each([
    ['argon scale on argon', 'argon', argon, 1],
    ['argon scale on CO₂', 'argon', co2, Math.sqrt(39.95 / 44.01)],
    ['argon scale on helium: about 3.16 (handbook, from memory)', 'argon', helium, 3.16],
    ['CO₂ scale on argon', 'co2', argon, Math.sqrt(44.01 / 39.95)],
  ] as const)('%s', (_says, scale, gas, factor) => {
    expect(scaleFactor(scale, gas, UNTRACED)).toBeCloseTo(factor, 2)
  })

  it('there and back is one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SCALE_GASES),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (scale, argonPct) => {
          const gas = sampleGas({ argonPct, co2Pct: 100 - argonPct })
          const factor = scaleFactor(scale, gas, UNTRACED)
          expect(factor ** 2 * gasGravity(gas)).toBeCloseTo(SCALE_GRAVITY[scale], 9)
        },
      ),
    )
  })

  it('of several scales the nearest is read', () => {
    expect(nearestScale(['helium', 'argon'], 0.3)).toBe('helium')
    expect(nearestScale(['helium', 'argon'], 0.6)).toBe('argon')
    expect(nearestScale(['argon', 'co2'], gasGravity(co2))).toBe('co2')
    expect(nearestScale(['argon', 'ar-co2-25', 'helium'], gasGravity(sampleGas()))).toBe('ar-co2-25')
  })
})
