/** The demo shop that ships with the program, ready to be stored where nothing is. */
import { readFile } from 'node:fs/promises'
import { readDocument, shopDocumentSchema } from '@brannik/core'
import { type WholeDocument, wholeOf } from './documents/documents.ts'
import { ROOT } from './root.ts'

const DEMO = new URL('demo/tollgate-orchard-works.json', ROOT)

export async function demoShop(): Promise<WholeDocument> {
  const read = readDocument(shopDocumentSchema, JSON.parse(await readFile(DEMO, 'utf8')))
  const whole = read.ok ? wholeOf(read.value, null) : read
  if (!whole.ok) throw new Error(`The demo shop is not valid: ${JSON.stringify(whole)}`)
  return whole.value
}
