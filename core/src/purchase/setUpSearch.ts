/**
 * Whole set-ups for one job with one process and wire, place by place: a part that fails a criterion with those before it
 * ends its branch, and so does a set-up that is beaten by one that was found. Small parts are left to whoever seeks.
 */
import type { Capability } from '../capability/capability.ts'
import { needsOf } from '../capability/slots.ts'
import type { Slot, SlotItems } from '../kinds/slots.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { criterionOf } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import { gasCostOf, type Totals } from '../fit/cost.ts'
import type { Circuit, Gas, PowerSource, SupplyRating } from '../kinds/equipment.ts'
import type { Verdict } from '../model/verdict.ts'
import { type AllSaid, Judge } from './judge.ts'
import { type Option, type Options, type Spent, TIGHT, together } from './options.ts'

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

/** To the rest of a set-up circuits are alike that are on the same column of the plate: of those before it one is as good. */
class UnlikeCircuits {
  readonly #kept: (Branch & { readonly supply: SupplyRating | null })[] = []

  constructor(readonly before: Capability) {}

  /** @returns whether a circuit is like none that was kept, and keeps it then */
  keeps(branch: Branch): boolean {
    const { option, then } = branch
    const { supply } = this.before.with('circuit', option.item as Circuit)
    const isBeaten = this.#kept.some(
      (one) =>
        one.supply === supply &&
        (!one.then.isTight || then.isTight) &&
        one.option.spent.buys.every(({ key }) => option.spent.buys.some((other) => other.key === key)),
    )
    if (!isBeaten) this.#kept.push({ ...branch, supply })
    return !isBeaten
  }
}

const GAS_USE = criterionOf('gas-use')

export class SetUpSearch {
  readonly judge: Judge
  readonly #gasCosts = new Map<Gas, Map<PowerSource | null, number>>()
  readonly #wentLast = new Map<Slot, SlotItems[Slot]>()

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

  /** What a run's gas counts: but for TIG, whose machine decides how long it flows on, of process and wire alone. */
  #gasCost(capability: Capability, gas: Gas): number {
    const source = capability.process.family === 'gtaw' ? capability.powerSource : null
    let bySource = this.#gasCosts.get(gas)
    if (!bySource) this.#gasCosts.set(gas, (bySource = new Map()))
    const known = bySource.get(source)
    if (known !== undefined) return known
    const usedL = this.gasUse(capability.with('gas', gas))?.demand ?? null
    const { gas: cost, guesses } = gasCostOf(gas, usedL, this.demand.assumptions)
    const made = this.stock.costed({ job: cost ?? 0, guesses })
    bySource.set(source, made)
    return made
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
        for (const one of MAIN) this.went(one, capability[one])
        found(capability, before)
        return
      }
      if (!needsOf(capability).some((need) => need.slot === slot)) {
        fill(capability, before, at + 1)
        return
      }
      const unlike = slot === 'circuit' ? new UnlikeCircuits(capability) : null
      const go = (option: Option, then: Spent): void => {
        if (unlike?.keeps({ option, then }) === false) return
        fill(capability.with(slot, option.item as never), then, at + 1)
      }
      this.inTurn(slot, capability, before, isHopeless, go)
    }
    fill(begun, spent, 0)
  }

  /** Options by what they cost to get, the cheapest first; of gases the cheapest to run. */
  #groupsOf(slot: Slot, capability: Capability): readonly (readonly Option[])[] {
    if (slot !== 'gas') return this.stock.options.byCost(slot, capability)
    const costed = this.stock.options.of('gas').map(({ item, spent }): Option => {
      const runCost = this.#gasCost(capability, item as Gas)
      return { item, spent: { ...spent, runCost } }
    })
    return [costed.sort((a, b) => a.spent.runCost - b.spent.runCost)]
  }

  /** Notes what went into a place. */
  went(slot: Slot, item: SlotItems[Slot] | null): void {
    if (item !== null) this.#wentLast.set(slot, item)
  }

  /** What went into a place last is likely to go again: of what costs the same it is tried first. */
  #likeliest(slot: Slot, group: readonly Option[]): readonly Option[] {
    const last = slot === 'gas' ? undefined : this.#wentLast.get(slot)
    const at = last === undefined ? -1 : group.findIndex(({ item }) => item === last)
    const first = at > 0 ? group[at] : undefined
    return first ? [first, ...group.filter((one) => one !== first)] : group
  }

  /**
   * Options in the order of what they cost, each judged when its turn comes: mostly the first that goes makes the rest
   * hopeless. Of those that cost the same to get, what is tight comes last.
   */
  inTurn(
    slot: Slot,
    capability: Capability,
    before: Spent,
    isHopeless: (spent: Spent) => boolean,
    go: (option: Option, then: Spent) => void,
  ): void {
    const judge = this.judge.at(slot, capability)
    for (const group of this.#groupsOf(slot, capability)) {
      const tight: Branch[] = []
      for (const option of this.#likeliest(slot, group)) {
        const atBest = together(before, option.spent)
        if (isHopeless(atBest)) continue
        const then = this.taken(atBest, judge(option.item))
        if (!then) continue
        if (then.isTight && !before.isTight) tight.push({ option, then })
        else go(option, then)
      }
      for (const { option, then } of tight) if (!isHopeless(then)) go(option, then)
    }
  }
}
