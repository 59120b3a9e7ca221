/** Jobs as files: CSV of the weld list, JSON of the whole job; formula cells neutralised on the way out. */
import { type Job, jobFileOf, jobFileSchema, printTable, readDocument } from '@brannik/core'
import Papa from 'papaparse'

/** A weld list is text; what is larger than this is some other file. */
export const MOST_BYTES = 8_000_000

export const csvOf = (job: Job): string =>
  Papa.unparse(printTable(job.joints) as string[][], { escapeFormulae: true, newline: '\r\n' })
export const jsonOf = (job: Job): string => `${JSON.stringify(jobFileOf(job), null, 2)}\n`

export function download(name: string, text: string, type: string): void {
  // The mark at the start tells a spreadsheet that a CSV is UTF-8.
  const url = URL.createObjectURL(
    new Blob([type === 'text/csv' ? `\ufeff${text}` : text], { type: `${type};charset=utf-8` }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}

export type TableRead =
  | { readonly ok: true; readonly headings: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | { readonly ok: false; readonly message: string }

/** @returns headings and rows of a CSV, or why it is none */
export function readCsv(text: string): TableRead {
  const clean = text.replace(/^\ufeff/, '')
  if (clean.includes('\u0000') || clean.includes('\ufffd')) {
    return { ok: false, message: 'The file is not UTF-8 text. Save it from the spreadsheet as CSV UTF-8.' }
  }
  const parsed = Papa.parse<string[]>(clean, { skipEmptyLines: 'greedy' })
  const quotes = parsed.errors.find(({ type }) => type === 'Quotes')
  if (quotes) {
    return {
      ok: false,
      message: `A quote is opened and not closed near row ${(quotes.row ?? 0) + 1}. Close it, or save the file again as CSV.`,
    }
  }
  const [headings, ...rows] = parsed.data
  if (!headings || rows.length === 0) {
    return {
      ok: false,
      message:
        'The file holds no rows below its headings. The first row names the columns, for example count, length (in), thickness (in), joint.',
    }
  }
  return { ok: true, headings, rows }
}

export type JobRead =
  { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly message: string }

/** @returns the job of a job file, or what is wrong with it */
export function readJobFile(text: string): JobRead {
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ''))
  } catch {
    return { ok: false, message: 'The file is not JSON. A job file is what Export gives as JSON.' }
  }
  const read = readDocument(jobFileSchema, value)
  if (read.ok) return { ok: true, job: read.value.job }
  const said = read.problems.slice(0, 3).map(({ field, message }) => `${field} ${message}`)
  return { ok: false, message: `The job cannot be read: ${said.join('. ')}.` }
}
