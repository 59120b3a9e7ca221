import {
  assumptionsOf,
  type RecordStart,
  recordFor,
  type Trial,
  trialOf,
  type TrialState,
  wireGPerMm,
} from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

export interface AtTheMachine {
  readonly trial: Trial
  /** What a row of the log begins with. */
  readonly record: RecordStart
  /** Of the wire that is fed, g; 0 without one. */
  readonly wireGPerMm: number
}

/**
 * @param jointId one that the job does not have gives the weld with the highest current
 * @returns null where there is no such job or set-up, or where its parts are not there
 */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  setUpId: string | null,
  jointId: string,
  state: TrialState,
): AtTheMachine | null {
  const input = fitInput(snapshot, jobId, setUpId)
  return (
    input && {
      trial: trialOf(input, jointId, state),
      record: recordFor(input, jointId),
      wireGPerMm: input.wire ? wireGPerMm(input.wire, assumptionsOf(input.shop)) : 0,
    }
  )
}
