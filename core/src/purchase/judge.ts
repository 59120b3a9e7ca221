/** What criteria say of a part in one place of a set-up that is half put together: asked once for the same parts. */
import type { Capability } from '../capability/capability.ts'
import { type Need, needsOf } from '../capability/slots.ts'
import { type Slot, type SlotItems, SLOTS } from '../kinds/slots.ts'
import { weldsAs } from '../kinds/weldsAs.ts'
import { type Criterion, type Facets, slotsOf } from '../criteria/criterion.ts'
import { CRITERIA, criteriaOfSlot, Findings, placeOf } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import type { Gun } from '../kinds/gun.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import { type Verdict, worseOf } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'
import { type Nested, under } from './nested.ts'

/**
 * Whether every place that a criterion looks at is filled, or stays empty: then its answer is final. Until then it is not
 * asked: it may well speak of what is missing. Which places there are depends on gun and source alone.
 */
const isSettled = (
  slots: readonly Slot[],
  before: Capability,
  slot: Slot,
  needed: readonly Need[],
): boolean =>
  slots.every((one) => one === slot || before[one] !== null || needed.every((need) => need.slot !== one))

const withPart = ({ process, powerSource, gun }: Capability, slot: Slot, item: SlotItems[Slot]) => ({
  process,
  powerSource: slot === 'powerSource' ? (item as PowerSource) : powerSource,
  gun: slot === 'gun' ? (item as Gun) : gun,
})

/** Criteria that look at the same of the same places are asked together: the worst of them counts. */
interface Looks {
  /** Which of its place's it is. */
  readonly at: number
  readonly criteria: readonly Criterion[]
  readonly slots: readonly Slot[]
  readonly facets: Facets
  readonly isOfSetUp: boolean
}
/** By criteria, by the parts in the other places that they look at, and by the part, or by what of it decides. */
export type AllSaid = Nested<Verdict>

const WHOLE_PARTS: Facets = {}
const WITH_WIRE = new Map(
  CRITERIA.map(({ facets = WHOLE_PARTS }): [Facets, Facets] => [facets, { wire: weldsAs, ...facets }]),
)
/** What of each part a criterion looks at: of a wire how it welds, unless its package counts too. */
const facetsOf = ({ facets = WHOLE_PARTS, isByPackage }: Criterion): Facets =>
  isByPackage === true ? facets : (WITH_WIRE.get(facets) ?? facets)

/**
 * The criteria of one place with all the places that they look at. Those that look at this place alone come first, and of
 * them those that are the same for every job: most parts fall by one of these.
 */
function looksOf(slot: Slot, process: ProcessId): readonly Looks[] {
  const groups = new Map<string, Omit<Looks, 'at'>>()
  const kinds = [...new Set(CRITERIA.map(facetsOf))]
  // There is a job, always: what speaks only without one has nothing to say.
  for (const criterion of criteriaOfSlot(slot, process).filter(({ isForNoJob }) => isForNoJob !== true)) {
    const facets = facetsOf(criterion)
    const slots = slotsOf(criterion, PROCESSES[process])
    const isOfSetUp = criterion.isOfSetUp === true
    const key = `${isOfSetUp} ${kinds.indexOf(facets)} ${[...slots].sort().join()}`
    const known = groups.get(key)
    // From the arc back to the breaker: what an arc draws is told at once, how it heats a breaker is not.
    groups.set(key, { criteria: [criterion, ...(known?.criteria ?? [])], slots, facets, isOfSetUp })
  }
  return [...groups.values()]
    .sort((a, b) => a.slots.length - b.slots.length || Number(b.isOfSetUp) - Number(a.isOfSetUp))
    .map((looks, at) => ({ ...looks, at }))
}
/** What of the part in a place a group of criteria looks at. */
function lookedAt({ facets }: Looks, slot: Slot, part: SlotItems[Slot] | null): unknown {
  const facet = facets[slot] as ((part: SlotItems[Slot]) => unknown) | undefined
  return facet && part !== null ? facet(part) : part
}

const LOOKS = new Map(
  PROCESS_IDS.map((id) => [id, new Map(SLOTS.map((slot) => [slot, looksOf(slot, id)] as const))] as const),
)
const NO_LOOKS: readonly Looks[] = []
const looksAt = (slot: Slot, { process }: Capability): readonly Looks[] =>
  LOOKS.get(process.id)?.get(slot) ?? NO_LOOKS

/** Those that look at no other place than the wire's, and are the same for all wires that weld alike. */
const LOOKS_ALONE = new Map(
  [...LOOKS.values()]
    .flatMap((bySlot) => [...bySlot])
    .map(([slot, looks]) => [
      looks,
      looks.filter(
        ({ slots, facets }) =>
          facets.wire === weldsAs && slots.every((one) => one === slot || one === 'wire'),
      ),
    ]),
)

/** Criteria that look at no part by itself, but at the job, or at all of it together. */
export const OF_THE_WHOLE = CRITERIA.filter(({ slots }) => typeof slots !== 'function' && slots.length === 0)

/** @returns places of criteria in the list: those whose answer is kept by job and wire first, for one that fails ends it */
export const placesOf = (criteria: readonly Criterion[]): readonly number[] =>
  criteria
    .toSorted((a, b) => Number(b.isOfWork === true) - Number(a.isOfWork === true))
    .map((one) => placeOf(one))
const WHOLE_PLACES = placesOf(OF_THE_WHOLE)

/**
 * @param isTight whether something of it is tight already
 * @param places of the criteria that are asked
 * @returns the worst that criteria say that look at a whole set-up; what fails or is unknown does no job, and ends it
 */
export function wholeVerdict(
  capability: Capability,
  demand: Demand,
  isTight: boolean,
  places: readonly number[] = WHOLE_PLACES,
): Verdict {
  const findings = new Findings(capability, demand)
  let verdict: Verdict = isTight ? 'tight' : 'fits'
  for (const at of places) {
    verdict = worseOf(verdict, findings.at(at)?.verdict ?? 'fits')
    if (verdict === 'fails' || verdict === 'unknown') break
  }
  return verdict
}

/** What is asked of the parts in one place, and what only of those with which no place that it looks at stays to be filled. */
interface Order {
  readonly now: readonly Looks[]
  readonly maybe: readonly Looks[]
}
/** By the criteria of the place, by the places that a set-up needs, and by those that are filled: made once. */
const orders: Nested<Order> = new Map()
function orderOf(slot: Slot, before: Capability): Order {
  const all = looksAt(slot, before)
  // Which places are needed depends on source and gun: with them some criteria wait for each part.
  const needed = slot === 'powerSource' || slot === 'gun' ? null : needsOf(before)
  let filled = 0
  for (let at = 0; at < SLOTS.length; at += 1) if (before[SLOTS[at] as Slot] !== null) filled |= 1 << at
  const byFilled = under(under(orders, all), needed)
  const known = byFilled.get(filled) as Order | undefined
  if (known) return known
  const [now, maybe]: [Looks[], Looks[]] = [[], []]
  for (const looks of all) {
    if (looks.slots.every((one) => one === slot || before[one] !== null)) now.push(looks)
    else if (needed === null) maybe.push(looks)
    else if (isSettled(looks.slots, before, slot, needed)) now.push(looks)
  }
  const made = { now, maybe }
  byFilled.set(filled, made)
  return made
}

/** By one process, polarity and job, with one wire and all that weld alike. */
export class Judge {
  readonly #said: AllSaid = new Map()

  /** @param ofSetUps what is the same for every job and wire, kept from search to search */
  constructor(
    readonly demand: Demand,
    readonly ofSetUps: AllSaid,
  ) {}

  /**
   * @param before the set-up that a part is put into
   * @param forGood hears of each part that fails whatever the job is, with the places that decide it
   * @returns what tells the worst that is said of a part by criteria that need no other part to be chosen first; what
   *   stays unknown does not do the job either
   */
  at(
    slot: Slot,
    before: Capability,
    forGood?: (item: SlotItems[Slot], slots: readonly Slot[]) => void,
  ): (item: SlotItems[Slot]) => Verdict {
    const { now, maybe } = orderOf(slot, before)
    const trial = this.#trial(slot, before)
    const askAll = (
      all: readonly Looks[],
      item: SlotItems[Slot],
      neededWith: readonly Need[] | null,
    ): Verdict => {
      let worst: Verdict = 'fits'
      for (const looks of all) {
        if (neededWith && !isSettled(looks.slots, before, slot, neededWith)) continue
        const verdict = trial(item, looks)
        if (verdict === 'fails') {
          if (looks.isOfSetUp) forGood?.(item, looks.slots)
          return 'fails'
        }
        if (verdict === 'tight') worst = 'tight'
      }
      return worst
    }
    return (item) => {
      const worst = askAll(now, item, null)
      if (worst === 'fails' || maybe.length === 0) return worst
      return worseOf(worst, askAll(maybe, item, needsOf(withPart(before, slot, item))))
    }
  }

  /**
   * @param before process and wire of the search
   * @returns what tells whether a part goes by what its place and the wire alone decide: most fall by that, whatever else
   *   is chosen
   */
  mayGo(slot: Slot, before: Capability): (item: SlotItems[Slot]) => boolean {
    const alone = LOOKS_ALONE.get(looksAt(slot, before)) ?? NO_LOOKS
    const trial = this.#trial(slot, before)
    return (item) => alone.every((looks) => trial(item, looks) !== 'fails')
  }

  /** What is known of parts in a place, beside the parts that the criteria look at. */
  #saidOf(looks: Looks, slot: Slot, before: Capability): Map<unknown, Verdict> {
    let at = under(looks.isOfSetUp ? this.ofSetUps : this.#said, looks)
    for (const one of looks.slots) if (one !== slot) at = under(at, lookedAt(looks, one, before[one]))
    return at as Map<unknown, Verdict>
  }

  /**
   * @returns what tells the worst that is said of a part; what is known is looked up, and the set-up with the part put
   *   together, where it is first asked for
   */
  #trial(slot: Slot, before: Capability): (item: SlotItems[Slot], looks: Looks) => Verdict {
    const saids: Map<unknown, Verdict>[] = []
    let [tried, made] = [before[slot], before]
    return (item, looks) => {
      const said = (saids[looks.at] ??= this.#saidOf(looks, slot, before))
      const looked = lookedAt(looks, slot, item)
      const known = said.get(looked)
      if (known !== undefined) return known
      if (item !== tried) [tried, made] = [item, before.with(slot, item as never)]
      const verdict = this.#worst(looks.criteria, made)
      said.set(looked, verdict)
      return verdict
    }
  }

  /** What stays unknown does not do the job either. */
  #worst(criteria: readonly Criterion[], trial: Capability): Verdict {
    let worst: Verdict = 'fits'
    for (const criterion of criteria) {
      const verdict = criterion.assess(trial, this.demand)?.verdict
      if (verdict === 'fails' || verdict === 'unknown') return 'fails'
      if (verdict === 'tight') worst = 'tight'
    }
    return worst
  }
}
