/** A working tells of its terms in the words of the case, where it has any, else in those of the formula. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { commonPractice, computed, dataPlate } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed, listOf } from './calculation.ts'
import { reckonerFor, TracingReckoner } from './reckoner.ts'

const PLATE = dataPlate('Quillon 210')
const half = calculation({
  id: 'test-half',
  title: 'Half of it',
  symbol: 'h',
  unit: 'A',
  expression: 'a / b',
  inputs: { a: input('all of it', 'A', commonPractice()), b: inputOrAssumed('parts', '', commonPractice()) },
  compute: ({ a, b }) => a / b,
  source: computed(),
})
const most = calculation({
  id: 'test-most',
  title: 'The most',
  symbol: 'm',
  unit: 'A',
  expression: 'max(h) + t - t',
  inputs: { h: listOf('halves', 'A', computed(), half.id), t: assumed('tackArcS') },
  compute: ({ h }) => Math.max(...h),
  source: computed(),
})
const twice = calculation({
  id: 'test-twice',
  title: 'Twice',
  symbol: 'w',
  unit: 'A',
  expression: '2 * h',
  inputs: { h: from(half) },
  compute: ({ h }) => 2 * h,
  source: computed(),
})
const assumptions = assumptionsOf({ assumptions: {} })

describe('a tracing reckoner', () => {
  it('names a term, its unit and its source as the case does, and each of them apart', () => {
    const r = new TracingReckoner(assumptions)
    r.compute(half, { a: 10, b: 2 }, () => ({ a: { name: 'of the plate' } }))
    r.compute(half, { a: 12, b: 2 }, () => ({ a: { unit: 'V' }, b: { source: PLATE } }))
    const [first, second] = ['5', '6'].map(
      (value) => r.stepsOf([{ calculations: [half.id], value: Number(value) }])[0]?.terms ?? [],
    )
    expect(first?.map(({ name, unit }) => [name, unit])).toEqual([
      ['of the plate', 'A'],
      ['parts', ''],
    ])
    expect(second?.map(({ name, unit }) => [name, unit])).toEqual([
      ['all of it', 'V'],
      ['parts', ''],
    ])
    expect(first?.[0]?.source).toEqual(commonPractice())
    expect(second?.[1]?.source).toEqual(PLATE)
  })
  it('takes the step that gave this value, not the latest; of a list each its own; and no other', () => {
    const r = new TracingReckoner(assumptions)
    const [a, b] = [r.compute(half, { a: 10, b: 2 }), r.compute(half, { a: 30, b: 3 })]
    r.compute(half, { a: 90, b: 3 })
    r.compute(twice, { h: a })
    expect(r.stepsOf([{ calculations: [twice.id], value: 10 }]).map(({ result }) => result.value)).toEqual([
      5, 10,
    ])
    r.compute(most, { h: [a, b] })
    const steps = r.stepsOf([{ calculations: [most.id], value: null }])
    expect(steps.map(({ result }) => result.value)).toEqual([5, 10, 10])
    expect(steps.at(-1)?.terms.find(({ symbol }) => symbol === 't')?.assumption).toBe('tackArcS')
  })
  it('takes the latest where none gave this value, or none is asked for', () => {
    const r = new TracingReckoner(assumptions)
    for (const a of [10, 30, 50]) r.compute(half, { a, b: 2 })
    const valuesOf = (value: number | null) =>
      r.stepsOf([{ calculations: [half.id], value }]).map(({ result }) => result.value)
    expect([valuesOf(999), valuesOf(null), valuesOf(15), valuesOf(5)]).toEqual([[25], [25], [15], [5]])
  })
  it('looks for what a step rests on among those before it alone', () => {
    const r = new TracingReckoner(assumptions)
    r.compute(half, { a: 10, b: 2 })
    r.compute(twice, { h: 7 })
    r.compute(half, { a: 14, b: 2 })
    // Nothing before gave 7: the half before it is the nearest there is, and not the one that came later.
    expect(r.stepsOf([{ calculations: [twice.id], value: null }]).map(({ result }) => result.value)).toEqual([
      5, 14,
    ])
    r.compute(most, { h: [5, 25] })
    r.compute(half, { a: 50, b: 2 })
    expect(r.stepsOf([{ calculations: [most.id], value: null }]).map(({ result }) => result.value)).toEqual([
      5, 25,
    ])
    const first = new TracingReckoner(assumptions)
    first.compute(twice, { h: 7 })
    expect(first.stepsOf([{ calculations: [twice.id], value: null }])).toHaveLength(1)
  })
  it('tells a step once, whoever rests on it, and of which weld it is', () => {
    const r = new TracingReckoner(assumptions)
    r.weldId = 'upright'
    const h = r.compute(half, { a: 10, b: 2 })
    r.weldId = null
    r.compute(twice, { h })
    const steps = r.stepsOf([
      { calculations: [twice.id], value: null },
      { calculations: [half.id], value: null },
    ])
    expect(steps.map(({ id, weldId }) => [id, weldId])).toEqual([
      [half.id, 'upright'],
      [twice.id, null],
    ])
    expect(r.keepsSteps).toBe(true)
    expect(reckonerFor(assumptions).keepsSteps).toBeUndefined()
  })
  it('gives what the plain one gives, with an assumption by its key or as it is fixed', () => {
    const [traced, plain] = [new TracingReckoner(assumptions), reckonerFor(assumptions)]
    expect(traced.compute(half, { a: 10, b: 'tackArcS' })).toBe(plain.compute(half, { a: 10, b: 'tackArcS' }))
    expect(plain.compute(half, { a: 10, b: 'tackArcS' })).toBe(10 / assumptions.tackArcS)
    expect(traced.stepsOf([{ calculations: [half.id], value: null }])[0]?.terms[1]?.assumption).toBe(
      'tackArcS',
    )
    expect(traced.stepsOf([{ calculations: ['nothing'], value: null }])).toEqual([])
  })
})
