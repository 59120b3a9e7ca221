/** A decision as a page that a partner or an inspector can read. */
import type { Decision, Verdict } from '@brannik/core'
import pdfMake from 'pdfmake/build/pdfmake'
import fonts from 'pdfmake/build/vfs_fonts'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'

export interface PdfWords {
  readonly shop: string
  /** When it was decided. */
  readonly decided: string
  readonly money: (amount: number) => string
  readonly verdict: (verdict: Verdict) => string
  /** Whether it holds today. */
  readonly standing: string
}

/** @returns the document, ready to be laid out */
export function decisionDocument(
  decision: Decision,
  { shop, decided, money, verdict, standing }: PdfWords,
): TDocumentDefinitions {
  // One choice is told in full; of many, what fits is named, and what does not is told.
  const isOne = decision.taken.length === 1
  const told = (lines: Decision['taken'][number]['findings']) =>
    isOne ? lines : lines.filter((line) => line.verdict !== 'fits')
  const taken = decision.taken.flatMap((one): Content[] => [
    { text: `${one.jobName} by ${one.setUpName}`, style: 'part' },
    {
      text: [
        `Result then: ${verdict(one.verdict)}`,
        one.costPerRun === null ? '' : `; ${money(Math.round(one.costPerRun * 100) / 100)} a run`,
      ],
    },
    {
      table: {
        headerRows: 1,
        widths: [42, 110, '*', 130],
        body: [
          ['', 'What', 'Found', 'Source'].map((text) => ({ text, style: 'head' })),
          ...[...one.chain.slice(0, isOne ? undefined : 1), ...told(one.findings)].map((line) => [
            verdict(line.verdict),
            line.title,
            line.says,
            { text: line.source, style: 'small' },
          ]),
        ],
      },
      layout: 'lightHorizontalLines',
      margin: [0, 4, 0, 6],
    },
    ...(isOne
      ? []
      : [
          {
            text: `Fits: ${one.findings
              .filter((line) => line.verdict === 'fits')
              .map((line) => line.title)
              .join(', ')}`,
            style: 'small',
          },
        ]),
    ...(isOne && one.cautions.length > 0
      ? [
          { text: 'Cautions', bold: true },
          { ul: one.cautions.map(({ says }) => says), style: 'small' },
        ]
      : []),
  ])
  const bought = decision.purchases.map(({ name, price }) =>
    price === null ? `${name}, price not known` : `${name}, ${money(price)}`,
  )
  return {
    info: { title: decision.name, creator: 'Brannik' },
    pageMargins: [40, 44, 40, 48],
    defaultStyle: { fontSize: 9, lineHeight: 1.15 },
    styles: {
      title: { fontSize: 17, bold: true },
      part: { fontSize: 12, bold: true, margin: [0, 12, 0, 2] },
      head: { bold: true, fontSize: 8 },
      small: { fontSize: 7.5 },
    },
    footer: (page, pages) => ({
      text: `${shop} · ${decision.name} · page ${page} of ${pages}. A record of the comparison, not approval.`,
      alignment: 'center',
      fontSize: 7.5,
      margin: [0, 14, 0, 0],
    }),
    content: [
      { text: decision.name, style: 'title' },
      { text: `${shop}, decided ${decided}`, margin: [0, 2, 0, 8] },
      ...(standing === '' ? [] : [{ text: `On the print date: ${standing}.` }]),
      ...(decision.note === ''
        ? []
        : [{ text: decision.note, margin: [0, 6, 0, 0] as [number, number, number, number] }]),
      ...(decision.kit
        ? [
            {
              text: `${money(Math.round(decision.kit.totalCost))} over ${decision.kit.horizonYears} years. ${decision.kit.proof}`,
              margin: [0, 6, 0, 0] as [number, number, number, number],
            },
          ]
        : []),
      ...(bought.length > 0 ? [{ text: 'To buy', style: 'part' }, { ul: bought }] : []),
      ...taken,
      ...(isOne
        ? []
        : [
            { text: 'Cautions', style: 'part' },
            {
              ul: [...new Set(decision.taken.flatMap(({ cautions }) => cautions.map(({ says }) => says)))],
              style: 'small',
            },
          ]),
      {
        text: 'Figures are estimates from data plates, published tables and the figures of the shop on that day. The data plate, the local electrical code and licensed people decide what you may connect. Structural and code-bound welds need a qualified procedure.',
        style: 'small',
        margin: [0, 12, 0, 0],
      },
    ],
  }
}

/** Lays the page out in the browser, with the fonts that ship with it, and gives it out as a file. */
export async function decisionPdf(decision: Decision, words: PdfWords): Promise<void> {
  pdfMake.addVirtualFileSystem(fonts)
  await pdfMake.createPdf(decisionDocument(decision, words)).download(`${decision.id}.pdf`)
}
