/** The cells of the board as they come, a few jobs at a time; what was known stands until newer is there. */
import type { BoardCell, Job, WhatIf } from '@brannik/core'
import { type Ref, ref, shallowRef, watch } from 'vue'
import { engines } from '../../engine/client.ts'
import { isSameBesideJobs } from '../../engine/delta.ts'
import type { Snapshot } from '../../engine/snapshot.ts'
import { askOfJobs } from '../../engine/manyJobs.ts'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** By job, then by set-up: a row that comes leaves the others as they are. */
export type Cells = ReadonlyMap<string, ReadonlyMap<string, BoardCell>>
export const cellOf = (cells: Cells, jobId: string, setUpId: string): BoardCell | null =>
  cells.get(jobId)?.get(setUpId) ?? null

/** What every cell hangs on beside its job. */
interface Beside {
  readonly snapshot: Snapshot
  readonly setUpIds: string
  readonly whatIf: WhatIf
}
const isSame = (one: Beside, other: Beside): boolean =>
  one.setUpIds === other.setUpIds &&
  one.whatIf === other.whatIf &&
  isSameBesideJobs(one.snapshot, other.snapshot)

export function useBoard(
  jobIds: Ref<readonly string[]>,
  setUpIds: Ref<readonly string[]>,
  whatIf: Ref<WhatIf>,
) {
  const workspace = useWorkspace()
  const cells = shallowRef<Cells>(new Map())
  const failure = ref('')
  /** Jobs that are still to be worked out. */
  const waiting = ref(0)
  /** What the cells that are known were worked out from. */
  let beside: Beside | null = null
  const known = new Map<string, Job>()

  watch(
    [jobIds, setUpIds, whatIf, () => workspace.snapshot],
    async ([jobs, setUps, asked, snapshot], _before, onCleanup) => {
      const stop = new AbortController()
      onCleanup(() => {
        stop.abort()
      })
      const now = { snapshot, setUpIds: setUps.join(' '), whatIf: asked }
      if (!beside || !isSame(beside, now)) known.clear()
      beside = now
      const byId = new Map(snapshot.jobs.map((job) => [job.id, job]))
      /** A job that is edited has its row anew, and no other. */
      const changed = jobs.filter((id) => byId.get(id) !== known.get(id))
      failure.value = ''
      waiting.value = changed.length
      try {
        await askOfJobs(engines, snapshot, 'board', changed, [setUps, asked], {
          signal: stop.signal,
          onPart(part, done) {
            const next = new Map(cells.value)
            const came = new Map<string, Map<string, BoardCell>>()
            for (const cell of part) {
              const row = came.get(cell.jobId) ?? new Map<string, BoardCell>()
              came.set(cell.jobId, row.set(cell.setUpId, cell))
            }
            for (const [id, row] of came) {
              next.set(id, row)
              const job = byId.get(id)
              if (job) known.set(id, job)
            }
            cells.value = next
            waiting.value = changed.length - done
          },
        })
      } catch (error) {
        if (stop.signal.aborted) return
        cells.value = new Map()
        known.clear()
        failure.value = reasonOf(error)
        waiting.value = 0
      }
    },
    { immediate: true },
  )
  return { cells, failure, waiting }
}
