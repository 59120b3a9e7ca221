import { type Card, cardOf } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/**
 * @param setUpId null takes the job's own
 * @param jointId one that the job does not have gives the weld with the highest current
 * @returns null where there is no such job or set-up, or where its parts are not there
 */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  setUpId: string | null,
  jointId: string,
): Card | null {
  const input = fitInput(snapshot, jobId, setUpId)
  return input && cardOf(input, jointId)
}
