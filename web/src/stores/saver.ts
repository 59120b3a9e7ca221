/**
 * Saves records as they change: soon after the last edit, one after the other, again when a save fails.
 * One after the other, because a set-up may name a gun that was entered a moment before it.
 */
import { type Clash, mergeRecords } from '@brannik/core'
import isSame from 'fast-deep-equal'
import { markRaw, reactive } from 'vue'
import {
  createRecord,
  deleteRecord,
  findRecord,
  findVersion,
  newKey,
  replaceRecord,
  RequestFailed,
} from '../api/client.ts'
import { reasonOf } from '../reason.ts'
import { type Draft, dropDraft, keepDraft } from './drafts.ts'

type SaveState = 'saved' | 'waiting' | 'saving' | 'failed' | 'conflict'

interface Item {
  readonly id: string
}

interface Entry {
  readonly path: string
  /** null: it is to be deleted. */
  record: Item | null
  /** The stored version that a save replaces. 0: the server has none. */
  version: number
  /** The version that the edit began from: what was changed elsewhere since is not part of it. */
  began: number
  /** In a conflict: the fields that were changed here and elsewhere. */
  clashes: readonly Clash[]
  /** What was sent and not answered: the server may have it or not. Undefined where nothing was. */
  unanswered: Item | null | undefined
  /** The key that it was sent with. */
  key: string
  state: SaveState
  /** Why the last save did not succeed. */
  failure: string
  timer: number | null
  failures: number
}

interface Handlers {
  /** After each save, with the new version; 0 after a deletion. */
  readonly stored: (key: string, version: number) => void
  /** The server does not let it be deleted. */
  readonly kept: (key: string, reason: string) => void
  /** What was changed elsewhere meanwhile is part of the record now. */
  readonly merged: (key: string, record: Item, version: number, isAll: boolean) => void
  /** What no answer of the server explains. */
  readonly broke: (error: unknown) => void
}

const SOON_MS = 500
const RETRY_MS = [2000, 5000, 10_000, 30_000]
/** Deleted, already there, changed: the server has something else than the edit began from. */
const NOT_AS_THOUGHT = [404, 409, 412]

/** Only the state of an entry is watched: a list of hundreds of welds need not be. */
const raw = <T extends Item | null | undefined>(record: T): T => (record ? markRaw(record) : record)

export function createSaver({ stored, kept, merged, broke }: Handlers) {
  const entries = reactive(new Map<string, Entry>())
  let turn: Promise<void> = Promise.resolve()

  const addressOf = (key: string, { path }: Entry): string => (path === 'shop' ? path : key)
  const draft = (key: string, { record, version, began, state, unanswered, key: sentWith }: Entry): void =>
    keepDraft<Item>(key, {
      record,
      // Until somebody has decided, it is judged by what it began from: a reload asks again.
      version: state === 'conflict' ? began : version,
      ...(unanswered === undefined ? {} : { unanswered, key: sentWith }),
    })

  const forget = (entry: Entry): void => {
    if (entry.timer !== null) window.clearTimeout(entry.timer)
    entry.timer = null
  }

  const later = (key: string, entry: Entry, ms: number): void => {
    forget(entry)
    entry.timer = window.setTimeout(() => {
      entry.timer = null
      save(key)
    }, ms)
  }

  function discard(key: string): void {
    const entry = entries.get(key)
    if (entry) forget(entry)
    entries.delete(key)
    dropDraft(key)
  }

  async function send(key: string, entry: Entry, record: Item | null): Promise<number> {
    const { path, version } = entry
    if (record === null) {
      await deleteRecord(addressOf(key, entry), version, entry.key)
      return 0
    }
    const answer =
      version === 0
        ? await createRecord(path, record, entry.key)
        : await replaceRecord(addressOf(key, entry), record, version, entry.key)
    return answer.version
  }

  function landed(key: string, entry: Entry, version: number, sent: Item | null): void {
    entry.version = version
    entry.began = version
    entry.clashes = []
    entry.unanswered = undefined
    entry.failures = 0
    if (!isSame(entry.record, sent)) {
      draft(key, entry)
      entry.state = 'waiting'
      later(key, entry, SOON_MS)
    } else {
      entry.state = 'saved'
      if (sent === null) discard(key)
      else dropDraft(key)
    }
    stored(key, version)
  }

  /** The server has something else: an own save whose answer was lost, or what somebody else made of it. */
  async function settle(key: string, entry: Entry): Promise<void> {
    const now = await findRecord<Item>(addressOf(key, entry))
    const record = now?.record ?? null
    const version = now?.version ?? 0
    const isOwn = entry.unanswered !== undefined && isSame(record, entry.unanswered)
    if (isOwn || isSame(record, entry.record)) {
      landed(key, entry, version, record)
      return
    }
    entry.version = version
    // What was sent came too late, that is known now.
    entry.unanswered = undefined
    if (entry.record === null || record === null) {
      entry.state = 'conflict'
      draft(key, entry)
      return
    }
    // Without what both began from, every difference is a question.
    const base = entry.began > 0 ? await findVersion<Item>(key, entry.began) : null
    const { record: both, clashes } = mergeRecords<Item>(base ?? ({} as Item), entry.record, record)
    entry.record = raw(both)
    entry.clashes = markRaw([...clashes])
    if (clashes.length > 0) {
      entry.state = 'conflict'
    } else {
      entry.began = version
      entry.state = 'waiting'
      later(key, entry, SOON_MS)
    }
    draft(key, entry)
    merged(key, both, version, clashes.length === 0)
  }

  function failed(key: string, entry: Entry, error: unknown): void {
    entry.failure = reasonOf(error)
    entry.state = 'failed'
    // An error of this page: told, and tried again by hand.
    if (!(error instanceof RequestFailed)) {
      broke(error)
      return
    }
    // What the server refuses will be refused again; what it did not hear is worth another try.
    if (!error.isPassing) return
    later(key, entry, RETRY_MS[Math.min(entry.failures, RETRY_MS.length - 1)] ?? 30_000)
    entry.failures += 1
  }

  async function refused(key: string, entry: Entry, error: unknown, sent: Item | null): Promise<void> {
    if (!(error instanceof RequestFailed) || error.isPassing) throw error
    if (sent === null && error.status === 409) {
      discard(key)
      kept(key, error.message)
      return
    }
    if (NOT_AS_THOUGHT.includes(error.status)) {
      await settle(key, entry)
      return
    }
    entry.unanswered = undefined
    if (isSame(entry.record, sent)) throw error
    // That one is refused; what was typed after it is another one.
    draft(key, entry)
    entry.state = 'waiting'
    later(key, entry, SOON_MS)
  }

  async function saveNow(key: string): Promise<void> {
    const entry = entries.get(key)
    if (!entry || (entry.state !== 'waiting' && entry.state !== 'failed')) return
    forget(entry)
    entry.state = 'saving'
    // What was sent and not answered is asked again first, with its own key: then its end is known.
    const sent = entry.unanswered === undefined ? entry.record : entry.unanswered
    if (entry.unanswered === undefined) {
      entry.unanswered = sent
      entry.key = newKey()
      draft(key, entry)
    }
    try {
      const version = await send(key, entry, sent)
      if (entries.get(key) === entry) landed(key, entry, version, sent)
    } catch (error) {
      await refused(key, entry, error, sent).catch((again: unknown) => failed(key, entry, again))
    }
  }

  function save(key: string): void {
    turn = turn.catch(() => undefined).then(() => saveNow(key))
  }

  return {
    entries,
    /**
     * Notes a change and saves it soon.
     * @param draft the change, and the version that it began from
     */
    change(key: string, path: string, { record, version, unanswered, key: sentWith }: Draft<Item>): void {
      if (!entries.has(key)) {
        entries.set(key, {
          path,
          record,
          version,
          began: version,
          clashes: [],
          unanswered: raw(unanswered),
          key: sentWith ?? newKey(),
          state: 'waiting',
          failure: '',
          timer: null,
          failures: 0,
        })
      }
      const entry = entries.get(key)
      if (!entry) return
      if (record === null && entry.version === 0 && entry.unanswered === undefined) {
        discard(key)
        return
      }
      entry.record = raw(record)
      draft(key, entry)
      if (entry.state === 'saving' || entry.state === 'conflict') return
      entry.state = 'waiting'
      later(key, entry, SOON_MS)
    },
    retry(): void {
      for (const [key, entry] of entries) {
        if (entry.state === 'failed' || entry.state === 'waiting') save(key)
      }
    },
    /** After a conflict: writes this one over the stored one. */
    overwrite(key: string): void {
      const entry = entries.get(key)
      if (!entry) return
      entry.began = entry.version
      entry.clashes = []
      entry.state = 'waiting'
      draft(key, entry)
      save(key)
    },
    /** Whether an edit of it is not stored yet. */
    isPending: (key: string): boolean => {
      const entry = entries.get(key)
      return entry !== undefined && entry.state !== 'saved'
    },
    /** After a conflict: gives this one up. */
    discard,
  }
}
