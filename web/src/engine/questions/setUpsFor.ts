import { type BoardCell, boardOf } from '@brannik/core'
import { jobsOf, type Snapshot } from '../snapshot.ts'

/** One job with every set-up of the shop, in their order. */
export function answer(snapshot: Snapshot, jobId: string): readonly BoardCell[] {
  const { shop, setUps } = snapshot
  return shop ? boardOf(shop, snapshot, jobsOf(snapshot, [jobId]), setUps) : []
}
