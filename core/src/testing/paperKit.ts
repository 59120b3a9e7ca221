/** A small kit to work out on paper: things to buy at a price, and jobs with the ways that need them. */
import type { Solve } from '../purchase/solve.ts'
import {
  type KitItem,
  type KitJob,
  type KitProblem,
  type KitWay,
  withoutBeaten,
} from '../purchase/kitProblem.ts'

export const item = (key: string, price: number, slot: KitItem['slot'] = 'powerSource'): KitItem => ({
  key,
  slot,
  name: key,
  listed: price,
  price,
})
export const way = (
  setUpId: string,
  costPerRun: number,
  needs: readonly string[] = [],
  part: Partial<KitWay> = {},
): KitWay => ({
  setUpId,
  verdict: 'fits',
  needs,
  oneOf: [],
  rents: null,
  costPerRun,
  tightCost: 0,
  guesses: [],
  ...part,
})
export const job = (id: string, runs: number, ...ways: readonly KitWay[]): KitJob => ({
  id,
  name: id,
  runs,
  worthPerRun: null,
  ways: withoutBeaten(ways),
})
export const problem = (items: readonly KitItem[], jobs: readonly KitJob[]): KitProblem => ({
  items,
  jobs,
  undoable: [],
  unpriced: [],
  horizonYears: 3,
  found: new Map(),
  shelfParts: new Set(),
  isWhole: true,
})

/** A solver that has no time. */
export const findsNothing: Solve = () => ({
  values: null,
  objective: Infinity,
  bound: 0,
  isProven: false,
  isInfeasible: false,
})
