/** The log as CSV, out and in; a cell that a spreadsheet would run as a formula gets a mark before it. */
import { printLog, type ReadLogRow, readLog } from '@brannik/core'
import Papa from 'papaparse'
import { newKey } from '../../api/client.ts'
import { readCsv } from '../../files/csv.ts'
import type { WeldRow } from '../../shop/eventList.ts'

export const csvOfLog = (rows: readonly WeldRow[]): string =>
  Papa.unparse(printLog(rows) as string[][], { escapeFormulae: true, newline: '\r\n' })

export type LogFileRead =
  | { readonly ok: true; readonly rows: readonly ReadLogRow[] }
  | { readonly ok: false; readonly message: string }

/** @returns each row as a record, or with what is wrong with it; or why it is no CSV */
export function readLogFile(text: string): LogFileRead {
  const read = readCsv(text)
  return read.ok ? { ok: true, rows: readLog(read.headings, read.rows) } : read
}

/** One row of a file is the same event however often the file is read: it is stored once. */
export async function keyOfRow({ subject, body }: ReadLogRow): Promise<string> {
  const text = new TextEncoder().encode(JSON.stringify([subject, body]))
  // Away from loopback and TLS a browser has no `subtle`: then each reading is another one.
  if (!('subtle' in crypto)) return `csv-${newKey()}`
  const digest = await crypto.subtle.digest('SHA-256', text)
  return `csv-${[...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`
}
