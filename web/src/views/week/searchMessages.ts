/** What a search is given, and what it says while it runs. */
import type { PlanBounds, PlanCost } from '@brannik/core'
import type { WeekProblem } from '../../engine/questions/week.ts'

export type SearchAsked = WeekProblem
export interface SearchTold {
  /** 0 to 1. */
  readonly done: number
  /** Where a better one was found. */
  readonly choice: WeekProblem['choice'] | null
  readonly cost: PlanCost
}
export interface BoundAsked {
  readonly problem: WeekProblem['problem']
  readonly cost: PlanCost
}
export type BoundTold = PlanBounds
