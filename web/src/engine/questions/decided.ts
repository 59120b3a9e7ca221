import { type DecidedChoice, decidedChoiceOf, fitJob, speechOf } from '@brannik/core'
import { fitInput, type JobOnSetUp, type Snapshot } from '../snapshot.ts'

/** @returns what is written down of jobs with set-ups; what is not there is left out */
export const answer = (snapshot: Snapshot, pairs: readonly JobOnSetUp[]): readonly DecidedChoice[] =>
  pairs.flatMap(({ jobId, setUpId }) => {
    const input = fitInput(snapshot, jobId, setUpId)
    if (!input) return []
    // It is chosen for years: what is left on the shelf today is no part of it.
    const chosen = { ...input, stock: [] }
    return decidedChoiceOf(speechOf(input.shop), chosen, fitJob(chosen))
  })
