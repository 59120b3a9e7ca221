/** A change to a set-up, with what follows from it: nobody changes the wire and keeps the rolls. */
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { type Slot, slotKey, type SlotItems, SLOTS } from '../kinds/slots.ts'
import { assess } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { failingSlots, fitOut } from './fitOut.ts'

export interface ChangedSetUp {
  readonly setUp: SetUp
  /** Places whose part was changed along. */
  readonly along: readonly Slot[]
}

/**
 * Small parts that no longer go with the rest are replaced from the shelf. What was wrong before, and what the
 * change itself names, is left alone.
 * @param which `all` where the change leaves little as it was, such as another process: then source, gun, wire and gas
 *   follow too, and what was wrong is mended
 * @example changeSetUp(shop, shelf, setUp, { wireId: 'e71t11-045' }).along // ['roll', 'liner', 'tip']
 */
export function changeSetUp(
  shop: Shop,
  shelf: Shelf,
  setUp: SetUp,
  change: Partial<SetUp>,
  demand: Demand | null = null,
  which: 'small' | 'all' = 'small',
): ChangedSetUp {
  const before = capabilityOf(shop, setUp, chosenOf(setUp, shelf))
  const next = { ...setUp, ...change }
  const named = SLOTS.filter((slot) => slotKey(slot) in change)
  const leave = which === 'small' ? [...named, ...failingSlots(before, demand)] : named
  const after = capabilityOf(shop, next, chosenOf(next, shelf))
  const fitted = fitOut(after, shelf, { which, leave, demand })
  return {
    setUp: { ...next, ...fitted.change },
    along: fitted.changed.filter((slot) => fitted.capability[slot] !== null),
  }
}

/**
 * Which small parts would have to follow an item into its place, all of them on the shelf.
 * @returns null where something would still fail that does not now, or where nothing has to follow
 * @example followersOf('wire', wire, capability, demand, shelf) // ['roll', 'tip']: with these it would go
 */
export function followersOf<S extends Slot>(
  slot: S,
  item: SlotItems[S],
  capability: Capability,
  demand: Demand | null,
  shelf: Shelf,
): readonly Slot[] | null {
  const leave = [slot, ...failingSlots(capability, demand)]
  const { capability: then, changed } = fitOut(capability.with(slot, item), shelf, { leave, demand })
  const before = new Set(failingCriteria(capability, demand))
  const isWell = failingCriteria(then, demand).every((id) => before.has(id))
  return changed.length > 0 && isWell ? changed : null
}

const failingCriteria = (capability: Capability, demand: Demand | null): string[] =>
  assess(capability, demand)
    .filter(({ verdict }) => verdict === 'fails')
    .map(({ criterion }) => criterion)
