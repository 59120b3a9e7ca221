/** The cells of a board as they come, a few jobs at a time; what was known stays until newer is there. */
import type { Job, WhatIf } from '@brannik/core'
import { type Ref, ref, shallowRef, watch } from 'vue'
import { engines } from '../../engine/client.ts'
import { isSameBesideJobs } from '../../engine/delta.ts'
import type { Snapshot } from '../../engine/snapshot.ts'
import { askOfJobs } from '../../engine/manyJobs.ts'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import type { AnyCell, Cells } from './boardModel.ts'

/** Which board: its machines, or these set-ups. */
export type Asked = { readonly by: 'machine' } | { readonly by: 'set-up'; readonly ids: readonly string[] }

const columnOf = (cell: AnyCell): string => ('stationId' in cell ? cell.stationId : cell.setUpId)

/** What every cell hangs on beside its job. */
interface Beside {
  readonly snapshot: Snapshot
  readonly columns: string
  readonly whatIf: WhatIf
}
const isSame = (one: Beside, other: Beside): boolean =>
  one.columns === other.columns &&
  one.whatIf === other.whatIf &&
  isSameBesideJobs(one.snapshot, other.snapshot)

export function useCells(jobIds: Ref<readonly string[]>, asked: Ref<Asked>, whatIf: Ref<WhatIf>) {
  const workspace = useWorkspace()
  const cells = shallowRef<Cells>(new Map())
  const failure = ref('')
  /** Jobs that are still to be worked out. */
  const waiting = ref(0)
  /** What the cells that are known were worked out from. */
  let beside: Beside | null = null
  const known = new Map<string, Job>()

  watch(
    [jobIds, asked, whatIf, () => workspace.snapshot],
    async ([jobs, columns, trial, snapshot], _before, onCleanup) => {
      const stop = new AbortController()
      onCleanup(() => {
        stop.abort()
      })
      const now = { snapshot, columns: JSON.stringify(columns), whatIf: trial }
      if (!beside || !isSame(beside, now)) known.clear()
      if (beside?.columns !== now.columns) cells.value = new Map()
      beside = now
      const byId = new Map(snapshot.jobs.map((job) => [job.id, job]))
      /** A job that is edited has its row anew, and no other. */
      const changed = jobs.filter((id) => byId.get(id) !== known.get(id))
      failure.value = ''
      waiting.value = changed.length
      const progress = {
        signal: stop.signal,
        onPart(part: readonly AnyCell[], done: number) {
          const next = new Map(cells.value)
          const came = new Map<string, Map<string, AnyCell>>()
          for (const cell of part) {
            const row = came.get(cell.jobId) ?? new Map<string, AnyCell>()
            came.set(cell.jobId, row.set(columnOf(cell), cell))
          }
          for (const [id, row] of came) {
            next.set(id, row)
            const job = byId.get(id)
            if (job) known.set(id, job)
          }
          cells.value = next
          waiting.value = changed.length - done
        },
      }
      try {
        if (columns.by === 'machine')
          await askOfJobs(engines, snapshot, 'machines', changed, [trial], progress)
        else await askOfJobs(engines, snapshot, 'board', changed, [columns.ids, trial], progress)
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
