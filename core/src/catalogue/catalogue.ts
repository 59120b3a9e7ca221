/** The open catalogue: equipment as one JSON document, to carry between shops or to write by program. */
import { z } from 'zod'
import {
  feederSchema,
  gasSchema,
  gunSchema,
  partSchema,
  powerSourceSchema,
  tungstenSchema,
  wireSchema,
} from '../model/equipment.ts'
import { type FieldProblem, readDocument } from '../model/problems.ts'
import type { Shelf } from '../model/shelf.ts'

export const CATALOGUE_FORMAT = 'brannik-catalogue'

/** Each list of a catalogue, with the path under which its records are served. */
export const CATALOGUE_LISTS = {
  powerSources: { path: 'power-sources', noun: 'power source', schema: powerSourceSchema },
  feeders: { path: 'feeders', noun: 'wire feeder', schema: feederSchema },
  guns: { path: 'guns', noun: 'gun or torch', schema: gunSchema },
  parts: { path: 'parts', noun: 'part', schema: partSchema },
  wires: { path: 'wires', noun: 'wire or rod', schema: wireSchema },
  gases: { path: 'gases', noun: 'gas', schema: gasSchema },
  tungstens: { path: 'tungstens', noun: 'tungsten', schema: tungstenSchema },
} as const
export type CatalogueList = keyof typeof CATALOGUE_LISTS
export const CATALOGUE_KEYS = Object.keys(CATALOGUE_LISTS) as readonly CatalogueList[]

const MOST_ITEMS = 5000
export const catalogueSchema = z.strictObject({
  format: z.literal(CATALOGUE_FORMAT),
  version: z.literal(1),
  powerSources: z.array(powerSourceSchema).max(MOST_ITEMS),
  feeders: z.array(feederSchema).max(MOST_ITEMS),
  guns: z.array(gunSchema).max(MOST_ITEMS),
  parts: z.array(partSchema).max(MOST_ITEMS),
  wires: z.array(wireSchema).max(MOST_ITEMS),
  gases: z.array(gasSchema).max(MOST_ITEMS),
  tungstens: z.array(tungstenSchema).max(MOST_ITEMS),
})
export type Catalogue = z.infer<typeof catalogueSchema>
export type CatalogueRecord = Catalogue[CatalogueList][number]

/** @returns the equipment of a shelf as a catalogue */
export const catalogueOf = (shelf: Pick<Shelf, CatalogueList>): Catalogue => ({
  format: CATALOGUE_FORMAT,
  version: 1,
  powerSources: shelf.powerSources,
  feeders: shelf.feeders,
  guns: shelf.guns,
  parts: shelf.parts,
  wires: shelf.wires,
  gases: shelf.gases,
  tungstens: shelf.tungstens,
})

/** One thing of a file as it was understood. */
export interface ReadItem {
  readonly list: CatalogueList
  /** Where it stands in the file, as a person finds it: `row 4`, `wires 2`. */
  readonly place: string
  readonly record: CatalogueRecord | null
  /** What it is called, as far as it could be read. */
  readonly name: string
  readonly problems: readonly FieldProblem[]
}

export type ReadCatalogue =
  | { readonly ok: true; readonly items: readonly ReadItem[] }
  | { readonly ok: false; readonly message: string }

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Lists that a catalogue written by hand may leave out are taken as empty; every thing is judged by itself. */
export function readCatalogue(value: unknown): ReadCatalogue {
  if (!isObject(value) || value['format'] !== CATALOGUE_FORMAT) {
    return {
      ok: false,
      message: `This is no catalogue: its format must say “${CATALOGUE_FORMAT}”. A whole shop or a job is another file.`,
    }
  }
  if (value['version'] !== 1) {
    return {
      ok: false,
      message: `The catalogue has version ${JSON.stringify(value['version'])}; this program reads version 1.`,
    }
  }
  const unknown = Object.keys(value).filter(
    (key) => key !== 'format' && key !== 'version' && !(key in CATALOGUE_LISTS),
  )
  if (unknown.length > 0) {
    return {
      ok: false,
      message: `The catalogue has lists that are not known: ${unknown.join(', ')}. Known are ${CATALOGUE_KEYS.join(', ')}.`,
    }
  }
  const items: ReadItem[] = []
  for (const list of CATALOGUE_KEYS) {
    const things = value[list] ?? []
    if (!Array.isArray(things)) return { ok: false, message: `${list} must be a list.` }
    things.forEach((thing: unknown, index) => {
      const read = readDocument<CatalogueRecord>(CATALOGUE_LISTS[list].schema, thing)
      const name = isObject(thing) && typeof thing['name'] === 'string' ? thing['name'] : 'no name'
      items.push({
        list,
        place: `${list} ${index + 1}`,
        record: read.ok ? read.value : null,
        name,
        problems: read.ok ? [] : read.problems,
      })
    })
  }
  return { ok: true, items: withoutTwins(items) }
}

/** Two things of one kind with one id cannot both enter. */
export function withoutTwins(items: readonly ReadItem[]): readonly ReadItem[] {
  const seen = new Map<string, string>()
  return items.map((item) => {
    if (!item.record) return item
    const key = `${item.list}/${item.record.id}`
    const first = seen.get(key)
    seen.set(key, first ?? item.place)
    if (first === undefined) return item
    return {
      ...item,
      record: null,
      problems: [
        {
          pointer: '/id',
          field: 'id',
          message: `is “${item.record.id}”, and so is ${first}; give one of them another`,
        },
      ],
    }
  })
}
