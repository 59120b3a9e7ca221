// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { draftKeys, keepDraft, readDraft } from './drafts.ts'
import { createSaver } from './saver.ts'

const answers: (() => Promise<Response>)[] = []
const sent: { method: string; path: string; version: string | undefined; body: { quantity?: number } }[] = []

const ok = (version: number) => async () => Response.json({ version, record: {} })
const problem =
  (status: number, extra = {}) =>
  async () =>
    Response.json({ detail: `told ${status}`, ...extra }, { status })
const down = async () => Promise.reject(new TypeError('fetch failed'))

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  answers.length = 0
  sent.length = 0
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    const headers = init.headers as Record<string, string>
    sent.push({
      method: init.method ?? '',
      path,
      version: headers['If-Match'],
      body: JSON.parse(`${init.body}`),
    })
    const answer = answers.shift()
    return answer ? answer() : down()
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const KEY = 'jobs/a'
const job = (quantity: number) => ({ id: 'a', quantity })

it('keeps what was typed at once, and sends only the last of many keys', async () => {
  const versions: number[] = []
  const saver = createSaver((_key, version) => versions.push(version))
  answers.push(ok(4))
  saver.change(KEY, 'jobs', job(1), 3)
  saver.change(KEY, 'jobs', job(12), 3)
  expect(readDraft(KEY)).toEqual({ record: job(12), version: 3 })
  expect(sent).toEqual([])
  await vi.advanceTimersByTimeAsync(600)
  expect(sent).toEqual([{ method: 'PUT', path: '/api/jobs/a', version: '"3"', body: job(12) }])
  expect(versions).toEqual([4])
  expect(draftKeys()).toEqual([])
  expect(saver.entries.get(KEY)?.state).toBe('saved')
})

it('an edit during a save is saved after it, on the version that the save gave', async () => {
  const saver = createSaver(() => undefined)
  let finish = (_: Response): void => undefined
  answers.push(() => new Promise<Response>((resolve) => (finish = resolve)), ok(3))
  saver.change(KEY, 'jobs', job(1), 1)
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', job(2), 1)
  finish(Response.json({ version: 2, record: {} }))
  await vi.advanceTimersByTimeAsync(600)
  expect(sent.map(({ version, body }) => [version, body.quantity])).toEqual([
    ['"1"', 1],
    ['"2"', 2],
  ])
  expect(draftKeys()).toEqual([])
})

it('tries again by itself while the server does not answer, and keeps the draft', async () => {
  const saver = createSaver(() => undefined)
  answers.push(down, down, ok(2))
  saver.change(KEY, 'jobs', job(1), 1)
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'failed', says: 'the server does not answer' })
  expect(readDraft(KEY)).not.toBeNull()
  await vi.advanceTimersByTimeAsync(8000)
  expect(sent).toHaveLength(3)
  expect(saver.entries.get(KEY)?.state).toBe('saved')
})

it('does not repeat what the server refuses', async () => {
  const saver = createSaver(() => undefined)
  answers.push(problem(422))
  saver.change(KEY, 'jobs', job(1), 1)
  await vi.advanceTimersByTimeAsync(60_000)
  expect(sent).toHaveLength(1)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'failed', says: 'told 422' })
})

it('asks about a conflict, keeps what is typed meanwhile, and writes over only when told to', async () => {
  const saver = createSaver(() => undefined)
  answers.push(problem(412, { currentVersion: 9 }), ok(10))
  saver.change(KEY, 'jobs', job(1), 1)
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', job(2), 1)
  await vi.advanceTimersByTimeAsync(60_000)
  expect(sent).toHaveLength(1)
  expect(saver.entries.get(KEY)?.state).toBe('conflict')
  expect(readDraft<{ quantity: number }>(KEY)?.record.quantity).toBe(2)
  saver.overwrite(KEY)
  await vi.advanceTimersByTimeAsync(10)
  expect(sent[1]).toMatchObject({ version: '"9"', body: job(2) })
})

it('makes a new record once, then replaces it', async () => {
  const saver = createSaver(() => undefined)
  answers.push(ok(1), ok(2))
  saver.change(KEY, 'jobs', job(1), 0)
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', job(2), 0)
  await vi.advanceTimersByTimeAsync(600)
  expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['POST /api/jobs', 'PUT /api/jobs/a'])
})

it('a draft that cannot be read is no draft', () => {
  keepDraft('jobs/b', { record: job(1), version: 1 })
  localStorage.setItem('brannik.draft.jobs/b', '{"record":')
  expect(readDraft('jobs/b')).toBeNull()
})
