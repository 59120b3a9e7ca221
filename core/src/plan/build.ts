/** The shop, its jobs and its people as a plan in plain numbers, and the plan back as blocks of named things. */
import { assumptionsOf } from '../assumptions/assume.ts'
import { changeoverBetween } from '../changeover/changeover.ts'
import { onMachineOf, presentOn } from '../changeover/onMachine.ts'
import type { Assessment } from '../criteria/criterion.ts'
import type { WorkState } from '../events/workMarked.ts'
import type { Job } from '../kinds/job.ts'
import type { Priority } from '../model/priority.ts'
import type { SetUp } from '../kinds/setUp.ts'
import type { Welder } from '../kinds/welder.ts'
import type { PlannedBlock } from '../kinds/workPlan.ts'
import type { Verdict } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'
import { type Pace, paceOf } from './minutes.ts'
import { mayWeld, SOMEBODY, usualWelder, worksOf } from './people.ts'
import type { Choice } from './placing.ts'
import type { Fixed, PlanProblem, PriceOfChange, Task, Way } from './problem.ts'
import { type Run, runsOf } from './runs.ts'
import { DAY_MIN, dayOf, endOfDay, minuteOf, timeOf } from './shopTime.ts'
import type { Plan } from './search.ts'
import type { JobWay, Ways } from './ways.ts'

export interface PlanQuestion {
  readonly jobs: readonly Job[]
  readonly welders: readonly Welder[]
  /** As it was kept; empty where none was. */
  readonly blocks: readonly PlannedBlock[]
  /** By `workKey`. */
  readonly work: ReadonlyMap<string, WorkState>
  /** On the shop's clock, since 1 January 1970. */
  readonly nowMin: number
  /** Everybody works so much longer each day. */
  readonly overtimeMin?: number
  /** Null where changes against what was kept cost nothing. */
  readonly calm?: PriceOfChange | null
  /** Runs with their set-ups that must not all be at work at once: together they trip something. */
  readonly apart?: readonly (readonly RunOnSetUp[])[]
}

/** A run by its id, with a set-up. */
export interface RunOnSetUp {
  readonly runId: string
  readonly setUpId: string
}

/** Why a pin cannot hold. */
export type LostPin = 'set-up-gone' | 'set-up-fails' | 'welder-gone' | 'welder-may-not'

/** What cannot be planned, and why. */
export interface LeftOutRun {
  readonly run: Run
  /** The set-up that comes nearest and what it fails by; null where the shop has none. */
  readonly nearest: { readonly setUp: SetUp; readonly limit: Assessment | null } | null
  readonly why: 'no-set-up' | 'no-welder'
}

export interface PlanBuilt {
  readonly problem: PlanProblem
  /** By task. */
  readonly runs: readonly Run[]
  readonly ways: readonly (readonly (JobWay & { readonly workMin: number })[])[]
  readonly paces: readonly Pace[]
  readonly setUps: readonly SetUp[]
  readonly welders: readonly Welder[]
  readonly leftOut: readonly LeftOutRun[]
  readonly lostPins: readonly { readonly run: Run; readonly why: LostPin }[]
}

/** How much a minute late counts, by priority: common practice, no source. */
const WEIGHTS: Readonly<Record<Priority, number>> = { low: 0.3, usual: 1, high: 3 }
/** What is running takes at least so much longer. */
const LEAST_LEFT_MIN = 5
const MS_PER_MIN = 60_000
/** Everybody has hours for so much longer than the plan looks ahead. */
const SPARE_DAYS = 182

const WEEK_DAYS = 7
const HUNDRED = 100

/** @returns the day up to which runs of standing work are placed */
export const planUntil = (nowMin: number, planWeeks: number): string =>
  dayOf(nowMin + planWeeks * WEEK_DAYS * DAY_MIN)

class Builder {
  readonly #welders: readonly Welder[]
  readonly #setUpAt: ReadonlyMap<string, number>
  readonly #sharedAt: ReadonlyMap<string, number>
  readonly leftOut: LeftOutRun[] = []
  readonly lostPins: { run: Run; why: LostPin }[] = []

  constructor(
    readonly of: Ways,
    readonly question: PlanQuestion,
    welders: readonly Welder[],
  ) {
    this.#welders = welders
    this.#setUpAt = new Map(of.setUps.map(({ id }, at) => [id, at]))
    this.#sharedAt = new Map(of.shared.map(({ id }, at) => [id, at]))
  }

  #welderAt = (id: string | null): number =>
    this.#welders.length === 1 && id === null ? 0 : this.#welders.findIndex((one) => one.id === id)

  /** Ways with their people, of those that somebody may weld. */
  waysOf(
    run: Run,
    pace: Pace,
  ): readonly { readonly named: JobWay & { workMin: number }; readonly way: Way }[] {
    const { ways, nearest } = this.of.ofJob(run.job)
    if (ways.length === 0) {
      this.leftOut.push({ run, nearest, why: 'no-set-up' })
      return []
    }
    const doneMin = (run.work?.workedMs ?? 0) / MS_PER_MIN
    const found = ways.flatMap((one) => {
      const people = this.#welders.flatMap((welder, at) =>
        mayWeld(welder, run.job, PROCESSES[one.setUp.process].family) ? [at] : [],
      )
      if (people.length === 0) return []
      const workMin = Math.max(
        run.work ? LEAST_LEFT_MIN : 0,
        (one.plannedMin * pace.times * run.sharePct) / HUNDRED - doneMin,
      )
      const way: Way = {
        setUp: this.#setUpAt.get(one.setUp.id) ?? 0,
        workMin,
        dislikedMin: one.dislikedMin,
        uses: one.uses.flatMap(({ key, amount }) => {
          const shared = this.#sharedAt.get(key)
          return shared === undefined ? [] : [{ shared, amount }]
        }),
        people,
      }
      return [{ named: { ...one, workMin }, way }]
    })
    if (found.length === 0) this.leftOut.push({ run, nearest: null, why: 'no-welder' })
    return found
  }

  #fixedOf(run: Run, ways: readonly { readonly named: JobWay; readonly way: Way }[]): Fixed | null {
    const { block, work } = run
    const { nowMin } = this.question
    if (work?.state === 'running') {
      const way = ways.findIndex(({ named }) => named.setUp.id === work.setUpId)
      const person = this.#welders.findIndex(({ name }) => name === work.welder)
      const own = person >= 0 ? person : this.#welderAt(block?.welderId ?? null)
      if (way >= 0)
        return {
          way,
          person: own >= 0 ? own : (ways[way]?.way.people[0] ?? 0),
          startMin: nowMin,
          hasBegun: true,
        }
    }
    if (!block?.isPinned) return null
    const lost = (why: LostPin): null => {
      this.lostPins.push({ run, why })
      return null
    }
    if (!this.#setUpAt.has(block.setUpId)) return lost('set-up-gone')
    const way = ways.findIndex(({ named }) => named.setUp.id === block.setUpId)
    if (way < 0) return lost('set-up-fails')
    const person = this.#welderAt(block.welderId)
    if (person < 0) return lost('welder-gone')
    if (!ways[way]?.way.people.includes(person)) return lost('welder-may-not')
    return { way, person, startMin: minuteOf(block.startsAt), hasBegun: false }
  }

  taskOf(run: Run, ways: readonly { readonly named: JobWay; readonly way: Way }[]): Task {
    const { block, work } = run
    // What was begun goes on where it was begun.
    const begun = work && ways.filter(({ named }) => named.setUp.id === work.setUpId)
    const open = work?.state === 'paused' && begun && begun.length > 0 ? begun : ways
    const setUp = block ? this.#setUpAt.get(block.setUpId) : undefined
    return {
      id: run.id,
      ways: open.map(({ way }) => way),
      readyMin: this.question.nowMin,
      dueMin: run.dueOn === null ? Infinity : endOfDay(run.dueOn),
      weight: WEIGHTS[run.job.priority],
      fixed: this.#fixedOf(run, open),
      seen:
        block && setUp !== undefined
          ? { setUp, person: this.#welderAt(block.welderId), startMin: minuteOf(block.startsAt) }
          : null,
    }
  }
}

/** Minutes from every set-up to every other on its machine, and from what is on it now. */
function changesOf({ of: { shop, shelf }, setUps }: Ways) {
  const on = setUps.map((setUp) => onMachineOf(setUp, shelf))
  const machines = [...new Set(setUps.map(({ powerSourceId }) => powerSourceId))]
  return {
    machines,
    setUps: setUps.map(({ id, powerSourceId }, at) => ({
      id,
      machine: machines.indexOf(powerSourceId),
      changeFromNowMin: changeoverBetween(
        shop,
        presentOn(shelf, powerSourceId),
        on[at] as (typeof on)[number],
      ).minutes,
    })),
    changeMin: setUps.map((from, a) =>
      setUps.map((to, b) =>
        a === b || from.powerSourceId !== to.powerSourceId
          ? 0
          : changeoverBetween(shop, on[a] as (typeof on)[number], on[b] as (typeof on)[number]).minutes,
      ),
    ),
  }
}
/** A task takes one of each thing by which it is held apart from others. */
function keptApart(
  task: Task,
  ways: readonly { readonly named: JobWay; readonly way: Way }[],
  apart: readonly (readonly RunOnSetUp[])[],
  first: number,
): Task {
  if (!apart.some((members) => members.some(({ runId }) => runId === task.id))) return task
  return {
    ...task,
    ways: task.ways.map((way) => {
      const setUpId = ways.find((one) => one.way === way)?.named.setUp.id
      const uses = apart.flatMap((members, at) =>
        members.some((one) => one.runId === task.id && one.setUpId === setUpId)
          ? [{ shared: first + at, amount: 1 }]
          : [],
      )
      return { ...way, uses: [...way.uses, ...uses] }
    }),
  }
}
const knownChanges = new WeakMap<Ways, ReturnType<typeof changesOf>>()

/**
 * @param of the ways of this shop: kept from question to question, since they cost most
 * @returns the problem with what its numbers mean
 */
export function buildPlan(of: Ways, question: PlanQuestion): PlanBuilt {
  const { jobs, blocks, work, nowMin, overtimeMin = 0, calm = null, apart = [] } = question
  const assumptions = assumptionsOf(of.of.shop)
  const welders = question.welders.length > 0 ? question.welders : [usualWelder(assumptions)]
  const runs = runsOf(jobs, blocks, work, {
    fromDay: dayOf(nowMin),
    untilDay: planUntil(nowMin, assumptions.planWeeks),
  })
  // Which breakers there are is known once every job was looked at.
  for (const { job } of runs) of.ofJob(job)
  const builder = new Builder(of, question, welders)
  const found = runs.flatMap((run) => {
    const pace = paceOf(work.values(), run.job.id)
    const ways = builder.waysOf(run, pace)
    return ways.length === 0 ? [] : [{ run, pace, ways, task: builder.taskOf(run, ways) }]
  })
  let changes = knownChanges.get(of)
  if (!changes) knownChanges.set(of, (changes = changesOf(of)))
  const fromDay = Math.floor(nowMin / DAY_MIN)
  const days = assumptions.planWeeks * WEEK_DAYS + SPARE_DAYS
  return {
    problem: {
      ...changes,
      fromMin: nowMin,
      tasks: found.map(({ task, ways }) => keptApart(task, ways, apart, of.shared.length)),
      people: welders.map((welder) => ({
        id: welder.id,
        works: worksOf(welder, fromDay, days, overtimeMin),
      })),
      shared: [
        ...of.shared,
        ...apart.map((members, at) => ({
          id: `apart ${at}`,
          kind: 'circuit' as const,
          name: '',
          capacity: members.length - 1,
        })),
      ],
      calm,
    },
    runs: found.map(({ run }) => run),
    ways: found.map(({ ways, task }) =>
      ways.filter(({ way }) => task.ways.includes(way)).map(({ named }) => named),
    ),
    paces: found.map(({ pace }) => pace),
    setUps: of.setUps,
    welders,
    leftOut: builder.leftOut,
    lostPins: builder.lostPins,
  }
}

/** @returns the plan that was kept, as a choice: what is new is left out of its order */
export function keptChoice({ problem, ways, runs, welders }: PlanBuilt): Choice {
  const { tasks } = problem
  const order = tasks
    .map((_, at) => at)
    .filter((at) => tasks[at]?.seen || tasks[at]?.fixed)
    .sort((a, b) => startOf(tasks[a] as Task) - startOf(tasks[b] as Task) || a - b)
  const choice = { order, way: tasks.map(() => 0), person: tasks.map(() => 0) }
  tasks.forEach(({ fixed, ways: own }, at) => {
    const block = runs[at]?.block
    const way =
      fixed?.way ?? Math.max(0, ways[at]?.findIndex(({ setUp }) => setUp.id === block?.setUpId) ?? 0)
    const people = own[way]?.people ?? [0]
    const person = welders.findIndex(({ id }) => id === block?.welderId)
    choice.way[at] = way
    choice.person[at] = fixed?.person ?? (people.includes(person) ? person : (people[0] ?? 0))
  })
  return choice
}
const startOf = ({ fixed, seen }: Task): number =>
  fixed?.hasBegun ? -Infinity : (fixed?.startMin ?? seen?.startMin ?? Infinity)

/** A run in the plan, with everything that a page shows of it. */
export interface WeekBlock {
  readonly id: string
  readonly jobId: string
  readonly jobName: string
  readonly run: string
  readonly part: number
  readonly sharePct: number
  readonly setUpId: string
  readonly setUpName: string
  readonly sourceId: string
  /** Null where the shop has no list of welders. */
  readonly welderId: string | null
  readonly welderName: string
  readonly verdict: Verdict
  readonly startMin: number
  /** Changing over comes first. */
  readonly changeMin: number
  readonly workMin: number
  /** Of this part, without the shop's own pace. */
  readonly plannedMin: number
  /** Infinity where nobody has enough hours for it. */
  readonly endMin: number
  /** ISO 8601; null where it is not set. */
  readonly dueOn: string | null
  readonly lateMin: number
  readonly isPinned: boolean
  readonly isNew: boolean
  readonly work: WorkState | null
  readonly pace: Pace
}

/** @returns blocks by their start; what nobody has hours for comes last, and never ends */
export function blocksOf(built: PlanBuilt, { placed }: Pick<Plan, 'placed'>): readonly WeekBlock[] {
  const { runs, ways, welders, paces } = built
  return placed.flatMap(({ task, way, person, startMin, changeMin, endMin }): readonly WeekBlock[] => {
    const [run, named, welder] = [runs[task], ways[task]?.[way], welders[person]]
    if (!run || !named || !welder) return []
    const { setUp, verdict, plannedMin, workMin } = named
    const dueMin = built.problem.tasks[task]?.dueMin ?? Infinity
    return [
      {
        id: run.id,
        jobId: run.job.id,
        jobName: run.job.name,
        run: run.run,
        part: run.part,
        sharePct: run.sharePct,
        setUpId: setUp.id,
        setUpName: setUp.name,
        sourceId: setUp.powerSourceId,
        welderId: welder.id === SOMEBODY ? null : welder.id,
        welderName: welder.name,
        verdict,
        startMin,
        changeMin,
        workMin,
        plannedMin: (plannedMin * run.sharePct) / HUNDRED,
        endMin,
        dueOn: run.dueOn,
        lateMin: run.dueOn === null ? 0 : Math.max(0, endMin - dueMin),
        isPinned: run.block?.isPinned ?? false,
        isNew: run.block === null,
        work: run.work,
        pace: paces[task] ?? { times: 1, runs: 0 },
      },
    ]
  })
}

/** @returns what is kept of a block; one that never ends is kept where it starts */
export const keptBlock = (block: WeekBlock): PlannedBlock => ({
  jobId: block.jobId,
  run: block.run,
  part: block.part,
  sharePct: block.sharePct,
  setUpId: block.setUpId,
  welderId: block.welderId,
  startsAt: timeOf(block.startMin),
  endsAt: timeOf(Number.isFinite(block.endMin) ? block.endMin : block.startMin),
  isPinned: block.isPinned,
})
