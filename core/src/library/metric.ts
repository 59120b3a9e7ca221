/** The library of a shop in millimetres: the same things under the sizes that they are sold by there (ISO 544, ISO 6848). */
import type { Shop } from '../kinds/shop.ts'
import { idOf, type LibraryEntry, TUNGSTEN_SIZES, WIRE_SIZES } from './entry.ts'

interface Sold {
  readonly inch: string
  readonly mm: number
  readonly metricMm: number
  readonly words: string
}
const sold = (inch: string, mm: number, metric: string): Sold => ({
  inch,
  mm,
  metricMm: Number(metric),
  words: `${metric} mm`,
})
/** Nozzles have sizes of their own. */
const NOZZLES: readonly Sold[] = [sold('1/2', 12.7, '12'), sold('5/8', 15.875, '16')]
const SOLD: readonly Sold[] = [
  ...[...Object.values(WIRE_SIZES), ...TUNGSTEN_SIZES].map(({ inch, mm, metric }) => sold(inch, mm, metric)),
  ...NOZZLES,
]
/** Whole names of sizes: `1/16` is not found in `11/16`, nor `0.03` in `0.035`. */
const INCH_NAME = /(?<![\d./])(?:\d+\/\d+|0\.\d{3})(?![\d./])/g
const SAME_MM = 1e-6

const metricOf = (mm: number): number => SOLD.find((one) => Math.abs(one.mm - mm) < SAME_MM)?.metricMm ?? mm
const wordsOf = (text: string): string =>
  text.replaceAll(INCH_NAME, (inch) => SOLD.find((one) => one.inch === inch)?.words ?? inch)

/** Every size in it, in millimetres as sold; anything else as it is. */
function resized(value: unknown): unknown {
  if (typeof value === 'number') return metricOf(value)
  if (Array.isArray(value)) return value.map(resized)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [
      key,
      key.endsWith('Mm') || typeof one === 'object' ? resized(one) : one,
    ]),
  )
}

/**
 * @param entries named by inches
 * @returns those and their twins by millimetres, each for its own shops; what has no size of its own stands for both
 */
export function inBoth<E extends LibraryEntry<'parts'> | LibraryEntry<'tungstens'>>(
  entries: readonly E[],
): readonly E[] {
  const seen = new Set<string>()
  return entries.flatMap((entry): E[] => {
    const name = wordsOf(entry.record.name)
    if (name === entry.record.name) return [entry]
    const inch: E = { ...entry, units: 'imperial' }
    // 0.045 and 3/64 in are both sold as 1.2 mm.
    const twin = `${entry.record.id.replace(/al$/, '')}-mm`
    if (seen.has(name)) return [inch]
    seen.add(name)
    const record = { ...(resized(entry.record) as E['record']), id: twin, name }
    return [inch, { ...entry, record, summary: wordsOf(entry.summary), units: 'metric' }]
  })
}

/** The upper of the two voltages of small machines, and the one of European outlets. */
const DUAL_V = 240
const EUROPEAN_V = 230
const tenth = (amps: number | null): number | null => (amps === null ? null : Math.round(amps * 10) / 10)

/**
 * A small machine for two voltages, as it is sold for 230 V: the same output, and the same power out of the wall.
 * @returns none of another machine
 */
export function on230V(entry: LibraryEntry<'power-sources'>): readonly LibraryEntry<'power-sources'>[] {
  const { record } = entry
  const dual = /^120\/240 V/
  if (!dual.test(record.name)) return []
  const name = record.name.replace(dual, `${EUROPEAN_V} V`)
  const processes = record.processes.map((process) => ({
    ...process,
    supplies: process.supplies.flatMap((supply) =>
      supply.voltageV === DUAL_V
        ? [
            {
              ...supply,
              voltageV: EUROPEAN_V,
              i1MaxA: tenth(supply.i1MaxA && (supply.i1MaxA * DUAL_V) / EUROPEAN_V),
              i1EffA: tenth(supply.i1EffA && (supply.i1EffA * DUAL_V) / EUROPEAN_V),
            },
          ]
        : [],
    ),
  }))
  return [{ ...entry, record: { ...record, id: idOf('lib machine', name), name, processes } }]
}

/** Whether a shop buys a thing under that name, or on that voltage. */
export const isSoldTo = ({ units }: LibraryEntry, { unitSystem }: Pick<Shop, 'unitSystem'>): boolean =>
  units === undefined || units === unitSystem
