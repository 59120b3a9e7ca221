/** What comes in as JSON bytes, checked: plain data that can cross to and from a worker thread. */
import {
  CATALOGUE_KEYS,
  CATALOGUE_LISTS,
  catalogueSchema,
  explain,
  type FieldProblem,
  fitDocumentSchema,
  fieldsOf,
  fitJob,
  inputOf,
  readDocument,
  type ReferenceFound,
  referencesIn,
  sidesOf,
  speechOf,
  spokenFit,
  type SpokenStep,
  type StockItem,
  spokenSteps,
  upcastFile,
  upcastRecord,
} from '@brannik/core'
import { z } from 'zod'
import { type Kind, kindAt } from '../stores/kinds.ts'

/** A record that its schema takes, as the text that came in. */
export interface RecordDocument {
  readonly id: string
  readonly text: string
  readonly references: readonly ReferenceFound[]
}

/** A catalogue that is to be stored. */
export interface CatalogueDocument {
  readonly lists: readonly CatalogueList[]
  readonly stock: readonly StockItem[]
}

/** The records of one kind in a catalogue. */
interface CatalogueList {
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

const atVersion = (message: string): Outcome<never> => ({
  ok: false,
  problems: [{ pointer: '/version', field: 'version', message }],
})

/** A record may say in which version of its schema it is written; it is stored in the current one. */
function ofThisVersion(kind: Kind, value: unknown): Outcome<unknown> {
  if (typeof value !== 'object' || value === null || !('schemaVersion' in value)) return { ok: true, value }
  const { schemaVersion, ...written } = value
  const upcast = upcastRecord(kind.kind, schemaVersion, written)
  if (upcast.ok) return upcast
  const { message } = upcast
  return { ok: false, problems: [{ pointer: '/schemaVersion', field: 'schemaVersion', message }] }
}

function record(kindPath: string, sent: unknown): Outcome<RecordDocument> {
  const kind = kindAt(kindPath)
  if (!kind) throw new Error(`no kind at ${kindPath}`)
  const current = ofThisVersion(kind, sent)
  if (!current.ok) return current
  const read = readDocument(kind.schema, current.value)
  if (!read.ok) return read
  const body = read.value as Readonly<Record<string, unknown>> & { readonly id: string }
  const references = referencesIn(fieldsOf(kind.kind, body['kind']), body)
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

function catalogue(sent: unknown): Outcome<CatalogueDocument> {
  const written: unknown =
    typeof sent === 'object' && sent !== null && 'catalogue' in sent ? sent.catalogue : null
  const upcast = written === null ? null : upcastFile('brannik-catalogue', written)
  if (upcast && !upcast.ok) {
    const { message } = upcast
    return { ok: false, problems: [{ pointer: '/catalogue/version', field: 'catalogue › version', message }] }
  }
  const read = readDocument(
    catalogueImportSchema,
    upcast ? { ...(sent as object), catalogue: upcast.value } : sent,
  )
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
  const { stock } = read.value.catalogue
  return { ok: true, value: { lists: lists.filter(({ ids }) => ids.length > 0), stock } }
}

/** Chains of more welds than this are not told of one by one: the hungriest stands for them. */
const MOST_CHAINS = 50

/**
 * @param explained ids of the criteria whose working is wanted
 * @returns the answer as JSON bytes, which cross to another thread without a copy
 */
function fit(value: unknown, explained: readonly string[]): Outcome<Uint8Array<ArrayBuffer>> {
  const upcast = upcastFile('brannik-fit', value)
  if (!upcast.ok) return atVersion(upcast.message)
  const read = readDocument(fitDocumentSchema, upcast.value)
  if (!read.ok) return read
  const question = inputOf(read.value)
  if (!question.ok) return question
  const { input } = question
  const speech = speechOf(input.shop)
  const found = fitJob(input, { chainsOf: input.job.joints.length > MOST_CHAINS ? [] : 'all' })
  const answer = { ...spokenFit(speech, found), ...(explained.length > 0 ? { workings: workingsOf() } : {}) }
  return { ok: true, value: new TextEncoder().encode(JSON.stringify(answer)) }

  function workingsOf(): Record<string, readonly SpokenStep[]> {
    const { capability, demand } = sidesOf(input)
    return Object.fromEntries(
      explained.map((id) => [id, spokenSteps(speech, explain(id, capability, demand))]),
    )
  }
}

/** What can be asked of a document, here or in a worker thread. */
export type Ask =
  | { readonly what: 'record'; readonly kindPath: string }
  | { readonly what: 'catalogue' }
  | { readonly what: 'fit'; readonly explained: readonly string[] }

export interface Answers {
  record: RecordDocument
  catalogue: CatalogueDocument
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
      return fit(parsed.value, ask.explained)
  }
}
