/** The cells of a board as they come, a few jobs at a time; what was known stays until newer is there. */
import { type Job, type PackedRow, placesOf, type WhatIf } from '@brannik/core'
import { type Ref, ref, shallowRef, watch } from 'vue'
import { engines } from '../../engine/client.ts'
import { isSameBesideJobs } from '../../engine/delta.ts'
import type { Snapshot } from '../../engine/snapshot.ts'
import { askOfJobs } from '../../engine/manyJobs.ts'
import type { RowOfMachines } from '../../engine/questions/machines.ts'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import type { Cells } from './boardModel.ts'
import { type CellRow, MachineRow, SetUpRow } from './cellRows.ts'

/** Which board: its machines, or these set-ups. */
export type Asked = { readonly by: 'machine' } | { readonly by: 'set-up'; readonly ids: readonly string[] }

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
      const taking = <R extends { readonly jobId: string }>(rowOf: (row: R) => CellRow) => ({
        signal: stop.signal,
        onPart(part: readonly R[], done: number) {
          const next = new Map(cells.value)
          for (const row of part) {
            next.set(row.jobId, rowOf(row))
            const job = byId.get(row.jobId)
            if (job) known.set(row.jobId, job)
          }
          cells.value = next
          waiting.value = changed.length - done
        },
      })
      try {
        if (columns.by === 'machine') {
          const made = taking((row: RowOfMachines) => new MachineRow(row.jobId, row.cells))
          await askOfJobs(engines, snapshot, 'machines', changed, [trial], made)
        } else {
          const places = placesOf(columns.ids)
          const made = taking((row: PackedRow) => new SetUpRow(row, places))
          await askOfJobs(engines, snapshot, 'board', changed, [columns.ids, trial], made)
        }
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
