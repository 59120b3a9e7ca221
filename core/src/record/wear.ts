/** Wearing parts by use: what has run through each since it was changed, against how long it lasts here. */
import { median } from '../changeover/median.ts'
import type { Replaced, WearPart } from '../events/partReplaced.ts'
import { usedWireG, type WeldRecord } from '../events/weldRecorded.ts'
import type { Metal } from '../model/material.ts'
import { PROCESSES } from '../reference/processes.ts'

/** By what a part wears. */
export const WEAR_UNITS = ['g', 's', 'starts'] as const
export type WearUnit = (typeof WEAR_UNITS)[number]
export const WEAR_STATES = ['good', 'soon', 'due'] as const

/** How long a part usually lasts, and by what that is counted. Common practice, no source. */
export const USUAL_LIFE: Readonly<Record<WearPart, { readonly unit: WearUnit; readonly life: number }>> = {
  tip: { unit: 'g', life: 7000 },
  liner: { unit: 'g', life: 150_000 },
  rolls: { unit: 'g', life: 400_000 },
  diffuser: { unit: 's', life: 100 * 3600 },
  tungsten: { unit: 'starts', life: 600 },
}
/** A kilogram of aluminium is three times as much wire, and its oxide cuts tips (common practice, no source). */
const ALUMINIUM_WEARS = 3
/** Changes of the shop's own that weigh as much as the usual life. */
const USUAL_WEIGHT = 2
/** From this share of its life on a part is due soon. */
const SOON = 0.9

export interface Wear {
  readonly part: WearPart
  readonly unit: WearUnit
  readonly used: number
  readonly life: number
  /** Changes that the life was learned from; 0: the usual life. */
  readonly learnedFrom: number
  readonly state: (typeof WEAR_STATES)[number]
  /** When it was changed last, UTC; null where no change is recorded. */
  readonly since: string | null
}

/** What is read of a row of the log. */
export const WEAR_FIELDS = [
  'state',
  'weldedAt',
  'process',
  'metal',
  'arcS',
  'starts',
  'spool',
  'wireG',
  'plan',
] as const satisfies readonly (keyof WeldRecord)[]
type WearRow = Pick<WeldRecord, (typeof WEAR_FIELDS)[number]>

const PARTS_OF = { wire: ['tip', 'liner', 'rolls', 'diffuser'], tungsten: ['tungsten'], covered: [] } as const

/** @returns the wearing parts that a process has */
export const wearPartsOf = (process: WeldRecord['process']): readonly WearPart[] =>
  PARTS_OF[PROCESSES[process].electrode]

function amountOf(row: WearRow, unit: WearUnit): number {
  if (unit === 's') return row.arcS ?? row.plan.arcS ?? 0
  if (unit === 'starts') return row.starts ?? row.plan.starts ?? 0
  const metal: Metal = row.metal
  return (usedWireG(row) ?? row.plan.wireG ?? 0) * (metal === 'aluminium' ? ALUMINIUM_WEARS : 1)
}

/**
 * @param rows of this machine that count, in any order
 * @param changes of its parts, in any order
 * @param knownFrom before it there may be rows that are not among these; UTC
 * @returns each part of the processes that it welded, the one nearest its end first
 * @example wearOf(rows, changes)[0] // { part: 'tip', used: 6900, life: 7000, state: 'soon', … }
 */
export function wearOf(
  rows: readonly { readonly body: WearRow }[],
  changes: readonly { readonly body: Replaced }[],
  knownFrom = '',
): readonly Wear[] {
  const welded = rows.map(({ body }) => body).filter(({ state }) => state !== 'planned')
  const parts = new Set(welded.flatMap(({ process }) => wearPartsOf(process)))
  const wear = [...parts].map((part): Wear => {
    const { unit, life: usual } = USUAL_LIFE[part]
    const at = changes.flatMap(({ body }) => (body.part === part ? [body.replacedAt] : [])).toSorted()
    const own = welded.filter(({ process }) => wearPartsOf(process).includes(part))
    const between = (from: string, to: string | null): number =>
      own
        .filter(({ weldedAt }) => weldedAt > from && (to === null || weldedAt <= to))
        .reduce((sum, row) => sum + amountOf(row, unit), 0)
    // What ran before the first change is not known whole: it teaches no life.
    const lives = at.slice(1).flatMap((to, index) => {
      const from = at[index] ?? ''
      const lasted = between(from, to)
      return lasted > 0 && from >= knownFrom ? [lasted] : []
    })
    const life =
      lives.length === 0
        ? usual
        : (usual * USUAL_WEIGHT + median(lives) * lives.length) / (USUAL_WEIGHT + lives.length)
    const since = at.at(-1) ?? null
    const used = between(since ?? '', null)
    const state = used >= life ? 'due' : used >= SOON * life ? 'soon' : 'good'
    return { part, unit, used, life, learnedFrom: lives.length, state, since }
  })
  return wear.toSorted((a, b) => b.used / b.life - a.used / a.life)
}
