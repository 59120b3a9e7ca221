import fc from 'fast-check'
import { expect, it } from 'vitest'
import { differences } from './differences.ts'

it('names the field, its unit, and what it was and is', () => {
  const before = {
    quantity: 4,
    hoursSetAside: null,
    joints: [{ id: 'w1', thicknessAMm: 6.35, backing: false }],
  }
  const after = { quantity: 9, hoursSetAside: 12, joints: [{ id: 'w1', thicknessAMm: 8, backing: true }] }
  expect(differences(before, after)).toEqual([
    { field: 'quantity', before: '4', after: '9' },
    { field: 'hours set aside', before: '–', after: '12' },
    { field: 'joint w1 thickness a', before: '6.35 mm', after: '8 mm' },
    { field: 'joint w1 backing', before: 'no', after: 'yes' },
  ])
})

it('tells members of a list apart by their id, not by their place', () => {
  const [a, b, c] = ['a', 'b', 'c'].map((id) => ({ id, count: 1 }))
  expect(differences({ joints: [a, b] }, { joints: [b, c] })).toEqual([
    { field: 'joint a', before: 'there', after: '–' },
    { field: 'joint c', before: '–', after: 'there' },
  ])
})

it('finds nothing between a value and itself, and something between two that differ as JSON', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 3 }), fc.jsonValue({ maxDepth: 3 }), (one, other) => {
      expect(differences(one, JSON.parse(JSON.stringify(one)))).toEqual([])
      const [left, right] = [JSON.stringify(one), JSON.stringify(other)]
      if (typeof one !== 'object' && typeof other !== 'object' && left !== right)
        expect(differences(one, other)).toHaveLength(1)
    }),
  )
})

it('stops at the most', () => {
  const many = Object.fromEntries(Array.from({ length: 500 }, (_, index) => [`f${index}`, index]))
  expect(differences({}, many, 20)).toHaveLength(20)
})
