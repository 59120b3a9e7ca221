import type { MappedColumn, Notation, RowRead } from '@brannik/core'
import { readTable } from '../../files/weldLists.ts'
import type { Snapshot } from '../snapshot.ts'

export const answer = (
  _snapshot: Snapshot,
  rows: readonly (readonly string[])[],
  mapping: readonly MappedColumn[],
  notation: Notation,
): readonly RowRead[] => readTable(rows, mapping, notation)
