import fc from 'fast-check'
import { unit } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { GAUGE_TABLES, type GaugeTableId } from './gauges.ts'
import { KINDS, type ParseContext, parseQuantity, printQuantity, type QuantityKind } from './index.ts'
import { runs } from '../testing/runs.ts'

const IMPERIAL: ParseContext = { system: 'imperial', locale: 'en-US' }
const METRIC: ParseContext = { system: 'metric', locale: 'en-US' }

const valueOf = (kind: QuantityKind, text: string, context = IMPERIAL): number => {
  const parsed = parseQuantity(kind, text, context)
  if (!parsed.ok) throw new Error(parsed.problem.message)
  return parsed.value
}
const problemOf = (kind: QuantityKind, text: string, context = IMPERIAL) => {
  const parsed = parseQuantity(kind, text, context)
  if (parsed.ok) throw new Error(`read as ${parsed.value}`)
  return parsed.problem
}

describe('what people write for a thickness', () => {
  it.each([
    ['1/8', 3.175],
    ['3/16"', 4.7625],
    ['3/16 in', 4.7625],
    ['0.125', 3.175],
    ['.080 in', 2.032],
    ['5 mm', 5],
    ['5,5 mm', 5.5],
    ['1-1/2 in', 38.1],
    ['1 1/2"', 38.1],
    ['1½ in', 38.1],
    ['¼', 6.35],
    ['1.2cm', 12],
    ['1/4 in steel', 6.35],
  ])('%s is %f mm', (text, mm) => {
    expect(valueOf('thickness', text)).toBeCloseTo(mm, 9)
  })

  // Gauge tables: Manufacturers' Standard Gage, US Standard Gage, Brown & Sharpe (from memory).
  it.each([
    ['16 ga', 'carbon-steel', 0.0598],
    ['16 ga', 'galvanised', 0.0635],
    ['16 ga', 'stainless', 0.0625],
    ['16 ga', 'aluminium', 0.0508],
    ['14ga 304', undefined, 0.0781],
    ['14 gauge aluminum', undefined, 0.0641],
    ['#10 ga', 'carbon-steel', null],
    ['11 ga mild steel', undefined, 0.1196],
  ] as const)('%s of %s', (text, metal, inches) => {
    const context: ParseContext = metal ? { ...IMPERIAL, metal } : IMPERIAL
    const parsed = parseQuantity('thickness', text, context)
    expect(parsed.ok ? parsed.value / 25.4 : null).toEqual(inches === null ? null : expect.closeTo(inches, 9))
  })

  it('takes a bare number in the unit of the setting', () => {
    expect(valueOf('thickness', '5', METRIC)).toBe(5)
    expect(valueOf('thickness', '0.25', IMPERIAL)).toBeCloseTo(6.35, 9)
  })

  it('takes a bare fraction as inches in either setting: nobody writes fractions of a millimetre', () => {
    expect(valueOf('thickness', '1/4', METRIC)).toBeCloseTo(6.35, 9)
  })
})

describe('other quantities', () => {
  // mathjs as a second opinion on every unit.
  it.each([
    ['length', "2' 6 in", unit('30 in').toNumber('mm')],
    ['length', '2 ft 6-1/2 in', unit('30.5 in').toNumber('mm')],
    ['length', '2’ 6″', unit('30 in').toNumber('mm')],
    ['length', '3 feet 4 inches', unit('40 in').toNumber('mm')],
    ['length', '2 ft 6', unit('30 in').toNumber('mm')],
    ['length', '4 ft', unit('4 ft').toNumber('mm')],
    ['length', '1.2 m', 1200],
    ['wireFeedSpeed', '280 ipm', unit('280 in/min').toNumber('mm/minute')],
    ['wireFeedSpeed', '7.1 m/min', 7100],
    ['travelSpeed', '12', unit('12 in/min').toNumber('mm/minute')],
    ['gasFlow', '30 cfh', unit('30 ft^3/hour').toNumber('l/minute')],
    ['gasFlow', '14 l/min', 14],
    ['mass', '11 lb', unit('11 lbm').toNumber('g')],
    ['mass', '12 oz', unit('12 oz').toNumber('g')],
    ['gasVolume', '125 ft3', unit('125 ft^3').toNumber('l')],
    ['diameter', '.035', unit('0.035 in').toNumber('mm')],
  ] as const)('%s “%s”', (kind, text, value) => {
    expect(valueOf(kind, text)).toBeCloseTo(value, 6)
  })
})

describe('the length of a cable, a cord or a lead', () => {
  it('is feet where nothing is said, and metres in a metric shop: never inches, which made a false fits', () => {
    expect(valueOf('run', '25')).toBeCloseTo(7620, 9)
    expect(valueOf('run', '100')).toBeCloseTo(30_480, 9)
    expect(valueOf('run', '25', METRIC)).toBe(25_000)
    expect(valueOf('run', '7,5', { system: 'metric', locale: 'de-DE' })).toBe(7500)
    expect(valueOf('run', '30 in')).toBeCloseTo(762, 9)
    expect(valueOf('run', '30 m')).toBe(30_000)
  })
  it('is shown back in feet or in metres', () => {
    expect(printQuantity('run', 7620, IMPERIAL)).toBe('25 ft')
    expect(printQuantity('run', 30_000, IMPERIAL)).toBe('98.425 ft')
    expect(printQuantity('run', 7620, METRIC)).toBe('7.62 m')
  })
})

describe('what cannot be understood', () => {
  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['3/0', 'zero-denominator'],
    ['1/8 ga', 'gauge-not-whole'],
    ['-2 mm', 'negative'],
    ['−2 mm', 'negative'],
    ['1e9 mm', 'out-of-range'],
    ['0 mm', 'out-of-range'],
    ['thick', 'not-a-number'],
    ['NaN', 'not-a-number'],
    ['5', 'ambiguous'],
    ['1,250 mm', 'ambiguous'],
    ['5 furlongs', 'unknown-unit'],
    ['14 ga', 'gauge-needs-metal'],
    ['14 ga unobtainium', 'gauge-needs-metal'],
    ['2 ga 304', 'unknown-gauge'],
    ['99 ga steel', 'unknown-gauge'],
    ["'; DROP TABLE job; --", 'not-a-number'],
    ['9'.repeat(400), 'not-a-number'],
  ])('%s: %s', (text, code) => {
    expect(problemOf('thickness', text).code).toBe(code)
  })

  it('says what was understood and what to write instead', () => {
    const galvanised = problemOf('thickness', '6 ga', { ...IMPERIAL, metal: 'galvanised' })
    expect(galvanised.message).toContain('galvanised sheet has no 6 ga')
    expect(galvanised.message).toContain('in or mm')
    expect(problemOf('thickness', '5').message).toContain('5 mm, 5 ga or 5 in')
    expect(problemOf('thickness', '1e9 mm').message).toBe(
      '“1e9 mm” is above the maximum of 11.811 in. Enter 1/4 in or 16 ga.',
    )
  })

  it.each(["2' 6 ft", '2 ft 6 lb', '2 ft 6 inx', '2 ft 6 xin', '2 ft 1/0'])(
    'refuses %s: what stands behind the feet is inches and nothing else',
    (text) => {
      expect(parseQuantity('length', text, IMPERIAL).ok).toBe(false)
    },
  )
  it('a metal stands behind gauge or unit, in any letters, and nothing else does', () => {
    expect(valueOf('thickness', '16 GA Stainless') / 25.4).toBeCloseTo(0.0625, 9)
    expect(valueOf('thickness', '1/4 in  mild steel')).toBeCloseTo(6.35, 9)
    expect(parseQuantity('thickness', '1/4 in wood', IMPERIAL).ok).toBe(false)
    expect(parseQuantity('length', '4 ft steel', IMPERIAL).ok).toBe(false)
  })

  it('refuses a metal other than the part’s', () => {
    expect(problemOf('thickness', '14 ga 304', { ...IMPERIAL, metal: 'aluminium' }).code).toBe(
      'metals-differ',
    )
  })

  it('refuses a gauge where none is used', () => {
    expect(problemOf('weldSize', '16 ga').code).toBe('gauge-not-here')
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), fc.constantFrom(...kinds), (text, kind) => {
        const parsed = parseQuantity(kind, text, IMPERIAL)
        if (!parsed.ok) return parsed.problem.message.length > 10
        return parsed.value >= KINDS[kind].least - 1e-3 && parsed.value <= KINDS[kind].most * (1 + 1e-6)
      }),
      { numRuns: runs(500) },
    )
  })
})

const kinds = Object.keys(KINDS) as QuantityKind[]
const systems = fc.constantFrom<ParseContext>(
  IMPERIAL,
  METRIC,
  { system: 'metric', locale: 'de-DE' },
  { system: 'imperial', locale: 'fr-FR' },
)

describe('print and parse', () => {
  it('printed values parse back to themselves', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        systems,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (kind, system, share) => {
          const { least, most } = KINDS[kind]
          // Over the decades evenly: a field holds 0.5 mm as often as 300 mm.
          const value = Math.max(least, 1e-3) * (most / Math.max(least, 1e-3)) ** share
          const printed = printQuantity(kind, value, system)
          const once = parseQuantity(kind, printed, system)
          // A value within a print's rounding of the limit may print just outside it.
          if (!once.ok) return once.problem.code === 'out-of-range' && (share < 0.02 || share > 0.98)
          const twice = parseQuantity(kind, printQuantity(kind, once.value, system), system)
          return twice.ok && Math.abs(twice.value - once.value) <= 1e-9 * Math.max(1, once.value)
        },
      ),
      { examples: [['gasFlow', IMPERIAL, 0.02]] },
    )
  })

  it('every sixteenth of an inch prints as its fraction and parses to the same value', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 160 }), (sixteenths) => {
        const mm = (sixteenths / 16) * 25.4
        return Math.abs(valueOf('thickness', printQuantity('thickness', mm, IMPERIAL)) - mm) < 1e-9
      }),
    )
  })

  it('every gauge of every table is read in its metal', () => {
    const tables = Object.keys(GAUGE_TABLES) as GaugeTableId[]
    for (const metal of tables) {
      for (const [gauge, inches] of GAUGE_TABLES[metal].inches) {
        expect(valueOf('thickness', `${gauge} ga`, { ...METRIC, metal })).toBeCloseTo(inches * 25.4, 9)
      }
    }
  })
})
