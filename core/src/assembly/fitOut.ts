/** Fills the places of a set-up from the shelf: what is missing, or does not go with the rest, is replaced. */
import type { Capability } from '../capability/capability.ts'
import { type Need, needsOf } from '../capability/slots.ts'
import { type Slot, slotKey, SLOTS, SMALL_SLOTS } from '../kinds/slots.ts'
import { assessSlot, worstOf } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { offersFor } from './offers.ts'

/** What an owner chooses; the rest follows from it. */
const isMainSlot = (slot: Slot): boolean => !SMALL_SLOTS.has(slot) && slot !== 'feeder'
/** The source first: what it takes narrows the circuits down. */
const ORDER: readonly Slot[] = [
  'powerSource',
  'circuit',
  ...SLOTS.filter((slot) => slot !== 'powerSource' && slot !== 'circuit'),
]

type Ids = Partial<Pick<SetUp, `${Slot}Id`>>

interface FittedOut {
  readonly capability: Capability
  /** What changed, ready for a set-up. */
  readonly change: Ids
  readonly changed: readonly Slot[]
}

const needOf = (slot: Slot, trial: Capability): Need | undefined =>
  needsOf(trial).find((need) => need.slot === slot)

/**
 * Places whose part fails a criterion.
 * @example failingSlots(capability, demand) // ['roll']
 */
export const failingSlots = (capability: Capability, demand: Demand | null): readonly Slot[] =>
  SLOTS.filter((slot) => worstOf(assessSlot(slot, capability, demand)) === 'fails')

/** What is chosen again because of what was chosen after it: a wire by its gas, its liner by the wire. */
const MOST_TIMES = 3

interface Options {
  /** `small` leaves circuit, source, gun, wire, gas and tungsten as they are; `all` fills those too. */
  readonly which?: 'small' | 'all'
  /** Places that are not touched as long as they are needed. */
  readonly leave?: readonly Slot[]
  /** What a job asks. */
  readonly demand?: Demand | null
}

/**
 * @returns the set-up with its parts; a place that nothing of the shelf fits stays as it was
 * @example fitOut(capability, shelf, { which: 'all' }).changed // the places that were filled or changed
 */
export function fitOut(
  capability: Capability,
  shelf: Shelf,
  { which = 'small', leave = [], demand = null }: Options = {},
): FittedOut {
  let trial = capability
  /** @returns whether something changed */
  function fillOnce(): boolean {
    const before = trial
    for (const slot of ORDER) {
      const isMain = isMainSlot(slot)
      const need = needOf(slot, trial)
      const has = trial[slot]
      const isCircuitAmiss = slot === 'circuit' && (need === undefined) === (has !== null)
      if (isMain && which === 'small' && !isCircuitAmiss) continue
      if (!need) {
        if (has !== null && (!isMain || slot === 'circuit')) trial = trial.with(slot, null)
        continue
      }
      if (leave.includes(slot)) continue
      if (has !== null && worstOf(assessSlot(slot, trial, demand)) !== 'fails') continue
      const [best] = offersFor(slot, trial, demand, shelf)
      // The first that fits, or that nearly does; none where all of the shelf fails.
      if (!best || best.verdict === 'fails' || best.item === has) continue
      trial = trial.with(slot, best.item as never)
    }
    return trial !== before
  }
  // A wire may fail by a gas that is chosen after it: then it is chosen once that gas is gone. Large parts alone wait so.
  let times = 0
  while (fillOnce() && which === 'all' && times < MOST_TIMES) times += 1
  const changed = SLOTS.filter((slot) => trial[slot]?.id !== capability[slot]?.id)
  const change = Object.fromEntries(changed.map((slot) => [slotKey(slot), trial[slot]?.id ?? null]))
  return { capability: trial, change: change as Ids, changed }
}
