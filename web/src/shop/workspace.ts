/** Everything of the shop in the browser: loaded once, edited here, saved as it changes, undone step by step. */
import {
  factsAt,
  inStock,
  notationOf,
  partsOf,
  type RecordAt,
  SHELF_KINDS,
  type Shelf,
  type Shop,
  type ShopDocument,
  speechOf,
  stockId,
  type StockItem,
} from '@brannik/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { ask, forgetOwner, onNotOurs, RequestFailed } from '../api/client.ts'
import { byName } from '../byName.ts'
import { reasonOf } from '../reason.ts'
import { useNotice } from '../stores/notice.ts'
import { useSession } from './session.ts'
import { type AsideDraft, asideDrafts, dropAsideDrafts } from './drafts.ts'
import { createSync, type Path } from './sync.ts'
import { type ItemRead, takeInItems } from './takeIn.ts'
import { type Change, createUndo } from './undo.ts'
import type { Used } from './used.ts'

export type { Path } from './sync.ts'

/** What stood there before the first one: nobody had counted. Counts are never deleted. */
const notYet = (path: Path, id: string): StockItem | null => (path === 'stock' ? { id, amount: null } : null)

/** The first answer goes first. */
const SOON_MS = 1500
/** A shop that could not be loaded is loaded again by itself, each time after twice as long. */
const AGAIN_MS = 2000
const AGAIN_MOST_MS = 30_000

export const useWorkspace = defineStore('workspace', () => {
  const state = ref<'loading' | 'ready' | 'failed' | 'empty'>('loading')
  const failure = ref('')
  const notice = useNotice()
  const session = useSession()
  const sync = createSync()
  const { all, get, write } = sync
  const steps = createUndo(get, write)

  /** Typed in another shop than the server holds now: kept aside, to be looked at. */
  const aside = shallowRef<readonly AsideDraft[]>([])

  /** What was taken for jobs already; asked for when the first view is there. */
  const used = shallowRef<readonly Used[]>([])
  const lookAtUsed = (): Promise<void> => import('./used.ts').then(({ followUsed }) => followUsed(used))
  const isLoadedAgain = ref(false)
  let again: ReturnType<typeof setTimeout> | undefined
  let lookingSoon: ReturnType<typeof setTimeout> | undefined
  const waitNoMore = (): void => {
    clearTimeout(again)
    clearTimeout(lookingSoon)
  }
  const load = (): Promise<void> => {
    state.value = 'loading'
    return tryToLoad(AGAIN_MS)
  }
  async function tryToLoad(nextMs: number): Promise<void> {
    waitNoMore()
    forgetOwner()
    try {
      // Before the lists are asked for: what changes after it is told.
      const [position] = await Promise.all([sync.position(), session.find()])
      if (session.isSignedOut) return
      state.value = (await sync.load(position)) ? 'ready' : 'empty'
      if (state.value === 'ready') lookingSoon = setTimeout(() => void lookAtUsed(), SOON_MS)
      aside.value = asideDrafts()
    } catch (error) {
      failure.value = reasonOf(error)
      state.value = 'failed'
      isLoadedAgain.value = error instanceof RequestFailed && error.isPassing
      if (!isLoadedAgain.value) return
      again = setTimeout(() => void tryToLoad(Math.min(2 * nextMs, AGAIN_MOST_MS)), nextMs)
    }
  }
  function park(): void {
    waitNoMore()
    sync.park()
  }

  let isBeginning = false
  /** What is shown is not what the server holds, or not for whom it is signed in: the page begins anew. */
  onNotOurs((why) => {
    if (isBeginning || state.value === 'loading' || state.value === 'failed') return
    park()
    steps.forget()
    void load().then(() => {
      notice.show(
        why === 'another-shop'
          ? `The server now has another shop: ${shop.value?.name ?? 'an empty one'}`
          : `${session.me?.who ?? 'Somebody else'} has signed in here. This page is now theirs`,
      )
    })
  })

  /**
   * Another shop in the place of this one, or the first: all of it, and the page begins anew with it.
   * @throws RequestFailed where the server refuses; nothing is changed then
   */
  async function begin(whole: ShopDocument | { readonly demo: 'inch' | 'metric' }): Promise<void> {
    isBeginning = true
    try {
      if ('demo' in whole) await ask('POST', `whole/demo?demo=${whole.demo}`, {})
      else await ask('POST', 'whole', { whole, replaces: shop.value?.id ?? null })
      sync.forgetDrafts()
      park()
      steps.forget()
      await load()
    } finally {
      isBeginning = false
    }
  }

  function mayEdit(path: Path): boolean {
    if (session.mayWrite(path)) return true
    notice.refuse(`Not changed. Your role is ${session.me?.role ?? 'none'}, which cannot edit this.`)
    return false
  }
  const changeOf = (path: Path, id: string, after: RecordAt[Path] | null): Change => ({
    path,
    id,
    before: get(path, id) ?? notYet(path, id),
    after,
  })

  /**
   * Changes a record, or makes it where there is none of that id, or deletes it (null).
   * @param label what was done, for the undo: `thickness of Press frame`
   * @returns false where the role does not allow it; that is told, and nothing has changed
   */
  function edit<P extends Path>(path: P, id: string, record: RecordAt[P] | null, label: string): boolean {
    if (!mayEdit(path)) return false
    steps.remember(changeOf(path, id, record), label)
    write(path, id, record)
    return true
  }

  /**
   * Makes a thing, with how much there is of it; both are one step of the undo.
   * @param amount g of wire, L of gas, pieces of the others
   */
  function makeCounted<P extends Path>(path: P, record: RecordAt[P], amount: number, label: string): void {
    const facts = factsAt(path)
    if (!mayEdit(path) || !facts) return
    const counted = facts.counting ? stockId(facts.kind, record.id) : null
    const changes = [
      changeOf(path, record.id, record),
      ...(counted === null ? [] : [changeOf('stock', counted, { id: counted, amount })]),
    ]
    steps.rememberAll({ label, changes })
    for (const change of changes) write(change.path, change.id, change.after)
  }

  /**
   * Takes many items of equipment in, some hundreds at a time, and undoes as one.
   * @param progress after each request, with how many are in
   * @throws RequestFailed where the server refuses, or no longer answers
   */
  const takeIn = (
    items: readonly ItemRead[],
    label: string,
    progress: (done: number) => void = () => undefined,
  ): Promise<void> =>
    takeInItems(sync, items, progress, (changes) => {
      steps.rememberAll({ label, changes })
    })

  const shop = computed<Shop | null>(() => all('shop')[0] ?? null)
  const shelf = computed(
    () =>
      Object.fromEntries(SHELF_KINDS.map(({ listKey, path }) => [listKey, all(path)])) as unknown as Shelf,
  )
  /** @returns g of wire, L of gas, pieces of the others; null for what nobody has counted, or nobody counts */
  const amountOf = (path: Path, id: string): number | null =>
    inStock(shelf.value.stock, factsAt(path)?.kind ?? '', id)
  const setUps = computed(() => all('set-ups'))
  /** Those whose parts are all there. */
  const wholeSetUps = computed(() => setUps.value.filter((setUp) => partsOf(setUp, shelf.value).ok))
  const requirementSheets = computed(() => all('requirement-sheets'))
  const decisions = computed(() => all('decisions'))
  const welders = computed(() => all('welders'))
  const jobs = computed(() => all('jobs').sort(byName))
  /**
   * Everything that the computation looks at. A list in which nothing has changed is the same list: what hangs on it is
   * not asked again.
   */
  const snapshot = computed(() => ({
    shop: shop.value,
    ...shelf.value,
    setUps: setUps.value,
    welders: welders.value,
    jobs: jobs.value,
    used: used.value,
  }))
  const writes = computed(
    () =>
      shop.value ?? ({ unitSystem: 'imperial', locale: 'en-US' } satisfies Parameters<typeof speechOf>[0]),
  )
  /** How the shop writes figures. */
  const notation = computed(() => notationOf(writes.value))
  /** Of the shop's clock; null takes that of this device. */
  const timeZone = computed(() => shop.value?.timeZone ?? null)
  /** How sentences are made for this shop. */
  const speech = computed(() => speechOf(writes.value))

  return {
    state,
    failure,
    isLoadedAgain,
    load,
    park,
    aside,
    /** @returns the names of what the server does not have yet */
    notSaved: sync.notSaved,
    dropAside(): void {
      dropAsideDrafts()
      aside.value = []
    },
    begin,
    edit,
    makeCounted,
    takeIn,
    all,
    get,
    /** Of a record as it is stored; 0 where it is not. */
    versionOf: sync.versionOf,
    undo: steps.undo,
    redo: steps.redo,
    canUndo: steps.canUndo,
    canRedo: steps.canRedo,
    nextUndo: steps.nextUndo,
    saves: sync.saves,
    retrySaves: sync.retrySaves,
    overwriteStored: sync.overwriteStored,
    takeStored: sync.takeStored,
    resolveConflict: sync.resolveConflict,
    lastSavedAt: sync.lastSavedAt,
    keptAt: sync.keptAt,
    shop,
    shelf,
    amountOf,
    setUps,
    wholeSetUps,
    requirementSheets,
    decisions,
    jobs,
    snapshot,
    notation,
    timeZone,
    speech,
  }
})
