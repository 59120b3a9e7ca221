/** What can go into one place of a set-up: what fits first, what does not with the reason. */
import { type Verdict, VERDICT_RANK } from '../model/finding.ts'
import { isCandidate, isInShop } from '../model/holding.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Assembly, Trial } from './assembly.ts'
import { rulesOfSlot } from './judge.ts'
import { itemsFor, type Slot, SMALL_SLOTS, type SlotItems } from './slots.ts'

export interface Reason {
  readonly ruleId: string
  readonly verdict: Verdict
  readonly says: string
}

export interface Offer<S extends Slot = Slot> {
  readonly item: SlotItems[S]
  /** `short` is shown greyed. */
  readonly verdict: Verdict
  /** Every rule that it does not simply fit, worst first. */
  readonly reasons: readonly Reason[]
}

/** Where more than small parts stand in the way, a thing comes after those that are nearly there. */
const FAR = 10

/** Owned before candidates, and what is in stock before what is not. */
function distance(item: SlotItems[Slot]): number {
  if (isInShop(item)) return 0
  return isCandidate(item) ? 2 : 1
}

/**
 * @param assembly what is chosen so far; places that are empty bind nothing
 * @returns everything of the shelf for this place: fitting first, then tight, unknown, short; owned before candidates
 */
export function offersFor<S extends Slot>(slot: S, assembly: Assembly, shelf: Shelf): readonly Offer<S>[] {
  const rules = rulesOfSlot(slot)
  // One trial for all: copying an assembly for each of two thousand things costs more than the rules.
  const trial: Trial = { ...assembly }
  const near = new Map<SlotItems[S], number>()
  const offers = itemsFor(slot, shelf).map((item): Offer<S> => {
    ;(trial as Record<Slot, unknown>)[slot] = item
    let verdict: Verdict = 'fits'
    let isSmallMatter = true
    const reasons: Reason[] = []
    for (const rule of rules) {
      const judgement = rule.judge(trial)
      if (!judgement || judgement.verdict === 'fits') continue
      reasons.push({ ruleId: rule.id, verdict: judgement.verdict, says: judgement.says })
      if (VERDICT_RANK[judgement.verdict] > VERDICT_RANK[verdict]) verdict = judgement.verdict
      if (judgement.verdict === 'short')
        isSmallMatter &&= rule.slots.some((one) => one !== slot && SMALL_SLOTS.has(one))
    }
    if (reasons.length > 1) reasons.sort((a, b) => VERDICT_RANK[b.verdict] - VERDICT_RANK[a.verdict])
    near.set(item, distance(item) + (isSmallMatter ? 0 : FAR))
    return { item, verdict, reasons }
  })
  return offers.sort(
    (a, b) =>
      VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict] ||
      (near.get(a.item) ?? 0) - (near.get(b.item) ?? 0) ||
      a.reasons.length - b.reasons.length,
  )
}
