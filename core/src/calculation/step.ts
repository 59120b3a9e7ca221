/** How a number was worked out, as plain data: the formula, what went into it, what came out, and the source of each. */
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Source } from '../basis/source.ts'

export interface Term {
  readonly symbol: string
  readonly name: string
  readonly value: number | readonly number[]
  /** An inside unit, or a plain word: words print it in the units of the shop. */
  readonly unit: string
  readonly source: Source
  /** Set where the term is an assumption that the shop may change. */
  readonly assumption?: AssumptionKey
}

export interface Step {
  /** Of the calculation. */
  readonly id: string
  /** The weld that it was made for; null where it concerns the set-up or the whole job. */
  readonly weldId: string | null
  /** What this step finds, in plain words. */
  readonly title: string
  /** The formula over the symbols of the terms, in the syntax of mathjs: it gives the result. */
  readonly expression: string
  /** The table or the search that found the result, where no formula does. */
  readonly method: string | null
  readonly terms: readonly Term[]
  readonly result: { readonly symbol: string; readonly value: number; readonly unit: string }
  readonly source: Source
}
