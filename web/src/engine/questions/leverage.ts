import { type AssumptionKey, leverageOf, type Moved } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** @returns by assumption, what moves in the planned jobs where the figure is a tenth off */
export function answer(
  snapshot: Snapshot,
  keys: readonly AssumptionKey[],
): Readonly<Partial<Record<AssumptionKey, readonly Moved[]>>> {
  const planned = snapshot.jobs.filter(({ state }) => state === 'planned')
  return leverageOf(
    planned.flatMap(({ id }) => fitInput(snapshot, id) ?? []),
    keys,
  )
}
