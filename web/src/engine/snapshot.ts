/** Everything of the shop that the computation looks at, and what has changed in it. */
import {
  type Capability,
  capabilityOf,
  chosenOf,
  type Claim,
  claimOf,
  Claims,
  COMPUTED_KINDS,
  type Entered,
  type FitInput,
  type Job,
  type ListKey as AnyListKey,
  partsOf,
  type SetUp,
  type Shelf,
  type Shop,
  type UsedForJob,
  type Welder,
} from '@brannik/core'

export interface Snapshot extends Shelf {
  readonly shop: Shop | null
  readonly setUps: readonly SetUp[]
  readonly jobs: readonly Job[]
  readonly welders: readonly Welder[]
  /** What was taken for jobs already, by the ledger. */
  readonly used?: readonly Used[]
  /** What each planned job takes from the stores before another. */
  readonly claims?: Claims
}
export type ListKey = Extract<AnyListKey, keyof Snapshot> | 'used'
export type Used = UsedForJob & { readonly id: string }

/** What has changed since the last one; a list that is not named stays. */
export interface Delta {
  readonly shop?: Shop | null
  readonly lists: readonly {
    readonly key: ListKey
    readonly put: readonly { readonly id: string }[]
    readonly removed: readonly string[]
  }[]
}

export const EMPTY_SNAPSHOT = {
  shop: null,
  ...Object.fromEntries(COMPUTED_KINDS.map(({ listKey }) => [listKey, []])),
} as unknown as Snapshot

/** @returns the snapshot with what has changed */
export function changedBy(snapshot: Snapshot, { shop, lists }: Delta): Snapshot {
  const next: Record<string, unknown> = { ...snapshot }
  if (shop !== undefined) next['shop'] = shop
  for (const { key, put, removed } of lists) {
    const gone = new Set([...removed, ...put.map(({ id }) => id)])
    const stay = ((snapshot[key] ?? []) as readonly { readonly id: string }[]).filter(
      ({ id }) => !gone.has(id),
    )
    next[key] = [...stay, ...put]
  }
  return withClaims(next as unknown as Snapshot, claimsIn)
}

/** @param load what planned jobs take of what it is given; asked for once, when somebody looks */
export function withClaims(snapshot: Snapshot, load: (made: Snapshot) => readonly Claim[]): Snapshot {
  const made: Snapshot = { ...snapshot, claims: new Claims(() => load(made), usedForOne(snapshot)) }
  return made
}

/**
 * Of a job that comes again nobody knows to which run a movement belongs: it is held against the whole need, which is never
 * less than it takes.
 */
function usedForOne({ used = [], jobs }: Snapshot): readonly Used[] {
  const again = new Set(jobs.flatMap(({ id, timesPerYear }) => ((timesPerYear ?? 0) > 1 ? [id] : [])))
  return used.filter(({ jobId }) => !again.has(jobId))
}

const isPlanned = ({ state }: Job): boolean => state === 'planned'

/** What a job took, and what it was worked out from: an edit of one job leaves those of the others. */
const knownClaims = new WeakMap<Job, { readonly from: readonly unknown[]; readonly claim: Claim | null }>()
/** Counts, and what is on the machines, change nothing of what a job takes. */
const NOT_ASKED: ReadonlySet<string> = new Set(['jobs', 'setUps', 'stock', 'presentSetUps'])
const ASKED = COMPUTED_KINDS.map(({ listKey }) => listKey).filter((listKey) => !NOT_ASKED.has(listKey))

/** A job that cannot be worked out says so in its own row, and takes nothing from the others. */
function claimIn(snapshot: Snapshot, { id }: Job): Claim | null {
  try {
    const input = fitInput(snapshot, id)
    return input && claimOf(input)
  } catch {
    return null
  }
}

/** @returns what each planned job still takes from the stores */
export function claimsIn(snapshot: Snapshot): readonly Claim[] {
  const lists = [...ASKED.map((listKey) => snapshot[listKey as ListKey]), snapshot.used]
  const setUps = new Map(snapshot.setUps.map((setUp) => [setUp.id, setUp]))
  return snapshot.jobs.filter(isPlanned).flatMap((job) => {
    const from = [snapshot.shop, setUps.get(job.setUpId ?? ''), ...lists]
    const known = knownClaims.get(job)
    if (known?.from.every((one, index) => one === from[index])) return known.claim ?? []
    const claim = claimIn(snapshot, job)
    knownClaims.set(job, { from, claim })
    return claim ?? []
  })
}

/** @returns the planned jobs with their set-ups; one whose set-up is not whole is left out */
export const plannedIn = (snapshot: Snapshot): readonly FitInput[] =>
  snapshot.jobs.filter(isPlanned).flatMap(({ id }) => fitInput(snapshot, id) ?? [])

/** A job with a set-up that was chosen for it, by their ids. */
export interface JobOnSetUp {
  readonly jobId: string
  readonly setUpId: string
}

const withId = <T extends { readonly id: string }>(list: readonly T[], id: string | null | undefined) =>
  list.find((one) => one.id === id)

/**
 * The question of a fit.
 * @param setUpId null takes the job's own
 * @returns null where there is no such job or set-up, or where its parts are not there
 */
export function fitInput(snapshot: Snapshot, jobId: string, setUpId: string | null = null): FitInput | null {
  const { shop } = snapshot
  const job = withId(snapshot.jobs, jobId)
  const setUp = withId(snapshot.setUps, setUpId ?? job?.setUpId)
  if (!shop || !job || !setUp) return null
  const answer = partsOf(setUp, snapshot)
  return answer.ok ? { shop, job, setUp, ...answer.parts } : null
}

/** What is tried to ease a job: the question, and what the shop has beside it. */
export const enteredIn = (snapshot: Snapshot, { shop, job, setUp }: FitInput): Entered => ({
  shop,
  shelf: snapshot,
  setUps: snapshot.setUps,
  job,
  setUp,
})

/** @returns null where there is no such set-up */
export function capabilityIn(snapshot: Snapshot, setUpId: string): Capability | null {
  const { shop } = snapshot
  const setUp = withId(snapshot.setUps, setUpId)
  return shop && setUp ? capabilityOf(shop, setUp, chosenOf(setUp, snapshot)) : null
}

/** @returns those of the jobs and set-ups that are there */
export const atWorkIn = ({ jobs, setUps }: Snapshot, pairs: readonly JobOnSetUp[]) =>
  pairs.flatMap(({ jobId, setUpId }) => {
    const job = withId(jobs, jobId)
    const setUp = withId(setUps, setUpId)
    return job && setUp ? [{ job, setUp }] : []
  })

/** @returns those records of a list that are named */
export function named<T extends { readonly id: string }>(list: readonly T[], ids: readonly string[]): T[] {
  const wanted = new Set(ids)
  return list.filter(({ id }) => wanted.has(id))
}

/** @returns the jobs with these ids, in the order of the ids; an id that no job has is skipped */
export function jobsOf({ jobs }: Pick<Snapshot, 'jobs'>, ids: readonly string[]): readonly Job[] {
  const byId = new Map(jobs.map((job) => [job.id, job]))
  return ids.flatMap((id) => byId.get(id) ?? [])
}
