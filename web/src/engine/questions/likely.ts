import { likelyTogether } from '@brannik/core'
import type { JobOnSetUp, Snapshot } from '../snapshot.ts'

/** @returns who is likely to weld at the same time */
export const answer = (snapshot: Snapshot): readonly JobOnSetUp[] =>
  snapshot.shop
    ? likelyTogether(snapshot.setUps, snapshot.jobs, snapshot.shop, snapshot).map(({ job, setUp }) => ({
        jobId: job.id,
        setUpId: setUp.id,
      }))
    : []
