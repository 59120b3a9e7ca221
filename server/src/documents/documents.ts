/** What comes in as JSON bytes, checked: plain data that can cross to and from a worker thread. */
import {
  CATALOGUE_KEYS,
  kindOfList,
  catalogueSchema,
  explain,
  type FieldProblem,
  fitDocumentSchema,
  fieldsOf,
  fitJob,
  inputOf,
  readDocument,
  type ShopDocument,
  shopDocumentSchema,
  type ReferenceFound,
  referencesIn,
  sidesOf,
  speechOf,
  spokenFit,
  type SpokenStep,
  type StockItem,
  stockedThing,
  spokenSteps,
  upcastFile,
  upcastRecord,
} from '@brannik/core'
import { z } from 'zod'
import { COLLECTIONS, type Kind, kindAt, SHOP } from '../stores/kinds.ts'

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

/** A whole shop that is to be stored in the place of another, or where there was none. */
export interface WholeDocument {
  /** The id of the shop that it replaces; null where there is none. */
  readonly replaces: string | null
  readonly name: string
  /** In an order in which each names only those before it, the shop first. */
  readonly kinds: readonly { readonly path: string; readonly records: readonly RecordDocument[] }[]
  readonly stock: readonly StockItem[]
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
    const { path } = kindOfList(key)
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

export const wholeImportSchema = z.strictObject({
  whole: shopDocumentSchema,
  /** So that nobody replaces a shop that he has not seen. */
  replaces: z.string().max(200).nullable(),
})

/** A whole shop, its records each checked already, as what is stored of it. */
export function wholeOf(document: ShopDocument, replaces: string | null): Outcome<WholeDocument> {
  const lists = [
    { kind: SHOP, key: 'shop', records: [document.shop] as readonly { readonly id: string }[] },
    ...COLLECTIONS.map((kind) => ({
      kind,
      key: kind.listKey,
      records: document[kind.listKey] as readonly { readonly id: string }[],
    })),
  ]
  const known = new Map<string, ReadonlySet<string>>(
    lists.map(({ kind, records }) => [kind.kind, new Set(records.map(({ id }) => id))]),
  )
  const problems: FieldProblem[] = []
  const kinds = lists.map(({ kind, key, records }) => {
    const seen = new Set<string>()
    return {
      path: kind.path,
      records: records.map((body, index): RecordDocument => {
        const at = (field: string, message: string) =>
          problems.push({
            pointer: `/whole/${key}/${index}/${field}`,
            field: `whole › ${key} › ${index + 1} › ${field}`,
            message,
          })
        if (seen.has(body.id)) at('id', `is “${body.id}”, which an earlier one has; give it another`)
        seen.add(body.id)
        const fields = fieldsOf(kind.kind, (body as { readonly kind?: unknown }).kind)
        const references = referencesIn(fields, body)
        for (const { field, toKind, toId } of references)
          if (!known.get(toKind)?.has(toId))
            at(field, `names “${toId}”, and the file has no such ${toKind}; add it or choose another`)
        return { id: body.id, text: JSON.stringify(body), references }
      }),
    }
  })
  document.stock.forEach(({ id }, index) => {
    const { kind, id: thing } = stockedThing(id)
    if (!known.get(kind)?.has(thing))
      problems.push({
        pointer: `/whole/stock/${index}/id`,
        field: `whole › stock › ${index + 1} › id`,
        message: `is “${id}”, and the file has no such thing; add it or leave its count out`,
      })
  })
  if (problems.length > 0) return { ok: false, problems: problems.slice(0, 100) }
  return { ok: true, value: { replaces, name: document.shop.name, kinds, stock: document.stock } }
}

function whole(sent: unknown): Outcome<WholeDocument> {
  const written: unknown = typeof sent === 'object' && sent !== null && 'whole' in sent ? sent.whole : null
  const upcast = written === null ? null : upcastFile('brannik-shop', written)
  if (upcast && !upcast.ok) {
    const { message } = upcast
    return { ok: false, problems: [{ pointer: '/whole/version', field: 'whole › version', message }] }
  }
  const read = readDocument(wholeImportSchema, upcast ? { ...(sent as object), whole: upcast.value } : sent)
  return read.ok ? wholeOf(read.value.whole, read.value.replaces) : read
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
  | { readonly what: 'whole' }
  | { readonly what: 'fit'; readonly explained: readonly string[] }

export interface Answers {
  record: RecordDocument
  catalogue: CatalogueDocument
  whole: WholeDocument
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
    case 'whole':
      return whole(parsed.value)
    case 'fit':
      return fit(parsed.value, ask.explained)
  }
}
