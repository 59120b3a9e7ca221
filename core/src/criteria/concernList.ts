/**
 * What each criterion is about, without the criterion. A page asks this of what its engine found, and has no criteria: its
 * build replaces this file by its value (`web/facts.ts`).
 */
import type { Concern } from './criterion.ts'
import { CRITERIA } from './index.ts'

export interface Concerned {
  readonly id: string
  readonly concerns: Concern
  readonly isOfSetUp: boolean
  readonly isByCoupon?: true
}

export const CONCERNED: readonly Concerned[] = CRITERIA.flatMap(
  ({ id, concerns, isOfSetUp = false, isByCoupon }) =>
    concerns === undefined ? [] : [{ id, concerns, isOfSetUp, ...(isByCoupon && { isByCoupon }) }],
)
