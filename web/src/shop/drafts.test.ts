/** Drafts of several tabs: each keeps its own, and what a closed one left is taken over, one after the other. */
import { beforeEach, expect, it, vi } from 'vitest'
import type * as DraftsModule from './drafts.ts'

/** Which tabs hold their lock, as the browser would say. */
const held = new Set<string>()
type Drafts = typeof DraftsModule

/** A page in a tab: its modules are its own, its sessionStorage goes with the tab. */
async function openTab(name: string | null): Promise<Drafts> {
  sessionStorage.clear()
  if (name !== null) sessionStorage.setItem('brannik.tab', name)
  vi.resetModules()
  const drafts = await import('./drafts.ts')
  await drafts.claimTab()
  return drafts
}
const nameOfTab = () => sessionStorage.getItem('brannik.tab') ?? ''

beforeEach(() => {
  localStorage.clear()
  held.clear()
  vi.stubGlobal('navigator', {
    locks: {
      request: async (name: string, _options: object, callback: (lock: object | null) => unknown) => {
        if (held.has(name)) callback(null)
        else {
          held.add(name)
          callback({ name })
        }
      },
      query: async () => ({ held: [...held].map((name) => ({ name })) }),
    },
  })
})

const one = { record: { id: 'a', from: 'one' }, version: 3 }
const two = { record: { id: 'a', from: 'two' }, version: 3 }

it('two open tabs keep both edits of one record, and neither takes the other’s', async () => {
  const first = await openTab(null)
  first.keepDraft('jobs/a', one)
  const second = await openTab(null)
  expect(second.adoptDrafts()).toEqual([])
  second.keepDraft('jobs/a', two)
  expect(first.readDraft('jobs/a')).toMatchObject(one)
  expect(second.readDraft('jobs/a')).toMatchObject(two)
  second.dropDraft('jobs/a')
  expect(first.draftKeys()).toEqual(['jobs/a'])
})

it('a tab that is loaded again has its own drafts, and one that was copied has a name of its own', async () => {
  const first = await openTab(null)
  const name = nameOfTab()
  first.keepDraft('jobs/a', one)
  held.clear()
  const again = await openTab(name)
  expect(again.readDraft('jobs/a')).toMatchObject(one)
  const copy = await openTab(name)
  expect(nameOfTab()).not.toBe(name)
  expect(copy.draftKeys()).toEqual([])
})

it('what closed tabs left is taken over, the oldest first, one for each record', async () => {
  vi.useFakeTimers()
  const first = await openTab(null)
  first.keepDraft('jobs/a', one)
  first.keepDraft('jobs/b', one)
  vi.advanceTimersByTime(1000)
  const second = await openTab(null)
  second.keepDraft('jobs/a', two)
  held.clear()
  const third = await openTab(null)
  expect(third.adoptDrafts().sort()).toEqual(['jobs/a', 'jobs/b'])
  expect(third.readDraft('jobs/a')).toMatchObject(one)
  // The other edit waits until this one is settled; then it is there too.
  expect(third.adoptDrafts('jobs/a')).toEqual([])
  third.dropDraft('jobs/a')
  expect(third.adoptDrafts('jobs/a')).toEqual(['jobs/a'])
  expect(third.readDraft('jobs/a')).toMatchObject(two)
  vi.useRealTimers()
})

it('a draft of an older version, which knew no tabs, is taken over', async () => {
  localStorage.setItem('brannik.draft.jobs/old', JSON.stringify(one))
  const tab = await openTab(null)
  await tab.carryUpDrafts()
  expect(tab.adoptDrafts()).toEqual(['jobs/old'])
  expect(tab.readDraft('jobs/old')).toMatchObject(one)
})

it('where the browser cannot say which tabs are open, only drafts that are old are taken over', async () => {
  vi.stubGlobal('navigator', {})
  vi.useFakeTimers()
  const first = await openTab(null)
  first.keepDraft('jobs/a', one)
  const second = await openTab(null)
  expect(second.adoptDrafts()).toEqual([])
  vi.advanceTimersByTime(11 * 60_000)
  expect(second.adoptDrafts()).toEqual(['jobs/a'])
  vi.useRealTimers()
})

it('a draft that an older page typed is carried up, and one of this page stays as it is', async () => {
  const drafts = await openTab(null)
  drafts.keepDraft('shop/s', { record: { id: 's', locale: 'de-DE' }, version: 3 })
  expect(drafts.readDraft('shop/s')).toMatchObject({ record: { id: 's', locale: 'de-DE' }, schemaVersion: 8 })
  const [name] = Object.keys(localStorage).filter((one) => one.endsWith('shop/s'))
  localStorage.setItem(
    name ?? '',
    JSON.stringify({ record: { id: 's', name: 'G' }, unanswered: null, version: 3 }),
  )
  await drafts.carryUpDrafts()
  expect(drafts.readDraft('shop/s')).toMatchObject({
    record: { id: 's', name: 'G', locale: 'en-US' },
    unanswered: null,
    version: 3,
    schemaVersion: 8,
  })
})

it('a draft that an older page left is taken over by the page that opens next, carried up', async () => {
  localStorage.setItem(
    'brannik.draft.gone.shop/s',
    JSON.stringify({ record: { id: 's', name: 'G' }, version: 3, at: 1, schemaVersion: 1 }),
  )
  const drafts = await openTab(null)
  // Not before it is carried up: it would be sent without what a shop has since.
  expect(drafts.adoptDrafts()).toEqual([])
  await drafts.carryUpDrafts()
  expect(drafts.adoptDrafts()).toEqual(['shop/s'])
  expect(drafts.readDraft('shop/s')).toMatchObject({
    record: { name: 'G', locale: 'en-US' },
    version: 3,
    at: 1,
  })
})

it('what was sent and not answered is carried up with the draft; a deletion stays one', async () => {
  const drafts = await openTab(null)
  const olderOf = (key: string, draft: object): void => {
    drafts.keepDraft(key, { record: null, version: 3 })
    const name = Object.keys(localStorage).find((one) => one.endsWith(key)) ?? ''
    localStorage.setItem(name, JSON.stringify({ version: 3, ...draft }))
  }
  olderOf('shop/sent', {
    record: { id: 's', name: 'Now' },
    unanswered: { id: 's', name: 'Before' },
    key: 'k',
  })
  olderOf('shop/deleted', { record: null })
  // What no step can read is sent as it was typed: the server says what is wrong with it.
  olderOf('jobs/odd', { record: 7, schemaVersion: 1 })
  olderOf('nails/one', { record: { id: 'one' } })
  await drafts.carryUpDrafts()
  expect(drafts.readDraft('shop/sent')).toMatchObject({
    record: { name: 'Now', locale: 'en-US' },
    unanswered: { name: 'Before', locale: 'en-US' },
    key: 'k',
    schemaVersion: 8,
  })
  expect(drafts.readDraft('shop/deleted')).toEqual({ record: null, version: 3, schemaVersion: 8 })
  expect(drafts.readDraft('jobs/odd')).toMatchObject({ record: 7 })
  // Of a kind that there is none of: not carried up, nor thrown away here.
  expect(drafts.readDraft('nails/one')).toEqual({ record: { id: 'one' }, version: 3 })
})

it('an older draft of a tab that is open is left to it', async () => {
  const first = await openTab(null)
  first.keepDraft('shop/s', { record: { id: 's' }, version: 3 })
  const [name = ''] = Object.keys(localStorage)
  const typed = JSON.stringify({ record: { id: 's', name: 'G' }, version: 3 })
  localStorage.setItem(name, typed)
  const second = await openTab(null)
  await second.carryUpDrafts()
  expect(localStorage.getItem(name)).toBe(typed)
})

/** A browser that takes nothing more. */
class Full {
  setItem(): void {
    throw new DOMException('full', 'QuotaExceededError')
  }
  getItem = (): string | null => null
  removeItem(): void {
    // There is nothing.
  }
}
it('where the browser keeps nothing a draft lives as long as the page', async () => {
  const drafts = await openTab(null)
  vi.stubGlobal('localStorage', new Full())
  drafts.keepDraft('jobs/a', one)
  vi.unstubAllGlobals()
  expect(Object.keys(localStorage)).toEqual([])
  expect([drafts.draftKeys(), drafts.readDraft('jobs/a')]).toMatchObject([['jobs/a'], one])
  // What is kept later takes its place.
  drafts.keepDraft('jobs/a', two)
  expect(Object.keys(localStorage)).toHaveLength(1)
  expect(drafts.readDraft('jobs/a')).toMatchObject(two)
  drafts.dropDraft('jobs/a')
  expect([drafts.draftKeys(), drafts.readDraft('jobs/a')]).toEqual([[], null])
})

it('of another shop goes aside, for who it is of, until it is thrown away', async () => {
  const drafts = await openTab(null)
  const hazel = { epoch: 'e1', account: 'hazel' }
  drafts.draftsOf(hazel)
  drafts.keepDraft('jobs/a', one)
  drafts.draftsOf({ ...hazel, epoch: 'e2' })
  drafts.keepDraft('jobs/b', two)
  drafts.setAsideDrafts()
  expect(drafts.draftKeys()).toEqual(['jobs/b'])
  expect(drafts.asideDrafts()).toMatchObject([{ epoch: 'e1', key: 'jobs/a', draft: one }])
  drafts.draftsOf({ epoch: 'e2', account: 'perry' })
  expect(drafts.asideDrafts()).toEqual([])
  drafts.dropAsideDrafts()
  drafts.draftsOf({ ...hazel, epoch: 'e2' })
  expect(drafts.asideDrafts()).toHaveLength(1)
  drafts.dropAsideDrafts()
  expect([drafts.asideDrafts(), drafts.draftKeys()]).toEqual([[], ['jobs/b']])
})

it('of another shop in a tab that is open stays with it', async () => {
  const first = await openTab(null)
  first.draftsOf({ epoch: 'e1', account: 'hazel' })
  first.keepDraft('jobs/a', one)
  const second = await openTab(null)
  second.draftsOf({ epoch: 'e2', account: 'hazel' })
  second.setAsideDrafts()
  expect(second.asideDrafts()).toEqual([])
  expect(first.readDraft('jobs/a')).toMatchObject(one)
})
