import { type Capacity, capacityOf } from '@brannik/core'
import { capabilityIn, type Snapshot } from '../snapshot.ts'

/** @returns what each of these set-ups welds; one that is not there has none */
export const answer = (snapshot: Snapshot, setUpIds: readonly string[]): Readonly<Record<string, Capacity>> =>
  Object.fromEntries(
    setUpIds.flatMap((id) => {
      const capability = capabilityIn(snapshot, id)
      return capability ? [[id, capacityOf(capability)]] : []
    }),
  )
