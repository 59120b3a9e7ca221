import { proposeSetUps, type SetUpsProposed } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

/** @returns whole set-ups of what the shop has, and why there is none for others */
export const answer = (snapshot: Snapshot): SetUpsProposed =>
  snapshot.shop ? proposeSetUps(snapshot.shop, snapshot) : { proposals: [], lacks: [] }
