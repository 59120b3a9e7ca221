/**
 * Turns an order of tasks, each with its way and its person, into times: one after the other, each as early as machine,
 * person and shared things allow. What is fixed is put in before anything that would stand in its way.
 *
 * A search tries hundreds of thousands of orders, so what was placed before the first change is kept from the last one.
 */
import { Hours } from './hours.ts'
import { PLAN_WEIGHTS, type Placed, type PlanCost, type PlanProblem } from './problem.ts'

/** An order of tasks, and what was chosen for each task. */
export interface Choice {
  /** Tasks by their places. */
  readonly order: number[]
  readonly way: number[]
  readonly person: number[]
}

/** What a start is off until the full price of another start counts, min. */
const FULL_CHANGE_MIN = 60
/** What cannot be placed within anybody's hours counts as late by a year's work. */
const NEVER_MIN = 250 * 480
/** Done sooner, in minutes of work a minute: where it decides nothing else. */
const SOONER = 0.05
/** Rounding. */
const SLACK = 1e-9

/** Who takes a shared thing, and for how long: first what was kept, then what is tried after it. */
class Profile {
  readonly #starts: Float64Array
  readonly #ends: Float64Array
  readonly #amounts: Float64Array
  /** What is tried is written behind all that may be kept. */
  readonly #triedAt: number
  #kept = 0
  #tried = 0
  #keeps = false

  /** @param most so many tasks may take it */
  constructor(most: number) {
    this.#triedAt = most
    this.#starts = new Float64Array(2 * most)
    this.#ends = new Float64Array(2 * most)
    this.#amounts = new Float64Array(2 * most)
  }

  /** So many of those that were kept stay. */
  begin(kept: number, keeps: boolean): void {
    this.#kept = kept
    this.#tried = 0
    this.#keeps = keeps
  }
  get count(): number {
    return this.#kept + this.#tried
  }

  add(startMin: number, endMin: number, amount: number): void {
    const at = this.#keeps ? this.#kept : this.#triedAt + this.#tried
    this.#starts[at] = startMin
    this.#ends[at] = endMin
    this.#amounts[at] = amount
    if (this.#keeps) this.#kept += 1
    else this.#tried += 1
  }

  #at(index: number): number {
    return index < this.#kept ? index : this.#triedAt + index - this.#kept
  }

  /** @returns when so much of it may be free next, if it is not from start to end; else `startMin` */
  freeAt(startMin: number, endMin: number, amount: number, capacity: number): number {
    let soonest = Infinity
    for (let index = 0; index < this.count; index += 1) {
      const at = this.#at(index)
      const [from, to] = [this.#starts[at] as number, this.#ends[at] as number]
      if (from >= endMin || to <= startMin) continue
      // The greatest use begins where one of them begins.
      const point = Math.max(from, startMin)
      let used = amount
      for (let other = 0; other < this.count; other += 1) {
        const its = this.#at(other)
        if ((this.#starts[its] as number) <= point && (this.#ends[its] as number) > point)
          used += this.#amounts[its] as number
      }
      if (used > capacity + SLACK) soonest = Math.min(soonest, to)
    }
    return soonest === Infinity ? startMin : soonest
  }
}

export class Placing {
  readonly #problem: PlanProblem
  readonly #hours: readonly Hours[]
  readonly #profiles: readonly Profile[]
  /** Fixed tasks by their start. */
  readonly #fixed: readonly number[]
  /** Place in `#fixed` by task; -1 where it is free. */
  readonly #fixedAt: Int32Array
  readonly #start: Float64Array
  readonly #end: Float64Array
  readonly #change: Float64Array
  /** Of the plan that was kept. */
  readonly #keptEnd: Float64Array
  /** Machines, people, profiles, fixed and sums after each place of the order. */
  readonly #now: Float64Array
  #kept: Float64Array
  readonly #places: {
    readonly machineFree: number
    readonly machineSetUp: number
    readonly personFree: number
    readonly personMachine: number
    readonly profile: number
    readonly fixed: number
    readonly sums: number
    readonly size: number
  }
  #choice: Choice = { order: [], way: [], person: [] }

  constructor(problem: PlanProblem) {
    const { tasks, machines, people, shared } = problem
    this.#problem = problem
    this.#hours = people.map(({ works }) => new Hours(works))
    this.#profiles = shared.map(() => new Profile(tasks.length))
    this.#fixed = tasks
      .map((_, task) => task)
      .filter((task) => tasks[task]?.fixed)
      // What has begun is on its machine before whatever is pinned there.
      .sort((a, b) => startOf(problem, a) - startOf(problem, b) || a - b)
    this.#fixedAt = new Int32Array(tasks.length).fill(-1)
    this.#fixed.forEach((task, at) => (this.#fixedAt[task] = at))
    this.#start = new Float64Array(tasks.length)
    this.#end = new Float64Array(tasks.length)
    this.#change = new Float64Array(tasks.length)
    this.#keptEnd = new Float64Array(tasks.length)
    const machineFree = 0
    const machineSetUp = machineFree + machines.length
    const personFree = machineSetUp + machines.length
    const personMachine = personFree + people.length
    const profile = personMachine + people.length
    const fixed = profile + shared.length
    const sums = fixed + this.#fixed.length
    const size = sums + SUMS
    this.#places = { machineFree, machineSetUp, personFree, personMachine, profile, fixed, sums, size }
    this.#now = new Float64Array(size)
    this.#kept = new Float64Array(size * (tasks.length + 1))
    this.#begin()
    this.#kept.set(this.#now, 0)
  }

  #begin(): void {
    const { fromMin, machines, people } = this.#problem
    const { machineFree, machineSetUp, personFree, personMachine } = this.#places
    this.#now.fill(0)
    machines.forEach((_, at) => {
      this.#now[machineFree + at] = fromMin
      this.#now[machineSetUp + at] = -1
    })
    people.forEach((_, at) => {
      this.#now[personFree + at] = fromMin
      this.#now[personMachine + at] = -1
    })
  }

  /**
   * @param from places before this one are as in the last order that was kept
   * @param most gives up once it costs more
   * @returns its cost; Infinity where it gave up
   */
  cost(choice: Choice, from = 0, most = Infinity): number {
    this.#run(choice, from, most, false)
    const sums = this.#sums()
    return sums > most ? Infinity : sums
  }

  /** @returns its cost, and a little for each minute until its last task ends: of two alike the sooner */
  costWithEnd(choice: Choice, from: number): number {
    const cost = this.cost(choice, from)
    const last = choice.order.at(-1)
    return cost + ((this.#end[last ?? 0] as number) - this.#problem.fromMin) * SOONER
  }

  /** @returns tasks that end after their due day in the plan that was kept */
  late(): readonly number[] {
    return this.#problem.tasks.flatMap(({ dueMin }, task) =>
      (this.#keptEnd[task] as number) > dueMin ? [task] : [],
    )
  }

  /** Places it and keeps it: later orders may begin as it does. */
  keep(choice: Choice, from = 0): void {
    this.#run(choice, from, Infinity, true)
  }

  /** @returns every task with its times, and what the whole costs */
  placed(choice: Choice): { readonly placed: readonly Placed[]; readonly cost: PlanCost } {
    this.#run(choice, 0, Infinity, true)
    const { sums } = this.#places
    const [lateMin = 0, workMin = 0, changeMin = 0, moves = 0, dislikedMin = 0] = this.#now.subarray(
      sums,
      sums + SUMS,
    )
    const placed = choice.order
      .map((task) => ({
        task,
        way: choice.way[task] as number,
        person: choice.person[task] as number,
        startMin: this.#start[task] as number,
        changeMin: this.#change[task] as number,
        endMin: this.#end[task] as number,
      }))
      .sort((a, b) => a.startMin - b.startMin || a.task - b.task)
    return { placed, cost: { lateMin, workMin, changeMin, moves, dislikedMin } }
  }

  #run(choice: Choice, from: number, most: number, keeps: boolean): void {
    const { size, profile, fixed } = this.#places
    this.#choice = choice
    this.#now.set(this.#kept.subarray(from * size, (from + 1) * size))
    this.#profiles.forEach((one, at) => {
      one.begin(this.#now[profile + at] as number, keeps)
    })
    const { order } = choice
    for (let at = from; at < order.length; at += 1) {
      const task = order[at] as number
      const isFixed = this.#fixedAt[task] as number
      if (isFixed < 0) this.#place(task)
      else if (this.#now[fixed + isFixed] === 0) this.#placeFixed(isFixed)
      if (keeps) {
        this.#keptEnd[task] = this.#end[task] as number
        this.#profiles.forEach((one, which) => (this.#now[profile + which] = one.count))
        this.#kept.set(this.#now, (at + 1) * size)
      } else if (this.#sums() > most) return
    }
  }

  #sums(): number {
    const { sums } = this.#places
    const now = this.#now
    return (
      (now[sums] as number) * PLAN_WEIGHTS.late +
      (now[sums + 1] as number) +
      (now[sums + 2] as number) +
      (now[sums + 3] as number) * PLAN_WEIGHTS.move +
      (now[sums + 4] as number)
    )
  }

  #placeFixed(at: number): void {
    this.#now[this.#places.fixed + at] = 1
    this.#place(this.#fixed[at] as number)
  }

  /** The first that is fixed, not in yet, and in the way of a task from then on; -1 where none is. */
  #inTheWay(task: number, machine: number, person: number, endMin: number): number {
    const { fixed } = this.#places
    const { tasks, setUps } = this.#problem
    for (let at = 0; at < this.#fixed.length; at += 1) {
      if (this.#now[fixed + at] !== 0) continue
      const other = this.#fixed[at] as number
      if (other === task) continue
      if (startOf(this.#problem, other) >= endMin) return -1
      const way = tasks[other]?.ways[this.#choice.way[other] as number]
      if (!way) continue
      if (this.#choice.person[other] === person || setUps[way.setUp]?.machine === machine) return at
      const uses = tasks[task]?.ways[this.#choice.way[task] as number]?.uses ?? []
      if (uses.some(({ shared }) => way.uses.some((use) => use.shared === shared))) return at
    }
    return -1
  }

  #place(task: number): void {
    const { tasks, setUps, changeMin, shared, fromMin, calm } = this.#problem
    const { machineFree, machineSetUp, personFree, personMachine, sums } = this.#places
    const now = this.#now
    const one = tasks[task] as PlanProblem['tasks'][number]
    const way = one.ways[this.#choice.way[task] as number] as (typeof one.ways)[number]
    const person = this.#choice.person[task] as number
    const setUp = setUps[way.setUp] as (typeof setUps)[number]
    const { machine } = setUp
    const hours = this.#hours[person] as Hours
    let start: number
    let end: number
    let change: number
    let earliest = Math.max(fromMin, one.readyMin, one.fixed?.startMin ?? 0)
    for (;;) {
      const before = now[machineSetUp + machine] as number
      change = one.fixed?.hasBegun
        ? 0
        : before < 0
          ? setUp.changeFromNowMin
          : (changeMin[before]?.[way.setUp] as number)
      start = hours.next(
        Math.max(earliest, now[machineFree + machine] as number, now[personFree + person] as number),
      )
      end = hours.end(start, change + way.workMin)
      const first = one.fixed ? -1 : this.#inTheWay(task, machine, person, end)
      if (first >= 0) {
        this.#placeFixed(first)
        continue
      }
      let free = start
      for (const { shared: which, amount } of way.uses) {
        const capacity = shared[which]?.capacity ?? Infinity
        const at = (this.#profiles[which] as Profile).freeAt(start, end, amount, capacity)
        if (at > free) free = at
      }
      if (free === start) break
      earliest = free
    }
    this.#start[task] = start
    this.#end[task] = end
    this.#change[task] = change
    now[sums + 1] = (now[sums + 1] as number) + way.workMin
    now[sums + 2] = (now[sums + 2] as number) + change
    now[sums + 4] = (now[sums + 4] as number) + way.dislikedMin
    // Nobody has the hours for it: it takes nothing from the others.
    if (end === Infinity) {
      now[sums] = (now[sums] as number) + NEVER_MIN * one.weight
      return
    }
    for (const { shared: which, amount } of way.uses)
      (this.#profiles[which] as Profile).add(start, end, amount)
    const was = now[personMachine + person] as number
    now[machineFree + machine] = end
    now[machineSetUp + machine] = way.setUp
    now[personFree + person] = end
    now[personMachine + person] = machine
    if (end > one.dueMin) {
      const late = hours.worked(end) - hours.worked(one.dueMin)
      now[sums] = (now[sums] as number) + late * one.weight
    }
    if (was >= 0 && was !== machine) now[sums + 3] = (now[sums + 3] as number) + 1
    if (calm && one.seen)
      now[sums + 4] =
        (now[sums + 4] as number) +
        (one.seen.person === person ? 0 : calm.person) +
        (setUps[one.seen.setUp]?.machine === machine ? 0 : calm.machine) +
        Math.min(1, Math.abs(start - one.seen.startMin) / FULL_CHANGE_MIN) * calm.start
    // A pin that does not hold counts as much as work that is late.
    if (one.fixed)
      now[sums + 4] =
        (now[sums + 4] as number) + Math.max(0, start - hours.next(earliest)) * PLAN_WEIGHTS.late
  }
}
/** Lateness, work, changes, moves, what is disliked. */
const SUMS = 5

/** What has begun counts as if it had begun before everything. */
const startOf = ({ tasks, fromMin }: PlanProblem, task: number): number => {
  const fixed = tasks[task]?.fixed
  return fixed?.hasBegun ? fromMin - 1 : (fixed?.startMin ?? Infinity)
}
