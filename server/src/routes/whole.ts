/** The whole shop as one file: out, in the place of what is stored, and the demo where nothing is. */
import type { Request, Response } from 'express'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { type Connection, readingAtOnce } from '../database.ts'
import { Problem } from '../problems.ts'
import { recordDemoLog } from '../demoLog.ts'
import { DEMOS, demoShop } from '../demoShop.ts'
import type { WholeDocument } from '../documents/documents.ts'
import type { AddRoutes } from '../services.ts'
import { type Answer, answerOnce } from '../stores/answers.ts'
import { BEGAN_ANOTHER_SHOP, note } from '../stores/audit.ts'
import { replaceWhole, storedShop, wholePieces } from '../stores/whole.ts'

export const wholeRoutes: AddRoutes = (api, { database, readBody }) => {
  api.on('get', '/whole', 'guest', async (_request, response) => {
    await readingAtOnce(database, async (connection) => {
      const shop = await storedShop(connection)
      response.type('application/json')
      await pipeline(Readable.from(wholePieces(connection, shop)), response)
    })
  })
  const begin = async (
    request: Request,
    response: Response,
    whole: WholeDocument,
    then: (connection: Connection) => Promise<void> = () => Promise.resolve(),
  ): Promise<void> => {
    const work = async (connection: Connection): Promise<Answer> => {
      await replaceWhole(connection, whole)
      await then(connection)
      await note(connection, request.actor, { action: BEGAN_ANOTHER_SHOP, detail: whole.name })
      return { status: 204 }
    }
    await answerOnce(database, request, work, 'update')
    response.status(204).end()
  }
  api.on('post', '/whole', 'owner', async (request, response) => {
    await begin(request, response, await readBody(request, { what: 'whole' }))
  })
  api.on('post', '/whole/demo', 'owner', async (request, response) => {
    const asked = request.query['demo'] ?? 'inch'
    const demo = DEMOS.find((one) => one === asked)
    if (!demo)
      throw new Problem(
        400,
        'Not a demo',
        `demo is not one of ${DEMOS.join(', ')}; write one of them, or leave it out.`,
      )
    await begin(request, response, await demoShop(demo), (connection) => recordDemoLog(connection, demo))
  })
}
