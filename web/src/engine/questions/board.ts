import { AS_IT_IS, Board, type PackedRow, packedRow, type Places, placesOf, type WhatIf } from '@brannik/core'
import { jobsOf, named, type Snapshot } from '../snapshot.ts'

/** The board that was asked of last: its set-ups are looked at once, however many parts its jobs are asked in. */
interface Asked {
  readonly snapshot: Snapshot
  readonly of: string
  readonly board: Board
  readonly places: Places
}
let last: Asked | null = null

function askedOf(snapshot: Snapshot, setUpIds: readonly string[], whatIf: WhatIf): Asked | null {
  const { shop, setUps } = snapshot
  if (!shop) return null
  const of = JSON.stringify([setUpIds, whatIf])
  if (last?.snapshot !== snapshot || last.of !== of) {
    const board = new Board(shop, snapshot, named(setUps, setUpIds), whatIf)
    last = { snapshot, of, board, places: placesOf(setUpIds) }
  }
  return last
}

/**
 * Every job with every set-up, a row a job.
 * @param setUpIds in whose order rows are packed; one that is not there has no cell
 * @param whatIf one change over all of them, tried and not made
 */
export function answer(
  snapshot: Snapshot,
  jobIds: readonly string[],
  setUpIds: readonly string[],
  whatIf: WhatIf = AS_IT_IS,
): readonly PackedRow[] {
  const asked = askedOf(snapshot, setUpIds, whatIf)
  if (!asked) return []
  const { board, places } = asked
  return jobsOf(snapshot, jobIds).map((job) => packedRow(job.id, board.row(job), places))
}
