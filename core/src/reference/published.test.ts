/** The reference tables in full, beside the values as they are published (from memory). */
import { describe, expect, it } from 'vitest'
import { lensShade } from './lensShades.ts'
import { NOMINAL_SIZES, pipeOf, schedulesOf } from './pipes.ts'
import { tungstenCurrentRange } from './tungstenRanges.ts'
import { wireCurrentRange } from './wireRanges.ts'
import { demoShop } from '../testing/samples.ts'

const MM_PER_IN = 25.4

describe('pipe: the table is in inches, ASME B36.10M and B36.19M also print millimetres', () => {
  // Outside diameter to 0.1 mm, walls of 5S, 10S, 40, 80, 160 to 0.01 mm.
  const printedMm: Readonly<Record<string, readonly number[]>> = {
    '1/4': [13.7, 1.24, 1.65, 2.24, 3.02],
    '3/8': [17.1, 1.24, 1.65, 2.31, 3.2],
    '1/2': [21.3, 1.65, 2.11, 2.77, 3.73, 4.78],
    '3/4': [26.7, 1.65, 2.11, 2.87, 3.91, 5.56],
    '1': [33.4, 1.65, 2.77, 3.38, 4.55, 6.35],
    '1-1/4': [42.2, 1.65, 2.77, 3.56, 4.85, 6.35],
    '1-1/2': [48.3, 1.65, 2.77, 3.68, 5.08, 7.14],
    '2': [60.3, 1.65, 2.77, 3.91, 5.54, 8.74],
    '2-1/2': [73, 2.11, 3.05, 5.16, 7.01, 9.53],
    '3': [88.9, 2.11, 3.05, 5.49, 7.62, 11.13],
    '4': [114.3, 2.11, 3.05, 6.02, 8.56, 13.49],
    '6': [168.3, 2.77, 3.4, 7.11, 10.97, 18.26],
    '8': [219.1, 2.77, 3.76, 8.18, 12.7, 23.01],
    '10': [273.1, 3.4, 4.19, 9.27, 15.09, 28.58],
    '12': [323.9, 3.96, 4.57, 10.31, 17.48, 33.32],
  }
  it('has these sizes', () => {
    expect([...NOMINAL_SIZES].sort()).toEqual(Object.keys(printedMm).sort())
  })
  it.each(Object.entries(printedMm))('NPS %s', (nps, [outsideMm = 0, ...wallsMm]) => {
    const schedules = ['5S', '10S', '40', '80', '160'].slice(0, wallsMm.length)
    expect([...(schedulesOf(nps) ?? [])].sort()).toEqual([...schedules].sort())
    schedules.forEach((schedule, index) => {
      const pipe = pipeOf(nps, schedule)
      expect(Math.abs((pipe?.outsideIn ?? 0) * MM_PER_IN - outsideMm)).toBeLessThan(0.06)
      expect(Math.abs((pipe?.wallIn ?? 0) * MM_PER_IN - (wallsMm[index] ?? 0))).toBeLessThan(0.015)
    })
  })
  it('names of one schedule', () => {
    for (const [one, other] of [
      ['STD', '40'],
      ['40S', '40'],
      ['xs', '80'],
      ['80S', '80'],
      ['5', '5S'],
      ['10', '10S'],
    ] as const)
      expect(pipeOf('2', one)).toEqual(pipeOf('2', other))
  })
})

describe('filter shades, ANSI Z49.1: least and suggested, at both ends of each row', () => {
  it.each([
    ['gmaw', 30, 60, 7, 7],
    ['gmaw', 60.1, 160, 10, 11],
    ['gmaw', 160.1, 250, 10, 12],
    ['gmaw', 250.1, 500, 10, 14],
    ['fcaw', 60.1, 160, 10, 11],
    ['fcaw', 160.1, 250, 10, 12],
    ['gtaw', 5, 50, 8, 10],
    ['gtaw', 50.1, 150, 8, 12],
    ['gtaw', 150.1, 500, 10, 14],
    ['smaw', 250.1, 550, 11, 14],
  ] as const)('%s from %f to %f A: %i, %i', (family, fromA, toA, least, suggested) => {
    for (const currentA of [fromA, toA]) expect(lensShade(family, currentA)).toEqual({ least, suggested })
  })

  it.each([
    ['gmaw', 500.1],
    ['fcaw', 900],
    ['gtaw', 500.1],
    ['smaw', 550.1],
  ] as const)('%s at %f A is beyond the table: no shade is made up for it', (family, currentA) => {
    expect(lensShade(family, currentA)).toBeNull()
  })
})

describe('tungsten, AWS A5.12 annex: alloyed types in argon, A', () => {
  it.each([
    [0.02, [5, 20], null],
    [0.04, [15, 80], [15, 80]],
    [1 / 16, [70, 150], [70, 150]],
    [3 / 32, [150, 250], [140, 235]],
    [1 / 8, [250, 400], [225, 325]],
    [5 / 32, [400, 500], [300, 400]],
  ] as const)('%f in', (inches, dcen, ac) => {
    const range = (wave: 'dcen' | 'ac') => {
      const found = tungstenCurrentRange(inches * MM_PER_IN, wave)
      return found && [found.minA, found.maxA]
    }
    expect(range('dcen')).toEqual(dcen)
    expect(range('ac')).toEqual(ac)
  })
  it('metric and inch names of one size are one size, between them is none', () => {
    expect(tungstenCurrentRange(2.4, 'dcen')).toEqual(tungstenCurrentRange((3 / 32) * MM_PER_IN, 'dcen'))
    expect(tungstenCurrentRange(2.8, 'dcen')).toBeNull()
  })
})

describe('usable current of wires, common practice, no source: A by diameter in mm', () => {
  const [wire] = demoShop().wires
  if (!wire) throw new Error('the demo has no wire')
  it.each([
    [
      'solid',
      'carbon-steel',
      { 0.6: [30, 100], 0.8: [40, 150], 0.9: [60, 220], 1: [80, 250], 1.2: [100, 340], 1.6: [200, 450] },
    ],
    [
      'solid',
      'stainless',
      { 0.6: [30, 100], 0.8: [40, 150], 0.9: [60, 220], 1: [80, 250], 1.2: [100, 340], 1.6: [200, 450] },
    ],
    [
      'solid',
      'aluminium',
      { 0.8: [50, 130], 0.9: [60, 160], 1: [80, 190], 1.2: [110, 240], 1.6: [160, 330] },
    ],
    [
      'cored-self-shielded',
      'carbon-steel',
      {
        0.8: [40, 140],
        0.9: [50, 190],
        1: [60, 205],
        1.2: [100, 240],
        1.4: [125, 280],
        1.6: [150, 320],
      },
    ],
    [
      'cored-gas-shielded',
      'carbon-steel',
      { 0.9: [80, 210], 1: [100, 240], 1.2: [120, 300], 1.4: [150, 350], 1.6: [180, 400] },
    ],
  ] as const)('%s %s', (form, metal, table) => {
    const found = [0.6, 0.8, 0.9, 1, 1.2, 1.4, 1.6].flatMap((diameterMm) => {
      const range = wireCurrentRange({
        ...wire,
        form,
        metal,
        diameterMm,
        currentMinA: null,
        currentMaxA: null,
      })
      return range ? [[diameterMm, [range.minA, range.maxA]]] : []
    })
    expect(Object.fromEntries(found)).toEqual(table)
  })
})
