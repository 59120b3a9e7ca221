/** Saves records as they change: soon after the last edit, one at a time each, again when a save fails. */
import { markRaw, reactive } from 'vue'
import { createRecord, replaceRecord, RequestFailed, type Stored } from '../api/client.ts'
import { dropDraft, keepDraft } from './drafts.ts'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'failed' | 'conflict'

interface Entry {
  path: string
  isNew: boolean
  record: { id: string }
  version: number
  state: SaveState
  says: string
  timer: number | null
  failures: number
}

const SOON_MS = 500
const RETRY_MS = [2000, 5000, 10_000, 30_000]

/** @param stored called with the new version after each save */
export function createSaver(stored: (key: string, version: number) => void) {
  const entries = reactive(new Map<string, Entry>())

  const forget = (entry: Entry): void => {
    if (entry.timer !== null) window.clearTimeout(entry.timer)
    entry.timer = null
  }

  const later = (key: string, entry: Entry, ms: number): void => {
    forget(entry)
    entry.timer = window.setTimeout(() => {
      entry.timer = null
      void save(key)
    }, ms)
  }

  async function send({ isNew, path, record, version }: Entry): Promise<Stored<unknown>> {
    return isNew
      ? createRecord(path, record)
      : replaceRecord(path === 'shop' ? path : `${path}/${record.id}`, record, version)
  }

  function failed(key: string, entry: Entry, error: unknown): void {
    if (!(error instanceof RequestFailed)) throw error
    entry.says = error.message
    if (error.status === 412) {
      entry.state = 'conflict'
      entry.version = error.currentVersion ?? entry.version
      return
    }
    entry.state = 'failed'
    // What the server refuses will be refused again; what it did not hear is worth another try.
    if (error.status !== 0 && error.status < 500) return
    later(key, entry, RETRY_MS[Math.min(entry.failures, RETRY_MS.length - 1)] ?? 30_000)
    entry.failures += 1
  }

  async function save(key: string): Promise<void> {
    const entry = entries.get(key)
    if (!entry || entry.state === 'saving') return
    forget(entry)
    entry.state = 'saving'
    const sent = entry.record
    try {
      const { version } = await send(entry)
      entry.version = version
      entry.isNew = false
      entry.failures = 0
      stored(key, version)
      if (entry.record === sent) {
        entry.state = 'saved'
        dropDraft(key)
      } else {
        entry.state = 'waiting'
        later(key, entry, SOON_MS)
      }
    } catch (error) {
      failed(key, entry, error)
    }
  }

  return {
    entries,
    /** Notes a change and saves it soon. */
    change(key: string, path: string, record: { id: string }, version: number): void {
      const entry = entries.get(key) ?? {
        path,
        isNew: version === 0,
        record: markRaw(record),
        version,
        state: 'waiting' as const,
        says: '',
        timer: null,
        failures: 0,
      }
      entries.set(key, entry)
      const live = entries.get(key)
      if (!live) return
      // Only its state is watched: a list of hundreds of welds need not be.
      live.record = markRaw(record)
      keepDraft(key, { record, version: live.version })
      if (live.state === 'saving' || live.state === 'conflict') return
      live.state = 'waiting'
      later(key, live, SOON_MS)
    },
    retry(): void {
      for (const [key, entry] of entries) {
        if (entry.state === 'failed' || entry.state === 'waiting') void save(key)
      }
    },
    /** After a conflict: writes this one over the stored one. */
    overwrite(key: string): void {
      const entry = entries.get(key)
      if (!entry) return
      entry.state = 'waiting'
      void save(key)
    },
    /** After a conflict: gives this one up. */
    discard(key: string): void {
      const entry = entries.get(key)
      if (entry) forget(entry)
      entries.delete(key)
      dropDraft(key)
    },
  }
}
