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
