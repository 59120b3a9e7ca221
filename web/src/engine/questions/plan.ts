import { type Plan, planJob } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** @returns the order and times of a job; null where it has no set-up whose parts are there */
export function answer(snapshot: Snapshot, jobId: string): Plan | null {
  const input = fitInput(snapshot, jobId)
  return input && planJob(input)
}
