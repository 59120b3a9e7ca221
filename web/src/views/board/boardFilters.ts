/** What narrows a board: by what a cell says, by process and circuit, by due date, hours and cost. */
import { does, type Job, type ProcessId, type Verdict } from '@brannik/core'
import { computed, type ComputedRef, reactive } from 'vue'
import { type DueWithin, isDue } from '../jobs/dueWithin.ts'
import type { BoardColumn, BoardModel, Cells } from './boardModel.ts'
import type { AnyCell } from './cellRows.ts'

export interface Filters {
  verdict: Verdict | null
  /** Criterion that limits a cell. */
  limit: string | null
  process: ProcessId | null
  circuitId: string | null
  dueWithin: DueWithin | null
  mostHours: number | null
  mostCost: number | null
}
const NO_FILTERS: Filters = {
  verdict: null,
  limit: null,
  process: null,
  circuitId: null,
  dueWithin: null,
  mostHours: null,
  mostCost: null,
}

export interface FiltersInUse {
  readonly filters: Filters
  readonly count: ComputedRef<number>
  readonly clear: () => void
  readonly hasColumn: (column: BoardColumn) => boolean
  /**
   * @param columns those that are shown: a job is kept where one of them has such a cell
   * @param cells asked for where a cell decides
   */
  readonly hasJob: (
    job: Job,
    model: BoardModel,
    columns: readonly BoardColumn[],
    cells: () => Cells,
  ) => boolean
}

export function useFilters(today: string): FiltersInUse {
  const filters = reactive<Filters>({ ...NO_FILTERS })
  const isOfCells = computed(() =>
    (['verdict', 'limit', 'process', 'mostHours', 'mostCost'] as const).some((key) => filters[key] !== null),
  )
  function hasCell(cell: AnyCell, model: BoardModel): boolean {
    const { verdict, limit, process, mostHours, mostCost } = filters
    if (verdict !== null && cell.verdict !== verdict) return false
    if (limit !== null && cell.limit?.criterion !== limit) return false
    if (process !== null && !(does(cell.verdict) && model.processOf(cell) === process)) return false
    if (mostHours !== null && (cell.takes?.workH ?? Infinity) > mostHours) return false
    return mostCost === null || (cell.takes?.cost ?? Infinity) <= mostCost
  }
  return {
    filters,
    count: computed(() => Object.values(filters).filter((value) => value !== null).length),
    clear: () => Object.assign(filters, NO_FILTERS),
    hasColumn: ({ circuitId }) => filters.circuitId === null || circuitId === filters.circuitId,
    hasJob(job, model, columns, cells) {
      if (filters.dueWithin !== null && !isDue(job.dueOn, filters.dueWithin, today)) return false
      if (!isOfCells.value) return true
      const row = cells().get(job.id)
      return columns.some(({ id }) => {
        const cell = row?.get(id) ?? null
        return cell !== null && hasCell(cell, model)
      })
    },
  }
}
