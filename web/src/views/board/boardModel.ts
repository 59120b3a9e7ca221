/** What both boards have: jobs down, columns across, a cell for each, and what is shown of it. */
import { type BoardCell, does, type Job, type MachineCell, type ProcessId, type Verdict } from '@brannik/core'

export type AnyCell = BoardCell | MachineCell

/** By job, then by column: a row that comes leaves the others as they are. */
export type Cells<C extends AnyCell = AnyCell> = ReadonlyMap<string, ReadonlyMap<string, C>>

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
  /** The same while the cell is the same. */
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
  /** Whether the shop does the job there with what it owns. */
  readonly isDoneOwned: (cell: AnyCell, column: BoardColumn) => boolean
  /** Whether that is how the job is planned now. */
  readonly isPlanned: (job: Job, cell: AnyCell) => boolean
  /** Null where no way is known. */
  readonly processOf: (cell: AnyCell) => ProcessId | null
}

export const cellOf = <C extends AnyCell>(cells: Cells<C>, jobId: string, columnId: string): C | null =>
  cells.get(jobId)?.get(columnId) ?? null

/** @returns columns that do none of these jobs, as far as they are worked out; not one of which no cell is known */
export const idleOf = (
  columns: readonly BoardColumn[],
  jobs: readonly Job[],
  cells: Cells,
): readonly BoardColumn[] =>
  columns.filter((column) => {
    const known = jobs.flatMap((job) => cellOf(cells, job.id, column.id) ?? [])
    return known.length > 0 && !known.some(({ verdict }) => does(verdict))
  })

/** From so many on a reason is said once for the row. */
const LEAST_ALIKE = 3

/** @returns the reason that most failing cells of a row share; empty where few do */
export function commonReason(shown: readonly (Shown | null)[]): string {
  const times = new Map<string, number>()
  for (const one of shown) if (one?.tone === 'fails') times.set(one.head, (times.get(one.head) ?? 0) + 1)
  const [most] = [...times].toSorted(([, a], [, b]) => b - a)
  return most && most[0] !== '' && most[1] >= LEAST_ALIKE ? most[0] : ''
}
