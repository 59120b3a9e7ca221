/**
 * A browser that meets another shop, or another person: what was typed in one shop never gets into the next, what one
 * person typed is never stored as another's, and none of it is lost.
 */
import fc from 'fast-check'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { runs } from '../../../core/src/testing/runs.ts'
import { owner } from '../api/client.ts'
import { useNotice } from '../stores/notice.ts'
import { type Job, ShopServer } from '../testing/shopServer.ts'
import { asideDrafts, dropAsideDrafts } from './drafts.ts'
import { useSession } from './session.ts'
import { useWorkspace } from './workspace.ts'

const job = (id: string, name = `${id} at first`): Job => ({ id, name, note: '', quantity: 1 })
const IDS = ['a', 'b'] as const
type Id = (typeof IDS)[number]
const PEOPLE = ['hazel', 'perry'] as const

const settle = (ms = 0): Promise<unknown> => vi.advanceTimersByTimeAsync(ms)
/** Answers whatever is asked, until nothing more is. */
async function answerAll(server: ShopServer): Promise<void> {
  for (let quiet = 0; quiet < 4;) {
    quiet = server.waiting.length === 0 ? quiet + 1 : 0
    while (server.waiting.length > 0) server.deliver(0)
    await settle()
  }
}
/** A page that is loaded, or loaded again: the one before is gone with all that it waited for. */
async function open(server: ShopServer) {
  window.dispatchEvent(new Event('pagehide'))
  server.cut()
  vi.clearAllTimers()
  server.waiting.length = 0
  setActivePinia(createPinia())
  const workspace = useWorkspace()
  void workspace.load()
  await settle()
  await answerAll(server)
  return workspace
}
const type = (workspace: ReturnType<typeof useWorkspace>, id: Id, name: string): boolean => {
  const now = workspace.get('jobs', id)
  return now !== null && workspace.edit('jobs', id, { ...now, name }, 'name')
}

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  sessionStorage.clear()
})
afterEach(() => {
  vi.clearAllTimers()
  vi.useRealTimers()
})

it('a page that hears of another shop shows that one, says so, and keeps what it had typed aside', async () => {
  const server = new ShopServer([job('a')])
  server.install()
  const workspace = await open(server)
  server.isDown = true
  type(workspace, 'a', 'typed in the first shop')
  await settle(600)
  await answerAll(server)
  server.replace([job('a', 'of the second shop')])
  server.isDown = false
  server.deliverEvents()
  await answerAll(server)
  await settle(60_000)
  await answerAll(server)
  expect(workspace.get('jobs', 'a')?.name).toBe('of the second shop')
  expect(server.record('a')?.name).toBe('of the second shop')
  expect(useNotice().text).toContain('another shop')
  expect(workspace.aside).toMatchObject([
    { key: 'jobs/a', draft: { record: { name: 'typed in the first shop' }, version: 1 } },
  ])
  workspace.dropAside()
  expect(asideDrafts()).toEqual([])
})

it('a page that was away is told by its first save, and the save of the same version number does nothing', async () => {
  const server = new ShopServer([job('a')])
  server.install()
  const workspace = await open(server)
  // No stream tells it.
  server.cut()
  server.replace([job('a', 'of the second shop')])
  type(workspace, 'a', 'typed in the first shop')
  await settle(600)
  await answerAll(server)
  expect(server.record('a')?.name).toBe('of the second shop')
  expect(workspace.get('jobs', 'a')?.name).toBe('of the second shop')
  expect(workspace.aside).toHaveLength(1)
  expect(workspace.canUndo).toBe(false)
  // What is typed from then on is of the second one.
  type(workspace, 'a', 'typed in the second shop')
  await settle(600)
  await answerAll(server)
  expect(server.record('a')?.name).toBe('typed in the second shop')
})

it('what one typed while the server was away waits for them, through another’s visit', async () => {
  const server = new ShopServer([job('a'), job('b')])
  server.account = 'hazel'
  server.install()
  const workspace = await open(server)
  const session = useSession()
  server.isDown = true
  type(workspace, 'a', 'by Hazel')
  await settle(600)
  await answerAll(server)
  expect(workspace.notSaved()).toEqual(['by Hazel'])
  server.isDown = false
  // She leaves without waiting for it; the page is left to the next one.
  server.account = null
  workspace.park()
  void session.find()
  await answerAll(server)
  expect(session.isSignedOut).toBe(true)
  await settle(60_000)
  await answerAll(server)
  server.account = 'perry'
  void workspace.load()
  await settle()
  await answerAll(server)
  expect(workspace.get('jobs', 'a')?.name).toBe('a at first')
  type(workspace, 'a', 'by Perry')
  await settle(60_000)
  await answerAll(server)
  server.account = 'hazel'
  void workspace.load()
  await settle()
  await answerAll(server)
  await settle(60_000)
  await answerAll(server)
  expect(server.stored.map(({ account, record }) => [account, record?.name])[0]).toEqual([
    'perry',
    'by Perry',
  ])
  expect(
    server.stored.every(({ account, record }) => record?.name.toLowerCase().endsWith(account ?? '?')),
  ).toBe(true)
  // Both changed one field: she is asked, and her words are there.
  expect(workspace.saves.get('jobs/a')).toMatchObject({ state: 'conflict', record: { name: 'by Hazel' } })
})

it('nothing crosses from shop to shop or from person to person, and nothing is lost', async () => {
  const step = fc.oneof(
    fc.tuple(fc.constant('type'), fc.constantFrom(...IDS)),
    fc.tuple(fc.constantFrom('process', 'deliver', 'lose'), fc.nat(5)),
    fc.tuple(fc.constant('wait'), fc.constantFrom(0, 600, 3000)),
    fc.tuple(fc.constantFrom('replace', 'down', 'up', 'cut', 'events', 'reload'), fc.constant(0)),
    fc.tuple(fc.constant('person'), fc.constantFrom(...PEOPLE, null)),
  )
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
      vi.clearAllTimers()
      localStorage.clear()
      sessionStorage.clear()
      const server = new ShopServer([job('a'), job('b')])
      server.account = 'hazel'
      server.install()
      let workspace = await open(server)
      /** What was typed, by whom the page was open for and in which shop it showed. */
      const typed = new Map<
        string,
        { readonly account: string; readonly epoch: string; readonly id: string }
      >()
      const last = new Map<string, string>()
      for (const [what, how] of steps) {
        if (what === 'type' && workspace.state === 'ready' && !useSession().isSignedOut) {
          const name = `typed ${typed.size}`
          const place = { ...owner(), id: String(how) }
          if (place.account !== '' && type(workspace, how as Id, name)) {
            typed.set(name, place)
            last.set(JSON.stringify(place), name)
          }
        } else if (what === 'process') server.process(Number(how))
        else if (what === 'deliver') server.deliver(Number(how))
        else if (what === 'lose') server.lose(Number(how))
        else if (what === 'wait') await settle(Number(how))
        else if (what === 'replace') server.replace([job('a', 'another a'), job('b', 'another b')])
        else if (what === 'down') {
          server.isDown = true
          server.cut()
        } else if (what === 'up') server.isDown = false
        else if (what === 'cut') server.cut()
        else if (what === 'events') server.deliverEvents()
        else if (what === 'person') server.account = how as string | null
        else if (what === 'reload') workspace = await open(server)
        await settle()
      }
      server.isDown = false
      // Everybody comes once more, and waits.
      for (const person of PEOPLE) {
        server.account = person
        workspace = await open(server)
        for (let round = 0; round < 12; round += 1) {
          server.deliverEvents()
          await answerAll(server)
          await settle(5000)
          for (const [key, { state }] of [...workspace.saves])
            if (state === 'conflict') workspace.overwriteStored(key)
        }
      }
      const epochs = Array.from({ length: server.before.length + 1 }, (_, shop) =>
        `e${shop}`.padStart(12, '0'),
      )
      for (const { account, shop, record } of server.stored) {
        const place = typed.get(record?.name ?? '')
        if (place) expect([place.account, place.epoch]).toEqual([account, epochs[shop]])
      }
      const aside = new Set<string>()
      for (const person of PEOPLE) {
        server.account = person
        await open(server)
        for (const { draft } of asideDrafts()) aside.add((draft.record as Job).name)
        dropAsideDrafts()
      }
      const shops = [...server.before, server.history]
      for (const [place, name] of last) {
        const { epoch, id } = JSON.parse(place) as { epoch: string; id: string }
        const stored = shops[epochs.indexOf(epoch)]?.get(id) ?? []
        expect([...stored.map(({ record }) => record?.name), ...aside], `${name} of ${place}`).toContain(name)
      }
    }),
    { numRuns: runs(60) },
  )
}, 600_000)
