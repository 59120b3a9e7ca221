/** Feeding aluminium: what converting the ordinary gun costs, against a spool gun or push-pull, and what each cannot do. */
import { byWorst } from '../model/verdict.ts'
import { isInShop } from '../model/ownership.ts'
import type { Capability } from '../capability/capability.ts'
import { inStockFor } from '../capability/slots.ts'
import { type Slot, slotKey, type SlotItems, SMALL_SLOTS } from '../kinds/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { concerning } from '../criteria/concerns.ts'
import { assess } from '../criteria/index.ts'
import { metalsOf } from '../criteria/metals.ts'
import type { Demand } from '../demand/demand.ts'
import { type SetUp } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { message, type Message } from '../model/message.ts'
import { failingSlots, fitOut } from './fitOut.ts'
import { offersFor } from './offers.ts'

export interface Way {
  readonly id: string
  readonly title: Message
  /** What has to be bought, with its price; null where the shelf gives none. */
  readonly buys: readonly { readonly name: string; readonly price: number | null }[]
  /** Sum of what is known, in the shop's currency. */
  readonly cost: number
  /** Whether nothing is lacking and every price is known. */
  readonly isWhole: boolean
  /** Places for which the shelf has nothing that goes. */
  readonly lacks: readonly Slot[]
  /** What it still cannot do, or does badly. */
  readonly cannot: readonly Assessment[]
  /** What has to be known of this way, whatever the parts. */
  readonly drawback: Message
  readonly change: Partial<SetUp>
}

/** Gas, polarity, supply and the source's duty are the same by every way; what the gun carries is not. */
const PATH = concerning('feed-path', 'gun-current')
const CONVERTED: readonly Slot[] = ['roll', 'liner', 'tip']

const priceOf = (item: SlotItems[Slot]): Way['buys'][number] => ({
  name: item.name,
  price: 'price' in item ? item.price : null,
})

type Parts = Pick<Way, 'id' | 'title' | 'lacks' | 'drawback' | 'change'>

function wayOf(parts: Parts, capability: Capability, demand: Demand | null, slots: readonly Slot[]): Way {
  const buys = slots.flatMap((slot) => {
    const item = capability[slot]
    return item === null || isInShop(item, inStockFor(slot, capability.stock, item)) ? [] : [priceOf(item)]
  })
  const { lacks } = parts
  return {
    ...parts,
    buys,
    cost: buys.reduce((sum, { price }) => sum + (price ?? 0), 0),
    isWhole: lacks.length === 0 && buys.every(({ price }) => price !== null),
    cannot: byWorst(assess(capability, demand)).filter(
      ({ criterion, verdict }) => verdict !== 'fits' && PATH.has(criterion),
    ),
  }
}

/** The gun that is there, with U rolls, a slippery liner and its tip. */
function converted(capability: Capability, demand: Demand | null, shelf: Shelf): Way {
  let trial = capability
  const change: Record<string, string> = {}
  const lacks: Slot[] = []
  for (const slot of CONVERTED) {
    const best = offersFor(slot, trial, demand, shelf).find(({ verdict }) => verdict !== 'fails')
    if (best) {
      trial = trial.with(slot, best.item as never)
      change[slotKey(slot)] = best.item.id
    } else lacks.push(slot)
  }
  return wayOf(
    {
      id: 'convert',
      title: message('convert', { gun: capability.gun?.name ?? '' }),
      lacks,
      drawback: message('changed-back'),
      change,
    },
    trial,
    demand,
    CONVERTED.filter((slot) => trial[slot] !== capability[slot]),
  )
}

function bought(
  capability: Capability,
  demand: Demand | null,
  shelf: Shelf,
  drive: 'spool' | 'push-pull',
): Way[] {
  return shelf.guns
    .filter((gun) => gun.drive === drive)
    .map((gun) => {
      const withGun = capability.with('gun', gun)
      const [tip] = offersFor('tip', withGun, demand, shelf)
      const withTip = tip && tip.verdict !== 'fails' ? withGun.with('tip', tip.item) : withGun
      const { capability: fitted, changed, change } = fitOut(withTip, shelf, { demand })
      // A part that does not go on this gun, and none on the shelf that does: its place stays empty.
      const lacks = failingSlots(fitted, demand).filter((slot) => SMALL_SLOTS.has(slot))
      const emptied = lacks.reduce((trial, slot) => trial.with(slot, null), fitted)
      return wayOf(
        {
          id: gun.id,
          title: message('buy', { gun: gun.name }),
          lacks,
          drawback: message(drive),
          change: {
            gunId: gun.id,
            tipId: withTip.tip?.id ?? null,
            ...change,
            ...Object.fromEntries(lacks.map((slot) => [slotKey(slot), null])),
          },
        },
        emptied,
        demand,
        [...new Set<Slot>(['gun', 'tip', ...changed])],
      )
    })
}

/**
 * @returns the ways of feeding the aluminium wire of this set-up; empty where it has none, or no ordinary gun
 * @example aluminiumWays(capability, demand, shelf).map(({ id, cost }) => [id, cost]) // [['convert', 56], ['dray-spool', 295]]
 */
export function aluminiumWays(capability: Capability, demand: Demand | null, shelf: Shelf): readonly Way[] {
  const { process, gun, wire } = capability
  if (!process.feedsWire || !gun || !wire || wire.metal !== 'aluminium' || gun.drive !== 'none') return []
  if (!metalsOf(capability, demand).some(({ metal }) => metal === 'aluminium')) return []
  return [
    converted(capability, demand, shelf),
    ...bought(capability, demand, shelf, 'spool'),
    ...bought(capability, demand, shelf, 'push-pull'),
  ]
}
