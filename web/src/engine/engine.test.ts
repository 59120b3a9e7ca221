import {
  assess,
  cellsOf,
  fitJob,
  type Job,
  mapColumns,
  placesOf,
  readTable,
  sidesOf,
  worstOf,
} from '@brannik/core'
import { expect, it, vi } from 'vitest'
import { inputFor, shopDocument } from '../testing/demo.ts'
import { METRIC } from '../testing/notation.ts'
import { createEngineClient, type EngineClient } from './client.ts'
import { diffOf, emptySent, isSameBesideJobs } from './delta.ts'
import { Engine } from './engine.ts'
import type { Snapshot } from './snapshot.ts'
import { inShares } from './inShares.ts'
import { askOfJobs } from './manyJobs.ts'

const { format: _format, version: _version, ...snapshot } = shopDocument
const ids = snapshot.jobs.map(({ id }) => id)
const changed = (jobId: string, change: Partial<Job>): Snapshot => ({
  ...snapshot,
  jobs: snapshot.jobs.map((job) => (job.id === jobId ? { ...job, ...change } : job)),
})
const here = () => createEngineClient(() => ({ engine: new Engine(), stop: () => undefined }))

it('what is told is only what has changed', () => {
  const sent = emptySent()
  const first = diffOf(snapshot, sent)
  expect(first?.lists.find(({ key }) => key === 'jobs')?.put).toHaveLength(snapshot.jobs.length)
  expect(diffOf(snapshot, sent)).toBe(null)
  const next = changed('press-frame', { quantity: 77 })
  expect(diffOf(next, sent)).toEqual({
    lists: [{ key: 'jobs', put: [next.jobs.find(({ id }) => id === 'press-frame')], removed: [] }],
  })
  const fewer = { ...next, jobs: next.jobs.filter(({ id }) => id !== 'press-frame') }
  expect(diffOf(fewer, sent)).toEqual({ lists: [{ key: 'jobs', put: [], removed: ['press-frame'] }] })
  expect(diffOf({ ...fewer, shop: { ...snapshot.shop, currency: 'USD' } }, sent)).toMatchObject({
    shop: { currency: 'USD' },
    lists: [],
  })
})

it('answers what core answers, of the shop as it is now', async () => {
  const client = here()
  expect(await client.ask(snapshot, 'fit', 'press-frame', {})).toEqual(fitJob(inputFor('press-frame')))
  const input = inputFor('press-frame')
  expect(await client.ask(changed('press-frame', { quantity: 40 }), 'fit', 'press-frame', {})).toEqual(
    fitJob({ ...input, job: { ...input.job, quantity: 40 } }),
  )
  const gone = { ...snapshot, jobs: snapshot.jobs.filter(({ id }) => id !== 'press-frame') }
  expect(await client.ask(gone, 'fit', 'press-frame', {})).toBe(null)
})

it('a job has what earlier planned ones leave, as they are edited, archived or given another set-up', async () => {
  const client = here()
  const wireUse = async (now: Snapshot) =>
    (await client.ask(now, 'fit', 'press-screw-post', {}))?.criteria.find(
      ({ criterion }) => criterion === 'wire-use',
    )
  const before = await wireUse(snapshot)
  expect(before).toMatchObject({ code: 'measured-net', verdict: 'fails' })
  // A frame of the fewest pieces leaves enough.
  expect(await wireUse(changed('press-frame', { quantity: 1 }))).toMatchObject({ verdict: 'fits' })
  expect(await wireUse(changed('press-frame', { state: 'archived' }))).toMatchObject({ code: 'measured' })
  expect(await wireUse(changed('press-frame', { setUpId: null }))).toMatchObject({ code: 'measured' })
  const counted = snapshot.stock.map((one) => (one.id === 'wire.er70s6-035' ? { ...one, amount: 9000 } : one))
  expect(await wireUse({ ...snapshot, stock: counted })).toMatchObject({ verdict: 'fits' })
  expect(await wireUse(snapshot)).toEqual(before)
  // What was taken for a job already is not taken twice.
  const used = (jobId: string, amount: number) => [{ id: jobId, jobId, item: 'wire.er70s6-035', amount }]
  const once = changed('press-frame', { timesPerYear: null })
  expect(await wireUse({ ...once, used: used('press-frame', 2000) })).toMatchObject({ verdict: 'fits' })
  // Of a job that comes again nobody knows to which run it belongs.
  expect(await wireUse({ ...snapshot, used: used('press-frame', 2000) })).toEqual(before)
  const postOnce = changed('press-screw-post', { timesPerYear: 1 })
  expect(await wireUse({ ...postOnce, used: used('press-screw-post', 1000) })).toMatchObject({
    code: 'measured-rest',
    demand: (before?.demand ?? 0) - 1000,
  })
  expect(await wireUse(snapshot)).toEqual(before)
})

it('every cell of a board is the assessment of its job with its set-up', async () => {
  const setUpIds = snapshot.setUps.map(({ id }) => id)
  const rows = await here().ask(snapshot, 'board', ids, setUpIds)
  const cells = rows.flatMap((row) => cellsOf(row, placesOf(setUpIds)))
  expect(cells).toHaveLength(ids.length * setUpIds.length)
  for (const { id: jobId, setUpId } of snapshot.jobs) {
    if (setUpId === null) continue
    const input = inputFor(jobId)
    const { capability, demand } = sidesOf(input)
    const cell = cells.find((one) => one.jobId === jobId && one.setUpId === input.setUp.id)
    expect(cell?.verdict).toBe(worstOf(assess(capability, demand)))
    expect(cell?.limit?.verdict ?? 'fits').toBe(cell?.verdict)
  }
})

it('a change in a job leaves the rest the same, and a change in anything else does not', () => {
  expect(isSameBesideJobs(snapshot, changed('press-frame', { quantity: 77 }))).toBe(true)
  expect(isSameBesideJobs(snapshot, { ...snapshot, setUps: [...snapshot.setUps] })).toBe(false)
  expect(isSameBesideJobs(snapshot, { ...snapshot, shop: { ...snapshot.shop } })).toBe(false)
})

it('many jobs are asked in parts, with progress, and can be stopped', async () => {
  const many = {
    ...snapshot,
    jobs: Array.from({ length: 25 }, (_, n) => ({ ...snapshot.jobs[0], id: `j${n}` })),
  }
  const manyIds = many.jobs.map(({ id }) => id)
  const parts: [number, number][] = []
  const stop = new AbortController()
  const rows = await askOfJobs([here()], many as Snapshot, 'glance', manyIds, [], {
    signal: stop.signal,
    onPart: (part, done) => parts.push([part.length, done]),
  })
  expect(rows?.map(({ jobId }) => jobId)).toEqual(manyIds)
  expect(parts).toEqual([
    [1, 1],
    [10, 11],
    [10, 21],
    [4, 25],
  ])
  let told = 0
  const stopped = await askOfJobs(
    [here()],
    many as Snapshot,
    'board',
    manyIds,
    [[snapshot.setUps[0]?.id ?? '']],
    {
      signal: stop.signal,
      onPart() {
        told += 1
        stop.abort()
      },
    },
  )
  expect([stopped, told]).toEqual([null, 1])
})

it('many jobs are shared between two engines, each part asked once, rows in the order of the jobs', async () => {
  const jobs = Array.from({ length: 64 }, (_, n) => ({ ...snapshot.jobs[0], id: `j${n}` }))
  const many = { ...snapshot, jobs } as Snapshot
  const manyIds = jobs.map(({ id }) => id)
  const asked: [number, readonly string[]][] = []
  const counting = (engine: number): EngineClient => {
    const client = here()
    return {
      ask(of, question, ...rest) {
        asked.push([engine, rest[0] as readonly string[]])
        return client.ask(of, question, ...rest)
      },
    }
  }
  const done: number[] = []
  const progress = { signal: new AbortController().signal, onPart: (_: unknown, n: number) => done.push(n) }
  const setUpIds = snapshot.setUps.map(({ id }) => id)
  const rows = await askOfJobs([counting(0), counting(1)], many, 'board', manyIds, [setUpIds], progress)
  expect(rows).toEqual(await here().ask(many, 'board', manyIds, setUpIds))
  expect(asked.flatMap(([, part]) => part).sort()).toEqual([...manyIds].sort())
  expect(new Set(asked.map(([engine]) => engine))).toEqual(new Set([0, 1]))
  expect(done).toEqual([...done].sort((a, b) => a - b))
  expect(done.at(-1)).toBe(64)
  // Few jobs are not worth a second thread.
  asked.length = 0
  await askOfJobs([counting(0), counting(1)], many, 'board', manyIds.slice(0, 8), [setUpIds], progress)
  expect(new Set(asked.map(([engine]) => engine))).toEqual(new Set([0]))
})

it('where one of two engines fails, nothing more is told', async () => {
  const jobs = Array.from({ length: 64 }, (_, n) => ({ ...snapshot.jobs[0], id: `j${n}` }))
  const failing: EngineClient = { ask: () => Promise.reject(new Error('it broke')) }
  let told = 0
  const asking = askOfJobs(
    [failing, here()],
    { ...snapshot, jobs } as Snapshot,
    'board',
    jobs.map(({ id }) => id),
    [snapshot.setUps.map(({ id }) => id)],
    { signal: new AbortController().signal, onPart: () => (told += 1) },
  )
  await expect(asking).rejects.toThrow('it broke')
  expect(told).toBe(0)
})

it('one job that cannot be reckoned is told in its row', async () => {
  const broken = changed('press-frame', { joints: null as never })
  const glances = await here().ask(broken, 'glance', ids)
  const row = glances.find(({ jobId }) => jobId === 'press-frame')
  expect(row).toMatchObject({ verdict: null, chain: null })
  expect(row?.failure).not.toBe('')
  expect(glances.filter(({ failure }) => failure !== '')).toHaveLength(1)
})

it('a question that throws is told to whoever asked, and the next is answered', async () => {
  const client = here()
  const broken = changed('press-frame', { joints: null as never })
  await expect(client.ask(broken, 'fit', 'press-frame', {})).rejects.toThrow()
  expect(await client.ask(snapshot, 'fit', 'press-frame', {})).toEqual(fitJob(inputFor('press-frame')))
})

it('a thread that breaks leaves nobody waiting, and the next question finds a new one that knows the shop', async () => {
  const starts: ((message: string) => void)[] = []
  let stops = 0
  const client = createEngineClient((onBreak) => {
    starts.push(onBreak)
    const engine = new Engine()
    // The first never answers.
    if (starts.length === 1) engine.ask = () => new Promise<never>(() => undefined)
    return { engine, stop: () => (stops += 1) }
  })
  const first = client.ask(snapshot, 'fit', 'press-frame', {})
  const second = client.ask(snapshot, 'fit', 'tray', {})
  starts[0]?.('out of memory')
  await expect(first).rejects.toThrow('out of memory')
  await expect(second).rejects.toThrow('out of memory')
  expect(await client.ask(snapshot, 'fit', 'press-frame', {})).toEqual(fitJob(inputFor('press-frame')))
  expect([starts.length, stops]).toEqual([2, 1])
})

it('an engine that did not take what it was told is not asked again: the next one is told everything', async () => {
  let started = 0
  const client = createEngineClient(() => {
    started += 1
    const engine = new Engine()
    const ask = engine.ask.bind(engine)
    // What cannot be read is not a list.
    if (started === 1)
      engine.ask = (delta, ...asked) =>
        ask(delta && 'shop' in delta ? delta : { lists: null as never }, ...asked)
    return { engine, stop: () => undefined }
  })
  await client.ask(snapshot, 'fit', 'press-frame', {})
  const next = changed('press-frame', { quantity: 40 })
  await expect(client.ask(next, 'fit', 'press-frame', {})).rejects.toThrow('iterable')
  const input = inputFor('press-frame')
  expect(await client.ask(next, 'fit', 'press-frame', {})).toEqual(
    fitJob({ ...input, job: { ...input.job, quantity: 40 } }),
  )
  expect(started).toBe(2)
})

it('a thread that breaks again and again is let be, with a word of what to do', async () => {
  let started = 0
  const client = createEngineClient((onBreak) => {
    started += 1
    const engine = new Engine()
    engine.ask = () => {
      onBreak('broken')
      return new Promise<never>(() => undefined)
    }
    return { engine, stop: () => undefined }
  })
  for (let n = 0; n < 5; n += 1)
    await expect(client.ask(snapshot, 'fit', 'tray', {})).rejects.toThrow('broken')
  await expect(client.ask(snapshot, 'fit', 'tray', {})).rejects.toThrow('Reload the page')
  expect(started).toBe(5)
})

it('the thread is told what it reckons with, and its break reaches whoever waits', async () => {
  const workers: FakeWorker[] = []
  class FakeWorker extends EventTarget {
    readonly posted: unknown[] = []
    isStopped = false
    constructor() {
      super()
      workers.push(this)
    }
    postMessage(message: unknown): void {
      this.posted.push(message)
    }
    terminate(): void {
      this.isStopped = true
    }
  }
  vi.stubGlobal('Worker', FakeWorker)
  const { startEngine } = await vi.importActual<{ startEngine: Parameters<typeof createEngineClient>[0] }>(
    './start.ts',
  )
  const engine = createEngineClient(startEngine)
  const asked = engine.ask(snapshot, 'glance', ids)
  await Promise.resolve()
  const [worker] = workers
  expect(worker?.posted).toMatchObject([{ path: ['ask'] }])
  worker?.dispatchEvent(Object.assign(new Event('error'), { message: 'no memory' }))
  await expect(asked).rejects.toThrow('no memory')
  expect(worker?.isStopped).toBe(true)
  const again = engine.ask(snapshot, 'glance', ids)
  workers[1]?.dispatchEvent(new Event('messageerror'))
  await expect(again).rejects.toThrow('could not be read')
})

const MAPPING = mapColumns(['Weld', 'Thickness A (mm)'])
it('imports are read there too, in words where they cannot be', async () => {
  const client = here()
  expect(await client.ask(snapshot, 'readEquipment', '{', '')).toMatchObject({ ok: false })
  const rows = await client.ask(snapshot, 'readWelds', [['w1', '5']], MAPPING, METRIC)
  expect(rows).toEqual(readTable([['w1', '5']], MAPPING, METRIC))
})

it('ways to do a job are looked at by two where machines and wires are many, and are the same', async () => {
  const asked: string[] = []
  const noted = (name: string): EngineClient => {
    const client = here()
    return {
      ask(now, question, ...of) {
        asked.push(name)
        return client.ask(now, question, ...of)
      },
    }
  }
  const both = inShares([noted('one'), noted('two')])
  await both.ask(snapshot, 'could', 'press-frame', 20)
  expect(asked).toEqual(['one'])
  const many: Snapshot = {
    ...snapshot,
    powerSources: [1, 2, 3, 4].flatMap((n) =>
      snapshot.powerSources.map((one) => ({ ...one, id: `${one.id}-${n}`, massG: 20_000 + n })),
    ),
  }
  const found = await both.ask(many, 'could', 'press-frame', 20)
  expect(asked).toEqual(['one', 'one', 'two'])
  expect(found).toEqual(await here().ask(many, 'could', 'press-frame', 20))
  expect(found.count).toBeGreaterThan(20)
  expect(found.best).toHaveLength(20)
})
