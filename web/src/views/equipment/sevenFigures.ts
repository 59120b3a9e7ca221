/** The seven figures of a data plate, in the order in which it prints them (IEC 60974-1, clause 15, from memory). */
import {
  type PlateProcess,
  type PowerSource,
  powerSourceSchema,
  readDocument,
  type SupplyRating,
} from '@brannik/core'
import { plateFigure } from './forms.ts'
import { FAMILY_WORDS } from './words.ts'

export type PlateKey =
  'outputMaxA' | 'openCircuitV' | 'dutyPct' | 'currentA' | 'voltageV' | 'i1MaxA' | 'i1EffA'

export interface SeventhOfPlate {
  readonly key: PlateKey
  readonly label: string
  readonly unit: string
  readonly least: number
  readonly most: number
}
const figure = (key: PlateKey, label: string, isOfPoint = false): SeventhOfPlate => {
  const { least, most, unit } = plateFigure(key, isOfPoint)
  return { key, label, unit, least, most }
}

/** Output first, the supply below it. */
export const SEVEN_FIGURES: readonly SeventhOfPlate[] = [
  figure('outputMaxA', 'Maximum output, A'),
  figure('openCircuitV', 'Open circuit U₀, V'),
  figure('dutyPct', 'Duty cycle X, %', true),
  figure('currentA', 'Current I₂ at X, A', true),
  figure('voltageV', 'Supply U₁, V'),
  figure('i1MaxA', 'Input I₁max, A'),
  figure('i1EffA', 'Input I₁eff, A'),
]

/** Processes whose plates are alike: they are corrected together. */
export interface AlikePlates {
  readonly words: string
  /** By their place among the processes of the source. */
  readonly processes: readonly number[]
  readonly supplies: readonly SupplyRating[]
}

export function alikePlates({ processes }: Pick<PowerSource, 'processes'>): readonly AlikePlates[] {
  const groups = new Map<string, AlikePlates>()
  for (const [index, { family, supplies }] of processes.entries()) {
    const key = JSON.stringify(supplies)
    const known = groups.get(key)
    groups.set(key, {
      words: known ? `${known.words}, ${FAMILY_WORDS[family]}` : FAMILY_WORDS[family],
      processes: [...(known?.processes ?? []), index],
      supplies,
    })
  }
  return [...groups.values()]
}

/** The rated point with the most current is the one that a plate names first. */
const highest = ({ ratedPoints }: SupplyRating): SupplyRating['ratedPoints'][number] | undefined =>
  ratedPoints.toSorted((a, b) => b.currentA - a.currentA)[0]

/** @returns what the plate has there; null where it has nothing */
export function plateValue(supply: SupplyRating, key: PlateKey): number | null {
  if (key === 'dutyPct' || key === 'currentA') return highest(supply)?.[key] ?? null
  return supply[key]
}

function corrected(supply: SupplyRating, key: PlateKey, value: number): SupplyRating {
  if (key !== 'dutyPct' && key !== 'currentA') return { ...supply, [key]: value }
  const point = highest(supply)
  // The other points are those of a class: a point that was read replaces them, and the curve follows from it.
  return { ...supply, ratedPoints: [{ currentA: 0, dutyPct: 0, loadV: null, ...point, [key]: value }] }
}

export type Corrected =
  { readonly ok: true; readonly source: PowerSource } | { readonly ok: false; readonly message: string }

/**
 * @param plates whose processes are corrected
 * @param column which supply voltage of theirs
 */
export function withFigure(
  source: PowerSource,
  plates: AlikePlates,
  column: number,
  key: PlateKey,
  value: number,
): Corrected {
  const processes = source.processes.map((process, at): PlateProcess => {
    if (!plates.processes.includes(at)) return process
    const supplies = process.supplies.map((supply, place) =>
      place === column ? corrected(supply, key, value) : supply,
    )
    return { ...process, supplies }
  })
  const read = readDocument(powerSourceSchema, { ...source, processes })
  if (read.ok) return { ok: true, source: read.value }
  return { ok: false, message: `This ${read.problems[0]?.message ?? 'cannot be so'}.` }
}
