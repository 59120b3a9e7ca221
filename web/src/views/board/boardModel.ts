/** What both boards have: jobs down, columns across, a cell for each, and what is shown of it. */
import { type Assessment, does, type Job, type ProcessId, type Verdict } from '@brannik/core'
import type { AnyCell, CellRow } from './cellRows.ts'

/** By job: a row that comes leaves the others as they are. */
export type Cells = ReadonlyMap<string, CellRow>

export interface BoardColumn {
  readonly id: string
  readonly name: string
  /** Below the name: the circuit. */
  readonly note: string
  /** What it costs to have; empty for what the shop owns. */
  readonly price: string
  readonly isOwned: boolean
  readonly circuitId: string | null
  /** What the columns beside it have in common with it; empty where nothing is said of it. */
  readonly group: string
}

/** A cell as it is shown. */
export interface Shown {
  readonly of: AnyCell
  readonly tone: Verdict
  /** Beside the mark: the amount, or the reason. */
  readonly head: string
  /** The way, in two words. */
  readonly way: string
  /** What it takes first. */
  readonly first: string
  /** Money has to be spent before it does the job. */
  readonly isBought: boolean
}

/** What one kind of board adds. */
export interface BoardModel {
  readonly columns: readonly BoardColumn[]
  readonly shownOf: (cell: AnyCell, column: BoardColumn) => Shown
  /** What is said of a cell that fails. */
  readonly reasonOf: (limit: Assessment | null) => string
  /** Whether the shop does the job there with what it owns. */
  readonly isDoneOwned: (cell: AnyCell, column: BoardColumn) => boolean
  /** Whether that is how the job is planned now. */
  readonly isPlanned: (job: Job, cell: AnyCell) => boolean
  /** Null where no way is known. */
  readonly processOf: (cell: AnyCell) => ProcessId | null
}

export const cellOf = (cells: Cells, jobId: string, columnId: string): AnyCell | null =>
  cells.get(jobId)?.get(columnId) ?? null
export const verdictOf = (cells: Cells, jobId: string, columnId: string): Verdict | null =>
  cells.get(jobId)?.verdictOf(columnId) ?? null

/** @returns columns that do none of these jobs, as far as they are worked out; not one of which no cell is known */
export const idleOf = (
  columns: readonly BoardColumn[],
  jobs: readonly Job[],
  cells: Cells,
): readonly BoardColumn[] =>
  columns.filter((column) => {
    const known = jobs.flatMap((job) => verdictOf(cells, job.id, column.id) ?? [])
    return known.length > 0 && !known.some(does)
  })

/** From so many on a reason is said once for the row. */
const LEAST_ALIKE = 3

/** @returns the reason that most failing cells of a row share; empty where few do */
export function commonReason(
  row: CellRow,
  columns: readonly BoardColumn[],
  { reasonOf }: BoardModel,
): string {
  // Most share what decides them: its words are made once.
  const byLimit = new Map<Assessment | null, number>()
  for (const { id } of columns) {
    if (row.verdictOf(id) !== 'fails') continue
    const limit = row.limitOf(id)
    byLimit.set(limit, (byLimit.get(limit) ?? 0) + 1)
  }
  const times = new Map<string, number>()
  for (const [limit, count] of byLimit) {
    const reason = reasonOf(limit)
    times.set(reason, (times.get(reason) ?? 0) + count)
  }
  const [most] = [...times].toSorted(([, a], [, b]) => b - a)
  return most && most[0] !== '' && most[1] >= LEAST_ALIKE ? most[0] : ''
}
