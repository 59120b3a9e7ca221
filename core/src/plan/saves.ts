/** What would bring a late run in time, or sooner: put it first, overtime, no pins, a machine to rent or to buy. */
import { type PlanQuestion, buildPlan, keptChoice, type WeekBlock } from './build.ts'
import { PlanSearch } from './search.ts'
import { foundOf, PLAN_SEED, type Week } from './week.ts'
import { type PlanShop, Ways } from './ways.ts'
import type { Job } from '../kinds/job.ts'
import { isCandidate } from '../model/ownership.ts'

export interface Save {
  readonly kind: 'first' | 'overtime' | 'unpin' | 'machine'
  /** Late by so much then, min; 0 in time. */
  readonly lateMin: number
  /** In the shop's currency; 0 where it costs nothing but others' time. */
  readonly price: number
  /** Whether it is rented for that price. */
  readonly isRent: boolean
  /** Set-up of a machine that is not owned. */
  readonly setUpName: string | null
  /** Jobs that become late, or later, by it. */
  readonly later: readonly string[]
}

const TRIALS = 1500
/** Overtime is paid half as much again: common practice, no source. */
const OVERTIME_PAY = 1.5
const HOUR_MIN = 60
/** Sooner by less is no help. */
const HELPS_MIN = 15

interface Offer {
  readonly ways: Ways
  readonly setUpName: string
  readonly price: number
  readonly isRent: boolean
}

/**
 * @param offers ways with one more set-up each, whose machine is to be had
 * @returns what helps, the cheapest first
 */
export function savesOf(
  ways: Ways,
  question: PlanQuestion,
  now: Week,
  late: WeekBlock,
  offers: readonly Offer[] = [],
): readonly Save[] {
  const lateBy = (week: Week): ReadonlyMap<string, number> =>
    new Map(week.blocks.map(({ id, lateMin }) => [id, lateMin]))
  const before = lateBy(now)
  const tried = (of: Ways, asked: PlanQuestion, isFirst = false): Week => {
    const built = buildPlan(of, asked)
    const choice = keptChoice(built)
    const task = built.runs.findIndex(({ id }) => id === late.id)
    if (isFirst) {
      choice.order.splice(choice.order.indexOf(task), 1)
      choice.order.unshift(task)
    }
    const search = new PlanSearch(built.problem, { seed: PLAN_SEED, trials: isFirst ? 0 : TRIALS }, choice)
    search.run(TRIALS)
    return foundOf(built, search.best.choice).week
  }
  const saved = (kind: Save['kind'], week: Week, more: Partial<Save> = {}): readonly Save[] => {
    const lateMin = lateBy(week).get(late.id) ?? 0
    if (late.lateMin - lateMin < HELPS_MIN) return []
    const later = week.blocks.flatMap((one) =>
      one.id !== late.id && one.lateMin > (before.get(one.id) ?? 0) + HELPS_MIN ? [one.jobName] : [],
    )
    return [{ kind, lateMin, price: 0, isRent: false, setUpName: null, later, ...more }]
  }
  const { overtimeH, labourPerHour } = ways.assumptions
  const overtime = tried(ways, { ...question, overtimeMin: overtimeH * HOUR_MIN })
  const hasPins = question.blocks.some(({ isPinned }) => isPinned)
  return [
    ...(late.work === null ? saved('first', tried(ways, question, true)) : []),
    // Lateness is minutes of work: each that is won is a minute of overtime.
    ...(overtimeH > 0
      ? saved('overtime', overtime).map((save) => ({
          ...save,
          price: (late.lateMin - save.lateMin) * (labourPerHour / HOUR_MIN) * OVERTIME_PAY,
        }))
      : []),
    ...(hasPins
      ? saved(
          'unpin',
          tried(ways, {
            ...question,
            blocks: question.blocks.map((block) => ({ ...block, isPinned: false })),
          }),
        )
      : []),
    ...offers.flatMap(({ ways: of, setUpName, price, isRent }) =>
      saved('machine', tried(of, question), { setUpName, price, isRent }),
    ),
  ].sort((a, b) => a.price - b.price || a.later.length - b.later.length || a.lateMin - b.lateMin)
}

/** So many machines are looked at, the cheapest first. */
const MOST_OFFERS = 3
/** @returns machines that are to buy or to rent and do the job, the cheapest first */
export function machineOffersFor(of: PlanShop, jobs: readonly Job[], jobId: string): readonly Offer[] {
  const job = jobs.find(({ id }) => id === jobId)
  if (!job) return []
  return of.setUps
    .flatMap((setUp): readonly Offer[] => {
      const source = of.shelf.powerSources.find(({ id }) => id === setUp.powerSourceId)
      if (!source || !isCandidate(source)) return []
      const price = source.rentPerDay ?? source.price
      if (price === null) return []
      const ways = new Ways(of, new Set([setUp.id]))
      if (!ways.ofJob(job).ways.some((way) => way.setUp.id === setUp.id)) return []
      return [{ ways, setUpName: setUp.name, price, isRent: source.rentPerDay !== null }]
    })
    .sort((a, b) => a.price - b.price)
    .slice(0, MOST_OFFERS)
}
