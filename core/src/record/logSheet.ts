/** The log as rows of a sheet, out and in: every figure in its own unit, named in the heading's field. */
import { decimalMarkOf } from '../quantity/numberFormat.ts'
import { describeFields } from '../model/describe.ts'
import { type FieldProblem, readDocument } from '../model/problems.ts'
import { type LogRow, type WeldRecord, weldRecorded, weldSubject } from '../events/weldRecorded.ts'
import { OPEN } from '../sheet/cells.ts'
import { columnsOf, type SheetColumn } from '../sheet/columns.ts'

type Row = readonly string[]
type Json = Record<string, unknown>
const COLUMNS: readonly SheetColumn[] = columnsOf(describeFields(weldRecorded.body))
const PLACE = ['job_id', 'weld_id'] as const

const at = (record: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (value, key) => (typeof value === 'object' && value !== null ? (value as Json)[key] : undefined),
    record,
  )

export const LOG_HEADINGS: Row = [...PLACE, 'recorded_by', ...COLUMNS.map(({ heading }) => heading)]

/** @returns headings first, then a row for each */
export const printLog = (rows: readonly LogRow[]): readonly Row[] => [
  LOG_HEADINGS,
  ...rows.map(({ subject, who, body }) => [
    ...subject.split('.').slice(1),
    who,
    ...COLUMNS.map(({ path, cell }) => {
      const value = at(body, path)
      return value === undefined || value === null ? '' : cell.print(value)
    }),
  ]),
]

export interface ReadLogRow {
  /** Row of the file, headings counted as 1. */
  readonly row: number
  readonly subject: string
  readonly body: WeldRecord | null
  readonly problems: readonly FieldProblem[]
}

const plain = (heading: string): string =>
  heading
    .trim()
    .toLowerCase()
    .replaceAll(/[\s-]+/g, '_')

/** What a row has that its file has no column for. */
const ABSENT: Readonly<Record<string, unknown>> = {
  note: '',
  welds: 1,
  state: 'done',
  is_withdrawn: false,
}
const PAIRS = ['spool', 'cylinder'] as const

/**
 * @param headings of the file; columns that it does not have are empty
 * @returns each row as a record, or with what is wrong in which column
 */
export function readLog(headings: Row, rows: readonly Row[]): readonly ReadLogRow[] {
  const places = new Map(headings.map((heading, index) => [plain(heading), index]))
  const cellOf = (row: Row, heading: string): string => row[places.get(heading) ?? -1]?.trim() ?? ''
  const figures = COLUMNS.filter(({ cell }) => cell.isFigure).map(({ heading }) => heading)
  const decimal = decimalMarkOf(rows.flatMap((row) => figures.map((heading) => cellOf(row, heading))))
  return rows.map((row, index): ReadLogRow => {
    const problems: FieldProblem[] = []
    const body: Json = {}
    for (const { heading, path, cell } of COLUMNS) {
      const text = cellOf(row, heading)
      const [first = '', second] = path
      const put = (value: unknown): void => {
        if (second === undefined) body[first] = value
        else body[first] = { ...(body[first] as Json | undefined), [second]: value }
      }
      if (text === '' && heading in ABSENT) {
        put(ABSENT[heading])
        continue
      }
      const isOfPair = (PAIRS as readonly string[]).includes(first)
      if (isOfPair && text === '') {
        put(undefined)
        continue
      }
      const read = cell.read(text, { ...OPEN, decimal })
      if (read.ok) put(read.value)
      else
        problems.push({
          pointer: `/${path.join('/')}`,
          field: heading,
          message: places.has(heading) ? read.message : `is missing: there is no column “${heading}”`,
        })
    }
    for (const pair of PAIRS) {
      const { before, after } = (body[pair] ?? {}) as Json
      if (before === undefined && after === undefined) body[pair] = null
    }
    const subject = weldSubject(cellOf(row, 'job_id'), cellOf(row, 'weld_id'))
    const place = weldRecorded.subject.safeParse(subject)
    if (!place.success)
      problems.push({ pointer: '', field: 'job_id, weld_id', message: 'must be the ids of a job and a weld' })
    const whole = { row: index + 2, subject }
    if (problems.length > 0) return { ...whole, body: null, problems }
    const read = readDocument<WeldRecord>(weldRecorded.body, body)
    return read.ok
      ? { ...whole, body: read.value, problems: [] }
      : { ...whole, body: null, problems: read.problems }
  })
}
