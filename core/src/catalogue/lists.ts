/** What a catalogue holds: equipment, list by list. */
import { fileVersionOf } from '../kinds/files.ts'
import { listedIn } from '../kinds/facts.ts'
import type { ListsOf } from '../kinds/index.ts'

export const CATALOGUE_FORMAT = 'brannik-catalogue'
export const CATALOGUE_VERSION = fileVersionOf(CATALOGUE_FORMAT)

export const CATALOGUE_KINDS = listedIn('equipment')
export type CatalogueList = keyof ListsOf<'equipment'>
export const CATALOGUE_KEYS = CATALOGUE_KINDS.map(({ listKey }) => listKey as CatalogueList)
