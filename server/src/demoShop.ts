/** The demo shops that ship with the program, ready to be stored where nothing is. */
import { readFile } from 'node:fs/promises'
import { readDocument, shopDocumentSchema } from '@brannik/core'
import { type WholeDocument, wholeOf } from './documents/documents.ts'
import { ROOT } from './root.ts'

/** The same invented shop on inches under NEC and AWS, and in millimetres under IEC and EN ISO. */
const FILES = {
  inch: 'demo/tollgate-orchard-works.json',
  metric: 'demo/tollgate-orchard-works-metric.json',
} as const
export type DemoId = keyof typeof FILES
export const DEMOS = Object.keys(FILES) as readonly DemoId[]

export async function demoShop(demo: DemoId): Promise<WholeDocument> {
  const text = await readFile(new URL(FILES[demo], ROOT), 'utf8')
  const read = readDocument(shopDocumentSchema, JSON.parse(text))
  const whole = read.ok ? wholeOf(read.value, null) : read
  if (!whole.ok) throw new Error(`The demo shop is not valid: ${JSON.stringify(whole)}`)
  return whole.value
}
