/** Least preheat and interpass temperature of structural steel by thickness, filler and process (AWS D1.1, Table 5.8; from memory). */
import { commonPractice, type Source, standard } from '../basis/source.ts'
import type { MaterialId } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { cetPctOf, compositionOf } from './composition.ts'
import { coveredClassOf } from './coveredElectrodes.ts'

/** Its category: with what it is welded (A, B), or how strong the steel is (C). */
export type PreheatCategory = 'A' | 'B' | 'C'

const IN = 25.4
/** Thickest part up to, mm, and least temperature, °C: 32, 50, 150, 225 and 300 °F. */
type Row = readonly [upToMm: number, leastC: number]
const F32 = 0
const F50 = 10
const F150 = 66
const F225 = 107
const F300 = 149
const TABLE: Readonly<Record<PreheatCategory, readonly Row[]>> = {
  A: [
    [0.75 * IN, F32],
    [1.5 * IN, F150],
    [2.5 * IN, F225],
    [Infinity, F300],
  ],
  B: [
    [0.75 * IN, F32],
    [1.5 * IN, F50],
    [2.5 * IN, F150],
    [Infinity, F225],
  ],
  C: [
    [0.75 * IN, F50],
    [1.5 * IN, F150],
    [2.5 * IN, F225],
    [Infinity, F300],
  ],
}
const D1_1 = standard('AWS D1.1, Table 5.8, minimum preheat and interpass temperature', true)
const SAME_MM = 1e-6

/** Steels that the table knows; of others the mill or a carbon equivalent says. */
const ORDINARY: readonly MaterialId[] = ['hot-rolled', 'structural-355', 'cold-rolled', 'galvanised']
const isStrong = (material: MaterialId): boolean => material === 'quenched-tempered'

/** Whether a filler keeps hydrogen out: a bare or cored wire, or a low-hydrogen electrode. */
export const bringsLittleHydrogen = (process: ProcessId, filler: string | null): boolean =>
  process !== 'smaw' || coveredClassOf(filler ?? '')?.isLowHydrogen === true

/**
 * @param filler classification of a covered electrode; of anything else null
 * @returns the category of a joint of two steels; null where the table knows one of them not
 */
export function preheatCategoryOf(
  materials: readonly MaterialId[],
  process: ProcessId,
  filler: string | null,
): PreheatCategory | null {
  if (!materials.every((one) => ORDINARY.includes(one) || isStrong(one))) return null
  if (materials.some(isStrong)) return 'C'
  return bringsLittleHydrogen(process, filler) ? 'B' : 'A'
}

export interface LeastPreheat {
  /** °C */
  readonly leastC: number
  readonly source: Source
}

/**
 * @param thickerMm thickest part at the weld, mm
 * @example leastPreheatOf('A', 50.8) // { leastC: 107, … }: 225 °F
 */
export const leastPreheatOf = (category: PreheatCategory, thickerMm: number): LeastPreheat => ({
  leastC: TABLE[category].find(([upToMm]) => thickerMm <= upToMm + SAME_MM)?.[1] ?? F300,
  source: D1_1,
})

/** Steels whose preheat goes by their carbon equivalent alone. */
const HARDENABLE: readonly MaterialId[] = ['medium-carbon', 'chrome-moly']
export const CET_SOURCE: Source = standard('EN 1011-2, Annex C, method B', true)
export const THIN_SOURCE: Source = commonPractice('common practice: thin tube and sheet is welded cold')

/** @returns %, of the harder of the materials; null where none of them hardens so */
export function carbonEquivalentOf(materials: readonly MaterialId[]): number | null {
  const found = materials.flatMap((one) => {
    const composition = HARDENABLE.includes(one) ? compositionOf(one) : null
    return composition ? [cetPctOf(composition)] : []
  })
  return found.length > 0 ? Math.max(...found) : null
}
