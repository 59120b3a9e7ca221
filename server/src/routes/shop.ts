/** The shop itself: one record, always there. */
import { Router } from 'express'
import { type Database, inTransaction } from '../database.ts'
import { Problem } from '../problems.ts'
import { SHOP } from '../stores/kinds.ts'
import * as records from '../stores/records.ts'
import { answer, ifMatch, readBody } from './records.ts'

export function shopRoutes(database: Database): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    const [stored] = await inTransaction(database, (connection) => records.list(connection, SHOP))
    if (!stored)
      throw new Problem(
        404,
        'No shop',
        'The database holds no shop. Start with npm start, which loads the demo shop.',
      )
    answer(response, stored.version, stored.record)
  })
  router.put('/', async (request, response) => {
    const body = readBody(SHOP, request)
    const had = ifMatch(request)
    const version = await inTransaction(database, (connection) =>
      records.replace(connection, SHOP, had, body),
    )
    answer(response, version, body)
  })
  return router
}
