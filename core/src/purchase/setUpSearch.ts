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
import type { Circuit, Gas, SupplyRating } from '../kinds/equipment.ts'
import type { Verdict } from '../model/verdict.ts'
import { type AllSaid, Judge } from './judge.ts'
import { type Option, type Options, type Spent, TIGHT, together } from './options.ts'
import type { RuledOut } from './ruledOut.ts'

/** Where parts and their costs come from. */
export interface Stock {
  readonly options: Options
  /** @returns what a run counts in the comparison; 0 where nothing of it is known */
  readonly costed: (cost: Totals | null) => number
  /** Which verdicts count as done. */
  readonly counts: (verdict: Verdict) => boolean
}

/**
 * The order in which places are filled: most sources fall by their circuit; gun and feeder decide what most small parts may
 * be, so that what these cost is known before one gas after the other is tried.
 */
export const MAIN: readonly Slot[] = ['circuit', 'gun', 'feeder', 'gas', 'tungsten']
/** What is not known yet where small parts go in before the gas. */
export const AFTER_SMALL_PARTS: ReadonlySet<Slot> = new Set(MAIN.slice(MAIN.indexOf('gas')))

/** What is not worth a look. */
export interface Bound {
  readonly isHopeless: (spent: Spent, item?: SlotItems[Slot]) => boolean
  /** Whether all that costs more than what is hopeless is hopeless too: then what comes after it is not looked at. */
  readonly isByCost: boolean
}

export interface Completing extends Bound {
  /** @returns what is spent with the small parts that hang on no gas; null where none go */
  readonly beforeGas: (capability: Capability, spent: Spent) => Spent | null
  /** @returns whether a set-up that has its gas is no longer worth a look, by the small parts that go with that gas */
  readonly isHopelessWithGas?: (capability: Capability, spent: Spent) => boolean
  /** Hears of each that is filled. */
  readonly found: (capability: Capability, spent: Spent) => void
}

interface Branch {
  readonly option: Option
  readonly then: Spent
}

/** To the rest of a set-up circuits are alike that are on the same column of the plate. */
class CircuitsTaken {
  readonly #taken: (Branch & { readonly supply: SupplyRating | null })[] = []

  constructor(readonly before: Capability) {}

  #supplyOn({ item }: Option): SupplyRating | null {
    return this.before.with('circuit', item as Circuit).supply
  }

  /** @returns whether one that was taken is as good, whatever is said of this one beyond that it is tight */
  isBeaten(option: Option, isTight: boolean): boolean {
    if (this.#taken.length === 0) return false
    const supply = this.#supplyOn(option)
    return this.#taken.some(
      (one) =>
        one.supply === supply &&
        (!one.then.isTight || isTight) &&
        one.option.spent.buys.every(({ key }) => option.spent.buys.some((other) => other.key === key)),
    )
  }

  take(branch: Branch): void {
    this.#taken.push({ ...branch, supply: this.#supplyOn(branch.option) })
  }
}

type Group = readonly Option[]
/** Groups one after the other, as far as they are asked for. */
interface InTurn {
  at(index: number): Group | undefined
}

/** Options that go, in groups: each is judged when its turn comes, for mostly the first is taken and no other looked at. */
class ThoseThatGo implements InTurn {
  readonly #found: Group[] = []
  #next = 0

  constructor(
    readonly groups: readonly Group[],
    readonly mayGo: (item: SlotItems[Slot]) => boolean,
  ) {}

  at(index: number): Group | undefined {
    while (this.#found.length <= index) {
      const group = this.groups[this.#next]
      if (!group) return undefined
      this.#next += 1
      const going = group.filter(({ item }) => this.mayGo(item))
      if (going.length > 0) this.#found.push(going)
    }
    return this.#found[index]
  }

  get all(): readonly Option[] {
    this.at(this.groups.length)
    return this.#found.flat()
  }
}

const GAS_USE = criterionOf('gas-use')

export class SetUpSearch {
  readonly judge: Judge
  readonly #gasCosts = new Map<Gas, Map<string, number>>()
  /** By the options that there are for a place. */
  readonly #thoseThatGo = new Map<readonly Group[], ThoseThatGo>()

  /**
   * @param ofSetUps what criteria say that are the same for every job, kept from search to search
   * @param ruledOut what fails by these, whatever it is put together with
   */
  constructor(
    readonly stock: Stock,
    readonly demand: Demand,
    ofSetUps: AllSaid,
    readonly ruledOut: RuledOut,
  ) {
    this.judge = new Judge(demand, ofSetUps)
  }

  /** @returns what taking a part costs with its verdict; null where it does not count as done */
  taken(spent: Spent, verdict: Verdict): Spent | null {
    if (verdict === 'fails' || !this.stock.counts(verdict)) return null
    return verdict === 'tight' ? together(spent, TIGHT) : spent
  }

  /** How much gas the job uses; null without any. */
  gasUse(capability: Capability): Assessment | null {
    return GAS_USE.assess(capability, this.demand)
  }

  /** What a run's gas counts: but for TIG, where machine and torch decide how long it flows on, of process and wire alone. */
  #gasCost(capability: Capability, gas: Gas): number {
    const { process, powerSource, gun } = capability
    const key = process.family === 'gtaw' ? `${powerSource?.id} ${gun?.id}` : ''
    let byParts = this.#gasCosts.get(gas)
    if (!byParts) this.#gasCosts.set(gas, (byParts = new Map()))
    const known = byParts.get(key)
    if (known !== undefined) return known
    const usedL = this.gasUse(capability.with('gas', gas))?.demand ?? null
    const { gas: cost, guesses } = gasCostOf(gas, usedL, this.demand.assumptions)
    const made = this.stock.costed({ job: cost ?? 0, guesses })
    byParts.set(key, made)
    return made
  }

  /** Fills the empty places of large things, of gas and tungsten, in every way that is not hopeless. */
  complete(begun: Capability, spent: Spent, completing: Completing): void {
    const { isHopeless, isByCost, beforeGas, isHopelessWithGas, found } = completing
    const fill = (capability: Capability, before: Spent, at: number): void => {
      const slot = MAIN[at]
      if (slot === undefined) {
        found(capability, before)
        return
      }
      const soFar = slot === 'gas' ? beforeGas(capability, before) : before
      if (!soFar || (slot === 'gas' && isHopeless(soFar))) return
      if (capability[slot] !== null || !needsOf(capability).some((need) => need.slot === slot)) {
        fill(capability, soFar, at + 1)
        return
      }
      const bound: Bound =
        slot === 'gas' && isHopelessWithGas
          ? {
              isHopeless: (one, gas) =>
                isHopeless(one) || isHopelessWithGas(capability.with('gas', gas as Gas), one),
              isByCost,
            }
          : completing
      this.inTurn(slot, capability, soFar, bound, ({ item }, then) => {
        fill(capability.with(slot, item as never), then, at + 1)
      })
    }
    fill(begun, spent, 0)
  }

  /** What may go into a place with this wire, in groups of what costs the same to get; the cheapest first. */
  byCost(slot: Slot, capability: Capability): ThoseThatGo {
    const groups = this.stock.options.byCost(slot, capability)
    const known = this.#thoseThatGo.get(groups)
    if (known) return known
    const made = new ThoseThatGo(groups, this.judge.mayGo(slot, capability))
    this.#thoseThatGo.set(groups, made)
    return made
  }

  /** Options by what they cost to get, the cheapest first; of gases the cheapest to run. */
  #groupsOf(slot: Slot, capability: Capability): InTurn {
    const groups = this.byCost(slot, capability)
    if (slot !== 'gas') return groups
    const costed = groups.all.map(({ item, spent }): Option => {
      const runCost = this.#gasCost(capability, item as Gas)
      return { item, spent: { ...spent, runCost } }
    })
    return [costed.sort((a, b) => a.spent.runCost - b.spent.runCost)]
  }

  /**
   * Options in the order of what they cost, each judged when its turn comes: mostly the first that goes makes the rest
   * hopeless. Of those that cost the same to get, what is tight comes last, also where something else is tight already.
   */
  inTurn(
    slot: Slot,
    capability: Capability,
    before: Spent,
    { isHopeless, isByCost }: Bound,
    go: (option: Option, then: Spent) => void,
  ): void {
    const out = this.ruledOut.at(slot, capability)
    const judge = this.judge.at(slot, capability, out?.add)
    const circuits = slot === 'circuit' ? new CircuitsTaken(capability) : null
    const take = (branch: Branch): void => {
      const { option, then } = branch
      if (isHopeless(then, option.item) || circuits?.isBeaten(option, then.isTight)) return
      circuits?.take(branch)
      go(option, then)
    }
    const groups = this.#groupsOf(slot, capability)
    let isPast = false
    for (let index = 0, group; !isPast && (group = groups.at(index)); index += 1) {
      const tight: Branch[] = []
      for (const option of group) {
        if (out?.has(option.item)) continue
        const atBest = together(before, option.spent)
        if (isHopeless(atBest, option.item)) {
          isPast = isByCost
          if (isPast) break
          continue
        }
        if (circuits?.isBeaten(option, before.isTight)) continue
        const verdict = judge(option.item)
        const then = this.taken(atBest, verdict)
        if (!then) continue
        const branch = { option, then }
        if (verdict === 'tight') tight.push(branch)
        else take(branch)
      }
      for (const branch of tight) take(branch)
    }
    if (slot === 'feeder') this.ruledOut.withFeeders(capability, this.stock.options.of('feeder'))
  }
}
