/**
 * Circuits and guns that go with a source, or with a source and a wire, in no set-up: by criteria that are the same for
 * every job. Most fall by these, and are not looked at again for the next wire or the next job.
 */
import type { Capability } from '../capability/capability.ts'
import type { Feeder, PowerSource, Wire } from '../kinds/equipment.ts'
import type { Gun } from '../kinds/gun.ts'
import type { Slot, SlotItems } from '../kinds/slots.ts'
import type { Option } from './options.ts'

type Item = SlotItems[Slot]

/** What is chosen before a circuit, a gun or a feeder, and decides which of them are out; a circuit decides none. */
const DECIDING: ReadonlySet<Slot> = new Set(['powerSource', 'wire', 'gun', 'feeder'])
const ASKED: ReadonlySet<Slot> = new Set(['circuit', 'gun', 'feeder'])

/** Of one place beside one source: those that no wire goes with, and by wire those that go with that one not. */
class Out {
  readonly #always = new Set<Item>()
  readonly #byWire = new Map<Wire | null, Set<Item>>()

  has(item: Item, wire: Wire | null): boolean {
    return this.#always.has(item) || this.#byWire.get(wire)?.has(item) === true
  }

  /** @param wire that it does not go with; left out where it goes with none */
  add(item: Item, wire?: Wire | null): void {
    if (wire === undefined) this.#always.add(item)
    else {
      const known = this.#byWire.get(wire)
      if (known) known.add(item)
      else this.#byWire.set(wire, new Set([item]))
    }
  }
}

/** Feeders of a source that a gun does not go with: by gun. */
type FeedersOut = Map<Gun | null, Out>

interface OfSource {
  readonly circuits: Out
  readonly guns: Out
  readonly feeders: FeedersOut
}

/** What is known so far of the parts in one place. */
export interface KnownOut {
  readonly has: (item: Item) => boolean
  /** @param slots that the criterion looks at by which it fails */
  readonly add: (item: Item, slots: readonly Slot[]) => void
}

/** With one process, polarity and cables: of others it says nothing. */
export class RuledOut {
  readonly #bySource = new Map<PowerSource | null, OfSource>()

  #of({ powerSource }: Capability): OfSource {
    let found = this.#bySource.get(powerSource)
    if (!found)
      this.#bySource.set(
        powerSource,
        (found = { circuits: new Out(), guns: new Out(), feeders: new Map() as FeedersOut }),
      )
    return found
  }

  /** @returns null for a place of which nothing is kept, and where a feeder was chosen before the gun */
  at(slot: Slot, capability: Capability): KnownOut | null {
    if (!ASKED.has(slot) || (slot === 'gun' && capability.feeder !== null)) return null
    const { wire, gun } = capability
    const { circuits, guns, feeders } = this.#of(capability)
    let out = slot === 'circuit' ? circuits : guns
    if (slot === 'feeder') {
      const known = feeders.get(gun)
      out = known ?? new Out()
      if (!known) feeders.set(gun, out)
    }
    return {
      has: (item) => out.has(item, wire),
      add(item, slots) {
        if (!slots.every((one) => one === slot || DECIDING.has(one))) return
        if (slots.includes('wire')) out.add(item, wire)
        else out.add(item)
      },
    }
  }

  /** A gun is out where every feeder that there is is out with it. */
  withFeeders(capability: Capability, feeders: readonly Option[]): void {
    const { gun, wire } = capability
    const out = this.#of(capability)
    const withGun = out.feeders.get(gun)
    if (!gun || !feeders.every(({ item }) => withGun?.has(item as Feeder, wire))) return
    out.guns.add(gun, wire)
  }
}
