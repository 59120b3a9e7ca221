/** Composition of steels, middle of the grade, % by mass: what their carbon equivalents are reckoned from. */
import { handbook, type Source } from '../basis/source.ts'
import type { MaterialId } from '../model/material.ts'

export interface Composition {
  readonly C: number
  readonly Mn: number
  readonly Cr: number
  readonly Mo: number
  readonly Ni: number
  readonly Cu: number
}

const steel = (C: number, Mn: number, part: Partial<Composition> = {}): Composition => ({
  C,
  Mn,
  Cr: 0,
  Mo: 0,
  Ni: 0,
  Cu: 0,
  ...part,
})

const COMPOSITIONS: Readonly<Partial<Record<MaterialId, Composition>>> = {
  'hot-rolled': steel(0.14, 0.7),
  'structural-355': steel(0.17, 1.4),
  'cold-rolled': steel(0.08, 0.35),
  galvanised: steel(0.08, 0.35),
  'quenched-tempered': steel(0.16, 1.2, { Cr: 0.4, Mo: 0.4, Ni: 0.3 }),
  'medium-carbon': steel(0.45, 0.75),
  'chrome-moly': steel(0.3, 0.5, { Cr: 0.95, Mo: 0.2 }),
}
export const COMPOSITION_SOURCE: Source = handbook(
  'composition of the steel, middle of its grade: the mill certificate is right where it differs',
)

/** @returns null of what is no steel, or of a steel whose grade leaves it open */
export const compositionOf = (material: MaterialId): Composition | null => COMPOSITIONS[material] ?? null

/** CET of EN 1011-2, method B, %. */
export const cetPctOf = ({ C, Mn, Cr, Mo, Ni, Cu }: Composition): number =>
  C + (Mn + Mo) / 10 + (Cr + Cu) / 20 + Ni / 40
