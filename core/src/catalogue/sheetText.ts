/** Records to the cells of a sheet and back: nothing is lost, and what cannot be read is named by row and column. */
import { decimalMarkOf } from '../quantity/numberFormat.ts'
import { type CellContext, OPEN } from '../sheet/cells.ts'
import type { SheetColumn } from '../sheet/columns.ts'
import { type FieldProblem, readDocument } from '../model/problems.ts'
import { inStock } from '../kinds/counts.ts'
import { schemaOf, type StockItem } from '../kinds/index.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import type { CatalogueList } from './lists.ts'
import { type CatalogueRecord, type ReadItem, withoutTwins } from './catalogue.ts'
import { headingsOf, PROCESS_COLUMNS, PROCESS_NUMBER, type Sheet, SHEETS, SUPPLY_COLUMNS } from './sheets.ts'

type Row = readonly string[]
type Json = Record<string, unknown>

const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

function fieldOf(record: unknown, path: readonly string[]): unknown {
  let value: unknown = record
  for (const key of path) value = isJson(value) ? value[key] : undefined
  return value
}

const printed = (columns: readonly SheetColumn[], record: unknown): string[] =>
  columns.map(({ path, cell }) => {
    const value = fieldOf(record, path)
    return value === undefined ? '' : cell.print(value)
  })

/**
 * @param stock what the shop has counted
 * @returns rows of cells, headings first; a power source has a row for each column of its plate
 * @example printSheet(sheet, shelf.wires, shelf.stock)[0] // ['kind', 'id', 'name', …]
 */
export function printSheet(
  sheet: Sheet,
  records: readonly CatalogueRecord[],
  stock: readonly StockItem[],
): readonly Row[] {
  const rows = records.flatMap((record) => {
    const own = [
      sheet.kind,
      ...printed(sheet.columns, record),
      ...(sheet.stock ? [sheet.stock.cell.print(inStock(stock, sheet.of.kind, record.id))] : []),
      ...sheet.presences.map(({ path }) => (fieldOf(record, path) === null ? 'no' : 'yes')),
    ]
    if (sheet.kind !== 'power-source') return [own]
    return (record as PowerSource).processes.flatMap((process, index) =>
      process.supplies.map((supply) => [
        ...own,
        `${index + 1}`,
        ...printed(PROCESS_COLUMNS, process),
        ...printed(SUPPLY_COLUMNS, supply),
      ]),
    )
  })
  return [headingsOf(sheet), ...rows]
}

const plain = (heading: string): string =>
  heading
    .trim()
    .toLowerCase()
    .replaceAll(/[\s-]+/g, '_')

/**
 * The sheet that a file is, by its column `kind`; null where it does not say.
 * @example sheetFor(['kind', 'id'], [['gas', 'argon']])?.kind // 'gas'
 */
export function sheetFor(headings: readonly string[], rows: readonly Row[]): Sheet | null {
  const place = headings.map(plain).indexOf('kind')
  const kind = place < 0 ? undefined : rows[0]?.[place]?.trim()
  return SHEETS.find((sheet) => sheet.kind === kind) ?? null
}

export interface ReadSheet {
  readonly items: readonly ReadItem[]
  /** What concerns the whole sheet: columns that are not known. */
  readonly remarks: readonly string[]
}

interface Reader {
  readonly cellOf: (row: Row, heading: string) => string
  readonly has: (heading: string) => boolean
  /** How this file writes its figures. */
  readonly context: CellContext
}

function readerOf(headings: readonly string[], sheet: Sheet, rows: readonly Row[]): Reader {
  const places = new Map(headings.map((heading, index) => [plain(heading), index]))
  const figures = [...sheet.columns, ...PROCESS_COLUMNS, ...SUPPLY_COLUMNS].flatMap(({ heading, cell }) =>
    cell.isFigure ? [places.get(heading) ?? -1] : [],
  )
  const decimal = decimalMarkOf(rows.flatMap((row) => figures.map((index) => row[index] ?? '')))
  return {
    context: { ...OPEN, decimal },
    cellOf: (row, heading) => row[places.get(heading) ?? -1]?.trim() ?? '',
    has: (heading) => places.has(heading),
  }
}

const pointerOf = (path: readonly (string | number)[]): string => path.map((part) => `/${part}`).join('')

interface Target {
  readonly record: Json
  readonly problems: FieldProblem[]
  /** Pointers into the record, with the column that they came from. */
  readonly columnOf: Map<string, string>
}

/** Reads columns of one row into an object that stands at `root` of the record. */
function readInto(
  target: Target,
  reader: Reader,
  row: Row,
  columns: readonly SheetColumn[],
  root: readonly (string | number)[],
  object: Json,
  where: string,
  absent: readonly string[],
): void {
  for (const { heading, path, cell } of columns) {
    const [first = '', second] = path
    if (second !== undefined && absent.includes(first)) {
      const text = reader.cellOf(row, heading)
      if (text !== '') {
        target.problems.push({
          pointer: pointerOf([...root, ...path]),
          field: `${where}${heading}`,
          message: `is “${text}”, but its yes/no column does not say yes. Enter yes there, or empty this cell`,
        })
      }
      continue
    }
    const read = cell.read(reader.cellOf(row, heading), reader.context)
    target.columnOf.set(pointerOf([...root, ...path]), heading)
    if (!read.ok) {
      const message = reader.has(heading) ? read.message : `is missing: there is no column “${heading}”`
      target.problems.push({
        pointer: pointerOf([...root, ...path]),
        field: `${where}${heading}`,
        message,
      })
      continue
    }
    if (second === undefined) object[first] = read.value
    else object[first] = { ...(isJson(object[first]) ? object[first] : {}), [second]: read.value }
  }
}

/** Says whether objects that may be absent are there; one that is not becomes null. */
function readPresences(target: Target, reader: Reader, row: Row, sheet: Sheet, where: string): string[] {
  return sheet.presences.flatMap(({ heading, path }) => {
    const [key = ''] = path
    const text = reader.cellOf(row, heading).toLowerCase()
    if (text === 'yes') return []
    if (text !== 'no' && text !== '') {
      target.problems.push({
        pointer: pointerOf(path),
        field: `${where}${heading}`,
        message: `is “${text}”. Enter yes or no`,
      })
    }
    target.record[key] = null
    return [key]
  })
}

/** Puts what the schema says of the whole record to the columns that it came from. */
function checked(sheet: Sheet, target: Target, place: string, where: (pointer: string) => string): ReadItem {
  const name = typeof target.record['name'] === 'string' ? target.record['name'] : 'no name'
  const common = { list: sheet.of.listKey as CatalogueList, place, name }
  if (target.problems.length > 0) return { ...common, record: null, problems: target.problems }
  const read = readDocument<unknown>(schemaOf(sheet.of.kind), target.record)
  if (read.ok) return { ...common, record: read.value as CatalogueRecord, problems: [] }
  const columnFor = (pointer: string): string => {
    for (let at = pointer; at !== ''; at = at.slice(0, at.lastIndexOf('/'))) {
      const heading = target.columnOf.get(at)
      if (heading !== undefined) return heading
    }
    return pointer.slice(1)
  }
  return {
    ...common,
    record: null,
    problems: read.problems.map(({ pointer, message }) => ({
      pointer,
      field: `${where(pointer)}${columnFor(pointer)}`,
      message,
    })),
  }
}

const emptyTarget = (sheet: Sheet): Target => ({
  record: { ...sheet.fixed },
  problems: [],
  columnOf: new Map(),
})

function readFlat(sheet: Sheet, reader: Reader, row: Row, place: string): ReadItem {
  const target = emptyTarget(sheet)
  const absent = readPresences(target, reader, row, sheet, '')
  readInto(target, reader, row, sheet.columns, [], target.record, '', absent)
  const count: Json = {}
  if (sheet.stock && reader.has(sheet.stock.heading))
    readInto(target, reader, row, [sheet.stock], [], count, '', absent)
  return { ...checked(sheet, target, place, () => ''), ...count }
}

interface PlateRow {
  readonly row: Row
  readonly number: number
}

/** Rows of one machine: the first gives the machine, each gives a column of its plate. */
function readMachine(sheet: Sheet, reader: Reader, rows: readonly PlateRow[]): ReadItem {
  const target = emptyTarget(sheet)
  const [first] = rows
  const rowOf = new Map<string, number>()
  if (!first) return checked(sheet, target, '', () => '')
  const absent = readPresences(target, reader, first.row, sheet, '')
  readInto(target, reader, first.row, sheet.columns, [], target.record, '', absent)
  for (const { row, number } of rows.slice(1)) {
    for (const { heading } of [...sheet.columns, ...sheet.presences]) {
      const text = reader.cellOf(row, heading)
      if (text === '' || text === reader.cellOf(first.row, heading)) continue
      target.problems.push({
        pointer: '',
        field: `row ${number}, ${heading}`,
        message: `is “${text}”, and row ${first.number} of the same machine says “${reader.cellOf(first.row, heading)}”. Make them agree`,
      })
    }
  }
  const processes: { key: string; object: Json; supplies: Json[] }[] = []
  for (const { row, number } of rows) {
    const key =
      reader.cellOf(row, PROCESS_NUMBER) ||
      PROCESS_COLUMNS.map(({ heading }) => reader.cellOf(row, heading)).join(' ')
    let process = processes.find((one) => one.key === key)
    if (!process) {
      process = { key, object: {}, supplies: [] }
      processes.push(process)
      readInto(
        target,
        reader,
        row,
        PROCESS_COLUMNS,
        ['processes', processes.length - 1],
        process.object,
        `row ${number}, `,
        [],
      )
    }
    const supply: Json = {}
    const root = ['processes', processes.indexOf(process), 'supplies', process.supplies.length]
    rowOf.set(pointerOf(root), number)
    readInto(target, reader, row, SUPPLY_COLUMNS, root, supply, `row ${number}, `, [])
    process.supplies.push(supply)
  }
  target.record['processes'] = processes.map(({ object, supplies }) => ({ ...object, supplies }))
  const where = (pointer: string): string => {
    const supply = /^\/processes\/\d+\/supplies\/\d+/.exec(pointer)?.[0]
    return supply ? `row ${rowOf.get(supply) ?? ''}, ` : ''
  }
  return checked(sheet, target, `row ${first.number}`, where)
}

const MOST_NAMED = 12
/** Columns that a sheet does not have are named, and which are missing from it: the one is often the other, misspelt. */
function strangeColumns(sheet: Sheet, headings: readonly string[]): string[] {
  const known = headingsOf(sheet)
  const has = new Set(headings.map(plain))
  const strange = headings.filter((heading) => heading.trim() !== '' && !known.includes(plain(heading)))
  const missing = known.filter((heading) => !has.has(heading))
  if (strange.length === 0) return []
  const names = strange.map((heading) => `“${heading}”`).join(', ')
  const more = missing.length > MOST_NAMED ? ` and ${missing.length - MOST_NAMED} more` : ''
  const others =
    missing.length > 0 ? ` Not in this sheet: ${missing.slice(0, MOST_NAMED).join(', ')}${more}.` : ''
  return [
    `${strange.length === 1 ? 'This column is' : 'These columns are'} unknown and skipped: ${names}.${others}`,
  ]
}

/**
 * Reads a sheet that a spreadsheet has saved.
 * @param rows without the headings; their numbers in the messages count the headings as row 1
 * @returns a record or problems for each row, in the order of the sheet
 * @example readSheet(sheet, ['kind', 'id'], [['gas', 'argon']]).items[0].problems // the columns that are missing
 */
export function readSheet(sheet: Sheet, headings: readonly string[], rows: readonly Row[]): ReadSheet {
  const reader = readerOf(headings, sheet, rows)
  const remarks = strangeColumns(sheet, headings)
  const numbered = rows
    .map((row, index): PlateRow => ({ row, number: index + 2 }))
    .filter(({ row }) => row.some((cell) => cell.trim() !== ''))
  if (sheet.kind !== 'power-source') {
    return {
      items: withoutTwins(numbered.map(({ row, number }) => readFlat(sheet, reader, row, `row ${number}`))),
      remarks,
    }
  }
  const machines = new Map<string, PlateRow[]>()
  for (const one of numbered) {
    const id = reader.cellOf(one.row, 'id')
    machines.set(id, [...(machines.get(id) ?? []), one])
  }
  return { items: [...machines.values()].map((own) => readMachine(sheet, reader, own)), remarks }
}
