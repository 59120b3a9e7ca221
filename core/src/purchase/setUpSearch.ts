/**
 * Whole set-ups for one job with one process and wire, place by place: a part that fails a criterion with those before it
 * ends its branch, and so does a set-up that is beaten by one that was found. Small parts are left to whoever seeks.
 */
import type { Capability } from '../capability/capability.ts'
import { needsOf } from '../capability/slots.ts'
import type { Slot } from '../kinds/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { criterionOf } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import { gasCostOf, type Totals } from '../fit/cost.ts'
import type { Circuit, SupplyRating } from '../kinds/equipment.ts'
import type { Verdict } from '../model/verdict.ts'
import { type AllSaid, Judge } from './judge.ts'
import { compareSpent, type Option, type Options, type Spent, TIGHT, together } from './options.ts'

/** Where parts and their costs come from. */
export interface Stock {
  readonly options: Options
  /** @returns what a run counts in the comparison; 0 where nothing of it is known */
  readonly costed: (cost: Totals | null) => number
}

/** The order in which places are filled: most sources fall by their circuit; gas and gun decide what others may be. */
const MAIN: readonly Slot[] = ['circuit', 'gas', 'gun', 'feeder', 'tungsten']

interface Branch {
  readonly option: Option
  readonly then: Spent
}

/** To the rest of a set-up circuits are alike that are on the same column of the plate. */
function unlikeCircuits(sorted: readonly Branch[], before: Capability): readonly Branch[] {
  const kept: (Branch & { readonly supply: SupplyRating | null })[] = []
  for (const branch of sorted) {
    const { option, then } = branch
    const { supply } = before.with('circuit', option.item as Circuit)
    const isBeaten = kept.some(
      (one) =>
        one.supply === supply &&
        (!one.then.isTight || then.isTight) &&
        one.option.spent.buys.every(({ key }) => option.spent.buys.some((other) => other.key === key)),
    )
    if (!isBeaten) kept.push({ ...branch, supply })
  }
  return kept
}

const GAS_USE = criterionOf('gas-use')

export class SetUpSearch {
  readonly judge: Judge

  /**
   * @param counts what of the verdicts counts as done
   * @param ofSetUps what criteria say that are the same for every job, kept from search to search
   */
  constructor(
    readonly stock: Stock,
    readonly demand: Demand,
    readonly counts: (verdict: Verdict) => boolean,
    ofSetUps: AllSaid,
  ) {
    this.judge = new Judge(demand, ofSetUps)
  }

  /** @returns what taking a part costs with its verdict; null where it does not count as done */
  taken(spent: Spent, verdict: Verdict): Spent | null {
    if (verdict === 'fails' || !this.counts(verdict)) return null
    return verdict === 'tight' ? together(spent, TIGHT) : spent
  }

  /** How much gas the job uses; null without any. */
  gasUse(capability: Capability): Assessment | null {
    return GAS_USE.assess(capability, this.demand)
  }

  #gasCost(capability: Capability): number {
    const usedL = this.gasUse(capability)?.demand ?? null
    const { gas, guesses } = gasCostOf(capability.gas, usedL, this.demand.assumptions)
    return this.stock.costed({ job: gas ?? 0, guesses })
  }

  /**
   * Fills the places of large things, of gas and tungsten, in every way that is not hopeless.
   * @param found hears of each
   */
  complete(
    begun: Capability,
    spent: Spent,
    isHopeless: (spent: Spent) => boolean,
    found: (capability: Capability, spent: Spent) => void,
  ): void {
    const fill = (capability: Capability, before: Spent, at: number): void => {
      const slot = MAIN[at]
      if (slot === undefined) {
        found(capability, before)
        return
      }
      if (!needsOf(capability).some((need) => need.slot === slot)) {
        fill(capability, before, at + 1)
        return
      }
      const judge = this.judge.at(slot, capability)
      const branches: Branch[] = []
      for (const option of this.stock.options.of(slot)) {
        const verdict = judge(option.item)
        if (verdict === 'fails') continue
        const taken = this.taken(together(before, option.spent), verdict)
        if (!taken) continue
        const gas = slot === 'gas' ? this.#gasCost(capability.with(slot, option.item as never)) : 0
        const then = gas === 0 ? taken : { ...taken, runCost: taken.runCost + gas }
        if (!isHopeless(then)) branches.push({ option, then })
      }
      // The best first: most of the others are then seen to be hopeless.
      branches.sort((a, b) => compareSpent(a.then, b.then))
      const unlike = slot === 'circuit' ? unlikeCircuits(branches, capability) : branches
      for (const { option, then } of unlike)
        if (!isHopeless(then)) fill(capability.with(slot, option.item as never), then, at + 1)
    }
    fill(begun, spent, 0)
  }
}
