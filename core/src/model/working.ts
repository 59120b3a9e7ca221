/** How a number was worked out: the formula, what went into it, what came out, and the source of each. */
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Source } from './source.ts'

/** A unit is one of the inside units or a plain word; the screen converts mm, g, L and their rates to the shop's own. */
export type TermUnit = string

export interface Term {
  readonly symbol: string
  readonly name: string
  readonly value: number | string
  readonly unit: TermUnit
  readonly source: Source
  /** Set where the term is an assumption that the shop may change. */
  readonly assumption?: AssumptionKey
}

export interface Step {
  /** What this step finds, in plain words. */
  readonly says: string
  readonly formula: string
  readonly terms: readonly Term[]
  readonly result: { readonly symbol: string; readonly value: number | string; readonly unit: TermUnit }
  readonly source: Source
}

/** A number together with the steps that made it. */
export interface Worked {
  readonly value: number
  readonly steps: readonly Step[]
}

export const term = (
  symbol: string,
  name: string,
  value: number | string,
  unit: TermUnit,
  source: Source,
): Term => ({ symbol, name, value, unit, source })
