import { type Entered, fitJob, suggest, type Suggestion } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** @returns what would ease a job, tried for real; nothing where it has no set-up whose parts are there */
export function answer(snapshot: Snapshot, jobId: string, most: number): readonly Suggestion[] {
  const input = fitInput(snapshot, jobId)
  if (!input) return []
  const { shop, job, setUp } = input
  const entered: Entered = { shop, shelf: snapshot, setUps: snapshot.setUps, job, setUp }
  return suggest(entered, fitJob(input), most)
}
