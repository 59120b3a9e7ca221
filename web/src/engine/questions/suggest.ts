import { fitJob, suggest, type Suggestion } from '@brannik/core'
import { enteredIn, fitInput, type Snapshot } from '../snapshot.ts'

/** @returns what would ease a job, tried for real; nothing where it has no set-up whose parts are there */
export function answer(snapshot: Snapshot, jobId: string, most: number): readonly Suggestion[] {
  const input = fitInput(snapshot, jobId)
  if (!input) return []
  return suggest(enteredIn(snapshot, input), fitJob(input), most)
}
