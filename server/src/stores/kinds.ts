/** The kinds of record as the server stores and serves them. */
import { factsAt, factsOf, KIND_FACTS, type KindFacts, type Listed, LISTED, schemaOf } from '@brannik/core'
import type { z } from 'zod'

export interface Kind extends KindFacts {
  /** Name of its schema in the OpenAPI document. */
  readonly schemaName: string
  readonly schema: z.ZodType<{ id: string }>
}
/** A kind of which there are many, kept as documents. */
export type Collection = Kind & Listed

/** `power-source` → `PowerSource` */
const schemaNameOf = (kind: string): string =>
  kind.replaceAll(/(?:^|-)([a-z])/g, (_, letter: string) => letter.toUpperCase())

const kindOf = <F extends KindFacts>(facts: F): F & Kind => ({
  ...facts,
  schemaName: schemaNameOf(facts.kind),
  schema: schemaOf(facts.kind),
})

export const ALL_KINDS: readonly Kind[] = KIND_FACTS.map(kindOf)
export const SHOP: Kind = kindOf(factsOf('shop'))
/** Not a document but a count of one, kept in rows; to whoever asks it is a record like the others. */
export const COUNTS: Kind = kindOf(factsOf('stock'))
/** In an order in which each names only those before it. */
export const COLLECTIONS: readonly Collection[] = LISTED.filter(({ scope }) => scope !== 'count').map(kindOf)

/** A kind by its path below /api. */
export const kindAt = (path: string): Kind | null => {
  const facts = factsAt(path)
  return facts && kindOf(facts)
}
