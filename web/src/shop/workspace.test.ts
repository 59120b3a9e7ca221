import type { Wire } from '@brannik/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { isSameBesideJobs } from '../engine/delta.ts'
import { meetShop, onNotOurs } from '../api/client.ts'
import { demoWorkspace, shopDocument } from '../testing/demo.ts'
import { keepDraft, readDraft } from './drafts.ts'
import { useNotice } from '../stores/notice.ts'
import { useSession } from './session.ts'
import { useWorkspace } from './workspace.ts'

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

const frame = () => {
  const job = useWorkspace().get('jobs', 'press-frame')
  if (!job) throw new Error('the demo has no press frame')
  return job
}

describe('loading', () => {
  it('holds the shop, its shelf, its set-ups and its jobs by name', async () => {
    const { workspace } = await demoWorkspace()
    expect(workspace.state).toBe('ready')
    expect(workspace.shop?.name).toBe('Tollgate Orchard Works')
    expect(workspace.shelf.wires).toHaveLength(shopDocument.wires.length)
    expect(workspace.jobs.map(({ name }) => name)).toEqual(
      [...shopDocument.jobs.map(({ name }) => name)].sort(),
    )
    expect(workspace.notation).toEqual({ system: 'imperial', locale: 'en-US' })
  })

  it('has jobs in the order in which somebody counts', async () => {
    const { workspace } = await demoWorkspace()
    for (const number of [10, 2])
      workspace.edit(
        'jobs',
        `bay-${number}`,
        { ...frame(), id: `bay-${number}`, name: `Bay ${number}` },
        'new',
      )
    expect(workspace.jobs.slice(0, 2).map(({ name }) => name)).toEqual(['Bay 2', 'Bay 10'])
  })

  it('says why where the server does not respond', async () => {
    const { workspace } = await demoWorkspace()
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('down')))
    await workspace.load()
    expect(workspace.state).toBe('failed')
    expect(workspace.failure).toBe('the server does not respond')
  })

  it('loads by itself once the server responds, and leaves it time meanwhile', async () => {
    const { workspace } = await demoWorkspace()
    const answers = fetch
    let asked = 0
    vi.stubGlobal('fetch', (path: string) => {
      if (path === '/api/me') asked += 1
      return Promise.resolve(Response.json({ detail: 'busy' }, { status: 503 }))
    })
    await workspace.load()
    expect(workspace.isLoadedAgain).toBe(true)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(workspace.state).toBe('failed')
    // Soon after, but ten times a minute would keep a busy server busy.
    expect(asked).toBeGreaterThanOrEqual(3)
    expect(asked).toBeLessThan(10)
    vi.stubGlobal('fetch', answers)
    await vi.advanceTimersByTimeAsync(30_000)
    expect(workspace.state).toBe('ready')
    expect(workspace.jobs.length).toBe(shopDocument.jobs.length)
  })

  it('loads nothing by itself where the server refuses for good, or once the page is parked', async () => {
    const { workspace } = await demoWorkspace()
    let asked = 0
    const refuse = (path: string) => {
      // What else an earlier load is still about is no load.
      if (path === '/api/me') asked += 1
      return Promise.resolve(Response.json({ detail: 'not for you' }, { status: 403 }))
    }
    vi.stubGlobal('fetch', refuse)
    await workspace.load()
    expect(workspace.isLoadedAgain).toBe(false)
    expect(asked).toBe(1)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(asked).toBe(1)
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('down')))
    await workspace.load()
    workspace.park()
    vi.stubGlobal('fetch', refuse)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(asked).toBe(1)
  })

  it('looks soon at what was used, but not once the page is parked', async () => {
    const { workspace } = await demoWorkspace()
    const [answers, looked] = [fetch, vi.fn()]
    vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
      if (path === '/api/ledger/balances') looked()
      return answers(path, init)
    })
    await workspace.load()
    workspace.park()
    await vi.advanceTimersByTimeAsync(60_000)
    await vi.dynamicImportSettled()
    expect(looked).not.toHaveBeenCalled()
    await workspace.load()
    await vi.advanceTimersByTimeAsync(60_000)
    await vi.dynamicImportSettled()
    expect(looked).toHaveBeenCalledOnce()
  })

  it('lays a draft over what the server has, and saves it', async () => {
    const { workspace, sent } = await demoWorkspace()
    keepDraft('jobs/press-frame', { record: { ...frame(), quantity: 11 }, version: 1 })
    await workspace.load()
    expect(workspace.get('jobs', 'press-frame')?.quantity).toBe(11)
    await vi.advanceTimersByTimeAsync(700)
    expect(sent.at(-1)).toMatchObject({ method: 'PUT', path: 'jobs/press-frame', body: { quantity: 11 } })
    expect(readDraft('jobs/press-frame')).toBeNull()
  })

  it('drops a draft of a kind that there is none of', async () => {
    const { workspace } = await demoWorkspace()
    keepDraft('nails/one', { record: { id: 'one' }, version: 1 })
    await workspace.load()
    expect(readDraft('nails/one')).toBeNull()
  })
})

describe('editing', () => {
  it('changes at once and saves soon', async () => {
    const { workspace, sent } = await demoWorkspace()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    expect(frame().quantity).toBe(6)
    expect(sent).toEqual([])
    await vi.advanceTimersByTimeAsync(700)
    expect(sent).toHaveLength(1)
  })

  it('leaves what is made of the shelf alone when a job changes', async () => {
    const { workspace } = await demoWorkspace()
    const before = workspace.shelf
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    expect(workspace.shelf).toBe(before)
  })

  it('makes a record that is new, and deletes one that is stored', async () => {
    const { workspace, sent } = await demoWorkspace()
    workspace.edit('jobs', 'gate', { ...frame(), id: 'gate', name: 'Gate' }, 'new job')
    await vi.advanceTimersByTimeAsync(700)
    expect(sent.at(-1)).toMatchObject({ method: 'POST', path: 'jobs' })
    workspace.edit('jobs', 'loader-fork', null, 'deletion')
    expect(workspace.get('jobs', 'loader-fork')).toBeNull()
    await vi.advanceTimersByTimeAsync(700)
    expect(sent.at(-1)).toMatchObject({ method: 'DELETE', path: 'jobs/loader-fork' })
  })
})

describe('what the computation looks at', () => {
  // A list made anew is one that has changed: each cell of a board would be worked out again at every key in a job.
  it('is the same after an edit of a job, but for the jobs', async () => {
    const { workspace } = await demoWorkspace()
    const before = workspace.snapshot
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    const after = workspace.snapshot
    expect(isSameBesideJobs(after, before)).toBe(true)
    expect(after.jobs.find(({ id }) => id === 'press-frame')?.quantity).toBe(6)
    const [wire] = workspace.all('wires')
    if (!wire) throw new Error('the demo has no wire')
    workspace.edit('wires', wire.id, { ...wire, name: 'Another' }, 'name')
    expect(workspace.snapshot.wires).not.toBe(after.wires)
    expect(isSameBesideJobs(workspace.snapshot, after)).toBe(false)
  })
})

describe('undo', () => {
  it('goes back and forth, and says what it did', async () => {
    const { workspace } = await demoWorkspace()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces of Press frame')
    expect(workspace.undo()).toBe('pieces of Press frame')
    expect(frame().quantity).toBe(4)
    expect(workspace.redo()).toBe('pieces of Press frame')
    expect(frame().quantity).toBe(6)
    expect(workspace.redo()).toBeNull()
  })

  it('takes the keys of one field back together, another field by itself', async () => {
    const { workspace } = await demoWorkspace()
    for (const quantity of [1, 12, 120])
      workspace.edit('jobs', 'press-frame', { ...frame(), quantity }, 'pieces')
    workspace.edit('jobs', 'press-frame', { ...frame(), note: 'now' }, 'note')
    workspace.undo()
    expect(frame()).toMatchObject({ quantity: 120, note: shopDocument.jobs[0]?.note })
    workspace.undo()
    expect(frame().quantity).toBe(4)
    expect(workspace.undo()).toBeNull()
  })

  it('brings back what was deleted, and takes away what was made', async () => {
    const { workspace } = await demoWorkspace()
    workspace.edit('jobs', 'loader-fork', null, 'deletion')
    workspace.undo()
    expect(workspace.get('jobs', 'loader-fork')?.name).toBe('Loader fork repair')
    workspace.edit('jobs', 'gate', { ...frame(), id: 'gate' }, 'new job')
    workspace.undo()
    expect(workspace.get('jobs', 'gate')).toBeNull()
  })

  it('a new edit ends what could be done again', async () => {
    const { workspace } = await demoWorkspace()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    workspace.undo()
    workspace.edit('jobs', 'press-frame', { ...frame(), note: 'x' }, 'note')
    expect(workspace.canRedo).toBe(false)
  })
})

describe('what others change', () => {
  /** What an open page hears, as the server would send it. */
  async function hearing() {
    const sources: (EventTarget & { readyState: number })[] = []
    class FakeSource extends EventTarget {
      static readonly CLOSED = 2
      readyState = 1
      constructor(readonly url: string) {
        super()
        sources.push(this)
      }
    }
    vi.stubGlobal('EventSource', FakeSource)
    const made = await demoWorkspace()
    const inner = fetch
    const stored = new Map<string, { version: number; record: object } | null>()
    vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
      const answer = stored.get(path.replace('/api/', ''))
      if (answer === undefined || (init.method ?? 'GET') !== 'GET') return inner(path, init)
      return answer === null ? Response.json({ detail: 'gone' }, { status: 404 }) : Response.json(answer)
    })
    const send = async (type: string, data: object = {}): Promise<void> => {
      sources[0]?.dispatchEvent(Object.assign(new Event(type), { data: JSON.stringify(data) }))
      await vi.advanceTimersByTimeAsync(0)
    }
    return { ...made, sources, stored, send }
  }

  it('is shown here, as it is stored', async () => {
    const { stored, send } = await hearing()
    stored.set('jobs/press-frame', { version: 5, record: { ...frame(), quantity: 12 } })
    await send('change', { path: 'jobs', id: 'press-frame', version: 5 })
    expect(frame().quantity).toBe(12)
    // What one has already is not fetched again.
    stored.set('jobs/press-frame', { version: 9, record: { ...frame(), quantity: 99 } })
    await send('change', { path: 'jobs', id: 'press-frame', version: 5 })
    expect(frame().quantity).toBe(12)
    stored.set('jobs/press-frame', null)
    await send('change', { path: 'jobs', id: 'press-frame', version: 0 })
    expect(useWorkspace().get('jobs', 'press-frame')).toBe(null)
  })

  it('does not touch what is being typed here: that meets it when it is saved', async () => {
    const { workspace, stored, send } = await hearing()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    stored.set('jobs/press-frame', { version: 5, record: { ...frame(), quantity: 12 } })
    await send('change', { path: 'jobs', id: 'press-frame', version: 5 })
    expect(frame().quantity).toBe(6)
  })

  it('stays when an own edit of before is undone and done again', async () => {
    const { workspace, stored, send } = await hearing()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    await vi.advanceTimersByTimeAsync(700)
    stored.set('jobs/press-frame', { version: 5, record: { ...frame(), note: 'by another' } })
    await send('change', { path: 'jobs', id: 'press-frame', version: 5 })
    workspace.undo()
    expect(frame()).toMatchObject({ quantity: 4, note: 'by another' })
    workspace.redo()
    expect(frame()).toMatchObject({ quantity: 6, note: 'by another' })
  })

  it('is all looked at again where some of it may have been missed, or very much changed at once', async () => {
    const { stored, send } = await hearing()
    const list = (quantity: number) => ({
      items: [{ version: 8, record: { ...frame(), quantity } }],
      next: null,
    })
    stored.set('jobs?limit=500', list(33) as never)
    await send('lost')
    expect(frame().quantity).toBe(33)
    expect(useWorkspace().jobs).toHaveLength(1)
    stored.set('jobs?limit=500', { ...list(34), items: [{ ...list(34).items[0], version: 9 }] } as never)
    await send('change', { path: 'jobs' })
    expect(frame().quantity).toBe(34)
  })

  it('is asked for again where the answer is what this browser has kept, not the server’s', async () => {
    const { stored, send } = await hearing()
    const inner = fetch
    let isKept = true
    vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
      const answer = await inner(path, init)
      if (isKept && path.startsWith('/api/jobs?')) answer.headers.set('X-Kept-At', new Date().toISOString())
      return answer
    })
    const items = [{ version: 8, record: { ...frame(), quantity: 33 } }]
    stored.set('jobs?limit=500', { items, next: null } as never)
    await send('change', { path: 'jobs' })
    expect(frame().quantity).toBe(4)
    isKept = false
    await vi.advanceTimersByTimeAsync(10_000)
    expect(frame().quantity).toBe(33)
    expect(useWorkspace().keptAt).toBeNull()
  })

  it('in an answer that is older than an own save, the save stays, and so does what was made meanwhile', async () => {
    const { workspace, stored, send } = await hearing()
    const inner = fetch
    const answers: (() => void)[] = []
    const before = await (await inner('/api/jobs?limit=500')).text()
    vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
      if (!path.startsWith('/api/jobs?')) return inner(path, init)
      await new Promise<void>((resolve) => answers.push(resolve))
      return new Response(before)
    })
    await send('lost')
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    workspace.edit('jobs', 'gate', { ...frame(), id: 'gate', name: 'Gate' }, 'new job')
    workspace.edit('jobs', 'loader-fork', null, 'deletion')
    await vi.advanceTimersByTimeAsync(700)
    // What the list does not say is asked for by itself.
    stored.set('jobs/gate', { version: 2, record: { ...frame(), id: 'gate', name: 'Gate' } })
    for (const answer of answers) answer()
    await vi.advanceTimersByTimeAsync(0)
    expect(frame().quantity).toBe(6)
    expect(workspace.get('jobs', 'gate')?.name).toBe('Gate')
    expect(workspace.get('jobs', 'loader-fork')).toBeNull()
  })

  it('is what the next edit begins from, also of a record that was saved here before', async () => {
    const { workspace, stored, send } = await hearing()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    await vi.advanceTimersByTimeAsync(700)
    stored.set('jobs/press-frame', { version: 5, record: { ...frame(), quantity: 12 } })
    await send('change', { path: 'jobs', id: 'press-frame', version: 5 })
    const headers: unknown[] = []
    const inner = fetch
    vi.stubGlobal('fetch', (path: string, init: RequestInit = {}) => {
      if (init.method === 'PUT') headers.push((init.headers as Record<string, string>)['If-Match'])
      return inner(path, init)
    })
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 13 }, 'pieces')
    await vi.advanceTimersByTimeAsync(700)
    expect(headers).toEqual([expect.stringMatching(/\.5"$/)])
  })

  it('counts what is recorded, and fetches nothing that it does not know or has not missed', async () => {
    const { send } = await hearing()
    const { happenings } = await import('./happenings.ts')
    const before = happenings.value
    const asked: string[] = []
    const inner = fetch
    vi.stubGlobal('fetch', (path: string, init: RequestInit = {}) => {
      // What was taken for jobs is looked at whenever something is recorded, a moment later.
      if (path !== '/api/ledger/balances') asked.push(path)
      return inner(path, init)
    })
    await send('happened')
    await send('happened')
    expect(happenings.value).toBe(before + 2)
    await send('change', { path: 'nails', id: 'one', version: 4 })
    await send('open')
    meetShop('this-shop')
    await send('another', { epoch: 'this-shop' })
    expect(asked).toEqual([])
    expect(happenings.value).toBe(before + 2)
    await send('lost')
    expect(asked.length).toBeGreaterThan(5)
  })

  it('is all looked at once the server answers again, after what this browser had kept', async () => {
    const { workspace, stored, send } = await hearing()
    const inner = fetch
    let isKept = true
    vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
      const answer = await inner(path, init)
      if (isKept && path.startsWith('/api/wires?')) answer.headers.set('X-Kept-At', '2027-02-01T06:00:00Z')
      return answer
    })
    await send('change', { path: 'wires' })
    expect(workspace.keptAt?.toISOString()).toBe('2027-02-01T06:00:00.000Z')
    isKept = false
    const items = [{ version: 8, record: { ...frame(), quantity: 33 } }]
    stored.set('jobs?limit=500', { items, next: null } as never)
    await send('open')
    expect(workspace.keptAt).toBeNull()
    expect(frame().quantity).toBe(33)
  })

  it('is of another shop: the page says so', async () => {
    const { send } = await hearing()
    meetShop('this-shop')
    let why = ''
    onNotOurs((told) => (why = told))
    await send('another', { epoch: 'another-shop' })
    expect(why).toBe('another-shop')
  })

  it('is listened to again where the browser has given up', async () => {
    const { sources } = await hearing()
    const [first] = sources
    if (first) first.readyState = 2
    first?.dispatchEvent(new Event('error'))
    await vi.advanceTimersByTimeAsync(20_000)
    expect(sources).toHaveLength(2)
  })
})

it('after a conflict each field can have either value', async () => {
  const { workspace, sent } = await demoWorkspace()
  workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 99, note: 'mine' }, 'pieces')
  workspace.resolveConflict('jobs/press-frame', [{ path: ['quantity'], mine: 99, theirs: 12 }])
  await vi.advanceTimersByTimeAsync(700)
  expect(frame()).toMatchObject({ quantity: 12, note: 'mine' })
  expect(sent.at(-1)?.body).toMatchObject({ quantity: 12, note: 'mine' })
})

it('after a conflict the stored record can be taken', async () => {
  const { workspace } = await demoWorkspace()
  workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 99 }, 'pieces')
  await workspace.takeStored('jobs/press-frame')
  expect(frame().quantity).toBe(4)
  expect(readDraft('jobs/press-frame')).toBeNull()
})

it('what the role may not write stays as it is, and nobody says otherwise', async () => {
  const { workspace, sent } = await demoWorkspace()
  const session = useSession()
  const notice = useNotice()
  session.me = { ...session.me, role: 'guest', writes: [] } as never
  expect(workspace.edit('jobs', 'press-frame', null, 'deletion')).toBe(false)
  notice.show('Press frame is deleted', true)
  expect(notice.text).toContain('Your role is guest')
  expect(frame().name).toBe('Press frame')
  await vi.advanceTimersByTimeAsync(700)
  expect(sent).toEqual([])
  notice.show('something else')
  expect(notice.text).toBe('something else')
})

describe('many things at once', () => {
  const wires = Array.from({ length: 1200 }, (_, index) => ({
    list: 'wires' as const,
    record: { ...(shopDocument.wires[0] as Wire), id: `many-${index}`, name: `Many ${index}` },
  }))

  it('are taken in some hundreds at a time, with progress, and undo as one', async () => {
    const { workspace, sent } = await demoWorkspace()
    const progress: number[] = []
    await workspace.takeIn(wires, 'import of 1200 things', (done) => progress.push(done))
    expect(progress).toEqual([500, 1000, 1200])
    expect(sent.map(({ path }) => path)).toEqual(['catalogue', 'catalogue', 'catalogue'])
    expect(workspace.all('wires')).toHaveLength(shopDocument.wires.length + 1200)
    expect(workspace.undo()).toBe('import of 1200 things')
    expect(workspace.all('wires')).toHaveLength(shopDocument.wires.length)
  })

  it('that break off leave in what is in, and the rest can follow', async () => {
    const { workspace } = await demoWorkspace()
    const answering = fetch
    let left = 1
    vi.stubGlobal('fetch', (path: string, init: RequestInit) =>
      left-- > 0 ? answering(path, init) : Promise.reject(new TypeError('down')),
    )
    await expect(workspace.takeIn(wires, 'import')).rejects.toThrow('does not respond')
    expect(workspace.all('wires')).toHaveLength(shopDocument.wires.length + 500)
    expect(workspace.nextUndo).toBe('import')
    left = 9
    await workspace.takeIn(wires.slice(500), 'rest of the import')
    expect(workspace.all('wires')).toHaveLength(shopDocument.wires.length + 1200)
  })
})
