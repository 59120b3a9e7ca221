import { type ChangedSetUp, changeSetUp, type SetUp } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

/** @returns the set-up with the change and what follows from it; null where there is no such set-up */
export function answer(snapshot: Snapshot, setUpId: string, change: Partial<SetUp>): ChangedSetUp | null {
  const { shop, setUps } = snapshot
  const setUp = setUps.find(({ id }) => id === setUpId)
  return shop && setUp ? changeSetUp(shop, snapshot, setUp, change) : null
}
