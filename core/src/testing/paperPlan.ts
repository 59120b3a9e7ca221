/** A small plan to work out on paper: a Monday, two machines with a set-up each, two people who work eight hours a day from seven. */
import type { PlanProblem, Task, Way } from '../plan/problem.ts'
import { DAY_MIN } from '../plan/shopTime.ts'
import { workWeeks } from './planGenerator.ts'

/** Midnight before it. */
export const MONDAY = (workWeeks(1)[0]?.startMin ?? 0) - 420
/** @param clock hours of the Monday's clock: 9.5 is half past nine */
export const at = (clock: number): number => MONDAY + clock * 60
/** @param day 0 is the Monday */
export const endOf = (day: number): number => MONDAY + (day + 1) * DAY_MIN

export const way = (workMin: number, part: Partial<Way> = {}): Way => ({
  setUp: 0,
  workMin,
  dislikedMin: 0,
  uses: [],
  people: [0],
  ...part,
})
export const task = (ways: readonly Way[], part: Partial<Task> = {}): Task => ({
  id: 'task',
  ways,
  readyMin: MONDAY,
  dueMin: endOf(0),
  weight: 1,
  fixed: null,
  seen: null,
  ...part,
})
/** Both set-ups are on their machines. */
export const shopOf = (tasks: readonly Task[], part: Partial<PlanProblem> = {}): PlanProblem => ({
  fromMin: at(7),
  tasks,
  setUps: [
    { id: 'a', machine: 0, changeFromNowMin: 0 },
    { id: 'b', machine: 1, changeFromNowMin: 0 },
  ],
  machines: ['one', 'two'],
  changeMin: [
    [0, 15],
    [15, 0],
  ],
  people: [
    { id: 'rowan', works: workWeeks(60) },
    { id: 'hazel', works: workWeeks(60) },
  ],
  shared: [],
  calm: null,
  ...part,
})
