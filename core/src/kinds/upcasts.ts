/**
 * What was written by an older version is carried up step by step, by pure functions that are used alike by migrations,
 * imports, drafts and the API.
 */
import { type FileFormat, fileVersionOf, recordVersionsIn } from './files.ts'
import { definitionOf, KINDS, type RecordKind } from './index.ts'
import type { Scope } from './kind.ts'
import { type Fields, isFields, type Upcaster } from './upcaster.ts'

export type Upcast =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string }

const NEWER = 'a newer version of this program wrote it. Use that version, or export it again'

function isVersion(version: unknown, current: number): version is number {
  return typeof version === 'number' && Number.isInteger(version) && version >= 1 && version <= current
}

const wrongVersion = (version: unknown, current: number): Upcast => ({
  ok: false,
  message:
    typeof version === 'number' && version > current
      ? `has version ${version}, this program reads up to ${current}; ${NEWER}`
      : `has the version ${JSON.stringify(version) ?? 'nothing'}. Give a whole number from 1 to ${current}`,
})

/**
 * @param version that the record was written in
 * @param value the record; what is no object is left as it is, for its schema to refuse
 * @returns the same record as the current version writes it
 * @example upcastRecord('wire', 1, { id: 'w', stockG: 900 }) // { ok: true, value: { id: 'w' } }
 */
export function upcastRecord(kind: RecordKind, version: unknown, value: unknown): Upcast {
  const steps: readonly Upcaster[] = definitionOf(kind).upcasters
  const current = steps.length + 1
  if (!isVersion(version, current)) return wrongVersion(version, current)
  if (!isFields(value)) return { ok: true, value }
  return { ok: true, value: steps.slice(version - 1).reduce((record, step) => step(record), value) }
}

/** Where records stand in files: a list of them, or one. A map, for a file may have a key `__proto__` too. */
const PLACES: ReadonlyMap<string, RecordKind> = new Map(
  KINDS.flatMap(({ kind, listKey }): [string, RecordKind][] => [
    [listKey, kind],
    [kind.replaceAll(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()), kind],
  ]),
)
/** Records of version 1 held their own count, in these fields. */
const STOCK_FIELDS = { part: 'stock', wire: 'stockG', gas: 'leftL', tungsten: 'stock' } as const

/** Which lists a file of today has. */
const SCOPES: Readonly<Partial<Record<FileFormat, readonly Scope[]>>> = {
  'brannik-shop': ['building', 'equipment', 'stores', 'bench', 'people', 'plan', 'paper'],
  'brannik-fit': ['building', 'equipment', 'stores', 'bench'],
}

/**
 * @param value a file as it was read; one that is no object is left as it is, for its schema to refuse
 * @returns the same file as the current version writes it
 * @example upcastFile('brannik-shop', fileOfVersion1) // the same shop as this version writes it
 */
export function upcastFile(format: FileFormat, value: unknown): Upcast {
  // Another kind of file is for the schema to refuse: its version says nothing here.
  const isFile = isFields(value) && (format === 'brannik-fit' || value['format'] === format)
  if (!isFile) return { ok: true, value }
  const current = fileVersionOf(format)
  // A question for a fit had no version before there were any.
  const version = format === 'brannik-fit' && value['version'] === undefined ? 1 : value['version']
  if (!isVersion(version, current)) return wrongVersion(version, current)
  const versions = recordVersionsIn(format, version)
  const upcast = (kind: RecordKind, record: unknown): unknown => {
    const done = upcastRecord(kind, versions[kind] ?? 1, record)
    return done.ok ? done.value : record
  }
  const entries = Object.entries(value).map(([key, held]): [string, unknown] => {
    const kind = PLACES.get(key)
    if (!kind) return [key, held]
    return [key, Array.isArray(held) ? held.map((record) => upcast(kind, record)) : upcast(kind, held)]
  })
  // A file without a shelf has nothing that is counted.
  const counts = format !== 'brannik-job' && versions.part === undefined ? { stock: stockOf(value) } : {}
  // A kind that is younger than the file had no list in it.
  const isOlder = version < current
  const lists = KINDS.filter(({ scope }) => isOlder && SCOPES[format]?.includes(scope))
  const since = Object.fromEntries(lists.map(({ listKey }) => [listKey, []]))
  return { ok: true, value: { ...since, ...Object.fromEntries(entries), ...counts, version: current } }
}

/** What the records of a file say of themselves, from before counts stood apart. */
const stockOf = (file: Fields): readonly unknown[] =>
  Object.entries(file).flatMap(([key, held]) => {
    const kind = PLACES.get(key)
    if (!kind || !(kind in STOCK_FIELDS) || !Array.isArray(held)) return []
    const field = STOCK_FIELDS[kind as keyof typeof STOCK_FIELDS]
    return held.filter(isFields).flatMap((record) => {
      const { id, [field]: amount = null } = record
      return amount === null || typeof id !== 'string' ? [] : [{ id: `${kind}.${id}`, amount }]
    })
  })
