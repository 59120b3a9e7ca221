/** A fit for another program: the whole question in, the findings out, nothing stored. */
import { fitDocumentSchema, fitJob, inputOf, readDocument } from '@brannik/core'
import { Router } from 'express'
import { invalid } from '../problems.ts'

export function fitRoutes(): Router {
  const router = Router()
  router.post('/', (request, response) => {
    const read = readDocument(fitDocumentSchema, request.body)
    if (!read.ok) throw invalid(read.problems)
    const answer = inputOf(read.value)
    if (!answer.ok) throw invalid(answer.problems)
    response.json(fitJob(answer.input, { chainsOf: 'all' }))
  })
  return router
}
