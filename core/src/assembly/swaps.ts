/** What would mend a broken rule from the shelf: another part in one of the places that it looks at. */
import { isCandidate, type SetUp } from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Assembly } from './assembly.ts'
import { fitOut } from './fitOut.ts'
import { type RuleFinding, shortSlots } from './judge.ts'
import { type Offer, offersFor } from './offers.ts'
import { type Slot, SLOT_KEYS, slotWords } from './slots.ts'

export interface Swap {
  readonly slot: Slot
  readonly says: string
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

type FindSwaps = (finding: RuleFinding) => readonly Swap[]

/**
 * What the shelf offers for a place is reckoned once, however many rules look there.
 * @returns for a rule that does not fit: swaps of one part each, easiest first, after which no rule of that place is
 *   short; small parts follow it
 */
export function swapFinder(assembly: Assembly, shelf: Shelf, most = 2): FindSwaps {
  // What was wrong before is another rule's affair.
  const wrongBefore = shortSlots(assembly)
  const known = new Map<Slot, readonly Offer[]>()
  const offersOf = (slot: Slot): readonly Offer[] => {
    const offers = known.get(slot) ?? offersFor(slot, assembly, shelf)
    known.set(slot, offers)
    return offers
  }
  return ({ rule }) => {
    const swaps: Swap[] = []
    for (const slot of EASE) {
      if (swaps.length >= most) break
      if (!rule.slots.includes(slot) || assembly[slot] === null) continue
      const offer = offersOf(slot).find(
        ({ item, verdict, reasons }) =>
          item !== assembly[slot] &&
          verdict !== 'short' &&
          reasons.every(({ ruleId, verdict: of }) => ruleId !== rule.id || of === 'tight'),
      )
      if (!offer || offer.reasons.some(({ ruleId }) => ruleId === rule.id)) continue
      const then = { ...assembly, [slot]: offer.item }
      const { change, changed, assembly: fitted } = fitOut(then, shelf, 'small', wrongBefore)
      const along = changed
        .filter((one) => fitted[one] !== null)
        .map((one) => slotWords(one, assembly.process))
        .join(', ')
      swaps.push({
        slot,
        says: `${offer.item.name}${isCandidate(offer.item) ? ', to buy' : ''}${along ? `, with its ${along}` : ''}`,
        change: { [SLOT_KEYS[slot]]: offer.item.id, ...change },
      })
    }
    return swaps
  }
}
