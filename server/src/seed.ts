/** Loads the demo shop into an empty database, and only there. */
import { readFile } from 'node:fs/promises'
import { readDocument, shopDocumentSchema } from '@brannik/core'
import { type Database, inTransaction } from './database.ts'
import { answerTo, type RecordDocument } from './documents/documents.ts'
import { takeTurn } from './migrate.ts'
import { COLLECTIONS, type Kind, SHOP } from './stores/kinds.ts'
import { create, isEmpty } from './stores/records.ts'
import { countMany } from './stores/stock.ts'

const DEMO = new URL('../../demo/tollgate-orchard-works.json', import.meta.url)

function documentOf(kind: Kind, body: unknown): RecordDocument {
  const read = answerTo({ what: 'record', kindPath: kind.path }, Buffer.from(JSON.stringify(body)))
  if (!read.ok) throw new Error(`The demo shop is not valid: ${JSON.stringify(read)}`)
  return read.value as RecordDocument
}

/** @returns whether anything was loaded */
export async function seed(database: Database): Promise<boolean> {
  const read = readDocument(shopDocumentSchema, JSON.parse(await readFile(DEMO, 'utf8')))
  if (!read.ok) throw new Error(`The demo shop is not valid: ${JSON.stringify(read.problems.slice(0, 3))}`)
  const document = read.value
  return inTransaction(
    database,
    async (connection) => {
      await takeTurn(connection)
      if (!(await isEmpty(connection))) return false
      await create(connection, SHOP, documentOf(SHOP, document.shop))
      for (const kind of COLLECTIONS) {
        for (const body of document[kind.listKey]) await create(connection, kind, documentOf(kind, body))
      }
      await countMany(connection, document.stock)
      return true
    },
    'the demo',
  )
}
