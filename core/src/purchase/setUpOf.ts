/** A set-up that was put together, written as one that can be kept. */
import { nameOfSetUp } from '../assembly/propose.ts'
import type { Capability } from '../capability/capability.ts'
import { idsOf } from '../capability/slots.ts'
import { type Slot, SLOTS, SMALL_SLOTS } from '../kinds/slots.ts'
import type { Part, PowerSource, SetUp } from '../kinds/equipment.ts'
import type { Kit } from './kit.ts'
import type { KitProblem } from './kitProblem.ts'

export interface Made {
  readonly setUp: Omit<SetUp, 'id'>
  /** Parts of the library in it that are not on the shelf yet. */
  readonly parts: readonly Part[]
}

/** @param isOfLibrary whether a part is not on the shelf yet */
export function setUpOf(
  capability: Capability,
  isOfLibrary: (item: { readonly id: string }) => boolean,
): Made {
  const isNew = (slot: Slot): boolean => {
    const item = capability[slot]
    return item !== null && SMALL_SLOTS.has(slot) && isOfLibrary(item)
  }
  return {
    setUp: {
      name: nameOfSetUp(capability.process.id, capability.powerSource as PowerSource, capability.wire),
      ...capability.settings,
      ...idsOf(capability),
    } as Omit<SetUp, 'id'>,
    parts: SLOTS.flatMap((slot) => (isNew(slot) ? [capability[slot] as Part] : [])),
  }
}

/**
 * The set-ups of a kit that are not written down yet, with the small parts that the kit has.
 * @returns by their id
 */
export function madeOf(
  { found, shelfParts }: Pick<KitProblem, 'found' | 'shelfParts'>,
  kits: readonly Kit[],
): ReadonlyMap<string, Made> {
  const made = new Map<string, Made>()
  for (const kit of kits) {
    const bought = new Set(kit.buys.map(({ key }) => key))
    for (const { way } of kit.does) {
      const job = found.get(way.setUpId)
      if (!job || made.has(way.setUpId)) continue
      let { capability } = job
      for (const sets of job.clusters) {
        const set = sets.find(({ spent }) => spent.buys.every(({ key }) => bought.has(key)))
        for (const [slot, item] of set?.items ?? []) capability = capability.with(slot, item as never)
      }
      const { setUp, parts } = setUpOf(capability, (part) => !shelfParts.has(part.id))
      made.set(way.setUpId, { setUp, parts: parts.map((part): Part => ({ ...part, held: 'candidate' })) })
    }
  }
  return made
}
