/** Figures in other units and as they are printed: NIST SP 811, appendix B (from memory), and what a counter sells. */
import { describe, expect, it } from 'vitest'
import { KINDS } from './kinds.ts'
import { parseQuantity } from './parse.ts'
import { readPlainNumber } from './plainNumber.ts'
import { asFraction, printQuantity } from './print.ts'
import { printNumber, printTenth, printValue, printWholeAmps } from './printValue.ts'

const INCH = { system: 'imperial', locale: 'en-US' } as const
const MM = { system: 'metric', locale: 'en-GB' } as const

describe('a figure in another unit', () => {
  it.each([
    ['2 in', 'mm', 50.8],
    ['50.8 mm', 'in', 2],
    ['100 in/min', 'mm/min', 2540],
    ['2540 mm/min', 'in/min', 100],
    ['2540 mm/min', 'in/min', 100],
    // 1 ft³/h is 0.471947 L/min.
    ['14.1584 L/min', 'CFH', 30],
    ['30 CFH', 'L/min', 14.158],
    ['30 scfh', 'L/min', 14.158],
    ['2 kW', 'W', 2000],
    ['500 W', 'kW', 0.5],
    ['90 min', 'h', 1.5],
    ['1800 s', 'h', 0.5],
    ['2 h', 'min', 120],
    ['30 s', 'min', 0.5],
    ['2 min', 's', 120],
    ['1 h', 's', 3600],
    ['212 °F', '°C', 100],
    ['-40 f', '°C', -40],
    ['100 °C', '°F', 212],
    ['10 m/s', 'km/h', 36],
    ['10 mph', 'km/h', 16],
    ['16 km/h', 'mph', 10],
    ['10 m/s', 'mph', 22],
  ] as const)('%s is so many %s', (text, unit, value) => {
    expect(readPlainNumber(text, unit, 'en-US')).toBeCloseTo(value, 3)
  })
  it('is none where the unit is of something else', () => {
    for (const [text, unit] of [
      ['2 kg', 'mm'],
      ['2 in', 'in/min'],
      ['2 mm', ''],
      ['$2 in', 'mm'],
      ['2 W', 's'],
    ] as const)
      expect(readPlainNumber(text, unit, 'en-US'), text).toBeNull()
  })
  it('below zero has its sign in front, and money its sign on either side', () => {
    for (const text of ['-20', '− 20', '–20 °C']) expect(readPlainNumber(text, '°C', 'en-US'), text).toBe(-20)
    expect(readPlainNumber('20 - 5', '°C', 'en-US')).toBeNull()
    for (const text of ['$95', '95 $', '€ 95', '95 EUR', 'kr. 95', '95 kr', '$95 per day', '95 usd'])
      expect(readPlainNumber(text, '', 'en-US'), text).toBe(95)
    expect(readPlainNumber('1,250', '', 'en-US')).toBeNull()
    expect(readPlainNumber('$1,250', '', 'en-US')).toBe(1250)
    expect(readPlainNumber('1.250,50 €', '', 'de-DE')).toBe(1250.5)
  })
})

describe('a fraction of an inch', () => {
  it('is in lowest terms down to a thirty-second; a sixty-fourth reads worse than its decimal', () => {
    const fractions = [0.5, 0.25, 0.125, 0.0625, 0.03125, 0.75, 0.875, 0.40625, 1.5, 3.03125, 2, 12].map(
      asFraction,
    )
    expect(fractions).toEqual([
      '1/2',
      '1/4',
      '1/8',
      '1/16',
      '1/32',
      '3/4',
      '7/8',
      '13/32',
      '1-1/2',
      '3-1/32',
      '2',
      '12',
    ])
    for (const none of [0, 0.001, 1 / 64, 3 / 64, 1 + 1 / 64, 0.0622, 0.1, 1 / 3])
      expect(asFraction(none), `${none}`).toBeNull()
  })
})

describe('a figure in print', () => {
  it('of wire is three decimals of an inch, a fraction from 1/16 on', () => {
    const printed = (inches: number) => printQuantity('diameter', inches * 25.4, INCH)
    expect([printed(0.03), printed(0.045), printed(0.0625), printed(0.125), printed(0.1)]).toEqual([
      '0.030 in',
      '0.045 in',
      '1/16 in',
      '1/8 in',
      '0.100 in',
    ])
    expect(printQuantity('diameter', 0.0625 * 25.4, MM)).toMatch(
      /^1\.59 mm$|^1\.6 mm$|^1\.588 mm$|^1\.5875 mm$/,
    )
    // By commas where the shop writes them.
    expect(printQuantity('diameter', 0.03 * 25.4, { ...INCH, locale: 'de-DE' })).toBe('0,030 in')
  })
  it('of a long weld is feet from ten feet on', () => {
    const printed = (inches: number) => printQuantity('length', inches * 25.4, INCH)
    expect([printed(119), printed(120), printed(121), printed(240)]).toEqual([
      '119 in',
      '10 ft',
      '121 in',
      '20 ft',
    ])
  })
  it('that is endless is no limit, or nothing', () => {
    expect([
      printNumber(Infinity, 'en-US'),
      printNumber(-Infinity, 'en-US'),
      printNumber(NaN, 'en-US'),
    ]).toEqual(['no limit', '–', '–'])
    expect([printNumber(0, 'en-US'), printNumber(-3, 'en-US'), printNumber(12345.6, 'en-US')]).toEqual([
      '0',
      '−3',
      '12,346',
    ])
  })
  it('of per cent has three figures from a hundred on', () => {
    const percent = (value: number) => printValue(value, '%', MM)
    expect([percent(99.4), percent(99.6), percent(100), percent(123.4), percent(5.44)]).toEqual([
      '99 %',
      '100 %',
      '100 %',
      '123 %',
      '5.4 %',
    ])
  })
  it('of a time is seconds, minutes or hours, as a person says it', () => {
    const time = (seconds: number) => printValue(seconds, 's', MM)
    expect([time(119.4), time(120), time(599), time(600), time(3599), time(3600), time(5400)]).toEqual([
      '119 s',
      '2 min 0 s',
      '9 min 59 s',
      '10 min',
      '1 h 00 min',
      '1 h 00 min',
      '1 h 30 min',
    ])
    expect(printValue(1.5, 'h', MM)).toBe('1 h 30 min')
  })
  it('in millimetres has two decimals where it was called for so, else one', () => {
    const mm = (value: number) => printValue(value, 'mm', MM)
    expect([mm(2.5), mm(2.38), mm(2.381), mm(6), mm(-1.25)]).toEqual([
      '2.5 mm',
      '2.38 mm',
      '2.4 mm',
      '6 mm',
      '−1.25 mm',
    ])
  })
  it('changes its unit where the larger one reads better', () => {
    expect([printValue(999, 'mm/min', MM), printValue(1000, 'mm/min', MM)]).toEqual([
      '99.9 cm/min',
      '1 m/min',
    ])
    expect([printValue(999, 'g', MM), printValue(1000, 'g', MM)]).toEqual(['999 g', '1 kg'])
    expect([printValue(999, 'mm length', MM), printValue(1000, 'mm length', MM)]).toEqual(['999 mm', '1 m'])
    expect([printValue(119 * 25.4, 'mm length', INCH), printValue(120 * 25.4, 'mm length', INCH)]).toEqual([
      '119 in',
      '10 ft',
    ])
    // Below a cubic foot two figures are enough.
    expect([printValue(14.16, 'L', INCH), printValue(100 * 28.316846592, 'L', INCH)]).toEqual([
      '0.5 ft³',
      '100 ft³',
    ])
  })
  it('in inches is a fraction where it is nearly one, from an eighth on', () => {
    const inches = (value: number) => printValue(value * 25.4, 'mm', INCH)
    expect([inches(0.125), inches(0.128), inches(0.13), inches(1), inches(1.3125), inches(2.003)]).toEqual([
      '1/8 in',
      '1/8 in',
      '0.13 in',
      '1 in',
      '1-5/16 in',
      '2 in',
    ])
    expect(inches(0.0598)).toBe('0.06 in')
  })
  it('of a diameter in inches is what a counter sells: 1.0 mm is 0.040, 1.2 mm is 3/64', () => {
    const sold = (mm: number) => printValue(mm, 'mm diameter', INCH)
    expect([
      sold(0.6),
      sold(0.8),
      sold(0.9),
      sold(1.0),
      sold(1.2),
      sold(1.6),
      sold(2.4),
      sold(3.2),
      sold(4),
      sold(0.045 * 25.4),
    ]).toEqual([
      '0.023 in',
      '0.030 in',
      '0.035 in',
      '0.040 in',
      '3/64 in',
      '1/16 in',
      '3/32 in',
      '1/8 in',
      '5/32 in',
      '0.045 in',
    ])
  })
  it('of a word is the word, and of an unknown unit the figure with it', () => {
    expect(printValue('M21', '', MM)).toBe('M21')
    expect(printValue('two', 'coats', MM)).toBe('two coats')
    expect([printValue(3, 'coats', MM), printValue(3, '', MM)]).toEqual(['3 coats', '3'])
    expect([
      printWholeAmps(4.26, 'en-US'),
      printWholeAmps(10, 'en-US'),
      printWholeAmps(145.4, 'en-US'),
    ]).toEqual(['4.3', '10', '145'])
    expect(printTenth(20.46, 'de-DE')).toBe('20,5')
  })
})

describe('a figure without a unit, or with another', () => {
  const read = (text: string, metal?: 'carbon-steel' | 'stainless') =>
    parseQuantity('thickness', text, { ...INCH, ...(metal ? { metal } : {}) })
  const message = (text: string, metal?: 'carbon-steel') => {
    const answer = read(text, metal)
    return answer.ok ? `${answer.value}` : answer.problem.message
  }
  it('that is whole may be inches, millimetres or a gauge from a few inches on, and is asked about', () => {
    const { bareWholeInchesBelow: limit = NaN } = KINDS.thickness
    expect(message(`${limit}`)).toContain('has no unit')
    expect(message(`${limit}`)).toContain(`${limit} ga`)
    expect(message(`${limit - 1}`)).not.toContain('has no unit')
    expect(message(`${limit}.5`)).not.toContain('has no unit')
    expect(message('0')).not.toContain('has no unit')
    const metric = parseQuantity('thickness', `${limit}`, MM)
    expect(metric.ok && metric.value).toBe(limit)
  })
  it('names the units that there are, each once', () => {
    const told = message('5 apples')
    expect(told).toContain('“apples” is not a unit of')
    const units = /Use (.*)\.$/.exec(told)?.[1]?.split(/, | or /) ?? []
    expect(units).toEqual([...new Set(units)])
    expect(units).toEqual(expect.arrayContaining(['mm', 'in', 'ga']))
  })
  it('of a gauge is whole, of a metal that has it, and of no other thing', () => {
    // 16 ga: 0.0598 in of steel, 0.0625 in of stainless (manufacturers' standard gauge; ASTM A480).
    const steel = read('16 ga', 'carbon-steel')
    expect(steel.ok && steel.value / 25.4).toBeCloseTo(0.0598, 4)
    const stainless = read('16 ga stainless')
    expect(stainless.ok && stainless.value / 25.4).toBeCloseTo(0.0625, 4)
    expect(message('16.5 ga', 'carbon-steel')).toContain('a gauge is a whole number')
    expect(message('16 ga')).toContain('is a different thickness in each metal')
    expect(message('16 ga banana')).toContain('“banana” is not one')
    expect(message('16 ga stainless', 'carbon-steel')).not.toMatch(/^\d/)
    expect(message('99 ga', 'carbon-steel')).not.toMatch(/^\d/)
    const length = parseQuantity('length', '16 ga', INCH)
    expect(length.ok ? '' : length.problem.code).toBe('gauge-not-here')
  })
})
