/** Catalogues as files: JSON of everything, CSV of one kind; what comes in is told apart by what it holds. */
import {
  type Catalogue,
  type CatalogueRecord,
  printSheet,
  readCatalogue,
  type ReadItem,
  readSheet,
  type CatalogueList,
  type Sheet,
  sheetFor,
  SHEETS,
} from '@brannik/core'
import Papa from 'papaparse'
import { readCsv } from './csv.ts'
import { reasonOf } from '../reason.ts'

const recordsOf = (sheet: Sheet, catalogue: Catalogue): readonly CatalogueRecord[] => {
  const { kind } = sheet.fixed
  const list: readonly CatalogueRecord[] = catalogue[sheet.of.listKey as CatalogueList]
  return kind === undefined ? list : list.filter((record) => 'kind' in record && record.kind === kind)
}

/** A cell that a spreadsheet would reckon as a formula gets a mark before it; the import takes it off again. */
const FORMULA = /^'*[=+\-@\t\r]/
const guarded = (cell: string): string => (FORMULA.test(cell) ? `'${cell}` : cell)
const bare = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell)

export const csvOfSheet = (
  sheet: Sheet,
  records: readonly CatalogueRecord[],
  stock: Catalogue['stock'],
): string =>
  Papa.unparse(
    printSheet(sheet, records, stock).map((row) => row.map(guarded)),
    { newline: '\r\n' },
  )

/** The sheets of one list, for its menu; those without a record are left out. */
export const sheetsOf = (catalogue: Catalogue, path: string) =>
  SHEETS.filter((sheet) => sheet.of.path === path)
    .map((sheet) => ({ sheet, records: recordsOf(sheet, catalogue) }))
    .filter(({ records }) => records.length > 0)
    .map(({ sheet, records }) => ({
      title: sheet.title,
      file: `${sheet.kind}.csv`,
      text: () => csvOfSheet(sheet, records, catalogue.stock),
    }))

export type FileRead =
  | {
      readonly ok: true
      readonly items: readonly ReadItem[]
      readonly remarks: readonly string[]
      readonly what: string
    }
  | { readonly ok: false; readonly message: string }

function readJson(text: string): FileRead {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (error) {
    return {
      ok: false,
      message: `This is not valid JSON: ${reasonOf(error)}.`,
    }
  }
  const read = readCatalogue(value)
  return read.ok ? { ok: true, items: read.items, remarks: [], what: 'catalogue' } : read
}

/** @param kind which sheet it is, where the file does not say it; empty where it does */
export function readFile(text: string, kind: string): FileRead {
  const chosen = SHEETS.find((sheet) => sheet.kind === kind) ?? null
  const clean = text.replace(/^\ufeff/, '')
  if (/^\s*[{[]/.test(clean)) return readJson(clean)
  const csv = readCsv(clean)
  if (!csv.ok) return csv
  const sheet = chosen ?? sheetFor(csv.headings, csv.rows)
  if (!sheet) {
    const kinds = SHEETS.map(({ kind }) => kind).join(', ')
    return {
      ok: false,
      message: `The sheet does not say its kind. Choose it beside the file, or add a column “kind” with one of: ${kinds}.`,
    }
  }
  const { items, remarks } = readSheet(
    sheet,
    csv.headings,
    csv.rows.map((row) => row.map(bare)),
  )
  return { ok: true, items, remarks, what: sheet.title.toLowerCase() }
}
