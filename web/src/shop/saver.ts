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

type SaveState = 'waiting' | 'saving' | 'failed' | 'conflict'

interface Item {
  readonly id: string
}

/** An edit that is not stored yet; what is stored has none. */
interface Entry {
  readonly path: string
  /** null: it is to be deleted. */
  record: Item | null
  /** The version that the edit began from, which a save replaces; 0: the server had none. */
  began: number
  /** In a conflict: the version that the server has; 0: it was deleted there. */
  theirs: number
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
  /** After each save, with the new version; 0 after a deletion. A repeated one may have been stored long ago. */
  readonly stored: (key: string, version: number, isRepeated: boolean) => void
  /** What was made here was deleted before it was ever sent. */
  readonly dropped: (key: string) => void
  /** The server does not let it be deleted. */
  readonly kept: (key: string, reason: string) => void
  /** What was changed elsewhere meanwhile is part of the record now. */
  readonly merged: (key: string, record: Item, version: number, isAll: boolean) => void
  /** What no answer of the server explains. */
  readonly broke: (error: unknown) => void
}

const SOON_MS = 500
const RETRY_MS = [2000, 5000, 10_000, 30_000]

/** Only the state of an entry is watched: a list of hundreds of welds need not be. */
const raw = <T extends Item | null | undefined>(record: T): T => (record ? markRaw(record) : record)

export function createSaver({ stored, dropped, kept, merged, broke }: Handlers) {
  const entries = reactive(new Map<string, Entry>())
  let turn: Promise<void> = Promise.resolve()

  const addressOf = (key: string, { path }: Entry): string => (path === 'shop' ? path : key)
  /** Until somebody has decided a conflict, it is judged by what it began from: a reload asks again. */
  const draft = (key: string, { record, began, unanswered, key: sentWith }: Entry): void =>
    keepDraft<Item>(key, {
      record,
      version: began,
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
    const { path, began } = entry
    if (record === null) {
      await deleteRecord(addressOf(key, entry), began, entry.key)
      return 0
    }
    const answer =
      began === 0
        ? await createRecord(path, record, entry.key)
        : await replaceRecord(addressOf(key, entry), record, began, entry.key)
    return answer.version
  }

  /** Whether somebody has given it up while the server was asked. */
  const isGivenUp = (key: string, entry: Entry): boolean => entries.get(key) !== entry

  function waitOn(key: string, entry: Entry): void {
    draft(key, entry)
    entry.state = 'waiting'
    later(key, entry, SOON_MS)
  }

  function landed(key: string, entry: Entry, version: number, sent: Item | null, isRepeated = false): void {
    if (isSame(entry.record, sent)) discard(key)
    else {
      entry.began = version
      entry.clashes = []
      entry.unanswered = undefined
      entry.failures = 0
      waitOn(key, entry)
    }
    stored(key, version, isRepeated)
  }

  /** The server has something else: an own save whose answer was lost, or what somebody else made of it. */
  async function finish(key: string, entry: Entry): Promise<void> {
    const now = await findRecord<Item>(addressOf(key, entry))
    if (isGivenUp(key, entry)) return
    const record = now?.record ?? null
    const version = now?.version ?? 0
    const isOwn = entry.unanswered !== undefined && isSame(record, entry.unanswered)
    if (isOwn || isSame(record, entry.record)) {
      landed(key, entry, version, record)
      return
    }
    // Without what both began from, every difference is a question.
    const base = record && entry.began > 0 ? await findVersion<Item>(key, entry.began) : null
    if (isGivenUp(key, entry)) return
    // What was sent came too late, that is known now.
    entry.unanswered = undefined
    entry.theirs = version
    if (entry.record === null || record === null) {
      entry.state = 'conflict'
      draft(key, entry)
      return
    }
    const { record: both, clashes } = mergeRecords<Item>(base ?? ({} as Item), entry.record, record)
    entry.record = raw(both)
    entry.clashes = markRaw([...clashes])
    if (clashes.length > 0) {
      entry.state = 'conflict'
      draft(key, entry)
    } else {
      entry.began = version
      waitOn(key, entry)
    }
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
    // Something names it; where it was brought back meanwhile there is nothing to say.
    if (sent === null && error.status === 409 && entry.record === null) {
      discard(key)
      kept(key, error.message)
      return
    }
    // Deleted, changed, or already there: the server has something else than the edit began from.
    const isElsewhere = error.status === 404 || error.status === 412
    if (isElsewhere || (error.status === 409 && sent !== null)) {
      await finish(key, entry)
      return
    }
    entry.unanswered = undefined
    if (isSame(entry.record, sent)) throw error
    // That one is refused; what was typed after it is another one.
    waitOn(key, entry)
  }

  async function saveNow(key: string): Promise<void> {
    const entry = entries.get(key)
    if (!entry || (entry.state !== 'waiting' && entry.state !== 'failed')) return
    forget(entry)
    entry.state = 'saving'
    // What was sent and not answered is asked again first, with its own key: then its end is known.
    const isRepeated = entry.unanswered !== undefined
    const sent = entry.unanswered === undefined ? entry.record : entry.unanswered
    if (!isRepeated) {
      entry.unanswered = sent
      entry.key = newKey()
      draft(key, entry)
    }
    try {
      const version = await send(key, entry, sent)
      if (!isGivenUp(key, entry)) landed(key, entry, version, sent, isRepeated)
    } catch (error) {
      if (isGivenUp(key, entry)) return
      await refused(key, entry, error, sent).catch((again: unknown) => {
        if (!isGivenUp(key, entry)) failed(key, entry, again)
      })
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
          began: version,
          theirs: version,
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
      if (record === null && entry.unanswered === undefined) {
        const isDeletedThere = entry.state === 'conflict' && entry.theirs === 0
        if (isDeletedThere || entry.began === 0) {
          discard(key)
          if (isDeletedThere) stored(key, 0, false)
          else dropped(key)
          return
        }
      }
      entry.record = raw(record)
      draft(key, entry)
      if (entry.state === 'saving' || entry.state === 'conflict') return
      entry.state = 'waiting'
      later(key, entry, SOON_MS)
    },
    /**
     * Tries what is not stored at once.
     * @returns when the server was asked for all of it
     */
    retry(): Promise<void> {
      for (const [key, entry] of entries) {
        if (entry.state === 'failed' || entry.state === 'waiting') save(key)
      }
      return turn
    },
    /** After a conflict: writes this one over the stored one. */
    overwrite(key: string): void {
      const entry = entries.get(key)
      if (!entry) return
      if (entry.state === 'conflict') entry.began = entry.theirs
      entry.clashes = []
      entry.state = 'waiting'
      draft(key, entry)
      save(key)
    },
    /** Sends nothing any more: what is not stored stays in the browser as drafts. */
    park(): void {
      for (const entry of entries.values()) forget(entry)
      entries.clear()
    },
    /** Whether an edit of it is not stored yet. */
    isPending: (key: string): boolean => entries.has(key),
    /** After a conflict: gives this one up. */
    discard,
  }
}
