/** Seeks kits in a thread of its own: the solver holds its thread until it is done, and is stopped with it. */
import {
  cheapestKit,
  choose,
  type CostEnd,
  decidingPrices,
  type Job,
  type KitProblem,
  kitProblemOf,
  KitSearch,
  madeOf,
  type Shelf,
  solveWith,
  type Solve,
  studyKit,
  type Verdict,
  type WaysQuestion,
} from '@brannik/core'
import highsLoader from 'highs'
import runtime from 'highs/runtime?url'
import type { KitQuestion, KitTold, OwningQuestion } from './kitMessages.ts'

const say = (told: KitTold): void => {
  postMessage(told)
}

/** What is on the shelf of which combinations are looked at: what is counted in stock is not. */
const countOf = ({ stock: _stock, ...lists }: Shelf): number =>
  Object.values(lists).reduce((sum, list: readonly unknown[]) => sum + list.length, 0)

const solver = async (seconds: number): Promise<Solve> =>
  solveWith(await highsLoader({ locateFile: () => runtime }), seconds)

/** With some of its jobs alone. */
const only = (problem: KitProblem, ids: ReadonlySet<string>): KitProblem => ({
  ...problem,
  jobs: problem.jobs.filter(({ id }) => ids.has(id)),
  undoable: problem.undoable.filter(({ jobId }) => ids.has(jobId)),
})

/** Who changes the budget, or plans a job more, finds the ways of the others as they were. */
class Searches {
  readonly #byEnd = new Map<CostEnd, KitSearch>()
  #asked = ''

  /** @param asked with how a missing price counts, of which both ends are kept */
  of(asked: Omit<WaysQuestion, 'costEnd' | 'counts'>, withTight: boolean, costEnd: CostEnd): KitSearch {
    const text = JSON.stringify([asked, withTight])
    if (text !== this.#asked) this.#byEnd.clear()
    this.#asked = text
    const known = this.#byEnd.get(costEnd)
    if (known) return known
    const counts = (verdict: Verdict): boolean => verdict === 'fits' || (withTight && verdict === 'tight')
    const made = new KitSearch({ ...asked, counts, costEnd })
    this.#byEnd.set(costEnd, made)
    return made
  }
}
const searches = new Searches()

async function seek({ snapshot, jobIds, otherIds, budget, withTight, seconds }: KitQuestion): Promise<void> {
  const { shop, setUps, jobs, ...lists } = snapshot
  if (!shop) return
  const named = (ids: readonly string[]): readonly Job[] =>
    ids.flatMap((id) => jobs.find((job) => job.id === id) ?? [])
  const asked = { shop, shelf: lists, setUps, seeksAll: true }
  const whole = searches.of(asked, withTight, 'most').problemOf([...named(jobIds), ...named(otherIds)])
  const { found: _found, shelfParts: _shelfParts, ...told } = whole
  say({ is: 'ground', ground: { problem: told, setUps, items: countOf(lists) } })
  const solve = await solver(seconds)
  const planned = new Set(jobIds)
  const others = whole.jobs.filter(({ id }) => !planned.has(id))
  const { best } = studyKit(only(whole, planned), solve, { budget, others }, (part) => {
    if (part.best) say({ is: 'made', made: madeOf(whole, [part.best]) })
    say({ is: 'part', part })
  })
  const lacksPrice =
    lists.wires.some(({ packagePrice }) => packagePrice === null) ||
    lists.gases.some(({ refillPrice }) => refillPrice === null)
  if (best && lacksPrice) {
    const cheap = only(searches.of(asked, withTight, 'least').problemOf(named(jobIds)), planned)
    const low = choose(cheap, solve, budget === null ? {} : { budget })
    if (low) say({ is: 'deciding', prices: decidingPrices(best, low.kit) })
  }
  say({ is: 'done' })
}

/** Each machine by itself: what it needs is bought with it, and no other machine helps. */
async function own({ snapshot, jobIds, sourceIds }: OwningQuestion): Promise<void> {
  const { shop, setUps, jobs, ...lists } = snapshot
  if (!shop) return
  const planned = jobIds.flatMap((id) => jobs.find((job) => job.id === id) ?? [])
  const solve = await solver(SECONDS_EACH)
  for (const sourceId of sourceIds) {
    const shelf = { ...lists, powerSources: lists.powerSources.filter(({ id }) => id === sourceId) }
    const its = setUps.filter(({ powerSourceId }) => powerSourceId === sourceId)
    const problem = kitProblemOf({ shop, shelf, setUps: its, jobs: planned, seeksAll: true })
    const best = cheapestKit(problem, solve)
    say({
      is: 'owning',
      owning: {
        sourceId,
        total: best?.total ?? 0,
        purchases: best?.purchases ?? 0,
        undone: problem.undoable.map(({ jobId }) => jobId),
      },
    })
  }
  say({ is: 'done' })
}
const SECONDS_EACH = 5

addEventListener('message', ({ data }: MessageEvent<KitQuestion | OwningQuestion>) => {
  const work = 'sourceIds' in data ? own(data) : seek(data)
  work.catch((error: unknown) => {
    say({ is: 'failed', message: error instanceof Error ? error.message : String(error) })
  })
})
