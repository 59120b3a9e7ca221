/** Errors as problem details (RFC 9457): a status, words, and the fields that are wrong. */
import type { FieldProblem } from '@brannik/core'
import type { ErrorRequestHandler, RequestHandler, Response } from 'express'

export class Problem extends Error {
  readonly status: number
  readonly title: string
  readonly fields: readonly FieldProblem[]
  readonly extra: Readonly<Record<string, unknown>>

  constructor(
    status: number,
    title: string,
    detail: string,
    { fields = [], extra = {} }: { fields?: readonly FieldProblem[]; extra?: Record<string, unknown> } = {},
  ) {
    super(detail)
    this.status = status
    this.title = title
    this.fields = fields
    this.extra = extra
  }
}

export function invalid(fields: readonly FieldProblem[]): Problem {
  const said = fields.slice(0, 5).map(({ field, message }) => `${field} ${message}`)
  const more = fields.length > said.length ? ` And ${fields.length - said.length} more.` : ''
  return new Problem(422, 'Some fields are not right', `${said.join('. ')}.${more}`, { fields })
}

const send = (response: Response, problem: Problem): void => {
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: 'about:blank',
        title: problem.title,
        status: problem.status,
        detail: problem.message,
        ...(problem.fields.length > 0 ? { errors: problem.fields } : {}),
        ...problem.extra,
      }),
    )
}

export const notFound: RequestHandler = (request, response) => {
  send(
    response,
    new Problem(404, 'Not here', `There is no ${request.method} ${request.path}. See /api/openapi.json.`),
  )
}

/** Codes of node-postgres and of the sockets below it that mean: no database. */
const NO_DATABASE = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOTFOUND',
  'ETIMEDOUT',
  'EPIPE',
  '57P01',
  '57P02',
  '57P03',
  '08006',
  '08001',
])
const FOREIGN_KEY = '23503'

const property = (error: unknown, key: string): unknown =>
  typeof error === 'object' && error !== null ? Reflect.get(error, key) : undefined

function problemOf(error: unknown): Problem | null {
  if (error instanceof Problem) return error
  const type = property(error, 'type')
  if (type === 'entity.too.large') {
    return new Problem(413, 'Too large', 'The body is larger than 8 MB. Send less at once.')
  }
  if (type === 'entity.parse.failed') {
    return new Problem(400, 'Not JSON', 'The body is not valid JSON. Check quotes, commas and brackets.')
  }
  if (type === 'charset.unsupported' || type === 'encoding.unsupported' || type === 'request.aborted') {
    return new Problem(415, 'Not readable', 'Send the body as UTF-8 JSON.')
  }
  const code = property(error, 'code')
  const says = error instanceof Error ? error.message : ''
  if (
    (typeof code === 'string' && NO_DATABASE.has(code)) ||
    /timeout exceeded when trying to connect|Connection terminated/.test(says)
  ) {
    return new Problem(
      503,
      'No database',
      'The database does not answer. Nothing was stored; try again when it runs.',
    )
  }
  if (code === FOREIGN_KEY) {
    return new Problem(409, 'In use', 'Another record names this one. Change that one first.')
  }
  if (error instanceof URIError)
    return new Problem(400, 'Not readable', 'The address holds a broken % sequence.')
  return null
}

export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) {
    next(error)
    return
  }
  const problem = problemOf(error)
  if (!problem) request.log.error(error)
  send(
    response,
    problem ??
      new Problem(
        500,
        'A fault of the server',
        'Nothing was stored. The server’s log says more; please report it.',
      ),
  )
}
