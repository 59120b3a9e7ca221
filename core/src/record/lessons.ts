/** What the record teaches beside settings: time, wire, gas and breakers against the plan, each with its evidence. */
import { type AssumptionKey, ASSUMPTIONS } from '../assumptions/list.ts'
import type { Assumptions } from '../assumptions/assume.ts'
import { BESIDE_ARC } from '../demand/demand.ts'
import { type LogRow, usedGasL, usedWireG, type WeldRecord } from '../events/weldRecorded.ts'
import { PROCESSES } from '../reference/processes.ts'
import { DEPOSITION } from '../trade/depositionRate.ts'
import { robustMean } from './robustMean.ts'

export type LessonKind = 'time' | 'wire' | 'gas'

/** A figure that the record puts beside the plan's. */
export interface Lesson {
  readonly key: string
  readonly kind: LessonKind
  readonly process: WeldRecord['process']
  /** What really went, of what was planned: shrunk toward 1 while there are few. */
  readonly ratio: number
  /** Rows that count, and rows that were left out as wild. */
  readonly n: number
  readonly wild: number
  /** What taking it sets; null where no figure of the plan follows it. */
  readonly takes: { readonly assumption: AssumptionKey; readonly value: number } | null
}

/** How much of the work is arc, by process and person. */
export interface OperatingFactor {
  readonly process: WeldRecord['process']
  readonly welder: string
  readonly n: number
  readonly arcPct: number
}

/** What a breaker did under a set-up. */
export interface BreakerRecord {
  readonly key: string
  readonly circuitId: string
  readonly sourceId: string | null
  readonly held: number
  readonly tripped: number
  /** When it tripped last, UTC; null where it never did. */
  readonly trippedAt: string | null
}

/** How far two runs of the same work lie apart without anything being wrong. */
const LEAST_SPREAD = 0.05
const S_PER_MIN = 60

const shareOf = (real: number | null, planned: number | null): number[] =>
  real === null || planned === null || real <= 0 || planned <= 0 ? [] : [real / planned]

/** Real over planned, of one weld. */
const RATIOS: Readonly<Record<LessonKind, (row: WeldRecord) => number[]>> = {
  time(row) {
    const arcS = row.arcS ?? row.plan.arcS
    if (row.minutes === null || row.plan.minutes === null || arcS === null || row.plan.arcS === null)
      return []
    const beside = row.minutes * S_PER_MIN - arcS
    return shareOf(beside, row.plan.minutes * S_PER_MIN - row.plan.arcS)
  },
  wire: (row) => shareOf(usedWireG(row), row.plan.wireG),
  gas: (row) => shareOf(usedGasL(row), row.plan.gasL),
}

/** What of the plan follows a lesson, and its figure then. */
function takenBy(
  kind: LessonKind,
  process: WeldRecord['process'],
  ratio: number,
  assumptions: Assumptions,
): Lesson['takes'] {
  const within = (assumption: AssumptionKey, value: number) => {
    const { least, most } = ASSUMPTIONS[assumption]
    return { assumption, value: Number(Math.min(most, Math.max(least, value)).toPrecision(3)) }
  }
  if (kind === 'time') {
    const assumption = BESIDE_ARC[PROCESSES[process].family]
    return within(assumption, assumptions[assumption] * ratio)
  }
  if (kind === 'gas') return within('gasLeakPct', (100 + assumptions.gasLeakPct) * ratio - 100)
  // A stick burns down to its stub, whatever else.
  if (process === 'smaw') return null
  const assumption = DEPOSITION[process]
  return within(assumption, assumptions[assumption] / ratio)
}

function groupsOf<T>(rows: readonly T[], keyOf: (row: T) => string): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const key = keyOf(row)
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return groups
}

/**
 * @param rows that count, in any order
 * @param planWeight k: so many welds weigh as much as the plan
 * @param takenAt by the key of a lesson when it was taken last, UTC: the plan has what is older already
 * @returns a lesson for each process and kind that has evidence, the one that differs most first
 */
export function lessonsOf(
  rows: readonly Pick<LogRow, 'body'>[],
  assumptions: Assumptions,
  planWeight: number,
  takenAt: (key: string) => string | null = () => null,
): readonly Lesson[] {
  const done = rows.map(({ body }) => body).filter(({ state }) => state === 'done')
  const lessons = [...groupsOf(done, ({ process }) => process)].flatMap(([, own]) => {
    const process = own[0]?.process
    if (process === undefined) return []
    return (Object.keys(RATIOS) as LessonKind[]).flatMap((kind): Lesson[] => {
      const key = `${kind}.${process}`
      const since = takenAt(key) ?? ''
      const ratios = own.filter(({ weldedAt }) => weldedAt > since).flatMap(RATIOS[kind])
      if (ratios.length === 0) return []
      const { mean, n, wild } = robustMean(ratios.map(Math.log), LEAST_SPREAD)
      const ratio = Math.exp((mean * n) / (n + planWeight))
      const takes = takenBy(kind, process, ratio, assumptions)
      return [{ key, kind, process, ratio, n, wild, takes }]
    })
  })
  return lessons.toSorted((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)))
}

/** @returns how much of the work was arc, by process and welder */
export function operatingFactorsOf(rows: readonly Pick<LogRow, 'body'>[]): readonly OperatingFactor[] {
  const timed = rows
    .map(({ body }) => body)
    .filter(({ state, minutes, arcS }) => state === 'done' && arcS !== null && (minutes ?? 0) > 0)
  return [...groupsOf(timed, ({ process, welder }) => `${process} ${welder ?? ''}`).values()].flatMap(
    (own): OperatingFactor[] => {
      const [first] = own
      if (!first) return []
      const arcS = own.reduce((sum, row) => sum + (row.arcS ?? 0), 0)
      const minutes = own.reduce((sum, row) => sum + (row.minutes ?? 0), 0)
      return [
        {
          process: first.process,
          welder: first.welder ?? '',
          n: own.length,
          arcPct: Math.min(100, (100 * arcS) / (minutes * S_PER_MIN)),
        },
      ]
    },
  )
}

/** What is read of a row of the log. */
export const BREAKER_FIELDS = [
  'circuitId',
  'sourceId',
  'breaker',
  'weldedAt',
] as const satisfies readonly (keyof WeldRecord)[]

/** @returns by circuit and machine, how often its breaker held and how often it tripped */
export function breakersOf(
  rows: readonly { readonly body: Pick<WeldRecord, (typeof BREAKER_FIELDS)[number]> }[],
): readonly BreakerRecord[] {
  const known = rows.map(({ body }) => body).filter(({ breaker, circuitId }) => breaker && circuitId)
  return [...groupsOf(known, ({ circuitId, sourceId }) => `${circuitId}.${sourceId ?? ''}`)].map(
    ([key, own]): BreakerRecord => {
      const trips = own.filter(({ breaker }) => breaker === 'tripped')
      return {
        key: `breaker.${key}`,
        circuitId: own[0]?.circuitId ?? '',
        sourceId: own[0]?.sourceId ?? null,
        held: own.length - trips.length,
        tripped: trips.length,
        trippedAt:
          trips
            .map(({ weldedAt }) => weldedAt)
            .toSorted()
            .at(-1) ?? null,
      }
    },
  )
}
