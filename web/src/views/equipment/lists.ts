/** The lists of the shelf: tabs, their records as rows, and how a row is found. */
import {
  PART_KINDS,
  PART_WORDS,
  type PartKind,
  type SetUp,
  type Slot,
  SLOT_KEYS,
  type UnitSystem,
} from '@brannik/core'
import type { EquipmentPath } from './useRecordDraft.ts'
import { type Holding, holdingOf, type RecordOfPath, summaryOf } from './words.ts'

export interface ListTab {
  readonly path: EquipmentPath
  readonly title: string
  /** For "New …". */
  readonly noun: string
}

export const TABS: readonly ListTab[] = [
  { path: 'power-sources', title: 'Power sources', noun: 'power source' },
  { path: 'feeders', title: 'Feeders', noun: 'wire feeder' },
  { path: 'guns', title: 'Guns and torches', noun: 'gun or torch' },
  { path: 'parts', title: 'Parts', noun: 'part' },
  { path: 'wires', title: 'Wire and rod', noun: 'wire or rod' },
  { path: 'gases', title: 'Gas', noun: 'gas' },
  { path: 'tungstens', title: 'Tungsten', noun: 'tungsten' },
  { path: 'circuits', title: 'Circuits', noun: 'circuit' },
]
export const PART_CHOICES: readonly (readonly [PartKind, string])[] = PART_KINDS.map(
  (kind) => [kind, PART_WORDS[kind]] as const,
)

export interface Row {
  readonly id: string
  readonly name: string
  readonly summary: string
  readonly holding: Holding
  readonly partKind: PartKind | null
  /** Lower case, for the search. */
  readonly text: string
}

type AnyRecord = RecordOfPath[keyof RecordOfPath]
/** A row changes only when its record does: two thousand of them are not made anew at each key. */
const made: Record<UnitSystem, WeakMap<AnyRecord, Row>> = { imperial: new WeakMap(), metric: new WeakMap() }

export function rowOf(path: EquipmentPath, record: AnyRecord, system: UnitSystem): Row {
  const known = made[system].get(record)
  if (known) return known
  const summary = summaryOf(path, record as never, system)
  const row: Row = {
    id: record.id,
    name: record.name,
    summary,
    holding: holdingOf(path, record, system),
    partKind: path === 'parts' ? (record as RecordOfPath['parts']).kind : null,
    text: `${record.name} ${summary}`.toLowerCase(),
  }
  made[system].set(record, row)
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
  const words = search
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
  return rows.filter(
    ({ text, holding, partKind: kind }) =>
      (held === 'all' || holding.isHere === (held === 'here')) &&
      (partKind === null || kind === partKind) &&
      words.every((word) => text.includes(word)),
  )
}

const PATH_SLOTS: Readonly<Record<EquipmentPath, readonly Slot[]>> = {
  'power-sources': ['powerSource'],
  feeders: ['feeder'],
  guns: ['gun'],
  parts: ['roll', 'liner', 'tip', 'nozzle', 'collet', 'colletBody', 'cup', 'backCap', 'flowMeter'],
  wires: ['wire'],
  gases: ['gas'],
  tungstens: ['tungsten'],
  circuits: ['circuit'],
}

/** Set-ups that have this thing in one of their places. */
export const usersOf = (path: EquipmentPath, id: string, setUps: readonly SetUp[]): readonly SetUp[] =>
  setUps.filter((setUp) => PATH_SLOTS[path].some((slot) => setUp[SLOT_KEYS[slot]] === id))
