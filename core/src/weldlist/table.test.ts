/** A list as a table, cell by cell: headings, guessed columns, what is usual where nothing is written, and unique ids. */
import { describe, expect, it } from 'vitest'
import type { Notation } from '../quantity/units.ts'
import { joint } from '../testing/samples.ts'
import { headingOf, COLUMNS, splitHeading } from './columns.ts'
import { flagProblem, saidWords, takeFlags } from './flags.ts'
import { guessFields, isLineField, LINE_FIELDS, printLineField, readLineField } from './lines.ts'
import {
  interpretRows,
  isHeadingRow,
  mapColumns,
  MOST_COLUMNS,
  printTable,
  readTable,
  withUniqueIds,
} from './table.ts'

const INCH: Notation = { system: 'imperial', locale: 'en-US' }
const MM: Notation = { system: 'metric', locale: 'de-DE' }

describe('a heading', () => {
  it.each([
    ['Length [in]', 'length', 'in'],
    ['length_mm', 'length', 'mm'],
    ['Weld  length (inch)', 'weld length', 'inch'],
    ['leg', 'leg', ''],
    ['root gap mm', 'root gap', 'mm'],
    ['  Thk ( MM ) ', 'thk', 'mm'],
    ['in', 'in', ''],
  ])('%s is a name and a unit', (text, name, unit) => {
    expect(splitHeading(text)).toEqual({ name, unit })
  })
  it('of ours says the unit of a length, and of nothing else', () => {
    const named = Object.fromEntries(COLUMNS.map((column) => [column.key, headingOf(column)]))
    expect(named['lengthMm']).toBe('length (mm)')
    expect(named['kind']).toBe('joint')
    expect(named['count']).toBe('count')
  })
  it('is matched once, in any case, by its own name or another; a unit that is no length is left out', () => {
    expect(mapColumns(['LEG', 'Size', 'OD (mm)', 'Count (pcs)'])).toEqual([
      { heading: 'LEG', key: 'legMm', unit: '' },
      { heading: 'Size', key: 'Size', unit: '' },
      { heading: 'OD (mm)', key: 'diameterMm', unit: 'mm' },
      { heading: 'Count (pcs)', key: 'count', unit: '' },
    ])
    expect(mapColumns(['Parts', 'Pattern'])).toMatchObject([{ key: 'Parts' }, { key: 'pattern' }])
    expect(mapColumns(Array.from({ length: MOST_COLUMNS + 1 }, () => 'x'))).toHaveLength(MOST_COLUMNS)
  })
  it('row begins with no figure in any cell, and says something', () => {
    expect(isHeadingRow(['count', 'joint'])).toBe(true)
    expect(isHeadingRow(['', 'joint'])).toBe(true)
    expect(isHeadingRow(['', ' '])).toBe(false)
    for (const cell of ['4', ' 3/16', '(2) x 6', '#10', '.065']) expect(isHeadingRow(['T', cell])).toBe(false)
  })
})

describe('a list without headings', () => {
  it('is read column by column as a weld line is typed', () => {
    const pad = [
      ['4 x 6 in', 'T', '3/16 to 1/4', '3/16', 'horizontal'],
      ['2 x 8 in', 'lap', '1/4', '1/4', 'flat'],
    ]
    const { mapping, rows, hasHeadings } = interpretRows(pad, INCH)
    expect(hasHeadings).toBe(false)
    expect(rows).toBe(pad)
    expect(mapping.map(({ key, heading }) => [key, heading])).toEqual([
      ['Welds', 'Column 1'],
      ['Joint', 'Column 2'],
      ['Parts', 'Column 3'],
      ['Size', 'Column 4'],
      ['Position', 'Column 5'],
    ])
    const [first, second] = readTable(rows, mapping, INCH)
    expect(first?.joint).toMatchObject({ count: 4, kind: 'tee', position: 'horizontal' })
    expect(first?.joint?.lengthMm).toBeCloseTo(152.4, 6)
    expect(first?.joint?.legMm).toBeCloseTo(4.7625, 6)
    expect(second?.joint).toMatchObject({ count: 2, kind: 'lap', position: 'flat' })
  })
  it('with headings has them apart from its rows', () => {
    const { mapping, rows, hasHeadings } = interpretRows(
      [
        ['count', 'joint'],
        ['4', 'T'],
      ],
      INCH,
    )
    expect([hasHeadings, rows, mapping.map(({ key }) => key)]).toEqual([
      true,
      [['4', 'T']],
      ['count', 'kind'],
    ])
    expect(interpretRows([], INCH)).toEqual({ mapping: [], rows: [], hasHeadings: false })
  })
  it('leaves a column out that no field reads half of', () => {
    const rows = [
      ['4 x 6 in', 'ask Hazel', 'T'],
      ['2 x 6 in', '', 'T'],
      ['', '', ''],
    ]
    expect(guessFields(rows, joint(), INCH)).toEqual(['Welds', null, 'Joint'])
    const half = [['T'], ['?'], ['T'], ['?']]
    expect(guessFields(half, joint(), INCH)).toEqual(['Joint'])
    expect(guessFields([['T'], ['?'], ['?']], joint(), INCH)).toEqual([null])
    expect(guessFields([], joint(), INCH)).toEqual([])
  })
})

describe('a row', () => {
  const read = (headings: readonly string[], cells: readonly string[], notation = INCH) =>
    readTable([cells], mapColumns(headings), notation)[0]
  it('has the second part as the first where it is not written, and its own where it is', () => {
    expect(read(['material', 'thickness (mm)'], ['304', '3'])?.joint).toMatchObject({
      materialA: 'stainless-304',
      materialB: 'stainless-304',
      thicknessAMm: 3,
      thicknessBMm: 3,
    })
    expect(read(['thickness (mm)', 'thickness 2 (mm)'], ['3', '6'])?.joint).toMatchObject({
      thicknessAMm: 3,
      thicknessBMm: 6,
    })
  })
  it('takes its size from the thinner part where none is written', () => {
    const unsized = read(['Joint', 'Parts'], ['T', '1/8 to 1/4'])?.joint
    expect(unsized?.legMm).not.toBeNull()
    expect(unsized?.legMm).toBeLessThanOrEqual(3.175 + 1e-9)
    const sized = read(['Joint', 'Parts', 'Size'], ['T', '1/8 to 1/4', '1/4'])?.joint
    expect(sized?.legMm).toBeCloseTo(6.35, 6)
    const ofTable = read(['leg (mm)', 'Parts'], ['5', '1/4'])?.joint
    expect(ofTable?.legMm).toBe(5)
  })
  it('reads the text behind the apostrophe that hides a formula', () => {
    expect(read(['count'], ["'-4"])?.problems[0]?.message).not.toContain("'")
    expect(read(['count'], ["'four"])?.problems[0]?.message).toContain("'four")
  })
  it('is numbered from the first below the headings, and says in which cell a line field is wrong', () => {
    const rows = readTable(
      [
        ['T', '', 'flat', '3/16'],
        ['T', '', 'flat', 'huge'],
      ],
      mapColumns(['Joint', 'leg', 'Position', 'Size']),
      INCH,
    )
    expect(rows.map(({ number }) => number)).toEqual([1, 2])
    expect(rows[1]).toMatchObject({ joint: null, problems: [{ field: 'Size', column: 3 }] })
  })
  it('keeps a decimal comma of the file apart from the marks of the shop', () => {
    expect(read(['thickness (mm)'], ['4,5'], MM)?.joint?.thicknessAMm).toBe(4.5)
    expect(read(['thickness (mm)'], ['4,5'], INCH)?.joint?.thicknessAMm).toBe(4.5)
  })
})

describe('ids', () => {
  it('are made unique, against each other and against those that are there', () => {
    const welds = ['w1', 'w1', 'w2', 'w1'].map((id) => joint({ id }))
    expect(withUniqueIds(welds, ['w2']).map(({ id }) => id)).toEqual(['w1', 'w1-2', 'w2-2', 'w1-3'])
    const [first] = withUniqueIds(welds)
    expect(first).toBe(welds[0])
    const long = 'x'.repeat(64)
    const [, again] = withUniqueIds([joint({ id: long }), joint({ id: long })])
    expect(again?.id).toBe(`${'x'.repeat(58)}-2`)
  })
})

describe('a table that is written', () => {
  it('has headings first, then a row a weld', () => {
    const [headings, row] = printTable([joint({ id: 'rail', count: 3 })])
    expect(headings).toEqual(COLUMNS.map(headingOf))
    expect(row?.[0]).toBe('rail')
    expect(row?.[headings?.indexOf('count') ?? -1]).toBe('3')
  })
})

describe('words beside a size', () => {
  it.each([
    ['3/16 both sides', '3/16', { bothSides: true }],
    ['each side, 3/16', '3/16', { bothSides: true }],
    ['3/16 b/s', '3/16', { bothSides: true }],
    ['3/16 one side', '3/16', { bothSides: false }],
    ['CJP', '', { penetration: 'complete' }],
    ['full penetration', '', { penetration: 'complete' }],
    ['PJP, both sides', '', { bothSides: true, penetration: 'partial' }],
    ['6; partial joint penetration; flush', '6;flush', { penetration: 'partial' }],
    ['cjpx', 'cjpx', {}],
  ])('%s', (written, rest, said) => {
    const taken = takeFlags(written)
    expect(taken.said).toEqual(said)
    expect(taken.rest.replaceAll(' ', '')).toBe(rest)
  })
  it('stand only with the joints that have them', () => {
    const problem = (written: string, kind: Parameters<typeof flagProblem>[1]) =>
      flagProblem(takeFlags(written), kind)
    expect(problem('both sides', 'v')).toContain('is for a fillet')
    expect(problem('both sides', 'tee')).toBeNull()
    expect(problem('CJP', 'tee')).toContain('groove weld')
    expect(problem('CJP', 'v')).toBeNull()
    expect(problem('one side', 'v')).toBeNull()
  })
  it('are shown back', () => {
    expect(saidWords(takeFlags('3/16 both sides'))).toEqual(['both sides'])
    expect(saidWords(takeFlags('PJP'))).toEqual(['PJP'])
    expect(saidWords(takeFlags('3/16 one side'))).toEqual([])
  })
})

describe('the fields of a weld line', () => {
  it('are known by name', () => {
    expect(LINE_FIELDS).toEqual(['Welds', 'Joint', 'Parts', 'Size', 'Position', 'Pattern'])
    expect([isLineField('Size'), isLineField('size'), isLineField(null)]).toEqual([true, false, false])
  })
  it('let the size of a new fillet follow its parts until somebody types one', () => {
    const fillet = joint({ legMm: 6.35, thicknessAMm: 6.35, thicknessBMm: 6.35 })
    const legOf = (isUnsized: boolean): number | null => {
      const read = readLineField('Parts', '1/8', fillet, INCH, isUnsized)
      return read.ok ? read.joint.legMm : NaN
    }
    expect(legOf(false)).toBeCloseTo(6.35, 6)
    expect(legOf(true)).toBeLessThanOrEqual(3.175 + 1e-9)
    const sized = readLineField('Size', '3/16', fillet, INCH, true)
    expect(sized.ok && sized.joint.legMm).toBeCloseTo(4.7625, 6)
  })
  it('are printed as they are typed', () => {
    const one = joint({ count: 24, lengthMm: 203.2, position: 'overhead' })
    expect(printLineField('Welds', one, INCH)).toBe('24 × 8 in')
    expect(printLineField('Position', one, INCH)).toMatch(/overhead/i)
  })
})
