/** Filter shades for the helmet. */
import { type ProcessFamily } from '../model/process.ts'
import { standard } from '../basis/source.ts'

interface ShadeRow {
  readonly upToA: number
  readonly least: number
  readonly suggested: number
}

const WIRE: readonly ShadeRow[] = [
  { upToA: 60, least: 7, suggested: 7 },
  { upToA: 160, least: 10, suggested: 11 },
  { upToA: 250, least: 10, suggested: 12 },
  { upToA: 500, least: 10, suggested: 14 },
]
const SMAW: readonly ShadeRow[] = [
  { upToA: 60, least: 7, suggested: 7 },
  { upToA: 160, least: 8, suggested: 10 },
  { upToA: 250, least: 10, suggested: 12 },
  { upToA: 550, least: 11, suggested: 14 },
]
const GTAW: readonly ShadeRow[] = [
  { upToA: 50, least: 8, suggested: 10 },
  { upToA: 150, least: 8, suggested: 12 },
  { upToA: 500, least: 10, suggested: 14 },
]

export const LENS_SHADE_SOURCE = standard('ANSI Z49.1', true)

/** @returns the least and the suggested shade number at a current; null above the last row of the table */
export function lensShade(
  family: ProcessFamily,
  currentA: number,
): { readonly least: number; readonly suggested: number } | null {
  const rows = family === 'gtaw' ? GTAW : family === 'smaw' ? SMAW : WIRE
  const row = rows.find(({ upToA }) => currentA <= upToA)
  return row ? { least: row.least, suggested: row.suggested } : null
}
