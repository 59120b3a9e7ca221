import { type Power, powerOf } from '@brannik/core'
import { atWorkIn, type Snapshot } from '../snapshot.ts'

/** @returns a job with a set-up on every circuit; null where one of them is not there */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  setUpId: string,
  circuitId: string | null,
): Power | null {
  const [found] = atWorkIn(snapshot, [{ jobId, setUpId }])
  return snapshot.shop && found ? powerOf(snapshot.shop, snapshot, found.job, found.setUp, circuitId) : null
}
