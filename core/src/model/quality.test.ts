/** Quality by EN 1090, EN ISO 5817 and AWS D1.1 (from memory): what each asks of a procedure. */
import { describe, expect, it } from 'vitest'
import { fitJob } from '../fit/fit.ts'
import { demoInput } from '../testing/samples.ts'
import { QUALITIES, QUALITY, type QualityId } from './quality.ts'

const fitOf = (quality: QualityId, filletRule: 'd1.1' | 'en-1993' = 'd1.1') => {
  const input = demoInput('press-frame')
  return fitJob({ ...input, shop: { ...input.shop, filletRule }, job: { ...input.job, quality } })
}
const cautionsOf = (...of: Parameters<typeof fitOf>) => fitOf(...of).cautions.map(({ code }) => code)
const prequalified = (...of: Parameters<typeof fitOf>) =>
  fitOf(...of).criteria.find(({ criterion }) => criterion === 'prequalified')?.verdict ?? null

describe('who must have approved it', () => {
  it.each([
    ['ordinary', null],
    ['cosmetic', null],
    ['level-b', null],
    ['structural', 'approval'],
    ['code-bound', 'approval'],
    ['leak-tight', 'approval'],
    ['exc-1', 'approval-european'],
    ['exc-2', 'approval-european'],
    ['exc-4', 'approval-european'],
  ] as const)('%s: %s', (quality, code) => {
    const named = cautionsOf(quality).filter((one) => one.startsWith('approval'))
    expect(named).toEqual(code === null ? [] : [code])
  })
  it('in a shop that goes by European standards every such weld goes by EN ISO 15614 and 9606', () => {
    expect(cautionsOf('structural', 'en-1993')).toContain('approval-european')
    expect(cautionsOf('structural', 'en-1993')).not.toContain('approval')
  })
})

describe('short-circuit on structural steel', () => {
  // AWS D1.1, 5.3: not prequalified. By EN ISO 15614-1 a procedure is qualified by its own test.
  it('is judged by AWS D1.1 where that governs, and nowhere else', () => {
    expect(prequalified('structural')).toBe('tight')
    expect(prequalified('code-bound')).toBe('fails')
    expect(prequalified('exc-2')).toBeNull()
    expect(prequalified('structural', 'en-1993')).toBeNull()
  })
})

it('the higher execution classes are accepted by somebody else, and every one is structural', () => {
  const of = (isOf: (one: (typeof QUALITY)[QualityId]) => boolean) =>
    QUALITIES.filter((id) => isOf(QUALITY[id]))
  expect(of(({ isByCode }) => isByCode)).toEqual(['code-bound', 'exc-3', 'exc-4'])
  expect(of(({ isStructural }) => isStructural)).toEqual([
    'structural',
    'code-bound',
    'exc-1',
    'exc-2',
    'exc-3',
    'exc-4',
  ])
})
