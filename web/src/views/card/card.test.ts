import { assumptionsOf, cardOf, procedureSheetOf, spokenCard, weldSymbolOf } from '@brannik/core'
import pdfMake from 'pdfmake/build/pdfmake'
import fonts from 'pdfmake/build/vfs_fonts'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { beforeAll, describe, expect, it } from 'vitest'
import { attributesOf, svgOf, textMark } from '../../charts/marks.ts'
import { weldSymbolDrawing } from '../../charts/weldSymbol.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { demoWorkspace, inputFor } from '../../testing/demo.ts'
import { leadsDrawing, sectionDrawing } from './cardDrawings.ts'
import { cardDocument } from './cardPdf.ts'
import { procedureDocument } from './procedurePdf.ts'

beforeAll(async () => {
  await demoWorkspace()
  pdfMake.addVirtualFileSystem(fonts)
})

interface ReadPdf {
  readonly pages: number
  readonly text: string
}
async function readBack(document: Parameters<typeof pdfMake.createPdf>[0]): Promise<ReadPdf> {
  const made = await pdfMake.createPdf(document).getBuffer()
  const pdf = await getDocument({ data: new Uint8Array(made), useSystemFonts: false }).promise
  const page = await pdf.getPage(1)
  const { items } = await page.getTextContent()
  return { pages: pdf.numPages, text: items.map((item) => ('str' in item ? item.str : '')).join(' ') }
}

function paperOf(jobId: string, paper: 'LETTER' | 'A4') {
  const workspace = useWorkspace()
  const input = inputFor(jobId)
  const card = cardOf(input, '')
  const spoken = spokenCard(workspace.speech, card)
  const leads = leadsDrawing(card.leads, {
    source: 'Quillon 210',
    electrode: spoken.leads.electrode,
    way: spoken.leads.way,
  })
  const section = sectionDrawing(
    card.joint,
    assumptionsOf(input.shop),
    { words: spoken.hold, workAngleDeg: card.settings.workAngleDeg },
    { a: '1/4 in', b: '1/4 in', weld: 'leg 3/16 in' },
  )
  return {
    input,
    card,
    spoken,
    leads,
    section,
    document: { title: jobId, card: spoken, leads, section, address: 'http://shop/card', worked: '', paper },
  }
}

describe('the PDF of a card', () => {
  it.each([
    'press-frame',
    'pressing-tray',
    'tank-manifold',
    'picking-platform',
    'loader-fork',
    'press-screw-post',
  ])('of %s is one page on Letter and A4, and says what the card says', async (jobId) => {
    for (const paper of ['LETTER', 'A4'] as const) {
      const { document, spoken } = paperOf(jobId, paper)
      const { pages, text } = await readBack(cardDocument(document))
      expect(pages).toBe(1)
      expect(text).toContain('Set-up card')
      for (const { value } of spoken.figures.slice(0, 3))
        expect(text.replaceAll(' ', '')).toContain(value.replaceAll(' ', ''))
    }
  })
})

describe('the procedure sheet', () => {
  it('is marked as not qualified, and blank where only the shop can say', async () => {
    const workspace = useWorkspace()
    const { input, card, section } = paperOf('press-frame', 'LETTER')
    const sheet = procedureSheetOf(workspace.speech, card, input)
    expect(sheet.mark).toBe('Preliminary, not qualified')
    const lines = sheet.groups.flatMap((group) => group.lines)
    const valueOf = (label: string) => lines.find((line) => line.label === label)?.value
    for (const label of ['Heat number', 'Inspector', 'Procedure number', 'Welder and stamp'])
      expect(valueOf(label)).toBe('')
    // ISO 4063: 135 is metal active gas welding; D a short-circuiting arc.
    expect(valueOf('Process')).toContain('135-D')
    expect(valueOf('Filler classification')).toBe('ER70S-6')
    expect(sheet.runs.rows[0]?.[1]).toMatch(/^171–209 A$|^171–210 A$/)
    const symbol = weldSymbolDrawing(weldSymbolOf(card.joint, workspace.notation, 'aws-a2.4', 'GMAW'))
    const { pages, text } = await readBack(procedureDocument(sheet, { section, symbol }, 'LETTER'))
    expect(pages).toBeLessThanOrEqual(2)
    expect(text).toContain('Preliminary')
  })
  it('has a row for the root pass and one for the fill passes of an open groove', () => {
    const workspace = useWorkspace()
    const { input, card } = paperOf('loader-fork', 'A4')
    const { runs } = procedureSheetOf(workspace.speech, card, input)
    expect(runs.rows.length).toBeGreaterThanOrEqual(1)
    for (const row of runs.rows) expect(row).toHaveLength(runs.head.length)
  })
})

describe('drawings', () => {
  it('put the electrode on the terminal that the polarity says', () => {
    const names = { source: 'Quillon 210', electrode: 'Gun', way: '' }
    const textsOf = (polarity: 'dcep' | 'dcen' | 'ac') =>
      leadsDrawing({ polarity }, names).marks.flatMap(({ text }) => text ?? [])
    expect(textsOf('dcep')).toContain('electrode, plus (+)')
    expect(textsOf('dcen')).toContain('electrode, minus (−)')
    expect(textsOf('ac')).toContain('electrode, AC')
  })
  it('are ink on paper, and the theme on the page', () => {
    const mark = textMark(1, 2, 'a < b & "c"')
    expect(attributesOf(mark, 'page')).toMatchObject({ fill: 'var(--ink)' })
    expect(svgOf({ width: 5, height: 5, marks: [mark] })).toContain(
      'fill="#111111">a &lt; b &amp; &quot;c&quot;</text>',
    )
  })
})
