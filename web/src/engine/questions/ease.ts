import { fitJob, suggest, type Suggestion } from '@brannik/core'
import { enteredIn, fitInput, type Snapshot } from '../snapshot.ts'

/** @returns what would ease one job with one set-up, tried for real; nothing where they are not there */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  setUpId: string,
  most: number,
): readonly Suggestion[] {
  const input = fitInput(snapshot, jobId, setUpId)
  if (!input) return []
  const fit = fitJob(input)
  return suggest(enteredIn(snapshot, input), fit, most, fit.verdict === 'tight' ? 'tight' : 'fails')
}
