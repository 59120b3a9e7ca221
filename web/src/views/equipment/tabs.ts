/** The lists of the shelf. */
import { factsOf, type RecordKind } from '@brannik/core'
import type { EquipmentPath } from './useRecordDraft.ts'

export interface ListTab {
  readonly path: EquipmentPath
  readonly title: string
  /** For "New …". */
  readonly noun: string
}

const tab = (kind: RecordKind, title: string): ListTab => ({
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
  tab('circuit', 'Circuits'),
  tab('panel', 'Panels'),
  tab('generator', 'Generators'),
  tab('load', 'Other loads'),
]
