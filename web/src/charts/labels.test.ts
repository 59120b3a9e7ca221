import fc from 'fast-check'
import { expect, it } from 'vitest'
import { isCovered, type Label, placed, spanOf } from './labels.ts'

const SIZE = { width: 296, height: 190 }
const label = fc.record<Label>({
  label: fc.constantFrom('cap 1/16 in', 'face width 1/4 in', 'root face 1/4 in', 'part A 1/2 in', 'gap 3 mm'),
  anchor: fc.constantFrom('start', 'middle', 'end'),
  textX: fc.double({ min: -40, max: 340, noNaN: true }),
  textY: fc.double({ min: -40, max: 240, noNaN: true }),
})

it('covers no label by another, and keeps all of them in the picture', () => {
  fc.assert(
    fc.property(fc.array(label, { maxLength: 8 }), (labels) => {
      const all = placed(labels, SIZE)
      expect(all.map((one) => one.label)).toEqual(labels.map((one) => one.label))
      for (const [index, one] of all.entries()) {
        const [from, to] = spanOf(one)
        expect(from).toBeGreaterThanOrEqual(-1e-9)
        expect(to).toBeLessThanOrEqual(SIZE.width + 1e-9)
        expect(one.textY).toBeGreaterThanOrEqual(12)
        expect(one.textY).toBeLessThanOrEqual(187)
        expect(all.slice(index + 1).some((other) => isCovered(one, other))).toBe(false)
      }
    }),
  )
})

it('moves none that is free, and one that is not as little as it can', () => {
  const at = (textX: number, textY: number): Label => ({ label: 'gap 3 mm', anchor: 'start', textX, textY })
  expect(placed([at(10, 50), at(100, 50), at(10, 80)], SIZE)).toEqual([at(10, 50), at(100, 50), at(10, 80)])
  expect(placed([at(10, 50), at(30, 54)], SIZE)).toEqual([at(10, 50), at(30, 65)])
  expect(placed([at(10, 50), at(30, 44)], SIZE)).toEqual([at(10, 50), at(30, 35)])
  expect(placed([at(290, 300)], SIZE)[0]).toMatchObject({ textY: 187 })
})
