/** Seeks a better plan in a thread of its own, a part at a time: it always holds one, and is stopped with its thread. */
import { isCalm, PlanSearch, PLAN_SEED } from '@brannik/core'
import type { SearchAsked, SearchTold } from './searchMessages.ts'

const TRIALS = 150_000
const PART = 3000
/** Where too much moves, moving costs so much more. */
const DEARER = 4
const MOST_ROUNDS = 3

const say = (told: SearchTold): void => {
  postMessage(told)
}

/** @returns whether what it found leaves most where it was */
function seek({ problem, choice }: SearchAsked, isLast: boolean): boolean {
  const search = new PlanSearch(problem, { seed: PLAN_SEED, trials: TRIALS }, choice)
  let told = Infinity
  while (!search.isOver) {
    search.run(PART)
    const isBetter = search.bestCost < told - 1e-6
    told = Math.min(told, search.bestCost)
    const { choice: best, cost, placed } = search.best
    const isOffered = isBetter && isCalm(problem, placed)
    say({ done: Math.min(0.99, search.tried / TRIALS), choice: isOffered ? best : null, cost })
  }
  const { choice: best, cost, placed } = search.best
  const isOver = isLast || isCalm(problem, placed)
  if (isOver) say({ done: 1, choice: isCalm(problem, placed) ? best : null, cost })
  return isOver
}

addEventListener('message', ({ data }: MessageEvent<SearchAsked>) => {
  const { choice } = data
  let { problem } = data
  for (let round = 1; !seek({ problem, choice }, round === MOST_ROUNDS); round += 1) {
    const { calm } = problem
    if (!calm) return
    const { person, machine, start } = calm
    problem = {
      ...problem,
      calm: { person: person * DEARER, machine: machine * DEARER, start: start * DEARER },
    }
  }
})
