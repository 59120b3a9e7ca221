/**
 * A row of a board as lists of figures: what one thread hands to another, and what a page keeps. A board of 500 jobs and
 * 200 set-ups is two thousand lists then, and not a million objects to copy and to look after.
 */
import type { Assessment } from '../criteria/criterion.ts'
import { VERDICTS, type Verdict } from '../model/verdict.ts'
import type { BoardCell } from './board.ts'

export interface PackedRow {
  readonly jobId: string
  /** Of each set-up: its verdict’s place in VERDICTS; NO_CELL where it has no cell. */
  readonly verdicts: Uint8Array
  /** Of each: which of `limits` decides, counted from 1; 0 where nothing does. */
  readonly limitOf: Uint32Array
  readonly limits: readonly Assessment[]
  /** Of each, as many as FIGURES; NaN for null. */
  readonly figures: Float64Array
}

/** In which place of its rows each set-up of a board stands. */
export type Places = ReadonlyMap<string, number>
export const placesOf = (setUpIds: readonly string[]): Places => new Map(setUpIds.map((id, at) => [id, at]))

const NO_CELL = 255
/** In the order in which they are packed: room, h, minutes, cost, g, L. */
const FIGURES = 6

/**
 * @param cells of this job; a place without one stays without
 * @throws RangeError for a cell of a set-up that has no place
 */
export function packedRow(jobId: string, cells: readonly BoardCell[], places: Places): PackedRow {
  const limits = new Map<Assessment, number>()
  const verdicts = new Uint8Array(places.size).fill(NO_CELL)
  const limitOf = new Uint32Array(places.size)
  const figures = new Float64Array(places.size * FIGURES).fill(NaN)
  for (const { setUpId, verdict, limit, spareA, takes } of cells) {
    const at = places.get(setUpId)
    if (at === undefined) throw new RangeError(`no place for ${setUpId}`)
    verdicts[at] = VERDICTS.indexOf(verdict)
    if (limit) {
      if (!limits.has(limit)) limits.set(limit, limits.size + 1)
      limitOf[at] = limits.get(limit) ?? 0
    }
    const first = at * FIGURES
    figures[first] = spareA ?? NaN
    if (!takes) continue
    figures[first + 1] = takes.workH ?? NaN
    figures[first + 2] = takes.changeMin
    figures[first + 3] = takes.cost ?? NaN
    figures[first + 4] = takes.fillerG
    figures[first + 5] = takes.gasL ?? NaN
  }
  return { jobId, verdicts, limitOf, limits: [...limits.keys()], figures }
}

/** @returns null where the place has no cell */
export const verdictAt = ({ verdicts }: PackedRow, at: number): Verdict | null =>
  VERDICTS[verdicts[at] ?? NO_CELL] ?? null

/** @returns what decides there; null where nothing does, and where there is no cell */
export const limitAt = ({ limits, limitOf }: PackedRow, at: number): Assessment | null =>
  limits[(limitOf[at] ?? 0) - 1] ?? null

function figureAt({ figures }: PackedRow, place: number): number | null {
  const value = figures[place]
  return value === undefined || Number.isNaN(value) ? null : value
}

/** @returns the cell as it was before it was packed; null where the place has none */
export function cellAt(row: PackedRow, setUpId: string, at: number): BoardCell | null {
  const verdict = verdictAt(row, at)
  if (verdict === null) return null
  const first = at * FIGURES
  const changeMin = figureAt(row, first + 2)
  const takes =
    changeMin === null
      ? null
      : {
          workH: figureAt(row, first + 1),
          changeMin,
          cost: figureAt(row, first + 3),
          fillerG: figureAt(row, first + 4) ?? 0,
          gasL: figureAt(row, first + 5),
        }
  const limit = limitAt(row, at)
  return { jobId: row.jobId, setUpId, verdict, limit, spareA: figureAt(row, first), takes }
}

/** @returns all cells of a row, in the order of their places */
export const cellsOf = (row: PackedRow, places: Places): readonly BoardCell[] =>
  [...places].flatMap(([setUpId, at]) => cellAt(row, setUpId, at) ?? [])
