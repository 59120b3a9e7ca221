/** Everything of the shop in the browser: loaded once, edited here, saved as it changes, undone step by step. */
import {
  CATALOGUE_FORMAT,
  CATALOGUE_KEYS,
  CATALOGUE_LISTS,
  CATALOGUE_VERSION,
  partsOf,
  type CatalogueList,
  type CatalogueRecord,
  type Clash,
  inStock,
  isStocked,
  kindOfPath,
  mergeRecords,
  notationOf,
  speechOf,
  stockId,
  withField,
} from '@brannik/core'
import type {
  Circuit,
  Generator,
  Load,
  Panel,
  Decision,
  Feeder,
  Gas,
  Gun,
  Job,
  Part,
  PowerSource,
  RequirementSheet,
  SetUp,
  Shelf,
  Shop,
  ShopDocument,
  StockItem,
  Tungsten,
  Wire,
} from '@brannik/core'
import { LISTS } from '../../offline/kept.ts'
import { defineStore } from 'pinia'
import { computed, ref, type ShallowRef, shallowRef } from 'vue'
import {
  ask,
  findRecord,
  getRecord,
  listRecords,
  onKept,
  type Stored,
  takeInCatalogue,
} from '../api/client.ts'
import { type Changed, hearChanges } from './changes.ts'
import { adoptDrafts, claimTab, draftKeys, dropDraft, readDraft } from './drafts.ts'
import { useNotice } from './notice.ts'
import { createSaver } from './saver.ts'
import isSame from 'fast-deep-equal'
import { useSession } from './session.ts'
import { useTyping } from './typing.ts'
import { reasonOf } from '../reason.ts'

interface RecordOf {
  shop: Shop
  generators: Generator
  panels: Panel
  circuits: Circuit
  loads: Load
  'power-sources': PowerSource
  feeders: Feeder
  guns: Gun
  parts: Part
  wires: Wire
  gases: Gas
  tungstens: Tungsten
  'set-ups': SetUp
  jobs: Job
  'requirement-sheets': RequirementSheet
  decisions: Decision
  stock: StockItem
}
export type Path = keyof RecordOf
/** Nobody watches the version: a save changes nothing on the screen. */
interface Known<T> {
  version: number
  readonly record: T
}
type Table<P extends Path> = ReadonlyMap<string, Known<RecordOf[P]>>
/** One cell a kind: an edit of a job does not touch what is made of the shelf. */
type Tables = { readonly [P in Path]: ShallowRef<Table<P>> }

const PATHS: readonly Path[] = LISTS

interface Change {
  readonly path: Path
  readonly id: string
  readonly before: RecordOf[Path] | null
  readonly after: RecordOf[Path] | null
}
/** What is undone at once: one change of one record, or all that an import brought. */
interface Edit {
  readonly label: string
  readonly changes: readonly Change[]
}

/** A thing of a catalogue that is to be stored. */
interface Taken {
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

const NO_EDIT = { key: '', at: 0, stretch: 0 }

const emptyTables = (): Tables =>
  Object.fromEntries(['shop', ...PATHS].map((path) => [path, shallowRef(new Map())])) as unknown as Tables

const keyOf = (path: Path, id: string): string => `${path}/${id}`
const nameOf = (record: object): string => ('name' in record ? String(record.name) : 'This')
/** What stood there before the first one: nobody had counted. Counts are never deleted. */
const notYet = (path: Path, id: string): StockItem | null => (path === 'stock' ? { id, amount: null } : null)
const placeOf = (key: string): [path: Path, id: string] => {
  const [path = '', id = ''] = key.split('/')
  return [path as Path, id]
}

export const useWorkspace = defineStore('workspace', () => {
  const state = ref<'loading' | 'ready' | 'failed' | 'empty'>('loading')
  const failure = ref('')
  const tables = emptyTables()
  const notice = useNotice()
  const session = useSession()
  const table = <P extends Path>(path: P): ShallowRef<Table<P>> => tables[path]
  const undone = shallowRef<readonly Edit[]>([])
  const done = shallowRef<readonly Edit[]>([])
  const lastSavedAt = ref<Date | null>(null)
  /** Where the server does not answer: when what is shown was fetched. */
  const keptAt = ref<Date | null>(null)
  onKept((at) => (keptAt.value = at))
  const typing = useTyping()
  let lastEdit = NO_EDIT
  /** Records that are being typed in, as they were before: nothing of it is stored or kept yet. */
  const held = new Map<string, RecordOf[Path] | null>()

  function put<P extends Path>(path: P, id: string, stored: Stored<RecordOf[P]> | null): void {
    const cell = table(path)
    const changed = new Map(cell.value)
    if (stored) changed.set(id, stored)
    else changed.delete(id)
    cell.value = changed
  }

  const saver = createSaver({
    stored(key, version) {
      const [path, id] = placeOf(key)
      const has = tables[path].value.get(id)
      if (has) has.version = version
      lastSavedAt.value = new Date()
      // Another tab that is gone had an edit of the same record: it is laid over this one, and asked about.
      if (adoptDrafts(key).length > 0) restoreDrafts([key])
      // Another edit of it may have come while this one was on its way.
      if ((heard.get(key) ?? 0) > version) void learn(key)
    },
    merged(key, record, version, isAll) {
      const [path, id] = placeOf(key)
      const mine = tables[path].value.get(id)?.record
      const before = held.get(key)
      const theirs = record as RecordOf[Path]
      put(path, id, { version, record: before && mine ? mergeRecords(before, mine, theirs).record : theirs })
      if (before) held.set(key, theirs)
      if (isAll) notice.show(`${nameOf(record)} was changed elsewhere too: both changes are in it`)
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

  /** The latest version that was heard of, by key. */
  const heard = new Map<string, number>()
  /** Takes a record in as the server has it now, unless an edit of it here is on its way: that will meet it there. */
  async function learn(key: string): Promise<void> {
    const [path, id] = placeOf(key)
    const stored = await findRecord<RecordOf[Path]>(path === 'shop' ? path : key)
    if (isPending(key)) return
    const known = tables[path].value.get(id)?.version ?? 0
    if (stored === null ? known > 0 : stored.version > known) put(path, id, stored)
  }
  /** Looks at all records of a kind again. */
  async function learnAll(path: Path): Promise<void> {
    const list = path === 'shop' ? [await getRecord<Shop>('shop')] : await listRecords<RecordOf[Path]>(path)
    const cell: ShallowRef<ReadonlyMap<string, unknown>> = tables[path]
    const before = tables[path].value
    const now = new Map<string, unknown>(list.map((stored) => [stored.record.id, stored]))
    for (const [id, known] of before) {
      const stored = now.get(id) as Known<RecordOf[Path]> | undefined
      if (isPending(keyOf(path, id)) || stored?.version === known.version) now.set(id, known)
    }
    cell.value = now
  }
  function hear({ path, id, version = 0 }: Changed): void {
    if (!(path in tables)) return
    if (id === undefined) {
      void learnAll(path as Path)
      return
    }
    const key = keyOf(path as Path, id)
    const known = tables[path as Path].value.get(id)?.version ?? 0
    if (version > 0 && version <= known) return
    heard.set(key, version)
    if (!isPending(key)) void learn(key)
  }
  let stopHearing: () => void = () => undefined
  function hearOthers(): void {
    stopHearing()
    const learnEverything = async (): Promise<void> => {
      keptAt.value = null
      await Promise.all((['shop', ...PATHS] as const).map(learnAll))
    }
    stopHearing = hearChanges({
      changed: hear,
      lost: () => void learnEverything(),
      opened: () => void (keptAt.value && learnEverything()),
    })
  }

  /** Lays what was typed and not stored over what the server has, and saves it: what is named before what names it. */
  function restoreDrafts(keys: readonly string[]): void {
    const drafts = keys.flatMap((key) => {
      const [path, id] = placeOf(key)
      const draft = readDraft<RecordOf[Path]>(key)
      if (draft && path in tables) return [{ key, path, id, draft, rank: PATHS.indexOf(path) }]
      dropDraft(key)
      return []
    })
    const isDeletion = ({ draft }: (typeof drafts)[number]): boolean => draft.record === null
    const written = drafts.filter((one) => !isDeletion(one)).sort((a, b) => a.rank - b.rank)
    const deleted = drafts.filter(isDeletion).sort((a, b) => b.rank - a.rank)
    for (const { key, path, id, draft } of [...written, ...deleted]) {
      put(path, id, draft.record && { version: draft.version, record: draft.record })
      // It is judged by the version that it began from, not by what was stored since.
      saver.discard(key)
      saver.change(key, path, draft)
    }
  }

  async function load(): Promise<void> {
    state.value = 'loading'
    try {
      await session.find()
      if (session.isSignedOut) return
      await claimTab()
      const [shop, ...lists] = await Promise.all([
        findRecord<Shop>('shop'),
        ...PATHS.map((path) => listRecords<{ id: string }>(path)),
      ])
      if (!shop) {
        state.value = 'empty'
        return
      }
      tables.shop.value = new Map([[shop.record.id, shop]])
      PATHS.forEach((path, index) => {
        const cell: ShallowRef<ReadonlyMap<string, unknown>> = tables[path]
        cell.value = new Map((lists[index] ?? []).map((stored) => [stored.record.id, stored]))
      })
      adoptDrafts()
      restoreDrafts(draftKeys())
      state.value = 'ready'
      hearOthers()
    } catch (error) {
      failure.value = reasonOf(error)
      state.value = 'failed'
    }
  }

  /**
   * Another shop in the place of this one, or the first: all of it, and the page begins anew with it.
   * @throws RequestFailed where the server refuses; nothing is changed then
   */
  async function begin(whole: ShopDocument | 'demo'): Promise<void> {
    if (whole === 'demo') await ask('POST', 'whole/demo', {})
    else await ask('POST', 'whole', { whole, replaces: shop.value?.id ?? null })
    draftKeys().forEach(dropDraft)
    done.value = []
    undone.value = []
    await load()
  }

  function write(path: Path, id: string, record: RecordOf[Path] | null): void {
    const known = tables[path].value.get(id)
    const version = known?.version ?? 0
    const key = keyOf(path, id)
    put(path, id, record && { version, record })
    if (!typing.isOpen) {
      saver.change(key, path, { record, version })
      return
    }
    if (!held.has(key)) held.set(key, known?.record ?? null)
    typing.whenLeft('records', storeHeld)
  }
  /** A field was left: what stands in it is stored, unless it came to nothing. */
  function storeHeld(): void {
    const all = [...held]
    held.clear()
    for (const [key, before] of all) {
      const [path, id] = placeOf(key)
      const now = tables[path].value.get(id)
      if (isSame(now?.record ?? null, before)) continue
      saver.change(key, path, { record: now?.record ?? null, version: now?.version ?? 0 })
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
  const changeOf = (path: Path, id: string, after: RecordOf[Path] | null): Change => ({
    path,
    id,
    before: tables[path].value.get(id)?.record ?? notYet(path, id),
    after,
  })

  /**
   * Changes a record, or makes it where there is none of that id, or deletes it (null).
   * @param label what was done, for the undo: `thickness of Press frame`
   * @returns false where the role does not allow it; that is told, and nothing has changed
   */
  function edit<P extends Path>(path: P, id: string, record: RecordOf[P] | null, label: string): boolean {
    if (!mayEdit(path)) return false
    remember(changeOf(path, id, record), label)
    write(path, id, record)
    return true
  }

  /**
   * Makes a thing, with how much there is of it; both are one step of the undo.
   * @param amount g of wire, L of gas, pieces of the others
   */
  function makeCounted<P extends Path>(path: P, record: RecordOf[P], amount: number, label: string): void {
    const kind = kindOfPath(path)
    if (!mayEdit(path) || !kind) return
    const counted = isStocked(kind) ? stockId(kind, record.id) : null
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
    was: RecordOf[Path] | null,
    becomes: RecordOf[Path] | null,
  ): RecordOf[Path] | null {
    const now = tables[path].value.get(id)?.record ?? null
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
  async function takeInChunk(items: readonly Taken[]): Promise<readonly Change[]> {
    const catalogue: Record<string, unknown> = { format: CATALOGUE_FORMAT, version: CATALOGUE_VERSION }
    for (const key of CATALOGUE_KEYS)
      catalogue[key] = items.filter(({ list }) => list === key).map(({ record }) => record)
    const versions: Record<string, number> = {}
    const things = items.map(({ list, record }): Change => {
      const { path } = CATALOGUE_LISTS[list]
      const had = tables[path].value.get(record.id)
      if (had && had.version > 0) versions[keyOf(path, record.id)] = had.version
      return { path, id: record.id, before: had?.record ?? null, after: record }
    })
    const counts = items.flatMap(({ list, record, amount }): Change[] => {
      const kind = kindOfPath(CATALOGUE_LISTS[list].path)
      if (amount === undefined || !kind || !isStocked(kind)) return []
      const id = stockId(kind, record.id)
      const before = tables.stock.value.get(id)?.record ?? { id, amount: null as number | null }
      return before.amount === amount ? [] : [{ path: 'stock', id, before, after: { id, amount } }]
    })
    catalogue['stock'] = counts.map(({ after }) => after)
    const changes = [...things, ...counts]
    const written = await takeInCatalogue(catalogue, versions)
    const versionOf = new Map(written.map(({ path, id, version }) => [keyOf(path as Path, id), version]))
    for (const path of new Set(changes.map((change) => change.path))) {
      const cell: ShallowRef<ReadonlyMap<string, unknown>> = tables[path]
      const changed = new Map(cell.value)
      for (const change of changes) {
        if (change.path !== path) continue
        const key = keyOf(path, change.id)
        saver.discard(key)
        changed.set(change.id, { version: versionOf.get(key) ?? 1, record: change.after })
      }
      cell.value = changed
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
    items: readonly Taken[],
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
  function settle(key: string, stored: readonly Clash[]): void {
    const [path, id] = placeOf(key)
    const mine = tables[path].value.get(id)
    if (!mine) return
    const record = stored.reduce((all, { path: field, theirs }) => withField(all, field, theirs), mine.record)
    put(path, id, { version: mine.version, record })
    saver.change(key, path, { record, version: mine.version })
    saver.overwrite(key)
  }

  /** After a conflict: the stored record instead of this one. */
  async function takeStored(key: string): Promise<void> {
    const [path, id] = placeOf(key)
    const stored = await findRecord<RecordOf[Path]>(path === 'shop' ? path : key)
    saver.discard(key)
    put(path, id, stored)
  }

  const all = <P extends Path>(path: P): RecordOf[P][] =>
    [...table(path).value.values()].map(({ record }) => record)
  const get = <P extends Path>(path: P, id: string): RecordOf[P] | null =>
    table(path).value.get(id)?.record ?? null

  const shop = computed<Shop | null>(() => all('shop')[0] ?? null)
  const shelf = computed<Shelf>(() => ({
    generators: all('generators'),
    panels: all('panels'),
    circuits: all('circuits'),
    loads: all('loads'),
    powerSources: all('power-sources'),
    feeders: all('feeders'),
    guns: all('guns'),
    parts: all('parts'),
    wires: all('wires'),
    gases: all('gases'),
    tungstens: all('tungstens'),
    stock: all('stock'),
  }))
  /** @returns g of wire, L of gas, pieces of the others; null for what nobody has counted, or nobody counts */
  const amountOf = (path: Path, id: string): number | null =>
    inStock(shelf.value.stock, kindOfPath(path) ?? '', id)
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
    settle,
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
