/** Each list of a catalogue: the path under which they are served. */
import { fileVersionOf } from '../model/versions.ts'

export const CATALOGUE_FORMAT = 'brannik-catalogue'
export const CATALOGUE_VERSION = fileVersionOf(CATALOGUE_FORMAT)

export const CATALOGUE_LISTS = {
  powerSources: { path: 'power-sources' },
  feeders: { path: 'feeders' },
  guns: { path: 'guns' },
  parts: { path: 'parts' },
  wires: { path: 'wires' },
  gases: { path: 'gases' },
  tungstens: { path: 'tungstens' },
} as const
export type CatalogueList = keyof typeof CATALOGUE_LISTS
export const CATALOGUE_KEYS = Object.keys(CATALOGUE_LISTS) as readonly CatalogueList[]
