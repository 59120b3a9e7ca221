import { assumptionsOf, type ShopPower, shopPowerOf } from '@brannik/core'
import { atWorkIn, type JobOnSetUp, type Snapshot } from '../snapshot.ts'

/** Shifts that are tried: enough to tell one chance in ten from none. */
const RUNS = 40
/** The same question has the same answer. */
export const SEED = 0.42

/** @returns the whole supply with all of these at work at once */
export function answer(snapshot: Snapshot, pairs: readonly JobOnSetUp[]): ShopPower | null {
  const { shop } = snapshot
  if (!shop) return null
  const hours = assumptionsOf(shop).shiftHours
  return shopPowerOf(shop, snapshot, atWorkIn(snapshot, pairs), { hours, runs: RUNS, seed: SEED })
}
