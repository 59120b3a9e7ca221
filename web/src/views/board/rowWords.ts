/** What is said in the rows of a board, made once a row: one that comes back into sight has its words. */
import type { Speech } from '@brannik/core'
import { type BoardColumn, type BoardModel, commonReason, type Shown } from './boardModel.ts'
import type { CellRow } from './cellRows.ts'

export interface RowWords {
  /** What is shown of a cell, the same while its row is the same; null where its column is not worked out. */
  shown(row: CellRow, column: BoardColumn): Shown | null
  /** The reason that most failing cells of the row share, over all columns; empty where few do. */
  common(row: CellRow): string
}
interface Said {
  readonly shown: Map<string, Shown>
  common: string | null
}

/** @param speechOf how the shop speaks now: with another speech all is worded anew */
export function rowWords(
  columns: readonly BoardColumn[],
  model: BoardModel,
  speechOf: () => Speech,
): RowWords {
  const known = new WeakMap<Speech, WeakMap<CellRow, Said>>()
  function saidOf(row: CellRow): Said {
    const speech = speechOf()
    const rows = known.get(speech) ?? new WeakMap<CellRow, Said>()
    known.set(speech, rows)
    const said = rows.get(row) ?? { shown: new Map<string, Shown>(), common: null }
    rows.set(row, said)
    return said
  }
  return {
    shown(row, column) {
      const { shown } = saidOf(row)
      const before = shown.get(column.id)
      if (before) return before
      const cell = row.get(column.id)
      if (!cell) return null
      const made = model.shownOf(cell, column)
      shown.set(column.id, made)
      return made
    },
    common(row) {
      const said = saidOf(row)
      said.common ??= commonReason(row, columns, model)
      return said.common
    },
  }
}
