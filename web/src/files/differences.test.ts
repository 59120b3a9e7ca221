import fc from 'fast-check'
import { expect, it } from 'vitest'
import { METRIC, IMPERIAL } from '../testing/notation.ts'
import { differences, fieldWords, valueWords } from './differences.ts'
import { wordingOf } from './wording.ts'

const JOB = wordingOf('jobs', null, METRIC)

it('names the field, its unit, and what it was and is', () => {
  const before = {
    quantity: 4,
    hoursSetAside: null,
    joints: [{ id: 'w1', thicknessAMm: 6.35, backing: false }],
  }
  const after = { quantity: 9, hoursSetAside: 12, joints: [{ id: 'w1', thicknessAMm: 8, backing: true }] }
  expect(differences(before, after, JOB)).toEqual([
    { field: 'Pieces', before: '4', after: '9' },
    { field: 'Planned hours', before: '–', after: '12 h' },
    { field: 'weld w1, thickness', before: '6.35 mm', after: '8 mm' },
    { field: 'weld w1, backing', before: 'no', after: 'yes' },
  ])
})

it('tells members of a list apart by their id, not by their place', () => {
  const [a, b, c] = ['a', 'b', 'c'].map((id) => ({ id, count: 1 }))
  expect(differences({ joints: [a, b] }, { joints: [b, c] }, JOB)).toEqual([
    { field: 'weld a', before: 'there', after: '–' },
    { field: 'weld c', before: '–', after: 'there' },
  ])
})

it('finds nothing between a value and itself, and something between two that differ as JSON', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 3 }), fc.jsonValue({ maxDepth: 3 }), (one, other) => {
      expect(differences(one, JSON.parse(JSON.stringify(one)), JOB)).toEqual([])
      const [left, right] = [JSON.stringify(one), JSON.stringify(other)]
      if (typeof one !== 'object' && typeof other !== 'object' && left !== right)
        expect(differences(one, other, JOB)).toHaveLength(1)
    }),
  )
})

it('stops at the most', () => {
  const many = Object.fromEntries(Array.from({ length: 500 }, (_, index) => [`f${index}`, index]))
  expect(differences({}, many, JOB, 20)).toHaveLength(20)
})

it('writes figures in the shop’s units, and choices in their words', () => {
  const inches = wordingOf('jobs', null, IMPERIAL)
  expect(valueWords(inches, ['joints', 'w1', 'thicknessAMm'], 6.35)).toBe('1/4 in')
  const liner = wordingOf('parts', { kind: 'liner' }, METRIC)
  expect(fieldWords(liner, ['usedFor'])).toBe('Metal it has run')
  expect(valueWords(liner, ['material'], 'polymer')).toBe('polymer (PTFE, nylon)')
  const source = wordingOf('power-sources', {}, METRIC)
  expect(fieldWords(source, ['processes', '0', 'supplies', '1', 'i1MaxA'])).toBe('process 1, column 2, I₁max')
  expect(valueWords(source, ['processes', '0', 'supplies', '1', 'i1MaxA'], 26)).toBe('26 A')
})
