/** What criteria say of a part in one place of a set-up that is half put together: asked once for the same parts. */
import type { Capability } from '../capability/capability.ts'
import { type Need, needsOf, type Slot, type SlotItems, SLOTS } from '../capability/slots.ts'
import { type Criterion, slotsOf } from '../criteria/criterion.ts'
import { CRITERIA, criteriaOfSlot } from '../criteria/index.ts'
import type { Demand } from '../demand/demand.ts'
import type { PowerSource } from '../model/equipment.ts'
import type { Gun } from '../model/gun.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import type { Verdict } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'

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

interface Looks {
  readonly criterion: Criterion
  readonly slots: readonly Slot[]
}
/** By place and criterion. */
export type AllSaid = Map<Looks, SaidBy>

/**
 * The criteria of one place with all the places that they look at. Those that look at this place alone come first, and of
 * them those that are the same for every job: most parts fall by one of these.
 */
const LOOKS = new Map(
  PROCESS_IDS.flatMap((id) =>
    SLOTS.map((slot): [string, readonly Looks[]] => [
      `${id} ${slot}`,
      criteriaOfSlot(slot, id)
        .map((criterion) => ({ criterion, slots: slotsOf(criterion, PROCESSES[id]) }))
        .sort(
          (a, b) =>
            a.slots.length - b.slots.length ||
            Number(b.criterion.isOfSetUp === true) - Number(a.criterion.isOfSetUp === true),
        ),
    ]),
  ),
)
const looksAt = (slot: Slot, process: ProcessId): readonly Looks[] => LOOKS.get(`${process} ${slot}`) ?? []

/** Criteria that look at no part by itself, but at the job, or at all of it together. */
export const OF_THE_WHOLE = CRITERIA.filter(({ slots }) => typeof slots !== 'function' && slots.length === 0)

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
   * @returns what tells the worst that is said of a part by criteria that need no other part to be chosen first; what
   *   stays unknown does not do the job either
   */
  at(slot: Slot, before: Capability): (item: SlotItems[Slot]) => Verdict {
    const { process } = before
    const decides = slot === 'powerSource' || slot === 'gun'
    const needed = decides ? [] : needsOf(before)
    const asked = looksAt(slot, process.id).flatMap((looks) => {
      const { criterion, slots } = looks
      if (!decides && !isSettled(slots, before, slot, needed)) return []
      const all = criterion.isOfSetUp === true ? this.ofSetUps : this.#said
      let by = all.get(looks)
      if (!by) all.set(looks, (by = new SaidBy()))
      for (const one of slots) if (one !== slot) by = by.beside(before[one])
      return [{ criterion, slots, said: by.said }]
    })
    return (item) => {
      let made: Capability | null = null
      const trial = (): Capability => (made ??= before.with(slot, item as never))
      let worst: Verdict = 'fits'
      const neededWith = decides ? needsOf(withPart(before, slot, item)) : []
      for (const { criterion, slots, said } of asked) {
        if (decides && !isSettled(slots, before, slot, neededWith)) continue
        let verdict = said.get(item)
        if (verdict === undefined) {
          verdict = criterion.assess(trial(), this.demand)?.verdict ?? null
          said.set(item, verdict)
        }
        if (verdict === 'fails' || verdict === 'unknown') return 'fails'
        if (verdict === 'tight') worst = 'tight'
      }
      return worst
    }
  }
}
