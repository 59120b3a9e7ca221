/** What a country's wiring rules answer. The checks ask a rule book; nothing else knows which country it is in. */
import type { Source } from '../basis/source.ts'

/** A figure that a rule gives, with the clause. */
export interface Ruled {
  readonly value: number
  readonly source: Source
}

export interface RuleBook {
  readonly id: string
  readonly name: string
  /** Share of the primary current that a supply conductor must carry, by duty cycle in %. */
  multiplier(dutyPct: number): Ruled
  /** Continuous current of a conductor as its size is printed; null for a size that the book does not have. */
  ampacityA(conductorSize: string): Ruled | null
  /** Conductor sizes, smallest first. */
  readonly conductorSizes: readonly string[]
  /** Breaker ratings, smallest first. */
  readonly breakerSizesA: readonly number[]
  /** Current that a breaker holds without limit. */
  breakerHoldsA(breakerA: number): Ruled
  /** Longest that a breaker may take to trip at 200 % of its rating, s. */
  breakerTripAtDoubleS(breakerA: number): Ruled
  /** Largest breaker that may protect the welder and its conductor. */
  largestBreakerA(i1MaxA: number, ampacityA: number): Ruled
}

/** Smallest conductor that carries a current, or null when the book's largest does not. */
export function smallestConductor(rules: RuleBook, currentA: number): string | null {
  return rules.conductorSizes.find((size) => (rules.ampacityA(size)?.value ?? 0) >= currentA) ?? null
}

/** Smallest breaker that holds a current, or null when the book's largest does not. */
export function smallestBreakerA(rules: RuleBook, currentA: number): number | null {
  return rules.breakerSizesA.find((size) => rules.breakerHoldsA(size).value >= currentA) ?? null
}
