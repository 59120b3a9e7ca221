/** Routes of one kind of record: versions as ETags, and `If-Match` on every write. */
import { readDocument } from '@brannik/core'
import { type Request, type Response, Router } from 'express'
import { type Database, inTransaction } from '../database.ts'
import { invalid, Problem } from '../problems.ts'
import type { Kind } from '../stores/kinds.ts'
import * as records from '../stores/records.ts'

type Body = Readonly<Record<string, unknown>> & { readonly id: string }

export function readBody(kind: Kind, request: Request): Body {
  const read = readDocument(kind.schema, request.body)
  if (!read.ok) throw invalid(read.problems)
  return read.value as Body
}

const etag = (version: number): string => `"${version}"`

export function ifMatch(request: Request): number {
  const header = request.get('If-Match')
  if (header === undefined) {
    throw new Problem(
      428,
      'Which version?',
      'Send the version that you have in If-Match, for example If-Match: "3".',
    )
  }
  const match = /^(?:W\/)?"(\d{1,9})"$/.exec(header.trim())
  if (!match) {
    throw new Problem(
      400,
      'Which version?',
      `If-Match is ${header}; it must be the ETag of the record, for example "3".`,
    )
  }
  return Number(match[1])
}

export const answer = (response: Response, version: number, record: unknown, status = 200): void => {
  response.status(status).set('ETag', etag(version)).json({ version, record })
}

function sameId(pathId: string, body: Body): void {
  if (body.id === pathId) return
  throw invalid([
    {
      pointer: '/id',
      field: 'id',
      message: `is “${body.id}”, the address says “${pathId}”; they must agree`,
    },
  ])
}

export function recordRoutes(database: Database, kind: Kind): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    response.json({ items: await inTransaction(database, (connection) => records.list(connection, kind)) })
  })
  router.post('/', async (request, response) => {
    const body = readBody(kind, request)
    const version = await inTransaction(database, (connection) => records.create(connection, kind, body))
    response.location(`/api/${kind.path}/${body.id}`)
    answer(response, version, body, 201)
  })
  router.get('/:id', async (request, response) => {
    const { id } = request.params
    const stored = await inTransaction(database, (connection) => records.get(connection, kind, id))
    answer(response, stored.version, stored.record)
  })
  router.put('/:id', async (request, response) => {
    const body = readBody(kind, request)
    sameId(request.params.id, body)
    const had = ifMatch(request)
    const version = await inTransaction(database, (connection) =>
      records.replace(connection, kind, had, body),
    )
    answer(response, version, body)
  })
  router.delete('/:id', async (request, response) => {
    const had = ifMatch(request)
    await inTransaction(database, (connection) => records.remove(connection, kind, request.params.id, had))
    response.status(204).end()
  })
  return router
}
