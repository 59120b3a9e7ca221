/** A small kit to work out on paper: things to buy at a price, and jobs with the ways that need them. */
import type { Solve, Solved } from '../purchase/solve.ts'
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

const NOTHING_FOUND: Solved = {
  values: null,
  objective: Infinity,
  bound: 0,
  isProven: false,
  isInfeasible: false,
}
/** A solver that has no time. */
export const findsNothing: Solve = () => NOTHING_FOUND

/**
 * A solver that counts its questions.
 * @param found of what was solved, what is said to be found; the first question is 1
 */
export function counted(solve: Solve, found: (solved: Solved, question: number) => Solved = (one) => one) {
  let questions = 0
  const counting: Solve = (program, told) => {
    const solved = solve(program, told)
    questions += 1
    return found(solved, questions)
  }
  return { solve: counting, asked: () => questions }
}
