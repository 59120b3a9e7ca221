/** What would mend a broken rule from the shelf: another part in one of the places that it looks at. */
import type { SetUp } from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Assembly } from './assembly.ts'
import { fitOut } from './fitOut.ts'
import { judgeSlot, type RuleFinding, worstOf } from './judge.ts'
import { offersFor } from './offers.ts'
import { type Slot, SLOT_KEYS, SLOTS, slotWords } from './slots.ts'

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

const isCandidate = (item: object): boolean => 'held' in item && item.held === 'candidate'

/**
 * @param finding a rule that does not fit
 * @returns swaps of one part each, easiest first, after which no rule of that place is short; small parts follow it
 */
export function swapsFor({ rule }: RuleFinding, assembly: Assembly, shelf: Shelf, most = 2): readonly Swap[] {
  const swaps: Swap[] = []
  for (const slot of EASE) {
    if (swaps.length >= most) break
    if (!rule.slots.includes(slot) || assembly[slot] === null) continue
    const offer = offersFor(slot, assembly, shelf).find(
      ({ item, verdict, reasons }) =>
        item !== assembly[slot] &&
        verdict !== 'short' &&
        reasons.every(({ ruleId, verdict: of }) => ruleId !== rule.id || of === 'tight'),
    )
    if (!offer || offer.reasons.some(({ ruleId }) => ruleId === rule.id)) continue
    const then = { ...assembly, [slot]: offer.item }
    // What was wrong before is another rule's affair.
    const wrongBefore = SLOTS.filter((one) => worstOf(judgeSlot(one, assembly)) === 'short')
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
