/** A letter with tables as a PDF document: an order, a quote. */
import type { TDocumentDefinitions } from 'pdfmake/interfaces'

export interface PaperTable {
  readonly title: string
  readonly head: readonly string[]
  readonly rows: readonly (readonly string[])[]
  /** Columns that are figures, from 0. */
  readonly figures: readonly number[]
}
export interface Letter {
  readonly title: string
  /** Who sends it. */
  readonly from: string
  readonly lines: readonly string[]
  readonly tables: readonly PaperTable[]
  readonly sums: readonly (readonly [what: string, amount: string])[]
  readonly notes: readonly string[]
  readonly paper: 'LETTER' | 'A4'
}

/** @returns the document, ready to be laid out */
export function letterDocument({
  title,
  from,
  lines,
  tables,
  sums,
  notes,
  paper,
}: Letter): TDocumentDefinitions {
  return {
    info: { title, creator: 'Brannik' },
    pageSize: paper,
    pageMargins: [54, 48, 54, 48],
    defaultStyle: { fontSize: 10, lineHeight: 1.2 },
    content: [
      { text: from, fontSize: 13, bold: true },
      { text: title, fontSize: 18, bold: true, margin: [0, 18, 0, 4] },
      ...lines.map((text) => ({ text })),
      ...tables.flatMap((table) => {
        const cell = (text: string, index: number) => ({
          text,
          alignment: table.figures.includes(index) ? ('right' as const) : ('left' as const),
        })
        return [
          { text: table.title, bold: true, margin: [0, 16, 0, 4] as [number, number, number, number] },
          {
            table: {
              headerRows: 1,
              widths: table.head.map((_, index) => (index === 0 ? '*' : 'auto')),
              body: [
                table.head.map((text, index) => ({ ...cell(text, index), bold: true })),
                ...table.rows.map((row) => row.map(cell)),
              ],
            },
            layout: 'lightHorizontalLines',
          },
        ]
      }),
      {
        margin: [0, 12, 0, 0],
        table: {
          widths: ['*', 'auto'],
          body: [
            ...sums.map(([what, amount], index) => {
              const bold = index === sums.length - 1
              return [
                { text: what, bold },
                { text: amount, bold, alignment: 'right' as const },
              ]
            }),
          ],
        },
        layout: 'noBorders',
      },
      ...notes.map((text) => ({ text, margin: [0, 10, 0, 0] as [number, number, number, number] })),
    ],
  }
}
