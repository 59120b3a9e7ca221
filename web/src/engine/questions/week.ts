/** The plan of the week, brought up to now; and everything that is asked of it. */
import {
  type Batch,
  batchesOf,
  buildPlan,
  type Conflict,
  conflictsOf,
  foundOf,
  type Interruption,
  interruptionsOf,
  type PlanChoice,
  machineOffersFor,
  movedApart,
  movedIn,
  onHandOf,
  PLAN_SEED,
  planCalmly,
  type PlannedBlock,
  planNow,
  type PlanQuestion,
  type Save,
  savesOf,
  type TrippingHours,
  trippingHoursOf,
  USUAL_CALM,
  Ways,
  type Week,
  workOf,
  type HeardMark,
} from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** What the page has beside the shop. */
export interface WeekAsked {
  readonly blocks: readonly PlannedBlock[]
  readonly marks: readonly HeardMark[]
  /** On the shop's clock, since 1 January 1970. */
  readonly nowMin: number
}

export interface WeekAnswer {
  readonly week: Week
  readonly conflicts: readonly Conflict[]
  readonly batches: readonly Batch[]
}

type Problem = ReturnType<typeof buildPlan>['problem']
type Choice = PlanChoice
/** For a search in a thread of its own: plain numbers, and the plan to begin with. */
export interface WeekProblem {
  readonly problem: Problem
  readonly choice: Choice
}

let known: { readonly of: Snapshot; readonly ways: Ways } | null = null
/** Of the snapshot, what changes nothing of which set-up does which job: each job is looked at by itself. */
const NOT_ASKED: ReadonlySet<string> = new Set(['jobs', 'welders', 'used', 'claims'])
const isSameShop = (one: Snapshot, other: Snapshot): boolean =>
  Object.keys(one).every(
    (key) => NOT_ASKED.has(key) || one[key as keyof Snapshot] === other[key as keyof Snapshot],
  )
function waysIn(snapshot: Snapshot): Ways | null {
  const { shop, setUps } = snapshot
  if (!shop) return null
  if (known && isSameShop(known.of, snapshot)) return known.ways
  known = { of: snapshot, ways: new Ways({ shop, shelf: snapshot, setUps }) }
  return known.ways
}

const questionOf = ({ jobs, welders }: Snapshot, { blocks, marks, nowMin }: WeekAsked): PlanQuestion => ({
  jobs,
  welders,
  blocks,
  work: workOf(marks, Date.parse),
  nowMin,
})

/** Hours of each welder, by his name. */
const hoursIn = ({ built: { welders, problem } }: ReturnType<typeof planNow>) =>
  new Map(welders.map(({ name }, at) => [name, problem.people[at]?.works ?? []]))

const answerOf = (
  snapshot: Snapshot,
  ways: Ways,
  asked: WeekAsked,
  found: ReturnType<typeof planNow>,
): WeekAnswer => ({
  week: found.week,
  conflicts: conflictsOf(found.week.blocks, {
    ways,
    kept: asked.blocks,
    inputFor: (jobId, setUpId) => fitInput(snapshot, jobId, setUpId),
    stock: onHandOf(snapshot),
    nowMin: asked.nowMin,
    works: hoursIn(found),
  }),
  batches: batchesOf(found.built, found.choice),
})

/** What a plan is asked for; each has its own answer. */
export interface WeekAsks {
  /** As it was kept. */
  readonly now: { readonly asked: null; readonly answer: WeekAnswer }
  /** After a change by hand, around these minutes. */
  readonly calm: { readonly asked: readonly number[]; readonly answer: Week }
  readonly problem: { readonly asked: null; readonly answer: WeekProblem }
  /** What a search found, with the runs that it moves. */
  readonly found: {
    readonly asked: Choice
    readonly answer: { readonly week: Week; readonly moved: readonly string[] }
  }
  readonly power: {
    readonly asked: null
    readonly answer: { readonly tripping: readonly TrippingHours[]; readonly apart: Week | null }
  }
  /** Set-ups and welders that may do a run. */
  readonly choices: {
    readonly asked: string
    readonly answer: { readonly setUps: readonly string[]; readonly welders: readonly string[] }
  }
  readonly saves: { readonly asked: string; readonly answer: readonly Save[] }
  readonly interrupt: { readonly asked: string; readonly answer: readonly Interruption[] }
}

const unpinned = (block: PlannedBlock): PlannedBlock => ({ ...block, isPinned: false })

/** @returns null without a shop */
export function answer<K extends keyof WeekAsks>(
  snapshot: Snapshot,
  what: K,
  asked: WeekAsked,
  more: WeekAsks[K]['asked'],
): WeekAsks[K]['answer'] | null {
  const ways = waysIn(snapshot)
  if (!ways) return null
  const question = questionOf(snapshot, asked)
  const answers: { readonly [W in keyof WeekAsks]: (of: WeekAsks[W]['asked']) => WeekAsks[W]['answer'] } = {
    now: () => answerOf(snapshot, ways, asked, planNow(ways, question)),
    calm: (aroundMin) => planCalmly(ways, question, aroundMin).week,
    problem() {
      const found = planNow(ways, { ...question, calm: USUAL_CALM })
      return { problem: found.built.problem, choice: found.choice }
    },
    found(choice) {
      const found = foundOf(buildPlan(ways, question), choice)
      return { week: found.week, moved: movedIn(found) }
    },
    power() {
      const found = planNow(ways, question)
      const works = hoursIn(found)
      const tripping = trippingHoursOf(found.week.blocks, ways.of, snapshot.jobs, works, PLAN_SEED)
      const apart = tripping.length === 0 ? null : movedApart(ways, question, found, tripping)
      return { tripping, apart: apart?.week ?? null }
    },
    choices(blockId) {
      const built = buildPlan(ways, { ...question, blocks: question.blocks.map(unpinned) })
      const task = built.runs.findIndex(({ id }) => id === blockId)
      const people = new Set(built.problem.tasks[task]?.ways.flatMap((way) => way.people))
      return {
        setUps: (built.ways[task] ?? []).map(({ setUp }) => setUp.id),
        welders: built.welders.filter((_, at) => people.has(at)).map(({ id }) => id),
      }
    },
    saves(blockId) {
      const { week } = planNow(ways, question)
      const late = week.blocks.find(({ id }) => id === blockId)
      return late
        ? savesOf(ways, question, week, late, machineOffersFor(ways.of, snapshot.jobs, late.jobId))
        : []
    },
    interrupt: (runId) => interruptionsOf(ways, question, planNow(ways, question).week, runId),
  }
  return answers[what](more)
}
