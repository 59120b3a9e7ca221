/** What a whole board says in a few sentences: what nothing does, what nobody needs, what would open most, what stops most. */
import { chosenOf } from '../capability/slots.ts'
import { SLOTS } from '../kinds/slots.ts'
import type { SetUp } from '../kinds/equipment.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { does, type Verdict } from '../model/verdict.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { OF_CIRCUIT } from '../criteria/concerns.ts'

/** What of a set-up is not the shop’s yet. */
export interface ToBuy {
  readonly names: readonly string[]
  readonly parts: readonly { readonly name: string; readonly price: number | null }[]
  /** All of it together; null where a price is not written down. */
  readonly price: number | null
}

/** @returns null for a set-up that the shop has */
export function toBuyOf(setUp: SetUp, shelf: Shelf): ToBuy | null {
  const chosen = chosenOf(setUp, shelf)
  const wanted = SLOTS.flatMap((slot) => {
    const part = chosen[slot]
    return part !== null && isCandidate(part)
      ? [part as { readonly name: string; readonly price?: number | null }]
      : []
  })
  if (wanted.length === 0) return null
  const prices = wanted.map(({ price }) => price ?? null)
  return {
    names: wanted.map(({ name }) => name),
    parts: wanted.map(({ name, price }) => ({ name, price: price ?? null })),
    price: prices.includes(null) ? null : prices.reduce<number>((sum, price) => sum + (price ?? 0), 0),
  }
}

export interface BoardSummary {
  /** Jobs that no owned set-up does. */
  readonly undone: readonly string[]
  /** Owned set-ups that do no job. */
  readonly idle: readonly string[]
  /** The set-up to buy that does most of what is undone; null where none does any. */
  readonly opener: { readonly setUpId: string; readonly jobIds: readonly string[] } | null
  /** The circuit whose breaker or cable alone stops most cells; null where none does. */
  readonly stopper: { readonly circuitId: string; readonly cells: number } | null
}

/** One job, and what each set-up makes of it; null where a set-up has no cell. */
export interface JudgedJob {
  readonly jobId: string
  verdictOf(setUpId: string): Verdict | null
  limitOf(setUpId: string): Assessment | null
}

/**
 * @param jobs those that are looked at
 * @param setUps those that are looked at
 * @param toBuy of each set-up, null where the shop has it
 */
export function summaryOf(
  jobs: readonly JudgedJob[],
  setUps: readonly SetUp[],
  toBuy: ReadonlyMap<string, ToBuy | null>,
): BoardSummary {
  const isOwned = (setUpId: string): boolean => (toBuy.get(setUpId) ?? null) === null
  const doers = jobs.map((job) => setUps.filter(({ id }) => does(job.verdictOf(id) ?? 'fails')))
  const undone = jobs.flatMap(({ jobId }, at) => (doers[at]?.some(({ id }) => isOwned(id)) ? [] : [jobId]))
  const used = new Set(doers.flat())
  const isUndone = new Set(undone)
  /** With what to buy each job that nothing owned does would be done. */
  const openers = jobs.flatMap(({ jobId }, at) =>
    isUndone.has(jobId) ? (doers[at] ?? []).map(({ id: setUpId }) => ({ jobId, setUpId })) : [],
  )
  const opened = count(openers.map(({ setUpId }) => setUpId))
  const stopped = count(
    jobs.flatMap((job) =>
      setUps.flatMap(({ id, circuitId }) => {
        const isStopped = circuitId !== null && job.verdictOf(id) === 'fails'
        return isStopped && OF_CIRCUIT.has(job.limitOf(id)?.criterion ?? '') ? [circuitId] : []
      }),
    ),
  )
  return {
    undone,
    idle: setUps.filter((setUp) => isOwned(setUp.id) && !used.has(setUp)).map(({ id }) => id),
    opener: opened && {
      setUpId: opened.what,
      jobIds: openers.filter(({ setUpId }) => setUpId === opened.what).map(({ jobId }) => jobId),
    },
    stopper: stopped && { circuitId: stopped.what, cells: stopped.times },
  }
}

/** What occurs most, the first of equals; null of nothing. */
function count(all: readonly string[]): { readonly what: string; readonly times: number } | null {
  const times = new Map<string, number>()
  for (const one of all) times.set(one, (times.get(one) ?? 0) + 1)
  let most: { what: string; times: number } | null = null
  for (const [what, n] of times) if (n > (most?.times ?? 0)) most = { what, times: n }
  return most
}
