/**
 * The fit of one job in the page itself, for the keys typed in its fields: in the same frame as the typed character. The
 * way to the thread and back costs a frame, for the browser draws what is typed before it hands over an answer.
 *
 * What the other planned jobs take from the stores is asked of the thread beforehand: to work that out here would hold up
 * a key in a shop of hundreds of jobs. Whatever else changes than this job is for the thread too, until it has told anew.
 */
import type { Claim, Fit, FitOptions } from '@brannik/core'
import type { EngineClient } from './client.ts'
import { isSameBesideJobs } from './delta.ts'
import { answer } from './questions/fit.ts'
import { type Snapshot, withClaims } from './snapshot.ts'

/** A job with more takes longer than a frame leaves. */
const MOST_WELDS = 20

interface Known {
  readonly snapshot: Snapshot
  readonly jobId: string
  /** What the other planned jobs take. */
  readonly claims: readonly Claim[]
}

/**
 * @returns whether it is known of this job, and nothing else has changed since; how often the job comes again decides what
 * of the ledger is for it
 */
const isOf = (known: Known | null, snapshot: Snapshot, jobId: string): known is Known =>
  known?.jobId === jobId &&
  isSameBesideJobs(known.snapshot, snapshot) &&
  known.snapshot.jobs.length === snapshot.jobs.length &&
  known.snapshot.jobs.every((job, at) => {
    const now = snapshot.jobs[at]
    return job === now || (job.id === jobId && now?.id === jobId && job.timesPerYear === now.timesPerYear)
  })

/** @param thread answers what this does not */
export function createFitHere(thread: EngineClient) {
  let known: Known | null = null

  /** @returns null where it is for the thread */
  function atOnce(snapshot: Snapshot, jobId: string, options: FitOptions): { answer: Fit | null } | null {
    if (!isOf(known, snapshot, jobId)) return null
    const { claims } = known
    try {
      const job = snapshot.jobs.find(({ id }) => id === jobId)
      if (!job || job.joints.length > MOST_WELDS) return null
      return {
        answer: answer(
          withClaims(snapshot, () => claims),
          jobId,
          options,
        ),
      }
    } catch {
      // The thread tells what is wrong.
      return null
    }
  }

  /** Called when a field of the job is entered, and after each answer: from then on a change of this job is answered at once. */
  async function prepare(snapshot: Snapshot, jobId: string): Promise<void> {
    if (isOf(known, snapshot, jobId)) return
    const claims = await thread.ask(snapshot, 'claims', jobId).catch(() => null)
    if (!claims) return
    known = { snapshot, jobId, claims }
    // The first one is many times slower than the next: it goes before the first key.
    atOnce(snapshot, jobId, {})
  }

  return { atOnce, prepare }
}
