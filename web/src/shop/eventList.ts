/** Events and rows of the log, page after page. */
import type { EventType, StoredEvent } from '@brannik/core'
import { ask } from '../api/client.ts'

const PAGE = 500

interface EventPage<T extends EventType> {
  readonly items: readonly StoredEvent<T>[]
  readonly next: string
}

/**
 * @param from the number to go on from, as an earlier answer gave it
 * @returns every event of a type since then, of one subject where it is given, oldest first, and where to go on
 */
export async function eventsFrom<T extends EventType>(
  type: T,
  from: string,
  subject?: string,
): Promise<EventPage<T>> {
  const items: StoredEvent<T>[] = []
  let next = from
  for (;;) {
    const of = subject === undefined ? '' : `&subject=${encodeURIComponent(subject)}`
    const page = await ask<EventPage<T>>(
      'GET',
      `events?of=this-shop&type=${type}${of}&limit=${PAGE}&since=${next}`,
    )
    items.push(...page.items)
    next = page.next
    if (page.items.length < PAGE) return { items, next }
  }
}

/** @returns every event of a type, of one subject where it is given, oldest first */
export const eventsOf = async <T extends EventType>(
  type: T,
  subject?: string,
): Promise<readonly StoredEvent<T>[]> => (await eventsFrom(type, '0', subject)).items

/** By what the log is cut down; what is left out does not count. */
export interface LogFilter {
  readonly search?: string
  readonly job?: string
  readonly weld?: string
  readonly source?: string
  readonly wire?: string
  readonly gas?: string
  readonly state?: string
  readonly outcome?: string
  readonly from?: string
  readonly to?: string
}
export type WeldRow = StoredEvent<'weld-recorded'>

interface LogPage {
  readonly items: readonly WeldRow[]
  readonly next: string | null
}

/** @returns one page of the log, newest first, and where the next begins; null after the last */
export function logPage(filter: LogFilter, before: string | null, limit: number): Promise<LogPage> {
  const query = new URLSearchParams({ limit: String(limit) })
  for (const [key, value] of Object.entries(filter)) if (value) query.set(key, value)
  if (before !== null) query.set('before', before)
  return ask<LogPage>('GET', `log?${query.toString()}`)
}

/** @returns the newest rows, as many as are asked for at the most */
export async function newestRows(filter: LogFilter, most: number): Promise<readonly WeldRow[]> {
  const items: WeldRow[] = []
  let before: string | null = null
  do {
    const page: LogPage = await logPage(filter, before, Math.min(PAGE, most - items.length))
    items.push(...page.items)
    before = page.next
  } while (before !== null && items.length < most)
  return items
}
