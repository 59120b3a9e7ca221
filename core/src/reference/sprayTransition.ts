/** The current above which a wire sprays: below it the drops grow large and the arc spits. */
import { handbook, type Source } from '../basis/source.ts'
import type { Metal } from '../model/material.ts'

/** Diameter, mm, and current, A; steel in 98/2 Ar/O₂, aluminium in argon. */
type Row = readonly [diameterMm: number, currentA: number]

const STEEL: readonly Row[] = [
  [0.762, 150],
  [0.889, 165],
  [1.143, 220],
  [1.5875, 275],
]
const ALUMINIUM: readonly Row[] = [
  [0.762, 95],
  [1.191, 135],
  [1.5875, 180],
]

export const SPRAY_TRANSITION_SOURCE: Source = handbook('spray transition currents, welding handbooks')

/**
 * @param diameterMm of the wire; between two sizes of the table in proportion, beyond them the nearest
 * @returns A
 * @example sprayTransitionA('carbon-steel', 0.889) // 165
 */
export function sprayTransitionA(metal: Metal, diameterMm: number): number {
  const rows = metal === 'aluminium' ? ALUMINIUM : STEEL
  let below = rows[0]
  for (const row of rows) {
    if (below && row[0] >= diameterMm) {
      const [d0, i0] = below
      const [d1, i1] = row
      return d1 <= d0 || diameterMm <= d0 ? i0 : i0 + ((i1 - i0) * (diameterMm - d0)) / (d1 - d0)
    }
    below = row
  }
  return below?.[1] ?? 0
}
