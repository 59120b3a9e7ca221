import { type Requirement, requirementsOf } from '@brannik/core'
import { named, type Snapshot } from '../snapshot.ts'

/** @returns what these jobs ask of a machine */
export const answer = (snapshot: Snapshot, jobIds: readonly string[]): readonly Requirement[] =>
  snapshot.shop ? requirementsOf(snapshot.shop, snapshot, snapshot.setUps, named(snapshot.jobs, jobIds)) : []
