import {
  centsOf,
  type CostLine,
  costLinesOf,
  type Habit,
  habitsOf,
  type Lives,
  type Mover,
  moversOf,
  type OtherWay,
  otherWaysOf,
  sidesOf,
  type Spread,
  spreadOf,
  type UseLine,
  useLinesOf,
  type WeldCost,
  weldCostsOf,
} from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** What a job costs, how far that may be off, and what it hangs on. */
export interface Priced {
  readonly setUpName: string
  readonly lines: readonly CostLine[]
  readonly cents: number
  readonly welds: readonly WeldCost[]
  readonly spread: Spread
  readonly movers: readonly Mover[]
  readonly habits: readonly Habit[]
  readonly ways: readonly OtherWay[]
  readonly uses: readonly UseLine[]
}

/**
 * @param lives of tips and liners on its machine, where the shop's own changes teach them
 * @returns null where the job has no set-up whose parts are there, or no wire
 */
export function answer(snapshot: Snapshot, jobId: string, lives: Lives | null): Priced | null {
  const input = fitInput(snapshot, jobId)
  if (!input) return null
  const { capability, demand } = sidesOf(input)
  const lines = costLinesOf(capability, demand, lives ?? undefined)
  if (!lines) return null
  return {
    setUpName: input.setUp.name,
    lines,
    cents: centsOf(lines),
    welds: weldCostsOf(lines, demand),
    spread: spreadOf(lines),
    movers: moversOf(input),
    uses: useLinesOf(capability, demand),
    habits: habitsOf(input),
    ways: otherWaysOf(snapshot.setUps.flatMap(({ id }) => fitInput(snapshot, jobId, id) ?? [])),
  }
}
