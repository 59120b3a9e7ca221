/** The kinds of record: where each is served, its schema, and what it names of others. */
import {
  circuitSchema,
  feederSchema,
  gasSchema,
  gunSchema,
  jobSchema,
  partSchema,
  powerSourceSchema,
  setUpSchema,
  type ShopDocument,
  shopSchema,
  tungstenSchema,
  wireSchema,
} from '@brannik/core'
import type { z } from 'zod'

export interface Kind {
  readonly kind: string
  /** Path below /api. */
  readonly path: string
  /** Name of its schema in the OpenAPI document. */
  readonly schemaName: string
  readonly schema: z.ZodType<{ id: string }>
  /** Fields that hold the id of another record, with that record's kind. */
  readonly references: Readonly<Record<string, string>>
  /** Who may write it. What is used up stands in the records of wires, gases, tungstens and parts. */
  readonly writers: 'owner' | 'planner'
}

/** A kind of which there are many. */
export interface Collection extends Kind {
  /** Its list in a shop document. */
  readonly listKey: Exclude<keyof ShopDocument, 'format' | 'version' | 'shop'>
}

export const SHOP: Kind = {
  kind: 'shop',
  path: 'shop',
  schemaName: 'Shop',
  schema: shopSchema,
  writers: 'owner',
  references: {},
}

/** In an order in which each names only those before it. */
export const COLLECTIONS: readonly Collection[] = [
  {
    kind: 'circuit',
    listKey: 'circuits',
    path: 'circuits',
    schemaName: 'Circuit',
    schema: circuitSchema,
    writers: 'owner',
    references: {},
  },
  {
    kind: 'power-source',
    listKey: 'powerSources',
    path: 'power-sources',
    schemaName: 'PowerSource',
    schema: powerSourceSchema,
    writers: 'owner',
    references: {},
  },
  {
    kind: 'feeder',
    listKey: 'feeders',
    path: 'feeders',
    schemaName: 'Feeder',
    schema: feederSchema,
    writers: 'owner',
    references: {},
  },
  {
    kind: 'gun',
    listKey: 'guns',
    path: 'guns',
    schemaName: 'Gun',
    schema: gunSchema,
    writers: 'owner',
    references: {},
  },
  {
    kind: 'part',
    listKey: 'parts',
    path: 'parts',
    schemaName: 'Part',
    schema: partSchema,
    writers: 'planner',
    references: {},
  },
  {
    kind: 'wire',
    listKey: 'wires',
    path: 'wires',
    schemaName: 'Wire',
    schema: wireSchema,
    writers: 'planner',
    references: {},
  },
  {
    kind: 'gas',
    listKey: 'gases',
    path: 'gases',
    schemaName: 'Gas',
    schema: gasSchema,
    writers: 'planner',
    references: {},
  },
  {
    kind: 'tungsten',
    listKey: 'tungstens',
    path: 'tungstens',
    schemaName: 'Tungsten',
    schema: tungstenSchema,
    writers: 'planner',
    references: {},
  },
  {
    kind: 'set-up',
    listKey: 'setUps',
    path: 'set-ups',
    schemaName: 'SetUp',
    schema: setUpSchema,
    writers: 'planner',
    references: {
      circuitId: 'circuit',
      powerSourceId: 'power-source',
      feederId: 'feeder',
      gunId: 'gun',
      rollId: 'part',
      linerId: 'part',
      tipId: 'part',
      nozzleId: 'part',
      colletId: 'part',
      colletBodyId: 'part',
      cupId: 'part',
      backCapId: 'part',
      flowMeterId: 'part',
      wireId: 'wire',
      gasId: 'gas',
      tungstenId: 'tungsten',
    },
  },
  {
    kind: 'job',
    listKey: 'jobs',
    path: 'jobs',
    schemaName: 'Job',
    schema: jobSchema,
    writers: 'planner',
    references: { setUpId: 'set-up' },
  },
]

export const ALL_KINDS: readonly Kind[] = [SHOP, ...COLLECTIONS]

/** A kind by its path below /api. */
export const kindAt = (path: string): Kind | null => ALL_KINDS.find((kind) => kind.path === path) ?? null
