import { AS_IT_IS, Board, type BoardCell, type WhatIf } from '@brannik/core'
import { jobsOf, named, type Snapshot } from '../snapshot.ts'

/** The board that was asked of last: its set-ups are looked at once, however many parts its jobs are asked in. */
let last: { readonly snapshot: Snapshot; readonly of: string; readonly board: Board } | null = null

function boardFor(snapshot: Snapshot, setUpIds: readonly string[], whatIf: WhatIf): Board | null {
  const { shop, setUps } = snapshot
  if (!shop) return null
  const of = JSON.stringify([setUpIds, whatIf])
  if (last?.snapshot !== snapshot || last.of !== of)
    last = { snapshot, of, board: new Board(shop, snapshot, named(setUps, setUpIds), whatIf) }
  return last.board
}

/**
 * Every job with every set-up, one job after the other.
 * @param setUpIds those whose parts are all there; others have no cell
 * @param whatIf one change over all of them, tried and not made
 */
export function answer(
  snapshot: Snapshot,
  jobIds: readonly string[],
  setUpIds: readonly string[],
  whatIf: WhatIf = AS_IT_IS,
): readonly BoardCell[] {
  const board = boardFor(snapshot, setUpIds, whatIf)
  return board ? jobsOf(snapshot, jobIds).flatMap((job) => board.row(job)) : []
}
