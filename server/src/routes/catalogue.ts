/** The open catalogue: all equipment out, or many things in at once; its JSON Schema; the generic library. */
import { CATALOGUE_FORMAT, CATALOGUE_VERSION, CATALOGUE_KINDS, catalogueSchema, LIBRARY } from '@brannik/core'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { z } from 'zod'
import { type Connection, readingAtOnce } from '../database.ts'
import { Problem } from '../problems.ts'
import type { AddRoutes } from '../services.ts'
import { answerOnce } from '../stores/answers.ts'
import { note } from '../stores/audit.ts'
import { writeMany } from '../stores/bulk.ts'
import { EPOCH_EXAMPLE, EPOCH_HEADER } from '../stores/epoch.ts'
import { type Kind, COUNTS } from '../stores/kinds.ts'
import * as records from '../stores/records.ts'
import { countMany, STOCK } from '../stores/stock.ts'

/** The catalogue's JSON Schema, made of the schemas that check it. */
const catalogueJsonSchema = (): object => ({
  ...z.toJSONSchema(catalogueSchema, { io: 'input', unrepresentable: 'any' }),
  title: `Brannik catalogue, version ${CATALOGUE_VERSION}`,
})

const ofLibrary = (path: string) => LIBRARY.filter((entry) => entry.path === path).map(({ record }) => record)

/** The generic library in the catalogue's own format. */
const libraryCatalogue = (): object => ({
  format: CATALOGUE_FORMAT,
  version: CATALOGUE_VERSION,
  ...Object.fromEntries(CATALOGUE_KINDS.map(({ listKey, path }) => [listKey, ofLibrary(path)])),
  stock: [],
})

/** The catalogue piece by piece, so that it never stands whole in memory. */
async function* pieces(connection: Connection): AsyncGenerator<string> {
  yield `{"format":${JSON.stringify(CATALOGUE_FORMAT)},"version":${CATALOGUE_VERSION}`
  for (const { listKey, path } of CATALOGUE_KINDS) {
    yield* list(listKey, records.RECORDS, records.kindOrProblem(path))
  }
  yield* list('stock', STOCK, COUNTS)
  yield '}'

  async function* list(key: string, store: records.Store, kind: Kind): AsyncGenerator<string> {
    yield `,"${key}":[`
    let separator = ''
    for await (const items of records.pages(connection, kind, store)) {
      if (items.length === 0) continue
      yield separator + items.map(({ record }) => record).join(',')
      separator = ','
    }
    yield ']'
  }
}

export const catalogueRoutes: AddRoutes = (api, { database, readBody }) => {
  const schema = JSON.stringify(catalogueJsonSchema())
  const library = JSON.stringify(libraryCatalogue())

  api.on('get', '/catalogue', 'guest', async (_request, response) => {
    response.type('application/json')
    await readingAtOnce(database, async (connection) => {
      await pipeline(Readable.from(pieces(connection)), response)
    })
  })
  api.on('get', '/catalogue/schema.json', 'guest', (_request, response) => {
    response.type('application/schema+json').send(schema)
  })
  api.on('get', '/catalogue/library', 'guest', (_request, response) => {
    response.type('application/json').send(library)
  })
  api.on('post', '/catalogue', 'owner', async (request, response) => {
    const { lists, stock } = await readBody(request, { what: 'catalogue' })
    if (lists.some(({ versions }) => versions.size > 0) && request.get(EPOCH_HEADER) === undefined)
      throw new Problem(
        428,
        'Of which shop?',
        `The versions of one shop mean nothing in another. Say of which they are: send ${EPOCH_HEADER}, for example ${EPOCH_EXAMPLE}, the first word of every ETag.`,
      )
    const { answer } = await answerOnce(database, request, async (connection) => {
      const items: { path: string; id: string; version: number }[] = []
      for (const { path, text, ids, versions } of lists) {
        const kind = records.kindOrProblem(path)
        for (const written of await writeMany(connection, kind, text, ids, versions))
          items.push({ path, ...written })
      }
      const things = items.length
      for (const counted of await countMany(connection, stock)) items.push({ path: COUNTS.path, ...counted })
      await note(connection, request.actor, {
        action: 'took in a catalogue',
        detail: `${things} things`,
      })
      return { status: 200, body: JSON.stringify({ items }) }
    }).catch((error: unknown) => {
      if (!(error instanceof Problem) || error.status >= 500) throw error
      throw new Problem(error.status, error.title, `${error.message} Nothing of the catalogue was stored.`, {
        fields: error.fields,
        extra: error.extra,
      })
    })
    response.status(answer.status).type('application/json').send(answer.body)
  })
}
