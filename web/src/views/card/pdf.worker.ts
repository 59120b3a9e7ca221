/** Lays PDFs out beside the page, which stays quick meanwhile. */
import { expose } from 'comlink'
import pdfMake from 'pdfmake/build/pdfmake'
import fonts from 'pdfmake/build/vfs_fonts'
import type { ProcedureSheet } from '@brannik/core'
import type { Drawing } from '../../charts/marks.ts'
import { cardDocument, type CardPaper } from './cardPdf.ts'
import { type Letter, letterDocument } from './paperPdf.ts'
import { procedureDocument } from './procedurePdf.ts'

pdfMake.addVirtualFileSystem(fonts)
const bytesOf = async (document: Parameters<typeof pdfMake.createPdf>[0]): Promise<Uint8Array> =>
  new Uint8Array(await pdfMake.createPdf(document).getBuffer())

const maker = {
  card: (paper: CardPaper): Promise<Uint8Array> => bytesOf(cardDocument(paper)),
  letter: (letter: Letter): Promise<Uint8Array> => bytesOf(letterDocument(letter)),
  procedure: (
    sheet: ProcedureSheet,
    drawings: { readonly section: Drawing; readonly symbol: Drawing },
    paper: CardPaper['paper'],
  ): Promise<Uint8Array> => bytesOf(procedureDocument(sheet, drawings, paper)),
}
export type PdfMaker = typeof maker
expose(maker)
