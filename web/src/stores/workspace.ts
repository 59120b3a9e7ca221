/** Everything of the shop in the browser: loaded once, edited here, saved as it changes, undone step by step. */
import {
  CATALOGUE_FORMAT,
  CATALOGUE_KEYS,
  CATALOGUE_VERSION,
  type CatalogueList,
  type CatalogueRecord,
  type Clash,
  factsAt,
  inStock,
  KIND_FACTS,
  kindOfList,
  LISTED,
  mergeRecords,
  notationOf,
  partsOf,
  type RecordAt,
  type RecordPath,
  SHELF_KINDS,
  type Shelf,
  type Shop,
  type ShopDocument,
  speechOf,
  stockId,
  type StockItem,
  withField,
} from '@brannik/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  ask,
  changesPosition,
  findRecord,
  listRecords,
  onKept,
  RequestFailed,
  takeInCatalogue,
} from '../api/client.ts'
import { type Changed, hearChanges } from './changes.ts'
import { adoptDrafts, carryUpDrafts, claimTab, draftKeys, dropDraft, readDraft } from './drafts.ts'
import { useNotice } from './notice.ts'
import { createRecords } from './records.ts'
import { createSaver } from './saver.ts'
import isSame from 'fast-deep-equal'
import { useSession } from './session.ts'
import { useTyping } from './typing.ts'
import { reasonOf } from '../reason.ts'

export type Path = RecordPath
const PATHS = LISTED.map(({ path }) => path)

interface Change {
  readonly path: Path
  readonly id: string
  readonly before: RecordAt[Path] | null
  readonly after: RecordAt[Path] | null
}
/** What is undone at once: one change of one record, or all that an import brought. */
interface Edit {
  readonly label: string
  readonly changes: readonly Change[]
}

/** A thing of a catalogue that is to be stored. */
interface ItemRead {
  readonly list: CatalogueList
  readonly record: CatalogueRecord
  /** How much there is of it; absent where the file does not say. */
  readonly amount?: number | null
}

/** Edits of one field within this time undo as one. */
const SAME_EDIT_MS = 900
const MOST_UNDO = 200
/** Things of a catalogue in one request. */
const CHUNK = 500
/** What has changed elsewhere and could not be fetched is fetched after this. */
const LEARN_AGAIN_MS = 10_000

const NO_EDIT = { key: '', at: 0, stretch: 0 }

const keyOf = (path: Path, id: string): string => `${path}/${id}`
const nameOf = (record: object): string => ('name' in record ? String(record.name) : 'This')
/** What stood there before the first one: nobody had counted. Counts are never deleted. */
const notYet = (path: Path, id: string): StockItem | null => (path === 'stock' ? { id, amount: null } : null)
const placeOf = (key: string): [path: Path, id: string] => {
  const [path = '', id = ''] = key.split('/')
  return [path as Path, id]
}

/** There is one shop. */
const addressOf = (key: string): string => (key.startsWith('shop/') ? 'shop' : key)

export const useWorkspace = defineStore('workspace', () => {
  const state = ref<'loading' | 'ready' | 'failed' | 'empty'>('loading')
  const failure = ref('')
  const records = createRecords<RecordAt>(KIND_FACTS.map(({ path }) => path))
  const notice = useNotice()
  const session = useSession()
  const undone = shallowRef<readonly Edit[]>([])
  const done = shallowRef<readonly Edit[]>([])
  const lastSavedAt = ref<Date | null>(null)
  /** Where the server does not answer: when what is shown was fetched. */
  const keptAt = ref<Date | null>(null)
  onKept((at) => (keptAt.value = at))
  const typing = useTyping()
  let lastEdit = NO_EDIT
  /** Records that are being typed in, as they were before: nothing of it is stored or kept yet. */
  const held = new Map<string, RecordAt[Path] | null>()

  const get = <P extends Path>(path: P, id: string): RecordAt[P] | null =>
    records.tables[path].value.get(id) ?? null

  const saver = createSaver({
    stored(key, version, isRepeated) {
      // A deletion that is repeated may be older than what was made under that name since.
      if (isRepeated && version === 0) records.drop(...placeOf(key))
      else records.stored(...placeOf(key), version)
      lastSavedAt.value = new Date()
      // Another tab that is gone had an edit of the same record: it is laid over this one, and asked about.
      if (adoptDrafts(key).length > 0) restoreDrafts([key])
      if (isRepeated && !isPending(key)) void learn(key)
      else learnHeard(key)
    },
    merged(key, record, version, isAll) {
      const [path, id] = placeOf(key)
      const mine = get(path, id)
      const before = held.get(key)
      const theirs = record as RecordAt[Path]
      records.show(path, id, before && mine ? mergeRecords(before, mine, theirs).record : theirs)
      records.stored(path, id, version)
      if (before) held.set(key, theirs)
      if (isAll) notice.show(`${nameOf(record)} was changed elsewhere too: both changes are in it`)
    },
    dropped(key) {
      // Another tab may have made one of that name.
      if (records.drop(...placeOf(key))) void learn(key)
      else learnHeard(key)
    },
    kept(key, reason) {
      notice.show(reason)
      void takeStored(key)
    },
    // To the page's one place for errors.
    broke: (error) => {
      window.reportError(error)
    },
  })

  const isPending = (key: string): boolean => held.has(key) || saver.isPending(key)

  /** What was heard of a record while an edit of it was on its way here: its latest version, 0 where it was deleted. */
  const heard = new Map<string, number>()
  /** The edit has met the server, or came to nothing: now it may be looked at. */
  function learnHeard(key: string): void {
    const version = heard.get(key)
    if (version === undefined || isPending(key)) return
    heard.delete(key)
    const [path, id] = placeOf(key)
    if (records.isNews(path, id, version)) void learn(key)
  }

  /** Until the server answers: what changed there is not told twice. */
  async function untilAnswered(work: () => Promise<void>): Promise<void> {
    try {
      await work()
    } catch (error) {
      if (!(error instanceof RequestFailed)) throw error
      window.setTimeout(() => void untilAnswered(work), LEARN_AGAIN_MS)
    }
  }
  /** Takes a record in as the server has it now, unless an edit of it here is on its way: that will meet it there. */
  const learn = (key: string): Promise<void> =>
    untilAnswered(async () => {
      const [path, id] = placeOf(key)
      // There is one: another in its place has another id.
      const isShop: boolean = path === 'shop'
      if (isShop) {
        await learnAll('shop')
        return
      }
      const asked = records.now()
      const answer = await findRecord<RecordAt[Path]>(key)
      if (isPending(key)) heard.set(key, answer?.version ?? 0)
      else if (!records.take(path, id, answer, asked)) await learn(key)
    })
  /** Looks at all records of a kind again. */
  const learnAll = (path: Path): Promise<void> =>
    untilAnswered(async () => {
      const asked = records.now()
      const { records: list, isCurrent } =
        path === 'shop'
          ? { records: [await findRecord<Shop>(path)].filter((one) => one !== null), isCurrent: true }
          : await listRecords<RecordAt[Path]>(path)
      // What is kept in this browser is older than what is shown.
      if (!isCurrent) return
      const versions = new Map(list.map(({ record, version }) => [record.id, version]))
      const doubtful = records.takeList(path, list, asked, (id) => {
        const key = keyOf(path, id)
        if (!isPending(key)) return false
        heard.set(key, versions.get(id) ?? 0)
        return true
      })
      await Promise.all(doubtful.map((id) => learn(keyOf(path, id))))
    })
  function hear({ path, id, version = 0 }: Changed): void {
    if (!(path in records.tables)) return
    if (id === undefined) {
      void learnAll(path as Path)
      return
    }
    const key = keyOf(path as Path, id)
    if (version === 0) records.hearGone(path as Path, id)
    if (isPending(key)) heard.set(key, version)
    else if (records.isNews(path as Path, id, version)) void learn(key)
  }
  let stopHearing: () => void = () => undefined
  function hearOthers(since: string | null): void {
    stopHearing()
    const learnEverything = async (): Promise<void> => {
      keptAt.value = null
      await Promise.all((['shop', ...PATHS] as const).map(learnAll))
    }
    stopHearing = hearChanges(since, {
      changed: hear,
      lost: () => void learnEverything(),
      opened: () => void (keptAt.value && learnEverything()),
    })
  }

  /** Lays what was typed and not stored over what the server has, and saves it: what is named before what names it. */
  function restoreDrafts(keys: readonly string[]): void {
    const drafts = keys.flatMap((key) => {
      const [path, id] = placeOf(key)
      const draft = readDraft<RecordAt[Path]>(key)
      if (draft && path in records.tables)
        return [{ key, path, id, draft, rank: PATHS.findIndex((one) => one === path) }]
      dropDraft(key)
      return []
    })
    const isDeletion = ({ draft }: (typeof drafts)[number]): boolean => draft.record === null
    const written = drafts.filter((one) => !isDeletion(one)).sort((a, b) => a.rank - b.rank)
    const deleted = drafts.filter(isDeletion).sort((a, b) => b.rank - a.rank)
    for (const { key, path, id, draft } of [...written, ...deleted]) {
      records.show(path, id, draft.record)
      // It is judged by the version that it began from, not by what was stored since.
      saver.discard(key)
      saver.change(key, path, draft)
    }
  }

  async function load(): Promise<void> {
    state.value = 'loading'
    try {
      // Before the lists are asked for: what changes after it is told.
      const [position] = await Promise.all([changesPosition(), session.find()])
      if (session.isSignedOut) return
      await claimTab()
      const [shop, ...lists] = await Promise.all([
        findRecord<Shop>('shop'),
        ...PATHS.map((path) => listRecords<RecordAt[Path]>(path)),
      ])
      if (!shop) {
        state.value = 'empty'
        return
      }
      records.reset('shop', [shop])
      PATHS.forEach((path, index) => {
        records.reset<Path>(path, lists[index]?.records ?? [])
      })
      await carryUpDrafts()
      adoptDrafts()
      restoreDrafts(draftKeys())
      state.value = 'ready'
      hearOthers(position)
    } catch (error) {
      failure.value = reasonOf(error)
      state.value = 'failed'
    }
  }

  /**
   * Another shop in the place of this one, or the first: all of it, and the page begins anew with it.
   * @throws RequestFailed where the server refuses; nothing is changed then
   */
  async function begin(whole: ShopDocument | { readonly demo: 'inch' | 'metric' }): Promise<void> {
    if ('demo' in whole) await ask('POST', `whole/demo?demo=${whole.demo}`, {})
    else await ask('POST', 'whole', { whole, replaces: shop.value?.id ?? null })
    draftKeys().forEach(dropDraft)
    done.value = []
    undone.value = []
    await load()
  }

  const saveLater = (path: Path, id: string): void => {
    saver.change(keyOf(path, id), path, { record: get(path, id), version: records.versionOf(path, id) })
  }
  function write(path: Path, id: string, record: RecordAt[Path] | null): void {
    const before = get(path, id)
    const key = keyOf(path, id)
    records.show(path, id, record)
    if (!typing.isOpen) {
      saveLater(path, id)
      return
    }
    if (!held.has(key)) held.set(key, before)
    typing.whenLeft('records', storeHeld)
  }
  /** A field was left: what stands in it is stored, unless it came to nothing. */
  function storeHeld(): void {
    const all = [...held]
    held.clear()
    for (const [key, before] of all) {
      const [path, id] = placeOf(key)
      if (isSame(get(path, id), before)) learnHeard(key)
      else saveLater(path, id)
    }
  }

  function remember(change: Change, label: string): void {
    const stretch = typing.isOpen ? typing.stretch : 0
    // What is typed in one field is one edit; its label may have a name in it that is just being typed.
    const key = `${keyOf(change.path, change.id)} ${stretch > 0 ? stretch : label}`
    const now = performance.now()
    const last = done.value.at(-1)
    const [before] = last?.changes ?? []
    const isOneTyping = stretch > 0 ? lastEdit.stretch === stretch : now - lastEdit.at < SAME_EDIT_MS
    const same = key === lastEdit.key && isOneTyping && before !== undefined
    undone.value = []
    lastEdit = { key, at: now, stretch }
    if (!same) done.value = [...done.value, { label, changes: [change] }].slice(-MOST_UNDO)
    else if (isSame(before.before, change.after)) {
      // Typed and given up again: there is nothing to undo.
      done.value = done.value.slice(0, -1)
      lastEdit = NO_EDIT
    } else
      done.value = [
        ...done.value.slice(0, -1),
        { label: last?.label ?? label, changes: [{ ...change, before: before.before }] },
      ]
  }

  /** Several changes that undo at once; the next edit is another step. */
  function rememberAll(edit: Edit): void {
    done.value = [...done.value, edit].slice(-MOST_UNDO)
    undone.value = []
    lastEdit = NO_EDIT
  }

  function mayEdit(path: Path): boolean {
    if (session.mayWrite(path)) return true
    notice.refuse(`Not changed: you are here as ${session.me?.role ?? 'nobody'}, who may not write that.`)
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
    remember(changeOf(path, id, record), label)
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
    rememberAll({ label, changes })
    for (const change of changes) write(change.path, change.id, change.after)
  }

  /** A step back or forth changes what it changed, and leaves what others have changed since. */
  function from(
    path: Path,
    id: string,
    was: RecordAt[Path] | null,
    becomes: RecordAt[Path] | null,
  ): RecordAt[Path] | null {
    const now = get(path, id)
    return was && becomes && now ? mergeRecords(was, now, becomes).record : becomes
  }

  function undo(): string | null {
    const last = done.value.at(-1)
    if (!last) return null
    done.value = done.value.slice(0, -1)
    undone.value = [...undone.value, last]
    lastEdit = NO_EDIT
    for (const { path, id, before, after } of last.changes) write(path, id, from(path, id, after, before))
    return last.label
  }

  function redo(): string | null {
    const next = undone.value.at(-1)
    if (!next) return null
    undone.value = undone.value.slice(0, -1)
    done.value = [...done.value, next]
    for (const { path, id, before, after } of next.changes) write(path, id, from(path, id, before, after))
    return next.label
  }

  /** One request, all or none of it. */
  async function takeInChunk(items: readonly ItemRead[]): Promise<readonly Change[]> {
    const catalogue: Record<string, unknown> = { format: CATALOGUE_FORMAT, version: CATALOGUE_VERSION }
    for (const key of CATALOGUE_KEYS)
      catalogue[key] = items.filter(({ list }) => list === key).map(({ record }) => record)
    const versions: Record<string, number> = {}
    const things = items.map(({ list, record }): Change => {
      const { path } = kindOfList(list)
      const version = records.versionOf(path, record.id)
      if (version > 0) versions[keyOf(path, record.id)] = version
      return { path, id: record.id, before: get(path, record.id), after: record }
    })
    const counts = items.flatMap(({ list, record, amount }): Change[] => {
      const { kind, counting } = kindOfList(list)
      if (amount === undefined || !counting) return []
      const id = stockId(kind, record.id)
      const before = get('stock', id) ?? { id, amount: null }
      return before.amount === amount ? [] : [{ path: 'stock', id, before, after: { id, amount } }]
    })
    catalogue['stock'] = counts.map(({ after }) => after)
    const changes = [...things, ...counts]
    const shown = new Map(changes.map(({ path, id }) => [keyOf(path, id), get(path, id)]))
    const written = await takeInCatalogue(catalogue, versions)
    const versionOf = new Map(written.map(({ path, id, version }) => [keyOf(path as Path, id), version]))
    // What was typed while it was on its way meets it on the server.
    const settled = changes.filter(({ path, id }) => get(path, id) === shown.get(keyOf(path, id)))
    for (const { path, id } of settled) saver.discard(keyOf(path, id))
    for (const path of new Set(settled.map((change) => change.path))) {
      const ofPath = settled.flatMap(({ path: one, id, after }) =>
        one === path && after ? [{ version: versionOf.get(keyOf(path, id)) ?? 1, record: after }] : [],
      )
      records.replaceAll(path, ofPath)
    }
    lastSavedAt.value = new Date()
    return changes
  }

  /**
   * Takes many things of equipment in, some hundreds at a time, and undoes as one. What is in stays in where it breaks
   * off; taken in again, the rest follows.
   * @param progress after each request, with how many are in
   * @throws RequestFailed where the server refuses, or no longer answers
   */
  async function takeIn(
    items: readonly ItemRead[],
    label: string,
    progress: (done: number) => void = () => undefined,
  ): Promise<void> {
    const changes: Change[] = []
    try {
      for (let from = 0; from < items.length; from += CHUNK) {
        changes.push(...(await takeInChunk(items.slice(from, from + CHUNK))))
        progress(Math.min(items.length, from + CHUNK))
      }
    } finally {
      if (changes.length > 0) rememberAll({ label, changes })
    }
  }

  /** After a conflict: the record as it is here, with the stored value in some of the fields that clash. */
  function resolveConflict(key: string, stored: readonly Clash[]): void {
    const [path, id] = placeOf(key)
    const mine = get(path, id)
    if (!mine) return
    records.show(
      path,
      id,
      stored.reduce((all, { path: field, theirs }) => withField(all, field, theirs), mine),
    )
    saveLater(path, id)
    saver.overwrite(key)
  }

  /** After a conflict: the stored record instead of this one. */
  async function takeStored(key: string): Promise<void> {
    const [path, id] = placeOf(key)
    const mine = get(path, id)
    const answer = await findRecord<RecordAt[Path]>(addressOf(key))
    // An edit made while the answer was on its way stays.
    if (get(path, id) !== mine) return
    saver.discard(key)
    records.replace(path, id, answer)
    heard.delete(key)
  }

  const all = <P extends Path>(path: P): RecordAt[P][] => [...records.tables[path].value.values()]

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
  const jobs = computed(() => all('jobs').sort((a, b) => a.name.localeCompare(b.name)))
  /** Everything that the computation looks at. */
  const snapshot = computed(() => ({
    shop: shop.value,
    ...shelf.value,
    setUps: setUps.value,
    jobs: jobs.value,
  }))
  const writes = computed(
    () =>
      shop.value ?? ({ unitSystem: 'imperial', locale: 'en-US' } satisfies Parameters<typeof speechOf>[0]),
  )
  /** How the shop writes figures. */
  const notation = computed(() => notationOf(writes.value))
  /** How sentences are made for this shop. */
  const speech = computed(() => speechOf(writes.value))

  return {
    state,
    failure,
    load,
    begin,
    edit,
    makeCounted,
    takeIn,
    all,
    get,
    undo,
    redo,
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    nextUndo: computed(() => done.value.at(-1)?.label ?? null),
    saves: saver.entries,
    retrySaves: saver.retry,
    overwriteStored: saver.overwrite,
    takeStored,
    resolveConflict,
    lastSavedAt,
    keptAt,
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
    speech,
  }
})
