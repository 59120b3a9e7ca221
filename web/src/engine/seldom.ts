/** What the thread that reckons is asked on few pages: fetched by those alone, the generic library with it. */
import {
  type CouldDo,
  couldDo,
  type FitInput,
  fitJob,
  type Held,
  heldAgainst,
  type PlateColumnMeaning,
  plateMeaning,
  type Power,
  powerOf,
  type PowerSource,
  proposeSetUps,
  type Ranked,
  rankSources,
  type Requirement,
  requirementsOf,
  type SetUpsProposed,
  speechOf,
  type Taken,
  takenOf,
} from '@brannik/core'
import type { Snapshot } from './engine.ts'

export { leverageOf } from '@brannik/core'

export const proposals = (shelf: Snapshot): SetUpsProposed =>
  shelf.shop ? proposeSetUps(shelf.shop, shelf) : { proposals: [], lacks: [] }

export const meaning = (shelf: Snapshot, source: PowerSource, at: number): readonly PlateColumnMeaning[] =>
  shelf.shop ? plateMeaning(shelf.shop, shelf, source, at) : []

export function could(shelf: Snapshot, jobId: string, most: number): CouldDo {
  const job = shelf.jobs.find(({ id }) => id === jobId)
  return shelf.shop && job ? couldDo(shelf.shop, shelf, job, { most }) : { best: [], count: 0 }
}

/** It is chosen for years: what is left on the shelf today is no part of it. */
export const decided = (inputs: readonly FitInput[]): readonly Taken[] =>
  inputs.map((input) => {
    const chosen = { ...input, stock: [] }
    return takenOf(speechOf(input.shop), chosen, fitJob(chosen))
  })

export function held(shelf: Snapshot, taken: readonly Taken[]): readonly Held[] {
  const { shop, setUps, jobs } = shelf
  return shop ? taken.map((one) => heldAgainst(one, { shop, shelf, setUps, jobs })) : []
}

export function requirements(shelf: Snapshot, jobIds: readonly string[]): readonly Requirement[] {
  const wanted = new Set(jobIds)
  const jobs = shelf.jobs.filter(({ id }) => wanted.has(id))
  return shelf.shop ? requirementsOf(shelf.shop, shelf, shelf.setUps, jobs) : []
}

export function ranked(
  shelf: Snapshot,
  asked: readonly Requirement[],
  sourceIds: readonly string[],
): readonly Ranked[] {
  const wanted = new Set(sourceIds)
  const sources = shelf.powerSources.filter(({ id }) => wanted.has(id))
  return shelf.shop ? rankSources(asked, sources, { shop: shelf.shop, shelf }) : []
}

/** Null where the job or the set-up is not there. */
export function power(
  shelf: Snapshot,
  jobId: string,
  setUpId: string,
  circuitId: string | null,
): Power | null {
  const job = shelf.jobs.find(({ id }) => id === jobId)
  const setUp = shelf.setUps.find(({ id }) => id === setUpId)
  return shelf.shop && job && setUp ? powerOf(shelf.shop, shelf, job, setUp, circuitId) : null
}
