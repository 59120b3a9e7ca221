/** Seeks kits in a thread of its own: the solver holds its thread until it is done, and is stopped with it. */
import { cheapestKit, everySetUpFor, kitProblemOf, type Job, solveWith, studyKit } from '@brannik/core'
import highsLoader from 'highs'
import runtime from 'highs/runtime?url'
import type { KitQuestion, KitTold, OwningQuestion } from './kitMessages.ts'

/** More set-ups than this for one job are hardly ever worth a look: those that cost least to get come first. */
const MOST_SET_UPS = 60

const say = (told: KitTold): void => {
  postMessage(told)
}

async function seek({ snapshot, jobIds, otherIds, budget, withTight, seconds }: KitQuestion): Promise<void> {
  const { shop, setUps, jobs, ...lists } = snapshot
  if (!shop) return
  const named = (ids: readonly string[]): readonly Job[] =>
    ids.flatMap((id) => jobs.find((job) => job.id === id) ?? [])
  const all = [...named(jobIds), ...named(otherIds)]
  const every = everySetUpFor(shop, lists, setUps, all, MOST_SET_UPS)
  const whole = kitProblemOf(
    shop,
    every.shelf,
    all,
    every.setUps,
    (verdict) => verdict === 'fits' || (withTight && verdict === 'tight'),
  )
  const others = new Set(otherIds)
  const problem = {
    ...whole,
    jobs: whole.jobs.filter(({ id }) => !others.has(id)),
    undoable: whole.undoable.filter(({ jobId }) => !others.has(jobId)),
  }
  say({ is: 'ground', ground: { problem: whole, made: every.made, setUps: every.setUps } })
  const highs = await highsLoader({ locateFile: () => runtime })
  const asking = { budget, others: whole.jobs.filter(({ id }) => others.has(id)) }
  studyKit(problem, solveWith(highs, seconds), asking, (part) => say({ is: 'part', part }))
  say({ is: 'done' })
}

/** Each machine with the set-ups that it is in: what it needs is bought with it, and no other machine helps. */
async function own({ snapshot, jobIds, sourceIds }: OwningQuestion): Promise<void> {
  const { shop, setUps, jobs, ...lists } = snapshot
  if (!shop) return
  const planned = jobIds.flatMap((id) => jobs.find((job) => job.id === id) ?? [])
  const every = everySetUpFor(shop, lists, setUps, planned, MOST_SET_UPS)
  const solve = solveWith(await highsLoader({ locateFile: () => runtime }), SECONDS_EACH)
  for (const sourceId of sourceIds) {
    const its = every.setUps.filter(({ powerSourceId }) => powerSourceId === sourceId)
    const problem = kitProblemOf(shop, every.shelf, planned, its)
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
