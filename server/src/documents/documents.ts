/** What comes in as JSON bytes, checked: plain data that can cross to and from a worker thread. */
import {
  CATALOGUE_KEYS,
  CATALOGUE_LISTS,
  catalogueSchema,
  type FieldProblem,
  fitDocumentSchema,
  fitJob,
  inputOf,
  readDocument,
} from '@brannik/core'
import { z } from 'zod'
import { kindAt } from '../stores/kinds.ts'

/** One field that names another record. */
export interface Reference {
  readonly field: string
  readonly toKind: string
  readonly toId: string
}

/** A record that its schema takes, as the text that came in. */
export interface RecordDocument {
  readonly id: string
  readonly text: string
  readonly references: readonly Reference[]
}

/** The records of one kind in a catalogue. */
export interface CatalogueList {
  readonly path: string
  /** JSON text of the list. */
  readonly text: string
  readonly ids: readonly string[]
  /** Of those that replace a stored one. */
  readonly versions: ReadonlyMap<string, number>
}

export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }
  | { readonly ok: false; readonly notJson: string }

const MOST_VERSION = 2_147_483_647
/** What is taken in: new things, and those stored already, each with the version that it replaces. */
export const catalogueImportSchema = z.strictObject({
  catalogue: catalogueSchema,
  /** By path and id, for example `wires/er70s6-035`: the version that you have seen. */
  versions: z.record(z.string(), z.int().min(1).max(MOST_VERSION)),
})

/** JSON as RFC 8259 has it: UTF-8 and nothing else. */
function parse(bytes: Uint8Array): Outcome<unknown> {
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return { ok: false, notJson: 'The body is not UTF-8. Send JSON encoded as UTF-8.' }
  }
  try {
    return { ok: true, value: JSON.parse(text) as unknown }
  } catch {
    return { ok: false, notJson: 'The body is not valid JSON. Check quotes, commas and brackets.' }
  }
}

function record(kindPath: string, value: unknown): Outcome<RecordDocument> {
  const kind = kindAt(kindPath)
  if (!kind) throw new Error(`no kind at ${kindPath}`)
  const read = readDocument(kind.schema, value)
  if (!read.ok) return read
  const body = read.value as Readonly<Record<string, unknown>> & { readonly id: string }
  const references = Object.entries(kind.references).flatMap(([field, toKind]): Reference[] => {
    const toId = body[field]
    return typeof toId === 'string' ? [{ field, toKind, toId }] : []
  })
  return { ok: true, value: { id: body.id, text: JSON.stringify(body), references } }
}

/** Ids twice in one list: the second would silently overwrite the first. */
function twins(catalogue: z.infer<typeof catalogueSchema>): FieldProblem[] {
  return CATALOGUE_KEYS.flatMap((key) => {
    const seen = new Set<string>()
    return catalogue[key].flatMap(({ id }, index) => {
      if (!seen.has(id)) {
        seen.add(id)
        return []
      }
      return [
        {
          pointer: `/catalogue/${key}/${index}/id`,
          field: `catalogue › ${key} › ${index + 1} › id`,
          message: `is “${id}”, which an earlier one has; give it another`,
        },
      ]
    })
  })
}

function catalogue(value: unknown): Outcome<readonly CatalogueList[]> {
  const read = readDocument(catalogueImportSchema, value)
  if (!read.ok) return read
  const twice = twins(read.value.catalogue)
  if (twice.length > 0) return { ok: false, problems: twice.slice(0, 100) }
  const lists = CATALOGUE_KEYS.map((key): CatalogueList => {
    const { path } = CATALOGUE_LISTS[key]
    const list = read.value.catalogue[key]
    const versions = list.flatMap(({ id }): [string, number][] => {
      const version = read.value.versions[`${path}/${id}`]
      return version === undefined ? [] : [[id, version]]
    })
    return { path, text: JSON.stringify(list), ids: list.map(({ id }) => id), versions: new Map(versions) }
  })
  return { ok: true, value: lists.filter(({ ids }) => ids.length > 0) }
}

/** @returns the answer as JSON bytes, which cross to another thread without a copy */
function fit(value: unknown): Outcome<Uint8Array<ArrayBuffer>> {
  const read = readDocument(fitDocumentSchema, value)
  if (!read.ok) return read
  const question = inputOf(read.value)
  if (!question.ok) return question
  const answer = JSON.stringify(fitJob(question.input, { chainsOf: 'all' }))
  return { ok: true, value: new TextEncoder().encode(answer) }
}

/** What can be asked of a document, here or in a worker thread. */
export type Ask =
  | { readonly what: 'record'; readonly kindPath: string }
  | { readonly what: 'catalogue' }
  | { readonly what: 'fit' }

export interface Answers {
  record: RecordDocument
  catalogue: readonly CatalogueList[]
  fit: Uint8Array<ArrayBuffer>
}

/** @param bytes of the body, unpacked */
export function answerTo(ask: Ask, bytes: Uint8Array): Outcome<Answers[Ask['what']]> {
  const parsed = parse(bytes)
  if (!parsed.ok) return parsed
  switch (ask.what) {
    case 'record':
      return record(ask.kindPath, parsed.value)
    case 'catalogue':
      return catalogue(parsed.value)
    case 'fit':
      return fit(parsed.value)
  }
}
