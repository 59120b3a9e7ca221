/**
 * Documents carry a version: of each kind of record, and of each kind of file. What was written by an older one is
 * carried up by `upcasts.ts`, which a page that has only records of today does not fetch.
 */

/** Kinds of record, with the path under which each is served. */
export const RECORD_PATHS = {
  shop: 'shop',
  generator: 'generators',
  panel: 'panels',
  circuit: 'circuits',
  load: 'loads',
  'power-source': 'power-sources',
  feeder: 'feeders',
  gun: 'guns',
  part: 'parts',
  wire: 'wires',
  gas: 'gases',
  tungsten: 'tungstens',
  'set-up': 'set-ups',
  job: 'jobs',
  'requirement-sheet': 'requirement-sheets',
  decision: 'decisions',
  stock: 'stock',
} as const
/** What one of each is called. */
export const RECORD_NOUNS = {
  shop: 'shop',
  generator: 'generator',
  panel: 'panel',
  circuit: 'circuit',
  load: 'other load',
  'power-source': 'power source',
  feeder: 'wire feeder',
  gun: 'gun or torch',
  part: 'part',
  wire: 'wire or rod',
  gas: 'gas',
  tungsten: 'tungsten',
  'set-up': 'set-up',
  job: 'job',
  'requirement-sheet': 'sheet of requirements',
  decision: 'decision',
  stock: 'count',
} as const satisfies Readonly<Record<keyof typeof RECORD_PATHS, string>>
export type RecordKind = keyof typeof RECORD_PATHS
export const RECORD_KINDS = Object.keys(RECORD_PATHS) as readonly RecordKind[]
/**
 * The kind of record that is served under a path; null where there is none.
 * @example kindOfPath('set-ups') // 'set-up'
 */
export const kindOfPath = (path: string): RecordKind | null =>
  RECORD_KINDS.find((kind) => RECORD_PATHS[kind] === path) ?? null

/** The version in which each kind of record is written today: one more than there are steps in `upcasts.ts`. */
const SCHEMA_VERSIONS: Readonly<Record<RecordKind, number>> = {
  shop: 7,
  generator: 1,
  panel: 1,
  circuit: 4,
  load: 1,
  'power-source': 6,
  feeder: 1,
  gun: 1,
  part: 3,
  wire: 3,
  gas: 2,
  tungsten: 2,
  'set-up': 5,
  job: 4,
  'requirement-sheet': 2,
  decision: 1,
  stock: 1,
}

/**
 * The version in which a kind of record is written today.
 * @example schemaVersionOf('wire') // 3
 */
export const schemaVersionOf = (kind: RecordKind): number => SCHEMA_VERSIONS[kind]

/** Since records of the shelf do not say how much there is of them. */
const COUNTED_APART = { part: 2, wire: 2, gas: 2, tungsten: 2 } as const

/** Since the operating point was made anew. */
const OPERATING_POINT = { shop: 3, circuit: 2, 'set-up': 2, job: 2 } as const
/** Since there is stick. */
const STICK = { ...COUNTED_APART, wire: 3, 'power-source': 2 } as const

/** Since the library has machines. */
const CLASSES = { ...STICK, shop: 4, 'power-source': 3 } as const

/** Since what is bought is planned. */
const PURCHASES = { ...CLASSES, circuit: 3, 'power-source': 4, 'set-up': 3, job: 3 } as const

/** Since the supply is drawn up to the service. */
const SUPPLIES = { ...PURCHASES, circuit: 4, 'power-source': 5, 'set-up': 4 } as const

/** Since starting settings are those of the trade across sheet, plate, wires and classes. */
const TRADE_SETTINGS = { ...SUPPLIES, shop: 5 } as const

/** Since rolls have several grooves, machines programs, and set-ups a measured clamp. */
const SEVERAL = { part: 3, 'power-source': 6, 'set-up': 5 } as const

/** Since a shop chooses by which code its least fillet goes. */
const OWN_CODE = { ...SEVERAL, shop: 6 } as const

/** Since jobs are worth something, and a wish has a worst that is acceptable. */
const WORTHS = { shop: 7, job: 4, 'requirement-sheet': 2 } as const

/** By kind of file, for each of its versions the versions of the records in it; a kind that is not named has 1. */
const FILES = {
  'brannik-shop': [
    {},
    { shop: 2 },
    { shop: 2, ...COUNTED_APART },
    { ...OPERATING_POINT, ...COUNTED_APART },
    { ...OPERATING_POINT, ...STICK },
    { ...OPERATING_POINT, ...CLASSES },
    { ...OPERATING_POINT, ...PURCHASES },
    { ...OPERATING_POINT, ...SUPPLIES },
    { ...OPERATING_POINT, ...TRADE_SETTINGS },
    { ...OPERATING_POINT, ...TRADE_SETTINGS, ...SEVERAL },
    { ...OPERATING_POINT, ...TRADE_SETTINGS, ...OWN_CODE },
    { ...OPERATING_POINT, ...TRADE_SETTINGS, ...OWN_CODE, ...WORTHS },
  ],
  'brannik-catalogue': [
    {},
    COUNTED_APART,
    { ...COUNTED_APART, circuit: 2, 'set-up': 2 },
    { ...STICK, circuit: 2, 'set-up': 2 },
    { ...STICK, 'power-source': 3, circuit: 2, 'set-up': 2 },
    { ...STICK, 'power-source': 4, circuit: 3, 'set-up': 3 },
    { ...STICK, 'power-source': 5, circuit: 4, 'set-up': 4 },
    { ...STICK, circuit: 4, ...SEVERAL },
  ],
  'brannik-job': [{}, { job: 2 }, { job: 3 }, { job: 4 }],
  'brannik-fit': [
    {},
    { shop: 2 },
    { shop: 2, ...COUNTED_APART },
    { ...OPERATING_POINT, ...COUNTED_APART },
    { ...OPERATING_POINT, ...STICK },
    { ...OPERATING_POINT, ...CLASSES },
    { ...OPERATING_POINT, ...PURCHASES },
    { ...OPERATING_POINT, ...SUPPLIES },
    { ...OPERATING_POINT, ...TRADE_SETTINGS },
    { ...OPERATING_POINT, ...TRADE_SETTINGS, ...SEVERAL },
    { ...OPERATING_POINT, ...TRADE_SETTINGS, ...OWN_CODE },
    { ...OPERATING_POINT, ...TRADE_SETTINGS, ...OWN_CODE, ...WORTHS },
  ],
} as const satisfies Readonly<Record<string, readonly Partial<Record<RecordKind, number>>[]>>
export type FileFormat = keyof typeof FILES
export const FILE_FORMATS = Object.keys(FILES) as readonly FileFormat[]

/**
 * The version in which a format is written today.
 * @example fileVersionOf('brannik-job') // 1
 */
export const fileVersionOf = (format: FileFormat): number => FILES[format].length

/** The versions of the records in a file of that version; a kind that is not named has 1. */
export const recordVersionsIn = (format: FileFormat, version: number): Partial<Record<RecordKind, number>> =>
  FILES[format][version - 1] ?? {}
