/** Whether the server and its database answer. */
import { Router } from 'express'
import type { Database } from '../database.ts'

export function healthRoutes(database: Database): Router {
  const router = Router()
  router.get('/', async (_request, response) => {
    const answers = await database.query('select 1').then(
      () => true,
      () => false,
    )
    response
      .status(answers ? 200 : 503)
      .json({ server: 'answers', database: answers ? 'answers' : 'does not answer' })
  })
  return router
}
