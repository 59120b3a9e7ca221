/** Times of a plan, worked out on paper: hours from 7 to 11:30 and from 12 to 15:30. Sources: none outside. */
import { describe, expect, it } from 'vitest'
import { at, endOf, shopOf, task, way } from '../testing/paperPlan.ts'
import { type Choice, Placing } from './placing.ts'
import { costOfPlan, type Fixed, type PlanProblem, type SharedThing, type Task } from './problem.ts'

/** Tasks one after the other, each in its first way by the person of that way. */
const inTurn = ({ tasks }: PlanProblem, part: Partial<Choice> = {}): Choice => ({
  order: tasks.map((_, one) => one),
  way: tasks.map(({ fixed }) => fixed?.way ?? 0),
  person: tasks.map(({ ways, fixed }) => fixed?.person ?? ways[0]?.people[0] ?? 0),
  ...part,
})
const placed = (problem: PlanProblem, part: Partial<Choice> = {}) =>
  new Placing(problem).placed(inTurn(problem, part))
/** Start and end of each task, by its place among the tasks. */
function timesOf(problem: PlanProblem, part: Partial<Choice> = {}): readonly (readonly [number, number])[] {
  const { placed: found } = placed(problem, part)
  return problem.tasks.map((_, index) => {
    const one = found.find((each) => each.task === index)
    return [one?.startMin ?? NaN, one?.endMin ?? NaN] as const
  })
}
const fixedAt = (clock: number, part: Partial<Fixed> = {}): Fixed => ({
  way: 0,
  person: 0,
  startMin: at(clock),
  hasBegun: false,
  ...part,
})
const thing = (capacity: number): SharedThing => ({ id: 'thing', kind: 'circuit', name: 'Thing', capacity })
/** One on each machine, each by another person. */
const sideBySide = (
  minutes: readonly [number, number],
  amounts: readonly [number, number],
): readonly Task[] => [
  task([way(minutes[0], { uses: [{ shared: 0, amount: amounts[0] }] })]),
  task([way(minutes[1], { setUp: 1, people: [1], uses: [{ shared: 0, amount: amounts[1] }] })]),
]

describe('one after the other', () => {
  it('on one machine goes on when it is free, over the break', () => {
    const both = shopOf([task([way(240)]), task([way(60, { people: [1] })])])
    expect(timesOf(both)).toEqual([
      [at(7), at(11)],
      // Half an hour before the break, half an hour after it.
      [at(11), at(12.5)],
    ])
  })
  it('by one person goes on at the other machine when the first is done, which is a walk', () => {
    const both = shopOf([task([way(60)]), task([way(60, { setUp: 1 })])])
    expect(timesOf(both)[1]).toEqual([at(8), at(9)])
    expect(placed(both).cost.moves).toBe(1)
    expect(placed(shopOf([task([way(60)]), task([way(60)])])).cost.moves).toBe(0)
  })
  it('by two people on two machines runs side by side', () => {
    const both = shopOf([task([way(60)]), task([way(60, { setUp: 1, people: [1] })])])
    expect(timesOf(both)).toEqual([
      [at(7), at(8)],
      [at(7), at(8)],
    ])
  })
  it('begins with the change from what is on the machine', () => {
    const one = {
      setUps: [
        { id: 'a', machine: 0, changeFromNowMin: 10 },
        { id: 'b', machine: 0, changeFromNowMin: 30 },
      ],
      machines: ['one'],
    }
    const both = shopOf([task([way(60)]), task([way(60, { setUp: 1 })])], one)
    expect(timesOf(both)).toEqual([
      [at(7), at(7) + 70],
      [at(7) + 70, at(7) + 145],
    ])
    expect(placed(both).cost).toMatchObject({ changeMin: 25, workMin: 120 })
    expect(placed(both, { order: [1, 0] }).cost.changeMin).toBe(45)
  })
  it('begins no sooner than it is ready', () => {
    expect(timesOf(shopOf([task([way(60)], { readyMin: at(9.25) })]))[0]).toEqual([at(9.25), at(10.25)])
  })
})

describe('what is shared', () => {
  it.each([
    ['a gun of which there is one', 1, [1, 1], at(8)],
    ['two cylinders', 2, [1, 1], at(7)],
    ['amperes that fill the breaker', 30, [18, 12], at(7)],
    ['amperes that are one too many', 30, [18, 13], at(8)],
  ] as const)('%s', (_, capacity, amounts, secondAt) => {
    const both = shopOf(sideBySide([60, 60], amounts), { shared: [thing(capacity)] })
    expect(timesOf(both)[1]?.[0]).toBe(secondAt)
  })
  it('three on a breaker for two: the third comes when the first of them ends', () => {
    const use = { uses: [{ shared: 0, amount: 10 }] }
    const three = shopOf(
      [
        task([way(120, use)]),
        task([way(45, { setUp: 1, people: [1], ...use })]),
        task([way(60, { setUp: 2, people: [2], ...use })]),
      ],
      {
        shared: [thing(20)],
        setUps: [0, 1, 2].map((machine) => ({ id: `${machine}`, machine, changeFromNowMin: 0 })),
        machines: ['one', 'two', 'three'],
        changeMin: [0, 1, 2].map(() => [0, 0, 0]),
        people: [0, 1, 2].map((one) => ({ id: `${one}`, works: shopOf([]).people[0]?.works ?? [] })),
      },
    )
    expect(timesOf(three)[2]).toEqual([at(7.75), at(8.75)])
  })
  it('what has ended takes nothing any more', () => {
    const tasks = [...sideBySide([60, 60], [1, 1])].map((one, index) =>
      index === 1 ? { ...one, readyMin: at(8) } : one,
    )
    expect(timesOf(shopOf(tasks, { shared: [thing(1)] }))[1]?.[0]).toBe(at(8))
  })
})

describe('a pin', () => {
  it('holds, and what does not fit before it comes after', () => {
    const long = shopOf([task([way(180)]), task([way(60)], { fixed: fixedAt(9) })])
    expect(timesOf(long)).toEqual([
      [at(10), at(13.5)],
      [at(9), at(10)],
    ])
    const short = shopOf([task([way(120)]), task([way(60)], { fixed: fixedAt(9) })])
    expect(timesOf(short)[0]).toEqual([at(7), at(9)])
    expect(placed(long).cost.dislikedMin).toBe(0)
  })
  it('on a machine keeps others from it, and on a thing that there is one of', () => {
    const pinned = task([way(60, { people: [1] })], { fixed: fixedAt(8, { person: 1 }) })
    expect(timesOf(shopOf([task([way(120)]), pinned]))[0]?.[0]).toBe(at(9))
    const use = { uses: [{ shared: 0, amount: 1 }] }
    const torch = task([way(60, { setUp: 1, people: [1], ...use })], { fixed: fixedAt(8, { person: 1 }) })
    const beside = (uses: object) =>
      timesOf(shopOf([task([way(120, uses)]), torch], { shared: [thing(1)] }))[0]
    expect(beside(use)?.[0]).toBe(at(9))
    expect(beside({})?.[0]).toBe(at(7))
  })
  it('counts like lateness by as much as it begins too late', () => {
    const two = shopOf([task([way(60)], { fixed: fixedAt(9.5) }), task([way(60)], { fixed: fixedAt(10) })])
    expect(timesOf(two)[1]?.[0]).toBe(at(10.5))
    // Half an hour, each minute as much as ten of work.
    expect(placed(two).cost.dislikedMin).toBe(300)
  })
  it('before his hours is held by whoever begins with them', () => {
    const early = shopOf([task([way(60)], { fixed: fixedAt(6) })], { fromMin: at(5) })
    expect(timesOf(early)[0]?.[0]).toBe(at(7))
    expect(placed(early).cost.dislikedMin).toBe(0)
  })
  it('of what has begun takes no change, and comes before what is pinned there', () => {
    const setUps = [0, 1].map((machine) => ({ id: `${machine}`, machine, changeFromNowMin: 25 }))
    const begun = task([way(60)], { fixed: fixedAt(7, { hasBegun: true }) })
    const two = shopOf([task([way(60)], { fixed: fixedAt(7) }), begun], { setUps })
    expect(timesOf(two)[1]).toEqual([at(7), at(8)])
    expect(timesOf(two)[0]?.[0]).toBe(at(8))
    expect(placed(two).cost.changeMin).toBe(0)
  })
})

describe('lateness', () => {
  it('is minutes of work after the due day, by its weight: a night is none', () => {
    // Ten hours of work: two of them on Tuesday.
    const long = (weight: number) => shopOf([task([way(600)], { dueMin: endOf(0), weight })])
    expect(placed(long(1)).cost.lateMin).toBe(120)
    expect(placed(long(3)).cost.lateMin).toBe(360)
    expect(placed(shopOf([task([way(480)])])).cost.lateMin).toBe(0)
    const { cost } = placed(long(1))
    expect(costOfPlan(cost)).toBe(10 * 120 + 600)
  })
  it('names the tasks that are late in the plan that was kept', () => {
    const problem = shopOf([task([way(400)]), task([way(400)]), task([way(10)], { dueMin: endOf(5) })])
    const placing = new Placing(problem)
    placing.keep(inTurn(problem))
    expect(placing.late()).toEqual([1])
    placing.keep(inTurn(problem, { order: [1, 0, 2] }))
    expect(placing.late()).toEqual([0])
  })
})

describe('what differs from the plan that was seen', () => {
  const calm = { person: 20, machine: 30, start: 15 }
  const cost = (seen: Task['seen'], more: Partial<PlanProblem> = { calm }): number =>
    placed(shopOf([task([way(60)], { seen })], more)).cost.dislikedMin
  it('costs by person, machine and start, the whole price from an hour on', () => {
    expect(cost({ setUp: 0, person: 0, startMin: at(7) })).toBe(0)
    expect(cost({ setUp: 0, person: 1, startMin: at(7) })).toBe(20)
    expect(cost({ setUp: 1, person: 0, startMin: at(7) })).toBe(30)
    expect(cost({ setUp: 0, person: 0, startMin: at(7.5) })).toBe(7.5)
    expect(cost({ setUp: 0, person: 0, startMin: at(6) })).toBe(15)
    expect(cost({ setUp: 1, person: 1, startMin: at(12) })).toBe(65)
  })
  it('costs nothing where nothing has a price, or it is new', () => {
    expect(cost({ setUp: 1, person: 1, startMin: at(12) }, {})).toBe(0)
    expect(cost(null)).toBe(0)
  })
})

describe('the cost of an order', () => {
  const problem = shopOf([task([way(120)]), task([way(60)]), task([way(500)])])
  const [choice, other] = [inTurn(problem), inTurn(problem, { order: [0, 2, 1] })]
  it('is given up above a limit, and not at it', () => {
    const placing = new Placing(problem)
    const whole = placing.cost(choice)
    expect(whole).toBe(costOfPlan(placing.placed(choice).cost))
    expect(placing.cost(choice, 0, whole)).toBe(whole)
    expect(placing.cost(choice, 0, whole - 1)).toBe(Infinity)
  })
  it('from a place on is what it is from the first, behind what was kept', () => {
    const placing = new Placing(problem)
    placing.keep(choice)
    expect(placing.cost(other, 1)).toBe(new Placing(problem).cost(other))
    // What is only asked is not kept.
    expect(placing.cost(choice, 3)).toBe(new Placing(problem).cost(choice))
  })
  it('with its end is less for what is done sooner', () => {
    const single = (machine: 0 | 1) =>
      new Placing(shopOf([task([way(60)]), task([way(60), way(60, { setUp: 1, people: [1] })])])).costWithEnd(
        { order: [0, 1], way: [0, machine], person: [0, machine] },
        0,
      )
    expect(single(1)).toBeLessThan(single(0))
    expect(single(0) - single(1)).toBeLessThan(60)
  })
})
