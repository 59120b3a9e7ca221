/** Talks to the server: JSON, versions as ETags, a key with each write, lists by the page, problems as data. */
import type { FieldProblem } from '@brannik/core'
import { epochIn, KEPT_AT, PAGE } from '../../offline/kept.ts'

export interface Stored<T> {
  readonly version: number
  readonly record: T
}

/** Why a request did not do what it should. */
export class RequestFailed extends Error {
  readonly status: number
  readonly fields: readonly FieldProblem[]

  /** @param status 0 where the server did not answer at all */
  constructor(status: number, message: string, fields: readonly FieldProblem[] = []) {
    super(message)
    this.status = status
    this.fields = fields
  }

  /** Whether the same request may well be answered otherwise in a moment. */
  get isPassing(): boolean {
    return this.status === 0 || this.status === 429 || this.status >= 500
  }
}

/** The server holds another shop, or somebody else has signed in: what this page has and sends means nothing there. */
class NotOurs extends RequestFailed {
  override get isPassing(): boolean {
    return true
  }
}

const TIMEOUT_MS = 20_000

interface ProblemBody {
  detail?: string
  outcome?: string
  errors?: FieldProblem[]
}

interface Sent {
  readonly body?: unknown
  /** The version that is to be replaced. */
  readonly version?: number
  /** The same request with the same key is done once. */
  readonly key?: string
}

/** Told when the server asks who one is: a session that has ended, or none. */
let whenSignedOut: () => void = () => undefined
export const onSignedOut = (listener: () => void): void => {
  whenSignedOut = listener
}

/** Told when an answer is not the server’s but what is kept of it, and since when. */
let whenKept: (at: Date) => void = () => undefined
export const onKept = (listener: (at: Date) => void): void => {
  whenKept = listener
}

/** Whose this page is: the shop and the account that it was loaded for. Null: not known yet, or nobody's. */
let epoch: string | null = null
let account: string | null = null
/** The next shop that is met, and no account, until the page is told for whom it is loaded. */
export function forgetOwner(): void {
  epoch = null
  account = null
}
export const isOpenFor = (now: string | null): void => void (account = now)
export const owner = () => ({ epoch: epoch ?? '', account: account ?? '' })
/** @returns the same as long as it is the same shop and account */
export const ownerNow = (): string => `${epoch ?? ''} ${account ?? ''}`

let whenNotOurs: (why: 'another-shop' | 'another-account') => void = () => undefined
/** Told when the server holds another shop than the page, or somebody else has signed in. */
export const onNotOurs = (listener: typeof whenNotOurs): void => {
  whenNotOurs = listener
}
/** @returns whether it is the shop of this page */
export function meetShop(met: string): boolean {
  epoch ??= met
  if (met !== epoch) whenNotOurs('another-shop')
  return met === epoch
}
interface Answer<T> {
  readonly body: T
  /** When it was fetched, where it is not the server’s but what is kept of it. */
  readonly keptAt: string | null
}

const request = async <T>(method: string, path: string, sent: Sent = {}): Promise<T> =>
  (await fetched<T>(method, path, sent)).body

async function fetched<T>(
  method: string,
  path: string,
  { body, version, key }: Sent = {},
): Promise<Answer<T>> {
  let response: Response
  try {
    response = await fetch(`/api/${path}`, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(version === undefined ? {} : { 'If-Match': `"${epoch ?? ''}.${version}"` }),
        ...(epoch === null ? {} : { 'Shop-Epoch': epoch }),
        ...(account === null ? {} : { 'Shop-Account': account }),
        ...(key === undefined ? {} : { 'Idempotency-Key': key }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(TIMEOUT_MS),
    })
  } catch {
    throw new RequestFailed(0, 'the server does not respond')
  }
  const met = epochIn(response)
  if (met !== null && !meetShop(met)) throw new NotOurs(412, 'the server holds another shop')
  const keptAt = response.headers.get(KEPT_AT)
  if (keptAt !== null) whenKept(new Date(keptAt))
  if (response.status === 204) return { body: undefined as T, keptAt }
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return { body: answer as T, keptAt }
  const problem = (answer ?? {}) as ProblemBody
  if (problem.outcome === 'another-shop' || problem.outcome === 'another-account') {
    whenNotOurs(problem.outcome)
    throw new NotOurs(response.status, problem.detail ?? '')
  }
  if (response.status === 401 && path !== 'sign-in') whenSignedOut()
  throw new RequestFailed(
    response.status,
    problem.outcome === 'unknown'
      ? 'nobody knows yet whether it was saved. Trying again'
      : (problem.detail ?? `the server answered ${response.status}`),
    problem.errors ?? [],
  )
}

/** A text that nobody else has made. Away from loopback and TLS a browser has no `randomUUID`. */
export const newKey = (): string =>
  [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('')

export interface Listed<T> {
  readonly records: readonly Stored<T>[]
  /** Whether the server has answered, not what is kept of it: only then is what is not listed not there. */
  readonly isCurrent: boolean
}

/** Every record of a kind, page after page. */
export async function listRecords<T>(path: string): Promise<Listed<T>> {
  interface Page {
    readonly items: readonly Stored<T>[]
    readonly next: string | null
  }
  const records: Stored<T>[] = []
  let isCurrent = true
  let next: string | null = null
  do {
    const after: string = next === null ? '' : `&after=${encodeURIComponent(next)}`
    const page: Answer<Page> = await fetched('GET', `${path}?limit=${PAGE}${after}`)
    records.push(...page.body.items)
    isCurrent &&= page.keptAt === null
    next = page.body.next
  } while (next !== null)
  return { records, isCurrent }
}
export const getRecord = <T>(path: string): Promise<Stored<T>> => request('GET', path)
/** @returns null where the server has none */
export const findRecord = <T>(path: string): Promise<Stored<T> | null> =>
  getRecord<T>(path).catch((error: unknown) => {
    if (error instanceof RequestFailed && error.status === 404) return null
    throw error
  })
/** @param key path and id, `jobs/press-frame`; @returns null where that version is not kept */
export const findVersion = async <T>(key: string, version: number): Promise<T | null> =>
  (await findRecord<T>(`history/${key}/${version}`))?.record ?? null
export const createRecord = <T>(path: string, record: T, key: string): Promise<Stored<T>> =>
  request('POST', path, { body: record, key })
export const replaceRecord = <T>(path: string, record: T, version: number, key: string): Promise<Stored<T>> =>
  request('PUT', path, { body: record, version, key })
export const deleteRecord = (path: string, version: number, key: string): Promise<void> =>
  request('DELETE', path, { version, key })

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
  (
    await request<{ items: readonly WrittenItem[] }>('POST', 'catalogue', {
      body: { catalogue, versions },
      key: newKey(),
    })
  ).items

/** Which shop it is, the page learns with it. @returns up to where all changes have been told; null where the server does not say */
export const changesPosition = (): Promise<string | null> =>
  request<{ epoch: string; position: string }>('GET', 'changes/position').then(
    ({ epoch, position }) => (meetShop(epoch) ? position : null),
    () => null,
  )

/** Anything else that the server keeps: backups, history, accounts. */
export const ask = <T>(method: 'GET' | 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown): Promise<T> =>
  request(method, path, body === undefined ? {} : { body })
/** Something that happened: under its key it is recorded once, however often it is sent. */
export const tellEvent = (event: unknown, key: string): Promise<unknown> =>
  request('POST', 'events', { body: event, key })
