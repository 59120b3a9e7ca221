/** Which criterion of many decides: pages ask it too, and have no criteria. */
import type { Verdict } from '../model/verdict.ts'
import { concerning } from './concerns.ts'
import { type Assessment, OF_KIND } from './criterion.ts'
import { isJudged } from './judged.ts'

/** What asks for another metal, gas or wave is named before amps: more of them would not help. */
export const KIND_FIRST: readonly string[] = OF_KIND.flatMap((kind) => [...concerning(kind)])

/**
 * @param criteria in the order of the list
 * @returns the criterion that a cell speaks of: of the worst verdict, first what no other figure mends, then the first in
 *   the order of the list; null where nothing of it was judged
 * @example limitOf(assess(capability, demand), 'fails')?.criterion // 'filler-for-metal'
 */
export function limitOf(criteria: readonly Assessment[], verdict: Verdict): Assessment | null {
  const worst = criteria.filter((one) => one.verdict === verdict && isJudged(one))
  for (const id of KIND_FIRST) {
    const found = worst.find(({ criterion }) => criterion === id)
    if (found) return found
  }
  return worst[0] ?? null
}
