/** What the engine has not been told yet. Records are replaced when they change, so the same object is the same record. */
import { COMPUTED_KINDS } from '@brannik/core'
import type { Delta, ListKey, Snapshot } from './snapshot.ts'

interface Identified {
  readonly id: string
}

const LISTS = [...COMPUTED_KINDS.map(({ listKey }) => listKey as ListKey), 'used' as const]
const NOTHING: readonly Identified[] = []

/** What the engine has been told. */
export interface Sent {
  shop: Snapshot['shop']
  readonly lists: Map<ListKey, { whole: readonly Identified[]; byId: ReadonlyMap<string, Identified> }>
}

/** @returns whether nothing but jobs has changed */
export const isSameBesideJobs = (one: Snapshot, other: Snapshot): boolean =>
  Object.keys(one).every(
    (key) => key === 'jobs' || one[key as keyof Snapshot] === other[key as keyof Snapshot],
  )

export const emptySent = (): Sent => ({ shop: null, lists: new Map() })

/** @returns what has changed, and counts it as told; null where nothing has */
export function diffOf(snapshot: Snapshot, sent: Sent): Delta | null {
  const lists = LISTS.flatMap((key) => {
    const now: readonly Identified[] = snapshot[key] ?? NOTHING
    const before = sent.lists.get(key)
    if (before?.whole === now) return []
    const byId = new Map(now.map((record) => [record.id, record]))
    sent.lists.set(key, { whole: now, byId })
    const put = now.filter((record) => before?.byId.get(record.id) !== record)
    const removed = [...(before?.byId.keys() ?? [])].filter((id) => !byId.has(id))
    return put.length + removed.length > 0 ? [{ key, put, removed }] : []
  })
  const isNewShop = snapshot.shop !== sent.shop
  sent.shop = snapshot.shop
  if (!isNewShop && lists.length === 0) return null
  return { ...(isNewShop ? { shop: snapshot.shop } : {}), lists }
}
