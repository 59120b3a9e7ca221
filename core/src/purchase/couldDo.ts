/**
 * What could do a job: whole set-ups of everything that is here or could be bought. Of each source with each wire the best
 * set of the other parts is sought, place by place; a part that fails a criterion with those before it ends its branch.
 */
import { assumptionsOf } from '../assumptions/assume.ts'
import { isRatedFor, libraryPartsFor, nameOfSetUp, settingsFor } from '../assembly/propose.ts'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import {
  emptyChoice,
  itemsFor,
  needsOf,
  type Slot,
  SLOT_KEYS,
  type SlotItems,
  SLOTS,
  SMALL_SLOTS,
} from '../capability/slots.ts'
import { type Criterion, slotsOf } from '../criteria/criterion.ts'
import { assess, CRITERIA, criteriaOfSlot, criterionOf, worstOf } from '../criteria/index.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import { costOf } from '../fit/cost.ts'
import type { Part, PowerSource, SetUp, Wire } from '../model/equipment.ts'
import type { Gun } from '../model/gun.ts'
import type { Job } from '../model/job.ts'
import { isCandidate } from '../model/ownership.ts'
import { type Polarity, PROCESS_IDS, type ProcessId } from '../model/process.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import { type Verdict, VERDICT_RANK, worstVerdict } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'

/** A part of it that the shop does not have. */
export interface Lacked {
  readonly slot: Slot
  readonly id: string
  readonly name: string
  /** Null where nobody has written it down. */
  readonly price: number | null
}

/** One whole set-up that does the job. */
export interface Could {
  readonly setUp: Omit<SetUp, 'id'>
  /** Parts of the library in it that are not on the shelf yet. */
  readonly parts: readonly Part[]
  readonly verdict: Verdict
  readonly toBuy: readonly Lacked[]
  /** Of what has a price, in the shop's currency; small parts without one as the shop assumes. */
  readonly toGet: number
  /** One run of the job, of what is known; null where nothing is. */
  readonly toRun: number | null
}

export interface CouldDo {
  /** Cheapest to get first, then cheapest to run. */
  readonly best: readonly Could[]
  /** How many sources with a wire do it, those left out of `best` too. */
  readonly count: number
}

export interface CouldOptions {
  /** How many are given out; all are counted. */
  readonly most: number
  /** Small parts that nobody has written down yet may come of the library. */
  readonly withLibrary?: boolean
}

/** What two sets of parts are compared by, first figure first; less is better. */
type Rank = readonly [unpriced: number, toGet: number, verdict: number, gas: number]

/** @returns below 0 where the first is better */
function compareRanks(a: Rank, b: Rank): number {
  for (const [index, value] of a.entries()) {
    const other = b[index] ?? 0
    if (value !== other) return value - other
  }
  return 0
}
const BEST: Rank = [0, 0, 0, 0]
/** Money adds up, and what is tight stays tight. */
const together = (a: Rank, b: Rank): Rank => [a[0] + b[0], a[1] + b[1], Math.max(a[2], b[2]), a[3] + b[3]]

/** The order in which places are filled: gas and gun decide what others may be. */
const MAIN: readonly Slot[] = ['gas', 'gun', 'feeder', 'circuit', 'tungsten']
const SMALL: readonly Slot[] = SLOTS.filter((slot) => SMALL_SLOTS.has(slot))

interface Priced {
  readonly item: SlotItems[Slot]
  /** Without what it does to the rest. */
  readonly rank: Rank
}

/** What is used up is bought for every job, and is no purchase here. */
const USED_UP: ReadonlySet<Slot> = new Set(['wire', 'gas', 'tungsten'])

/** @param unpricedSmall what a tip or a cup counts that nobody has priced: no reason to leave a machine out */
function pricedAs(slot: Slot, item: SlotItems[Slot], isOfLibrary: boolean, unpricedSmall: number): Priced {
  if (USED_UP.has(slot) || !(isOfLibrary || isCandidate(item))) return { item, rank: BEST }
  const price = priceOf(item) ?? (SMALL_SLOTS.has(slot) ? unpricedSmall : null)
  return { item, rank: [price === null ? 1 : 0, price ?? 0, 0, 0] }
}

const priceOf = (item: SlotItems[Slot]): number | null => ('price' in item ? item.price : null)

/**
 * Whether every place that a criterion looks at is filled, or stays empty: then its answer is the last. Which places
 * there are hangs on gun and source alone, so that no set-up has to be made to tell.
 */
function isSettled(slots: readonly Slot[], before: Capability, slot: Slot, item: SlotItems[Slot]): boolean {
  const { process } = before
  const powerSource = slot === 'powerSource' ? (item as PowerSource) : before.powerSource
  const gun = slot === 'gun' ? (item as Gun) : before.gun
  const needed = needsOf({ process, powerSource, gun })
  return slots.every(
    (one) => one === slot || before[one] !== null || needed.every((need) => need.slot !== one),
  )
}

/** What a criterion says of each part in one place, by the parts in the other places that it looks at, one after the other. */
class SaidBy {
  readonly #by = new Map<SlotItems[Slot] | null, SaidBy>()
  readonly said = new Map<SlotItems[Slot], Verdict | null>()

  /** Found by the parts themselves: a key of their ids would be made a million times. */
  beside(part: SlotItems[Slot] | null): SaidBy {
    let found = this.#by.get(part)
    if (!found) this.#by.set(part, (found = new SaidBy()))
    return found
  }
}
/** By place and criterion. */
type AllSaid = Map<Looks, SaidBy>

/** What each criterion says of the parts that it looks at: asked once for the same ones, by one process, wire and job. */
class Judge {
  readonly #said: AllSaid = new Map()

  /** @param ofSetUps what is the same for every job and wire, kept from search to search */
  constructor(
    readonly demand: Demand,
    readonly ofSetUps: AllSaid,
  ) {}

  /**
   * @param before the set-up that a part is put into
   * @returns what tells the worst that is said of a part; what will stay unknown does not do the job either
   */
  at(slot: Slot, before: Capability): (item: SlotItems[Slot]) => Verdict {
    const asked = looksAt(slot, before.process.id).map((looks) => {
      const { criterion, slots } = looks
      const all = criterion.isOfSetUp === true ? this.ofSetUps : this.#said
      let by = all.get(looks)
      if (!by) all.set(looks, (by = new SaidBy()))
      for (const one of slots) if (one !== slot) by = by.beside(before[one])
      return { criterion, slots, said: by.said }
    })
    return (item) => {
      let made: Capability | null = null
      const trial = (): Capability => (made ??= before.with(slot, item as never))
      let worst: Verdict = 'fits'
      for (const { criterion, slots, said } of asked) {
        let verdict = said.get(item)
        if (verdict === undefined) {
          verdict = criterion.assess(trial(), this.demand)?.verdict ?? null
          said.set(item, verdict)
        }
        if (verdict === 'fails') return 'fails'
        if (verdict === 'unknown' && isSettled(slots, before, slot, item)) return 'fails'
        if (verdict === 'tight') worst = 'tight'
      }
      return worst
    }
  }
}

interface Looks {
  readonly criterion: Criterion
  readonly slots: readonly Slot[]
}
/** The criteria of one place with all the places that they look at; what decides whether those are needed counts too. */
const LOOKS = new Map(
  PROCESS_IDS.flatMap((id) =>
    SLOTS.map((slot): [string, readonly Looks[]] => [
      `${id} ${slot}`,
      criteriaOfSlot(slot, id).map((criterion) => ({
        criterion,
        slots: slotsOf(criterion, PROCESSES[id]),
      })),
    ]),
  ),
)
const looksAt = (slot: Slot, process: ProcessId): readonly Looks[] => LOOKS.get(`${process} ${slot}`) ?? []

/** What a run of the job costs with its gas; 0 where nothing of it is known. */
function gasCost(capability: Capability, demand: Demand): number {
  const use = GAS_USE.assess(capability, demand)
  return (use && costOf(capability, demand, [use])?.gas) ?? 0
}
const GAS_USE = criterionOf('gas-use')

/** Small parts that go with the others, the best of them. */
interface SmallParts {
  readonly items: readonly (readonly [Slot, SlotItems[Slot]])[]
  readonly rank: Rank
}

interface Found {
  readonly capability: Capability
  readonly rank: Rank
  readonly verdict: Verdict
  readonly toRun: number | null
}

/** Whole set-ups for one job. What two sources, or two circuits, have in common is sought once. */
class Search {
  readonly #small = new Map<string, SmallParts | null>()
  readonly #domains = new Map<string, readonly Priced[]>()

  readonly judge: Judge

  constructor(
    readonly options: Options,
    readonly demand: Demand,
    ofSetUps: AllSaid,
  ) {
    this.judge = new Judge(demand, ofSetUps)
  }

  /** @returns the best set of parts in the places that are still empty; null where none does the job */
  complete(begun: Capability, begunRank: Rank): Found | null {
    let best: Found | null = null
    const isHopeless = (rank: Rank): boolean => best !== null && compareRanks(rank, best.rank) >= 0
    const fill = (capability: Capability, rank: Rank, at: number): void => {
      const slot = MAIN[at]
      if (slot === undefined) {
        const small = this.#smallParts(capability)
        if (!small || isHopeless(together(rank, small.rank))) return
        let whole = capability
        for (const [place, item] of small.items) whole = whole.with(place, item as never)
        const found = judged(whole, together(rank, small.rank), this.demand)
        if (found && !isHopeless(found.rank)) best = found
        return
      }
      if (!needsOf(capability).some((need) => need.slot === slot)) {
        fill(capability, rank, at + 1)
        return
      }
      const judge = this.judge.at(slot, capability)
      const branches: { readonly option: Priced; readonly then: Rank }[] = []
      for (const option of this.options.of(slot)) {
        const priced = together(rank, option.rank)
        if (isHopeless(priced)) continue
        const verdict = judge(option.item)
        if (verdict === 'fails') continue
        const gas = slot === 'gas' ? gasCost(capability.with(slot, option.item as never), this.demand) : 0
        branches.push({ option, then: together(priced, [0, 0, VERDICT_RANK[verdict], gas]) })
      }
      // The best first: most of the others are then seen to be hopeless.
      branches.sort((a, b) => compareRanks(a.then, b.then))
      for (const { option, then } of branches)
        if (!isHopeless(then)) fill(capability.with(slot, option.item as never), then, at + 1)
    }
    fill(begun, begunRank, 0)
    return best
  }

  /** Hangs on the parts that any criterion of a small part looks at, and on no circuit. */
  #smallParts(capability: Capability): SmallParts | null {
    const key = smallKey(capability)
    const known = this.#small.get(key)
    if (known !== undefined) return known
    const slots = SMALL.filter((slot) => needsOf(capability).some((need) => need.slot === slot))
    const domains: (readonly Priced[])[] = []
    for (const slot of slots) {
      const domain = this.#domain(slot, capability)
      if (domain.length === 0) break
      domains.push(domain)
    }
    const found = domains.length < slots.length ? null : this.#bestOf(capability, slots, domains)
    this.#small.set(key, found)
    return found
  }

  /** What goes into one place, looked at without the other small parts; the best first. */
  #domain(slot: Slot, capability: Capability): readonly Priced[] {
    const key = `${slot} ${libraryKey(capability)} ${idsOf(capability, besideOf(slot, capability.process.id))}`
    const known = this.#domains.get(key)
    if (known) return known
    const judge = this.judge.at(slot, capability)
    const going = (options: readonly Priced[]) =>
      options
        .flatMap(({ item, rank }): readonly Priced[] => {
          const verdict = judge(item)
          return verdict === 'fails' ? [] : [{ item, rank: together(rank, [0, 0, VERDICT_RANK[verdict], 0]) }]
        })
        .sort((a, b) => compareRanks(a.rank, b.rank))
    // The library helps out where the shelf has nothing that goes.
    const own = going(this.options.of(slot))
    const domain = own.length > 0 ? own : going(this.options.ofLibrary(slot, capability))
    this.#domains.set(key, domain)
    return domain
  }

  #bestOf(
    begun: Capability,
    slots: readonly Slot[],
    domains: readonly (readonly Priced[])[],
  ): SmallParts | null {
    /** The least that the places from here on come to. */
    const rest = domains.map((_, at) =>
      domains.slice(at).reduce((sum, domain) => together(sum, domain[0]?.rank ?? BEST), BEST),
    )
    let best: SmallParts | null = null
    const isHopeless = (rank: Rank, at: number): boolean =>
      best !== null && compareRanks(together(rank, rest[at] ?? BEST), best.rank) >= 0
    const fill = (capability: Capability, rank: Rank, items: SmallParts['items'], at: number): void => {
      const slot = slots[at]
      if (slot === undefined) {
        best = { items, rank }
        return
      }
      const judge = this.judge.at(slot, capability)
      for (const { item, rank: own } of domains[at] ?? []) {
        const verdict = judge(item)
        if (verdict === 'fails') continue
        const then = together(together(rank, own), [0, 0, VERDICT_RANK[verdict], 0])
        if (isHopeless(then, at + 1)) continue
        fill(capability.with(slot, item as never), then, [...items, [slot, item]], at + 1)
      }
    }
    fill(begun, BEST, [], 0)
    return best
  }
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
const BESIDE_ANY = new Map(
  PROCESS_IDS.map((id): [ProcessId, readonly Slot[]] => [
    id,
    SLOTS.filter((slot) => SMALL.some((small) => besideOf(small, id).includes(slot))),
  ]),
)
const idsOf = (capability: Capability, slots: readonly Slot[]): string => {
  let ids = ''
  for (const slot of slots) ids += `${capability[slot]?.id ?? ''} `
  return ids
}
/** What a part of the library is made to go with. */
const libraryKey = ({ gun, feeder, powerSource }: Capability): string =>
  `${gun?.partsClass ?? ''} ${(gun?.feeder ?? feeder ?? powerSource?.feeder)?.rollSystem ?? ''}`
/** All that small parts hang on: what they go with, and which of them there are. */
const smallKey = (capability: Capability): string =>
  `${idsOf(capability, BESIDE_ANY.get(capability.process.id) ?? [])}${libraryKey(capability)} ${needsOf(capability).length} ${capability.gun?.drive === 'spool'}`

/** @returns null where the whole does not do the job */
function judged(capability: Capability, rank: Rank, demand: Demand): Found | null {
  const criteria = assess(capability, demand)
  const verdict = worstOf(criteria)
  if (verdict === 'fails' || verdict === 'unknown') return null
  const toRun = costOf(capability, demand, criteria)?.job ?? null
  return { capability, rank: [rank[0], rank[1], VERDICT_RANK[verdict], rank[3]], verdict, toRun }
}

/** Everything that could stand in a place: of the shelf, and small parts of the library made to go with the rest. */
class Options {
  readonly #library = new Map<string, Priced>()
  readonly #ofShelf = new Map<Slot, readonly Priced[]>()

  constructor(
    readonly shelf: Shelf,
    readonly withLibrary: boolean,
    readonly unpricedSmall: number,
  ) {}

  /** Cheapest first: the first that goes is then often the best. */
  of(slot: Slot): readonly Priced[] {
    const known = this.#ofShelf.get(slot)
    if (known) return known
    const ofShelf = itemsFor(slot, this.shelf)
      .map((item) => pricedAs(slot, item, false, this.unpricedSmall))
      .sort((a, b) => compareRanks(a.rank, b.rank))
    this.#ofShelf.set(slot, ofShelf)
    return ofShelf
  }

  /** Small parts that nobody has written down, made to go with the rest. */
  ofLibrary(slot: Slot, capability: Capability): readonly Priced[] {
    if (!this.withLibrary) return []
    const own = new Set(this.of(slot).map(({ item }) => item.id))
    return libraryPartsFor(slot, capability)
      .filter(({ id }) => !own.has(id))
      .map((part) => {
        const known =
          this.#library.get(part.id) ?? pricedAs(slot, part as SlotItems[Slot], true, this.unpricedSmall)
        this.#library.set(part.id, known)
        return known
      })
  }

  isOfLibrary(item: { readonly id: string } | null): boolean {
    return item !== null && this.#library.get(item.id)?.item === item
  }
}

function asCould({ capability, rank, verdict, toRun }: Found, options: Options): Could {
  const source = capability.powerSource as PowerSource
  const isNew = (slot: Slot): boolean => options.isOfLibrary(capability[slot])
  const lacked = SLOTS.flatMap((slot): readonly Lacked[] => {
    const item = capability[slot]
    if (!item || USED_UP.has(slot) || !(isNew(slot) || isCandidate(item))) return []
    return [{ slot, id: item.id, name: item.name, price: priceOf(item) }]
  })
  const ids = Object.fromEntries(SLOTS.map((slot) => [SLOT_KEYS[slot], capability[slot]?.id ?? null]))
  return {
    setUp: {
      name: nameOfSetUp(capability.process.id, source, capability.wire),
      ...capability.settings,
      ...(ids as unknown as Pick<SetUp, (typeof SLOT_KEYS)['circuit']>),
    } as Omit<SetUp, 'id'>,
    parts: SLOTS.flatMap((slot) => (isNew(slot) ? [capability[slot] as Part] : [])),
    verdict,
    toBuy: lacked,
    toGet: rank[1],
    toRun,
  }
}

/**
 * What is used up is taken as there: wire and gas are bought for the job.
 * @returns for each source, process and wire that does the job the set of other parts that costs least to get; of those
 *   one that fits before one that is tight, then the cheaper gas
 * @example couldDo(shop, shelf, job, { most: 20 }).best[0]?.toBuy // [] where something owned does it
 */
export function couldDo(
  shop: Shop,
  shelf: Shelf,
  job: Job,
  { most, withLibrary = true }: CouldOptions,
): CouldDo {
  const options = new Options(shelf, withLibrary, assumptionsOf(shop).smallPartPrice)
  const found: Found[] = []
  const ofSetUps = new Map<string, AllSaid>()
  for (const process of PROCESS_IDS) {
    const sources = shelf.powerSources.filter((source) => isRatedFor(source, process))
    if (sources.length === 0) continue
    for (const wire of shelf.wires) {
      const begin = (source: PowerSource | null) =>
        capabilityOf(shop, settingsFor(process, wire, source), {
          ...emptyChoice(),
          building: shelf,
          powerSource: source,
          wire,
        })
      const usable = begunWith(shop, job, wire, begin(null))
      if (!usable) continue
      const { demand } = usable
      // A machine for alternating current alone sets another polarity, and more hangs on that than on any part.
      const searches = new Map<Polarity, Search>()
      for (const source of sources) {
        const begun = begin(source)
        const { polarity } = begun.settings
        const shared = ofSetUps.get(`${process} ${polarity}`) ?? new Map<Looks, SaidBy>()
        ofSetUps.set(`${process} ${polarity}`, shared)
        const search = searches.get(polarity) ?? new Search(options, demand, shared)
        searches.set(polarity, search)
        const verdict = search.judge.at('powerSource', begun.with('powerSource', null))(source)
        if (verdict === 'fails') continue
        const { rank } = pricedAs('powerSource', source, false, 0)
        const worst = worstVerdict([verdict, usable.verdict])
        const one = search.complete(begun, together(rank, [0, 0, VERDICT_RANK[worst], 0]))
        if (one) found.push(one)
      }
    }
  }
  const runs = ({ toRun }: Found): number => toRun ?? Infinity
  found.sort((a, b) => a.rank[0] - b.rank[0] || a.rank[1] - b.rank[1] || runs(a) - runs(b))
  return { best: found.slice(0, most).map((one) => asCould(one, options)), count: found.length }
}

/** Criteria that look at the job and the process alone. */
const OF_NO_PART = CRITERIA.filter(({ slots }) => typeof slots !== 'function' && slots.length === 0)

/** What the job asks of a wire, and what is tight already; null where the wire alone rules it out, whatever feeds it. */
function begunWith(
  shop: Shop,
  job: Job,
  wire: Wire,
  alone: Capability,
): { readonly demand: Demand; readonly verdict: Verdict } | null {
  const demand = demandOf(job, alone.process.id, wire, shop)
  let verdict: Verdict = 'fits'
  for (const criterion of [...criteriaOfSlot('wire', alone.process.id), ...OF_NO_PART]) {
    const said = criterion.assess(alone, demand)?.verdict
    if (said === 'fails') return null
    if (said === 'tight') verdict = 'tight'
  }
  return { demand, verdict }
}
