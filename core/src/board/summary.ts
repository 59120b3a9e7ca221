/** What a whole board says in a few sentences: what nothing does, what nobody needs, what would open most, what stops most. */
import { chosenOf } from '../capability/slots.ts'
import { SLOTS } from '../kinds/slots.ts'
import type { SetUp } from '../kinds/equipment.ts'
import { isCandidate } from '../model/ownership.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { does } from '../model/verdict.ts'
import { OF_CIRCUIT } from '../criteria/concerns.ts'
import type { BoardCell } from './board.ts'

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

/**
 * @param cells of jobs that are looked at, with all set-ups
 * @param toBuy of each set-up, null where the shop has it
 */
export function summaryOf(
  cells: readonly BoardCell[],
  setUps: readonly SetUp[],
  toBuy: ReadonlyMap<string, ToBuy | null>,
): BoardSummary {
  const isOwned = (setUpId: string): boolean => (toBuy.get(setUpId) ?? null) === null
  const jobIds = [...new Set(cells.map(({ jobId }) => jobId))]
  const doers = cells.filter(({ verdict }) => does(verdict))
  const done = new Set(doers.filter(({ setUpId }) => isOwned(setUpId)).map(({ jobId }) => jobId))
  const undone = jobIds.filter((id) => !done.has(id))
  const used = new Set(doers.map(({ setUpId }) => setUpId))
  const circuitOf = new Map(setUps.map(({ id, circuitId }) => [id, circuitId]))
  const opened = count(
    doers.filter(({ jobId, setUpId }) => !isOwned(setUpId) && !done.has(jobId)).map(({ setUpId }) => setUpId),
  )
  const stopped = count(
    cells.flatMap(({ verdict, limit, setUpId }) => {
      const circuitId = circuitOf.get(setUpId) ?? null
      return verdict === 'fails' && circuitId !== null && OF_CIRCUIT.has(limit?.criterion ?? '')
        ? [circuitId]
        : []
    }),
  )
  return {
    undone,
    idle: setUps.filter(({ id }) => isOwned(id) && !used.has(id)).map(({ id }) => id),
    opener: opened && {
      setUpId: opened.what,
      jobIds: doers
        .filter(({ jobId, setUpId }) => setUpId === opened.what && !done.has(jobId))
        .map(({ jobId }) => jobId),
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
