/**
 * No figure is read in a unit that it was not written in: 10,000 values a field, in every locale, with every unit.
 * Units are exact by definition (NIST SP 811, appendix B).
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '../testing/runs.ts'
import { KINDS, type QuantityKind } from './kinds.ts'
import { decimalMarkOf } from './numberFormat.ts'
import { parseQuantity } from './parse.ts'
import { readPlainNumber } from './plainNumber.ts'
import { printQuantity } from './print.ts'
import { LOCALES, type Locale, type UnitSystem } from './units.ts'

const VALUES = 10_000
const kinds = Object.keys(KINDS) as QuantityKind[]
const notations = LOCALES.flatMap((locale) =>
  (['imperial', 'metric'] as const).map(
    (system) => ({ system, locale }) as { system: UnitSystem; locale: Locale },
  ),
)
const comma = (locale: Locale): boolean => (1.5).toLocaleString(locale).includes(',')

describe.each(kinds)('a %s', (kind) => {
  const { least, most, spellings } = KINDS[kind]
  const units = Object.entries(spellings)

  it('with a unit is in that unit, in every shop and locale', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        // Two decimals: three behind a mark could be a thousand, and are asked about.
        fc.integer({ min: 1, max: 99_999 }),
        fc.constantFrom(...notations),
        fc.boolean(),
        ([spelling, { worth }], hundredths, notation, hasComma) => {
          const figure = (hundredths / 100).toFixed(2).replace('.', hasComma ? ',' : '.')
          const read = parseQuantity(kind, `${figure} ${spelling}`, notation)
          const meant = (hundredths / 100) * worth
          if (read.ok) expect(read.value).toBeCloseTo(meant, 6)
          // It is refused only where it cannot be.
          else
            expect(meant < least || meant > most, `${figure} ${spelling}: ${read.problem.message}`).toBe(true)
        },
      ),
      { numRuns: runs(VALUES) },
    )
  })

  it('as it is printed reads back, in every shop and locale', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.constantFrom(...notations),
        (share, notation) => {
          // Not at the very ends: what is printed there may be rounded out of what is possible.
          const [low, high] = [Math.max(least * 2, most / 1e4), most / 2]
          const value = low * (high / low) ** share
          const printed = printQuantity(kind, value, notation)
          const read = parseQuantity(kind, printed, notation)
          if (!read.ok) throw new Error(`${printed}: ${read.problem.message}`)
          // What is printed twice is the same text: nothing creeps.
          expect(printQuantity(kind, read.value, notation)).toBe(printed)
          expect(Math.abs(read.value / value - 1)).toBeLessThan(0.3)
        },
      ),
      { numRuns: runs(VALUES) },
    )
  })
})

describe('gas in a cylinder', () => {
  // Room times pressure: an ideal gas at 1 bar, common practice.
  it.each([
    ['50 l, 200 bar', 'de-DE', 10_000],
    ['50 L 200 bar', 'en-GB', 10_000],
    ['50l/200bar', 'de-DE', 10_000],
    ['10 l @ 300 bar', 'sv-SE', 3000],
    ['10,2 l, 200 bar', 'de-DE', 2040],
    ['44 L, 2640 psi', 'en-US', 8009],
  ] as const)('%s is %s: %i L', (written, locale, litres) => {
    const read = parseQuantity('cylinder', written, { system: 'metric', locale })
    expect(read).toMatchObject({ ok: true })
    expect(read.ok && Math.abs(read.value / litres - 1)).toBeLessThan(0.001)
  })
  it('the size of the cylinder alone is not the gas in it', () => {
    for (const written of ['50 L', '20 l', '50'])
      expect(parseQuantity('cylinder', written, { system: 'metric', locale: 'de-DE' })).toMatchObject({
        ok: false,
        problem: { message: expect.stringContaining('50 L, 200 bar') as string },
      })
  })
})

describe('a temperature or a wind in the other scale', () => {
  it.each([
    ['212 °F', '°C', 100],
    ['−40 °F', '°C', -40],
    ['150 f', '°C', 66],
    ['180 °C', '°F', 356],
    ['-40 c', '°F', -40],
    ['100', '°C', 100],
    ['100 °C', '°C', 100],
    ['10 mph', 'km/h', 16],
    ['5 m/s', 'km/h', 18],
    ['16 km/h', 'mph', 10],
  ])('%s in a field of %s is %f', (written, unit, value) => {
    expect(readPlainNumber(written, unit, 'en-US')).toBe(value)
  })
  it('of another kind is refused', () => {
    expect(readPlainNumber('100 °F', 'A', 'en-US')).toBeNull()
    expect(readPlainNumber('100 mph', '°C', 'en-US')).toBeNull()
    expect(readPlainNumber('400/230', 'A', 'en-US')).toBeNull()
  })
})

describe('the mark that a file writes before its decimals', () => {
  it.each([
    [['4989,5', '12'], ','],
    [['453,6 g'], ','],
    [['1.250,5'], ','],
    [['0,035'], ','],
    [['4989.5'], '.'],
    [['1,250.5'], '.'],
    [['1,200', '12'], null],
    [['1.200'], null],
    [['4,5', '4.5'], null],
    [['1/4', 'abc', ''], null],
  ])('%j: %s', (cells, mark) => {
    expect(decimalMarkOf(cells)).toBe(mark)
  })
  it('is found among any number of whole figures, in every locale', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 999 })),
        fc.constantFrom(...LOCALES),
        (whole, locale) => {
          const cells = [...whole.map(String), (1234.5).toLocaleString(locale, { useGrouping: false })]
          expect(decimalMarkOf(cells)).toBe(comma(locale) ? ',' : '.')
        },
      ),
    )
  })
})

describe('a plain figure', () => {
  it('as it is printed reads back in its unit, and in no other, in every locale', () => {
    const units = ['A', 'V', '%', '°C', 'km/h', 'kVA', 's', '']
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999 }),
        fc.constantFrom(0, 1, 2),
        fc.constantFrom(...units),
        fc.constantFrom(...LOCALES),
        (digits, places, unit, locale) => {
          const value = digits / 10 ** places
          const printed = value.toLocaleString(locale, { useGrouping: false, maximumFractionDigits: 2 })
          expect(readPlainNumber(`${printed} ${unit}`, unit, locale)).toBeCloseTo(value, 9)
          for (const other of units)
            if (other !== unit && other !== '' && unit !== '')
              expect(readPlainNumber(`${printed} ${unit}`, other, locale)).toBeNull()
        },
      ),
      { numRuns: runs(VALUES) },
    )
  })
})
