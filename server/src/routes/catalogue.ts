/** The open catalogue: all equipment out, or many things in at once; its JSON Schema; the generic library. */
import {
  CATALOGUE_FORMAT,
  CATALOGUE_KEYS,
  CATALOGUE_LISTS,
  type CatalogueList,
  catalogueSchema,
  type FieldProblem,
  LIBRARY,
  readDocument,
} from '@brannik/core'
import { Router } from 'express'
import { z } from 'zod'
import { type Connection, type Database, inTransaction } from '../database.ts'
import { invalid, Problem } from '../problems.ts'
import { COLLECTIONS, type Kind } from '../stores/kinds.ts'
import * as records from '../stores/records.ts'

const MOST_VERSION = 2_147_483_647
/** What is taken in: new things, and those stored already, each with the version that it replaces. */
export const catalogueImportSchema = z.strictObject({
  catalogue: catalogueSchema,
  /** By path and id, for example `wires/er70s6-035`: the version that you have seen. */
  versions: z.record(z.string(), z.int().min(1).max(MOST_VERSION)),
})

const kindOf = (key: CatalogueList): Kind => {
  const kind = COLLECTIONS.find(({ listKey }) => listKey === key)
  if (!kind) throw new Error(`no collection of ${key}`)
  return kind
}

/** The catalogue's JSON Schema, made of the schemas that check it. */
export const catalogueJsonSchema = (): object => ({
  ...z.toJSONSchema(catalogueSchema, { io: 'input', unrepresentable: 'any' }),
  title: 'Brannik catalogue, version 1',
})

const ofLibrary = (path: string) => LIBRARY.filter((entry) => entry.path === path).map(({ record }) => record)

/** The generic library in the catalogue's own format. */
export const libraryCatalogue = (): object => ({
  format: CATALOGUE_FORMAT,
  version: 1,
  ...Object.fromEntries(CATALOGUE_KEYS.map((key) => [key, ofLibrary(CATALOGUE_LISTS[key].path)])),
})

async function storedCatalogue(connection: Connection): Promise<object> {
  const lists: [string, unknown[]][] = []
  for (const key of CATALOGUE_KEYS) {
    const stored = await records.list(connection, kindOf(key))
    lists.push([key, stored.map(({ record }) => record)])
  }
  return { format: CATALOGUE_FORMAT, version: 1, ...Object.fromEntries(lists) }
}

/** Ids twice in one list: the second would silently overwrite the first. */
function twins(catalogue: z.infer<typeof catalogueSchema>): FieldProblem[] {
  return CATALOGUE_KEYS.flatMap((key) => {
    const seen = new Set<string>()
    return catalogue[key].flatMap(({ id }, index) => {
      if (!seen.has(id)) {
        seen.add(id)
        return []
      }
      return [
        {
          pointer: `/catalogue/${key}/${index}/id`,
          field: `catalogue › ${key} › ${index + 1} › id`,
          message: `is “${id}”, which an earlier one has; give it another`,
        },
      ]
    })
  })
}

export function catalogueRoutes(database: Database): Router {
  const router = Router()
  const schema = catalogueJsonSchema()
  const library = libraryCatalogue()
  router.get('/', async (_request, response) => {
    response.json(await inTransaction(database, storedCatalogue))
  })
  router.get('/schema.json', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(schema))
  })
  router.get('/library', (_request, response) => {
    response.json(library)
  })
  router.post('/', async (request, response) => {
    const read = readDocument(catalogueImportSchema, request.body)
    if (!read.ok) throw invalid(read.problems)
    const { catalogue, versions } = read.value
    const twice = twins(catalogue)
    if (twice.length > 0) throw invalid(twice)
    const items = await inTransaction(database, async (connection) => {
      const written: { path: string; id: string; version: number }[] = []
      for (const key of CATALOGUE_KEYS) {
        const kind = kindOf(key)
        const { path } = kind
        for (const body of catalogue[key]) {
          const had = versions[`${path}/${body.id}`]
          const version =
            had === undefined
              ? await records.create(connection, kind, body)
              : await records.replace(connection, kind, had, body)
          written.push({ path, id: body.id, version })
        }
      }
      return written
    }).catch((error: unknown) => {
      if (!(error instanceof Problem)) throw error
      throw new Problem(error.status, error.title, `${error.message} Nothing of the catalogue was stored.`, {
        fields: error.fields,
        extra: { ...error.extra },
      })
    })
    response.json({ items })
  })
  return router
}
