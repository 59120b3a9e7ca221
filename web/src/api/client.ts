/** Talks to the server: JSON, versions as ETags, problems as data. */
import type { FieldProblem } from '@brannik/core'

export interface Stored<T> {
  readonly version: number
  readonly record: T
}

/** Why a request did not do what it should. */
export class RequestFailed extends Error {
  readonly status: number
  readonly fields: readonly FieldProblem[]

  /** @param status 0 where the server did not answer at all */
  constructor(status: number, says: string, fields: readonly FieldProblem[] = []) {
    super(says)
    this.status = status
    this.fields = fields
  }
}

const TIMEOUT_MS = 10_000

interface ProblemBody {
  detail?: string
  errors?: FieldProblem[]
}

async function request<T>(method: string, path: string, body?: unknown, version?: number): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api/${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(version === undefined ? {} : { 'If-Match': `"${version}"` }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    })
  } catch {
    throw new RequestFailed(0, 'the server does not answer')
  }
  if (response.status === 204) return undefined as T
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return answer as T
  const problem = (answer ?? {}) as ProblemBody
  throw new RequestFailed(
    response.status,
    problem.detail ?? `the server answered ${response.status}`,
    problem.errors ?? [],
  )
}

export const listRecords = async <T>(path: string): Promise<Stored<T>[]> =>
  (await request<{ items: Stored<T>[] }>('GET', path)).items
export const getRecord = <T>(path: string): Promise<Stored<T>> => request('GET', path)
/** @returns null where the server has none */
export const findRecord = <T>(path: string): Promise<Stored<T> | null> =>
  getRecord<T>(path).catch((error: unknown) => {
    if (error instanceof RequestFailed && error.status === 404) return null
    throw error
  })
export const createRecord = <T>(path: string, record: T): Promise<Stored<T>> => request('POST', path, record)
export const replaceRecord = <T>(path: string, record: T, version: number): Promise<Stored<T>> =>
  request('PUT', path, record, version)
export const deleteRecord = (path: string, version: number): Promise<void> =>
  request('DELETE', path, undefined, version)

export interface WrittenItem {
  readonly path: string
  readonly id: string
  readonly version: number
}
/** Many things at once, all or none. */
export const takeInCatalogue = async (
  catalogue: unknown,
  versions: Readonly<Record<string, number>>,
): Promise<readonly WrittenItem[]> =>
  (await request<{ items: readonly WrittenItem[] }>('POST', 'catalogue', { catalogue, versions })).items
