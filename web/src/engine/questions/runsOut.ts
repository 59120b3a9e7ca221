import { type Arrival, onHandOf, type RunOut, runOut } from '@brannik/core'
import { plannedIn, type Snapshot } from '../snapshot.ts'

/**
 * @param arrivals what is ordered and has not come
 * @returns what the planned jobs draw from what is on hand, in the order of their due days
 */
export const answer = (snapshot: Snapshot, arrivals: readonly Arrival[]): readonly RunOut[] =>
  runOut(plannedIn(snapshot), onHandOf(snapshot), arrivals)
