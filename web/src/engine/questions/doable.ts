import type { Snapshot } from '../snapshot.ts'
import { answer as could } from './could.ts'

/** Whether a job can be done. */
export interface Doable {
  readonly jobId: string
  /** With what there is to buy. */
  readonly isDone: boolean
  /** With what the shop owns. */
  readonly isOwned: boolean
}

export const answer = (snapshot: Snapshot, jobIds: readonly string[], most: number): readonly Doable[] =>
  jobIds.map((jobId) => {
    const { best } = could(snapshot, jobId, most)
    return {
      jobId,
      isDone: best.length > 0,
      isOwned: best.some(({ toBuy }) => toBuy.length === 0),
    }
  })
