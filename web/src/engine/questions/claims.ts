import type { Claim } from '@brannik/core'
import { claimsIn, type Snapshot } from '../snapshot.ts'

/** @returns what the other planned jobs still take from the stores */
export const answer = (snapshot: Snapshot, jobId: string): readonly Claim[] =>
  claimsIn(snapshot).filter(({ job }) => job.id !== jobId)
