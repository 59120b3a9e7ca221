/** What can go into one place of a set-up: what fits first, what does not with the reason. */
import { isCandidate, isInShop } from '../model/ownership.ts'
import type { Capability } from '../capability/capability.ts'
import { inStockFor } from '../capability/slots.ts'
import { itemsFor, type Slot, SMALL_SLOTS, type SlotItems } from '../kinds/slots.ts'
import { isConsequence } from '../criteria/chosen.ts'
import { type Assessment, slotsOf } from '../criteria/criterion.ts'
import { criteriaOfSlot } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import { onHandOf } from '../kinds/onHand.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { type Verdict, VERDICT_RANK } from '../model/verdict.ts'

export interface Offer<S extends Slot = Slot> {
  readonly item: SlotItems[S]
  /** What fails is shown greyed. */
  readonly verdict: Verdict
  /** Every criterion that it does not simply fit, worst first. */
  readonly reasons: readonly Assessment[]
}

/** Where more than small parts stand in the way, a thing comes after those that are nearly there. */
const FAR = 10

/** Owned before candidates, and what is in stock before what is not. */
function distance(slot: Slot, item: SlotItems[Slot], shelf: Shelf): number {
  if (isInShop(item, inStockFor(slot, onHandOf(shelf), item))) return 0
  return isCandidate(item) ? 2 : 1
}

/**
 * @param capability what is chosen so far; places that are empty bind nothing
 * @param demand what a job asks, reckoned with the wire that is chosen; null to look at the set-up alone
 * @returns everything of the shelf for this place: fitting first, then tight, unknown, failing; owned before candidates
 * @example offersFor('gas', capability, null, shelf)[0] // { item: argon, verdict: 'fits', reasons: [] }
 */
export function offersFor<S extends Slot>(
  slot: S,
  capability: Capability,
  demand: Demand | null,
  shelf: Shelf,
): readonly Offer<S>[] {
  const criteria = criteriaOfSlot(slot, capability.process.id)
  const near = new Map<SlotItems[S], number>()
  const offers = itemsFor(slot, shelf).map((item): Offer<S> => {
    const trial = capability.with(slot, item)
    let verdict: Verdict = 'fits'
    let isSmallMatter = true
    const reasons: Assessment[] = []
    for (const criterion of criteria) {
      const assessment = criterion.assess(trial, demand)
      if (!assessment || assessment.verdict === 'fits' || isConsequence(assessment)) continue
      reasons.push(assessment)
      if (VERDICT_RANK[assessment.verdict] > VERDICT_RANK[verdict]) verdict = assessment.verdict
      if (assessment.verdict === 'fails')
        isSmallMatter &&= slotsOf(criterion, capability.process).some(
          (one) => one !== slot && SMALL_SLOTS.has(one),
        )
    }
    if (reasons.length > 1) reasons.sort((a, b) => VERDICT_RANK[b.verdict] - VERDICT_RANK[a.verdict])
    near.set(item, distance(slot, item, shelf) + (isSmallMatter ? 0 : FAR))
    return { item, verdict, reasons }
  })
  return offers.sort(
    (a, b) =>
      VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict] ||
      (near.get(a.item) ?? 0) - (near.get(b.item) ?? 0) ||
      a.reasons.length - b.reasons.length,
  )
}
