/** A weld list as a table: columns matched to fields, each row read into a joint or into what is wrong, cell by cell. */
import { type Joint, jointSchema } from '../kinds/job.ts'
import { completeJoint } from '../joints/completeJoint.ts'
import { newJoint } from '../joints/newJoint.ts'
import { readDocument } from '../model/problems.ts'
import { type DecimalMark, decimalMarkOf } from '../quantity/numberFormat.ts'
import type { ParseContext } from '../quantity/parse.ts'
import type { Notation } from '../quantity/units.ts'
import { MATERIALS } from '../reference/materials.ts'
import { guessFields, LINE_FIELDS, type LineField, readLineField } from './lines.ts'
import { type Column, COLUMNS, headingOf, splitHeading } from './columns.ts'

export interface MappedColumn {
  /** As it stands in the file. */
  readonly heading: string
  /** What it fills: a field of the weld, or one of the fields of a weld line; null leaves it out. */
  readonly key: keyof Joint | LineField | null
  /** The unit of bare numbers in it; empty takes the shop's. */
  readonly unit: string
}

export interface CellProblem {
  /** What the field is called; empty where it is the whole weld. */
  readonly field: string
  /** Where in the row it is written; null where it is not. */
  readonly column: number | null
  readonly message: string
}

export interface RowRead {
  /** 1 is the first row below the headings. */
  readonly number: number
  /** What was understood; null where the row cannot enter. */
  readonly joint: Joint | null
  readonly problems: readonly CellProblem[]
}

/** More columns than any weld list has: the rest of a broken file is not looked at. */
export const MOST_COLUMNS = 200

const UNITS = ['mm', 'cm', 'm', 'in', 'inch', 'inches', 'ft']

/**
 * @returns for each heading the field that it fits, each field once, with the unit that the heading gives
 * @example mapColumns(['Weld length [in]']) // [{ heading: 'Weld length [in]', key: 'lengthMm', unit: 'in' }]
 */
export function mapColumns(headings: readonly string[]): readonly MappedColumn[] {
  const taken = new Set<keyof Joint>()
  return headings.slice(0, MOST_COLUMNS).map((heading) => {
    const { name, unit } = splitHeading(heading)
    const fits = (column: Column) => column.heading.toLowerCase() === name || column.words.includes(name)
    const column = COLUMNS.find((one) => fits(one) && !taken.has(one.key))
    if (column) taken.add(column.key)
    const line = LINE_FIELDS.find((field) => field.toLowerCase() === name) ?? null
    return { heading, key: column?.key ?? line, unit: UNITS.includes(unit) ? unit : '' }
  })
}

/** A figure, a mark of a gauge or of a diameter: what begins a cell, and no name of a column. */
const FIGURE = /^\s*[(#.]?\s*\d/

/**
 * @returns whether a first row names columns: none of its cells begins with a figure
 * @example isHeadingRow(['4 x 6 in', 'T', '1/4']) // false
 */
export const isHeadingRow = (cells: readonly string[]): boolean =>
  cells.every((cell) => !FIGURE.test(cell)) && cells.some((cell) => cell.trim() !== '')

export interface Interpreted {
  readonly mapping: readonly MappedColumn[]
  /** Rows of welds: the first of the list is one of them where it names no columns. */
  readonly rows: readonly (readonly string[])[]
  readonly hasHeadings: boolean
}

/** So many rows tell what a column holds. */
const LOOKED_AT = 50

/**
 * What a pasted or chosen list is: a table with headings, or weld lines as they are typed.
 * @param all every row of the list
 * @example interpretRows([['4 x 6 in', 'T', '1/4']], notation).mapping[2]?.key // 'Parts'
 */
export function interpretRows(all: readonly (readonly string[])[], notation: Notation): Interpreted {
  const [first, ...rest] = all
  if (first && isHeadingRow(first)) return { mapping: mapColumns(first), rows: rest, hasHeadings: true }
  const fields = guessFields(all.slice(0, LOOKED_AT), newJoint('w'), notation).slice(0, MOST_COLUMNS)
  const mapping = fields.map((key, index) => ({ heading: `Column ${index + 1}`, key, unit: '' }))
  return { mapping, rows: all, hasHeadings: false }
}

/** Spreadsheets hide a formula behind an apostrophe; it is not part of the text. */
const unhide = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text)

/** A part is written once where both are the same. */
function completed(row: Partial<Joint>): Partial<Joint> {
  return {
    ...row,
    ...(row.materialB === undefined && row.materialA !== undefined ? { materialB: row.materialA } : {}),
    ...(row.thicknessBMm === undefined && row.thicknessAMm !== undefined
      ? { thicknessBMm: row.thicknessAMm }
      : {}),
  }
}

interface PlannedCell {
  readonly column: Column
  readonly unit: string
  readonly index: number
}

/** The mapped cells in the order of COLUMNS: metals before thicknesses. */
const planOf = (mapping: readonly MappedColumn[]): readonly PlannedCell[] =>
  COLUMNS.flatMap((column) => {
    const index = mapping.findIndex(({ key }) => key === column.key)
    return index < 0 ? [] : [{ column, unit: mapping[index]?.unit ?? '', index }]
  })

/** The fields of a weld line in the order in which they are read: a size needs its joint and its parts. */
const READ_ORDER: readonly LineField[] = ['Joint', 'Parts', 'Size', 'Position', 'Pattern', 'Welds']
const linesOf = (mapping: readonly MappedColumn[]): readonly { field: LineField; index: number }[] =>
  READ_ORDER.map((field) => ({ field, index: mapping.findIndex(({ key }) => key === field) })).filter(
    ({ index }) => index >= 0,
  )

/** A gauge is read in the metal of its part. */
function gaugeFor(key: keyof Joint, row: Partial<Joint>): Pick<ParseContext, 'metal'> {
  const material = key === 'thicknessBMm' ? (row.materialB ?? row.materialA) : row.materialA
  return material === undefined ? {} : { metal: MATERIALS[material].gauge }
}

function readRow(
  cells: readonly string[],
  plan: readonly PlannedCell[],
  lines: ReturnType<typeof linesOf>,
  number: number,
  /** Of figures in a file, and of what is written as in a weld line. */
  { notation, typed }: { readonly notation: Notation; readonly typed: Notation },
  decimal: DecimalMark | null,
): RowRead {
  const problems: CellProblem[] = []
  const row: Record<string, unknown> = {}
  for (const { column, unit, index } of plan) {
    const text = unhide((cells[index] ?? '').trim())
    const cell = column.cell.read(text, {
      unit,
      decimal,
      notation: { ...notation, ...gaugeFor(column.key, row) },
    })
    if (cell.ok) row[column.key] = cell.value
    // An empty cell takes what is usual.
    else if (text !== '') problems.push({ field: column.heading, column: index, message: cell.message })
  }
  // What the file does not say is the usual; the preview shows it before anything enters.
  let joint = completeJoint({ ...newJoint(`w${number}`), legMm: null, ...completed(row as Partial<Joint>) })
  let isUnsized = row['legMm'] === undefined
  for (const { field, index } of lines) {
    const text = unhide((cells[index] ?? '').trim())
    if (text === '') continue
    const next = readLineField(field, text, joint, typed, isUnsized)
    if (next.ok) joint = next.joint
    else problems.push({ field, column: index, message: next.message })
    if (field === 'Size') isUnsized = false
  }
  if (problems.length > 0) return { number, joint: null, problems }
  const checked = readDocument(jointSchema, joint)
  if (checked.ok) return { number, joint: checked.value, problems: [] }
  return {
    number,
    joint: null,
    problems: checked.problems.map(({ pointer, message }) => {
      const column = COLUMNS.find(({ key }) => key === pointer.slice(1))
      const planned = plan.find((one) => one.column === column)
      return { field: column?.heading ?? '', column: planned?.index ?? null, message }
    }),
  }
}

/**
 * @param rows cells as text, headings not among them
 * @returns one answer a row; nothing has entered anything
 * @example readTable([['4', 'T']], mapColumns(['count', 'joint']), notation)[0].joint?.count // 4
 */
export function readTable(
  rows: readonly (readonly string[])[],
  mapping: readonly MappedColumn[],
  notation: Notation,
): readonly RowRead[] {
  const plan = planOf(mapping)
  const figures = plan.filter(({ column }) => column.cell.isFigure)
  const decimal = decimalMarkOf(rows.flatMap((cells) => figures.map(({ index }) => cells[index] ?? '')))
  // A file writes its figures in its own way: where it does not say, with a point, as open files do.
  const own: Notation = { ...notation, locale: decimal === ',' ? 'de-DE' : 'en-US' }
  const lines = linesOf(mapping)
  return rows.map((cells, index) =>
    readRow(cells, plan, lines, index + 1, { notation: own, typed: notation }, decimal),
  )
}

/** Makes ids unique: a second `w1` becomes `w1-2`. */
export function withUniqueIds(joints: readonly Joint[], taken: readonly string[] = []): readonly Joint[] {
  const used = new Set(taken)
  return joints.map((joint) => {
    let id = joint.id
    for (let number = 2; used.has(id); number += 1) id = `${joint.id.slice(0, 58)}-${number}`
    used.add(id)
    return id === joint.id ? joint : { ...joint, id }
  })
}

/**
 * The table of a job's welds: headings first. Reading it again gives the same joints.
 * @example printTable(job.joints)[0] // ['id', 'joint', …]
 */
export function printTable(joints: readonly Joint[]): readonly (readonly string[])[] {
  return [
    COLUMNS.map(headingOf),
    ...joints.map((joint) => COLUMNS.map(({ cell, key }) => cell.print(joint[key]))),
  ]
}
