/** Jobs as files: CSV of the weld list, JSON of the whole job; formula cells neutralised on the way out. */
import {
  interpretRows,
  type Job,
  JOB_FILE_FORMAT,
  jobFileOf,
  jobFileSchema,
  type Joint,
  type Notation,
  printTable,
  readDocument,
  readTable,
  upcastFile,
} from '@brannik/core'
import Papa from 'papaparse'
import { readRows } from '../../files/csv.ts'

export const csvOf = (job: Job): string =>
  Papa.unparse(printTable(job.joints) as string[][], { escapeFormulae: true, newline: '\r\n' })
export const jsonOf = (job: Job): string => `${JSON.stringify(jobFileOf(job), null, 2)}\n`

/** @returns the welds of pasted rows; null where a row or a column is not understood: the import shows which */
export function weldsIn(text: string, notation: Notation): readonly Joint[] | null {
  const read = readRows(text)
  if (!read.ok) return null
  const { rows, mapping } = interpretRows(read.rows, notation)
  const welds = readTable(rows, mapping, notation).map(({ joint }) => joint)
  const isSkipped = mapping.some(({ key }, column) => key === null && rows.some((row) => row[column]?.trim()))
  return welds.length > 0 && !isSkipped && welds.every((one) => one !== null) ? welds : null
}

export type JobRead =
  { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly message: string }

/** @returns the job of a job file, or what is wrong with it */
export function readJobFile(text: string): JobRead {
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ''))
  } catch {
    return { ok: false, message: 'This is not JSON. Choose a file from Export the job (JSON).' }
  }
  const upcast = upcastFile(JOB_FILE_FORMAT, value)
  if (!upcast.ok) return { ok: false, message: `The job ${upcast.message}.` }
  const read = readDocument(jobFileSchema, upcast.value)
  if (read.ok) return { ok: true, job: read.value.job }
  const said = read.problems.slice(0, 3).map(({ field, message }) => `${field} ${message}`)
  return { ok: false, message: `The job cannot be read: ${said.join('. ')}.` }
}
