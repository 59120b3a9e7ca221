/** The kinds of record as the server stores and serves them. */
import { KIND_FACTS, type KindFacts, type Listed, type RecordKind, schemaOf } from '@brannik/core'
import type { z } from 'zod'

export interface Kind extends KindFacts {
  /** Name of its schema in the OpenAPI document. */
  readonly schemaName: string
  readonly schema: z.ZodType<{ id: string }>
}
/** A kind of which there are many, kept as documents. */
export type Collection = Kind & Listed

/** `power-source` → `PowerSource` */
export const pascalCase = (words: string): string =>
  words.replaceAll(/(?:^|-)([a-z])/g, (_, letter: string) => letter.toUpperCase())

/** In an order in which each names only those before it. */
export const ALL_KINDS: readonly Kind[] = KIND_FACTS.map((facts) => ({
  ...facts,
  schemaName: pascalCase(facts.kind),
  schema: schemaOf(facts.kind),
}))

function kindOf(kind: RecordKind): Kind {
  const found = ALL_KINDS.find((one) => one.kind === kind)
  if (!found) throw new RangeError(`there is no kind ${kind}`)
  return found
}
export const SHOP = kindOf('shop')
/** Not a document but a count of one, kept in rows; to whoever asks it is a record like the others. */
export const COUNTS = kindOf('stock')
const isCollection = (kind: Kind): kind is Collection => kind !== SHOP && kind !== COUNTS
export const COLLECTIONS: readonly Collection[] = ALL_KINDS.filter(isCollection)

const BY_PATH = new Map<string, Kind>(ALL_KINDS.map((kind) => [kind.path, kind]))
/** A kind by its path below /api. */
export const kindAt = (path: string): Kind | null => BY_PATH.get(path) ?? null
