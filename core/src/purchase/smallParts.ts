/** Small parts that go with the large ones of a set-up: place by place, and which places depend on each other. */
import type { Capability } from '../capability/capability.ts'
import { type Need, needsOf } from '../capability/slots.ts'
import { type Slot, type SlotItems, SLOTS, SMALL_SLOTS } from '../kinds/slots.ts'
import { type Criterion, slotsOf } from '../criteria/criterion.ts'
import { CRITERIA, criteriaOfSlot } from '../criteria/index.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { compareSpent, NOTHING_SPENT, type Option, rollSystemOf, type Spent, together } from './options.ts'
import { type Nested, under } from './nested.ts'
import { AFTER_SMALL_PARTS, type Bound, type SetUpSearch } from './setUpSearch.ts'

const SMALL: readonly Slot[] = SLOTS.filter((slot) => SMALL_SLOTS.has(slot))

/** Small parts in their places. */
export interface PartSet {
  readonly items: readonly (readonly [Slot, SlotItems[Slot]])[]
  readonly spent: Spent
}

/** Every place that a criterion of one small part looks at, and that holds no small part itself. */
const BESIDE = new Map(
  PROCESS_IDS.flatMap((id) =>
    SMALL.map((slot): [string, readonly Slot[]] => {
      const seen = criteriaOfSlot(slot, id).flatMap((one) => slotsOf(one, PROCESSES[id]))
      return [`${id} ${slot}`, SLOTS.filter((one) => seen.includes(one) && !SMALL_SLOTS.has(one))]
    }),
  ),
)
const besideOf = (slot: Slot, process: ProcessId): readonly Slot[] => BESIDE.get(`${process} ${slot}`) ?? []

const isOfJob = ({ isOfSetUp }: Criterion): boolean => isOfSetUp !== true

/** Small places that a criterion looks at together. */
interface Cluster {
  readonly places: readonly Slot[]
  /** Every other place that decides what goes into them. */
  readonly beside: readonly Slot[]
  /** Whether they can be filled before gas and tungsten are chosen. */
  readonly isBeforeGas: boolean
  /** Whether they can be filled once the gas is chosen, and no sooner. */
  readonly isByGas: boolean
  /** Places of which a job says something: by itself, or beside another of them. */
  readonly ofJob: readonly Slot[]
  readonly isJobBetween: boolean
}

/** By what a set-up needs: there are few such lists, each made once. */
const clusters = new WeakMap<readonly Need[], readonly Cluster[]>()
function clustersOf(capability: Capability): readonly Cluster[] {
  const needs = needsOf(capability)
  const known = clusters.get(needs)
  if (known) return known
  const process = capability.process.id
  const needed = SMALL.filter((slot) => needs.some((need) => need.slot === slot))
  const cluster = new Map(needed.map((slot) => [slot, [slot]]))
  for (const criterion of CRITERIA) {
    const [first, ...rest] = slotsOf(criterion, PROCESSES[process]).filter((slot) => needed.includes(slot))
    for (const other of rest) {
      const [one, two] = [cluster.get(first as Slot) ?? [], cluster.get(other) ?? []]
      if (one === two) continue
      const joined = [...one, ...two]
      for (const slot of joined) cluster.set(slot, joined)
    }
  }
  const found = [...new Set(cluster.values())].map((places): Cluster => {
    const beside = [...new Set(places.flatMap((slot) => besideOf(slot, process)))]
    const later = beside.filter((slot) => AFTER_SMALL_PARTS.has(slot))
    const isBeforeGas = later.length === 0
    const isByGas = !isBeforeGas && later.every((slot) => slot === 'gas')
    const ofJob = places.filter((slot) => criteriaOfSlot(slot, process).some(isOfJob))
    const isJobBetween = CRITERIA.some(
      (one) =>
        isOfJob(one) && slotsOf(one, PROCESSES[process]).filter((slot) => places.includes(slot)).length > 1,
    )
    return { places, beside, isBeforeGas, isByGas, ofJob, isJobBetween }
  })
  clusters.set(needs, found)
  return found
}

/** By places that are filled together, by what stands in the places beside them, and by the library that goes with it. */
class Beside<T> {
  readonly #all: Nested<T> = new Map()

  /** @param more what else decides */
  of(of: Cluster | Slot, beside: readonly Slot[], capability: Capability, make: () => T, more = ''): T {
    let at = under(under(this.#all, of), capability.gun?.partsClass)
    at = under(at, rollSystemOf(capability))
    for (const slot of beside) at = under(at, capability[slot])
    const known = at.get(more) as T | undefined
    if (known !== undefined) return known
    const made = make()
    at.set(more, made)
    return made
  }
}

/** Sets of small parts that are worth a look, of all jobs. */
export class SetsByCluster extends Beside<readonly PartSet[]> {}

/** For one job with one process and wire; what was found for one circuit holds for every other. */
export class SmallParts {
  readonly #best = new Beside<PartSet | null>()
  readonly #domains = new Beside<readonly Option[]>()
  readonly #domainKeys = new Map<readonly Option[], string>()
  readonly #sets = new SetsByCluster()

  /** @param known the same for every job that says the same of each part by itself */
  constructor(
    readonly search: SetUpSearch,
    readonly known: SetsByCluster,
  ) {}

  /** What goes into one place, looked at without the other small parts; the best first. */
  #domain(slot: Slot, capability: Capability): readonly Option[] {
    return this.#domains.of(slot, besideOf(slot, capability.process.id), capability, () => {
      const ask = this.search.judge.at(slot, capability)
      return this.search
        .byCost(slot, capability)
        .all.flatMap(({ item, spent }): readonly Option[] => {
          const taken = this.search.taken(spent, ask(item))
          return taken ? [{ item, spent: taken }] : []
        })
        .sort((a, b) => compareSpent(a.spent, b.spent))
    })
  }

  /** Places that no criterion looks at together are each filled by themselves. */
  #bestIn(capability: Capability, among: (cluster: Cluster) => boolean): PartSet | null {
    const items: (readonly [Slot, SlotItems[Slot]])[] = []
    let spent = NOTHING_SPENT
    for (const cluster of clustersOf(capability)) {
      if (!among(cluster)) continue
      const best = this.#best.of(cluster, cluster.beside, capability, () =>
        this.#seekBest(capability, cluster.places),
      )
      if (!best) return null
      items.push(...best.items)
      spent = together(spent, best.spent)
    }
    return { items, spent }
  }

  /** @returns the set that costs least to get, and of those one that fits; null where none goes */
  best(capability: Capability): PartSet | null {
    return this.#bestIn(capability, () => true)
  }

  /** @returns what those cost that hang on no gas or tungsten: they can be filled before; null where none go */
  spentBeforeGas(capability: Capability): Spent | null {
    return this.#bestIn(capability, ({ isBeforeGas }) => isBeforeGas)?.spent ?? null
  }

  /** @returns what the others cost; null where none go */
  spentAfterGas(capability: Capability): Spent | null {
    return this.#bestIn(capability, ({ isBeforeGas }) => !isBeforeGas)?.spent ?? null
  }

  #seekBest(begun: Capability, places: readonly Slot[]): PartSet | null {
    const { search } = this
    let best: PartSet | null = null
    const bound: Bound = {
      isHopeless: (spent) => best !== null && compareSpent(best.spent, spent) <= 0,
      isByCost: true,
    }
    const fill = (capability: Capability, spent: Spent, items: PartSet['items'], at: number): void => {
      const slot = places[at]
      if (slot === undefined) {
        best = { items, spent }
        return
      }
      search.inTurn(slot, capability, spent, bound, ({ item }, then) => {
        fill(capability.with(slot, item as never), then, [...items, [slot, item]], at + 1)
      })
    }
    fill(begun, NOTHING_SPENT, [], 0)
    return best
  }

  /**
   * @param beats whether one set makes another hopeless
   * @param which clusters are filled
   * @returns by cluster of places the sets that are worth a look; null where nothing goes into one of them
   */
  byCluster(
    capability: Capability,
    beats: (a: Spent, b: Spent) => boolean,
    which: 'all' | 'before-gas' | 'by-gas' = 'all',
  ): readonly (readonly PartSet[])[] | null {
    const sets: (readonly PartSet[])[] = []
    for (const cluster of clustersOf(capability)) {
      if (which === 'before-gas' ? !cluster.isBeforeGas : which === 'by-gas' && !cluster.isByGas) continue
      const of = this.#sets.of(cluster, cluster.beside, capability, () =>
        this.#knownSetsOf(cluster, capability, beats),
      )
      if (of.length === 0) return null
      sets.push(of)
    }
    return sets
  }

  #knownSetsOf(
    cluster: Cluster,
    capability: Capability,
    beats: (a: Spent, b: Spent) => boolean,
  ): readonly PartSet[] {
    const make = (): readonly PartSet[] => this.#setsOf(capability, cluster.places, beats)
    if (cluster.isJobBetween) return make()
    const said = cluster.ofJob.map((slot) => this.#domainKey(this.#domain(slot, capability)))
    return this.known.of(cluster, cluster.beside, capability, make, said.join(';'))
  }

  #domainKey(domain: readonly Option[]): string {
    const known = this.#domainKeys.get(domain)
    if (known !== undefined) return known
    const made = domain.map(({ item, spent }) => `${item.id}${spent.isTight ? ' tight' : ''}`).join()
    this.#domainKeys.set(domain, made)
    return made
  }

  /** @returns each set that none before it beats */
  #setsOf(
    begun: Capability,
    slots: readonly Slot[],
    beats: (a: Spent, b: Spent) => boolean,
  ): readonly PartSet[] {
    const domains: (readonly Option[])[] = []
    for (const slot of slots) {
      const domain = this.#domain(slot, begun)
      if (domain.length === 0) return []
      domains.push(domain)
    }
    const sets: PartSet[] = []
    // What is put in later only adds to it.
    const isHopeless = (spent: Spent): boolean => sets.some((one) => beats(one.spent, spent))
    const fill = (capability: Capability, spent: Spent, items: PartSet['items'], at: number): void => {
      const slot = slots[at]
      if (slot === undefined) {
        sets.push({ items, spent })
        return
      }
      const ask = this.search.judge.at(slot, capability)
      for (const { item, spent: own } of domains[at] ?? []) {
        const taken = this.search.taken(together(spent, own), ask(item))
        if (!taken || isHopeless(taken)) continue
        fill(capability.with(slot, item as never), taken, [...items, [slot, item]], at + 1)
      }
    }
    fill(begun, NOTHING_SPENT, [], 0)
    return sets
  }
}
