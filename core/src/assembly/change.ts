/** A change to a set-up, with what follows from it: nobody changes the wire and keeps the rolls. */
import type { SetUp } from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import { type Assembly, assemblyOf, chosenOf, type Demands } from './assembly.ts'
import { fitOut } from './fitOut.ts'
import { judgeAll, shortSlots } from './judge.ts'
import { type Slot, SLOT_KEYS, type SlotItems, SLOTS } from './slots.ts'

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
 */
export function changeSetUp(
  shop: Shop,
  shelf: Shelf,
  setUp: SetUp,
  change: Partial<SetUp>,
  demands: Demands | null = null,
  which: 'small' | 'all' = 'small',
): ChangedSetUp {
  const before = assemblyOf(shop, setUp, chosenOf(setUp, shelf), demands)
  const next = { ...setUp, ...change }
  const named = SLOTS.filter((slot) => SLOT_KEYS[slot] in change)
  const leave = which === 'small' ? [...named, ...shortSlots(before)] : named
  const fitted = fitOut(assemblyOf(shop, next, chosenOf(next, shelf), demands), shelf, which, leave)
  return {
    setUp: { ...next, ...fitted.change },
    along: fitted.changed.filter((slot) => fitted.assembly[slot] !== null),
  }
}

/**
 * Which small parts would have to follow an item into its place, all of them on the shelf.
 * @returns null where something would still be short that is not now, or where nothing has to follow
 */
export function followersOf<S extends Slot>(
  slot: S,
  item: SlotItems[S],
  assembly: Assembly,
  shelf: Shelf,
): readonly Slot[] | null {
  const leave = [slot, ...shortSlots(assembly)]
  const { assembly: then, changed } = fitOut({ ...assembly, [slot]: item }, shelf, 'small', leave)
  const before = new Set(shortRules(assembly))
  return changed.length > 0 && shortRules(then).every((id) => before.has(id)) ? changed : null
}

const shortRules = (assembly: Assembly): string[] =>
  judgeAll(assembly)
    .filter(({ judgement }) => judgement.verdict === 'short')
    .map(({ rule }) => rule.id)
