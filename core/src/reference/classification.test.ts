/** Cored wires by AWS A5.20 (from memory): the digit before T is the position, the suffix the gas. */
import { describe, expect, it } from 'vitest'
import { coredLimitsOf, gasOf, positionsOf } from './classification.ts'

const wire = (classification: string) => ({ classification, positions: null, gasWanted: null })

describe('positions', () => {
  it.each([
    ['E70T-1C', 'flat-horizontal'],
    ['E70T-4', 'flat-horizontal'],
    ['E71T-1C/M', 'all'],
    ['E71T-11', 'all'],
    ['E71T-GS', 'all'],
    ['E 71T-8', 'all'],
    ['ER70S-6', null],
    ['ER5356', null],
  ])('%s: %s', (classification, positions) => {
    expect(positionsOf(wire(classification))?.value ?? null).toBe(positions)
  })

  it('the wire’s own data come first', () => {
    expect(positionsOf({ classification: 'E71T-1C', positions: 'flat-horizontal' })?.value).toBe(
      'flat-horizontal',
    )
  })
})

describe('gas', () => {
  it.each([
    ['E71T-1C', 'co2'],
    ['E71T-1M', 'mixed'],
    ['E71T-1C/M', 'either'],
    ['e71t-12m', 'mixed'],
    ['E71T-11', null],
    ['E71T-1', null],
  ])('%s: %s', (classification, gas) => {
    expect(gasOf(wire(classification))?.value ?? null).toBe(gas)
  })
})

describe('what a class may join, AWS A5.20 (from memory)', () => {
  it.each([
    ['E71T-GS', 4.7625, true],
    ['e71t-gs', 4.7625, true],
    ['E71T-11', 19.05, false],
  ])('%s', (classification, mostMm, isSinglePass) => {
    expect(coredLimitsOf(classification)).toMatchObject({ mostMm, isSinglePass })
  })
  it.each(['E71T-1C/M', 'E71T-8', 'ER70S-6', ''])('%s sets no limit', (classification) => {
    expect(coredLimitsOf(classification)).toBeNull()
  })
  it('the wire’s own data comes before what its class says', () => {
    expect(gasOf({ classification: 'E71T-1C', gasWanted: 'mixed' })).toMatchObject({
      value: 'mixed',
      source: { kind: 'data-plate' },
    })
    expect(gasOf({ classification: 'ER70S-6', gasWanted: null })).toBeNull()
  })
})
