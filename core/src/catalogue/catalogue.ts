/** The open catalogue: equipment as one JSON document, to carry between shops or to write by program. */
import { z } from 'zod'
import { stockedThing, stockId } from '../kinds/counts.ts'
import { kindOfList } from '../kinds/facts.ts'
import { definitionOf, schemaOf, type StockItem } from '../kinds/index.ts'
import { listSchemas, type Shelf } from '../kinds/shelf.ts'
import { upcastFile } from '../kinds/upcasts.ts'
import { type FieldProblem, readDocument } from '../model/problems.ts'
import { CATALOGUE_FORMAT, CATALOGUE_KEYS, CATALOGUE_VERSION, type CatalogueList } from './lists.ts'

const MOST_ITEMS = 5000
export const catalogueSchema = z.strictObject({
  format: z.literal(CATALOGUE_FORMAT),
  version: z.literal(CATALOGUE_VERSION),
  ...listSchemas(['equipment', 'count'], MOST_ITEMS),
})
export type Catalogue = z.infer<typeof catalogueSchema>
export type CatalogueRecord = Catalogue[CatalogueList][number]

const CATALOGUE_KINDS: ReadonlySet<string> = new Set(CATALOGUE_KEYS.map((key) => kindOfList(key).kind))

/**
 * @returns the equipment of a shelf as a catalogue
 * @example JSON.stringify(catalogueOf(shelf)) // the open catalogue
 */
export const catalogueOf = (shelf: Pick<Shelf, CatalogueList | 'stock'>): Catalogue =>
  ({
    format: CATALOGUE_FORMAT,
    version: CATALOGUE_VERSION,
    ...Object.fromEntries(CATALOGUE_KEYS.map((key) => [key, shelf[key]])),
    // What a cylinder or a spool of this shop holds goes with it, not with the equipment.
    stock: shelf.stock.filter(({ id }) => CATALOGUE_KINDS.has(stockedThing(id).kind)),
  }) as unknown as Catalogue

/** One thing of a file as it was understood. */
export interface ReadItem {
  readonly list: CatalogueList
  /** Where it stands in the file, as a person finds it: `row 4`, `wires 2`. */
  readonly place: string
  readonly record: CatalogueRecord | null
  /** How much there is of it; absent where the file does not say. */
  readonly amount?: number | null
  /** What it is called, as far as it could be read. */
  readonly name: string
  readonly problems: readonly FieldProblem[]
}

export type ReadCatalogue =
  | { readonly ok: true; readonly items: readonly ReadItem[] }
  | { readonly ok: false; readonly message: string }

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * Lists that a catalogue written by hand may leave out are taken as empty; every thing is judged by itself.
 * @param written a catalogue of any version, as JSON gave it
 * @returns each thing as it was understood or with what is wrong; or why the whole is no catalogue
 * @example readCatalogue({ format: 'brannik-catalogue', version: 1, wires: [] }) // { ok: true, items: [] }
 */
export function readCatalogue(written: unknown): ReadCatalogue {
  if (!isObject(written) || written['format'] !== CATALOGUE_FORMAT) {
    return {
      ok: false,
      message: `This is not a catalogue. Its format must be “${CATALOGUE_FORMAT}”. A whole shop or a job is a different file.`,
    }
  }
  const upcast = upcastFile(CATALOGUE_FORMAT, written)
  if (!upcast.ok) return { ok: false, message: `The catalogue ${upcast.message}.` }
  const value = upcast.value as Record<string, unknown>
  const unknown = Object.keys(value).filter(
    (key) => !['format', 'version', 'stock', ...CATALOGUE_KEYS].includes(key),
  )
  if (unknown.length > 0) {
    return {
      ok: false,
      message: `The catalogue has unknown lists: ${unknown.join(', ')}. Known lists: ${[...CATALOGUE_KEYS, 'stock'].join(', ')}.`,
    }
  }
  const items: ReadItem[] = []
  for (const list of CATALOGUE_KEYS) {
    const things = value[list] ?? []
    if (!Array.isArray(things)) return { ok: false, message: `${list} must be a list.` }
    things.forEach((thing: unknown, index) => {
      const read = readDocument<unknown>(schemaOf(kindOfList(list).kind), thing)
      const name = isObject(thing) && typeof thing['name'] === 'string' ? thing['name'] : 'no name'
      items.push({
        list,
        place: `${list} ${index + 1}`,
        record: read.ok ? (read.value as CatalogueRecord) : null,
        name,
        problems: read.ok ? [] : read.problems,
      })
    })
  }
  const counts = readStock(value['stock'] ?? [])
  if (typeof counts === 'string') return { ok: false, message: counts }
  return { ok: true, items: withoutTwins(items.map((item) => counted(item, counts))) }
}

/** A count as it stands in the file: what is wrong with it concerns the thing that it names. */
interface Count {
  readonly place: string
  readonly amount: number | null
  readonly problems: readonly FieldProblem[]
}

/** @returns the counts by what they are of, or what is wrong with the whole list */
function readStock(written: unknown): ReadonlyMap<string, Count> | string {
  if (!Array.isArray(written)) return 'stock must be a list.'
  const counts = new Map<string, Count>()
  for (const [index, one] of written.entries()) {
    const place = `stock ${index + 1}`
    const id: unknown = isObject(one) ? one['id'] : null
    if (typeof id !== 'string') return `${place} needs an id of what is counted: wire.er70s6-035.`
    const first = counts.get(id)
    if (first) return `${place} counts ${id}, and so does ${first.place}. Remove one of them.`
    const read = readDocument<StockItem>(definitionOf('stock').schema, one)
    counts.set(id, {
      place,
      amount: read.ok ? read.value.amount : null,
      problems: read.ok
        ? []
        : read.problems.map((problem) => ({ ...problem, field: `${place}, ${problem.field}` })),
    })
  }
  return counts
}

function counted(item: ReadItem, counts: ReadonlyMap<string, Count>): ReadItem {
  const count = item.record && counts.get(stockId(kindOfList(item.list).kind, item.record.id))
  if (!count) return item
  return count.problems.length > 0
    ? { ...item, record: null, problems: count.problems }
    : { ...item, amount: count.amount }
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
          message: `is “${item.record.id}”, and so is ${first}. Change one of them`,
        },
      ],
    }
  })
}
