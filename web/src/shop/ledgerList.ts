/** The ledger of the stores, page after page. */
import type { MoveReason, StoredEvent } from '@brannik/core'
import { ask } from '../api/client.ts'

export interface Movement {
  readonly isCorrected: boolean
  readonly event: StoredEvent<'stock-movement'>
}
interface LedgerPage {
  readonly items: readonly Movement[]
  readonly next: string | null
}
export interface LedgerFilter {
  readonly item?: string
  readonly job?: string
  readonly reason?: MoveReason
}

/** @returns one page, newest first, and where the next begins; null after the last */
export function ledgerPage(filter: LedgerFilter, before: string | null, limit: number): Promise<LedgerPage> {
  const query = new URLSearchParams({ limit: String(limit) })
  for (const [key, value] of Object.entries(filter)) if (value) query.set(key, String(value))
  if (before !== null) query.set('before', before)
  return ask<LedgerPage>('GET', `ledger?${query.toString()}`)
}

export interface LedgerCheck {
  readonly events: number
  readonly isWhole: boolean
  readonly brokenAt: number | null
}
/** @returns whether every event follows from the one before it */
export const checkLedger = (): Promise<LedgerCheck> => ask<LedgerCheck>('GET', 'ledger/check')
