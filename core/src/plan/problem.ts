/**
 * A plan as a problem in plain numbers: who welds what, on which machine, with which set-up, and when. Times are minutes on
 * the wall clock of the shop since 1 January 1970, so that a day has 1,440 of them and no zone is needed.
 */

/** From `startMin` up to, and not with, `endMin`. */
export interface Interval {
  readonly startMin: number
  readonly endMin: number
}

/** Something that several may need at once: a gun, a cylinder, a preheating torch, the amperes of a breaker. */
export interface SharedThing {
  readonly id: string
  readonly kind: 'gun' | 'feeder' | 'cylinder' | 'preheat' | 'circuit' | 'panel' | 'generator'
  readonly name: string
  /** Pieces, or amperes. */
  readonly capacity: number
}

/** How much of a shared thing a task takes while it runs. */
export interface Use {
  /** Its place in `PlanProblem.shared`. */
  readonly shared: number
  readonly amount: number
}

/** One set-up that can do a task. */
export interface Way {
  /** Its place in `PlanProblem.setUps`. */
  readonly setUp: number
  /** Preparation, tacking, arc, handling, rest and finishing; without the change of set-up. */
  readonly workMin: number
  /** What keeps people from taking it where another does as well, in minutes of work: it is tight, or its wire is not there. */
  readonly dislikedMin: number
  readonly uses: readonly Use[]
  /** Whoever may weld it, by place in `PlanProblem.people`. */
  readonly people: readonly number[]
}

/** Where and when a task has to be. */
export interface Fixed {
  /** Its place in `Task.ways`. */
  readonly way: number
  readonly person: number
  /** Not before; its change of set-up begins here. */
  readonly startMin: number
  /** It has begun: the set-up is on the machine. */
  readonly hasBegun: boolean
}

/** What a task was in the plan that people have seen. */
export interface Seen {
  readonly setUp: number
  readonly person: number
  readonly startMin: number
}

/** One run of a job, or a part of it. */
export interface Task {
  readonly id: string
  readonly ways: readonly Way[]
  /** It cannot begin before. */
  readonly readyMin: number
  /** Late after this; Infinity where nobody has set a day. */
  readonly dueMin: number
  /** How much a minute of lateness counts against others. */
  readonly weight: number
  readonly fixed: Fixed | null
  readonly seen: Seen | null
}

export interface Person {
  readonly id: string
  /** When he works, in order, apart from each other. */
  readonly works: readonly Interval[]
}

export interface PlannedSetUp {
  readonly id: string
  /** Its place in `PlanProblem.machines`. */
  readonly machine: number
  /** From what is on the machine now. */
  readonly changeFromNowMin: number
}

/** What a change against the plan that was seen costs, in minutes of work. */
export interface PriceOfChange {
  readonly person: number
  readonly machine: number
  /** For another start; the full price from an hour on. */
  readonly start: number
}

export interface PlanProblem {
  /** Now: nothing begins before. */
  readonly fromMin: number
  readonly tasks: readonly Task[]
  readonly setUps: readonly PlannedSetUp[]
  /** Ids of power sources. */
  readonly machines: readonly string[]
  /** Minutes from one set-up to another, by their places; both on one machine. */
  readonly changeMin: readonly (readonly number[])[]
  readonly people: readonly Person[]
  readonly shared: readonly SharedThing[]
  /** Null where nothing has been seen yet. */
  readonly calm: PriceOfChange | null
}

/** A task with its place. */
export interface Placed {
  readonly task: number
  readonly way: number
  readonly person: number
  readonly startMin: number
  readonly changeMin: number
  readonly endMin: number
}

/** What a plan counts. */
export interface PlanCost {
  /** Minutes of work after the due day, each by the weight of its task: a night in between is not counted. */
  readonly lateMin: number
  readonly workMin: number
  readonly changeMin: number
  /** How often somebody goes to another machine. */
  readonly moves: number
  /** What is disliked: changes against the plan that was seen, tight ways, pins that do not hold. */
  readonly dislikedMin: number
}

/** A minute late counts as many minutes of work: lateness goes first. */
const LATE = 10
/** A walk to another machine, in minutes: it decides between plans that are otherwise alike. */
const MOVE = 1

/** @returns one figure by which plans compare: lateness first, then work with changes, then moves */
export const costOfPlan = ({ lateMin, workMin, changeMin, moves, dislikedMin }: PlanCost): number =>
  lateMin * LATE + workMin + changeMin + moves * MOVE + dislikedMin

export const PLAN_WEIGHTS = { late: LATE, move: MOVE } as const
