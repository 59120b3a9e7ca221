/** The lists of the shelf: tabs, their records as rows, and how a row is found. */
import {
  PART_KINDS,
  type PartKind,
  type SetUp,
  pathOfSlot,
  slotKey,
  SLOTS,
  type Notation,
} from '@brannik/core'
import { matcher, searchable } from '../../search/search.ts'
import type { EquipmentPath } from './useRecordDraft.ts'
import { type Holding, holdingOf, PART_WORDS, type RecordOfPath, summaryOf } from './words.ts'

export const PART_CHOICES: readonly (readonly [PartKind, string])[] = PART_KINDS.map(
  (kind) => [kind, PART_WORDS[kind] ?? kind] as const,
)

export interface Row {
  readonly id: string
  readonly name: string
  readonly summary: string
  readonly holding: Holding
  readonly partKind: PartKind | null
  /** How much there is; null where nobody has counted, or counts. */
  readonly amount: number | null
  /** As the search compares it. */
  readonly text: string
}

type AnyRecord = RecordOfPath[keyof RecordOfPath]
/** A row changes only when its record or its count does: two thousand of them are not made anew at each key. */
/** By notation, then by record: both are replaced when they change, never written over. */
const made = new WeakMap<Notation, WeakMap<AnyRecord, Row>>()

export function rowOf(
  path: EquipmentPath,
  record: AnyRecord,
  amount: number | null,
  notation: Notation,
): Row {
  const rows = made.get(notation) ?? new WeakMap<AnyRecord, Row>()
  made.set(notation, rows)
  const known = rows.get(record)
  if (known?.amount === amount) return known
  const summary = summaryOf(path, record as never, notation)
  const row: Row = {
    id: record.id,
    name: record.name,
    summary,
    amount,
    holding: holdingOf(path, record, amount, notation),
    partKind: path === 'parts' ? (record as RecordOfPath['parts']).kind : null,
    text: searchable(`${record.name} ${summary}`),
  }
  rows.set(record, row)
  return row
}

export type HeldFilter = 'all' | 'here' | 'to-buy'

/** @param search words that must all occur, in any order */
export function filterRows(
  rows: readonly Row[],
  search: string,
  held: HeldFilter,
  partKind: PartKind | null,
): readonly Row[] {
  const matches = matcher(search)
  return rows.filter(
    ({ text, holding, partKind: kind }) =>
      (held === 'all' || holding.isHere === (held === 'here')) &&
      (partKind === null || kind === partKind) &&
      matches(text),
  )
}

/** Set-ups that have this thing in one of their places. */
export const usersOf = (path: EquipmentPath, id: string, setUps: readonly SetUp[]): readonly SetUp[] =>
  setUps.filter((setUp) => SLOTS.some((slot) => pathOfSlot(slot) === path && setUp[slotKey(slot)] === id))
