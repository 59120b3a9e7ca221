import {
  assumptionsOf,
  type BreakerRecord,
  breakersOf,
  type Lesson,
  lessonsOf,
  type LogRow,
  type MovedJob,
  movedBy,
  type OperatingFactor,
  operatingFactorsOf,
} from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

export interface Taught {
  /** Each with what taking it would move in the planned jobs. */
  readonly lessons: readonly (Lesson & { readonly moves: readonly MovedJob[] })[]
  readonly operating: readonly OperatingFactor[]
  readonly breakers: readonly BreakerRecord[]
}

/**
 * @param rows of the log that count
 * @param taken by the key of a lesson, when it was taken last, UTC
 */
export function answer(
  snapshot: Snapshot,
  rows: readonly Pick<LogRow, 'body'>[],
  taken: Readonly<Record<string, string>>,
): Taught | null {
  const { shop, jobs } = snapshot
  if (!shop) return null
  const assumptions = assumptionsOf(shop)
  const planned = jobs
    .filter(({ state }) => state === 'planned')
    .flatMap(({ id }) => fitInput(snapshot, id) ?? [])
  const lessons = lessonsOf(rows, assumptions, assumptions.chartWeight, (key) => taken[key] ?? null)
  return {
    lessons: lessons.map((one) => ({
      ...one,
      moves: one.takes === null ? [] : movedBy(planned, one.takes.assumption, one.takes.value),
    })),
    operating: operatingFactorsOf(rows),
    breakers: breakersOf(rows),
  }
}
