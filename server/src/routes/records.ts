/** Routes of one kind of record: versions as ETags, `If-Match` on every write, each write answered once for its key. */
import type { Request, RequestHandler, Response } from 'express'
import type { Connection } from '../database.ts'
import { reading } from '../database.ts'
import type { RecordDocument } from '../documents/documents.ts'
import { invalid, Problem } from '../problems.ts'
import type { AddRoutes, Services } from '../services.ts'
import { answerOnce, type Answer } from '../stores/answers.ts'
import { note } from '../stores/audit.ts'
import { EPOCH_EXAMPLE, epochNow, etagOf, readEtag, type Versioned } from '../stores/epoch.ts'
import type { Kind } from '../stores/kinds.ts'
import { RECORDS, type Store } from '../stores/records.ts'
import { listHandler } from './lists.ts'

function ifMatch(request: Request): number {
  const header = request.get('If-Match')
  if (header === undefined) {
    throw new Problem(
      428,
      'Which version?',
      `Send the version that you have in If-Match, for example If-Match: ${etagOf(EPOCH_EXAMPLE, 3)}.`,
    )
  }
  const had = readEtag(header)
  if (!had) {
    throw new Problem(
      400,
      'Which version?',
      `If-Match is ${header.slice(0, 80)}; it must be the ETag of the record, for example ${etagOf(EPOCH_EXAMPLE, 3)}.`,
    )
  }
  return had.version
}

function sendRecord(response: Response, { epoch, version }: Versioned, record: string, status = 200): void {
  response
    .status(status)
    .set('ETag', etagOf(epoch, version))
    .type('application/json')
    .send(`{"version":${version},"record":${record}}`)
}

function sameId(pathId: string, id: string): void {
  if (id === pathId) return
  throw invalid([
    { pointer: '/id', field: 'id', message: `is “${id}”, the address says “${pathId}”; they must agree` },
  ])
}

/** Runs a write of a record and answers it; a repeat is answered as the first time, with the record that it sent. */
async function answerWrite(
  { database }: Services,
  request: Request,
  response: Response,
  document: RecordDocument | null,
  work: (connection: Connection, epoch: string) => Promise<Answer>,
): Promise<void> {
  const { answer, isRepeat } = await answerOnce(database, request, work)
  if (isRepeat) response.set('Idempotent-Replayed', 'true')
  if (answer.location !== undefined) response.location(answer.location)
  const written = readEtag(answer.etag ?? '')
  if (document === null || written === null) response.status(answer.status).end()
  else sendRecord(response, written, document.text, answer.status)
}

const replaceHandler =
  (services: Services, kind: Kind, store: Store): RequestHandler =>
  async (request, response) => {
    const document = await services.readBody(request, { what: 'record', kindPath: kind.path })
    const { id } = request.params
    if (typeof id === 'string') sameId(id, document.id)
    const had = ifMatch(request)
    await answerWrite(services, request, response, document, async (connection, epoch) => {
      const version = await store.replace(connection, kind, had, document)
      await note(connection, request.actor, { action: 'changed', kind: kind.kind, id: document.id, version })
      return { status: 200, etag: etagOf(epoch, version) }
    })
  }

export const recordRoutes =
  (kind: Kind, store: Store = RECORDS): AddRoutes =>
  (api, services) => {
    const { database } = services
    const path = `/${kind.path}`
    api.on('get', path, 'guest', listHandler(database, kind, store))
    api.on('post', path, kind.writers, async (request, response) => {
      const document = await services.readBody(request, { what: 'record', kindPath: kind.path })
      await answerWrite(services, request, response, document, async (connection, epoch) => {
        const version = await store.create(connection, kind, document)
        await note(connection, request.actor, { action: 'made', kind: kind.kind, id: document.id, version })
        return { status: 201, etag: etagOf(epoch, version), location: `/api/${kind.path}/${document.id}` }
      })
    })
    api.on('get', `${path}/:id`, 'guest', async (request, response) => {
      const id = String(request.params['id'])
      await reading(database, async (connection) => {
        // First: a record may then be newer than its ETag says, and be refused, never older.
        const epoch = await epochNow(connection)
        const { version, record } = await store.get(connection, kind, id)
        sendRecord(response, { epoch, version }, record)
      })
    })
    api.on('put', `${path}/:id`, kind.writers, replaceHandler(services, kind, store))
    api.on('delete', `${path}/:id`, kind.writers, async (request, response) => {
      const had = ifMatch(request)
      const id = String(request.params['id'])
      await answerWrite(services, request, response, null, async (connection) => {
        await store.remove(connection, kind, id, had)
        await note(connection, request.actor, { action: 'deleted', kind: kind.kind, id, version: had })
        return { status: 204 }
      })
    })
  }

/** The shop itself: one record, there once a shop has begun. */
export const shopRoutes =
  (kind: Kind): AddRoutes =>
  (api, services) => {
    api.on('get', `/${kind.path}`, 'guest', async (_request, response) => {
      const { epoch, stored } = await reading(services.database, async (connection) => ({
        epoch: await epochNow(connection),
        stored: (await RECORDS.page(connection, kind, null, 1)).items[0],
      }))
      if (!stored)
        throw new Problem(
          404,
          'No shop',
          'The database holds no shop yet. Open the page, which asks; or send one to POST /api/whole, or POST /api/whole/demo for the demo.',
        )
      sendRecord(response, { epoch, version: stored.version }, stored.record)
    })
    api.on('put', `/${kind.path}`, kind.writers, replaceHandler(services, kind, RECORDS))
  }
