/** The tables of the rule book in full, beside the values as the standards print them (from memory). */
import { expect, it } from 'vitest'
import { describeFields } from '../model/describe.ts'
import { circuitSchema } from '../model/equipment.ts'
import { northAmerican as nec } from './northAmerican.ts'

it('NEC Table 310.16, copper conductors, 75 °C column', () => {
  const printed = {
    '14 AWG': 20,
    '12 AWG': 25,
    '10 AWG': 35,
    '8 AWG': 50,
    '6 AWG': 65,
    '4 AWG': 85,
    '3 AWG': 100,
    '2 AWG': 115,
    '1 AWG': 130,
    '1/0 AWG': 150,
  }
  expect(Object.fromEntries(nec.conductorSizes.map((size) => [size, nec.ampacityA(size)?.value]))).toEqual(
    printed,
  )
})

it('NEC 240.6(A), standard ratings up to 200 A', () => {
  expect(nec.breakerSizesA).toEqual([
    15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200,
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
    [151, 200, 10],
  ]
  for (const [fromA, toA, minutes] of printed)
    for (const rating of [fromA, toA]) expect(nec.breakerTripAtDoubleS(rating).value).toBe(60 * minutes)
})

it('UL 489: a breaker carries its rating', () => {
  for (const rating of nec.breakerSizesA) expect(nec.breakerHoldsA(rating).value).toBe(rating)
})

it.each([
  // 630.12(A): 200 % of I₁max; 630.12(B): 200 % of the ampacity; then the next standard size up.
  { i1MaxA: 22, ampacityA: 50, largest: 45 },
  { i1MaxA: 22.5, ampacityA: 50, largest: 45 },
  { i1MaxA: 22.6, ampacityA: 50, largest: 50 },
  { i1MaxA: 60, ampacityA: 25, largest: 50 },
  { i1MaxA: 60, ampacityA: 26, largest: 60 },
  { i1MaxA: 5, ampacityA: 20, largest: 15 },
  { i1MaxA: 400, ampacityA: 400, largest: 200 },
])('NEC 630.12: $i1MaxA A on a cable of $ampacityA A may have a breaker of $largest A', (row) => {
  expect(nec.largestBreakerA(row.i1MaxA, row.ampacityA).value).toBe(row.largest)
})

it('the sizes that a form suggests for a cable are those that the rule book knows', () => {
  const cable = describeFields(circuitSchema).find(({ path }) => path[0] === 'conductorSize')
  expect(cable?.more.suggests).toEqual(nec.conductorSizes)
})
