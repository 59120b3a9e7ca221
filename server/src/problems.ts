/** Errors as problem details (RFC 9457): a status, words, and the fields that are wrong. */
import type { FieldProblem } from '@brannik/core'
import type { ErrorRequestHandler, RequestHandler, Response } from 'express'
import { isNoDatabase, properties } from './faults.ts'
import { LIMITS } from './limits.ts'

interface Details {
  readonly fields?: readonly FieldProblem[]
  readonly extra?: Readonly<Record<string, unknown>>
  /** Seconds after which it is worth asking again. */
  readonly retryAfterS?: number
}

export class Problem extends Error {
  readonly status: number
  readonly title: string
  readonly fields: readonly FieldProblem[]
  readonly extra: Readonly<Record<string, unknown>>
  readonly retryAfterS: number | null

  constructor(
    status: number,
    title: string,
    detail: string,
    { fields = [], extra = {}, retryAfterS }: Details = {},
  ) {
    super(detail)
    this.status = status
    this.title = title
    this.fields = fields
    this.extra = extra
    this.retryAfterS = retryAfterS ?? null
  }
}

export function invalid(fields: readonly FieldProblem[]): Problem {
  const said = fields.slice(0, 5).map(({ field, message }) => `${field} ${message}`)
  const more = fields.length > said.length ? ` And ${fields.length - said.length} more.` : ''
  return new Problem(422, 'Some fields are not right', `${said.join('. ')}.${more}`, { fields })
}

function sendProblem(response: Response, problem: Problem): void {
  if (problem.retryAfterS !== null) response.set('Retry-After', `${problem.retryAfterS}`)
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
        requestId: response.req.id,
        ...problem.extra,
      }),
    )
}

export const notFound: RequestHandler = (request, response) => {
  sendProblem(
    response,
    new Problem(404, 'Not here', `There is no ${request.method} ${request.path}. See /api/openapi.json.`),
  )
}

const noDatabase = (): Problem =>
  new Problem(
    503,
    'No database',
    'The database does not answer. Nothing was stored; try again when it runs.',
    { retryAfterS: 2 },
  )

/** By the code of PostgreSQL, see its appendix A. */
const BY_CODE: Readonly<Record<string, () => Problem>> = {
  '23503': () => new Problem(409, 'In use', 'Another record names this one. Change that one first.'),
  '22P05': () => unstorable(),
  '22P02': () => unstorable(),
  '22021': () => unstorable(),
  '55P03': () => busy('Somebody else is writing the same thing'),
  '57014': () => busy('The database took too long'),
  '40001': () => busy('Others are writing the same things'),
  '40P01': () => busy('Others are writing the same things'),
  '53100': () => full(),
  '53200': () => busy('The database is out of memory'),
  '54000': () => new Problem(413, 'Too large', 'It is larger than the database can hold. Send less at once.'),
}
const unstorable = (): Problem =>
  new Problem(422, 'Cannot be stored', 'A text holds a character that no database stores. Type it again.')
const busy = (why: string): Problem =>
  new Problem(503, 'Busy', `${why}. Nothing was stored; try again.`, { retryAfterS: 1 })
const full = (): Problem =>
  new Problem(
    507,
    'The disk is full',
    'The disk of the database is full. Nothing was stored. Free some space, then try again.',
    { retryAfterS: 30 },
  )

/** By the type that Express and its body reader give. */
const BY_TYPE: Readonly<Record<string, () => Problem>> = {
  'entity.too.large': () =>
    new Problem(
      413,
      'Too large',
      `The body is larger than ${LIMITS.bodyBytes / 1024 / 1024} MB. Send less at once.`,
    ),
  'charset.unsupported': () => new Problem(415, 'Not readable', 'Send the body as UTF-8 JSON.'),
  'encoding.unsupported': () =>
    new Problem(415, 'Not readable', 'Send the body plain, or packed as gzip, deflate or br.'),
  'request.aborted': () => new Problem(400, 'Cut off', 'The body ended before its length. Send it again.'),
  'request.size.invalid': () =>
    new Problem(400, 'Not readable', 'The body is not as long as Content-Length says. Send it again.'),
}

function problemOf(error: unknown): Problem | null {
  if (error instanceof Problem) return error
  const { code, type, status, message } = properties(error)
  const known = BY_TYPE[type] ?? BY_CODE[code]
  if (known) return known()
  if (isNoDatabase(error)) return noDatabase()
  if (error instanceof URIError)
    return new Problem(400, 'Not readable', 'The address holds a broken % sequence.')
  // What the libraries below call the client's fault: a file that is not there, a range that is none, a body that
  // does not unpack.
  if (status >= 400 && status < 500) {
    return new Problem(
      status,
      status === 404 ? 'Not here' : 'Not right',
      message || 'The request is not right.',
    )
  }
  return null
}

export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) {
    next(error)
    return
  }
  const problem = problemOf(error)
  if (!problem || problem.status >= 500) request.log.error(error)
  sendProblem(
    response,
    problem ??
      new Problem(
        500,
        'A fault of the server',
        'Nothing was stored. The server’s log says more; please report it.',
      ),
  )
}
