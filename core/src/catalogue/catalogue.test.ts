/** The open formats: what goes out comes back as it was, and what is wrong is named by row and column. */
import { CATALOGUE_KEYS, type CatalogueList, CATALOGUE_VERSION } from './lists.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LIBRARY } from '../library/index.ts'
import { demoShop } from '../testing/samples.ts'
import { readDocument } from '../model/problems.ts'
import { shopDocumentSchema } from '../kinds/shelf.ts'
import { inStock } from '../kinds/counts.ts'
import { kindOfList } from '../kinds/facts.ts'
import { shelves } from '../testing/shelves.ts'
import {
  type Catalogue,
  catalogueOf,
  type CatalogueRecord,
  catalogueSchema,
  readCatalogue,
} from './catalogue.ts'
import { type Sheet, SHEETS } from './sheets.ts'
import { printSheet, readSheet, sheetFor } from './sheetText.ts'
import { runs } from '../testing/runs.ts'

const demo = catalogueOf(demoShop())
const byId = (a: { readonly id: string }, b: { readonly id: string }): number => a.id.localeCompare(b.id)
const recordsOf = (sheet: Sheet, catalogue: Catalogue): CatalogueRecord[] =>
  (catalogue[sheet.of.listKey as CatalogueList] as CatalogueRecord[]).filter(
    (record) =>
      sheet.fixed['kind'] === undefined || ('kind' in record && record.kind === sheet.fixed['kind']),
  )
const sheetOf = (kind: string): Sheet => {
  const found = SHEETS.find((sheet) => sheet.kind === kind)
  if (!found) throw new Error(`no sheet ${kind}`)
  return found
}
/** Out and in again. */
function back(sheet: Sheet, records: readonly CatalogueRecord[], stock = demo.stock) {
  const [headings = [], ...rows] = printSheet(sheet, records, stock)
  return readSheet(sheet, headings, rows)
}
const changed = (
  sheet: Sheet,
  records: readonly CatalogueRecord[],
  heading: string,
  row: number,
  text: string,
) => {
  const [headings = [], ...rows] = printSheet(sheet, records, demo.stock)
  const column = headings.indexOf(heading)
  const edited = rows.map((cells, index) =>
    index === row ? cells.map((cell, at) => (at === column ? text : cell)) : cells,
  )
  return readSheet(sheet, headings, edited)
}

describe('CSV sheets', () => {
  it.each(SHEETS.map((sheet) => [sheet.kind, sheet] as const))(
    '%s of the demo come back as they went',
    (_kind, sheet) => {
      const records = recordsOf(sheet, demo)
      expect(records.length).toBeGreaterThan(0)
      const read = back(sheet, records).items
      expect(read.map(({ record, problems }) => record ?? problems)).toEqual(records)
      const kind = sheet.of.kind
      expect(read.map(({ amount }) => amount ?? null)).toEqual(
        records.map(({ id }) => inStock(demo.stock, kind, id)),
      )
    },
  )

  it.each(SHEETS.map((sheet) => [sheet.kind, sheet] as const))(
    '%s of the metric demo come back as they went',
    (_kind, sheet) => {
      const metric = demoShop('metric')
      const records = recordsOf(sheet, { ...demo, ...metric, format: demo.format, version: demo.version })
      const [headings = [], ...rows] = printSheet(sheet, records, metric.stock)
      expect(
        readSheet(sheet, headings, rows).items.map(({ record, problems }) => record ?? problems),
      ).toEqual(records)
    },
  )

  it.each(['en-US', 'en-GB', 'de-DE', 'fr-FR'] as const)(
    'a shop file in %s goes out and comes in without a difference',
    (locale) => {
      for (const one of [demoShop(), demoShop('metric')]) {
        const whole = { ...one, shop: { ...one.shop, locale } }
        expect(readDocument(shopDocumentSchema, JSON.parse(JSON.stringify(whole)))).toEqual({
          ok: true,
          value: whole,
        })
      }
    },
  )

  // A spreadsheet of another country saves 453.6 as 453,6 and leaves whole numbers as they are.
  it.each(['en-US', 'en-GB', 'de-DE', 'fr-FR'] as const)(
    'what a spreadsheet in %s has saved comes back',
    (locale) => {
      const comma = (1.5).toLocaleString(locale).includes(',')
      for (const sheet of SHEETS) {
        const records = recordsOf(sheet, demo)
        const [headings = [], ...rows] = printSheet(sheet, records, demo.stock)
        const isPlain = (cell: string): boolean => /^-?\d+\.\d+$/.test(cell)
        // Names, classes and lists are text, and no spreadsheet touches them.
        const figures = headings.map(
          (_heading, index) =>
            !['id', 'name', 'classification'].includes(headings[index] ?? '') &&
            rows.some((row) => isPlain(row[index] ?? '')),
        )
        const saved = rows.map((row) =>
          row.map((cell, index) =>
            comma && figures[index] === true && isPlain(cell) ? cell.replace('.', ',') : cell,
          ),
        )
        const items = readSheet(sheet, headings, saved).items
        for (const [index, { record, problems }] of items.entries()) {
          if (record) expect(record).toEqual(records[index])
          // Three figures behind a comma are asked about where no other figure of the file says which they are.
          else for (const { message } of problems) expect(message).toMatch(/could be/)
        }
        expect(items.filter(({ record }) => record !== null).length).toBeGreaterThan(0)
      }
    },
  )

  it('a file of decimal commas says so by one figure, and then none of its figures is asked about', () => {
    const wires = sheetOf('wire')
    const [headings = [], ...rows] = printSheet(wires, demo.wires, demo.stock)
    const at = headings.indexOf('package_g')
    const save = (first: string, second: string) =>
      readSheet(
        wires,
        headings,
        [first, second].map((figure, row) =>
          (rows[row] ?? []).map((cell, column) => {
            if (column === at) return figure
            // The whole file is of one hand.
            return first.includes(',') && /^\d+\.\d+$/.test(cell) ? cell.replace('.', ',') : cell
          }),
        ),
      ).items.map(({ record, problems }) =>
        record && 'packageG' in record ? record.packageG : problems[0]?.message,
      )
    expect(save('453,6', '1,200')).toEqual([453.6, 1.2])
    expect(save('453.6', '1,200')).toEqual([453.6, 1200])
    expect(save('453,6', '1.200')[1]).toContain('could be')
    expect(save('4989,5', '907,2')).toEqual([4989.5, 907.2])
  })

  it('the library comes back as it went', () => {
    for (const sheet of SHEETS) {
      const { path } = sheet.of
      const records = LIBRARY.filter((entry) => entry.path === path)
        .map(({ record }) => record as CatalogueRecord)
        .filter(
          (record) =>
            sheet.fixed['kind'] === undefined || ('kind' in record && record.kind === sheet.fixed['kind']),
        )
      expect(back(sheet, records).items.map(({ record }) => record)).toEqual(records)
    }
  })

  it('any shelf comes back as it went, names with commas, quotes and line feeds included', () => {
    const names = fc
      .string({
        minLength: 1,
        maxLength: 20,
        unit: fc.constantFrom('a', 'Ø', ',', '"', '\n', ';', '=', ' ', '7'),
      })
      .filter((text) => text.trim() === text)
    fc.assert(
      fc.property(shelves, names, (shelf, name) => {
        const catalogue = catalogueOf(shelf)
        for (const sheet of SHEETS) {
          const records = recordsOf(sheet, catalogue).map(
            (record) => ({ ...record, name }) as CatalogueRecord,
          )
          expect(back(sheet, records).items.map(({ record, problems }) => record ?? problems)).toEqual(
            records,
          )
        }
      }),
      { numRuns: runs(40) },
    )
  })

  it('a sheet says itself what it is of', () => {
    for (const sheet of SHEETS) {
      const [headings = [], ...rows] = printSheet(sheet, recordsOf(sheet, demo), demo.stock)
      expect(sheetFor(headings, rows)?.kind).toBe(sheet.kind)
    }
    expect(sheetFor(['id', 'name'], [['a', 'b']])).toBeNull()
  })

  it('takes units as people write them, and headings however they are spelled', () => {
    const read = readSheet(
      sheetOf('contact-tip'),
      ['Kind', 'ID', 'Name', 'Held', 'Price', 'Stock', 'Wire mm', 'Parts class'],
      [['contact-tip', 'tip', 'Tip', 'owned', '', '4', '0.035 in', '']],
    )
    expect(read.items[0]?.record).toMatchObject({ wireMm: 0.889, partsClass: null })
    expect(read.items[0]?.amount).toBe(4)
  })

  it.each([
    [
      'drive-roll',
      'grooves',
      'V-smooth 0.8 – 0.9 mm; u 1.2',
      [
        { form: 'v-smooth', wireMinMm: 0.8, wireMaxMm: 0.9 },
        { form: 'u', wireMinMm: 1.2, wireMaxMm: 1.2 },
      ],
    ],
    [
      'power-source',
      'programs',
      'solid carbon-steel 0.9 mm mixed',
      [{ form: 'solid', metal: 'carbon-steel', wireMm: 0.9, gas: 'mixed' }],
    ],
    [
      'power-source',
      'ranges',
      'gtaw range B 90–230 A',
      [{ family: 'gtaw', mark: 'range B', minA: 90, maxA: 230 }],
    ],
  ])('%s reads %s in one cell: %s', (kind, heading, text, value) => {
    const sheet = sheetOf(kind)
    // A machine of one row: rows that disagree are another test.
    const one = recordsOf(sheet, demo).find((record) => printSheet(sheet, [record], []).length === 2)
    const [item] = changed(sheet, one ? [one] : [], heading, 0, text).items
    expect(item?.record).toMatchObject({ [heading]: value })
  })

  it.each([
    ['wire', 'diameter_mm', 'thick', /thick/],
    ['wire', 'metal', 'brass', /“brass”. Enter one of carbon-steel, stainless, aluminium/],
    ['wire', 'package_g', '', /is empty/],
    ['gas', 'co2_pct', '40', /add up to \d+ %/],
    ['tungsten', 'type', 'WX', /Enter one of/],
    ['nozzle', 'gasless', 'maybe', /Enter yes or no/],
    ['gun-or-torch', 'ratings', 'lots', /“lots”.*co2 dc 250 A 60 %/],
    ['drive-roll', 'grooves', 'v 0.9', /“v 0.9”.*v-smooth 0.8-0.9; u 1.2/],
    ['drive-roll', 'grooves', 'v-smooth 1.2-0.9', /Swap or correct/],
    ['drive-roll', 'grooves', '', /at least one groove/],
    [
      'power-source',
      'programs',
      'solid steel 0.9 mixed',
      /“solid steel 0.9 mixed”.*solid aluminium 1.2 argon/,
    ],
    ['power-source', 'ranges', 'gtaw low 5-110', /“gtaw low 5-110”.*gtaw high 90-230 A/],
    ['power-source', 'ranges', 'gtaw low 110-5 A', /Swap or correct/],
    ['power-source', 'rated_points', '210 A 130 %', /100 %/],
    ['power-source', 'rated_points', '100 A 30 %; 200 A 60 %', /Duty must fall/],
    ['power-source', 'output_min_a', '900', /above the greatest/],
    ['power-source', 'feeder', 'no', /does not say yes/],
  ])('%s with %s of “%s” names the column and the remedy', (kind, heading, text, message) => {
    const sheet = sheetOf(kind)
    const [item] = changed(sheet, recordsOf(sheet, demo).slice(0, 1), heading, 0, text).items
    expect(item?.record).toBeNull()
    const problem = item?.problems.find((one) => message.test(one.message))
    expect(problem?.message).toMatch(message)
    if (heading !== 'co2_pct' && heading !== 'feeder') expect(problem?.field).toContain(heading)
  })

  it('one bad row leaves the others', () => {
    const sheet = sheetOf('wire')
    const read = changed(sheet, recordsOf(sheet, demo), 'metal', 1, 'brass').items
    expect(read.filter(({ record }) => record === null).map(({ place }) => place)).toEqual(['row 3'])
  })

  it('rows of one machine that disagree are refused with both texts', () => {
    const sheet = sheetOf('power-source')
    const quillon = recordsOf(sheet, demo).slice(0, 1)
    const [item] = changed(sheet, quillon, 'efficiency_pct', 1, '99').items
    expect(item?.problems[0]).toMatchObject({
      field: 'row 3, efficiency_pct',
      message: expect.stringContaining('row 2 of the same machine says “84”'),
    })
  })

  it('a column that is missing is named once for each row, one that is not known in a remark', () => {
    const read = readSheet(
      sheetOf('cup'),
      ['kind', 'id', 'name', 'held', 'colour'],
      [['cup', 'c', 'Cup', 'owned', 'red']],
    )
    expect(read.remarks).toEqual([
      'This column is unknown and skipped: “colour”. Not in this sheet: price, number, for_gas_lens, parts_class, stock.',
    ])
    expect(read.items[0]?.problems.map(({ message }) => message)).toContainEqual(
      expect.stringContaining('no column “number”'),
    )
  })

  it('names several columns that are not known, and of many that are missing the first twelve', () => {
    const sheet = sheetOf('wire')
    const headings = printSheet(sheet, [], [])[0] ?? []
    const [remark = ''] = readSheet(sheet, ['kind', 'colour', ' ', 'Taste'], []).remarks
    expect(remark).toMatch(
      /^These columns are unknown and skipped: “colour”, “Taste”\. Not in this sheet: id, name, /,
    )
    // All but the kind are missing.
    expect(remark).toMatch(new RegExp(` and ${headings.length - 1 - 12} more\\.$`))
    expect(remark.split(': ')[2]?.split(', ')).toHaveLength(12)
    expect(readSheet(sheet, [...headings, 'colour'], []).remarks).toEqual([
      'This column is unknown and skipped: “colour”.',
    ])
    const twelve = [...headings.slice(0, -12), 'colour']
    expect(readSheet(sheet, twelve, []).remarks[0]).toMatch(/, [a-z_]+\.$/)
    expect(readSheet(sheet, headings, []).remarks).toEqual([])
  })

  it('skips empty rows, and counts them all the same', () => {
    const sheet = sheetOf('gas')
    const [headings = [], ...rows] = printSheet(sheet, recordsOf(sheet, demo).slice(0, 2), demo.stock)
    const [first = [], second = []] = rows
    const bad = second.map((cell, at) =>
      headings[at] === 'held' || headings[at] === 'name' ? '' : ` ${cell} `,
    )
    const { items } = readSheet(sheet, headings, [first.map((cell) => ` ${cell} `), ['', ' '], [], bad])
    expect(items.map(({ place, name }) => [place, name])).toEqual([
      ['row 2', recordsOf(sheet, demo)[0]?.name],
      ['row 5', 'no name'],
    ])
    expect(items[0]?.record).toEqual(recordsOf(sheet, demo)[0])
    expect(sheetFor([' Kind '], [[' gas ']])?.kind).toBe('gas')
    expect(sheetFor(['kind'], [])).toBeNull()
  })

  it('of a machine each row with its own process number is another process, and without numbers each that differs', () => {
    const sheet = sheetOf('power-source')
    const machine = recordsOf(sheet, demo).find(
      (record) =>
        'processes' in record && record.processes.length > 1 && record.processes[0]?.supplies.length === 2,
    )
    if (!machine) throw new Error('the demo has no machine with two processes')
    const [headings = [], ...rows] = printSheet(sheet, [machine], [])
    const numbers = headings.indexOf('process_no')
    expect(numbers).toBeGreaterThan(0)
    const unnumbered = rows.map((row) => row.map((cell, at) => (at === numbers ? '' : cell)))
    expect(
      readSheet(sheet, headings, unnumbered).items.map(({ record, problems }) => record ?? problems),
    ).toEqual([machine])
    // Whatever the schema says of a column of the plate names the row of that column.
    const minima = headings.indexOf('output_min_a')
    const wrong = rows.map((row, index) =>
      row.map((cell, at) => (at === minima && index === 1 ? '9000' : cell)),
    )
    const [item] = readSheet(sheet, headings, wrong).items
    expect(item?.record).toBeNull()
    expect(new Set(item?.problems.map(({ field }) => field))).toEqual(new Set(['row 3, output_min_a']))
    expect(item?.place).toBe('row 2')
  })

  it('two rows with one id do not overwrite each other', () => {
    const sheet = sheetOf('gas')
    const [gas] = recordsOf(sheet, demo)
    if (!gas) throw new Error('the demo has no gas')
    const { items } = back(sheet, [gas, gas])
    expect(items.map(({ record }) => record === null)).toEqual([false, true])
    expect(items[1]?.problems[0]?.message).toContain('and so is row 2')
  })
})

describe('the JSON catalogue', () => {
  it('comes back as it went, through text', () => {
    const read = readCatalogue(JSON.parse(JSON.stringify(demo)))
    if (!read.ok) throw new Error(read.message)
    for (const key of CATALOGUE_KEYS) {
      expect(read.items.filter(({ list }) => list === key).map(({ record }) => record)).toEqual(demo[key])
    }
    const amounts = read.items.flatMap(({ list, record, amount }) =>
      amount === undefined || !record ? [] : [{ id: `${kindOfList(list).kind}.${record.id}`, amount }],
    )
    expect(amounts.sort(byId)).toEqual([...demo.stock].sort(byId))
    expect(catalogueSchema.safeParse(demo).success).toBe(true)
  })

  it('a count that cannot be is told with the thing that it counts', () => {
    const [tip] = demo.parts
    const read = readCatalogue({ ...demo, stock: [{ id: `part.${tip?.id}`, amount: 1.5 }] })
    const wrong = read.ok ? read.items.filter(({ record }) => record === null) : []
    expect(wrong).toMatchObject([
      {
        name: tip?.name,
        problems: [
          { field: expect.stringContaining('stock 1'), message: expect.stringContaining('whole numbers') },
        ],
      },
    ])
  })

  it('judges each thing by itself', () => {
    const [first, ...rest] = demo.wires
    const read = readCatalogue({ ...demo, wires: [{ ...first, diameterMm: -1 }, ...rest] })
    if (!read.ok) throw new Error(read.message)
    const wrong = read.items.filter(({ record }) => record === null)
    expect(wrong).toHaveLength(1)
    expect(wrong[0]).toMatchObject({ place: 'wires 1', problems: [{ pointer: '/diameterMm' }] })
  })

  it.each([
    ['another format', { format: 'brannik-shop', version: 1 }, /not a catalogue/],
    [
      'a later version',
      { format: 'brannik-catalogue', version: CATALOGUE_VERSION + 1 },
      /version \d.*reads up to \d/,
    ],
    ['a strange list', { format: 'brannik-catalogue', version: 1, welders: [] }, /welders.*Known lists:/],
    ['no list', { format: 'brannik-catalogue', version: 1, wires: 'many' }, /wires must be a list/],
    ['no object', [1], /not a catalogue/],
    [
      'counts that are no list',
      { format: 'brannik-catalogue', version: CATALOGUE_VERSION, stock: {} },
      /stock must be a list/,
    ],
    [
      'a count of nothing',
      { format: 'brannik-catalogue', version: CATALOGUE_VERSION, stock: [{ amount: 3 }] },
      /stock 1 needs an id/,
    ],
    [
      'two counts of one thing',
      {
        format: 'brannik-catalogue',
        version: CATALOGUE_VERSION,
        stock: [
          { id: 'wire.w', amount: 3 },
          { id: 'wire.w', amount: 4 },
        ],
      },
      /stock 2 counts wire.w, and so does stock 1/,
    ],
  ])('refuses %s', (_says, value, message) => {
    const read = readCatalogue(value)
    expect(read.ok ? '' : read.message).toMatch(message)
  })
})

describe('whatever a file holds', () => {
  it('is read without a fault: every row is a record or says what is wrong with it', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom('yes', 'no', '0.9', '1e9', '-1', 'owned', 'gmaw', '200 A 25 %', '240', 'dc ac'),
    )
    fc.assert(
      fc.property(
        fc.constantFrom(...SHEETS),
        fc.array(fc.array(cell, { maxLength: 50 }), { maxLength: 6 }),
        fc.boolean(),
        (sheet, rows, named) => {
          const [headings = []] = printSheet(sheet, [], [])
          const { items } = readSheet(sheet, named ? headings : (rows[0] ?? []), rows)
          for (const { record, problems } of items) expect(record === null).toBe(problems.length > 0)
        },
      ),
      { numRuns: runs(300) },
    )
  })

  it('is read as JSON without a fault', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (whole, list) => {
        expect(typeof readCatalogue(whole).ok).toBe('boolean')
        const read = readCatalogue({
          format: 'brannik-catalogue',
          version: 1,
          wires: [list],
          parts: [list],
          powerSources: [list],
        })
        expect(
          read.ok && read.items.every(({ record, problems }) => (record === null) === problems.length > 0),
        ).toBe(true)
      }),
      { numRuns: runs(200) },
    )
  })
})
