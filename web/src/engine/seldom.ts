/** What the thread that reckons is asked on few pages: fetched by those alone, the generic library with it. */
import {
  type CouldDo,
  CouldDoSearch,
  type FitInput,
  fitJob,
  type Held,
  type Limits,
  heldAgainst,
  type Pair,
  pairsOf,
  type PlateColumnMeaning,
  plateMeaning,
  type Power,
  assumptionsOf,
  explainGroup,
  likelyTogether,
  type NodePower,
  type Step,
  powerOf,
  type ShopPower,
  shopPowerOf,
  type PowerSource,
  proposeSetUps,
  type Ranked,
  rankSources,
  type Requirement,
  requirementsOf,
  type SetUpsProposed,
  speechOf,
  suggestedLimits,
  type DecidedChoice,
  decidedChoiceOf,
} from '@brannik/core'
import type { JobOnSetUp, Doable, Snapshot } from './engine.ts'

export { leverageOf } from '@brannik/core'

export const proposals = (shelf: Snapshot): SetUpsProposed =>
  shelf.shop ? proposeSetUps(shelf.shop, shelf) : { proposals: [], lacks: [] }

export const meaning = (shelf: Snapshot, source: PowerSource, at: number): readonly PlateColumnMeaning[] =>
  shelf.shop ? plateMeaning(shelf.shop, shelf, source, at) : []

/** One search a snapshot: what parts say of each other holds for every job, and jobs with equal needs share their answer. */
const searches = new WeakMap<Snapshot, CouldDoSearch>()
function searchOf(shelf: Snapshot): CouldDoSearch | null {
  const known = searches.get(shelf)
  if (known || !shelf.shop) return known ?? null
  const made = new CouldDoSearch(shelf.shop, shelf)
  searches.set(shelf, made)
  return made
}

export function could(shelf: Snapshot, jobId: string, most: number): CouldDo {
  const job = shelf.jobs.find(({ id }) => id === jobId)
  return (job && searchOf(shelf)?.answer(job, most)) ?? { best: [], count: 0 }
}

/** Whether each job can be done with what is owned, and with something bought. */
export function doable(shelf: Snapshot, jobIds: readonly string[], most: number): readonly Doable[] {
  return jobIds.map((jobId) => {
    const { best } = could(shelf, jobId, most)
    return {
      jobId,
      isDone: best.length > 0,
      isOwned: best.some(({ toBuy }) => toBuy.length === 0),
    }
  })
}

/** It is chosen for years: what is left on the shelf today is no part of it. */
export const decided = (inputs: readonly FitInput[]): readonly DecidedChoice[] =>
  inputs.map((input) => {
    const chosen = { ...input, stock: [] }
    return decidedChoiceOf(speechOf(input.shop), chosen, fitJob(chosen))
  })

export function held(shelf: Snapshot, taken: readonly DecidedChoice[]): readonly Held[] {
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

export function limits(
  shelf: Snapshot,
  asked: readonly Requirement[],
  sourceIds: readonly string[],
): readonly (Limits | null)[] {
  const wanted = new Set(sourceIds)
  const sources = shelf.powerSources.filter(({ id }) => wanted.has(id))
  return shelf.shop ? suggestedLimits(asked, sources, { shop: shelf.shop, shelf }) : []
}

/** Who is likely to weld at the same time. */
export const likely = (shelf: Snapshot): readonly JobOnSetUp[] =>
  shelf.shop
    ? likelyTogether(shelf.setUps, shelf.jobs, shelf.shop, shelf).map(({ job, setUp }) => ({
        jobId: job.id,
        setUpId: setUp.id,
      }))
    : []

const atWorkOf = ({ jobs, setUps }: Snapshot, choices: readonly JobOnSetUp[]) =>
  choices.flatMap(({ jobId, setUpId }) => {
    const job = jobs.find(({ id }) => id === jobId)
    const setUp = setUps.find(({ id }) => id === setUpId)
    return job && setUp ? [{ job, setUp }] : []
  })

/** The working of what the rule asks of one cable for all that hangs on it. */
export const group = (
  shelf: Snapshot,
  choices: readonly JobOnSetUp[],
  kind: NodePower['kind'],
  id: string,
): readonly Step[] => (shelf.shop ? explainGroup(shelf.shop, shelf, atWorkOf(shelf, choices), kind, id) : [])

/** Shifts that are tried: enough to tell one chance in ten from none. */
const RUNS = 40
/** The same question has the same answer. */
const SEED = 0.42
export function shopPower(shelf: Snapshot, choices: readonly JobOnSetUp[]): ShopPower | null {
  const { shop } = shelf
  if (!shop) return null
  const atWork = atWorkOf(shelf, choices)
  const hours = assumptionsOf(shop).shiftHours
  return shopPowerOf(shop, shelf, atWork, { hours, runs: RUNS, seed: SEED })
}

/** One machine with each after it: whether both may weld at once. */
export function pairs(shelf: Snapshot, choices: readonly JobOnSetUp[], id: string): readonly Pair[] {
  const { shop } = shelf
  if (!shop) return []
  const hours = assumptionsOf(shop).shiftHours
  return pairsOf(shop, shelf, atWorkOf(shelf, choices), id, { hours, seed: SEED })
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
