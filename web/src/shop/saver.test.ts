import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { meetShop } from '../api/client.ts'
import { draftKeys, keepDraft, readDraft } from './drafts.ts'
import { createSaver } from './saver.ts'

const EPOCH = '0f3a9c51d2e8'
meetShop(EPOCH)

const answers: (() => Promise<Response>)[] = []
const sent: {
  method: string
  path: string
  version: string | undefined
  key: string | undefined
  body: { quantity?: number } | null
}[] = []

const holds = (version: number, record: object) => async () => Response.json({ version, record })
const ok = (version: number) => holds(version, {})
const gone = async () => new Response(null, { status: 204 })
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
      version: headers['If-Match']?.replace(`${EPOCH}.`, ''),
      key: headers['Idempotency-Key'],
      body: JSON.parse(`${init.body ?? null}`),
    })
    const answer = answers.shift()
    return answer ? answer() : down()
  })
})
afterEach(() => {
  vi.useRealTimers()
})

const KEY = 'jobs/a'
const saverOf = (handlers: Partial<Parameters<typeof createSaver>[0]> = {}) =>
  createSaver({
    stored: () => undefined,
    dropped: () => undefined,
    kept: () => undefined,
    merged: () => undefined,
    broke: () => undefined,
    ...handlers,
  })
const job = (quantity: number) => ({ id: 'a', quantity })

it('keeps what was typed at once, and sends only the last of many keys', async () => {
  const versions: number[] = []
  const saver = saverOf({ stored: (_key, version) => versions.push(version) })
  answers.push(ok(4))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  saver.change(KEY, 'jobs', { record: job(12), version: 3 })
  expect(readDraft(KEY)).toMatchObject({ record: job(12), version: 3 })
  expect(sent).toEqual([])
  await vi.advanceTimersByTimeAsync(600)
  expect(sent).toMatchObject([{ method: 'PUT', path: '/api/jobs/a', version: '"3"', body: job(12) }])
  expect(versions).toEqual([4])
  expect(draftKeys()).toEqual([])
  expect(saver.entries.has(KEY)).toBe(false)
})

it('an edit during a save is saved after it, on the version that the save gave', async () => {
  const saver = saverOf()
  let finish = (_: Response): void => undefined
  answers.push(() => new Promise<Response>((resolve) => (finish = resolve)), ok(3))
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', { record: job(2), version: 1 })
  finish(Response.json({ version: 2, record: {} }))
  await vi.advanceTimersByTimeAsync(600)
  expect(sent.map(({ version, body }) => [version, body?.quantity])).toEqual([
    ['"1"', 1],
    ['"2"', 2],
  ])
  expect(draftKeys()).toEqual([])
})

it('tries again by itself while the server does not respond, and keeps the draft', async () => {
  const saver = saverOf()
  answers.push(down, down, ok(2))
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'failed', failure: 'the server does not respond' })
  expect(readDraft(KEY)).not.toBeNull()
  await vi.advanceTimersByTimeAsync(8000)
  expect(sent).toHaveLength(3)
  expect(saver.entries.has(KEY)).toBe(false)
})

it('does not repeat what the server refuses', async () => {
  const saver = saverOf()
  answers.push(problem(422))
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  await vi.advanceTimersByTimeAsync(60_000)
  expect(sent).toHaveLength(1)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'failed', failure: 'told 422' })
})

it('asks about a conflict, keeps what is typed meanwhile, and writes over only when told to', async () => {
  const saver = saverOf()
  answers.push(problem(412), holds(9, job(7)), holds(1, job(5)), ok(10))
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)?.clashes).toEqual([{ path: ['quantity'], mine: 1, theirs: 7 }])
  saver.change(KEY, 'jobs', { record: job(2), version: 1 })
  await vi.advanceTimersByTimeAsync(60_000)
  expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
    'PUT /api/jobs/a',
    'GET /api/jobs/a',
    'GET /api/history/jobs/a/1',
  ])
  expect(saver.entries.get(KEY)?.state).toBe('conflict')
  // A reload asks again: the draft says what the edit began from.
  expect(readDraft<{ quantity: number }>(KEY)).toMatchObject({ record: job(2), version: 1 })
  saver.overwrite(KEY)
  await vi.advanceTimersByTimeAsync(10)
  expect(sent[3]).toMatchObject({ version: '"9"', body: job(2) })
})

it('what was changed elsewhere in other fields comes in without a question', async () => {
  const merges: unknown[] = []
  const saver = saverOf({ merged: (...of) => merges.push(of) })
  const [base, theirs, both] = [
    { ...job(5), note: 'old' },
    { ...job(5), note: 'new' },
    { ...job(1), note: 'new' },
  ]
  answers.push(problem(412), holds(9, theirs), holds(1, base), ok(10))
  saver.change(KEY, 'jobs', { record: { ...base, quantity: 1 } as never, version: 1 })
  await vi.advanceTimersByTimeAsync(2000)
  expect(merges).toEqual([[KEY, both, 9, true]])
  expect(sent[3]).toMatchObject({ method: 'PUT', version: '"9"', body: both })
  expect(saver.entries.has(KEY)).toBe(false)
  expect(draftKeys()).toEqual([])
})

it('where nobody knows what both began from, every difference is asked about', async () => {
  const saver = saverOf()
  answers.push(problem(412), holds(9, { ...job(7), note: 'theirs' }), problem(404))
  saver.change(KEY, 'jobs', { record: { ...job(1), note: 'mine' } as never, version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)?.clashes.map(({ path }) => path[0])).toEqual(['quantity', 'note'])
})

it('makes a new record once, then replaces it', async () => {
  const saver = saverOf()
  answers.push(ok(1), ok(2))
  saver.change(KEY, 'jobs', { record: job(1), version: 0 })
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', { record: job(2), version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['POST /api/jobs', 'PUT /api/jobs/a'])
})

it('a draft that cannot be read is no draft', () => {
  keepDraft('jobs/b', { record: job(1), version: 1 })
  localStorage.setItem('brannik.draft.~~.jobs/b', '{"record":')
  expect(readDraft('jobs/b')).toBeNull()
})

/** The page as it is after a reload: what the draft says is all that it knows. */
function reloaded(saver = saverOf()) {
  vi.clearAllTimers()
  const draft = readDraft<{ id: string }>(KEY)
  if (!draft) throw new Error('nothing was kept')
  saver.change(KEY, 'jobs', draft)
  return saver
}

it('a save whose answer a reload cut off is known as one’s own, and what was typed after it is saved', async () => {
  const before = saverOf()
  answers.push(() => new Promise<Response>(() => undefined))
  before.change(KEY, 'jobs', { record: job(1), version: 3 })
  await vi.advanceTimersByTimeAsync(600)
  before.change(KEY, 'jobs', { record: job(2), version: 3 })
  expect(readDraft(KEY)).toMatchObject({ record: job(2), version: 3, unanswered: job(1), key: sent[0]?.key })

  // Asked again with its own key, the server says what became of it; then comes what was typed after.
  answers.push(ok(4), ok(5))
  const after = reloaded()
  await vi.advanceTimersByTimeAsync(1200)
  expect(sent.slice(1).map(({ version, body }) => [version, body])).toEqual([
    ['"3"', job(1)],
    ['"4"', job(2)],
  ])
  expect(sent[1]?.key).toBe(sent[0]?.key)
  expect(sent[2]?.key).not.toBe(sent[0]?.key)
  expect(after.entries.has(KEY)).toBe(false)
  expect(draftKeys()).toEqual([])
})

it('a new record whose answer was lost is not made twice, nor asked about', async () => {
  const saver = saverOf()
  answers.push(down, problem(409), holds(1, job(1)))
  saver.change(KEY, 'jobs', { record: job(1), version: 0 })
  await vi.advanceTimersByTimeAsync(3000)
  expect(sent.map(({ method }) => method)).toEqual(['POST', 'POST', 'GET'])
  expect(saver.entries.has(KEY)).toBe(false)
})

it('what is taken back while it is being made is deleted after it', async () => {
  const saver = saverOf()
  let finish = (_: Response): void => undefined
  answers.push(() => new Promise<Response>((resolve) => (finish = resolve)), gone)
  saver.change(KEY, 'jobs', { record: job(1), version: 0 })
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', { record: null, version: 0 })
  expect(readDraft(KEY)).toMatchObject({ record: null })
  finish(Response.json({ version: 1, record: {} }))
  await vi.advanceTimersByTimeAsync(600)
  expect(sent.map(({ method, version }) => [method, version])).toEqual([
    ['POST', undefined],
    ['DELETE', '"1"'],
  ])
  expect(draftKeys()).toEqual([])
})

it('what was never sent is taken back without a word to the server', async () => {
  const saver = saverOf()
  saver.change(KEY, 'jobs', { record: job(1), version: 0 })
  saver.change(KEY, 'jobs', { record: null, version: 0 })
  await vi.advanceTimersByTimeAsync(5000)
  expect(sent).toEqual([])
  expect(draftKeys()).toEqual([])
})

it('a deletion outlives a reload, and one that is done already is done', async () => {
  saverOf().change(KEY, 'jobs', { record: null, version: 4 })
  answers.push(problem(404), problem(404))
  reloaded()
  await vi.advanceTimersByTimeAsync(600)
  expect(sent[0]).toMatchObject({ method: 'DELETE', version: '"4"' })
  expect(draftKeys()).toEqual([])
})

it('what the server does not let go of comes back with the reason', async () => {
  const kept: string[] = []
  const saver = saverOf({ kept: (key, reason) => kept.push(`${key}: ${reason}`) })
  answers.push(problem(409))
  saver.change(KEY, 'jobs', { record: null, version: 4 })
  await vi.advanceTimersByTimeAsync(600)
  expect(kept).toEqual(['jobs/a: told 409'])
  expect(saver.entries.size).toBe(0)
})

it('what somebody else deleted is asked about, and made anew when told to', async () => {
  const saver = saverOf()
  answers.push(problem(404), problem(404), ok(1))
  saver.change(KEY, 'jobs', { record: job(2), version: 3 })
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'conflict', theirs: 0 })
  saver.overwrite(KEY)
  await vi.advanceTimersByTimeAsync(10)
  expect(sent.at(-1)).toMatchObject({ method: 'POST', body: job(2) })
  expect(saver.entries.has(KEY)).toBe(false)
})

it('saves one after the other, in the order of their edits', async () => {
  const saver = saverOf()
  let finish = (_: Response): void => undefined
  answers.push(() => new Promise<Response>((resolve) => (finish = resolve)), ok(1))
  saver.change('guns/g', 'guns', { record: { id: 'g' }, version: 0 })
  saver.change('set-ups/s', 'set-ups', { record: { id: 's' }, version: 0 })
  await vi.advanceTimersByTimeAsync(2000)
  expect(sent.map(({ path }) => path)).toEqual(['/api/guns'])
  finish(Response.json({ version: 1, record: {} }))
  await vi.advanceTimersByTimeAsync(10)
  expect(sent.map(({ path }) => path)).toEqual(['/api/guns', '/api/set-ups'])
})

it('what the server of an older version cannot tell by its key is still known as one’s own', async () => {
  const saver = saverOf()
  answers.push(down, problem(412), holds(4, job(1)))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  await vi.advanceTimersByTimeAsync(3000)
  expect(sent.map(({ method }) => method)).toEqual(['PUT', 'PUT', 'GET'])
  expect(saver.entries.has(KEY)).toBe(false)
})

it('a write of which nobody knows is called so, and asked again with the same key', async () => {
  const saver = saverOf()
  answers.push(problem(503, { outcome: 'unknown' }), ok(2))
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)).toMatchObject({
    state: 'failed',
    failure: 'nobody knows yet whether it was saved. Trying again',
  })
  await vi.advanceTimersByTimeAsync(2500)
  expect(sent.map(({ key }) => key === sent[0]?.key)).toEqual([true, true])
  expect(saver.entries.has(KEY)).toBe(false)
})

it('what was typed after something that is refused is sent all the same', async () => {
  const saver = saverOf()
  let finish = (_: Response): void => undefined
  answers.push(() => new Promise<Response>((resolve) => (finish = resolve)), ok(2))
  saver.change(KEY, 'jobs', { record: job(-1), version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  finish(Response.json({ detail: 'too few' }, { status: 422 }))
  await vi.advanceTimersByTimeAsync(1200)
  expect(sent.map(({ body }) => body?.quantity)).toEqual([-1, 1])
  expect(saver.entries.has(KEY)).toBe(false)
})

it('too often is waited out, not given up', async () => {
  const saver = saverOf()
  answers.push(problem(429), ok(2))
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  await vi.advanceTimersByTimeAsync(3000)
  expect(saver.entries.has(KEY)).toBe(false)
})

it('what no answer explains is told once, stays unsaved, and is saved by asking again', async () => {
  const broken: unknown[] = []
  const saver = saverOf({ broke: (error) => broken.push(error) })
  // An answer that is no JSON is an error of reading it, not of the server.
  answers.push(async () => new Response('<html>', { status: 200 }), ok(4))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  await vi.advanceTimersByTimeAsync(60_000)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'failed' })
  expect(saver.entries.get(KEY)?.failure).not.toBe('')
  expect(broken).toHaveLength(1)
  expect(readDraft(KEY)).toMatchObject({ record: job(1) })
  void saver.retry()
  await vi.advanceTimersByTimeAsync(0)
  expect(saver.entries.has(KEY)).toBe(false)
})

it('tells when all that is not stored was asked for, what waits and what is on its way', async () => {
  const saver = saverOf()
  const other = 'jobs/frame'
  answers.push(ok(4), ok(2))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  saver.change(other, 'jobs', { record: { ...job(1), id: 'frame' }, version: 1 })
  let isTold = false
  const told = saver.retry().then(() => (isTold = true))
  expect(isTold).toBe(false)
  await told
  // Before the half second after which they would have been saved by themselves.
  expect([sent.length, saver.entries.size]).toEqual([2, 0])
})

it('waits longer after each try in vain, half a minute at the most, and from the beginning after a save', async () => {
  const saver = saverOf()
  let finish = (_: Response): void => undefined
  answers.push(down, down, down, down, down, down)
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  const at: number[] = []
  for (let ms = 0; ms < 110_000 && sent.length < 6; ms += 100) {
    const before = sent.length
    await vi.advanceTimersByTimeAsync(100)
    if (sent.length > before) at.push(ms + 100)
  }
  expect(at.map((ms, index) => ms - (at[index - 1] ?? 0))).toEqual([500, 2000, 5000, 10_000, 30_000, 30_000])
  answers.push(() => new Promise<Response>((resolve) => (finish = resolve)), down, ok(3))
  await vi.advanceTimersByTimeAsync(30_000)
  saver.change(KEY, 'jobs', { record: job(2), version: 1 })
  finish(Response.json({ version: 2, record: {} }))
  await vi.advanceTimersByTimeAsync(500)
  expect(sent).toHaveLength(8)
  await vi.advanceTimersByTimeAsync(2000)
  expect(sent).toHaveLength(9)
  expect(saver.entries.has(KEY)).toBe(false)
})

it('sends nothing any more when the page is left, and keeps it in the browser', async () => {
  const saver = saverOf()
  saver.change(KEY, 'jobs', { record: job(1), version: 1 })
  expect(saver.isPending(KEY)).toBe(true)
  saver.park()
  expect(saver.isPending(KEY)).toBe(false)
  await vi.advanceTimersByTimeAsync(60_000)
  expect(sent).toEqual([])
  expect(readDraft(KEY)).toMatchObject({ record: job(1) })
})

it('says nothing of a save that was given up while it was on its way', async () => {
  const told: string[] = []
  const saver = saverOf({
    stored: () => told.push('stored'),
    broke: () => told.push('broke'),
    merged: () => told.push('merged'),
  })
  for (const answer of [ok(4), problem(422), down]) {
    let finish: () => void = () => undefined
    answers.push(
      () => new Promise<Response>((resolve, reject) => (finish = () => void answer().then(resolve, reject))),
    )
    saver.change(KEY, 'jobs', { record: job(1), version: 3 })
    await vi.advanceTimersByTimeAsync(500)
    saver.discard(KEY)
    finish()
    await vi.advanceTimersByTimeAsync(60_000)
  }
  expect([told, saver.entries.size, draftKeys()]).toEqual([[], 0, []])
  expect(sent).toHaveLength(3)
})

it('says nothing of a conflict that was given up while the server was asked what it has', async () => {
  const told: string[] = []
  const saver = saverOf({ merged: () => told.push('merged'), stored: () => told.push('stored') })
  let finish = (_: Response): void => undefined
  answers.push(problem(412), () => new Promise<Response>((resolve) => (finish = resolve)))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  await vi.advanceTimersByTimeAsync(500)
  saver.discard(KEY)
  finish(Response.json({ version: 4, record: job(1) }))
  await vi.advanceTimersByTimeAsync(60_000)
  // Nor where it was given up one answer later.
  answers.push(problem(412), holds(4, job(9)), () => new Promise<Response>((resolve) => (finish = resolve)))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  await vi.advanceTimersByTimeAsync(500)
  expect(sent.at(-1)?.path).toBe('/api/history/jobs/a/3')
  saver.discard(KEY)
  finish(Response.json({ version: 3, record: job(0) }))
  await vi.advanceTimersByTimeAsync(60_000)
  expect([told, saver.entries.size]).toEqual([[], 0])
})

it('what was deleted there is given up by deleting it here, without a word to the server', async () => {
  const stored: unknown[] = []
  const saver = saverOf({ stored: (...all) => stored.push(all) })
  answers.push(problem(404), problem(404))
  saver.change(KEY, 'jobs', { record: job(2), version: 3 })
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', { record: null, version: 3 })
  await vi.advanceTimersByTimeAsync(60_000)
  expect([stored, saver.entries.size, sent.length, draftKeys()]).toEqual([[[KEY, 0, false]], 0, 2, []])
})

it('what is deleted here and was changed there is asked about, and deleted when told to', async () => {
  const saver = saverOf()
  answers.push(problem(412), holds(7, job(9)), holds(3, job(1)), gone)
  saver.change(KEY, 'jobs', { record: null, version: 3 })
  await vi.advanceTimersByTimeAsync(600)
  expect(saver.entries.get(KEY)).toMatchObject({ state: 'conflict', theirs: 7, record: null })
  expect(readDraft(KEY)).toMatchObject({ record: null, version: 3 })
  // Asking again does not answer the question.
  void saver.retry()
  await vi.advanceTimersByTimeAsync(60_000)
  expect(saver.entries.get(KEY)?.state).toBe('conflict')
  saver.overwrite(KEY)
  await vi.advanceTimersByTimeAsync(0)
  expect(sent.at(-1)).toMatchObject({ method: 'DELETE', version: '"7"' })
  expect(saver.entries.size).toBe(0)
})

it('writes over at once what is waiting, on the version that it began from; of what is stored there is nothing to write', async () => {
  const saver = saverOf()
  saver.overwrite(KEY)
  await vi.advanceTimersByTimeAsync(0)
  expect(sent).toEqual([])
  answers.push(ok(4))
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  saver.overwrite(KEY)
  await vi.advanceTimersByTimeAsync(0)
  expect(sent).toMatchObject([{ method: 'PUT', version: '"3"' }])
})

it('the shop is replaced where the shop is', async () => {
  const saver = saverOf()
  answers.push(ok(2))
  saver.change('shop/tollgate', 'shop', { record: { id: 'tollgate' }, version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(sent).toMatchObject([{ method: 'PUT', path: '/api/shop' }])
})

it('says which versions are stored, and whether it asked again', async () => {
  const stored: unknown[] = []
  const saver = saverOf({ stored: (...all) => stored.push(all) })
  answers.push(ok(4), down, ok(5), gone)
  saver.change(KEY, 'jobs', { record: job(1), version: 3 })
  await vi.advanceTimersByTimeAsync(600)
  saver.change(KEY, 'jobs', { record: job(2), version: 4 })
  await vi.advanceTimersByTimeAsync(3000)
  saver.change(KEY, 'jobs', { record: null, version: 5 })
  await vi.advanceTimersByTimeAsync(600)
  expect(stored).toEqual([
    [KEY, 4, false],
    [KEY, 5, true],
    [KEY, 0, false],
  ])
})
