/**
 * Seeks a better plan: starts with a plan that takes the most urgent task first, then changes it a little at a time, and now
 * and then takes related tasks out and puts them back where they cost least. A worse plan is kept for a while (simulated
 * annealing, Kirkpatrick et al. 1983; ruin and recreate, Schrimpf et al. 2000). The same seed gives the same plan.
 */
import { randomLcg } from 'd3-random'
import { type Choice, Placing } from './placing.ts'
import { type Placed, type PlanCost, type PlanProblem, type Task } from './problem.ts'

export interface Plan {
  readonly placed: readonly Placed[]
  readonly cost: PlanCost
  readonly choice: Choice
}

export interface HowMuch {
  /** Between 0 and 1. */
  readonly seed: number
  /** Plans that are tried. */
  readonly trials: number
  /** Tasks that may be moved; all that have not begun where it is left out. */
  readonly movable?: ReadonlySet<number>
}

const copyOf = ({ order, way, person }: Choice): Choice => ({
  order: [...order],
  way: [...way],
  person: [...person],
})

/** Urgent first: by due day, then by what has been seen, then as they come. */
function byUrgency(tasks: readonly Task[]): number[] {
  const startOf = ({ fixed, seen }: Task): number => fixed?.startMin ?? seen?.startMin ?? Infinity
  const has = (task: Task): number => (task.fixed?.hasBegun ? 0 : 1)
  return tasks
    .map((_, at) => at)
    .sort((a, b) => {
      const [one, other] = [tasks[a] as Task, tasks[b] as Task]
      return (
        has(one) - has(other) ||
        compare(one.dueMin, other.dueMin) ||
        compare(startOf(one), startOf(other)) ||
        other.weight - one.weight ||
        a - b
      )
    })
}
/** Two infinities are equal. */
const compare = (a: number, b: number): number => (a === b ? 0 : a - b)

interface Pick {
  readonly way: number
  readonly person: number
}
const picksOf = ({ ways, fixed }: Task): readonly Pick[] =>
  fixed
    ? [{ way: fixed.way, person: fixed.person }]
    : ways.flatMap(({ people }, way) => people.map((person) => ({ way, person })))

/** How the share of worse plans that are kept goes down: from a tenth of a usual change to nearly nothing. */
const HOT_MIN = 100
const COLD_MIN = 0.2
/** So often a task that is late is looked at, where there is one. */
const LATE_SHARE = 0.3
/** One trial in so many takes tasks out and puts them back. */
const RUINS_EVERY = 60
const MOST_RUINED = 5
/** Places that are tried for a task that comes back. */
const PLACES_TRIED = 8

export class PlanSearch {
  readonly #problem: PlanProblem
  readonly #placing: Placing
  readonly #picks: readonly (readonly Pick[])[]
  readonly #movable: readonly number[]
  readonly #moves: ReadonlySet<number>
  readonly #random: () => number
  #now: Choice
  #cost: number
  #best: Choice
  #bestCost: number
  #tried = 0
  /** Tasks that are late now and can move; null where it was not looked. */
  #late: readonly number[] | null = null

  /** @param from a plan to begin with, whole or with tasks left out of its order; null begins with the most urgent */
  constructor(
    problem: PlanProblem,
    readonly howMuch: HowMuch,
    from: Choice | null = null,
  ) {
    this.#problem = problem
    this.#placing = new Placing(problem)
    this.#picks = problem.tasks.map(picksOf)
    this.#random = randomLcg(howMuch.seed)
    const { movable } = howMuch
    this.#movable = problem.tasks
      .map((_, at) => at)
      .filter((at) => !problem.tasks[at]?.fixed?.hasBegun && (movable?.has(at) ?? true))
    this.#moves = new Set(this.#movable)
    this.#now = from ? this.#completed(copyOf(from)) : this.#greedy()
    this.#placing.keep(this.#now)
    this.#cost = this.#placing.cost(this.#now, this.#now.order.length)
    this.#best = copyOf(this.#now)
    this.#bestCost = this.#cost
  }

  get tried(): number {
    return this.#tried
  }
  /** @returns the best plan so far */
  get best(): Plan {
    // Its own placing: the search goes on from where it was.
    const choice = copyOf(this.#best)
    return { ...new Placing(this.#problem).placed(choice), choice }
  }
  get bestCost(): number {
    return this.#bestCost
  }
  get isOver(): boolean {
    return this.#tried >= this.howMuch.trials || this.#movable.length === 0
  }

  /** Urgent tasks first, each where it costs least and is done soonest. */
  #greedy(): Choice {
    const { tasks } = this.#problem
    const choice: Choice = {
      order: [],
      way: tasks.map(({ fixed }) => fixed?.way ?? 0),
      person: tasks.map((task) => task.fixed?.person ?? task.ways[0]?.people[0] ?? 0),
    }
    for (const task of byUrgency(tasks)) {
      choice.order.push(task)
      const at = choice.order.length - 1
      let [best, least] = [this.#picks[task]?.[0], Infinity]
      for (const pick of this.#picks[task] ?? []) {
        choice.way[task] = pick.way
        choice.person[task] = pick.person
        const cost = this.#placing.costWithEnd(choice, at)
        if (cost < least) [best, least] = [pick, cost]
      }
      choice.way[task] = best?.way ?? 0
      choice.person[task] = best?.person ?? 0
      this.#placing.keep(choice, at)
    }
    return choice
  }

  /** What is not in the order yet goes where it costs least. */
  #completed(choice: Choice): Choice {
    const { order } = choice
    const lacking = byUrgency(this.#problem.tasks).filter((task) => !order.includes(task))
    if (lacking.length > 0) this.#placing.keep(choice)
    for (const task of lacking) this.#insert(choice, task, 0, order.length)
    return choice
  }

  /** Puts a task into the order, at the place and in the way that cost least. */
  #insert({ order, way, person }: Choice, task: number, first: number, last: number): void {
    const choice = { order, way, person }
    let [bestAt, best, least] = [last, this.#picks[task]?.[0], Infinity]
    for (let at = first; at <= last; at += 1) {
      order.splice(at, 0, task)
      for (const pick of this.#picks[task] ?? []) {
        way[task] = pick.way
        person[task] = pick.person
        const cost = this.#placing.cost(choice, at, least)
        this.#tried += 1
        if (cost < least) [bestAt, best, least] = [at, pick, cost]
      }
      order.splice(at, 1)
    }
    order.splice(bestAt, 0, task)
    way[task] = best?.way ?? 0
    person[task] = best?.person ?? 0
    this.#placing.keep(choice, bestAt)
  }

  /** @param trials so many more plans, fewer where the search ends before */
  run(trials: number): void {
    const until = Math.min(this.howMuch.trials, this.#tried + trials)
    while (this.#tried < until && this.#movable.length > 0) {
      const warmth = HOT_MIN * (COLD_MIN / HOT_MIN) ** (this.#tried / this.howMuch.trials)
      if (this.#tried % RUINS_EVERY === RUINS_EVERY - 1) this.#ruin(warmth)
      else this.#move(warmth)
    }
  }

  #pickOne<T>(list: readonly T[]): T {
    return list[Math.floor(this.#random() * list.length)] as T
  }

  /** Keeps a changed plan where it is better, or not too much worse. */
  #settle(changed: Choice, from: number, warmth: number): boolean {
    const most = this.#cost - warmth * Math.log(Math.max(1e-12, this.#random()))
    const cost = this.#placing.cost(changed, from, most)
    this.#tried += 1
    if (cost > most) return false
    this.#now = changed
    this.#cost = cost
    this.#placing.keep(changed, from)
    this.#late = null
    if (cost < this.#bestCost - 1e-9) {
      this.#bestCost = cost
      this.#best = copyOf(changed)
    }
    return true
  }

  #move(warmth: number): void {
    const { order, way, person } = this.#now
    const kind = this.#random()
    this.#late ??= this.#placing.late().filter((one) => this.#moves.has(one))
    const isLate = this.#late.length > 0 && this.#random() < LATE_SHARE
    const task = this.#pickOne(isLate ? this.#late : this.#movable)
    const at = order.indexOf(task)
    if (isLate && kind < 0.5) {
      // To wherever it was before: what is late has to come sooner.
      const to = Math.floor(this.#random() * (at + 1))
      shift(order, at, to)
      if (!this.#settle(this.#now, to, warmth)) shift(order, to, at)
      return
    }
    if (kind < 0.4) {
      const picks = this.#picks[task] ?? []
      const pick = this.#pickOne(picks)
      const [wasWay, wasPerson] = [way[task] as number, person[task] as number]
      // Another way or person often needs another place too.
      const to = this.#random() < 0.5 ? at : this.#near(at)
      if (pick.way === wasWay && pick.person === wasPerson && to === at) {
        this.#tried += 1
        return
      }
      way[task] = pick.way
      person[task] = pick.person
      shift(order, at, to)
      if (this.#settle(this.#now, Math.min(at, to), warmth)) return
      way[task] = wasWay
      person[task] = wasPerson
      shift(order, to, at)
      return
    }
    const to = this.#near(at)
    if (kind < 0.75) {
      shift(order, at, to)
      if (!this.#settle(this.#now, Math.min(at, to), warmth)) shift(order, to, at)
      return
    }
    const other = order[to] as number
    order[at] = other
    order[to] = task
    if (this.#settle(this.#now, Math.min(at, to), warmth)) return
    order[at] = task
    order[to] = other
  }

  /** Mostly a near place, now and then any. */
  #near(at: number): number {
    const { length } = this.#now.order
    if (this.#random() < 0.15) return Math.floor(this.#random() * length)
    const reach = Math.max(2, Math.min(12, length >> 2))
    const to = at + Math.round((this.#random() * 2 - 1) * reach)
    return Math.max(0, Math.min(length - 1, to))
  }

  /** Takes tasks of one set-up, or neighbours in time, out and puts each back where it costs least. */
  #ruin(warmth: number): void {
    const changed = copyOf(this.#now)
    const { order, way } = changed
    const first = this.#pickOne(this.#movable)
    const setUpOf = (task: number) => this.#problem.tasks[task]?.ways[way[task] as number]?.setUp
    const middle = order.indexOf(first)
    const isByTime = this.#random() < 0.5
    const related = order
      .filter((task) => this.#moves.has(task))
      .filter((task) => isByTime || setUpOf(task) === setUpOf(first))
      .sort((a, b) => Math.abs(order.indexOf(a) - middle) - Math.abs(order.indexOf(b) - middle))
      .slice(0, 1 + Math.floor(this.#random() * MOST_RUINED))
    for (const task of related) order.splice(order.indexOf(task), 1)
    let from = order.findIndex((task, at) => task !== this.#now.order[at])
    if (from < 0) from = order.length
    this.#placing.keep(changed, from)
    for (const task of related) {
      const isAll = order.length <= PLACES_TRIED
      const first = isAll ? 0 : Math.max(0, Math.min(order.length, middle) - (PLACES_TRIED >> 1))
      const last = isAll ? order.length : Math.min(order.length, first + PLACES_TRIED)
      this.#insert(changed, task, first, last)
    }
    const was = this.#now
    if (this.#settle(changed, order.length, warmth)) return
    this.#placing.keep(was)
  }
}

/** Moves one from a place to another. */
function shift(order: number[], from: number, to: number): void {
  if (from === to) return
  const [task] = order.splice(from, 1)
  order.splice(to, 0, task as number)
}

/**
 * @returns the best plan that was found
 * @example planFor(problem, { seed: 0.42, trials: 20_000 }).cost.lateMin // 0
 */
export function planFor(problem: PlanProblem, howMuch: HowMuch, from: Choice | null = null): Plan {
  const search = new PlanSearch(problem, howMuch, from)
  search.run(howMuch.trials)
  return search.best
}
