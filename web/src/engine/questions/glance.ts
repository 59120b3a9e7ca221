import type { Assessment, Chain, Verdict } from '@brannik/core'
import { reasonOf } from '../../reason.ts'
import type { Snapshot } from '../snapshot.ts'
import { answer as fitOf } from './fit.ts'

/** One row of the jobs list. */
export interface JobGlance {
  readonly jobId: string
  /** Null where there is no set-up, or where its parts are not there. */
  readonly verdict: Verdict | null
  readonly chain: Chain | null
  /** What fails or is unknown. */
  readonly open: readonly Assessment[]
  /** Why it could not be worked out; empty where it was, or where there is nothing to work out. */
  readonly failure: string
}

/** A job that cannot be worked out says so in its row; the others stand. */
export const answer = (snapshot: Snapshot, jobIds: readonly string[]): readonly JobGlance[] =>
  jobIds.map((jobId): JobGlance => {
    const nothing = { jobId, verdict: null, chain: null, open: [] }
    try {
      const fit = fitOf(snapshot, jobId, {})
      if (!fit) return { ...nothing, failure: '' }
      const { verdict, chains, criteria } = fit
      const open = criteria.filter((one) => one.verdict === 'fails' || one.verdict === 'unknown')
      return { jobId, verdict, chain: chains[0] ?? null, open, failure: '' }
    } catch (error) {
      return { ...nothing, failure: reasonOf(error) }
    }
  })
