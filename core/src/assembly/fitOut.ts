/** Fills the places of a set-up from the shelf: what is missing, or does not go with the rest, is replaced. */
import type { SetUp } from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Assembly, Trial } from './assembly.ts'
import { judgeSlot, worstOf } from './judge.ts'
import { offersFor } from './offers.ts'
import { type Need, needsOf, type Slot, SLOT_KEYS, SLOTS, SMALL_SLOTS } from './slots.ts'

/** What an owner chooses; the rest follows from it. */
const isMainSlot = (slot: Slot): boolean => !SMALL_SLOTS.has(slot) && slot !== 'feeder'
/** The source first: what it takes narrows the circuits down. */
const ORDER: readonly Slot[] = [
  'powerSource',
  'circuit',
  ...SLOTS.filter((slot) => slot !== 'powerSource' && slot !== 'circuit'),
]

type Ids = Partial<Pick<SetUp, (typeof SLOT_KEYS)[Slot]>>

interface FittedOut {
  readonly assembly: Assembly
  /** What changed, ready for a set-up. */
  readonly change: Ids
  readonly changed: readonly Slot[]
}

function needOf(slot: Slot, trial: Trial): Need | undefined {
  return needsOf(trial).find((need) => need.slot === slot)
}

/** @returns the first that fits, or that nearly does; undefined where all of the shelf is short */
function bestFor(slot: Slot, trial: Trial, shelf: Shelf) {
  const [best] = offersFor(slot, trial, shelf)
  return best && best.verdict !== 'short' ? best.item : undefined
}

/**
 * @param which `small` leaves circuit, source, gun, wire, gas and tungsten as they are; `all` fills those too
 * @param leave places that are not touched as long as they are needed
 * @returns the set-up with its parts; a place that nothing of the shelf fits stays as it was
 */
export function fitOut(
  assembly: Assembly,
  shelf: Shelf,
  which: 'small' | 'all' = 'small',
  leave: readonly Slot[] = [],
): FittedOut {
  const trial: Trial = { ...assembly }
  const place = trial as Record<Slot, unknown>
  const changed: Slot[] = []
  for (const slot of ORDER) {
    const isMain = isMainSlot(slot)
    const need = needOf(slot, trial)
    const has = trial[slot]
    if (isMain && which === 'small' && !(slot === 'circuit' && (need === undefined) === (has !== null)))
      continue
    if (!need) {
      if (has !== null && (!isMain || slot === 'circuit')) {
        place[slot] = null
        changed.push(slot)
      }
      continue
    }
    if (leave.includes(slot)) continue
    if (has !== null && worstOf(judgeSlot(slot, trial)) !== 'short') continue
    const best = bestFor(slot, trial, shelf)
    if (!best || best === has) continue
    place[slot] = best
    changed.push(slot)
  }
  const change = Object.fromEntries(changed.map((slot) => [SLOT_KEYS[slot], trial[slot]?.id ?? null]))
  return { assembly: trial, change: change as Ids, changed }
}
