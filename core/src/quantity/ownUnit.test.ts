import fc from 'fast-check'
import { expect, it } from 'vitest'
import { ASSUMPTIONS } from '../assumptions/list.ts'
import { ownUnit } from './ownUnit.ts'

// NIST SP 811, appendix B: 1 in = 25.4 mm, 1 mile = 1.609344 km, 1 ft³ = 28.316846592 L.
it.each([
  ['°C', 100, '°F', 212],
  ['°C', -40, '°F', -40],
  ['km/h', 80.4672, 'mph', 50],
  ['mm', 25.4, 'in', 1],
  ['mm length', 914.4, 'in', 36],
  ['mm diameter', 0.889, 'in', 0.035],
  ['mm²', 645.16, 'in²', 1],
  ['mm/min', 254, 'in/min', 10],
  ['L/min', 28.316846592, 'CFH', 60],
  // A wire of one inch at 60 CFH per inch, and the rule of one ampere a thousandth.
  ['L/min per mm', 28.316846592 / 25.4, 'CFH per in', 60],
  ['A/mm', 1 / 0.0254, 'A per 0.001 in', 1],
  ['kJ/mm', 1, 'kJ/in', 25.4],
  ['min/m', 10 / 3.048, 'min/ft', 1],
])('%s %d is in %s %d', (unit, inside, own, value) => {
  const { unit: written, own: to, inside: from } = ownUnit(unit, 'imperial')
  expect(written).toBe(own)
  expect(to(inside)).toBeCloseTo(value, 9)
  expect(from(value)).toBeCloseTo(inside, 9)
})

it('leaves a metric shop its figures, and a unit of both its name', () => {
  expect(ownUnit('mm diameter', 'metric')).toMatchObject({ unit: 'mm' })
  expect(ownUnit('°C', 'metric').own(20)).toBe(20)
  for (const unit of ['%', 'V', 's', '×']) expect(ownUnit(unit, 'imperial').unit).toBe(unit)
})

it('goes there and back, for the unit of every assumption', () => {
  const units = [...new Set(Object.values(ASSUMPTIONS).map(({ unit }) => unit))]
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.double({ min: -100, max: 5000, noNaN: true }),
      (unit, value) => {
        const { own, inside } = ownUnit(unit, 'imperial')
        expect(inside(own(value))).toBeCloseTo(value, 6)
      },
    ),
  )
  // No figure of an inch shop is in a metric unit that it has one of its own for.
  const metric = units
    .map((unit) => ownUnit(unit, 'imperial').unit)
    .filter((unit) => /°C|km|(^|[^k])mm\b|L\/min/.test(unit))
  expect(metric).toEqual(['L/min/mm'])
})
