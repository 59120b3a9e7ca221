/** The kinds of record: where each is served, its schema, and who may write it. */
import { RECORD_NOUNS, RECORD_PATHS, RECORD_SCHEMAS, type RecordKind, type ShopDocument } from '@brannik/core'
import type { z } from 'zod'

export interface Kind {
  readonly kind: RecordKind
  /** Path below /api. */
  readonly path: string
  /** What one is called. */
  readonly noun: string
  /** Name of its schema in the OpenAPI document. */
  readonly schemaName: string
  readonly schema: z.ZodType<{ id: string }>
  /** Who may write it. */
  readonly writers: 'owner' | 'planner'
}

/** A kind of which there are many. */
export interface Collection extends Kind {
  /** Its list in a shop document. */
  readonly listKey: Exclude<keyof ShopDocument, 'format' | 'version' | 'shop'>
}

/** `power-source` → `PowerSource` */
const schemaNameOf = (kind: RecordKind): string =>
  kind.replaceAll(/(?:^|-)([a-z])/g, (_, letter: string) => letter.toUpperCase())

const kindOf = (kind: RecordKind, writers: Kind['writers']): Kind => ({
  kind,
  path: RECORD_PATHS[kind],
  schemaName: schemaNameOf(kind),
  writers,
  noun: RECORD_NOUNS[kind],
  schema: RECORD_SCHEMAS[kind],
})
const collection = (
  kind: RecordKind,
  listKey: Collection['listKey'],
  writers: Kind['writers'],
): Collection => ({ ...kindOf(kind, writers), listKey })

export const SHOP: Kind = kindOf('shop', 'owner')

/** In an order in which each names only those before it. */
export const COLLECTIONS: readonly Collection[] = [
  collection('generator', 'generators', 'owner'),
  collection('panel', 'panels', 'owner'),
  collection('circuit', 'circuits', 'owner'),
  collection('load', 'loads', 'owner'),
  collection('power-source', 'powerSources', 'owner'),
  collection('feeder', 'feeders', 'owner'),
  collection('gun', 'guns', 'owner'),
  collection('part', 'parts', 'planner'),
  collection('wire', 'wires', 'planner'),
  collection('gas', 'gases', 'planner'),
  collection('tungsten', 'tungstens', 'planner'),
  collection('set-up', 'setUps', 'planner'),
  collection('job', 'jobs', 'planner'),
  collection('requirement-sheet', 'requirementSheets', 'planner'),
  collection('decision', 'decisions', 'planner'),
]

/** Not a document but a count of one, kept in rows; to whoever asks it is a record like the others. */
export const COUNTS: Kind = kindOf('stock', 'planner')

export const ALL_KINDS: readonly Kind[] = [SHOP, ...COLLECTIONS, COUNTS]

const PATHS = new Map<string, string>(ALL_KINDS.map(({ kind, path }) => [kind, path]))
/** The path below /api under which a kind is served; one that is not known any more is its own. */
export const pathOfKind = (kind: string): string => PATHS.get(kind) ?? kind

/** A kind by its path below /api. */
export const kindAt = (path: string): Kind | null => ALL_KINDS.find((kind) => kind.path === path) ?? null
