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
}

export const SHOP: Kind = {
  kind: 'shop',
  path: 'shop',
  schemaName: 'Shop',
  schema: shopSchema,
  references: {},
}

/** In an order in which each names only those before it. */
export const COLLECTIONS: readonly Kind[] = [
  { kind: 'circuit', path: 'circuits', schemaName: 'Circuit', schema: circuitSchema, references: {} },
  {
    kind: 'power-source',
    path: 'power-sources',
    schemaName: 'PowerSource',
    schema: powerSourceSchema,
    references: {},
  },
  { kind: 'feeder', path: 'feeders', schemaName: 'Feeder', schema: feederSchema, references: {} },
  { kind: 'gun', path: 'guns', schemaName: 'Gun', schema: gunSchema, references: {} },
  { kind: 'part', path: 'parts', schemaName: 'Part', schema: partSchema, references: {} },
  { kind: 'wire', path: 'wires', schemaName: 'Wire', schema: wireSchema, references: {} },
  { kind: 'gas', path: 'gases', schemaName: 'Gas', schema: gasSchema, references: {} },
  { kind: 'tungsten', path: 'tungstens', schemaName: 'Tungsten', schema: tungstenSchema, references: {} },
  {
    kind: 'set-up',
    path: 'set-ups',
    schemaName: 'SetUp',
    schema: setUpSchema,
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
  { kind: 'job', path: 'jobs', schemaName: 'Job', schema: jobSchema, references: { setUpId: 'set-up' } },
]
