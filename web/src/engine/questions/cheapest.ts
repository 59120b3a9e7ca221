import type { Could } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'
import { answer as could } from './could.ts'

/** @returns the cheapest way of each job, null where there is none */
export const answer = (
  snapshot: Snapshot,
  jobIds: readonly string[],
): readonly { readonly jobId: string; readonly could: Could | null }[] =>
  jobIds.map((jobId) => ({ jobId, could: could(snapshot, jobId, 1).best[0] ?? null }))
