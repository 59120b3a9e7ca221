/** The tables of the rule book in full, beside the values as the standards print them (from memory). */
import { expect, it } from 'vitest'
import { describeFields } from '../model/describe.ts'
import { circuitSchema } from '../model/equipment.ts'
import { northAmerican as nec } from './northAmerican.ts'

it('NEC Table 310.16, copper conductors, 60 and 75 °C columns; 90 °C is read at 75 by 110.14(C)', () => {
  const printed: Readonly<Record<string, readonly [at60C: number, at75C: number]>> = {
    '14 AWG': [15, 20],
    '12 AWG': [20, 25],
    '10 AWG': [30, 35],
    '8 AWG': [40, 50],
    '6 AWG': [55, 65],
    '4 AWG': [70, 85],
    '3 AWG': [85, 100],
    '2 AWG': [95, 115],
    '1 AWG': [110, 130],
    '1/0 AWG': [125, 150],
  }
  const read = (size: string, columnC: 60 | 75 | 90) => nec.ampacityA(size, columnC)?.value
  expect(
    Object.fromEntries(nec.conductorSizes.map((size) => [size, [read(size, 60), read(size, 75)]])),
  ).toEqual(printed)
  for (const size of nec.conductorSizes) expect(read(size, 90)).toBe(read(size, 75))
})

it('NEC 240.6(A), standard ratings up to 600 A', () => {
  expect(nec.breakerSizesA).toEqual([
    15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400,
    450, 500, 600,
  ])
})

it('NEC 630.11(A), welders without a motor generator, at each row and just beside it', () => {
  const printed = [
    [20, 0.45],
    [30, 0.55],
    [40, 0.63],
    [50, 0.71],
    [60, 0.78],
    [70, 0.84],
    [80, 0.89],
    [90, 0.95],
    [100, 1],
  ] as const
  printed.forEach(([duty, factor], index) => {
    expect(nec.multiplier(duty).value).toBe(factor)
    expect(nec.multiplier(duty - 0.1).value).toBe(factor)
    // Just above a row the rule gives none: the next one is the safe one.
    expect(nec.multiplier(duty + 0.1).value).toBe(printed[index + 1]?.[1] ?? 1)
  })
})

it('UL 489, longest trip time at 200 % of the rating, min', () => {
  const printed: readonly (readonly [fromA: number, toA: number, minutes: number])[] = [
    [15, 30, 2],
    [31, 50, 4],
    [51, 100, 6],
    [101, 150, 8],
    [151, 225, 10],
    [226, 400, 12],
    [401, 600, 14],
  ]
  for (const [fromA, toA, minutes] of printed)
    for (const rating of [fromA, toA]) expect(nec.breakerTripAtDoubleS(rating).value).toBe(60 * minutes)
})

it('UL 489: a breaker carries its rating', () => {
  for (const rating of nec.breakerSizesA) expect(nec.breakerHoldsA(rating).value).toBe(rating)
})

it.each([
  [22, 45],
  [22.5, 45],
  [22.6, 50],
  [30, 60],
  [5, 15],
  [110, 225],
  [400, 600],
])(
  'NEC 630.12: twice %f A, for the machine and for the cable, may have a breaker of %f A',
  (currentA, largest) => {
    expect(nec.largestBreakerForWelderA(currentA).value).toBe(largest)
    expect(nec.largestBreakerForConductorA(currentA).value).toBe(largest)
    expect(nec.largestBreakerForWelderA(currentA).source.text).toContain('630.12(A)')
    expect(nec.largestBreakerForConductorA(currentA).source.text).toContain('630.12(B)')
  },
)

it('the sizes that a form suggests for a cable are those that the rule book knows', () => {
  const cable = describeFields(circuitSchema).find(({ path }) => path[0] === 'conductorSize')
  expect(cable?.more.suggests).toEqual(nec.conductorSizes)
})
