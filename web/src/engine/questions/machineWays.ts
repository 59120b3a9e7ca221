import type { Could, WhatIf } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'
import { machineBoardFor } from './machines.ts'

/** @returns ways of one job on one machine, the best of each process and wire; none where there is no such job */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  stationId: string,
  most: number,
  whatIf: WhatIf,
): readonly Could[] {
  const job = snapshot.jobs.find(({ id }) => id === jobId)
  return (job && machineBoardFor(snapshot, whatIf)?.ways(job, stationId, most)) ?? []
}
