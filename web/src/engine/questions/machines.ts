import { AS_IT_IS, MachineBoard, type MachineCell, type WhatIf } from '@brannik/core'
import { isSameBesideJobs } from '../delta.ts'
import { jobsOf, type Snapshot } from '../snapshot.ts'

/** The board that was asked last: what parts say of each other is found once, however many parts its jobs come in. */
let last: { readonly snapshot: Snapshot; readonly of: string; readonly board: MachineBoard } | null = null

export function machineBoardFor(snapshot: Snapshot, whatIf: WhatIf): MachineBoard | null {
  const { shop, setUps } = snapshot
  if (!shop) return null
  const of = JSON.stringify(whatIf)
  if (!last || last.of !== of || !isSameBesideJobs(last.snapshot, snapshot))
    last = { snapshot, of, board: new MachineBoard(shop, snapshot, setUps, whatIf) }
  return last.board
}

/** One job on every machine. */
export interface RowOfMachines {
  readonly jobId: string
  readonly cells: readonly MachineCell[]
}

/**
 * Every job on every machine, a row a job.
 * @param whatIf one change over all of them, tried and not made
 */
export function answer(
  snapshot: Snapshot,
  jobIds: readonly string[],
  whatIf: WhatIf = AS_IT_IS,
): readonly RowOfMachines[] {
  const board = machineBoardFor(snapshot, whatIf)
  return board ? jobsOf(snapshot, jobIds).map((job) => ({ jobId: job.id, cells: board.row(job) })) : []
}
