import { type CouldDo, CouldDoSearch, type Share } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

/** One search a snapshot: what parts say of each other holds for every job, and jobs with equal needs share their answer. */
const searches = new WeakMap<Snapshot, CouldDoSearch>()
function searchOf(snapshot: Snapshot): CouldDoSearch | null {
  const known = searches.get(snapshot)
  if (known || !snapshot.shop) return known ?? null
  const made = new CouldDoSearch(snapshot.shop, snapshot)
  searches.set(snapshot, made)
  return made
}

/**
 * @param share of the search; all of it where it is left out
 * @returns whole set-ups that do a job, of what is here and what could be bought; none where there is no such job
 */
export function answer(snapshot: Snapshot, jobId: string, most: number, share?: Share): CouldDo {
  const job = snapshot.jobs.find(({ id }) => id === jobId)
  return (job && searchOf(snapshot)?.answer(job, most, share)) ?? { best: [], count: 0 }
}
