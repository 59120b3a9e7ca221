/** What would mend a criterion from the shelf: another part in one of the places that it looks at. */
import type { Capability } from '../capability/capability.ts'
import { type Slot, slotKey, type SlotItems } from '../kinds/slots.ts'
import { type Assessment, slotsOf } from '../criteria/criterion.ts'
import { criterionOf } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import type { SetUp, Wire } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { failingSlots, fitOut } from './fitOut.ts'
import { type Offer, offersFor } from './offers.ts'

export interface Swap {
  readonly slot: Slot
  readonly item: SlotItems[Slot]
  /** Places whose part follows. */
  readonly along: readonly Slot[]
  readonly change: Partial<SetUp>
}

/** From the part that is cheapest to change to the one that is dearest. */
const EASE: readonly Slot[] = [
  'tip',
  'nozzle',
  'cup',
  'collet',
  'colletBody',
  'backCap',
  'roll',
  'liner',
  'tungsten',
  'flowMeter',
  'gas',
  'wire',
  'gun',
  'feeder',
  'circuit',
  'powerSource',
]

/** Another metal’s wire mends nothing, unless the job is of that metal. */
const isOfMetal = ({ metal }: Wire, { wire }: Capability, demand: Demand | null): boolean =>
  metal === wire?.metal || (demand?.metals.includes(metal) ?? false)

type FindSwaps = (assessment: Assessment) => readonly Swap[]

/**
 * What the shelf offers for a place is reckoned once, however many criteria look there.
 * @returns for a criterion that does not fit: swaps of one part each, easiest first, after which nothing of that place
 *   fails; small parts follow it
 */
export function swapFinder(capability: Capability, demand: Demand | null, shelf: Shelf, most = 2): FindSwaps {
  // What was wrong before is another criterion's affair.
  const leave = failingSlots(capability, demand)
  const known = new Map<Slot, readonly Offer[]>()
  const offersOf = (slot: Slot): readonly Offer[] => {
    const offers = known.get(slot) ?? offersFor(slot, capability, demand, shelf)
    known.set(slot, offers)
    return offers
  }
  return ({ criterion }) => {
    const slots = slotsOf(criterionOf(criterion), capability.process)
    const swaps: Swap[] = []
    for (const slot of EASE) {
      if (swaps.length >= most) break
      if (!slots.includes(slot) || capability[slot] === null) continue
      const offer = offersOf(slot).find(
        ({ item, verdict, reasons }) =>
          item !== capability[slot] &&
          (slot !== 'wire' || isOfMetal(item as SlotItems['wire'], capability, demand)) &&
          verdict !== 'fails' &&
          reasons.every((reason) => reason.criterion !== criterion),
      )
      if (!offer) continue
      const {
        change,
        changed,
        capability: fitted,
      } = fitOut(capability.with(slot, offer.item as never), shelf, { leave, demand })
      swaps.push({
        slot,
        item: offer.item,
        along: changed.filter((one) => fitted[one] !== null),
        change: { [slotKey(slot)]: offer.item.id, ...change },
      })
    }
    return swaps
  }
}
