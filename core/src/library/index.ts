/** The generic library that ships with the product: no makers, every figure with its source. */
import type { LibraryEntry } from './entry.ts'
import { EUROPEAN_WIRES } from './europeanWires.ts'
import { LIBRARY_GASES } from './gases.ts'
import { LIBRARY_GUNS } from './guns.ts'
import { LIBRARY_MACHINES } from './machines.ts'
import { inBoth, on230V } from './metric.ts'
import { LIBRARY_PARTS } from './parts.ts'
import { LIBRARY_TORCHES } from './torches.ts'
import { LIBRARY_TUNGSTENS } from './tungstens.ts'
import { LIBRARY_WIRES } from './wires.ts'

export type { LibraryEntry } from './entry.ts'

export { isSoldTo } from './metric.ts'

/** Mains of North America; elsewhere they are 230 and 400 V. */
const INCH_MAINS_V: readonly number[] = [120, 208, 240, 480, 600]
/** A machine belongs where its plate finds its voltage; one with an engine belongs everywhere. */
function onItsMains(entry: LibraryEntry<'power-sources'>): LibraryEntry<'power-sources'> {
  const volts = entry.record.processes.flatMap(({ supplies }) =>
    supplies.flatMap(({ voltageV }) => voltageV ?? []),
  )
  if (volts.length === 0) return entry
  return { ...entry, units: volts.some((one) => INCH_MAINS_V.includes(one)) ? 'imperial' : 'metric' }
}

export const LIBRARY: readonly LibraryEntry[] = [
  ...LIBRARY_WIRES,
  ...EUROPEAN_WIRES,
  ...LIBRARY_GASES,
  ...inBoth(LIBRARY_TUNGSTENS),
  ...[...LIBRARY_MACHINES, ...LIBRARY_MACHINES.flatMap(on230V)].map(onItsMains),
  ...LIBRARY_GUNS,
  ...LIBRARY_TORCHES,
  ...inBoth(LIBRARY_PARTS),
]
