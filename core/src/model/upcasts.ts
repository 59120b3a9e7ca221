/**
 * What was written by an older version is carried up step by step, by pure functions that are used alike by migrations,
 * imports, drafts and the API.
 */
import {
  fileVersionOf,
  recordVersionsIn,
  schemaVersionOf,
  type FileFormat,
  type RecordKind,
} from './versions.ts'

type Fields = Readonly<Record<string, unknown>>
/** From one version to the next. It sees what was typed, whole or half, and leaves what is there already. */
type Upcaster = (record: Fields) => Fields

/** Until then a record said itself how much there is of it. */
const STOCK_FIELDS = { part: 'stock', wire: 'stockG', gas: 'leftL', tungsten: 'stock' } as const
const without =
  (field: string): Upcaster =>
  ({ [field]: _left, ...record }) =>
    record

/** Assumptions of the first operating point that hold on under another name; those without one are gone. */
const RENAMED_ASSUMPTIONS: ReadonlyMap<string, string | null> = new Map([
  ['workingWindowPct', 'windowLowPct'],
  ['burnThroughPct', 'windowHighPct'],
  ['fcawFactor', 'fcawSFactor'],
  ['singlePassShortCircuitMm', 'layerShortCircuitMm'],
  ['singlePassSprayMm', 'layerSprayMm'],
  ['singlePassFcawMm', 'layerFcawMm'],
  ['singlePassGtawMm', 'layerGtawMm'],
  ['largestPassLegWireMm', null],
  ['largestPassLegFlatMm', null],
  ['largestPassLegVerticalMm', null],
  ['largestPassLegGtawMm', null],
  // Working time is reckoned from its parts.
  ['operatingFactorWirePct', null],
  ['operatingFactorStickPct', null],
  ['operatingFactorGtawPct', null],
  // A stick is set by the range of its class.
  ['stickFactor', null],
  ['usualStickMm', null],
  ['stickThickestMm', null],
  // An inrush that no plate gives is not guessed.
  ['inrushTimes', null],
  // A small part without a price counts as its kind typically costs.
  ['smallPartPrice', null],
])
function renamed(assumptions: unknown): unknown {
  if (!isFields(assumptions)) return assumptions
  return Object.fromEntries(
    Object.entries(assumptions).flatMap(([key, value]) => {
      const name = RENAMED_ASSUMPTIONS.has(key) ? RENAMED_ASSUMPTIONS.get(key) : key
      return typeof name === 'string' ? [[name, value]] : []
    }),
  )
}

/** Every record of a list with fields that it did not have. */
const eachOf = (list: unknown, fields: Fields): unknown =>
  Array.isArray(list) ? list.map((one: unknown) => (isFields(one) ? { ...fields, ...one } : one)) : list

const withDials = (processes: unknown): unknown =>
  Array.isArray(processes)
    ? processes.map((one: unknown) =>
        isFields(one)
          ? {
              claimMinMm: null,
              claimMaxMm: null,
              ...one,
              ...('supplies' in one
                ? { supplies: eachOf(one['supplies'], { voltsDial: [], feedDial: [] }) }
                : {}),
            }
          : one,
      )
    : processes

/** A plate without a supply voltage was that of a set with an engine. */
const drivenBy = (processes: unknown): Fields | null =>
  Array.isArray(processes) &&
  processes.some(
    (one: unknown) =>
      isFields(one) &&
      Array.isArray(one['supplies']) &&
      one['supplies'].some((supply: unknown) => isFields(supply) && supply['voltageV'] === null),
  )
    ? { fuelLPerH: null }
    : null

/** Until then a roll had one groove, for one size, a tip lay flush, and nobody said where a flow scale ends. */
const withGrooves: Upcaster = (part) => {
  if (part['kind'] === 'nozzle') return { tipRecessMm: null, ...part }
  if (part['kind'] === 'flow-meter') return { mostLPerMin: null, ...part }
  if (part['kind'] !== 'drive-roll') return part
  const { groove: form = null, wireMm = null, ...roll } = part
  return { grooves: [{ form, wireMinMm: wireMm, wireMaxMm: wireMm }], ...roll }
}

/** By kind, the steps from version 1 on. */
export const UPCASTERS: Readonly<Record<RecordKind, readonly Upcaster[]>> = {
  shop: [
    // Until then every figure was written as in the United States.
    (shop) => ({ locale: 'en-US', ...shop }),
    // Until then the current was straight in the thickness, and passes were counted by their leg.
    (shop) => ('assumptions' in shop ? { ...shop, assumptions: renamed(shop['assumptions']) } : shop),
    // Until then working time was arc time by a factor.
    (shop) => ('assumptions' in shop ? { ...shop, assumptions: renamed(shop['assumptions']) } : shop),
    // Until then the current of a stick was a factor of the plate's.
    (shop) => ('assumptions' in shop ? { ...shop, assumptions: renamed(shop['assumptions']) } : shop),
    // Until then an inrush was guessed, and the least fillet was that of one code for everybody.
    (shop) => ({
      filletRule: shop['ruleBook'] === 'international' ? 'en-1993' : 'd1.1',
      ...shop,
      ...('assumptions' in shop ? { assumptions: renamed(shop['assumptions']) } : {}),
    }),
    // Until then every small part without a price counted alike.
    (shop) => ('assumptions' in shop ? { ...shop, assumptions: renamed(shop['assumptions']) } : shop),
  ],
  // Until then every conductor was read at 75 °C.
  circuit: [
    (circuit) => ({ columnC: 75, ...circuit }),
    // Until then every circuit was there, of copper, alone in a usual run of ordinary warmth, and nobody said its outlet.
    (circuit) => ({
      held: 'owned',
      price: null,
      metal: 'copper',
      method: null,
      ambientC: null,
      bundled: null,
      breakerKind: null,
      outlet: null,
      ...circuit,
    }),
    // Until then nobody drew what a circuit comes from.
    (circuit) => ({ panelId: null, generatorId: null, ...circuit }),
  ],
  'power-source': [
    // Until then there was no stick, no dial was written down, and no maker's claim.
    (source) => ({
      inductance: null,
      arcForce: null,
      hotStart: null,
      ...source,
      ...('processes' in source ? { processes: withDials(source['processes']) } : {}),
    }),
    // Until then every plate was read.
    (source) => ({ typical: false, ...source }),
    // Until then nobody said what a machine is like to live with.
    (source) => ({
      rentPerDay: null,
      massG: null,
      noiseDb: null,
      memoriesLocked: null,
      postFlowByHand: null,
      serviceNear: null,
      ...source,
    }),
    // Until then a set with an engine was one whose plate had no supply voltage.
    (source) => ({ engine: drivenBy(source['processes']), inrushA: null, ...source }),
    // Until then nobody said what a machine does by itself.
    (source) => ({
      ranges: [],
      programs: [],
      startAmps: null,
      endAmps: null,
      burnBack: null,
      runIn: null,
      postFlowOwnS: null,
      ...source,
    }),
  ],
  generator: [],
  panel: [],
  load: [],
  feeder: [],
  gun: [],
  part: [without(STOCK_FIELDS.part), withGrooves],
  // Until then there was no covered electrode.
  wire: [without(STOCK_FIELDS.wire), (wire) => ({ lengthMm: null, ...wire })],
  gas: [without(STOCK_FIELDS.gas)],
  tungsten: [without(STOCK_FIELDS.tungsten)],
  'set-up': [
    (setUp) => ({ linksSetV: null, ...setUp }),
    // Until then every machine stood at its outlet.
    (setUp) => ({ cordSize: null, cordLengthMm: null, ...setUp }),
    // Until then leads were the machine’s own.
    (setUp) => ({ leadSize: null, leadLengthMm: null, ...setUp }),
    // Until then nobody measured the clamp.
    (setUp) => ({ returnV: null, ...setUp }),
  ],
  // Until then no root was purged.
  job: [
    (job) => ('joints' in job ? { ...job, joints: eachOf(job['joints'], { purge: false }) } : job),
    // Until then a job came once, and its parts as cold as the shop.
    (job) => ({ timesPerYear: null, preheatC: null, ...job }),
    // Until then nobody entered what a job brings in.
    (job) => ({ worthPerRun: null, ...job }),
  ],
  'requirement-sheet': [
    // Until then a wish had no worst that is acceptable.
    (sheet) =>
      'requirements' in sheet
        ? { ...sheet, requirements: eachOf(sheet['requirements'], { worst: null }) }
        : sheet,
  ],
  decision: [],
  stock: [],
}

export type Upcast =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string }

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const NEWER = 'it was written by a newer version of this program: use that one, or write it anew'

function isVersion(version: unknown, current: number): version is number {
  return typeof version === 'number' && Number.isInteger(version) && version >= 1 && version <= current
}

const wrongVersion = (version: unknown, current: number): Upcast => ({
  ok: false,
  message:
    typeof version === 'number' && version > current
      ? `has version ${version}, this program reads up to ${current}; ${NEWER}`
      : `has the version ${JSON.stringify(version) ?? 'nothing'}; give a whole number from 1 to ${current}`,
})

/**
 * @param version that the record was written in
 * @param value the record; what is no object is left as it is, for its schema to refuse
 * @returns the same record as the current version writes it
 * @example upcastRecord('wire', 1, { id: 'w', stockG: 900 }) // { ok: true, value: { id: 'w' } }
 */
export function upcastRecord(kind: RecordKind, version: unknown, value: unknown): Upcast {
  const current = schemaVersionOf(kind)
  if (!isVersion(version, current)) return wrongVersion(version, current)
  if (!isFields(value)) return { ok: true, value }
  return { ok: true, value: UPCASTERS[kind].slice(version - 1).reduce((record, step) => step(record), value) }
}

/** Where records stand in files: one, or a list of them. A map, for a file may have a key `__proto__` too. */
const PLACES: ReadonlyMap<string, RecordKind> = new Map([
  ['shop', 'shop'],
  ['generators', 'generator'],
  ['panels', 'panel'],
  ['circuits', 'circuit'],
  ['loads', 'load'],
  ['powerSources', 'power-source'],
  ['feeders', 'feeder'],
  ['guns', 'gun'],
  ['parts', 'part'],
  ['wires', 'wire'],
  ['gases', 'gas'],
  ['tungstens', 'tungsten'],
  ['setUps', 'set-up'],
  ['setUp', 'set-up'],
  ['jobs', 'job'],
  ['job', 'job'],
  ['requirementSheets', 'requirement-sheet'],
  ['decisions', 'decision'],
])

const NOTHING_DRAWN: Fields = { generators: [], panels: [], loads: [] }

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
  // Until then nobody wrote down what he wants of a machine, nor what he decided; nor, later, what feeds a circuit.
  const decided = format === 'brannik-shop' ? { requirementSheets: [], decisions: [] } : {}
  const drawn = format === 'brannik-shop' || format === 'brannik-fit' ? NOTHING_DRAWN : {}
  const since = { ...decided, ...drawn }
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
