/** The shape of a library entry: a generic thing as a record of the shelf, with where its figures come from. */
import type { PathsOf, RecordAt } from '../kinds/index.ts'
import type { UnitSystem } from '../quantity/units.ts'
import type { Source } from '../basis/source.ts'

export type LibraryPath = PathsOf<'equipment'>

export interface LibraryEntry<P extends LibraryPath = LibraryPath> {
  readonly path: P
  readonly record: RecordAt[P]
  /** What it is for, in a few words. */
  readonly summary: string
  readonly source: Source
  /** Whose shops buy it under that name; absent where all do. */
  readonly units?: UnitSystem
  /** Ids of the entries that come in the same box: the gun of a machine. */
  readonly comesWith?: readonly string[]
}

/** A diameter as it is called in inches and in millimetres. */
export interface Size {
  readonly mm: number
  readonly inch: string
  readonly metric: string
}
const size = (inches: number, inch: string, metric: string): Size => ({
  mm: Number((inches * 25.4).toFixed(6)),
  inch,
  metric,
})

/** Wire sizes by their inch and metric names (AWS A5.02, ISO 544). */
export const WIRE_SIZES = {
  '0.6': size(0.023, '0.023', '0.6'),
  '0.8': size(0.03, '0.030', '0.8'),
  '0.9': size(0.035, '0.035', '0.9'),
  '1.0': size(0.04, '0.040', '1.0'),
  '1.2': size(0.045, '0.045', '1.2'),
  '1.2al': size(0.046875, '3/64', '1.2'),
  '1.6': size(0.0625, '1/16', '1.6'),
  '2.4': size(0.09375, '3/32', '2.4'),
  '3.2': size(0.125, '1/8', '3.2'),
  '4.0': size(0.15625, '5/32', '4.0'),
} as const satisfies Record<string, Size>
export type SizeKey = keyof typeof WIRE_SIZES

export const TUNGSTEN_SIZES: readonly Size[] = [
  size(0.02, '0.020', '0.5'),
  size(0.04, '0.040', '1.0'),
  size(0.0625, '1/16', '1.6'),
  size(0.09375, '3/32', '2.4'),
  size(0.125, '1/8', '3.2'),
  size(0.15625, '5/32', '4.0'),
]

/** Lower-case letters, digits and hyphens: an id. */
export const idOf = (...words: readonly string[]): string =>
  words
    .join('-')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
