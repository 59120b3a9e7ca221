/**
 * Turns an order of tasks, each with its way and its person, into times: one after the other, each as early as machine,
 * person and shared things allow. What is fixed is put in before anything that would stand in its way.
 *
 * A search tries hundreds of thousands of orders, so what was placed before the first change is kept from the last one.
 */
import { type Hours, hoursOf } from './hours.ts'
import { type Fixed, PLAN_WEIGHTS, type Placed, type PlanCost, type PlanProblem } from './problem.ts'

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
  /** Fixed tasks by their start: first those that have begun. */
  readonly #fixed: readonly number[]
  readonly #begunCount: number
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
  /** Tasks, ways, set-ups and changes as flat lists: what is asked a million times a second. */
  readonly #flat: Flat
  #choice: Choice = { order: [], way: [], person: [] }

  constructor(problem: PlanProblem) {
    const { tasks, machines, people, shared } = problem
    this.#problem = problem
    this.#flat = flatOf(problem)
    this.#hours = people.map(({ works }) => hoursOf(works))
    this.#profiles = shared.map(() => new Profile(tasks.length))
    this.#fixed = tasks
      .map((_, task) => task)
      .filter((task) => tasks[task]?.fixed)
      .sort((a, b) => startOf(problem, a) - startOf(problem, b) || a - b)
    this.#begunCount = this.#fixed.filter((task) => tasks[task]?.fixed?.hasBegun).length
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
    const { size, profile } = this.#places
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
      else this.#placeFixed(isFixed)
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

  /** What has begun is on its machine already, whichever pin comes first in the order. */
  #placeFixed(at: number): void {
    for (let begun = 0; begun < this.#begunCount; begun += 1) this.#placeOnce(begun)
    this.#placeOnce(at)
  }
  #placeOnce(at: number): void {
    const { fixed } = this.#places
    if (this.#now[fixed + at] !== 0) return
    this.#now[fixed + at] = 1
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
    const { machineFree, machineSetUp, personFree, personMachine, sums } = this.#places
    const flat = this.#flat
    const now = this.#now
    const at = (flat.firstWay[task] as number) + (this.#choice.way[task] as number)
    const person = this.#choice.person[task] as number
    const setUp = flat.setUp[at] as number
    const machine = flat.machine[setUp] as number
    const workMin = flat.workMin[at] as number
    const hours = this.#hours[person] as Hours
    const fixed = flat.fixed[task] ?? null
    let free: number
    let start: number
    let end: number
    let change: number
    let earliest = flat.earliest[task] as number
    for (;;) {
      const before = now[machineSetUp + machine] as number
      change = fixed?.hasBegun
        ? 0
        : ((before < 0 ? flat.changeFromNow[setUp] : flat.change[before * flat.setUps + setUp]) as number)
      free = Math.max(earliest, now[machineFree + machine] as number, now[personFree + person] as number)
      start = hours.next(free)
      end = hours.end(start, change + workMin)
      const first = fixed || this.#fixed.length === 0 ? -1 : this.#inTheWay(task, machine, person, end)
      if (first >= 0) {
        this.#placeFixed(first)
        continue
      }
      const later = this.#sharedFreeAt(at, start, end)
      if (later === start) break
      earliest = later
    }
    // Whoever has no hours any more would begin at once.
    this.#start[task] = start === Infinity ? free : start
    this.#end[task] = end
    this.#change[task] = change
    now[sums + 1] = (now[sums + 1] as number) + workMin
    now[sums + 2] = (now[sums + 2] as number) + change
    now[sums + 4] = (now[sums + 4] as number) + (flat.dislikedMin[at] as number)
    const weight = flat.weight[task] as number
    // Nobody has the hours for it: it takes nothing from the others.
    if (end === Infinity) {
      now[sums] = (now[sums] as number) + NEVER_MIN * weight
      return
    }
    const shared = flat.shared[at] as readonly number[]
    const amounts = flat.amounts[at] as readonly number[]
    for (let use = 0; use < shared.length; use += 1)
      (this.#profiles[shared[use] as number] as Profile).add(start, end, amounts[use] as number)
    const was = now[personMachine + person] as number
    now[machineFree + machine] = end
    now[machineSetUp + machine] = setUp
    now[personFree + person] = end
    now[personMachine + person] = machine
    const dueMin = flat.dueMin[task] as number
    if (end > dueMin) now[sums] = (now[sums] as number) + (hours.worked(end) - hours.worked(dueMin)) * weight
    if (was >= 0 && was !== machine) now[sums + 3] = (now[sums + 3] as number) + 1
    if (flat.isSeen || fixed)
      now[sums + 4] = (now[sums + 4] as number) + this.#disliked(task, { person, machine, start })
  }

  /** When everything shared that a way needs may be free next; `start` where it is free. */
  #sharedFreeAt(at: number, start: number, end: number): number {
    const shared = this.#flat.shared[at] as readonly number[]
    const amounts = this.#flat.amounts[at] as readonly number[]
    let free = start
    for (let use = 0; use < shared.length; use += 1) {
      const which = shared[use] as number
      const capacity = this.#flat.capacity[which] as number
      const next = (this.#profiles[which] as Profile).freeAt(start, end, amounts[use] as number, capacity)
      if (next > free) free = next
    }
    return free
  }

  /** Changes against the plan that was seen, and pins that do not hold. */
  #disliked(
    task: number,
    { person, machine, start }: { readonly person: number; readonly machine: number; readonly start: number },
  ): number {
    const { tasks, calm } = this.#problem
    const { seen = null, fixed = null } = tasks[task] ?? {}
    const calmMin =
      calm && seen
        ? (seen.person === person ? 0 : calm.person) +
          (this.#flat.machine[seen.setUp] === machine ? 0 : calm.machine) +
          Math.min(1, Math.abs(start - seen.startMin) / FULL_CHANGE_MIN) * calm.start
        : 0
    if (!fixed) return calmMin
    // A pin that does not hold counts as much as work that is late.
    const asked = (this.#hours[person] as Hours).next(this.#flat.earliest[task] as number)
    return calmMin + Math.max(0, start - asked) * PLAN_WEIGHTS.late
  }
}

interface Flat {
  /** By task. */
  readonly firstWay: Int32Array
  readonly earliest: Float64Array
  readonly dueMin: Float64Array
  readonly weight: Float64Array
  readonly fixed: readonly (Fixed | null)[]
  /** By way, those of a task one after the other. */
  readonly setUp: Int32Array
  readonly workMin: Float64Array
  readonly dislikedMin: Float64Array
  readonly shared: readonly (readonly number[])[]
  readonly amounts: readonly (readonly number[])[]
  /** By set-up. */
  readonly machine: Int32Array
  readonly changeFromNow: Float64Array
  readonly setUps: number
  /** From a set-up, row by row, to a set-up. */
  readonly change: Float64Array
  readonly capacity: Float64Array
  readonly isSeen: boolean
}

function flatOf({ tasks, setUps, changeMin, shared, fromMin, calm }: PlanProblem): Flat {
  const ways = tasks.flatMap((task) => task.ways)
  let next = 0
  return {
    firstWay: Int32Array.from(tasks, (task) => {
      const first = next
      next += task.ways.length
      return first
    }),
    earliest: Float64Array.from(tasks, ({ readyMin, fixed }) =>
      Math.max(fromMin, readyMin, fixed?.startMin ?? 0),
    ),
    dueMin: Float64Array.from(tasks, ({ dueMin }) => dueMin),
    weight: Float64Array.from(tasks, ({ weight }) => weight),
    fixed: tasks.map(({ fixed }) => fixed),
    setUp: Int32Array.from(ways, ({ setUp }) => setUp),
    workMin: Float64Array.from(ways, ({ workMin }) => workMin),
    dislikedMin: Float64Array.from(ways, ({ dislikedMin }) => dislikedMin),
    shared: ways.map(({ uses }) => uses.map((use) => use.shared)),
    amounts: ways.map(({ uses }) => uses.map(({ amount }) => amount)),
    machine: Int32Array.from(setUps, ({ machine }) => machine),
    changeFromNow: Float64Array.from(setUps, ({ changeFromNowMin }) => changeFromNowMin),
    setUps: setUps.length,
    change: Float64Array.from(changeMin.flat()),
    capacity: Float64Array.from(shared, ({ capacity }) => capacity),
    isSeen: calm !== null && tasks.some(({ seen }) => seen !== null),
  }
}
/** Lateness, work, changes, moves, what is disliked. */
const SUMS = 5

/** What has begun counts as if it had begun before everything, also before a pin of yesterday. */
const startOf = ({ tasks }: PlanProblem, task: number): number => {
  const fixed = tasks[task]?.fixed
  return fixed?.hasBegun ? -Infinity : (fixed?.startMin ?? Infinity)
}
