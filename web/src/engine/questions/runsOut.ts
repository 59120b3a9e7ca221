import { onHandOf, type RunOut, runOut } from '@brannik/core'
import { plannedIn, type Snapshot } from '../snapshot.ts'

/** @returns what the planned jobs draw from what is on hand, in the order of their due days */
export const answer = (snapshot: Snapshot): readonly RunOut[] =>
  runOut(plannedIn(snapshot), onHandOf(snapshot))
