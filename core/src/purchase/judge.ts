/** What criteria say of a part in one place of a set-up that is half put together: asked once for the same parts. */
import type { Capability } from '../capability/capability.ts'
import { type Need, needsOf } from '../capability/slots.ts'
import { type Slot, type SlotItems, SLOTS } from '../kinds/slots.ts'
import { type Assessment, type Criterion, type Facets, slotsOf } from '../criteria/criterion.ts'
import { asks, CRITERIA, criteriaOfSlot, placeOf } from '../criteria/index.ts'
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
  readonly criteria: readonly Criterion[]
  readonly slots: readonly Slot[]
  readonly facets: Facets
  readonly isOfSetUp: boolean
}
/** By criteria, by the parts in the other places that they look at, and by the part, or by what of it decides. */
export type AllSaid = Nested<Verdict>

/**
 * The criteria of one place with all the places that they look at. Those that look at this place alone come first, and of
 * them those that are the same for every job: most parts fall by one of these.
 */
function looksOf(slot: Slot, process: ProcessId): readonly Looks[] {
  const groups = new Map<string, Looks>()
  const kinds = [...new Set(CRITERIA.map(({ facets = WHOLE_PARTS }) => facets))]
  // There is a job, always: what speaks only without one has nothing to say.
  for (const criterion of criteriaOfSlot(slot, process).filter(({ isForNoJob }) => isForNoJob !== true)) {
    const { facets = WHOLE_PARTS } = criterion
    const slots = slotsOf(criterion, PROCESSES[process])
    const isOfSetUp = criterion.isOfSetUp === true
    const key = `${isOfSetUp} ${kinds.indexOf(facets)} ${[...slots].sort().join()}`
    const known = groups.get(key)
    // From the arc back to the breaker: what an arc draws is told at once, how it heats a breaker is not.
    groups.set(key, { criteria: [criterion, ...(known?.criteria ?? [])], slots, facets, isOfSetUp })
  }
  return [...groups.values()].sort(
    (a, b) => a.slots.length - b.slots.length || Number(b.isOfSetUp) - Number(a.isOfSetUp),
  )
}
const WHOLE_PARTS: Facets = {}
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

/** Those that look at no other place than the wire's. */
const LOOKS_ALONE = new Map(
  [...LOOKS.values()]
    .flatMap((bySlot) => [...bySlot])
    .map(([slot, looks]) => [
      looks,
      looks.filter(({ slots }) => slots.every((one) => one === slot || one === 'wire')),
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
 * @returns what the criteria find that look at a whole set-up, and the worst of all; what fails or is unknown does no job,
 *   and ends it
 */
export function wholeFindings(
  capability: Capability,
  demand: Demand,
  isTight: boolean,
  places: readonly number[] = WHOLE_PLACES,
): { readonly findings: readonly Assessment[]; readonly verdict: Verdict } {
  const ask = asks(capability, demand)
  const findings: Assessment[] = []
  let verdict: Verdict = isTight ? 'tight' : 'fits'
  for (const at of places) {
    const found = ask(at)
    if (!found) continue
    findings.push(found)
    verdict = worseOf(verdict, found.verdict)
    if (verdict === 'fails' || verdict === 'unknown') break
  }
  return { findings, verdict }
}

/** What is asked of parts in one place, beside those that are chosen. */
interface Asked {
  readonly looks: Looks
  readonly said: Map<unknown, Verdict>
}

/** By one process, polarity, wire and job. */
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
    // Which places are needed depends on source and gun: with them some criteria wait for each part.
    const decides = slot === 'powerSource' || slot === 'gun'
    const needed = decides ? null : needsOf(before)
    const [now, maybe]: [Asked[], Asked[]] = [[], []]
    for (const looks of looksAt(slot, before)) {
      const { slots } = looks
      const isFilled = slots.every((one) => one === slot || before[one] !== null)
      if (!isFilled && needed && !isSettled(slots, before, slot, needed)) continue
      const asked = this.#askedOf(looks, slot, before)
      if (isFilled || needed) now.push(asked)
      else maybe.push(asked)
    }
    const trial = this.#trial(slot, before)
    return (item) => {
      const worstOf = trial(item)
      const fails = ({ looks: { isOfSetUp, slots } }: Asked): Verdict => {
        if (isOfSetUp) forGood?.(item, slots)
        return 'fails'
      }
      let worst: Verdict = 'fits'
      for (const asked of now) {
        const verdict = worstOf(asked)
        if (verdict === 'fails') return fails(asked)
        if (verdict === 'tight') worst = 'tight'
      }
      if (maybe.length === 0) return worst
      const neededWith = needsOf(withPart(before, slot, item))
      for (const asked of maybe) {
        if (!isSettled(asked.looks.slots, before, slot, neededWith)) continue
        const verdict = worstOf(asked)
        if (verdict === 'fails') return fails(asked)
        if (verdict === 'tight') worst = 'tight'
      }
      return worst
    }
  }

  /**
   * @param before process and wire of the search
   * @returns what tells whether a part goes by what its place and the wire alone decide: most fall by that, whatever else
   *   is chosen
   */
  mayGo(slot: Slot, before: Capability): (item: SlotItems[Slot]) => boolean {
    const asked = (LOOKS_ALONE.get(looksAt(slot, before)) ?? NO_LOOKS).map((looks) =>
      this.#askedOf(looks, slot, before),
    )
    const trial = this.#trial(slot, before)
    return (item) => {
      const worstOf = trial(item)
      return asked.every((one) => worstOf(one) !== 'fails')
    }
  }

  /** What is known of parts in a place, beside the parts that the criteria look at. */
  #askedOf(looks: Looks, slot: Slot, before: Capability): Asked {
    let at = under(looks.isOfSetUp ? this.ofSetUps : this.#said, looks)
    for (const one of looks.slots) if (one !== slot) at = under(at, lookedAt(looks, one, before[one]))
    return { looks, said: at as Map<unknown, Verdict> }
  }

  /** @returns for each part what tells the worst that is said of it; the set-up with it is put together once, where it is asked for */
  #trial(slot: Slot, before: Capability): (item: SlotItems[Slot]) => (asked: Asked) => Verdict {
    return (item) => {
      let made: Capability | null = null
      return ({ looks, said }) => {
        const looked = lookedAt(looks, slot, item)
        const known = said.get(looked)
        if (known !== undefined) return known
        made ??= before.with(slot, item as never)
        const verdict = this.#worst(looks.criteria, made)
        said.set(looked, verdict)
        return verdict
      }
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
