/** What is on a machine: the settings and parts that a changeover can change, and how two of them differ. */
import { chosenOf } from '../capability/slots.ts'
import type { Chosen } from '../capability/slots.ts'
import type { Settings } from '../capability/capability.ts'
import type { PresentSetUp } from '../kinds/presentSetUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { type Slot, slotKey, SLOTS } from '../kinds/slots.ts'
import type { SetUp } from '../kinds/setUp.ts'

/** Settings that hands change; a measured clamp and what stands near by are none. */
export const CHANGED_SETTINGS = [
  'process',
  'polarity',
  'linksSetV',
  'cordSize',
  'cordLengthMm',
  'leadSize',
  'leadLengthMm',
  'start',
  'stickOutMm',
  'flowLPerMin',
] as const satisfies readonly (keyof Settings)[]
export type ChangedKey = (typeof CHANGED_SETTINGS)[number] | `${Slot}Id`
export const CHANGED_KEYS: readonly ChangedKey[] = [...CHANGED_SETTINGS, ...SLOTS.map(slotKey)]

/** Ids and settings alone, in the form of a set-up. */
export type State = { readonly [K in ChangedKey]: SetUp[K] | null }

/** A machine with what is on it; `parts` hold the records that the ids name. */
export interface OnMachine {
  readonly state: State
  readonly parts: Chosen
  /** Minutes that steps took here; empty where nobody has timed any. */
  readonly timings: PresentSetUp['timings']
}

/** Nothing is on it: every part has to be put on. */
export const BARE = Object.fromEntries(CHANGED_KEYS.map((key) => [key, null])) as State

export const stateOf = (setUp: Readonly<Record<ChangedKey, unknown>>): State =>
  Object.fromEntries(CHANGED_KEYS.map((key) => [key, setUp[key]])) as State

/**
 * What stays where it is when the next set-up has no use for it: rolls on the drive, liner and tip in the gun, a
 * cylinder that is closed. Coming back finds it there.
 */
const STAYS: ReadonlySet<ChangedKey> = new Set([
  'linksSetV',
  'start',
  'stickOutMm',
  'flowLPerMin',
  'feederId',
  'rollId',
  'linerId',
  'tipId',
  'nozzleId',
  'tungstenId',
  'colletId',
  'colletBodyId',
  'cupId',
  'backCapId',
  'gasId',
  'flowMeterId',
])

/**
 * @returns the keys that have to change to come from one state to the other, in the order of the set-up
 * @example differingKeys(state, { ...state, polarity: 'dcen' }) // ['polarity']
 */
export const differingKeys = (from: State, to: State): readonly ChangedKey[] =>
  CHANGED_KEYS.filter((key) => from[key] !== to[key] && !(to[key] === null && STAYS.has(key)))

/** @returns a set-up with its parts, as something that can be on its machine */
export const onMachineOf = (setUp: SetUp, shelf: Shelf): OnMachine => ({
  state: stateOf(setUp),
  parts: chosenOf(setUp, shelf),
  timings: [],
})

const byShelf = new WeakMap<Shelf, Map<string, OnMachine>>()

/**
 * @returns what is on a machine of this shelf; null where it is not recorded
 * @example presentOn(shelf, 'quillon-210')?.parts.wire?.name // '0.045 E71T-11'
 */
export function presentOn(shelf: Shelf, sourceId: string): OnMachine | null {
  let known = byShelf.get(shelf)
  if (!known) {
    known = new Map(
      shelf.presentSetUps.map((present) => [
        present.id,
        { state: stateOf(present), parts: chosenOf(present, shelf), timings: present.timings },
      ]),
    )
    byShelf.set(shelf, known)
  }
  return known.get(sourceId) ?? null
}
