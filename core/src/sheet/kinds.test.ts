/** Each kind of cell, as it is printed and as people write it. */
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { describeFields } from '../model/describe.ts'
import { field } from '../model/field.ts'
import {
  type Cell,
  type CellContext,
  gunRatings,
  measure,
  number,
  oneOf,
  OPEN,
  orNothing,
  outputRanges,
  programs,
  ratedPoints,
  rollGrooves,
  someOf,
  tensionMarks,
  voltsDial,
  words,
  yesNo,
} from './cells.ts'
import { cellOf, columnsOf } from './columns.ts'

const read = (cell: Cell, text: string, context: CellContext = OPEN): unknown => {
  const found = cell.read(text, context)
  return found.ok ? found.value : `no: ${found.message}`
}

describe('words, figures and nothing', () => {
  it('a text is as it is, and is asked for where it is missing', () => {
    expect([words().print('Bay 2'), words().print(null), words().print(undefined)]).toEqual(['Bay 2', '', ''])
    expect([read(words(), 'Bay 2'), read(words(), '')]).toEqual(['Bay 2', 'no: is empty. Enter a value'])
  })
  it('an empty cell is nothing where nothing may stand', () => {
    const cell = orNothing(number())
    expect([cell.print(null), cell.print(undefined), cell.print(0), cell.print(4.5)]).toEqual([
      '',
      '',
      '0',
      '4.5',
    ])
    expect([read(cell, ''), read(cell, '0'), read(cell, 'x')]).toEqual([
      null,
      0,
      'no: is “x”. Enter a plain number',
    ])
    // It says how a file writes its figures just where it holds one.
    expect([cell.isFigure, orNothing(words()).isFigure, number().isFigure, measure('mass').isFigure]).toEqual(
      [true, undefined, true, true],
    )
    expect([read(number(), ''), read(measure('mass'), '')]).toEqual(
      Array(2).fill('no: is empty. Enter a value'),
    )
  })
  it('a comma is what the file makes of it', () => {
    const as = (text: string, decimal: CellContext['decimal']) => read(number(), text, { ...OPEN, decimal })
    expect([as('1,500', '.'), as('1,500', ',')]).toEqual([1500, 1.5])
    expect([as('1.500', '.'), as('1.500', null)]).toEqual([1.5, 1.5])
    expect(as('1.500', ',')).toBe('no: is “1.500”, which could be 1500 or 1,500. Enter that')
    expect(as('0.500', ',')).toBe(0.5)
  })
  it('a bare figure has the unit of its column, of its heading, or of the shop', () => {
    const mm = (text: string, unit: string | null, system: 'metric' | 'imperial' = 'metric') =>
      read(measure('thickness'), text, { ...OPEN, unit, notation: { system, locale: 'en-US' } })
    expect(mm('6', null)).toBe(6)
    expect(mm('6', 'cm')).toBe(60)
    expect(mm('1/4', 'in')).toBeCloseTo(6.35)
    // What carries its own unit keeps it.
    expect(mm('6 mm', 'in')).toBe(6)
    expect(mm('1/4', '', 'imperial')).toBeCloseTo(6.35)
    expect(String(mm('thick', 'in'))).toMatch(/^no: /)
  })
})

describe('choices', () => {
  const metals = oneOf(['steel', 'aluminium'], (text) => (text === 'alu' ? 'aluminium' : null))
  it('are read whichever letters are large, and by what else people write', () => {
    expect(['Steel', 'ALUMINIUM', 'Alu'].map((text) => read(metals, text))).toEqual([
      'steel',
      'aluminium',
      'aluminium',
    ])
    expect(read(metals, 'brass')).toBe('no: is “brass”. Enter one of steel, aluminium')
    expect(read(metals, '')).toBe('no: is empty. Enter a value')
    expect([metals.print('steel'), oneOf([1, 3]).print(3), read(oneOf([1, 3]), '3')]).toEqual([
      'steel',
      '3',
      3,
    ])
  })
  it('of many the first six are named', () => {
    const letters = ['a', 'b', 'c', 'd', 'e', 'f']
    expect(read(oneOf(letters), 'x')).toBe('no: is “x”. Enter one of a, b, c, d, e, f')
    expect(read(oneOf([...letters, 'g']), 'x')).toBe('no: is “x”. Enter one of a, b, c, d, e, f …')
  })
  it('several stand in one cell', () => {
    const some = someOf(['dc', 'ac'])
    expect(some.print(['dc', 'ac'])).toBe('dc ac')
    expect(some.print(null)).toBe('')
    for (const text of ['dc ac', 'DC, ac', 'dc;ac', ' dc + ac '])
      expect(read(some, text)).toEqual(['dc', 'ac'])
    expect(read(some, '')).toEqual([])
    expect(read(some, 'dc hf')).toBe('no: is “hf”. Enter one of dc, ac')
  })
  it('yes and no are written in several ways', () => {
    expect([yesNo().print(true), yesNo().print(false), yesNo().print(null)]).toEqual(['yes', 'no', 'no'])
    expect(['yes', 'Y', 'TRUE', '1', 'x'].map((text) => read(yesNo(), text))).toEqual(Array(5).fill(true))
    expect(['no', 'N', 'False', '0'].map((text) => read(yesNo(), text))).toEqual(Array(4).fill(false))
    expect(read(yesNo(), '')).toBe('no: is empty. Enter yes or no')
    for (const text of ['maybe', 'yes please', 'oh no', '10', 'xx'])
      expect(read(yesNo(), text)).toMatch(/Enter yes or no$/)
  })
})

describe('several things in one cell', () => {
  it.each<readonly [string, Cell, readonly object[], string]>([
    [
      'rated points',
      ratedPoints(),
      [
        { currentA: 200, dutyPct: 25, loadV: 24 },
        { currentA: 130, dutyPct: 60, loadV: null },
      ],
      '200 A 25 % 24 V; 130 A 60 %',
    ],
    [
      'ratings of a gun',
      gunRatings(),
      [
        { gas: 'co2', wave: 'dc', currentA: 250, dutyPct: 60 },
        { gas: 'mixed', wave: 'ac', currentA: 180.5, dutyPct: 60 },
      ],
      'co2 dc 250 A 60 %; mixed ac 180.5 A 60 %',
    ],
    [
      'grooves',
      rollGrooves(),
      [
        { form: 'v-smooth', wireMinMm: 0.8, wireMaxMm: 0.9 },
        { form: 'u', wireMinMm: 1.2, wireMaxMm: 1.2 },
      ],
      'v-smooth 0.8-0.9; u 1.2',
    ],
    [
      'programs',
      programs(),
      [{ form: 'solid', metal: 'aluminium', wireMm: 1.2, gas: 'argon' }],
      'solid aluminium 1.2 argon',
    ],
    [
      'ranges',
      outputRanges(),
      [{ family: 'gtaw', mark: 'low range', minA: 5, maxA: 110 }],
      'gtaw low range 5-110 A',
    ],
    [
      'tension marks',
      tensionMarks(),
      [
        { form: 'solid', mark: '3' },
        { form: 'cored-self-shielded', mark: '2½' },
      ],
      'solid = 3; cored-self-shielded = 2½',
    ],
    ['volts', voltsDial(), [{ mark: 'A', value: 16.4 }], 'A = 16.4'],
  ])('%s are printed and read again', (_what, cell, value, text) => {
    expect(cell.print(value)).toBe(text)
    expect(read(cell, text)).toEqual(value)
    expect(cell.print(null)).toBe('')
    expect(read(cell, ' ; ')).toEqual([])
  })

  it.each<readonly [Cell, string, object]>([
    [ratedPoints(), '200A@25%', { currentA: 200, dutyPct: 25, loadV: null }],
    [ratedPoints(), '200 @ 25 %', { currentA: 200, dutyPct: 25, loadV: null }],
    [ratedPoints(), '200 a at 25% 24.5 v', { currentA: 200, dutyPct: 25, loadV: 24.5 }],
    [gunRatings(), 'CO2 DC 250A 60%', { gas: 'co2', wave: 'dc', currentA: 250, dutyPct: 60 }],
    [rollGrooves(), 'V-Smooth 0.8 – 0.9 mm', { form: 'v-smooth', wireMinMm: 0.8, wireMaxMm: 0.9 }],
    [
      programs(),
      'Solid Carbon-Steel 0.9 mm Mixed',
      { form: 'solid', metal: 'carbon-steel', wireMm: 0.9, gas: 'mixed' },
    ],
    [outputRanges(), 'GTAW high 90–230 A', { family: 'gtaw', mark: 'high', minA: 90, maxA: 230 }],
    [tensionMarks(), 'Solid 3', { form: 'solid', mark: '3' }],
    [voltsDial(), 'A 16.4 V', { mark: 'A', value: 16.4 }],
  ])('no. %# is understood as well', (cell, text, value) => {
    expect(read(cell, text)).toEqual([value])
  })

  it.each<readonly [Cell, string, string]>([
    [ratedPoints(), '200 A; 130 A 60 %', '“200 A”'],
    [ratedPoints(), '200 A 25 % 24', '“200 A 25 % 24”'],
    [gunRatings(), 'helium dc 250 A 60 %', '“helium dc 250 A 60 %”'],
    [rollGrooves(), 'u 1.2; w 0.9', '“w 0.9”'],
    [rollGrooves(), 'u', '“u”'],
    [programs(), 'foam aluminium 1.2 argon', '“foam aluminium 1.2 argon”'],
    [programs(), 'solid brass 1.2 argon', '“solid brass 1.2 argon”'],
    [programs(), 'solid aluminium 1.2 air', '“solid aluminium 1.2 air”'],
    [outputRanges(), 'laser low 5-110 A', '“laser low 5-110 A”'],
    [tensionMarks(), 'rod = 3', '“rod = 3”'],
    [tensionMarks(), 'solid', '“solid”'],
  ])('no. %# is refused with what is wrong in it, and an example', (cell, text, wrong) => {
    expect(read(cell, text)).toContain(`no: holds ${wrong}, which is not valid. Enter for example `)
  })
})

describe('columns of a record', () => {
  const schema = z.strictObject({
    name: z.string().meta(field('Name')),
    wireMm: z.number().meta(field('Wire', { quantity: 'diameter' })),
    pieces: z.int().meta(field('Pieces', { heading: 'count' })),
    isHeated: z.boolean().meta(field('Heated')),
    metal: z
      .enum(['steel', 'aluminium'])
      .nullable()
      .meta(field('Metal', { empty: 'any' })),
    outputs: z.array(z.enum(['dc', 'ac'])).meta(field('Outputs')),
    grooves: z
      .array(z.strictObject({ form: z.string().meta(field('Form')) }))
      .meta(field('Grooves', { cell: 'roll-grooves' })),
    rows: z.array(z.strictObject({ form: z.string().meta(field('Form')) })).meta(field('Rows')),
    acBalance: z.strictObject({ minPct2: z.number().meta(field('Least')) }).meta(field('Balance')),
  })
  const fields = describeFields(schema)
  const columns = columnsOf(fields)
  it('have headings in small letters, one for each field of one cell', () => {
    expect(columns.map(({ heading }) => heading)).toEqual([
      'name',
      'wire_mm',
      'count',
      'is_heated',
      'metal',
      'outputs',
      'grooves',
      'ac_balance_min_pct2',
    ])
    expect(columns.at(-1)?.path).toEqual(['acBalance', 'minPct2'])
  })
  it('are read as their fields are', () => {
    const texts = ['Roll', '0.035 in', '4', 'yes', '', 'dc ac', 'u 1.2', '30']
    const values = columns.map(({ cell }, at) => read(cell, texts[at] ?? ''))
    expect(values).toEqual([
      'Roll',
      expect.closeTo(0.889, 6),
      4,
      true,
      null,
      ['dc', 'ac'],
      [{ form: 'u', wireMinMm: 1.2, wireMaxMm: 1.2 }],
      30,
    ])
    const [, , , , metal, , , ,] = fields
    expect(metal && read(cellOf(metal, (text) => (text === 'alu' ? 'aluminium' : null)) as Cell, 'alu')).toBe(
      'aluminium',
    )
    // A list without a form of its own is no cell.
    expect(fields.filter((one) => cellOf(one) === null).map(({ path }) => path[0])).toEqual([
      'rows',
      'acBalance',
    ])
  })
})
