/** The lists of the shelf. */
import { factsOf, type RecordKind } from '@brannik/core'
import type { EquipmentPath } from './useRecordDraft.ts'

export interface ListTab {
  readonly path: EquipmentPath
  readonly title: string
  /** For "New …". */
  readonly noun: string
  /** The tab of Shop or of Stores that it is under. */
  readonly group: 'equipment' | 'supply' | 'stores' | 'people'
}

const tab = (kind: RecordKind, title: string, group: ListTab['group'] = 'equipment'): ListTab => ({
  group,
  path: factsOf(kind).path as EquipmentPath,
  title,
  noun: factsOf(kind).noun,
})
export const TABS: readonly ListTab[] = [
  tab('power-source', 'Power sources'),
  tab('feeder', 'Feeders'),
  tab('gun', 'Guns and torches'),
  tab('part', 'Parts'),
  tab('wire', 'Wire and rod'),
  tab('gas', 'Gas'),
  tab('tungsten', 'Tungsten'),
  tab('circuit', 'Circuits', 'supply'),
  tab('panel', 'Panels', 'supply'),
  tab('generator', 'Generators', 'supply'),
  tab('load', 'Other loads', 'supply'),
  tab('cylinder', 'Cylinders', 'stores'),
  tab('spool', 'Spools and packs', 'stores'),
  tab('supplier', 'Suppliers', 'stores'),
  tab('offer', 'Prices', 'stores'),
  tab('welder', 'Welders', 'people'),
]

/** Where a list, or a record of it, is edited. */
export const routeOf = (list: EquipmentPath, id = '') => ({
  name: groupOf(list) === 'stores' ? 'store-records' : 'equipment',
  params: { list, id },
})

/** The group of a list by its path in an address; equipment where the address names none. */
export const groupOf = (list: unknown): ListTab['group'] =>
  TABS.find(({ path }) => path === list)?.group ?? 'equipment'
