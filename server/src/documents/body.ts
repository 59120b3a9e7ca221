/** The body of a request as a checked document: read here where it is small, in a worker thread where it is not. */
import express, { type Request, type RequestHandler } from 'express'
import { LIMITS } from '../limits.ts'
import { invalid, Problem } from '../problems.ts'
import type { WorkPool } from '../work/pool.ts'
import { type Answers, answerTo, type Ask, type Outcome } from './documents.ts'

/** The bytes alone: whoever needs the document asks for it. */
export const bodyBytes: RequestHandler = express.raw({
  limit: LIMITS.bodyBytes,
  type: () => true,
})

function valueOf<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value
  throw 'notJson' in outcome ? new Problem(400, 'Not JSON', outcome.notJson) : invalid(outcome.problems)
}

export type ReadBody = <What extends keyof Answers>(
  request: Request,
  ask: Extract<Ask, { what: What }>,
) => Promise<Answers[What]>

/** @returns what reads bodies; it throws a Problem that names each field that is not right */
export const bodyReader =
  (pool: WorkPool): ReadBody =>
  async (request, ask) => {
    const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
    type Value = Answers[typeof ask.what]
    const isShort = ask.what !== 'fit' && bytes.length <= LIMITS.bodyReadHereBytes
    return valueOf(
      (isShort ? answerTo(ask, bytes) : await pool.ask(ask, bytes, request.actor.who)) as Outcome<Value>,
    )
  }

/** A small body that is no document of the shop, such as a name and a password. */
export function smallBody(request: Request): unknown {
  const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
  if (bytes.length > LIMITS.bodyReadHereBytes) throw new Problem(413, 'Too large', 'Send less.')
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) as unknown
  } catch {
    throw new Problem(400, 'Not JSON', 'The body is not valid JSON. Check quotes, commas and brackets.')
  }
}
