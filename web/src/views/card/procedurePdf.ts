/** A preliminary procedure sheet as a PDF document. */
import type { ProcedureSheet } from '@brannik/core'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { type Drawing, svgOf } from '../../charts/marks.ts'

/** @returns the document, ready to be laid out */
export function procedureDocument(
  sheet: ProcedureSheet,
  drawings: { readonly section: Drawing; readonly symbol: Drawing },
  paper: 'LETTER' | 'A4',
): TDocumentDefinitions {
  return {
    info: { title: sheet.title, creator: 'Brannik' },
    pageSize: paper,
    pageMargins: [36, 32, 36, 32],
    defaultStyle: { fontSize: 8.5, lineHeight: 1.1 },
    styles: { head: { fontSize: 10, bold: true, margin: [0, 8, 0, 2] } },
    content: [
      { text: sheet.title, fontSize: 15, bold: true },
      { text: sheet.mark, fontSize: 11, bold: true, margin: [0, 2, 0, 6] },
      {
        columns: [
          { svg: svgOf(drawings.section), width: 240 },
          { svg: svgOf(drawings.symbol), width: 200 },
        ],
      },
      ...sheet.groups.flatMap(({ title, lines }) => [
        { text: title, style: 'head' },
        {
          table: {
            widths: [150, '*'],
            body: lines.map(({ label, value }) => [label, value === '' ? '____________________' : value]),
          },
          layout: 'lightHorizontalLines',
        },
      ]),
      { text: 'Runs', style: 'head' },
      {
        table: {
          headerRows: 1,
          widths: sheet.runs.head.map(() => '*'),
          body: [
            sheet.runs.head.map((text) => ({ text, bold: true })),
            ...sheet.runs.rows.map((row) => [...row]),
          ],
        },
        layout: 'lightHorizontalLines',
      },
      { ul: [...sheet.notes], margin: [0, 10, 0, 0], fontSize: 7.5 },
    ],
  }
}
