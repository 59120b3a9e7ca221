/** The generic library that ships with the product: no makers, every figure with its source. */
import type { LibraryEntry } from './entry.ts'
import { LIBRARY_GASES } from './gases.ts'
import { LIBRARY_GUNS } from './guns.ts'
import { LIBRARY_MACHINES } from './machines.ts'
import { LIBRARY_PARTS } from './parts.ts'
import { LIBRARY_TORCHES } from './torches.ts'
import { LIBRARY_TUNGSTENS } from './tungstens.ts'
import { LIBRARY_WIRES } from './wires.ts'

export type { LibraryEntry } from './entry.ts'

export const LIBRARY: readonly LibraryEntry[] = [
  ...LIBRARY_WIRES,
  ...LIBRARY_GASES,
  ...LIBRARY_TUNGSTENS,
  ...LIBRARY_MACHINES,
  ...LIBRARY_GUNS,
  ...LIBRARY_TORCHES,
  ...LIBRARY_PARTS,
]
