/** CSV as rows of cells, or why it is none. */
import Papa from 'papaparse'

export type TableRead =
  | { readonly ok: true; readonly headings: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | { readonly ok: false; readonly message: string }

/** Spreadsheets of countries that write a decimal comma say in a first line what is between their cells. */
const SEPARATOR = /^sep=([;,\t|])[ \t]*\r?\n/i

export type RowsRead =
  | { readonly ok: true; readonly rows: readonly (readonly string[])[] }
  | { readonly ok: false; readonly message: string }

/** @returns every row of a CSV, or of cells copied out of a spreadsheet; or why it is none */
export function readRows(text: string): RowsRead {
  const clean = text.replace(/^\ufeff/, '')
  if (clean.includes('\u0000') || clean.includes('\ufffd')) {
    return { ok: false, message: 'The file is not UTF-8 text. Save it from the spreadsheet as CSV UTF-8.' }
  }
  const separator = SEPARATOR.exec(clean)
  const parsed = Papa.parse<string[]>(separator ? clean.slice(separator[0].length) : clean, {
    skipEmptyLines: 'greedy',
    ...(separator ? { delimiter: separator[1] } : {}),
  })
  const quotes = parsed.errors.find(({ type }) => type === 'Quotes')
  if (quotes) {
    return {
      ok: false,
      message: `A quote is opened and not closed near row ${(quotes.row ?? 0) + 1}. Close it, or save the file again as CSV.`,
    }
  }
  return { ok: true, rows: parsed.data }
}

/** @returns headings and rows of a CSV, or why it is none */
export function readCsv(text: string): TableRead {
  const read = readRows(text)
  if (!read.ok) return read
  const [headings, ...rows] = read.rows
  if (!headings || rows.length === 0) {
    return {
      ok: false,
      message: 'The file holds no rows below its headings. The first row names the columns.',
    }
  }
  return { ok: true, headings, rows }
}
