/**
 * Designations as they are printed on packages. Sources, from memory: EN ISO 14341, 636, 16834, 21952, 17632, 17633,
 * 14343, 3581, 2560, 18275, 18273, 1071; the AWS class of the same work by AWS A5.1 to A5.28 and common practice.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  coredLimitsOf,
  coredUsabilityOf,
  gasOf,
  isForDownhill,
  notForPosition,
  polaritiesOfClass,
  positionsOf,
} from './classification.ts'
import { coveredClassOf, coveredRangeOf } from './coveredElectrodes.ts'
import { designationOf } from './designation.ts'
import { fillerFamilyOf, formsOfClass } from './fillerFamilies.ts'
import { isFiller, pairAdvice } from './pairs.ts'
import { arcForceFor } from './technique.ts'
import { tungstenCurrentRange } from './tungstenRanges.ts'
import { wireCurrentRange } from './wireRanges.ts'
import { sampleWire } from '../testing/equipment.ts'

const FAMILIES: readonly (readonly [
  printed: string,
  aws: string,
  family: string,
  forms: readonly string[],
])[] = [
  ['G 42 4 M21 3Si1', 'ER70S-6', 'carbon', ['solid']],
  ['EN ISO 14341-A: G 42 4 M21 3Si1', 'ER70S-6', 'carbon', ['solid']],
  ['EN ISO 14341-A-G 46 4 M21 4Si1', 'ER70S-6', 'carbon', ['solid']],
  ['G3Si1', 'ER70S-6', 'carbon', ['solid']],
  ['g 3si1', 'ER70S-6', 'carbon', ['solid']],
  ['G 42 2 C1 2Si', 'ER70S-3', 'carbon', ['solid']],
  ['G 42 4 M G3Si1', 'ER70S-6', 'carbon', ['solid']],
  ['SG2', 'ER70S-6', 'carbon', ['solid']],
  ['WSG2', 'ER70S-6', 'carbon', ['rod']],
  ['G 49A 3 M21 S6', 'ER70S-6', 'carbon', ['solid']],
  ['G 2Ti', 'ER70S-2', 'carbon', ['solid']],
  ['W 42 5 W3Si1', 'ER70S-6', 'carbon', ['rod']],
  ['W3Si1', 'ER70S-6', 'carbon', ['rod']],
  ['EN ISO 636-A W 46 3 2Si', 'ER70S-3', 'carbon', ['rod']],
  ['G 46 4 M21 4Mo', 'ER80S-D2', 'carbon', ['solid']],
  ['G 69 6 M21 Mn3Ni1CrMo', 'ER110S', 'high-strength', ['solid']],
  ['G 69 4 M Mn3Ni1CrMo', 'ER110S', 'high-strength', ['solid']],
  ['G CrMo1Si', 'ER80S-B2', 'ER80S-B2', ['solid']],
  ['W MoSi', 'ER70S-A1', 'carbon', ['rod']],
  ['T 46 4 P M21 1 H5', 'E71T-1', 'carbon', ['cored-gas-shielded']],
  ['T 42 2 P C1 1 H10', 'E71T-1', 'carbon', ['cored-gas-shielded']],
  ['T 42 3 R C1 3 H10', 'E70T-1', 'carbon', ['cored-gas-shielded']],
  ['T 42 5 B M21 1 H5', 'E71T-5', 'carbon', ['cored-gas-shielded']],
  ['T 46 6 M M21 1 H5', 'E70C-6M', 'carbon', ['cored-gas-shielded']],
  ['T 42 4 M M 1 H5', 'E70C-6M', 'carbon', ['cored-gas-shielded']],
  ['T 46 6 1Ni P M21 1 H5', 'E71T-1', 'carbon', ['cored-gas-shielded']],
  ['T 42 Z W NO 3 H15', 'E70T-7', 'carbon', ['cored-self-shielded']],
  ['T 42 4 Y N 1 H10', 'E71T-8', 'carbon', ['cored-self-shielded']],
  ['T 42 Z Z N 1', 'E71T-11', 'carbon', ['cored-self-shielded']],
  ['T 49 3 T1-1 C1 A', 'E71T-1', 'carbon', ['cored-gas-shielded']],
  ['T 49 T11-1 NO', 'E71T-11', 'carbon', ['cored-self-shielded']],
  ['T 69 4 Mn2NiCrMo M M21 1 H5', 'ER110S', 'high-strength', ['cored-gas-shielded']],
  ['G 19 9 L Si', 'ER308LSI', 'stainless-308L', ['solid']],
  ['W 19 9 L', 'ER308L', 'stainless-308L', ['rod']],
  ['EN ISO 14343-A: W 19 12 3 L Si', 'ER316LSI', 'stainless-316L', ['rod']],
  ['G 23 12 L Si', 'ER309LSI', 'stainless-309L', ['solid']],
  ['G 18 8 Mn', 'ER307', 'stainless-307', ['solid']],
  ['G 22 9 3 N L', 'ER2209', 'stainless-2209', ['solid']],
  ['W 19 9 Nb', 'ER347', 'stainless-308L', ['rod']],
  ['W 19 12 3 Nb', 'ER318', 'stainless-316L', ['rod']],
  ['T 19 9 L R M21 3', 'E308LT1', 'stainless-308L', ['cored-gas-shielded']],
  ['T 23 12 L P C1 1', 'E309LT1', 'stainless-309L', ['cored-gas-shielded']],
  ['E 19 9 L R 12', 'E308L-17', 'stainless-308L', ['covered']],
  ['E 19 12 3 L R 3 2', 'E316L-17', 'stainless-316L', ['covered']],
  ['E 18 8 Mn B 22', 'E307-15', 'stainless-307', ['covered']],
  ['E 29 9 R 12', 'E312-17', 'stainless-312', ['covered']],
  ['1.4316', 'ER308L', 'stainless-308L', ['solid', 'rod']],
  ['W 1.4430', 'ER316L', 'stainless-316L', ['rod']],
  ['E 42 4 B 32 H5', 'E7018', 'carbon', ['covered']],
  ['E 42 4 B 42 H5', 'E7018', 'carbon', ['covered']],
  ['E 42 2 B 12 H10', 'E7016', 'carbon', ['covered']],
  ['E 46 4 B 45 H5', 'E7048', 'carbon', ['covered']],
  ['E 42 0 RR 12', 'E6013', 'carbon', ['covered']],
  ['E 38 0 RC 11', 'E6013', 'carbon', ['covered']],
  ['E 38 2 RB 12', 'E6013', 'carbon', ['covered']],
  ['E 42 0 RR 53', 'E7024', 'carbon', ['covered']],
  ['E 42 3 C 25', 'E6010', 'carbon', ['covered']],
  ['E 38 3 C 11', 'E6011', 'carbon', ['covered']],
  ['E 4918', 'E7018', 'carbon', ['covered']],
  ['E4313 A', 'E6013', 'carbon', ['covered']],
  ['E 69 6 Mn2NiMo B 42 H5', 'E11018', 'high-strength', ['covered']],
  ['S Al 5356 (AlMg5Cr)', 'ER5356', 'al-magnesium', ['solid', 'rod']],
  ['S Al 5356', 'ER5356', 'al-magnesium', ['solid', 'rod']],
  ['AlMg5', 'ER5356', 'al-magnesium', ['solid', 'rod']],
  ['S AlMg4,5Mn', 'ER5183', 'al-magnesium', ['solid', 'rod']],
  ['S Al 5087 (AlMg4,5MnZr)', 'ER5087', 'al-magnesium', ['solid', 'rod']],
  ['AlSi5', 'ER4043', 'al-silicon', ['solid', 'rod']],
  ['S Al 4043A (AlSi5)', 'ER4043', 'al-silicon', ['solid', 'rod']],
  ['AlSi12', 'ER4047', 'al-silicon', ['solid', 'rod']],
  ['S Al 1450', 'ER1100', 'al-pure', ['solid', 'rod']],
  ['E C NiFe-CI 1', 'ENIFE-CI', 'ENIFE-CI', ['covered']],
  ['ER48S-6', 'ER70S-6', 'carbon', ['solid', 'rod']],
  ['AWS A5.18: ER70S-6', 'ER70S-6', 'carbon', ['solid', 'rod']],
  ['SFA-5.1 E7018-1', 'E7018-1', 'carbon', ['covered']],
  ['ER70S-6 / G 42 4 M21 3Si1', 'ER70S-6', 'carbon', ['solid']],
  ['G3Si1 / ER70S-6', 'ER70S-6', 'carbon', ['solid']],
  ['G3Si1/ER70S-6', 'ER70S-6', 'carbon', ['solid']],
  ['E7018 H4R / E 42 4 B 42 H5', 'E7018H4R', 'carbon', ['covered']],
  ['E71T-1C/M', 'E71T-1C/M', 'carbon', ['cored-gas-shielded']],
]

describe('a designation as it is printed on the package', () => {
  it.each(FAMILIES)('%s is a %s', (printed, aws, family, forms) => {
    expect(designationOf(printed).aws).toBe(aws)
    expect(fillerFamilyOf(printed)).toBe(family)
    expect(formsOfClass(printed)).toEqual(forms)
  })

  it.each(FAMILIES.map(([printed]) => printed))(
    '%s says the same in small letters and with more blanks',
    (printed) => {
      const other = printed.toLowerCase().replaceAll(' ', '  ')
      expect(designationOf(other).aws).toBe(designationOf(printed).aws)
      expect(designationOf(other).iso).toEqual(designationOf(printed).iso)
    },
  )

  it('two names of different metals on one package are believed neither', () => {
    expect(fillerFamilyOf('ER70S-6 / G 19 9 L Si')).not.toBe('carbon')
    expect(fillerFamilyOf('ER70S-6 / G 19 9 L Si')).not.toBe('stainless-308L')
  })

  // A half of a name is none: 42 and 4 say strength and impact, not what it is made of.
  it.each(['G 42 4', 'T 46 4', 'E 42', 'W', 'S', 'E 42 4 X 32', 'G 19 8 L', 'S Al 9999', '304', 'gold'])(
    '%s is no designation of EN ISO',
    (printed) => {
      expect(designationOf(printed).iso).toEqual([])
    },
  )

  it('any text is read without a fault, and gives a name', () => {
    const pieces = fc.constantFrom(
      'G',
      'W',
      'T',
      'E',
      'S',
      '42',
      '4',
      'M21',
      'C1',
      '3Si1',
      'L',
      'R',
      ' ',
      '/',
      'Al',
      ',',
      '-',
      '(',
    )
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(pieces).map((list) => list.join('')),
        ),
        (text) => {
          expect(typeof fillerFamilyOf(text)).toBe('string')
          expect(formsOfClass(text).length).toBeGreaterThan(0)
          expect(designationOf(text).iso.length).toBeLessThanOrEqual(designationOf(text).names.length)
        },
      ),
    )
  })
})

describe('what the parts of a designation say', () => {
  const positions = (classification: string) =>
    positionsOf(sampleWire({ classification, positions: null }))?.value ?? null
  const not = (classification: string, position: Parameters<typeof notForPosition>[1]) =>
    notForPosition(sampleWire({ classification, positions: null }), position)?.value ?? null

  // EN ISO 2560, 17632: 1 all, 2 all but PG, 3 PA and PB, 4 PA, 5 PA, PB and PG.
  it.each([
    ['T 46 4 P M21 1 H5', null, null, null, null],
    ['E 42 4 B 32 H5', null, null, 'upward-only', null],
    ['T 42 3 R C1 3 H10', null, 'beyond', 'beyond', 'beyond'],
    ['E 42 0 RR 74', 'flat-alone', 'beyond', 'beyond', 'beyond'],
    ['E 38 0 RC 35', null, 'beyond', null, 'beyond'],
  ] as const)('%s: horizontal %s, up %s, down %s, overhead %s', (printed, horizontal, up, down, overhead) => {
    expect(not(printed, 'flat')).toBeNull()
    expect(not(printed, 'horizontal')).toBe(horizontal)
    expect(not(printed, 'vertical-up')).toBe(up)
    expect(not(printed, 'vertical-down')).toBe(down)
    expect(not(printed, 'overhead')).toBe(overhead)
  })
  it('the digit decides where the AWS class says less', () => {
    expect(isForDownhill('E71T-1')?.value).toBe(false)
    expect(isForDownhill('E71T-1C / T 46 4 P C1 1 H5')).toMatchObject({
      value: true,
      source: { text: expect.stringContaining('17632-A') as string },
    })
    expect(positions('T 42 3 R C1 3 H10')).toBe('flat-horizontal')
    expect(positions('G 42 4 M21 3Si1')).toBeNull()
  })
  it('what the owner wrote of a wire is before its class', () => {
    const wire = sampleWire({ classification: 'E 42 0 RR 74', positions: 'all' })
    expect(notForPosition(wire, 'horizontal')).toBeNull()
  })

  it.each([
    ['T 46 4 P M21 1 H5', 'mixed'],
    ['T 46 4 P C1 1 H5', 'co2'],
    ['T 46 4 P C1/M21 1 H5', 'either'],
    ['T 46 4 P C1 1 H5 / T 46 4 P M21 1 H5', 'either'],
    ['T 42 4 M M 1 H5', 'mixed'],
    ['T 42 4 Y NO 1 H10', null],
    // A solid wire runs in CO₂ as in a mix, whatever it was classed with (common practice, no source).
    ['G 42 4 M21 3Si1', null],
    // AWS A5.36 writes the gas as EN ISO does.
    ['E71T1-M21A4-CS1-H4', 'mixed'],
    ['E71T1-C1A2-CS1', 'co2'],
  ])('%s is made for %s', (classification, gas) => {
    expect(gasOf(sampleWire({ classification, gasWanted: null }))?.value ?? null).toBe(gas)
  })

  it.each([
    // Recovery digit, EN ISO 2560: odd for both currents, even for DC alone.
    ['E 42 4 B 32 H5', ['dcep', 'ac']],
    ['E 42 4 B 42 H5', ['dcep']],
    ['E7018 / E 42 4 B 42 H5', ['dcep']],
    ['E7018', ['dcep', 'ac']],
    ['E 42 0 RR 12', ['dcen', 'dcep', 'ac']],
    ['E 42 0 RR 22', ['dcen', 'dcep']],
    ['E 38 3 C 21', ['dcep']],
    ['E 18 8 Mn B 22', ['dcep']],
    ['T 46 4 P M21 1 H5', ['dcep']],
    ['T 42 4 Y N 1 H10', ['dcen']],
  ])('%s runs on %j', (classification, polarities) => {
    expect(polaritiesOfClass(classification)?.value).toEqual(polarities)
  })
  it('low hydrogen is what the covering says, and the arc force goes by it', () => {
    expect(coveredClassOf('E 42 4 B 32 H5')?.isLowHydrogen).toBe(true)
    expect(coveredClassOf('E 42 2 B 12 H10')).toMatchObject({ isLowHydrogen: true })
    expect(coveredClassOf('E 42 0 RR 12')?.isLowHydrogen).toBe(false)
    expect([arcForceFor('E 42 4 B 32'), arcForceFor('E 38 3 C 21'), arcForceFor('E 42 0 RR 12')]).toEqual([
      'middle',
      'high',
      'low',
    ])
  })
  it('a cored wire for one pass says so, and others as their AWS class', () => {
    expect(coredLimitsOf('T 3T Z V NO')).toMatchObject({ isSinglePass: true, mostMm: null })
    expect(coredLimitsOf('T 46 4 P M21 1 H5')).toBeNull()
    expect(coredUsabilityOf('T 46 4 P M21 1 H5')?.value.shielding).toBe('gas')
  })
})

describe('currents of sizes that metric shops buy, common practice, no source', () => {
  it.each([
    ['E 42 4 B 32 H5', 2, 40, 75],
    ['E 42 4 B 32 H5', 2.5, 60, 100],
    ['E 42 4 B 32 H5', 3.2, 90, 150],
    ['E 42 0 RR 12', 2.5, 60, 100],
    ['E 42 0 RR 12', 3.2, 80, 140],
    ['E 19 9 L R 12', 2.5, 45, 85],
    ['E 46 4 B 45 H5', 3.2, 100, 170],
    ['E 38 3 C 21', 3.2, 75, 130],
  ])('%s of %f mm: about %i to %i A', (classification, diameterMm, least, most) => {
    const range = coveredRangeOf({ classification, diameterMm })
    expect(Math.abs((range?.minA ?? 0) / least - 1)).toBeLessThan(0.13)
    expect(Math.abs((range?.maxA ?? 0) / most - 1)).toBeLessThan(0.13)
  })
  it.each([
    [1, 100, 240],
    [1.4, 150, 350],
  ])('a gas-shielded cored wire of %f mm: %i to %i A', (diameterMm, minA, maxA) => {
    const wire = sampleWire({
      form: 'cored-gas-shielded',
      classification: 'T 46 4 P M21 1 H5',
      diameterMm,
      currentMinA: null,
      currentMaxA: null,
    })
    expect(wireCurrentRange(wire)).toMatchObject({ minA, maxA })
  })
  it('tungsten of 2.0 and 4.8 mm lies between and above its neighbours (EN ISO 6848 sizes)', () => {
    const at = (mm: number) => tungstenCurrentRange(mm, 'dcen')
    expect(at(2)?.maxA).toBeGreaterThan(at(1.6)?.maxA ?? Infinity)
    expect(at(2)?.maxA).toBeLessThan(at(2.4)?.maxA ?? 0)
    expect(at(4.8)?.minA).toBeGreaterThanOrEqual(at(4)?.maxA ?? Infinity)
    expect(tungstenCurrentRange(4.8, 'ac')?.minA).toBeGreaterThan(
      tungstenCurrentRange(4, 'ac')?.minA ?? Infinity,
    )
  })
})

describe('fillers for pairs of metals, by either name', () => {
  const service = { serviceTemperatureC: null, anodised: false, thickerMm: 3 }
  const isRight = (printed: string, a: Parameters<typeof pairAdvice>[0], b = a): boolean =>
    pairAdvice(a, b, service).fillers.some((one) => isFiller(printed, one))
  it.each([
    ['G 19 9 L Si', 'stainless-304', 'stainless-304'],
    ['E 19 9 L R 12', 'stainless-304', 'stainless-304'],
    ['W 19 12 3 L', 'stainless-316', 'stainless-316'],
    ['W 19 9 Nb', 'stainless-304', 'stainless-304'],
    ['G 23 12 L', 'hot-rolled', 'stainless-304'],
    // The usual wire between black and stainless in Europe (common practice, no source).
    ['G 18 8 Mn', 'hot-rolled', 'stainless-304'],
    ['G3Si1', 'hot-rolled', 'hot-rolled'],
    ['E 42 4 B 32 H5', 'hot-rolled', 'hot-rolled'],
    ['W2Si', 'hot-rolled', 'hot-rolled'],
    ['T 46 4 P M21 1 H5', 'hot-rolled', 'hot-rolled'],
    ['S Al 5356', 'aluminium-5083', 'aluminium-5083'],
    ['S Al 4043A (AlSi5)', 'aluminium-6061', 'aluminium-6061'],
    ['E 42 4 B 42 H5', 'medium-carbon', 'medium-carbon'],
    ['G 69 4 M21 Mn3Ni1CrMo', 'quenched-tempered', 'quenched-tempered'],
  ] as const)('%s joins %s to %s', (printed, a, b) => {
    expect(isRight(printed, a, b)).toBe(true)
  })
  it.each([
    ['G 19 9 L Si', 'stainless-316', 'stainless-316'],
    // Stabilised, and without the molybdenum all the same.
    ['W 19 9 Nb', 'stainless-316', 'stainless-316'],
    ['G3Si1', 'stainless-304', 'stainless-304'],
    ['G 19 9 L Si', 'hot-rolled', 'hot-rolled'],
    ['S Al 4043A (AlSi5)', 'aluminium-5083', 'aluminium-5083'],
    ['E 42 0 RR 12', 'medium-carbon', 'medium-carbon'],
    ['G 69 4 M21 Mn3Ni1CrMo', 'stainless-304', 'stainless-304'],
  ] as const)('%s does not join %s to %s', (printed, a, b) => {
    expect(isRight(printed, a, b)).toBe(false)
  })
})
