/** Equipment of a catalogue, stored in requests of some hundreds: each all or none. */
import {
  CATALOGUE_FORMAT,
  CATALOGUE_KEYS,
  CATALOGUE_VERSION,
  type CatalogueList,
  type CatalogueRecord,
  kindOfList,
  stockId,
} from '@brannik/core'
import { takeInCatalogue } from '../api/client.ts'
import { type createSync, keyOf, type Path } from './sync.ts'
import type { Change } from './undo.ts'

/** A record of a catalogue that is to be stored. */
export interface ItemRead {
  readonly list: CatalogueList
  readonly record: CatalogueRecord
  /** How much there is of it; absent where the file does not say. */
  readonly amount?: number | null
}

const CHUNK = 500

async function takeInChunk(
  sync: ReturnType<typeof createSync>,
  items: readonly ItemRead[],
): Promise<readonly Change[]> {
  const { get } = sync
  const versions: Record<string, number> = {}
  const things = items.map(({ list, record }): Change => {
    const { path } = kindOfList(list)
    const version = sync.versionOf(path, record.id)
    if (version > 0) versions[keyOf(path, record.id)] = version
    return { path, id: record.id, before: get(path, record.id), after: record }
  })
  const counts = items.flatMap(({ list, record, amount }): Change[] => {
    const { kind, counting } = kindOfList(list)
    if (amount === undefined || !counting) return []
    const id = stockId(kind, record.id)
    const before = get('stock', id) ?? { id, amount: null }
    // What is counted already stays: a file says nothing of what was used since it was written.
    return before.amount !== null || amount === null
      ? []
      : [{ path: 'stock', id, before, after: { id, amount } }]
  })
  const sent = [...things, ...counts]
  const shown = new Map(sent.map(({ path, id }) => [keyOf(path, id), get(path, id)]))
  const recordsOf = (key: CatalogueList) =>
    items.filter(({ list }) => list === key).map(({ record }) => record)
  const catalogue = {
    format: CATALOGUE_FORMAT,
    version: CATALOGUE_VERSION,
    ...Object.fromEntries(CATALOGUE_KEYS.map((key) => [key, recordsOf(key)])),
    stock: counts.map(({ after }) => after),
  }
  const written = await takeInCatalogue(catalogue, versions)
  const stored = new Map(written.map(({ path, id, version }) => [keyOf(path as Path, id), version]))
  // Somebody may have counted meanwhile.
  const changes = sent.filter(({ path, id }) => path !== 'stock' || stored.has(keyOf(path, id)))
  sync.storedTogether(changes, shown, stored)
  return changes
}

/**
 * @param progress after each request, with how many are in
 * @param whenOver with all changes that are in, also where it breaks off; taken in again, the rest follows
 * @throws RequestFailed where the server refuses, or no longer answers
 */
export async function takeInItems(
  sync: ReturnType<typeof createSync>,
  items: readonly ItemRead[],
  progress: (done: number) => void,
  whenOver: (changes: readonly Change[]) => void,
): Promise<void> {
  const changes: Change[] = []
  try {
    for (let from = 0; from < items.length; from += CHUNK) {
      changes.push(...(await takeInChunk(sync, items.slice(from, from + CHUNK))))
      progress(Math.min(items.length, from + CHUNK))
    }
  } finally {
    if (changes.length > 0) whenOver(changes)
  }
}
