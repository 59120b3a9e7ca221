import { assumptionsOf, type Pair, pairsOf } from '@brannik/core'
import { atWorkIn, type JobOnSetUp, type Snapshot } from '../snapshot.ts'
import { SEED } from './shopPower.ts'

/** @returns one machine with each after it: whether both may weld at once */
export function answer(snapshot: Snapshot, pairs: readonly JobOnSetUp[], id: string): readonly Pair[] {
  const { shop } = snapshot
  if (!shop) return []
  const hours = assumptionsOf(shop).shiftHours
  return pairsOf(shop, snapshot, atWorkIn(snapshot, pairs), id, { hours, seed: SEED })
}
