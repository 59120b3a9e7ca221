import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { isOutOfPosition, POSITIONS } from './jointKinds.ts'
import { field } from './field.ts'
import { isCandidate, isInShop } from './ownership.ts'
import { inOrder } from './ordered.ts'
import { valueAt } from './valueAt.ts'
import { byWorst, does, VERDICTS, worseOf, worstVerdict } from './verdict.ts'

describe('verdicts', () => {
  it('unknown never counts as fitting, and what fails outranks it', () => {
    expect(worstVerdict(['fits', 'unknown', 'tight'])).toBe('unknown')
    expect(worstVerdict(['unknown', 'fails'])).toBe('fails')
    expect(worstVerdict([])).toBe('fits')
  })

  it('tight does the job, unknown and fails do not', () => {
    expect(VERDICTS.filter(does)).toEqual(['fits', 'tight'])
  })
  it('come worst first, and among equals as they came', () => {
    const judged = (['tight', 'fails', 'fits', 'unknown', 'tight'] as const).map((verdict, at) => ({
      verdict,
      at,
    }))
    expect(byWorst(judged).map(({ verdict, at }) => `${verdict} ${at}`)).toEqual([
      'fails 1',
      'unknown 3',
      'tight 0',
      'tight 4',
      'fits 2',
    ])
    expect(judged[0]?.at).toBe(0)
    expect([worseOf('tight', 'fits'), worseOf('fits', 'tight')]).toEqual(['tight', 'tight'])
  })

  it('the worst is in the list and no other is worse', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...VERDICTS), { minLength: 1 }), (list) => {
        const worst = worstVerdict(list)
        return list.includes(worst) && worstVerdict([...list, worst]) === worst
      }),
    )
  })
})

it('a thing is in the shop where it is owned and not used up; what is not counted is there', () => {
  expect([isCandidate({ held: 'candidate' }), isCandidate({ held: 'owned' }), isCandidate({})]).toEqual([
    true,
    false,
    false,
  ])
  const there = (held: 'owned' | 'candidate', amount: number | null) => isInShop({ held }, amount)
  expect([there('owned', 3), there('owned', null), there('owned', 0)]).toEqual([true, true, false])
  expect([there('candidate', 3), there('candidate', null)]).toEqual([false, false])
})

it('the pool runs where it is neither flat nor horizontal', () => {
  expect(POSITIONS.filter(isOutOfPosition)).toEqual(['vertical-up', 'vertical-down', 'overhead'])
})

it('a place in a record is found however deep, and no place is none', () => {
  const record = { feeder: { gunConnector: 'central' }, list: [{ name: 'a' }], none: null, text: 'abc' }
  expect(valueAt(record, ['feeder', 'gunConnector'])).toBe('central')
  expect(valueAt(record, ['list', 0, 'name'])).toBe('a')
  expect(valueAt(record, [])).toBe(record)
  for (const steps of [
    ['none', 'more'],
    ['text', 'length'],
    ['gone', 'more'],
  ])
    expect(valueAt(record, steps)).toBeUndefined()
})

describe('a least and its most', () => {
  const said = (value: object, mayMeet: boolean): string => {
    const read = z
      .looseObject({})
      .check(inOrder({ least: 'low', most: 'high', unit: 'A', mayMeet }))
      .safeParse(value)
    return read.success
      ? 'passes'
      : read.error.issues.map(({ path, message }) => `${path.join()} ${message}`).join()
  }
  it('must be in order; whether they may be equal is said', () => {
    expect(said({ low: 5, high: 200 }, false)).toBe('passes')
    expect(said({ low: 200, high: 5 }, false)).toBe(
      'low is 200 A, not below the greatest of 5 A. Swap or correct them',
    )
    expect(said({ low: 200, high: 5 }, true)).toBe(
      'low is 200 A, above the greatest of 5 A. Swap or correct them',
    )
    expect([said({ low: 5, high: 5 }, true), said({ low: 5, high: 5 }, false) === 'passes']).toEqual([
      'passes',
      false,
    ])
  })
  it('pass where one of them is not said', () => {
    for (const one of [{}, { low: null, high: 3 }, { low: 9 }, { high: 1 }, { low: '9', high: 1 }])
      expect(said(one, false)).toBe('passes')
  })
})

it('a field has its title, and a description where there is help', () => {
  expect(field('Name')).toEqual({ title: 'Name', field: {} })
  expect(field('Name', { help: 'As on the plate' })).toEqual({
    title: 'Name',
    description: 'As on the plate',
    field: { help: 'As on the plate' },
  })
})
