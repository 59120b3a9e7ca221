/** A card as a PDF document of one page. */
import type { SpokenCard } from '@brannik/core'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { type Drawing, svgOf } from '../../charts/marks.ts'

export interface CardPaper {
  readonly title: string
  readonly card: SpokenCard
  readonly leads: Drawing
  readonly section: Drawing
  /** Where the card is on the screen. */
  readonly address: string
  readonly worked: string
  readonly paper: 'LETTER' | 'A4'
}

/** @returns the document, ready to be laid out */
export function cardDocument({
  title,
  card,
  leads,
  section,
  address,
  worked,
  paper,
}: CardPaper): TDocumentDefinitions {
  const lines = {
    hLineWidth: () => 0.4,
    vLineWidth: () => 0,
    hLineColor: () => '#999',
    paddingTop: () => 1,
    paddingBottom: () => 1,
  }
  const steps: Content[] = card.steps.map((step, index) => ({
    text: [
      { text: `☐ ${index + 1}  `.replace('☐', '[ ]') },
      { text: step.text, bold: step.isKey },
      step.hazard === null ? '' : { text: `  ${step.hazard}`, italics: true },
    ],
  }))
  return {
    info: { title, creator: 'Brannik' },
    pageSize: paper,
    pageMargins: [30, 24, 30, 24],
    defaultStyle: { fontSize: 7.6, lineHeight: 1.08 },
    styles: { head: { fontSize: 9, bold: true, margin: [0, 5, 0, 1] } },
    content: [
      {
        columns: [
          [
            { text: title, fontSize: 8.5 },
            { text: 'Set-up card', fontSize: 16, bold: true },
            { text: card.heading },
            ...(card.against.length === 0 ? [] : [{ text: card.against.slice(0, 2).join(' '), bold: true }]),
          ],
          { qr: address, fit: 62, width: 70, alignment: 'right' },
        ],
      },
      {
        table: {
          widths: card.figures.map(() => '*'),
          body: [
            card.figures.map(({ title: name, value, unit, notes }) => ({
              stack: [
                unit === '' ? name : `${name}, ${unit}`,
                { text: value, fontSize: 14, bold: true },
                ...notes,
              ],
            })),
          ],
        },
        margin: [0, 5, 0, 0],
      },
      {
        columns: [
          [{ text: 'Leads', style: 'head' }, { svg: svgOf(leads), width: 250 }, { text: card.leads.text }],
          [
            { text: 'Section, to scale', style: 'head' },
            { svg: svgOf(section), width: 250 },
            { text: [`${card.hold} · ${card.passes}`, ...card.passSettings].join('\n') },
          ],
        ],
        columnGap: 16,
      },
      {
        columns: [
          [
            { text: 'On the machine', style: 'head' },
            {
              table: { widths: [62, '*'], body: card.rows.map((row) => [row.title, row.text]) },
              layout: lines,
            },
          ],
          [
            { text: 'In this order', style: 'head' },
            ...steps,
            { text: card.pace, margin: [0, 4, 0, 0], bold: true },
            { text: card.uses },
            { text: 'If it is not right, change one thing', style: 'head' },
            {
              table: { widths: [80, '*'], body: card.symptoms.map(({ sign, change }) => [sign, change]) },
              layout: lines,
            },
          ],
        ],
        columnGap: 16,
      },
      {
        text:
          worked === ''
            ? 'What worked: ________ V  ________ in/min  by ______________ on __________'
            : `What worked: ${worked}`,
        margin: [0, 8, 0, 4],
      },
      { text: card.cautions.map(({ topic, text }) => `${topic}: ${text}`).join('  '), fontSize: 6.4 },
      {
        text: 'Plan only, not a qualified procedure. The data plate, the manual and the local code decide.',
        fontSize: 6.4,
        margin: [0, 2, 0, 0],
      },
    ],
  }
}
