/** The places of a set-up, and what goes into each. */
import { factsOf, type ListKey } from './facts.ts'
import type { PathsOf, RecordKind, RecordOf } from './index.ts'
import type { PartKind, PartOf } from './part.ts'
import type { Shelf } from './shelf.ts'

interface Holds {
  readonly kind: RecordKind
  /** Of a place for a small part: which. */
  readonly part?: PartKind
}

/** In the order in which the amps, the wire and the gas reach the arc. */
const SLOT_KINDS = {
  circuit: { kind: 'circuit' },
  powerSource: { kind: 'power-source' },
  feeder: { kind: 'feeder' },
  gun: { kind: 'gun' },
  wire: { kind: 'wire' },
  roll: { kind: 'part', part: 'drive-roll' },
  liner: { kind: 'part', part: 'liner' },
  tip: { kind: 'part', part: 'contact-tip' },
  nozzle: { kind: 'part', part: 'nozzle' },
  tungsten: { kind: 'tungsten' },
  collet: { kind: 'part', part: 'collet' },
  colletBody: { kind: 'part', part: 'collet-body' },
  cup: { kind: 'part', part: 'cup' },
  backCap: { kind: 'part', part: 'back-cap' },
  gas: { kind: 'gas' },
  flowMeter: { kind: 'part', part: 'flow-meter' },
} as const satisfies Readonly<Record<string, Holds>>

type SlotKinds = typeof SLOT_KINDS
export type Slot = keyof SlotKinds
export const SLOTS = Object.keys(SLOT_KINDS) as readonly Slot[]

export interface Named {
  readonly id: string
  readonly name: string
}
/** What goes into each place. */
export type SlotItems = {
  readonly [S in Slot]: Named &
    (SlotKinds[S] extends { readonly part: infer P extends PartKind }
      ? PartOf<P>
      : RecordOf<SlotKinds[S]['kind']>)
}

/** The field of a set-up that names what is in a place: the cup is `cupId`. */
export const slotKey = <S extends Slot>(slot: S): `${S}Id` => `${slot}Id`
/** Which kind of small part goes into a place; null for a place of something larger. */
export const partOfSlot = (slot: Slot): PartKind | null => (SLOT_KINDS[slot] as Holds).part ?? null
export const kindOfSlot = (slot: Slot): RecordKind => SLOT_KINDS[slot].kind
/** Where what goes into a place is served. */
export const pathOfSlot = (slot: Slot): PathsOf<'building' | 'equipment'> =>
  factsOf(kindOfSlot(slot)).path as PathsOf<'building' | 'equipment'>
/** Places that hold records of a kind. */
export const slotsOf = (kind: RecordKind): readonly Slot[] =>
  SLOTS.filter((slot) => kindOfSlot(slot) === kind)
/** Small parts: they follow what is chosen. */
export const SMALL_SLOTS: ReadonlySet<Slot> = new Set(slotsOf('part'))

/**
 * @returns everything of the shelf that could stand in a place, whether it fits or not
 * @example itemsFor('tip', shelf) // every contact tip
 */
export function itemsFor<S extends Slot>(slot: S, shelf: Shelf): readonly SlotItems[S][] {
  const part = partOfSlot(slot)
  const list = part
    ? shelf.parts.filter(({ kind }) => kind === part)
    : shelf[factsOf(kindOfSlot(slot)).listKey as ListKey & keyof Shelf]
  return list as unknown as readonly SlotItems[S][]
}

/** In the order in which they stand from the feeder to the arc. */
export const PART_KINDS: readonly PartKind[] = SLOTS.flatMap((slot) => partOfSlot(slot) ?? [])
