/** Cored wires by AWS A5.20 (from memory): the digit before T is the position, the suffix the gas. */
import { describe, expect, it } from 'vitest'
import {
  coredUsabilityOf,
  polaritiesOfClass,
  coredLimitsOf,
  gasOf,
  isForDownhill,
  notForPosition,
  positionsOf,
} from './classification.ts'

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

// AWS A5.1 and A5.20, Table 2, from memory: E7018 is left out of vertical-down, E7048 has it.
describe('welding downward', () => {
  it.each([
    ['E6010', true],
    ['E6011', true],
    ['E6013', true],
    ['E7014', true],
    ['E7018', false],
    ['E7024', false],
    ['E308L-16', false],
    ['E71T-1C/M', false],
    ['E71T-9M', false],
    ['E71T-12M', false],
    ['E71T-8', false],
    ['E71T-5C', false],
    ['E71T-11', true],
    ['E71T-GS', true],
    ['E71T-14', true],
    ['ER70S-6', null],
    ['ER5356', null],
  ])('%s: %s', (classification, isFor) => {
    expect(isForDownhill(classification)?.value ?? null).toBe(isFor)
  })
  it('binds vertical-down alone, and comes after flat and horizontal', () => {
    expect(notForPosition(wire('E7018'), 'vertical-down')?.value).toBe('upward-only')
    expect(notForPosition(wire('E7018'), 'vertical-up')).toBeNull()
    expect(notForPosition(wire('E71T-11'), 'vertical-down')).toBeNull()
    expect(notForPosition(wire('E70T-1C'), 'vertical-down')?.value).toBe('beyond')
    expect(notForPosition(wire('E70T-1C'), 'flat')).toBeNull()
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

describe('polarity by class, AWS A5.20 and A5.1 (from memory)', () => {
  it.each([
    ['E70T-3', 'dcep'],
    ['E70T-4', 'dcep'],
    ['E70T-6', 'dcep'],
    ['E70T-7', 'dcen'],
    ['E71T-8', 'dcen'],
    ['E71T-11', 'dcen'],
    ['E71T-14', 'dcen'],
    ['E71T-1C/M', 'dcep'],
    ['E71T-9M', 'dcep'],
    ['E71T-12M', 'dcep'],
    ['E6010', 'dcep'],
  ])('%s runs on %s', (classification, polarity) => {
    expect(polaritiesOfClass(classification)?.value[0]).toBe(polarity)
  })
  it('is left open by E71T-GS and by a bare wire', () => {
    expect(polaritiesOfClass('E71T-GS')).toBeNull()
    expect(polaritiesOfClass('ER70S-6')).toBeNull()
  })
  it('single pass are T-2, T-3, T-10, T-13, T-14 and GS', () => {
    const single = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11', '12', '13', '14', 'GS'].filter(
      (usability) => coredUsabilityOf(`E70T-${usability}`)?.value.isSinglePass,
    )
    expect(single).toEqual(['2', '3', '10', '13', '14', 'GS'])
  })
})
