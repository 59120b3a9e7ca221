/**
 * The shop in this browser and the shop on the server, kept alike: loaded once, saved as it changes, and heard of as others
 * change it. Versions of records are known here and in `records.ts` alone.
 */
import { happenings } from './happenings.ts'
import {
  type Clash,
  KIND_FACTS,
  LISTED,
  mergeRecords,
  type RecordAt,
  type RecordPath,
  type Shop,
  withField,
} from '@brannik/core'
import isSame from 'fast-deep-equal'
import { ref } from 'vue'
import {
  changesPosition,
  findRecord,
  listRecords,
  meetShop,
  onKept,
  owner,
  RequestFailed,
} from '../api/client.ts'
import { useNotice } from '../stores/notice.ts'
import {
  adoptDrafts,
  carryUpDrafts,
  claimTab,
  draftKeys,
  draftsOf,
  dropDraft,
  readDraft,
  setAsideDrafts,
} from './drafts.ts'
import { hearChanges } from './live.ts'
import { createRecords } from './records.ts'
import { createSaver } from './saver.ts'
import type { Changed } from './stream.ts'
import { useTyping } from './typing.ts'

export type Path = RecordPath
const PATHS = LISTED.map(({ path }) => path)
/** What has changed elsewhere and could not be fetched is fetched after this. */
const LEARN_AGAIN_MS = 10_000

export const keyOf = (path: Path, id: string): string => `${path}/${id}`
const nameOf = (record: object): string => ('name' in record ? String(record.name) : 'This')
const placeOf = (key: string): [path: Path, id: string] => {
  const [path = '', id = ''] = key.split('/')
  return [path as Path, id]
}
/** There is one shop. */
const addressOf = (key: string): string => (key.startsWith('shop/') ? 'shop' : key)

export function createSync() {
  const records = createRecords<RecordAt>(KIND_FACTS.map(({ path }) => path))
  const notice = useNotice()
  const typing = useTyping()
  const lastSavedAt = ref<Date | null>(null)
  /** Where the server does not respond: when what is shown was fetched. */
  const keptAt = ref<Date | null>(null)
  onKept((at) => (keptAt.value = at))
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
      if (isAll) notice.show(`${nameOf(record)} was changed in another place too. Both changes are kept`)
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
  /** Kinds of which this browser has answered in the place of the server. */
  const stale = new Set<Path>()
  /** Looks at all records of a kind again. */
  const learnAll = (path: Path): Promise<void> =>
    untilAnswered(async () => {
      const asked = records.now()
      const { records: list, isCurrent } =
        path === 'shop'
          ? { records: [await findRecord<Shop>(path)].filter((one) => one !== null), isCurrent: true }
          : await listRecords<RecordAt[Path]>(path)
      // What is kept in this browser is older than what is shown; the server is asked again.
      if (!isCurrent) {
        stale.add(path)
        throw new RequestFailed(0, 'the server does not respond')
      }
      if (stale.delete(path) && stale.size === 0) keptAt.value = null
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
    stopHearing = hearChanges(since, (told) => {
      if (told.what === 'changed') hear(told.changed)
      else if (told.what === 'happened') happenings.value += 1
      else if (told.what === 'lost') void learnEverything()
      else if (told.what === 'shop') meetShop(told.epoch)
      else if (told.what === 'opened' && keptAt.value) void learnEverything()
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

  /**
   * Sends and hears nothing any more. What was typed and is not stored stays in this browser, for whom it is of.
   */
  function park(): void {
    stopHearing()
    storeHeld()
    saver.park()
    heard.clear()
    stale.clear()
    keptAt.value = null
  }

  /**
   * Loads the whole shop, lays what was typed and not stored over it, and listens from then on.
   * @returns false where there is no shop yet
   * @throws RequestFailed where the server does not respond
   */
  async function load(position: string | null): Promise<boolean> {
    park()
    await claimTab()
    const [shop, ...lists] = await Promise.all([
      findRecord<Shop>('shop'),
      ...PATHS.map((path) => listRecords<RecordAt[Path]>(path)),
    ])
    draftsOf(owner())
    setAsideDrafts()
    if (!shop) return false
    records.reset('shop', [shop])
    PATHS.forEach((path, index) => {
      records.reset<Path>(path, lists[index]?.records ?? [])
    })
    await carryUpDrafts()
    adoptDrafts()
    restoreDrafts(draftKeys())
    hearOthers(position)
    return true
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

  /** Shows what one request has stored, unless it was changed here meanwhile: that meets it on the server. */
  function storedTogether(
    changes: readonly { readonly path: Path; readonly id: string; readonly after: RecordAt[Path] | null }[],
    shown: ReadonlyMap<string, RecordAt[Path] | null>,
    versions: ReadonlyMap<string, number>,
  ): void {
    const settled = changes.filter(({ path, id }) => get(path, id) === shown.get(keyOf(path, id)))
    for (const { path, id } of settled) saver.discard(keyOf(path, id))
    for (const path of new Set(settled.map((change) => change.path))) {
      const ofPath = settled.flatMap(({ path: one, id, after }) =>
        one === path && after ? [{ version: versions.get(keyOf(path, id)) ?? 1, record: after }] : [],
      )
      records.replaceAll(path, ofPath)
    }
    lastSavedAt.value = new Date()
  }

  return {
    /** Up to where everything has been told: to be asked before the shop is loaded. */
    position: changesPosition,
    load,
    park,
    get,
    all: <P extends Path>(path: P): RecordAt[P][] => [...records.tables[path].value.values()],
    versionOf: records.versionOf,
    write,
    storedTogether,
    resolveConflict,
    takeStored,
    notSaved: (): readonly string[] => {
      storeHeld()
      return [...saver.entries.keys()].map((key) => {
        const record = get(...placeOf(key))
        return record ? nameOf(record) : `the deletion of ${placeOf(key)[1]}`
      })
    },
    lastSavedAt,
    keptAt,
    saves: saver.entries,
    /** @returns when the server was asked for all that it does not have */
    retrySaves: (): Promise<void> => {
      storeHeld()
      return saver.retry()
    },
    overwriteStored: saver.overwrite,
    forgetDrafts: (): void => {
      draftKeys().forEach(dropDraft)
    },
  }
}
