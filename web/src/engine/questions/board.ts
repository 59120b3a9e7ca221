import { type BoardCell, boardOf, type WhatIf } from '@brannik/core'
import { named, type Snapshot } from '../snapshot.ts'

/**
 * Every job with every set-up, one job after the other.
 * @param setUpIds those whose parts are all there; others have no cell
 * @param whatIf one change over all of them, tried and not made
 */
export function answer(
  snapshot: Snapshot,
  jobIds: readonly string[],
  setUpIds: readonly string[],
  whatIf?: WhatIf,
): readonly BoardCell[] {
  const { shop, jobs, setUps } = snapshot
  if (!shop) return []
  const byId = new Map(jobs.map((job) => [job.id, job]))
  const asked = jobIds.flatMap((id) => byId.get(id) ?? [])
  return boardOf(shop, snapshot, asked, named(setUps, setUpIds), whatIf)
}
