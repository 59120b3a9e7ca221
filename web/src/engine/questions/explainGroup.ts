import { explainGroup, type NodePower, type Step } from '@brannik/core'
import { atWorkIn, type JobOnSetUp, type Snapshot } from '../snapshot.ts'

/** @returns how it was worked out what one cable is to carry for all that it feeds */
export const answer = (
  snapshot: Snapshot,
  pairs: readonly JobOnSetUp[],
  kind: NodePower['kind'],
  id: string,
): readonly Step[] =>
  snapshot.shop ? explainGroup(snapshot.shop, snapshot, atWorkIn(snapshot, pairs), kind, id) : []
