import { cardOf, type ProcedureSheet, procedureSheetOf, speechOf } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** @returns null where there is no such job or set-up, or where its parts are not there */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  setUpId: string,
  jointId: string,
): ProcedureSheet | null {
  const input = fitInput(snapshot, jobId, setUpId)
  return input && procedureSheetOf(speechOf(input.shop), cardOf(input, jointId), input)
}
