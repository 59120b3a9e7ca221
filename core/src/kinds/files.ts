/**
 * Files carry a version, which says in which versions the records in them are written. What an older one wrote is
 * carried up by `upcasts.ts`.
 */
import type { RecordKind } from './index.ts'

type Versions = Partial<Record<RecordKind, number>>
/** @param steps what each version of a file changed; the first wrote every record in its version 1 */
const since = (...steps: readonly Versions[]): readonly Versions[] =>
  steps.reduce<readonly Versions[]>((all, step) => [...all, { ...all.at(-1), ...step }], [{}])

/** Of a shop, and of all that one fit looks at. */
const WHOLE = since(
  { shop: 2 },
  // Records of the shelf do not hold their own count.
  { part: 2, wire: 2, gas: 2, tungsten: 2 },
  // The operating point.
  { shop: 3, circuit: 2, 'set-up': 2, job: 2 },
  // Stick.
  { wire: 3, 'power-source': 2 },
  // Machines in the library.
  { shop: 4, 'power-source': 3 },
  // Purchases.
  { circuit: 3, 'power-source': 4, 'set-up': 3, job: 3 },
  // The supply up to the service.
  { circuit: 4, 'power-source': 5, 'set-up': 4 },
  // Start settings across sheet, plate, wires and classes.
  { shop: 5 },
  // Rolls with several grooves, programs, a measured clamp.
  { part: 3, 'power-source': 6, 'set-up': 5 },
  // The code of the least fillet is chosen.
  { shop: 6 },
  // What a run brings in, and the worst that is acceptable of a machine.
  { shop: 7, job: 4, 'requirement-sheet': 2 },
  // The zone in which times are printed.
  { shop: 8 },
  // A fillet on both sides, and CJP or PJP.
  { job: 5 },
  // What is on the machines, where things hang, and the feeder's own mark for the tension.
  { 'power-source': 7, feeder: 2, gun: 2, wire: 4, gas: 3 },
  // Cylinders, spools, suppliers, prices, orders and quotes.
  {},
  // Welders, the plan of the week, and how urgent a job is.
  { job: 6 },
)

/** By kind of file, for each of its versions the versions of the records in it; a kind that is not named has 1. */
const FILES = {
  'brannik-shop': WHOLE,
  'brannik-catalogue': since(
    { part: 2, wire: 2, gas: 2, tungsten: 2 },
    {},
    { wire: 3, 'power-source': 2 },
    { 'power-source': 3 },
    { 'power-source': 4 },
    { 'power-source': 5 },
    { part: 3, 'power-source': 6 },
    { 'power-source': 7, feeder: 2, gun: 2, wire: 4, gas: 3 },
  ),
  'brannik-job': since({ job: 2 }, { job: 3 }, { job: 4 }, { job: 5 }, { job: 6 }),
  'brannik-fit': WHOLE,
} as const satisfies Readonly<Record<string, readonly Versions[]>>
export type FileFormat = keyof typeof FILES
export const FILE_FORMATS = Object.keys(FILES) as readonly FileFormat[]

/**
 * The version in which a format is written today.
 * @example fileVersionOf('brannik-job') // 1
 */
export const fileVersionOf = (format: FileFormat): number => FILES[format].length

/** The versions of the records in a file of that version; a kind that is not named has 1. */
export const recordVersionsIn = (format: FileFormat, version: number): Versions =>
  FILES[format][version - 1] ?? {}
