import { type Fit, fitJob, type FitOptions } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** @returns null where the job has no set-up whose parts are there */
export function answer(snapshot: Snapshot, jobId: string, options: FitOptions): Fit | null {
  const input = fitInput(snapshot, jobId)
  return input && fitJob(input, options)
}
