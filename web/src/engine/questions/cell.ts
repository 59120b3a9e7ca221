import { chosenIf, type Fit, type FitInput, fitJob, jobIf, type WhatIf } from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** A question as it would be with a change over the whole board. */
export function changedIf(snapshot: Snapshot, input: FitInput, whatIf: WhatIf): FitInput {
  const { shop, job, setUp } = input
  const { circuit, gun } = chosenIf(input, setUp, { whatIf, shop, shelf: snapshot })
  return { ...input, circuit, gun: gun ?? input.gun, job: jobIf(job, whatIf) }
}

/** @returns the fit of a job with a set-up that need not be its own, under a change; null where they are not there */
export function answer(snapshot: Snapshot, jobId: string, setUpId: string, whatIf: WhatIf): Fit | null {
  const input = fitInput(snapshot, jobId, setUpId)
  return input && fitJob(changedIf(snapshot, input, whatIf))
}
