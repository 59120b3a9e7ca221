/** What no plan can beat, on paper: weeks of eight hours from seven, and jobs that fill them. Sources: none outside. */
import fc from 'fast-check'
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { type Solve, solveWith } from '../purchase/solve.ts'
import { exhausted } from '../testing/allPlans.ts'
import { at, endOf, MONDAY, shopOf, task, way } from '../testing/paperPlan.ts'
import { inventedProblem, workWeeks } from '../testing/planGenerator.ts'
import { runs } from '../testing/runs.ts'
import { boundsOf, type PlanBounds } from './bound.ts'
import type { PlanCost, PlanProblem, Task } from './problem.ts'
import { planFor } from './search.ts'
import { DAY_MIN } from './shopTime.ts'

let solve: Solve
beforeAll(async () => {
  solve = solveWith(await highsLoader(), 20)
})

/** Of a plan that is so late. */
const bounds = (problem: PlanProblem, lateMin: number): PlanBounds =>
  boundsOf(problem, { lateMin, workMin: 0, changeMin: 0, moves: 0, dislikedMin: 0 } satisfies PlanCost, solve)
const lateness = (tasks: readonly Task[], part: Partial<PlanProblem> = {}): number =>
  bounds(shopOf(tasks, part), 1e6).lateMin
const work = (tasks: readonly Task[], part: Partial<PlanProblem> = {}, lateMin = 0): number =>
  bounds(shopOf(tasks, part), lateMin).workAndChangeMin

describe('lateness', () => {
  it('alone begins when it is ready, and not before now', () => {
    // From two in the afternoon an hour and a half is left of the day: half an hour comes on the next.
    const late = task([way(120)], { readyMin: at(14) })
    expect(lateness([late])).toBeCloseTo(30, 6)
    expect(lateness([task([way(120)])], { fromMin: at(14) })).toBeCloseTo(30, 6)
  })
  it('of nothing to do is none', () => {
    expect(bounds(shopOf([]), 1e6)).toEqual({ lateMin: 0, workAndChangeMin: 0 })
  })
  it('of one task alone is what its day does not hold, by its weight; without a day there is none', () => {
    expect(lateness([task([way(480)])])).toBe(0)
    expect(lateness([task([way(600)], { weight: 3 })])).toBeCloseTo(360, 3)
    expect(lateness([task([way(600)], { dueMin: Infinity })])).toBe(0)
    // Whoever comes soonest: Hazel is away on Monday.
    const people = [
      { id: 'rowan', works: workWeeks(60).slice(2) },
      { id: 'hazel', works: workWeeks(60) },
    ]
    expect(lateness([task([way(480, { people: [0, 1] })])], { people })).toBe(0)
    expect(lateness([task([way(480)])], { people })).toBeCloseTo(480, 3)
  })
  it('of two that are due on a day with room for one is the whole of the other', () => {
    expect(lateness([task([way(480)]), task([way(480)])])).toBeCloseTo(480, 2)
    // The one that counts less is late.
    expect(lateness([task([way(480)], { weight: 3 }), task([way(480)])])).toBeCloseTo(480, 2)
    // Two people do them beside each other, but not on one machine.
    const beside = (setUp: number) => [task([way(480)]), task([way(480, { setUp, people: [1] })])]
    expect(lateness(beside(1))).toBeCloseTo(0, 3)
    expect(lateness(beside(0))).toBeCloseTo(480, 2)
  })
  it('of what waits for its day begins no sooner than that', () => {
    const late = { readyMin: endOf(0), dueMin: endOf(1) }
    expect(lateness([task([way(480)], late), task([way(480)], late)])).toBeCloseTo(480, 2)
    expect(lateness([task([way(480)], late), task([way(480)], { dueMin: endOf(1) })])).toBeCloseTo(0, 3)
    expect(lateness([task([way(600)], late)])).toBeCloseTo(120, 3)
  })
  it('of two that need one gun at a time is that of one after the other', () => {
    const shared = [{ id: 'gun', kind: 'gun' as const, name: 'Gun', capacity: 1 }]
    const uses = [{ shared: 0, amount: 1 }]
    const tasks = [task([way(480, { uses })]), task([way(480, { uses, setUp: 1, people: [1] })])]
    expect(lateness(tasks, { shared })).toBeCloseTo(480, 2)
    expect(lateness(tasks, { shared: [{ ...shared[0], capacity: 2 } as never] })).toBeCloseTo(0, 3)
    // Each takes half of the amperes: both run.
    const half = [{ shared: 0, amount: 0.5 }]
    const halves = [task([way(480, { uses: half })]), task([way(480, { uses: half, setUp: 1, people: [1] })])]
    expect(lateness(halves, { shared })).toBeCloseTo(0, 3)
  })
  it('of what has begun is that of its own way and person', () => {
    const fixed = { way: 1, person: 0, startMin: MONDAY + 420, hasBegun: true }
    expect(lateness([task([way(60), way(600, { setUp: 1 })], { fixed })])).toBeCloseTo(120, 3)
  })
})

describe('work with changes', () => {
  it('is each job in its quickest way, and the cheapest change into what is used', () => {
    expect(work([task([way(100), way(120, { setUp: 1 })])])).toBeCloseTo(100, 3)
    const setUps = [
      { id: 'a', machine: 0, changeFromNowMin: 0 },
      { id: 'b', machine: 0, changeFromNowMin: 40 },
    ]
    // 25 min from the other set-up, 40 from what is on the machine now.
    const changeMin = [
      [0, 25],
      [25, 0],
    ]
    const tasks = [task([way(100)]), task([way(100, { setUp: 1 })])]
    expect(work(tasks, { setUps, changeMin }, 1e6)).toBeCloseTo(225, 2)
    // Its set-up is on the machine where it has begun.
    const fixed = { way: 0, person: 0, startMin: MONDAY + 420, hasBegun: true }
    expect(
      work([tasks[0] as Task, { ...(tasks[1] as Task), fixed }], { setUps, changeMin }, 1e6),
    ).toBeCloseTo(200, 2)
    // Not changed for where another way saves less than the change.
    expect(work([task([way(120), way(100, { setUp: 1 })])], { setUps, changeMin }, 1e6)).toBeCloseTo(120, 2)
    expect(work([task([way(130), way(100, { setUp: 1 })])], { setUps, changeMin }, 1e6)).toBeCloseTo(125, 2)
  })
  it('in time is more where the quick machine has no room for all of it', () => {
    const both = () => task([way(300, { people: [0, 1] }), way(400, { setUp: 1, people: [0, 1] })])
    // 480 of 600 minutes run on the quick machine; two fifths of a job take a third longer.
    expect(work([both(), both()])).toBeCloseTo(640, 1)
    expect(work([both(), both()], {}, 1e6)).toBeCloseTo(600, 1)
  })
  it('in time is more where whoever is quick has no hours for all of it', () => {
    const both = (setUp: number) => task([way(300, { setUp, people: [0] }), way(400, { setUp, people: [1] })])
    expect(work([both(0), both(1)])).toBeCloseTo(640, 1)
  })
})

it('no plan of people with unlike hours, for jobs that wait for their day, beats a bound', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (seed) => {
      const invented = inventedProblem(seed, {
        tasks: 4,
        setUps: 3,
        machines: 2,
        people: 2,
        load: 1.3,
        longest: 400,
      })
      const days = Math.floor(seed * 1000)
      const problem: PlanProblem = {
        ...invented,
        people: invented.people.map((person, at) => ({
          ...person,
          works: person.works.filter((_, index) => (index + days) % (at + 2) !== 0),
        })),
        tasks: invented.tasks.map((one, at) => ({
          ...one,
          readyMin: one.readyMin + ((days + at) % 3) * DAY_MIN,
          dueMin: (days + at) % 5 === 0 ? Infinity : one.dueMin,
        })),
      }
      const { late } = exhausted(problem)
      const found = planFor(problem, { seed: 0.42, trials: 3000 })
      const { lateMin, workAndChangeMin } = boundsOf(problem, found.cost, solve)
      expect(lateMin).toBeLessThanOrEqual(late + 1e-3)
      expect(workAndChangeMin).toBeLessThanOrEqual(found.cost.workMin + found.cost.changeMin + 1e-3)
      expect(workAndChangeMin).toBeGreaterThanOrEqual(
        problem.tasks.reduce((sum, { ways }) => sum + Math.min(...ways.map(({ workMin }) => workMin)), 0) -
          1e-3,
      )
    }),
    { numRuns: runs(12) },
  )
})
