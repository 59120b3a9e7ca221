/** What a country's wiring rules answer. The checks ask a rule book; nothing else knows which country it is in. */
import type { Source } from '../basis/source.ts'

/** A figure that a rule gives, with the clause. */
export interface Ruled {
  readonly value: number
  readonly source: Source
}

/** Temperature columns of an ampacity table, °C. */
export type ColumnC = 60 | 75 | 90

export interface RuleBook {
  readonly id: string
  readonly name: string
  /** Share of the primary current that a supply conductor must carry, by duty cycle in %. */
  multiplier(dutyPct: number): Ruled
  /**
   * Continuous current of a conductor as its size is printed; null for a size that the book does not have.
   * @param columnC what insulation and terminals stand, °C
   */
  ampacityA(conductorSize: string, columnC: ColumnC): Ruled | null
  /** Conductor sizes, smallest first. */
  readonly conductorSizes: readonly string[]
  /** Breaker ratings, smallest first. */
  readonly breakerSizesA: readonly number[]
  /** Current that a breaker holds without limit. */
  breakerHoldsA(breakerA: number): Ruled
  /** Longest that a breaker may take to trip at 200 % of its rating, s. */
  breakerTripAtDoubleS(breakerA: number): Ruled
  /** Largest breaker that may protect the welder; beyond it the welder needs protection of its own. */
  largestBreakerForWelderA(i1MaxA: number): Ruled
  /** Largest breaker that may protect its conductor. */
  largestBreakerForConductorA(ampacityA: number): Ruled
}

/** Smallest conductor that carries a current, or null when the book's largest does not. */
export function smallestConductor(rules: RuleBook, currentA: number, columnC: ColumnC): string | null {
  return rules.conductorSizes.find((size) => (rules.ampacityA(size, columnC)?.value ?? 0) >= currentA) ?? null
}

/** Smallest breaker that holds a current, or null when the book's largest does not. */
export function smallestBreakerA(rules: RuleBook, currentA: number): number | null {
  return rules.breakerSizesA.find((size) => rules.breakerHoldsA(size).value >= currentA) ?? null
}
