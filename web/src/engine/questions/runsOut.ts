import { type RunOut, runOut } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** @returns what the planned jobs draw from what is on hand, in the order of their due days */
export const answer = (snapshot: Snapshot): readonly RunOut[] =>
  runOut(
    snapshot.jobs
      .filter(({ state }) => state === 'planned')
      .flatMap(({ id }) => fitInput(snapshot, id) ?? []),
    snapshot.stock,
  )
